import { ref } from 'vue';
import { ROUTES, UnreadableAnswer, readResponse } from '@wergon/contract/routes';
import type { BodyOf, ResponseOf, Route, RouteName } from '@wergon/contract/routes';
import { PROBLEMS, fieldProblemsOf, problemSchema } from '@wergon/contract/wire';
import type { FieldProblem, Problem } from '@wergon/contract/wire';
import { toPlain } from './toPlain.ts';
import { isPersonThere } from './presence.ts';
import { sayFieldProblem, sayTerm, t } from '../words/index.ts';

/** How far the server's clock is ahead of this computer's, in milliseconds; measured at every answer. */
export const clockOffsetMs = ref(0);
/** Whether the server can write its disk, as it said at its last answer. */
export const isWritable = ref(true);

/** A "no" of the server, with what it said, or no answer at all (`problem` is `null`). */
export class CallFailed extends Error {
  constructor(readonly problem: Problem | null) {
    super(problem ? titleOf(problem) : t('kit.theServerDoesNotAnswer'));
  }
}

/** What a problem says, in the language of the page; in the server's words where its code is not known here. */
function titleOf({ type, title }: Problem): string {
  const code = type.replace('urn:wergon:', '');
  return code in PROBLEMS ? sayTerm('problems', code) : title;
}

/** Answers that were got before, to be told that nothing has changed: the browser itself keeps none of them. Newest last. */
const answers = new Map<string, { readonly tag: string; readonly json: unknown }>();
const MOST_ANSWERS = 30;

function keepAnswer(url: string, tag: string, json: unknown): void {
  answers.delete(url);
  answers.set(url, { tag, json });
  const [oldest] = answers.size > MOST_ANSWERS ? answers.keys() : [];
  if (oldest !== undefined) answers.delete(oldest);
}

/** What the last one saw is none of the next one's business. */
export const forgetAnswers = (): void => answers.clear();

type Options<Name extends RouteName> = {
  readonly params?: Readonly<Record<string, string>>;
  readonly query?: Readonly<Record<string, string>>;
} & (BodyOf<Name> extends undefined ? { readonly body?: undefined } : { readonly body: BodyOf<Name> });

/** What the contract says no to is not sent: the answer is the one that the server would give. */
function refuseBody(name: RouteName, body: unknown): void {
  const route: Route = ROUTES[name];
  // Where parts are read each on its own, a bad one must not hold up the others.
  if (route.readsEach !== undefined) return;
  const read = route.body?.safeParse(toPlain(body ?? {}));
  if (!read || read.success) return;
  const [status, title] = PROBLEMS['input.invalid'];
  throw new CallFailed({
    type: 'urn:wergon:input.invalid',
    title,
    status,
    errors: fieldProblemsOf(read.error),
  });
}

/** Calls a route of the contract by its name. Throws `CallFailed`. */
export async function callRoute<Name extends RouteName>(
  name: Name,
  ...[options]: BodyOf<Name> extends undefined ? [options?: Options<Name>] : [options: Options<Name>]
): Promise<ResponseOf<Name>> {
  const { method, path } = ROUTES[name];
  const filled = path.replace(/:(\w+)/g, (_whole, key: string) =>
    encodeURIComponent(options?.params?.[key] ?? ''),
  );
  const query = options?.query ? `?${new URLSearchParams(options.query).toString()}` : '';
  const isPost = method === 'post';
  const url = `${filled}${query}`;
  const known = isPost ? undefined : answers.get(url);
  refuseBody(name, options?.body);
  let response: Response;
  const askedAt = Date.now();
  try {
    response = await fetch(url, {
      method: method.toUpperCase(),
      headers: {
        ...(isPost ? { 'content-type': 'application/json' } : {}),
        ...(isPersonThere() ? { 'wergon-person': '1' } : {}),
        ...(known ? { 'if-none-match': known.tag } : {}),
      },
      ...(isPost ? { body: JSON.stringify(options?.body ?? {}) } : {}),
    });
  } catch {
    throw new CallFailed(null);
  }
  isWritable.value = response.headers.get('wergon-writable') !== '0';
  const serverNow = Number(response.headers.get('wergon-now'));
  if (serverNow > 0) clockOffsetMs.value = Math.round(serverNow - (askedAt + Date.now()) / 2);
  if (known && response.status === 304) return readResponse(name, known.json);
  const json: unknown = await response.json().catch(() => null);
  if (!response.ok) throw new CallFailed(problemSchema.nullable().catch(null).parse(json));
  const answer = readResponse(name, json);
  const tag = response.headers.get('etag');
  if (!isPost && tag !== null) keepAnswer(url, tag, json);
  return answer;
}

/** What to say of a failed call, with the fields at fault. */
export function wordsOf(error: unknown): string {
  if (error instanceof UnreadableAnswer) return t('kit.thisPageAndTheServerAreOfDifferent');
  if (!(error instanceof CallFailed)) return t('kit.somethingWentWrongOnThisPage');
  return sayFields(error.problem?.errors ?? []) || error.message;
}
/** Fields with what is wrong with each. */
export const sayFields = (errors: readonly FieldProblem[]): string =>
  errors.map(({ field, message }) => `${field}: ${sayFieldProblem(message)}`).join('; ');

/** The same as a sentence: what is wrong, and then why. */
export function sayRefusal(error: unknown): string {
  const told = error instanceof CallFailed ? error.problem : null;
  return told
    ? [titleOf(told), ...(told.errors ?? []).map(({ message }) => sayFieldProblem(message))].join(': ')
    : wordsOf(error);
}
