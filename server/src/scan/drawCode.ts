import { randomInt } from 'node:crypto';
import { CODE_ALPHABET, drawCode } from '@wergon/core/scan';
import type { Code, CodeKind } from '@wergon/core/scan';

/** Where codes come from: dice in the shop, a seed in the demo. */
export type CodeDrawer = (kind: CodeKind) => Code;

/** A code nobody can guess. */
export const drawRandomCode: CodeDrawer = (kind) => drawCode(kind, () => randomInt(CODE_ALPHABET.length));

/** A short code to be typed once: characters of the label alphabet. */
export const drawPairingCode = (): string =>
  Array.from({ length: 8 }, () => CODE_ALPHABET[randomInt(CODE_ALPHABET.length)]).join('');
