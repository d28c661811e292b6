import type { z } from 'zod';
import type { EffectJson, looseEndsSchema } from '@wergon/contract/loose-ends';
import type { OrderJson } from '@wergon/contract/compare';
import { SEVEN, at, cookieOf, newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

// Each case is a shop of its own: Ada began at 7:00 and was never stopped, and it is the next morning.
let shop: TestShop;
/** The desk's cookie of that morning: the one of the day before has run out. */
let desk: string;
const get = (path: string) => shop.get(path, desk);
const post = (path: string, body: object) => shop.post(path, body, desk);
const signIn = async (userName: string) =>
  cookieOf(await shop.post('/api/sign-in', { userName, password: 'long enough' }, ''));
const start = () => shop.scan('work-start', 0, shop.ada, [shop.strip]);
beforeEach(async () => {
  shop = await openTestShop();
  const pattern = Array.from({ length: 7 }, () => ({ startMinute: 420, endMinute: 930, breakMinutes: 30 }));
  await shop.post(`/api/people/${shop.ada}/patterns`, { from: '2026-03-02', weeks: [pattern] });
  await shop.send(start());
  shop.clock.set((SEVEN + 24 * 3600) * 1000);
  desk = await signIn('sol');
});
afterEach(() => shop.close());

const page = async () =>
  (await get('/api/reconcile?from=2026-03-03&to=2026-03-04')).body as z.input<typeof looseEndsSchema>;
const forgotten = async () => (await page()).looseEnds.filter(({ kind }) => kind === 'forgotten-stop');
const order = async () => (await get(`/api/work/${shop.order}`)).body as OrderJson;
const seconds = async () => (await order()).tasks[0]?.comparison.actualSeconds;
const chosen = async (place = 0) => {
  const [end] = await forgotten();
  const answer = end?.answers[place];
  if (!end || !answer) throw new Error('nothing to answer');
  return {
    end: { kind: end.kind, technician: end.technician, target: end.targetId, from: end.from },
    ...answer,
  };
};

test('a forgotten stop is offered its planned end, and what that would do is shown before it is done', async () => {
  const answer = await chosen();
  expect(answer).toMatchObject({ reason: 'planned-end' });
  const { status, body } = await post('/api/reconcile/preview', { answers: [answer] });
  expect(status).toBe(200);
  const effect = body as EffectJson;
  expect(effect.lanes[0]?.before).toMatchObject([{ title: '1001 Strip', isTorn: true }]);
  expect(effect.lanes[0]?.after).toMatchObject([{ title: '1001 Strip', isTorn: false }]);
  expect(effect.jobs).toMatchObject([
    {
      title: '1001 Strip',
      beforeSeconds: 12 * 3600,
      afterSeconds: 8.5 * 3600,
      beforeCost: '432.00',
      afterCost: '306.00',
      // The task as a whole, against its estimate of an hour.
      task: { before: { overSeconds: 11 * 3600 }, after: { overSeconds: 7.5 * 3600, actualCost: '306.00' } },
    },
  ]);
  expect(effect.looseEndsAfter).toBeLessThan(effect.looseEndsBefore);
  expect(await seconds()).toBe(12 * 3600);
});

test('what was shown is what then happens, and undoing gives what was there', async () => {
  const answer = await chosen();
  const effect = (await post('/api/reconcile/preview', { answers: [answer] })).body as EffectJson;
  const { entries } = (await post('/api/reconcile/answer', { answers: [answer] })).body as {
    entries: string[];
  };
  expect(await forgotten()).toEqual([]);
  expect(await seconds()).toBe(effect.jobs[0]?.afterSeconds);
  await post('/api/reconcile/undo', { entries });
  expect(await forgotten()).toHaveLength(1);
  expect(await seconds()).toBe(12 * 3600);
});

test('the technician’s own word comes first', async () => {
  const [end] = await forgotten();
  const opened = (await shop.get('/api/station/directory', shop.station)).body as {
    technicians: { id: string; state: { doing: { entry?: string } } }[];
  };
  const about = opened.technicians.find(({ id }) => id === shop.ada)?.state.doing.entry;
  await shop.send({
    id: newId(),
    type: 'proposal',
    at: at(24 * 60),
    technician: shop.ada,
    about,
    kind: 'forgotten-stop',
    ended: at(9 * 60),
  });
  expect(end?.answers[0]?.reason).toBe('planned-end');
  const answer = await chosen();
  expect([answer.reason, Date.parse(answer.at ?? '')]).toEqual(['own-word', Date.parse(at(9 * 60))]);
});

test('an answer to what is no longer so is refused, and does nothing', async () => {
  const answer = await chosen();
  await shop.send(shop.scan('work-stop', 60, shop.ada));
  const before = await seconds();
  expect((await post('/api/reconcile/answer', { answers: [answer] })).status).toBe(409);
  expect(await seconds()).toBe(before);
});

test.each<[more: object, status: number, why: string]>([
  [{ reason: 'as-before' }, 409, 'an answer that was never offered'],
  [{ reason: 'because' }, 422, 'one that is none'],
  [{ at: '2026-03-03T08:00:00+01:00' }, 409, 'another instant than was shown'],
])('%j is refused with %i: %s', async (more, status) => {
  expect((await post('/api/reconcile/answer', { answers: [{ ...(await chosen()), ...more }] })).status).toBe(
    status,
  );
  expect(await forgotten()).toHaveLength(1);
});

test('only what one did oneself at the desk is taken back', async () => {
  const [scan] = (await shop.send(shop.scan('shift-in', 0, shop.bo))).body.results as { id: string }[];
  expect((await post('/api/reconcile/undo', { entries: [scan?.id] })).status).toBe(404);
  expect((await post('/api/reconcile/undo', { entries: ['nothing'] })).status).toBe(404);
});

test('whoever does not see rates sees hours and standard cost, and no cost that would tell a wage', async () => {
  const answer = await chosen();
  desk = await shop.addUser({ userName: 'mik', role: 'supervisor' });
  const effect = (await post('/api/reconcile/preview', { answers: [answer] })).body as EffectJson;
  expect(effect.jobs[0]).toMatchObject({
    beforeSeconds: 12 * 3600,
    // Twelve hours at the winders' standard rate.
    beforeCost: '600.00',
    costs: 'standard',
    task: { before: { actualCost: '600.00', costs: 'standard' }, after: { costs: 'standard' } },
  });
});

test('a loose end is accepted as it is, with a reason, is open again when that is withdrawn, and when it changes', async () => {
  const [end] = await forgotten();
  const key = {
    kind: end?.kind,
    technician: end?.technician,
    target: end?.targetId,
    from: end?.from,
    day: end?.day,
    about: null,
  };
  const seen = { from: '2026-03-03', to: '2026-03-04' };
  const accept = (reason: string) => post('/api/reconcile/accept', { ends: [key], reason, seen });
  expect((await accept(' ')).status).toBe(422);
  await shop.send(shop.scan('work-stop', 13 * 60, shop.ada));
  expect((await accept('the long test ran on')).status).toBe(200);
  expect(await forgotten()).toEqual([]);
  const { accepted } = await page();
  expect(accepted).toMatchObject([
    { kind: 'forgotten-stop', name: 'Ada', reason: 'the long test ran on', by: 'Sol' },
  ]);
  expect((await post('/api/reconcile/withdraw', { id: accepted[0]?.id })).status).toBe(200);
  expect(await forgotten()).toHaveLength(1);
  await accept('the long test ran on');
  const moved = shop.scan('work-stop', 12 * 60 + 30, shop.ada);
  await shop.send(moved);
  expect(await forgotten()).toHaveLength(1);
  expect((await page()).accepted).toEqual([]);
});

test('what the queue offers of a day with many loose ends is what each of them alone is offered', async () => {
  const people = [shop.ada, shop.bo];
  await shop.send(
    ...people.flatMap((who, i) => [
      shop.scan('work-stop', 61 + i, who),
      shop.scan('shift-in', 70 + i, who),
      shop.scan('shift-in', 80 + i, who),
      shop.scan('work-start', 90 + i, who, [shop.winding]),
      shop.scan('shift-out', 100 + i, who),
      shop.scan('shift-out', 110 + i, who),
      shop.scan('work-stop', 120 + i, who),
    ]),
  );
  const offered = (await page()).looseEnds.flatMap((end) =>
    end.answers.map((answer) => ({
      end: { kind: end.kind, technician: end.technician, target: end.targetId, from: end.from },
      ...answer,
    })),
  );
  expect(new Set(offered.map(({ end }) => `${end.technician} ${end.kind}`)).size).toBeGreaterThan(5);
  for (const answer of offered) {
    const { status } = await post('/api/reconcile/preview', { answers: [answer] });
    expect([answer.end.kind, answer.reason, status]).toEqual([answer.end.kind, answer.reason, 200]);
  }
});
