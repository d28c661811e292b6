import { ensureBuilt, ensurePages } from './prepare.mjs';

ensureBuilt({ packages: ['core', 'contract', 'server'] });
ensurePages();
// In this process, so that a signal to it reaches the server.
await import('../server/dist/app/main.js');
