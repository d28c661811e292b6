import type { ShiftDay } from '../ledger/index.ts';
import { settingsOf } from '../shop/index.ts';
import type { ShopFacts } from '../catalog/index.ts';

const needsApproval = ({ shop }: ShopFacts): boolean => settingsOf(shop).pay.approval === 'person-day';

/** Whether a shift day goes to pay as it is now. */
export const isPayable = (facts: ShopFacts, { state }: Pick<ShiftDay, 'state'>): boolean =>
  state === 'approved' || !needsApproval(facts);
