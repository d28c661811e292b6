import type { StoryJson } from '@wergon/contract/compare';
import { t } from '../words/index.ts';

type Event = StoryJson['days'][number]['events'][number];
export type ToldEvent = Omit<Event, 'kind'> & { readonly kind: Exclude<Event['kind'], 'labor'> };

const withText = (words: string, about: string, text: string): string =>
  `${[words, about].filter(Boolean).join(' ')}${text ? `: ${text}` : ''}`;

/** What somebody did, behind their name. */
export function sayEvent({ kind, about, text }: Pick<ToldEvent, 'kind' | 'about' | 'text'>): string {
  const said = text.trim();
  switch (kind) {
    case 'note':
      return withText(about ? t('compare.notedOn') : t('compare.noted'), about, said);
    case 'pieces':
      return withText(t('compare.reportedPiecesOf'), about, said);
    case 'reading':
      return withText(t('compare.measuredAt'), about, said);
    case 'request':
      return about ? t('compare.askedForOn', { said, about }) : t('compare.askedFor', { said });
    case 'done':
      return t('compare.finishedTask', { about });
    case 'reopened':
      return t('compare.reopened', { about });
    case 'order': {
      const made = /^made (as .+)$/.exec(said);
      return made
        ? t('compare.createdTheOrder', { how: made[1] ?? '' })
        : withText(t('compare.changedTheOrder'), '', said);
    }
  }
}
