import fc from 'fast-check';
import { sumCents } from '../money/money.ts';
import { sumSeconds } from '../time/seconds.ts';
import { deriveLedger } from './derive.ts';
import { joinLines } from './joinLines.ts';
import { TECHNICIANS, THE_END, anyJournal, factsWith } from './shop.fixture.ts';

const [ada, bo] = TECHNICIANS;

test('whoever is hidden, lines come to the same in seconds and cents, and nobody hidden is named', () => {
  fc.assert(
    fc.property(anyJournal, fc.subarray([ada, bo]), (journal, hidden) => {
      const { lines } = deriveLedger(journal, factsWith(), THE_END);
      const told = joinLines(lines, (id) => hidden.includes(id));
      expect(sumCents(told)).toBe(sumCents(lines));
      for (const part of ['seconds', 'measuredSeconds', 'sharedSeconds', 'enteredSeconds'] as const)
        expect(sumSeconds(told.map((line) => ({ seconds: line[part] })))).toBe(
          sumSeconds(lines.map((line) => ({ seconds: line[part] }))),
        );
      for (const { technician } of told)
        expect(technician === null ? hidden.length > 0 : !hidden.includes(technician)).toBe(true);
      // Each of the others once by what they did, that day, on that work.
      const keys = told
        .filter(({ technician }) => technician === null)
        .map(({ target, day, workType }) => `${target} ${day} ${workType}`);
      expect(new Set(keys).size).toBe(keys.length);
    }),
  );
});

test('with nobody hidden the lines are what they were', () => {
  fc.assert(
    fc.property(anyJournal, (journal) => {
      const { lines } = deriveLedger(journal, factsWith(), THE_END);
      expect(joinLines(lines, () => false)).toEqual(lines);
    }),
  );
});
