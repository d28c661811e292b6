import type { EventEmitter } from 'node:events';
import type { Logger } from 'pino';
import { sayError } from './sayError.ts';

/** What no part of the program caught. Node's own way is to print it whole, with the values it was given, and to end.
 *  A promise that failed with nobody waiting for it has rolled back what it was writing and stops nobody: it is logged, and
 *  the server goes on. After anything else that was thrown nobody knows what state the program is in: it is logged and the
 *  process ends, to be started again; what was acknowledged is on the disk. */
export function spreadLastNet(process: EventEmitter, log: Logger, end: () => void): void {
  process.on('unhandledRejection', (error: unknown) =>
    log.error(sayError(error), 'failed, with nobody waiting for it'),
  );
  process.on('uncaughtException', (error: unknown) => {
    log.fatal(sayError(error), 'thrown, and caught by nothing');
    end();
  });
}
