import type { z } from 'zod';
import type { TrailJson, LineDetail } from '@wergon/contract/ledger';
import type { AccountedJson } from '@wergon/contract/attendance';
import type { ApprovalsJson } from '@wergon/contract/approval';
import type { JobWeekJson, WeekJson } from '@wergon/contract/timesheet';
import type { personDaySchema } from '@wergon/contract/tape';
import type { OrderJson, storySchema } from '@wergon/contract/compare';
import { SEVEN, at, cookieOf, newId, openTestShop } from './testShop.fixture.ts';
import type { TestShop } from './testShop.fixture.ts';
import { writeSql } from '../db/sql.ts';

// Ada was signed in from 7:00 to 8:30, on Strip for an hour of it; Bo wrote half an hour of Winding down.
let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
  await shop.send(
    shop.scan('shift-in', 0, shop.ada),
    shop.scan('work-start', 0, shop.ada, [shop.strip]),
    shop.scan('work-stop', 60, shop.ada),
    shop.scan('shift-out', 90, shop.ada),
  );
  await shop.post('/api/reconcile/hours', {
    rows: [
      {
        entry: null,
        technician: shop.bo,
        target: shop.winding,
        workType: 'run',
        day: '2026-03-03',
        seconds: 1800,
      },
    ],
  });
});
afterEach(() => shop.close());
const read = async <T>(path: string) => (await shop.get(path)).body as T;

test('accounted: attended, on jobs, written down, and what found no work, by person and department', async () => {
  const { people, departments, total } = await read<AccountedJson>(
    '/api/reconcile/accounted?from=2026-03-03&to=2026-03-03',
  );
  expect(people).toMatchObject([
    { name: 'Ada', attendedSeconds: 5400, jobSeconds: 3600, unaccountedSeconds: 1800, outsideSeconds: 0 },
    {
      name: 'Bo',
      attendedSeconds: 0,
      jobSeconds: 1800,
      enteredSeconds: 1800,
      outsideSeconds: 1800,
      share: null,
    },
  ]);
  expect(total.share).toBeCloseTo(2 / 3);
  expect(total.unapprovedSeconds).toBe(3600 + 1800);
  expect(departments).toMatchObject([
    { department: 'Winding', attendedSeconds: 5400, unaccountedSeconds: 1800 },
  ]);
});

test('a job’s week holds everybody: who scanned on it, who wrote it down, and who may', async () => {
  const week = await read<JobWeekJson>(`/api/reconcile/job-week?target=${shop.winding}&day=2026-03-05`);
  expect(week).toMatchObject({ title: '1001 Winding', totalSeconds: 1800 });
  expect(week.people.map(({ name, totalSeconds }) => [name, totalSeconds])).toEqual([
    ['Ada', 0],
    ['Bo', 1800],
  ]);
  expect(week.people[1]?.cells[1]?.entered).toMatchObject([{ seconds: 1800 }]);
});

test('the trail is the journal, newest first, with what a correction changed and why; filters narrow it', async () => {
  const [stop] = (await read<TrailJson>('/api/ledger/trail?type=work-stop')).entries;
  await shop.correct({
    id: newId(),
    type: 'amend',
    target: stop?.id,
    set: { at: at(50) },
    by: 'Sol',
    why: 'said so',
  });
  const { entries, next } = await read<TrailJson>('/api/ledger/trail');
  expect(next).toBeNull();
  expect(entries[0]).toMatchObject({
    type: 'amend',
    name: 'Ada',
    author: 'Sol',
    why: 'said so',
    changes: [{ field: 'at', before: at(60), after: at(50) }],
    // Of what: the stop at 8:00.
    of: { type: 'work-stop', at: at(60) },
  });
  const only = async (query: string) => (await read<TrailJson>(`/api/ledger/trail?${query}`)).entries.length;
  // The correction, and the hours that were added at the desk.
  expect(await only('corrections=only')).toBe(2);
  expect(await only(`technician=${shop.bo}`)).toBe(1);
  expect(await only('stream=decision')).toBe(0);
  expect(await only('before=3')).toBe(2);
});

test('the chain is walked in parts, and a changed entry is found', async () => {
  const walk = async (body: object) =>
    (await shop.post('/api/ledger/verify', body)).body as { broken: number | null };
  expect(await walk({ after: 0, hash: '' })).toMatchObject({ count: 5, total: 5, broken: null });
  await writeSql(shop.database, (sql) => {
    sql.run('drop trigger "journal_no_update"');
    sql.run(`update "journal" set "body" = replace("body", 'work-stop', 'work-stoq') where "seq" = 3`);
  });
  expect(await walk({ after: 0, hash: '' })).toMatchObject({ broken: 3 });
});

test('the story of a job tells who worked, what was noted and finished, day by day; of another job nothing', async () => {
  await shop.send(
    { ...shop.scan('note', 30, shop.ada, [shop.strip]), text: 'Slot 4 is burnt' },
    shop.scan('task-done', 61, shop.bo, [shop.strip]),
  );
  const { title, days } = await read<z.input<typeof storySchema>>(`/api/story?order=${shop.order}`);
  expect(title).toBe('1001 Rewind, Stock');
  const told = days.find(({ day }) => day === '2026-03-03')?.events ?? [];
  expect(told.map(({ kind, who, text }) => [kind, who, text])).toEqual(
    expect.arrayContaining([
      ['labor', 'Ada', ''],
      ['note', 'Ada', 'Slot 4 is burnt'],
      ['done', 'Bo', ''],
    ]),
  );
  // What still runs is told with what it has come to: Bo is on Winding for ten minutes.
  await shop.send(shop.scan('work-start', 90, shop.bo, [shop.winding]));
  const running =
    (await read<z.input<typeof storySchema>>('/api/story?day=2026-03-03')).days[0]?.events ?? [];
  expect(running).toContainEqual(
    expect.objectContaining({ kind: 'labor', who: 'Bo', about: '1001 Winding', seconds: 1800 + 600 }),
  );
  const { days: whole } = await read<z.input<typeof storySchema>>('/api/story?day=2026-03-03');
  expect(whole[0]?.events.filter(({ kind }) => kind === 'note')).toHaveLength(1);
  expect((await shop.get('/api/story')).status).toBe(422);
  expect((await shop.get('/api/story?order=none')).status).toBe(404);
});

test('the floor shows the latest scans with who and where, and what was planned', async () => {
  const { latest } = await read<{ latest: { name: string; station: string; about: string }[] }>(
    '/api/floor/latest',
  );
  // What was entered at the desk is no scan.
  expect(latest[0]).toMatchObject({ name: 'Ada', station: 'Winding 1' });
  expect(latest.every(({ name }) => name === 'Ada')).toBe(true);
});

test('an open stint left for thirteen hours reads the same everywhere: cut to twelve', async () => {
  const open = await openTestShop();
  await open.send(open.scan('work-start', 0, open.ada, [open.strip]));
  open.clock.set((SEVEN + 13 * 3600) * 1000);
  const desk = cookieOf(await open.post('/api/sign-in', { userName: 'sol', password: 'long enough' }, ''));
  const of = async <T>(path: string) => (await open.get(path, desk)).body as T;
  const [day, who] = ['2026-03-03', open.ada];
  const order = await of<OrderJson>(`/api/work/${open.order}`);
  const line = await of<LineDetail>(
    `/api/ledger/line?technician=${who}&target=${open.strip}&workType=run&day=${day}`,
  );
  const week = await of<WeekJson>(`/api/reconcile/week?technician=${who}&day=${day}`);
  const own = await of<z.input<typeof personDaySchema>>(`/api/reconcile/day?technician=${who}&day=${day}`);
  const job = await of<JobWeekJson>(`/api/reconcile/job-week?target=${open.strip}&day=${day}`);
  const accounted = await of<AccountedJson>(`/api/reconcile/accounted?from=${day}&to=${day}`);
  const approvals = await of<ApprovalsJson>(`/api/reconcile/approvals?from=${day}&to=${day}`);
  const unapproved = await of<{ seconds: number }>(`/api/work/${open.order}/unapproved`);
  const [stint] = own.stints;
  expect({
    order: order.tasks[0]?.comparison.actualSeconds,
    unapproved: unapproved.seconds,
    line: line.stints[0]?.seconds,
    week: week.rows[0]?.totalSeconds,
    day: (Date.parse(stint?.to ?? '') - Date.parse(stint?.from ?? '')) / 1000,
    job: job.totalSeconds,
    accounted: accounted.total.jobSeconds,
    approvals: approvals.people[0]?.days[0]?.chargedSeconds,
  }).toEqual(
    Object.fromEntries(
      ['order', 'unapproved', 'line', 'week', 'day', 'job', 'accounted', 'approvals'].map((each) => [
        each,
        12 * 3600,
      ]),
    ),
  );
  await open.close();
});
