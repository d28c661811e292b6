import type { OrderState } from '@wergon/core/work';
import { t } from '../words/index.ts';

export const STATE_WORDS: Readonly<Record<OrderState, string>> = {
  draft: t('work.draft'),
  accepted: t('work.accepted'),
  released: t('work.released'),
  'on-hold': t('work.onHold'),
  finished: t('work.finished'),
  closed: t('work.closed'),
};
