export { readBatch } from './readBatch.ts';
export { rebuild, verifyChain } from './rebuild.ts';
