import type { Charge } from '@wergon/contract/shop';
import { formatDecimal } from '@wergon/core/money';
import type { Fraction } from '@wergon/core/money';

type ChargeFields = {
  readonly isBillable: boolean;
  readonly per: 'hour' | 'flat';
  readonly amount: Fraction;
};

/** A charge as it is kept and told. */
export const writeCharge = (charge: ChargeFields | null): Charge | null =>
  charge && { ...charge, amount: formatDecimal(charge.amount) };
