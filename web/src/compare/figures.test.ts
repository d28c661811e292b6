import { formatHours, toSeconds } from '@wergon/core/time';
import { FILTERS, ORDERS, overHours, sayBalance, sayOrderBalance, yardstickWords } from './figures.ts';

const HOUR = 3600;
const hours = (seconds: number) => formatHours(toSeconds(seconds), 'h:mm');
const comparison = (figures: object) => ({
  estimatedSeconds: 2 * HOUR,
  actualSeconds: 0,
  outsideSeconds: 0,
  remainingSeconds: 0,
  overSeconds: 0,
  underSeconds: 0,
  isLow: false,
  estimatedCost: '0.00',
  actualCost: '0.00',
  outsideCost: '0.00',
  costDifference: '0.00',
  uncostedLines: 0,
  costs: 'standard' as const,
  ...figures,
});

test.each<[figures: object, hasEstimate: boolean, words: string, why: string]>([
  [{ remainingSeconds: HOUR }, true, '1:00 left', 'open work has hours left'],
  [{ remainingSeconds: HOUR, isLow: true }, true, '1:00 left, running low', 'and says so when they run low'],
  [{ overSeconds: HOUR }, true, '1:00 over', 'over is said as soon as it is true'],
  [
    { overSeconds: HOUR, remainingSeconds: 60 },
    true,
    '1:00 over, 0:01 left',
    'over on one task with hours left on another says both',
  ],
  [{ overSeconds: HOUR, underSeconds: 60 }, true, '1:00 over, 0:01 under', 'and so does a finished order'],
  [{ underSeconds: HOUR }, true, '1:00 under', 'under is said of what is finished'],
  [{ overSeconds: 59, remainingSeconds: HOUR }, true, '1:00 left', 'seconds over are not said'],
  [{}, true, '0:00 even', 'neither over nor under'],
  [{ actualSeconds: HOUR, overSeconds: HOUR }, false, '1:00 used', 'without an estimate only what was used'],
])('%j, estimate %s: %s (%s)', (figures, hasEstimate, words) => {
  const { hours: length, word, also } = sayBalance(comparison(figures), hasEstimate, 'h:mm');
  expect(`${length} ${word}${also ? `, ${also}` : ''}`).toBe(words);
});

const over = (seconds: number) => ({ overSeconds: seconds });
const left = (seconds: number) => ({ remainingSeconds: seconds });
test.each<[tasks: object[], words: string, why: string]>([
  [
    [over(9 * HOUR), over(240), left(4.25 * HOUR), left(0)],
    '4:49 over, 9:04 over on 2 tasks, 4:15 left on others',
    'past its estimate as a whole',
  ],
  [
    [over(6 * HOUR), left(18 * HOUR), left(0)],
    '6:00 over, on 1 task, 18:00 left on others',
    'over on a task, and not as a whole',
  ],
  [
    [over(HOUR), { underSeconds: 1800 }],
    '0:30 over, 1:00 over on 1 task, 0:30 under on the other',
    'finished',
  ],
  [[over(HOUR), left(HOUR)], '1:00 over, on 1 task, 1:00 left on the other', 'just its estimate'],
  [[over(HOUR), over(HOUR)], '2:00 over', 'nothing else to say'],
  [[left(HOUR), left(HOUR)], '2:00 left', 'over nowhere'],
])('an order of %j: %s (%s)', (tasks, words) => {
  const sum = (figure: string) =>
    tasks.reduce(
      (all, task) => all + Number(Object.entries(task).find(([key]) => key === figure)?.[1] ?? 0),
      0,
    );
  const order = Object.fromEntries(
    ['overSeconds', 'remainingSeconds', 'underSeconds'].map((figure) => [figure, sum(figure)]),
  );
  const rows = tasks.map((task) => ({ comparison: comparison(task) }));
  const { hours: length, word, also } = sayOrderBalance(comparison(order), rows, true, 'h:mm');
  expect(`${length} ${word}${also ? `, ${also}` : ''}`).toBe(words);
});

test('a yardstick says its figures to somebody who cannot see it', () => {
  const used = comparison({ actualSeconds: HOUR });
  expect(yardstickWords(used, true, hours)).toBe('1:00 used of 2:00 estimated');
  expect(yardstickWords(used, false, hours)).toBe('1:00 used, no estimate');
});

test('every state of an order is shown by one filter beside “All”', () => {
  const { all, ...others } = FILTERS;
  expect(
    Object.values(others)
      .flatMap(({ states }) => [...states])
      .sort(),
  ).toEqual([...all.states].sort());
});

test('what nobody has estimated is past no estimate, and stands behind what has one', () => {
  const row = (hasEstimate: boolean, figures: object) =>
    ({ hasEstimate, comparison: comparison(figures) }) as Parameters<(typeof ORDERS)['over']['compare']>[0];
  const unknown = row(false, { estimatedSeconds: 0, actualSeconds: HOUR, overSeconds: HOUR });
  const open = row(true, { actualSeconds: HOUR });
  const past = row(true, { actualSeconds: 3 * HOUR, overSeconds: HOUR });
  expect([unknown, open, past].map(overHours)).toEqual([0, 0, HOUR]);
  expect([unknown, open, past].sort(ORDERS.over.compare)).toEqual([past, open, unknown]);
});
