import { ensureBuilt, run } from './prepare.mjs';

ensureBuilt({ packages: ['core', 'contract', 'server'], isQuiet: true });
run(process.execPath, ['server/dist/app/command.js', ...process.argv.slice(2)]);
