import { ensureBuilt, ensurePages } from './prepare.mjs';

ensureBuilt();
ensurePages();
// In this process, so that a signal to it reaches the server.
await import('../demo/dist/main.js');
