export { readBatch } from './readBatch.ts';
export { rebuild } from './rebuild.ts';
export { verifyChain } from './verify.ts';
