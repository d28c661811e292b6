export type { StationContext } from './context.ts';
export { offerPairing } from './pairing.ts';
export { createProofs } from './proofs.ts';
export { mountStation } from './routes.ts';
