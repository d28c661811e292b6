import type { StoryJson } from '@wergon/contract/compare';

type Event = StoryJson['days'][number]['events'][number];
export type ToldEvent = Omit<Event, 'kind'> & { readonly kind: Exclude<Event['kind'], 'labor'> };

const withText = (words: string, about: string, text: string): string =>
  `${[words, about].filter(Boolean).join(' ')}${text ? `: ${text}` : ''}`;

/** What somebody did, behind their name. */
export function sayEvent({ kind, about, text }: Pick<ToldEvent, 'kind' | 'about' | 'text'>): string {
  const said = text.trim();
  switch (kind) {
    case 'note':
      return withText(about ? 'noted on' : 'noted', about, said);
    case 'pieces':
      return withText('reported pieces of', about, said);
    case 'reading':
      return withText('measured at', about, said);
    case 'request':
      return `asked for ${said}${about ? `, on ${about}` : ''}`;
    case 'done':
      return `finished ${about}`;
    case 'reopened':
      return `reopened ${about}`;
    case 'order': {
      const made = /^made (as .+)$/.exec(said);
      return made ? `created the order ${made[1] ?? ''}` : withText('changed the order', '', said);
    }
  }
}
