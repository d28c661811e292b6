/** A server for tests of what pages keep: it notes what was called and answers what the test says. */
type Call = { readonly name: string; readonly options: Record<string, unknown> | undefined };
type Told = { readonly title: string; readonly errors?: readonly { field: string; message: string }[] };

export class CallFailed extends Error {
  constructor(readonly problem: Told | null) {
    super(problem?.title ?? 'The server does not answer');
  }
}

export const server: { calls: Call[]; answer: (call: Call) => unknown } = {
  calls: [],
  answer: () => null,
};
/** The names of the routes that were called, with what was sent to each. */
export const bodies = () => server.calls.map(({ name, options }) => [name, options?.['body']]);

export const callRoute = async (name: string, options?: Record<string, unknown>): Promise<unknown> => {
  const call = { name, options };
  server.calls.push(call);
  return Promise.resolve().then(() => server.answer(call));
};
export const wordsOf = (error: Error): string => error.message;
export const sayFields = (errors: readonly { field: string; message: string }[]): string =>
  errors.map(({ field, message }) => `${field}: ${message}`).join('; ');
export const sayRefusal = (error: Error): string =>
  error instanceof CallFailed && error.problem
    ? [error.message, ...(error.problem.errors ?? []).map(({ message }) => message)].join(': ')
    : error.message;

/** What the pages' cache of answers is asked to do. */
export const useQueryClient = () => ({ invalidateQueries: () => Promise.resolve() });
