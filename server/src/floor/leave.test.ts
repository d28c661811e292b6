import type { FloorJson } from '@wergon/contract/floor';
import type { RequestsJson } from '@wergon/contract/station';
import { at, newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { readSql } from '../db/index.ts';
import { rebuild } from '../ledger/index.ts';

let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
});
afterEach(() => shop.close());

type Absence = { day: string; kind: string; isPaid: boolean; seconds: number | null };
type Person = {
  technician: string;
  messages: { leave: object | null; text: string; state: string | null }[];
  leave: { request: string; leave: object; isGranted: boolean }[];
};
const leave = { kind: 'holiday', from: '2026-03-16', to: '2026-03-18' };
const ask = (more: object = {}) => ({
  ...{ id: newId(), type: 'request', at: at(40), technician: shop.ada, what: 'time-off', target: null },
  ...{ text: 'a wedding', leave, ...more },
});
const help = () => ask({ what: 'help', text: '', leave: null });
const withdraw = (request: string, technician = shop.ada) => ({
  ...{ id: newId(), type: 'withdrawal', at: at(41), technician, request },
});
const asked = async (more: object = {}) => {
  const request = ask(more);
  await shop.send(request);
  return request.id;
};
const answer = (id: string, body: object, as?: string) =>
  shop.post(`/api/floor/requests/${id}/answer`, body, as);
const requests = async () => ((await shop.get('/api/floor/requests')).body as RequestsJson).requests;
const standing = async (id: string) => (await requests()).find((each) => each.id === id)?.leave?.standing;
const brief = async () => {
  const { people } = (await shop.get('/api/station/directory', shop.station)).body as { people: Person[] };
  return people.find(({ technician }) => technician === shop.ada);
};
const messages = async () => (await brief())?.messages ?? [];
const absences = async (who = shop.ada) =>
  ((await shop.get(`/api/people/${who}/plan`)).body as { absences: Absence[] }).absences;
const results = (response: Awaited<ReturnType<TestShop['send']>>) =>
  (response.body as { results: object[] }).results;

test('it is asked for with why and when, seen with who else is away, granted into the plan, and told at the badge', async () => {
  await shop.post(`/api/people/${shop.bo}/absences`, {
    ...{ from: '2026-03-17', to: '2026-03-20', kind: 'holiday', isPaid: true },
  });
  await shop.post('/api/shop/closed-days', { day: '2026-03-18', name: 'Founding day' });
  const id = await asked();
  expect((await requests())[0]).toMatchObject({
    ...{ what: 'time-off', text: 'a wedding' },
    leave: {
      ...leave,
      away: [{ name: 'Bo', days: 2 }],
      worked: [],
      closed: ['2026-03-18'],
      standing: 'asked',
    },
  });
  expect((await answer(id, { state: 'granted', text: 'enjoy it' })).status).toBe(200);
  expect(await absences()).toEqual(
    ['2026-03-16', '2026-03-17', '2026-03-18'].map((day) => ({
      ...{ day, kind: 'holiday', isPaid: true, seconds: null },
    })),
  );
  expect(await messages()).toMatchObject([{ leave, state: 'granted', text: 'enjoy it' }]);
  // Thought better of, it is out of the plan again.
  await answer(id, { state: 'refused', text: 'the big order came' });
  expect(await absences()).toEqual([]);
});

test('hours of one day are planned as such, and the rest of it is worked', async () => {
  const pattern = Array.from({ length: 7 }, () => ({ startMinute: 420, endMinute: 930, breakMinutes: 30 }));
  await shop.post(`/api/people/${shop.ada}/patterns`, { from: '2026-01-05', weeks: [pattern] });
  const id = await asked({ leave: { ...leave, to: leave.from, seconds: 10_800 } });
  await answer(id, { state: 'granted' });
  expect(await absences()).toMatchObject([{ day: leave.from, seconds: 10_800 }]);
  const { days } = (await shop.get(`/api/people/${shop.ada}/plan`)).body as {
    days: { day: string; kind: string; plannedSeconds: number }[];
  };
  expect(days.filter(({ day }) => day === leave.from)).toMatchObject([
    { kind: 'work', plannedSeconds: 5 * 3600 },
  ]);
  // Nobody has said which part of the day: they are missed three hours later, at ten.
  const { people } = (await shop.get(`/api/floor?day=${leave.from}`)).body as FloorJson;
  expect(people.find(({ technician }) => technician === shop.ada)).toMatchObject({
    isAway: false,
    planned: { from: '2026-03-16T09:00:00Z', to: '2026-03-16T14:30:00Z' },
  });
});

test('refused, it takes nothing out of the plan that it was not granted', async () => {
  const before = { from: '2026-03-17', to: '2026-03-17', kind: 'holiday', isPaid: true };
  await shop.post(`/api/people/${shop.ada}/absences`, before);
  expect((await answer(await asked(), { state: 'refused' })).status).toBe(200);
  expect((await absences()).map(({ day }) => day)).toEqual(['2026-03-17']);
});

test('granted twice at once it stands in the plan once, and the last word is what is told', async () => {
  const id = await asked();
  const once = 'the-same-press-of-one-button';
  const both = await Promise.all([1, 2].map(() => answer(id, { state: 'granted', once })));
  expect(both.map(({ status }) => status)).toEqual([200, 200]);
  await answer(id, { text: 'see you' });
  await Promise.all([answer(id, { state: 'refused' }), answer(id, { state: 'granted' })]);
  const [told] = await messages();
  expect((await absences()).length).toBe(told?.state === 'granted' ? 3 : 0);
  await answer(id, { state: 'refused' });
  expect(await absences()).toEqual([]);
});

test('days that were worked already are told to whoever grants it', async () => {
  await shop.send(shop.scan('work-start', 41, shop.ada, [shop.strip]), shop.scan('work-stop', 42, shop.ada));
  await asked({ leave: { kind: 'sick', from: '2026-03-03', to: '2026-03-03' } });
  expect((await requests())[0]?.leave?.worked).toEqual(['2026-03-03']);
});

test('what is left of the year stands beside it, and what it takes', async () => {
  const pattern = Array.from({ length: 7 }, (_day, i) =>
    i < 5 ? { startMinute: 420, endMinute: 930, breakMinutes: 30 } : null,
  );
  await shop.post(`/api/people/${shop.ada}/patterns`, { from: '2026-01-05', weeks: [pattern] });
  await asked();
  expect((await requests())[0]?.leave?.balance).toBeNull();
  await shop.post(`/api/people/${shop.ada}/leave`, { year: 2026, kind: 'holiday', hours: '20' });
  expect((await requests())[0]?.leave?.balance).toEqual({ left: 20 * 3600, takes: 24 * 3600 });
});

test('whoever sees neither people nor may decide on it is not told of it', async () => {
  const id = await asked();
  const call = help();
  await shop.send(call);
  const floor = await shop.addUser({ userName: 'ada', role: 'technician', technician: shop.bo });
  const told = ((await shop.get('/api/floor/requests', floor)).body as RequestsJson).requests;
  expect(told.map((each) => each.id)).toEqual([call.id]);
  const planner = await shop.addUser({ userName: 'pia', role: 'planner' });
  const seen = ((await shop.get('/api/floor/requests', planner)).body as RequestsJson).requests;
  expect(seen.map((each) => each.id)).toContain(id);
});

test('it is granted by whoever may plan people or approve time, and by nobody for themselves', async () => {
  const id = await asked();
  const own = await shop.addUser({ userName: 'ada', role: 'supervisor', technician: shop.ada });
  expect((await answer(id, { state: 'granted' }, own)).status).toBe(403);
  expect((await answer(id, { state: 'here' })).body).toMatchObject({ errors: [{ field: 'state' }] });
  expect(await absences()).toEqual([]);
  // A word alone decides nothing.
  expect((await answer(id, { text: 'let us talk' })).status).toBe(200);
  expect(await standing(id)).toBe('asked');
  expect(await absences()).toEqual([]);
});

describe('taken back', () => {
  test('before it is answered it waits for nobody any more, and is not granted', async () => {
    const id = await asked();
    expect(await brief()).toMatchObject({ leave: [{ request: id, leave, isGranted: false }] });
    expect(results(await shop.send(withdraw(id)))).toMatchObject([{ result: 'recorded' }]);
    expect(await standing(id)).toBeUndefined();
    expect((await brief())?.leave).toEqual([]);
    expect((await answer(id, { state: 'granted' })).body).toMatchObject({
      type: 'urn:wergon:leave.taken_back',
    });
    expect(await absences()).toEqual([]);
  });

  test('after it was granted it waits to be taken out of the plan, or stays', async () => {
    const id = await asked();
    expect((await answer(id, { state: 'taken-out' })).body).toMatchObject({
      type: 'urn:wergon:leave.still_wanted',
    });
    await answer(id, { state: 'granted', isPaid: false });
    await shop.send(withdraw(id));
    expect(await standing(id)).toBe('not-wanted');
    // It stays as it was granted.
    await answer(id, { state: 'granted' });
    expect((await absences()).map(({ isPaid }) => isPaid)).toEqual([false, false, false]);
    await shop.send(withdraw(id));
    await answer(id, { state: 'taken-out' });
    expect([await absences(), await standing(id)]).toEqual([[], undefined]);
    expect(await messages()).toMatchObject([{ state: 'taken-out' }]);
  });

  test.each<[why: string, of: (id: string) => object]>([
    ['of somebody else', (id) => withdraw(id, shop.bo)],
    ['that nobody made', () => withdraw(newId())],
  ])('a request %s is refused by its field', async (_why, of) => {
    const id = await asked();
    expect(results(await shop.send(of(id)))).toMatchObject([
      { result: 'refused', problem: { errors: [{ field: 'request' }] } },
    ]);
    expect(await standing(id)).toBe('asked');
  });

  test('how it stands is derived anew from the journal alone', async () => {
    const ids = [
      await asked(),
      await asked(),
      await asked({ leave: { ...leave, to: leave.from, seconds: 60 } }),
    ];
    await answer(ids[0] ?? '', { state: 'granted' });
    await shop.send(withdraw(ids[0] ?? ''), withdraw(ids[1] ?? ''));
    const rows = () =>
      readSql(shop.database, (sql) => sql.all('select * from "leave_request" order by "request"'));
    const before = await rows();
    expect(before).toHaveLength(3);
    await rebuild(shop.database, await shop.context.facts.get(), shop.clock.now());
    expect(await rows()).toEqual(before);
  });
});

test.each([
  [{ leave: null }, 'entry.leave'],
  [{ leave: { ...leave, to: '2026-03-15' } }, 'entry.leave.to'],
  [{ leave: { ...leave, to: '2028-03-15' } }, 'entry.leave.to'],
  [{ leave: { ...leave, kind: 'bored' } }, 'entry.leave.kind'],
  [{ leave: { ...leave, from: 'soon' } }, 'entry.leave.from'],
  [{ leave: { ...leave, seconds: 0 } }, 'entry.leave.seconds'],
  [{ leave: { ...leave, seconds: 90_000 } }, 'entry.leave.seconds'],
])('%j is refused by its field', async (more, field) => {
  const [bad] = results(await shop.send(ask(more)));
  expect(bad).toMatchObject({ result: 'refused', problem: { errors: [{ field }] } });
});

test('it stays to be answered however much else is asked for since, and its answer is told for days', async () => {
  const id = await asked();
  const calls = Array.from({ length: 120 }, help);
  await shop.send(...calls);
  const all = await requests();
  expect(all.filter((each) => each.id === id)).toMatchObject([{ leave, answer: null }]);
  // As many of the others as a page shows.
  expect(all).toHaveLength(101);
  await answer(id, { state: 'refused', text: 'not that week' });
  for (const call of calls) await answer(call.id, { text: 'on my way' });
  expect((await messages()).filter((each) => each.leave)).toMatchObject([{ text: 'not that week' }]);
  // Help is no matter of days.
  shop.clock.set((shop.clock.now() + 3 * 86_400) * 1000);
  expect(await messages()).toMatchObject([{ leave, state: 'refused', text: 'not that week' }]);
  shop.clock.set((shop.clock.now() + 5 * 86_400) * 1000);
  expect(await messages()).toEqual([]);
});
