import { clock, entryId, target, technician } from '../ledger/shop.fixture.ts';
import type { Entry } from '../ledger/entries.ts';
import type { Change } from './likelyAnswers.ts';

export const ada = technician('ada');

/** A journal as words: what, and the hour; a task's name where there is one. */
export const journal = (words: string): readonly Entry[] =>
  words.split(', ').map((word, i) => {
    const [type = '', hour = '', name] = word.split(' ');
    const at = clock(Number(hour));
    const named = name ? { targets: [target(name)] } : {};
    return { id: entryId(`e${i + 1}`), type, at, technician: ada, ...named } as Entry;
  });

/** A change as words: what, of which entry, and the hour. */
export const say = (change: Change): string => {
  const at = 'at' in change ? change.at : change.type === 'amend' ? change.set.at : undefined;
  const hour = at == null ? '' : ` ${Math.round(((at - clock(0)) / 3600) * 1e4) / 1e4}`;
  return `${change.type}${'target' in change ? ` ${change.target}` : ''}${hour}`;
};
