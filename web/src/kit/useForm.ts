import { useQueryClient } from '@tanstack/vue-query';
import { computed, onScopeDispose, ref } from 'vue';
import type { Ref } from 'vue';
import { onBeforeRouteLeave } from 'vue-router';
import { CallFailed, wordsOf } from './callRoute.ts';
import { t } from '../words/index.ts';

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** A form over a record: knows whether something is unsaved, warns before it is lost, sends it, and hangs each "no" of
 *  the server on the field that it names. */
export function useForm<T extends object>(initial: T) {
  const queries = useQueryClient();
  const fields = ref(plain(initial)) as Ref<T>;
  const saved = ref(JSON.stringify(initial));
  const errors = ref<Readonly<Record<string, string>>>({});
  const problem = ref('');
  const code = ref('');
  const isBusy = ref(false);
  const isDirty = computed(() => JSON.stringify(fields.value) !== saved.value);

  /** Begins anew from a record, dropping what was typed. */
  function reset(record: T): void {
    fields.value = plain(record);
    saved.value = JSON.stringify(record);
    clearProblem();
  }
  function clearProblem(): void {
    errors.value = {};
    problem.value = '';
    code.value = '';
  }

  /** Sends what was typed; absent when it was refused. */
  async function send<R>(work: (fields: T) => Promise<R>): Promise<{ readonly answer: R } | undefined> {
    if (isBusy.value) return undefined;
    isBusy.value = true;
    clearProblem();
    const sent = plain(fields.value);
    try {
      const answer = await work(sent);
      saved.value = JSON.stringify(sent);
      await queries.invalidateQueries();
      return { answer };
    } catch (error) {
      const told = error instanceof CallFailed ? error.problem : null;
      errors.value = Object.fromEntries((told?.errors ?? []).map(({ field, message }) => [field, message]));
      problem.value = wordsOf(error);
      code.value = told?.type.replace('urn:wergon:', '') ?? '';
      return undefined;
    } finally {
      isBusy.value = false;
    }
  }

  const warn = (event: BeforeUnloadEvent) => {
    if (isDirty.value) event.preventDefault();
  };
  window.addEventListener('beforeunload', warn);
  onScopeDispose(() => window.removeEventListener('beforeunload', warn));
  onBeforeRouteLeave(() => !isDirty.value || window.confirm(t('kit.leaveWithoutSavingWhatYouChanged')));

  return { fields, errors, problem, code, isBusy, isDirty, reset, send };
}
