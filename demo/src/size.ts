import { MACHINES } from './sampleLists.ts';
import { PEOPLE } from './sampleShop.ts';
import type { Person } from './sampleShop.ts';

/** How big the sample shop is: who works in it, at which machines, and how many times the usual work comes in. */
export type Size = {
  readonly people: readonly Person[];
  readonly machines: typeof MACHINES;
  readonly share: number;
};

export const USUAL_SIZE: Size = { people: PEOPLE, machines: MACHINES, share: 1 };

/** Last names go on by so many with each round of first names, so that no two people have one name. */
const STEP = 7;

/** A shop of so many people: the usual ones, and others of their trades in proportion, with machines and work to match. */
export function sizeOf(count: number): Size {
  const names = PEOPLE.map(({ name }) => name.split(' '));
  const people = Array.from({ length: count }, (_each, i): Person => {
    const place = i % PEOPLE.length;
    const round = Math.floor(i / PEOPLE.length);
    const [usual, [first = ''] = [], [, last = ''] = []] = [
      PEOPLE[place],
      names[place],
      names[(place + round * STEP) % PEOPLE.length],
    ];
    return {
      name: '',
      department: 'Assembly',
      base: '20.00',
      ...usual,
      ...(round > 0 ? { name: `${first} ${last}` } : {}),
    };
  });
  const rounds = Math.ceil(count / PEOPLE.length);
  const machines = Array.from({ length: rounds }, (_each, round) =>
    MACHINES.map((machine) => (round === 0 ? machine : { ...machine, name: `${machine.name} ${round + 1}` })),
  ).flat();
  return { people, machines, share: count / PEOPLE.length };
}
