import type { DraftFields } from '@wergon/contract/timesheet';
import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import { readSlip, secondsOf, useSlips } from './useSlips.ts';

jest.mock('@vueuse/core', () => ({ useDebounceFn: <T>(work: T) => work }));
jest.mock('../kit/callRoute.ts', () => jest.requireActual('../kit/fakeServer.fixture.ts'));

const slip = (more: Partial<DraftFields> = {}): DraftFields => ({
  technician: 'ada',
  personText: 'Ada',
  target: 'w1-10',
  targetText: '1001 Strip',
  workType: 'run',
  day: '2026-03-02',
  from: '',
  to: '',
  hours: '1:30',
  good: '',
  scrap: '',
  note: '',
  ...more,
});
let kept = 0;
beforeEach(() => {
  kept = 0;
  server.calls = [];
  server.answer = ({ name }) =>
    name === 'drafts' ? { drafts: [] } : name === 'saveDraft' ? { id: `d${(kept += 1)}` } : { person: null };
});
const saved = () => bodies().filter(([name]) => name === 'saveDraft');

test.each<[more: Partial<DraftFields>, isWhole: boolean, why: string]>([
  [{}, true, 'nothing is missing'],
  [{ technician: '' }, false, 'nobody was found'],
  [{ target: '' }, false, 'nor what was worked on'],
  [{ day: 'monday' }, false, 'a day that cannot be read'],
  [{ hours: '' }, false, 'no hours'],
  [{ hours: '0' }, false, 'hours of nothing'],
  [{ hours: 'a while' }, false, 'hours that are none'],
  [{ hours: '1,5' }, true, 'hours as hands write them'],
  [{ hours: '', from: '7:00', to: '9:00' }, true, 'a start and an end'],
  [{ hours: '', from: '700', to: '0900' }, true, 'clock times as hands write them'],
  [{ from: '7:00' }, false, 'a start without an end'],
  [{ from: '7:00', to: '25:00' }, false, 'no time of day'],
  [{ good: '12', scrap: '1' }, true, 'pieces'],
  [{ good: 'a dozen' }, false, 'pieces that are no number'],
])('a slip with %j is whole: %s (%s)', (more, isWhole) =>
  expect(readSlip(slip(more)) !== undefined).toBe(isWhole),
);

test.each<[more: Partial<DraftFields>, seconds: number]>([
  [{}, 5400],
  [{ from: '7:00', to: '9:30' }, 9000],
  [{ from: '22:00', to: '6:00' }, 28_800],
  [{ from: '7:00' }, 0],
])('a slip with %j comes to %i seconds', (more, seconds) => expect(secondsOf(slip(more))).toBe(seconds));

test('what a slip records are its times where it has them, else its hours', () => {
  expect(readSlip(slip({ good: '3', note: 'by hand' }))).toMatchObject({
    seconds: 5400,
    good: 3,
    note: 'by hand',
  });
  const timed = readSlip(slip({ from: '7:00', to: '9:00' }));
  expect(timed).toMatchObject({ from: 25_200, to: 32_400, scrap: 0 });
  expect(timed).not.toHaveProperty('seconds');
});

test('what was kept stands there again, with an empty line behind it', async () => {
  server.answer = () => ({
    drafts: [
      { id: 'd7', at: '2026-03-02T08:00:00Z', by: 'Sol', isOwn: true, fields: slip({ technician: '' }) },
    ],
  });
  const slips = useSlips();
  expect(slips.isLoaded.value).toBe(false);
  await slips.load();
  expect(slips.rows.value.map(({ id, hours }) => [id, hours])).toEqual([
    ['d7', '1:30'],
    [null, ''],
  ]);
});

test('a page that cannot read what was kept says so and lets nothing be typed', async () => {
  server.answer = () => {
    throw new CallFailed(null);
  };
  const slips = useSlips();
  await slips.load();
  expect([slips.isLoaded.value, slips.problem.value]).toEqual([false, 'The server does not answer']);
});

test('a row is kept once it holds something, again only when it changed, and an empty one never', async () => {
  const slips = useSlips();
  await slips.load();
  const [row] = slips.rows.value;
  if (!row) throw new Error('no row');
  await slips.keep();
  expect(saved()).toEqual([]);
  Object.assign(row, slip({ technician: '' }));
  await slips.keep();
  await slips.keep();
  expect(saved()).toHaveLength(1);
  row.hours = '2:00';
  await slips.keep();
  expect(saved().map(([, body]) => (body as { id: string | null }).id)).toEqual([null, 'd1']);
});

test('a row that could not be kept says so, and is kept at the next try', async () => {
  const slips = useSlips();
  await slips.load();
  Object.assign(slips.rows.value[0] ?? {}, slip());
  server.answer = () => {
    throw new CallFailed(null);
  };
  await slips.keep();
  expect(slips.problem.value).toBe('Not kept yet: The server does not answer');
  server.answer = () => ({ id: 'd9' });
  await slips.keep();
  expect([slips.problem.value, slips.rows.value[0]?.id]).toEqual(['', 'd9']);
});

test('sums by person are of whole lines, as the paper has them', async () => {
  const slips = useSlips();
  await slips.load();
  const lines = [slip(), slip({ hours: '0:45' }), slip({ personText: 'Bo' }), slip({ target: '' })];
  lines.forEach((line, i) => {
    if (i > 0) slips.append();
    Object.assign(slips.rows.value[i] ?? {}, line);
  });
  expect(slips.complete.value).toHaveLength(3);
  expect(slips.sums.value).toEqual([
    { name: 'Ada', seconds: 8100 },
    { name: 'Bo', seconds: 5400 },
  ]);
});

test('the next line begins with the person and day of the one before; what was recorded goes, the rest stays', async () => {
  const slips = useSlips();
  await slips.load();
  Object.assign(slips.rows.value[0] ?? {}, slip());
  slips.append();
  expect(slips.rows.value[1]).toMatchObject({ technician: 'ada', day: '2026-03-02', target: '', hours: '' });
  Object.assign(slips.rows.value[1] ?? {}, slip({ target: '', targetText: 'something' }));
  slips.forget(slips.complete.value);
  expect(slips.rows.value.map(({ targetText }) => targetText)).toEqual(['something', '']);
});

test('a dropped row is gone on the server too, and the last one leaves an empty line', async () => {
  server.answer = ({ name }) =>
    name === 'drafts'
      ? { drafts: [{ id: 'd7', at: '2026-03-02T08:00:00Z', by: 'Sol', isOwn: true, fields: slip() }] }
      : null;
  const slips = useSlips();
  await slips.load();
  for (const row of [...slips.rows.value]) await slips.drop(row);
  expect(server.calls.at(-1)).toMatchObject({ name: 'dropDraft', options: { params: { draft: 'd7' } } });
  expect(slips.rows.value).toHaveLength(1);
});

test('rows of others stand apart until they are taken over', async () => {
  const own = { id: 'd1', at: '2026-03-02T08:00:00Z', by: 'Sol', isOwn: true, fields: slip() };
  let other = { ...own, id: 'd2', by: 'Mikko', isOwn: false };
  server.answer = ({ name }) => {
    if (name === 'takeDraft') other = { ...other, isOwn: true };
    return name === 'drafts' ? { drafts: [own, other] } : null;
  };
  const slips = useSlips();
  await slips.load();
  expect([slips.rows.value.map(({ id }) => id), slips.others.value.map(({ id }) => id)]).toEqual([
    ['d1', null],
    ['d2'],
  ]);
  await slips.takeOver(slips.others.value);
  expect([slips.rows.value.map(({ id }) => id), slips.others.value]).toEqual([['d1', 'd2', null], []]);
});
