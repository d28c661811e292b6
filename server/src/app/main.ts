import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { spreadLastNet } from '../http/index.ts';
import { readConfig } from './config.ts';
import { startServer } from './server.ts';

const root = resolve(fileURLToPath(import.meta.url), '../../../..');
const server = await startServer(readConfig(process.env, root)).catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
spreadLastNet(process, server.context.log, () => process.exit(1));
process.stdout.write(`Wergon listens at ${server.address}\n`);

let isStopping = false;
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.on(signal, () => {
    if (isStopping) return;
    isStopping = true;
    void server.stop().then(() => process.exit(0));
  });
