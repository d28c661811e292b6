import { TECHNICIANS } from '../ledger/shop.fixture.ts';
import type { TargetId } from '../ledger/index.ts';
import { itemAt } from '../result/index.ts';
import { toDay } from '../time/index.ts';
import type { PayNames } from './payLayout.ts';
import type { PayKind, PayLine } from './payLines.ts';

/** Monday, 2 March 2026. */
export const DAY = toDay(20_514);
export const ABSENT: PayKind = { of: 'leave', name: 'holiday' };

export const lineOf = (kind: PayKind, seconds: number, target?: TargetId): PayLine => ({
  technician: itemAt(TECHNICIANS, 0),
  shiftDay: DAY,
  kind,
  target,
  workType: target === undefined ? undefined : 'run',
  seconds,
});

export const namesOf: PayNames = {
  person: () => ({ payrollNumber: 'P1', name: 'Ada', department: 'Winding' }),
  target: () => ({ order: '24549', task: 'Winding', costCode: 'C' }),
};
