import type { LaborLine } from '../ledger/index.ts';
import { parseDay } from '../time/index.ts';
import { yearsOfWork } from './years.ts';

const line = (text: string, seconds: number, cost: number | null) => {
  const day = parseDay(text);
  if (!day.ok) throw new Error(text);
  return { day: day.value, seconds, cost } as unknown as LaborLine;
};

test('work counts in the year in which it was done, an order in every year that it was worked on', () => {
  const first = [line('2024-12-31', 3600, 4000), line('2025-01-01', 1800, 2000)];
  const second = [line('2025-06-01', 600, null), line('2025-06-02', 60, 100)];
  expect(yearsOfWork([{ lines: first }, { lines: second }])).toEqual([
    { year: 2025, orders: 2, usedSeconds: 2460, cost: 2100 },
    { year: 2024, orders: 1, usedSeconds: 3600, cost: 4000 },
  ]);
});

test('of what nobody worked on there is no year', () => {
  expect(yearsOfWork([{ lines: [] }])).toEqual([]);
});
