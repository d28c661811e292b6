import { flatErrors } from '@regle/core';
import { useRegleSchema } from '@regle/schemas';
import type { StandardSchemaV1 } from '@standard-schema/spec';
import { useMutation } from '@tanstack/vue-query';
import { computed, inject, onScopeDispose, provide, reactive, ref } from 'vue';
import type { InjectionKey, Ref } from 'vue';
import { onBeforeRouteLeave } from 'vue-router';
import { ROUTES } from '@wergon/contract/routes';
import type { BodyOf, Route, RouteName } from '@wergon/contract/routes';
import { formatPath } from '@wergon/contract/wire';
import { isRecord } from '@wergon/core/result';
import { sayFieldProblem, t } from '../words/index.ts';
import { CallFailed, sayFields, wordsOf } from './callRoute.ts';
import { toPlain } from './toPlain.ts';

/** What a field of a form needs of it. */
export type FormOfField = {
  /** What is wrong with a field that was left, or that was refused; by its path, `tasks[0].title`. */
  readonly errors: Readonly<Ref<Readonly<Record<string, string>>>>;
  readonly leave: (path: string) => void;
  /** Says that what is wrong at a path is told at its field; gives what ends that. */
  readonly tells: (path: string) => () => void;
};
const FORM: InjectionKey<FormOfField> = Symbol('form');
/** The form that a field lies in, if it lies in one. */
export const useFormOfField = (): FormOfField | undefined => inject(FORM, undefined);

/** Fields as the form's own library knows them: whatever they are. */
type Typed = Record<string, unknown>;

/** What the contract says of what is typed: the fields as they would be sent, read with the schema of their route. */
const checkOf = <Fields extends object, Name extends RouteName>(
  route: Name,
  bodyOf: (fields: Fields) => BodyOf<Name>,
): StandardSchemaV1<Typed> => ({
  '~standard': {
    version: 1,
    vendor: 'wergon',
    validate: (typed) => {
      const { body }: Route = ROUTES[route];
      // The form hands over the very record that it was given.
      const read = body?.safeParse(bodyOf(toPlain(typed) as Fields));
      return read?.error ? { issues: read.error.issues } : { value: {} };
    },
  },
});

const keyOf = (segment: PropertyKey | { readonly key: PropertyKey }): PropertyKey =>
  typeof segment === 'object' ? segment.key : segment;

type Part = { readonly $touch: () => void };
const isPart = (value: object): value is Part => '$touch' in value && typeof value.$touch === 'function';

/** The part of a form at a path, `tasks[0].title`, if there is one. */
function partAt(form: unknown, path: string): Part | undefined {
  let part = form;
  for (const key of path.split(/[.[\]]+/).filter(Boolean)) {
    if (!isRecord(part)) return undefined;
    const { $each: each } = part;
    part = Array.isArray(each) ? each[Number(key)] : part[key];
  }
  return isRecord(part) && isPart(part) ? part : undefined;
}

/** A form over a record: knows what of it was left and what is unsaved, warns before that is lost, sends it, and hangs
 *  each "no" of the contract or the server on the field that it names. Fields are named as in the body of the route that
 *  takes them. */
export function useForm<Fields extends object, Name extends RouteName>(
  initial: Fields,
  route: Name,
  bodyOf: (fields: Fields) => BodyOf<Name>,
) {
  const fields = ref(toPlain(initial)) as Ref<Fields>;
  const saved = ref(JSON.stringify(initial));
  const { r$: state } = useRegleSchema(fields as Ref<Typed>, checkOf(route, bodyOf), {
    autoDirty: false,
    clearExternalErrorsOnChange: true,
  });
  const mutation = useMutation({
    // A desk without the server is told so; nothing is sent later, unseen.
    networkMode: 'always',
    mutationFn: (work: () => Promise<unknown>) => work(),
  });
  const refusal = computed(() =>
    mutation.error.value instanceof CallFailed ? mutation.error.value.problem : null,
  );
  const isDirty = computed(() => JSON.stringify(fields.value) !== saved.value);
  const errors = computed((): Readonly<Record<string, string>> =>
    Object.fromEntries(
      flatErrors(state.$errors, { includePath: true })
        .map(({ path = [], message }) => [formatPath(path.map(keyOf)), sayFieldProblem(message)])
        .reverse(),
    ),
  );

  /** Begins anew from a record, dropping what was typed. */
  function reset(record: Fields): void {
    fields.value = toPlain(record);
    saved.value = JSON.stringify(record);
    state.$reset();
    mutation.reset();
  }

  /** Sends what was typed; absent when it was refused. What is typed meanwhile is unsaved. */
  async function send<R>(work: (fields: Fields) => Promise<R>): Promise<{ readonly answer: R } | undefined> {
    if (mutation.isPending.value) return undefined;
    const sent = toPlain(fields.value);
    let done: { readonly answer: R } | undefined;
    state.$touch();
    state.$clearExternalErrors();
    await mutation
      .mutateAsync(async () => {
        const answer = await work(sent);
        saved.value = JSON.stringify(sent);
        done = { answer };
      })
      .catch(() => undefined);
    state.$setExternalErrors(
      Object.fromEntries(
        (refusal.value?.errors ?? []).map(({ field, message }) => [
          field.replace(/\[(\d+)\]/g, '.$1'),
          [message],
        ]),
      ),
    );
    return done;
  }

  const warn = (event: BeforeUnloadEvent) => {
    if (isDirty.value) event.preventDefault();
  };
  window.addEventListener('beforeunload', warn);
  onScopeDispose(() => window.removeEventListener('beforeunload', warn));
  onBeforeRouteLeave(() => !isDirty.value || window.confirm(t('kit.leaveWithoutSavingWhatYouChanged')));

  const told = reactive(new Map<string, number>());
  const count = (path: string, more: number) => told.set(path, (told.get(path) ?? 0) + more);
  provide(FORM, {
    errors,
    leave: (path) => partAt(state, path)?.$touch(),
    tells: (path) => {
      count(path, 1);
      return () => count(path, -1);
    },
  });
  /** What stands at no field of the page is said of the whole form. */
  const problem = computed(() => {
    const error = mutation.error.value;
    if (!error) return '';
    const all = refusal.value?.errors ?? [];
    const rest = all.filter(({ field }) => !told.get(field));
    if (all.length === rest.length) return wordsOf(error);
    return rest.length === 0 ? error.message : sayFields(rest);
  });
  return {
    fields,
    errors,
    problem,
    code: computed(() => refusal.value?.type.replace('urn:wergon:', '') ?? ''),
    isBusy: mutation.isPending,
    isDirty,
    reset,
    send,
  };
}
