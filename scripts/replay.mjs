import { readFileSync } from 'node:fs';
import { ensureBuilt } from './prepare.mjs';

// Only the result may stand on standard output, so the build is silent.
ensureBuilt({ packages: ['core', 'contract'], isQuiet: true });
const { replayScenario } = await import('@wergon/contract/exchange');

const file = process.argv[2];
if (!file) {
  process.stderr.write('usage: npm run --silent replay -- FILE.json\n');
  process.exit(2);
}
let text = '';
try {
  text = readFileSync(file, 'utf8');
} catch (error) {
  process.stderr.write(`${file}: ${error.message}\n`);
  process.exit(2);
}
const replayed = replayScenario(text);
if (replayed.ok) process.stdout.write(`${JSON.stringify(replayed.value, null, 1)}\n`);
else {
  for (const { field, message } of replayed.problems) process.stderr.write(`${field}: ${message}\n`);
  process.exitCode = 2;
}
