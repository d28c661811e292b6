import type { OrderState } from '@wergon/core/work';
import { t } from '../words/index.ts';

/** What a state of an order is called. */
export const sayState = (state: OrderState): string => t(`orderStates.${state}`);
