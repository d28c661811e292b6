import fc from 'fast-check';
import { sumCents, toCents, toRate } from '../money/money.ts';
import { addDays } from '../time/day.ts';
import { sumSeconds, toSeconds } from '../time/seconds.ts';
import { costLine, findIdleCosts } from './costing.ts';
import type { SetCost } from './costing.ts';
import { deriveLedger, derivePerson } from './derive.ts';
import { AT_REST } from './fold.ts';
import { inOrderOfTime } from './effective.ts';
import type { HoursEntry, LaborEntry } from './entries.ts';
import { THE_END, anyEntries, clock, factsWith, target, technician, zone } from './shop.fixture.ts';

const ada = technician('ada');
const monday = zone.dayAt(clock(8));
const line = { target: target('a'), workType: 'run', day: monday, seconds: toSeconds(3600) } as const;
const rates = [{ from: monday, rate: toRate(360_000) }];
const set = (more: Partial<SetCost> = {}): SetCost => ({ ...line, cost: toCents(5000), ...more });

test.each<[what: string, setCosts: readonly SetCost[], withRate: boolean, cost: number | null]>([
  ['nothing set: its rate says', [], true, 3600],
  ['set by hand', [set()], true, 5000],
  ['set to nothing', [set({ cost: toCents(0) })], true, 0],
  ['set where there is no rate', [set()], false, 5000],
  ['neither set nor a rate', [], false, null],
  ['set for other time', [set({ seconds: toSeconds(3599) })], true, 3600],
  ['set for another task', [set({ target: target('b') })], true, 3600],
  ['set for another day', [set({ day: addDays(monday, 1) })], true, 3600],
  ['set for other work on it', [set({ workType: 'setup' })], true, 3600],
])('a line whose cost is %s', (_what, setCosts, withRate, cost) => {
  expect(costLine(line, { rates: withRate ? rates : [], setCosts })).toBe(cost);
});

test('a cost that was set for other time is a loose end of its day, with the time it was set for', () => {
  const measured = {
    ...line,
    technician: ada,
    measuredSeconds: line.seconds,
    sharedSeconds: toSeconds(0),
    enteredSeconds: toSeconds(0),
    cost: toCents(3600),
  };
  expect(findIdleCosts(ada, [set()], [measured])).toEqual([]);
  for (const lines of [[], [{ ...measured, seconds: toSeconds(1) }]])
    expect(findIdleCosts(ada, [set()], lines)).toEqual([
      {
        kind: 'cost-changed',
        technician: ada,
        target: line.target,
        about: 'run',
        entries: [],
        day: monday,
        seconds: 3600,
      },
    ]);
});

test('costs set by hand move no time, hold where nothing else changed, and are gone when taken back', () => {
  fc.assert(
    fc.property(anyEntries, fc.array(fc.nat(100_000)), (entries, amounts) => {
      const own = entries.filter(({ technician: who }) => who === ada);
      const isHours = (entry: LaborEntry): entry is HoursEntry => entry.type === 'hours';
      const past = {
        technician: ada,
        state: AT_REST,
        timed: inOrderOfTime(own.filter((entry) => entry.type !== 'hours')),
        hours: own.filter(isHours),
      };
      const before = derivePerson(past, factsWith(), THE_END);
      const setCosts = before.lines
        .slice(0, amounts.length)
        .map((each, i) => ({ ...each, cost: toCents(amounts[i] ?? 0) }));
      const after = derivePerson({ ...past, setCosts }, factsWith(), THE_END);
      expect(sumSeconds(after.lines)).toBe(sumSeconds(before.lines));
      expect(sumCents(after.lines)).toBe(sumCents(setCosts) + sumCents(before.lines.slice(setCosts.length)));
      expect(after.looseEnds.filter(({ kind }) => kind === 'cost-changed')).toEqual([]);
      expect(derivePerson({ ...past, setCosts: [] }, factsWith(), THE_END)).toEqual(before);
      expect(deriveLedger(own, factsWith(), THE_END).lines).toEqual(before.lines);
    }),
  );
});
