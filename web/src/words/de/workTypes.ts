import type { Translation } from '../translation.ts';

/** Kinds of work. */
export const workTypes: Translation['workTypes'] = {
  setup: 'Rüsten',
  run: 'Fertigen',
  cleanup: 'Reinigen',
  down: 'Stillstand',
  rework: 'Nacharbeit',
  travel: 'Fahrt',
};
