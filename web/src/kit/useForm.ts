import { useMutation } from '@tanstack/vue-query';
import { computed, onScopeDispose, ref } from 'vue';
import type { Ref } from 'vue';
import { onBeforeRouteLeave } from 'vue-router';
import { sayFieldProblem, t } from '../words/index.ts';
import { CallFailed, wordsOf } from './callRoute.ts';
import { toPlain } from './toPlain.ts';

/** A form over a record: knows whether something is unsaved, warns before it is lost, sends it, and hangs each "no" of
 *  the contract or the server on the field that it names. */
export function useForm<T extends object>(initial: T) {
  const fields = ref(toPlain(initial)) as Ref<T>;
  const saved = ref(JSON.stringify(initial));
  const mutation = useMutation({
    // A desk without the server is told so; nothing is sent later, unseen.
    networkMode: 'always',
    mutationFn: (work: () => Promise<unknown>) => work(),
  });
  const refusal = computed(() =>
    mutation.error.value instanceof CallFailed ? mutation.error.value.problem : null,
  );
  const isDirty = computed(() => JSON.stringify(fields.value) !== saved.value);

  /** Begins anew from a record, dropping what was typed. */
  function reset(record: T): void {
    fields.value = toPlain(record);
    saved.value = JSON.stringify(record);
    mutation.reset();
  }

  /** Sends what was typed; absent when it was refused. What is typed meanwhile is unsaved. */
  async function send<R>(work: (fields: T) => Promise<R>): Promise<{ readonly answer: R } | undefined> {
    if (mutation.isPending.value) return undefined;
    const sent = toPlain(fields.value);
    let done: { readonly answer: R } | undefined;
    await mutation
      .mutateAsync(async () => {
        const answer = await work(sent);
        saved.value = JSON.stringify(sent);
        done = { answer };
      })
      .catch(() => undefined);
    return done;
  }

  const warn = (event: BeforeUnloadEvent) => {
    if (isDirty.value) event.preventDefault();
  };
  window.addEventListener('beforeunload', warn);
  onScopeDispose(() => window.removeEventListener('beforeunload', warn));
  onBeforeRouteLeave(() => !isDirty.value || window.confirm(t('kit.leaveWithoutSavingWhatYouChanged')));

  return {
    fields,
    /** What was refused of each field, by its path. */
    errors: computed((): Readonly<Record<string, string>> =>
      Object.fromEntries(
        (refusal.value?.errors ?? []).map(({ field, message }) => [field, sayFieldProblem(message)]),
      ),
    ),
    problem: computed(() => (mutation.error.value ? wordsOf(mutation.error.value) : '')),
    code: computed(() => refusal.value?.type.replace('urn:wergon:', '') ?? ''),
    isBusy: mutation.isPending,
    isDirty,
    reset,
    send,
  };
}
