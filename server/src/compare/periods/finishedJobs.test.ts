import fc from 'fast-check';
import type { z } from 'zod';
import type { comparedCausesSchema, comparedJobsSchema } from '@wergon/contract/compare';
import { SEVEN, newId, openTestShop } from '../../app/testShop.fixture.ts';
import type { TestShop } from '../../app/testShop.fixture.ts';
import { readSql, writeSql } from '../../db/index.ts';
import { rebuild } from '../../ledger/index.ts';
import { keepJobs } from './keepJobs.ts';

type Jobs = z.input<typeof comparedJobsSchema>;
type Causes = z.input<typeof comparedCausesSchema>;

let shop: TestShop;
let mikko: string;
let grade: string;
beforeAll(async () => {
  shop = await openTestShop();
  mikko = await shop.addUser({ userName: 'mikko', role: 'supervisor' });
  grade = ((await shop.get('/api/people')).body as { grades: { id: string }[] }).grades[0]?.id ?? '';
  await shop.send(
    shop.scan('work-start', 0, shop.ada, [shop.strip]),
    { ...shop.scan('work-start', 30, shop.ada, [shop.strip]), workType: 'rework' },
    shop.scan('task-done', 60, shop.ada, [shop.strip]),
    shop.scan('work-start', 60, shop.bo, [shop.winding]),
    shop.scan('task-done', 75, shop.bo, [shop.winding]),
    shop.scan('work-stop', 75, shop.bo),
  );
});
afterAll(() => shop.close());

/** What is told of the week to who sees rates and to who does not, job by job and task by task; when, is left out. */
async function told() {
  const answers: unknown[] = [];
  for (const cookie of [shop.desk, mikko])
    for (const path of ['jobs?', 'causes?by=task&group=Strip&']) {
      const { body, status } = await shop.get(`/api/compare/${path}from=2026-03-02&to=2026-03-08`, cookie);
      expect(status).toBe(200);
      answers.push({ ...(body as Jobs | Causes), asOf: 0 });
    }
  return answers;
}
const keep = (more: Parameters<typeof keepJobs>[1] = {}) =>
  keepJobs(shop.context, { wait: () => Promise.resolve(), ...more });
const count = (table: 'finished_job' | 'due_job') =>
  readSql(shop.database, (sql) => sql.all<{ n: number }>(`select count(*) as "n" from "${table}"`)[0]?.n);
/** Nothing is kept, and everything is due. */
const forget = () =>
  writeSql(shop.database, (sql) => {
    sql.run('delete from "finished_job"');
    sql.run('insert into "due_job" select "id" from "work_order" where true on conflict do nothing');
  });

let drawn = 0;
/** One minute after the other, so that every scan comes after the last. */
const nextMinute = () => 100 + (drawn += 1);
async function send(...entries: object[]) {
  shop.clock.set((SEVEN + nextMinute() * 60) * 1000);
  const { status, body } = await shop.send(...entries);
  expect([status, body]).toMatchObject([200, {}]);
}
const order = () => shop.get(`/api/work/${shop.order}`);
async function saveOrder(change: (tasks: Record<string, unknown>[]) => Record<string, unknown>) {
  const { order: was, tasks } = (await order()).body as {
    order: { version: number };
    tasks: { id: string; runHours: string }[];
  };
  const draft = shop.newOrder('1001');
  const own = draft.tasks.map((task, i) => ({ ...task, id: tasks[i]?.id, runHours: tasks[i]?.runHours }));
  const saved = await shop.post(`/api/work/${shop.order}`, {
    version: was.version,
    ...draft,
    tasks: own,
    ...change(own),
  });
  expect([saved.status, saved.body]).toMatchObject([200, {}]);
}
const setRate = (base: string) =>
  shop.post(`/api/people/${shop.bo}/rates`, {
    record: { from: '2026-01-01', per: 'hour', base, grade },
    replaces: '2026-01-01',
    isPastAgreed: true,
  });
let hours = 1;
let rate = 36;

const CHANGES: Readonly<Record<string, () => Promise<unknown>>> = {
  'somebody works on it again': () =>
    send(
      shop.scan('work-start', nextMinute(), shop.ada, [shop.winding]),
      shop.scan('work-stop', nextMinute(), shop.ada),
    ),
  'somebody is on it': () => send(shop.scan('work-start', nextMinute(), shop.bo, [shop.strip])),
  'nobody is on it': () => send(shop.scan('work-stop', nextMinute(), shop.bo)),
  'hours are written down': () =>
    shop.correct({
      id: newId(),
      type: 'hours',
      day: '2026-03-02',
      seconds: 600 * (hours += 1),
      technician: shop.ada,
      targets: [shop.winding],
    }),
  'what a line costs is set by hand': async () => {
    const { tasks } = (await order()).body as {
      tasks: {
        id: string;
        lines: { technician: string; workType: string; day: string; seconds: number }[];
      }[];
    };
    const line = tasks[0]?.lines.find(({ technician }) => technician === shop.ada);
    const { status } = await shop.post('/api/ledger/costs', {
      technician: shop.ada,
      target: shop.strip,
      workType: line?.workType,
      day: line?.day,
      seconds: line?.seconds,
      amount: `${(rate += 1)}.00`,
      reason: 'agreed',
    });
    expect(status).toBe(200);
  },
  'pieces are reported': () =>
    send({ ...shop.scan('count', nextMinute(), shop.ada, [shop.strip]), good: 3, scrap: 1 }),
  'a task is taken up again and finished': () =>
    send(
      shop.scan('task-reopen', nextMinute(), shop.bo, [shop.winding]),
      shop.scan('task-done', nextMinute(), shop.bo, [shop.winding]),
    ),
  'a task is taken up again': () => send(shop.scan('task-reopen', nextMinute(), shop.ada, [shop.strip])),
  'it is finished': () => send(shop.scan('task-done', nextMinute(), shop.ada, [shop.strip])),
  'an estimate changes': () =>
    saveOrder((tasks) => ({ tasks: tasks.map((task) => ({ ...task, runHours: String((hours += 1)) })) })),
  'what an estimate includes changes': () =>
    saveOrder(() => ({ estimateIncludes: (hours += 1) % 2 === 0 ? ['setup', 'rework'] : ['setup'] })),
  'a rate of days gone by changes': () => setRate(`${(rate += 1)}.00`),
  'a standard rate changes': () =>
    shop.post(`/api/grades/${grade}`, { name: 'Winder', standardRate: `${(rate += 1)}.00` }),
  'all is derived anew': async () =>
    rebuild(shop.database, await shop.context.facts.get(), shop.context.clock.now()),
};
type Change = keyof typeof CHANGES;

async function isTheSameDerived(): Promise<void> {
  const before = await told();
  await keep();
  const kept = await told();
  expect(kept).toEqual(before);
  await forget();
  expect(await told()).toEqual(kept);
}

test('a job that is finished is kept once, for who sees rates and for who does not', async () => {
  await keep();
  expect([await count('finished_job'), await count('due_job')]).toEqual([2, 0]);
  await keep();
  expect(await count('finished_job')).toBe(2);
  const [jobs] = (await told()) as [Jobs];
  expect(jobs.jobs).toMatchObject([{ number: '1001', taskCount: 2 }]);
});

test.each(Object.keys(CHANGES))('%s: what is told is what is derived, kept or not', async (change) => {
  await keep();
  await CHANGES[change]?.();
  await isTheSameDerived();
});

test('after any changes, kept in between or not, what is told is what is derived', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(
        fc.record({ change: fc.constantFrom<Change>(...Object.keys(CHANGES)), isKept: fc.boolean() }),
        {
          minLength: 1,
          maxLength: 6,
        },
      ),
      async (steps) => {
        for (const { change, isKept } of steps) {
          if (isKept) await keep();
          await CHANGES[change]?.();
        }
        await isTheSameDerived();
      },
    ),
    { numRuns: 12 },
  );
});

test('what somebody is on stays due, and is kept when nobody is', async () => {
  await CHANGES['it is finished']?.();
  await CHANGES['nobody is on it']?.();
  await keep();
  expect(await count('finished_job')).toBe(2);
  await CHANGES['somebody is on it']?.();
  await CHANGES['pieces are reported']?.();
  await keep();
  expect([await count('finished_job'), await count('due_job')]).toEqual([0, 1]);
  await CHANGES['nobody is on it']?.();
  await keep();
  expect([await count('finished_job'), await count('due_job')]).toEqual([2, 0]);
});

test('two that keep at once do not get in each other’s way, and one that is told to end does', async () => {
  await forget();
  await keep({ isEnded: () => true });
  expect(await count('due_job')).toBeGreaterThan(0);
  await Promise.all([keep(), keep(), keep()]);
  expect([await count('finished_job'), await count('due_job')]).toEqual([2, 0]);
});

test('an order that is taken out of the database leaves nothing kept', async () => {
  await keep();
  await writeSql(shop.database, (sql) => sql.run('delete from "work_order" where "id" = ?', [shop.order]));
  expect(await count('finished_job')).toBe(0);
});
