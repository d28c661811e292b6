import type { OrderState } from '@wergon/core/work';

export const STATE_WORDS: Readonly<Record<OrderState, string>> = {
  draft: 'draft',
  accepted: 'accepted',
  released: 'released',
  'on-hold': 'on hold',
  finished: 'finished',
  closed: 'closed',
};
