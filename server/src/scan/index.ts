export { drawPairingCode, drawRandomCode } from './drawCode.ts';
export type { CodeDrawer } from './drawCode.ts';
