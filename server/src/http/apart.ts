import type { RouteName } from '@wergon/contract/routes';
import type { RouteRefusal } from './problem.ts';
import type { Who } from './who.ts';

/** What a read is asked for; everything of it can cross into another process. */
export type ReadCall = {
  readonly name: RouteName;
  readonly query: unknown;
  readonly body: unknown;
  readonly params: Readonly<Record<string, string>>;
  readonly who: Who;
};
/** The answer as the text that goes out. */
export type ReadAnswer = { readonly ok: true; readonly json: string } | RouteRefusal;

/** Answers reads in processes of their own; absent where a read is not answered apart. */
export type Readers = {
  readonly read: (
    call: ReadCall,
    key: string,
    onGone: (drop: () => void) => void,
  ) => Promise<ReadAnswer> | undefined;
  readonly close: () => Promise<void>;
};

/** A read that a reader could not answer, with what may be logged of it and what is answered. */
export class ReadFailed extends Error {
  override readonly name = 'ReadFailed';
  constructor(
    readonly told: Readonly<Record<string, unknown>>,
    readonly problem: 'server.failed' | 'server.busy' = 'server.failed',
  ) {
    super('a read failed');
  }
}

/** A caller as another process is told of it: without what opens a session. */
export const plainWho = (who: Who): Who => (who.kind === 'desk' ? { ...who, tokenHash: '' } : who);
