import { constants, setPriority } from 'node:os';
import { pino } from 'pino';
import type { RouteName } from '@wergon/contract/routes';
import { openShopForReading } from './database.ts';
import { createFactsCache, sightOf } from '../catalog/index.ts';
import { readContext } from './readContext.ts';
import { createSetClock, sayError, writeAnswer } from '../http/index.ts';
import type { Context } from './context.ts';
import type { Call, Mount, ReadAnswer } from '../http/index.ts';
import { mountAll } from './mountAll.ts';
import { notHere } from './readers.ts';
import type { FromReader, ToReader } from './readers.ts';

/** Runs the reads of the routes on a connection that only reads. The same handlers serve here as in the server; what would
 *  write is not here. */
const [databasePath = '', demo] = process.argv.slice(2);
const isDemo = demo === 'true';
// A reader does not outlive its server, however that ended, were it while this was being loaded; and what an operator ends
// is the server.
process.on('disconnect', () => process.exit());
if (!process.connected) process.exit();
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, () => undefined);
// Where both want the processor a scan comes before a page.
setPriority(constants.priority.PRIORITY_BELOW_NORMAL);
const database = await openShopForReading(databasePath);
const facts = createFactsCache(database);
const clock = createSetClock(0);
let deskActs = 0;

const context: Context = {
  ...readContext(database, facts),
  clock,
  isDemo,
  log: pino({ level: 'silent' }),
  live: {
    publish: notHere('publish'),
    publishSetup: notHere('publish'),
    changesSince: () => undefined,
    version: () => 0,
    stream: notHere('stream'),
    end: notHere('end streams'),
    close: () => undefined,
  },
  journal: {
    append: notHere('write'),
    appendAll: notHere('write'),
    tryOut: notHere('write'),
    takeInDue: notHere('write'),
    countDeskActs: () => deskActs,
  },
  health: { isWritable: () => true, cannotWrite: () => undefined, probe: notHere('write') },
  proofs: { give: notHere('give proofs'), holds: () => false },
  backups: {
    folder: null,
    isRunning: () => false,
    status: () => ({ last: null, failed: null }),
    run: notHere('back up'),
    runIfDue: notHere('back up'),
  },
  setupChanged: notHere('change records'),
  deriveAnew: notHere('change records'),
  keepHead: notHere('write'),
};

const handlers = new Map<RouteName, (call: unknown) => Promise<ReadAnswer>>();
const collect: Mount = (name, handle) => {
  // The server has read the call with the schemas of this route before it sent it here.
  handlers.set(name, (call) => writeAnswer(name, handle(call as Call<typeof name>)));
};
mountAll(collect, context);

async function answer({ id, call, nowMs, stale, deskActs: acts }: ToReader): Promise<FromReader> {
  try {
    clock.set(nowMs);
    deskActs = acts;
    if (stale.length > 0) facts.forget(...stale);
    const handle = handlers.get(call.name);
    if (!handle) return { id, failed: { error: `no such read: ${call.name}` } };
    const { query, body, params, who } = call;
    const sees = await sightOf(facts, who);
    return {
      id,
      answer: await handle({ query, body, who, sees, param: (name: string) => params[name] ?? '' }),
    };
  } catch (error) {
    return { id, failed: sayError(error) };
  }
}

process.on('message', (message) => {
  // A server that has gone meanwhile waits for no answer, and this process ends with it.
  void answer(message as ToReader).then((told) => process.send?.(told, () => {}));
});
