import { existsSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { readConfig, startServer } from '@wergon/server/app';
import { offerPairing } from '@wergon/server/station';
import { answerFiles } from './answerFiles.ts';
import { stationId } from './enterStations.ts';
import { makeDemo } from './makeDemo.ts';
import { makeLargeShop } from './makeLargeShop.ts';
import { readAsked } from './readAsked.ts';
import type { Asked } from './readAsked.ts';
import { DEMO_USERS } from './setUpShop.ts';

/** The demo's link to a station can be used for a day. */
const LINK_SECONDS = 86_400;

const say = (text: string) => process.stdout.write(`${text}\n`);

function read(): Asked {
  try {
    return readAsked(process.argv.slice(2));
  } catch (error) {
    process.stderr.write(`${error instanceof Error ? error.message : ''}\n`);
    process.exit(2);
  }
}
const { size, isFresh, isDataOnly } = read();

const root = resolve(fileURLToPath(import.meta.url), '../../..');
const name = size ? `demo-${size.people}-${size.weeks}` : 'demo';
const env = {
  WERGON_DATABASE: `.data/${name}.sqlite`,
  WERGON_LOG: 'warn',
  ...process.env,
  WERGON_DEMO: '1',
};
const config = readConfig(env, root);

const files = ['', '-wal', '-shm'].map((suffix) => `${config.databasePath}${suffix}`);
const answers = `${config.databasePath}-payroll`;
const remove = () => {
  for (const file of [...files, answers]) rmSync(file, { force: true, recursive: true });
};
if (isFresh) remove();
if (!existsSync(config.databasePath)) {
  say('Making the sample data…');
  try {
    if (size) await makeLargeShop(config.databasePath, size, say);
    else await makeDemo(config.databasePath, say);
  } catch (error) {
    remove(); // Half a shop would be taken for a whole one at the next start.
    throw error;
  }
}

if (isDataOnly) process.exit(0);
const server = await startServer(config);
const em = server.context.database.em.fork();
const pairing = await offerPairing(em, stationId('Winding 2'), server.context.clock.now(), LINK_SECONDS);
say('');
say(`Desk      ${server.address}/`);
for (const { userName, password, roles } of DEMO_USERS)
  say(`          sign in as ${userName} with ${password} (${roles.join(', ')})`);
say(`Station   ${server.address}/station#pair=${pairing?.code ?? ''}`);
say(
  '          this link pairs the browser that opens it as station Winding 2; the bench there stands in for a scanner',
);
say('');
const stopPayroll = answerFiles(server.context, answers, say);
say('The demo runs on its own clock, which stops with it. Stop it with Ctrl+C.');

for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.once(signal, () => {
    stopPayroll();
    void server.stop().then(() => process.exit(0));
  });
