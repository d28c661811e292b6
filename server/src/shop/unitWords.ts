import type { Unit } from './entities.ts';

/** A unit as people call it: its type, maker and serial number. */
export const unitWords = ({
  type,
  maker,
  serialNumber,
}: Pick<Unit, 'type' | 'maker' | 'serialNumber'>): string =>
  [type, maker, serialNumber].filter(Boolean).join(', ');
