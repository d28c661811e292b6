import type { z } from 'zod';
import { badgeKey } from '@wergon/contract/station';
import type { OwnTimeJson } from '@wergon/contract/attendance';
import type { RequestsJson, directorySchema } from '@wergon/contract/station';
import type { looseEndsSchema } from '@wergon/contract/loose-ends';
import { DEFAULT_STATION_SETTINGS } from '@wergon/core/station';
import { at, newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeAll(async () => (shop = await openTestShop()));
afterAll(() => shop.close());

const directory = async () =>
  (await shop.get('/api/station/directory', shop.station)).body as z.input<typeof directorySchema>;
const ownBrief = async (id = shop.ada) =>
  (await directory()).people.find(({ technician }) => technician === id);
const results = (response: { body: unknown }) =>
  (response.body as { results: { result: string; problem?: { errors: object[] } }[] }).results;

describe('what a station takes home', () => {
  test('no badge’s code, but the form under which it can be told', async () => {
    const { technicians } = (await shop.get('/api/people')).body as {
      technicians: { badges: { code: string }[] }[];
    };
    const codes = technicians.flatMap(({ badges }) => badges.map(({ code }) => code));
    const text = JSON.stringify(await directory());
    expect(codes.length).toBeGreaterThan(0);
    for (const code of codes) {
      expect(text).not.toContain(code);
      expect(text).toContain(badgeKey(code));
    }
  });

  test('what is asked of a task, its place, and the pieces that were reported', async () => {
    const id = newId();
    await shop.send({
      id,
      type: 'count',
      at: at(10),
      technician: shop.ada,
      targets: [shop.strip],
      good: 3,
      scrap: 1,
    });
    const brief = (await directory()).briefs.find(({ task }) => task === shop.strip);
    expect(brief).toMatchObject({ good: 3, scrap: 1, reports: [], assigned: [] });
  });

  test('when each person’s last entry was', async () => {
    expect((await ownBrief(shop.bo))?.lastAt).toBeNull();
    await shop.send(shop.scan('shift-in', 0, shop.bo), shop.scan('shift-out', 30, shop.bo));
    expect(Date.parse((await ownBrief(shop.bo))?.lastAt ?? '')).toBe(Date.parse(at(30)));
  });
});

test.each([
  ['2026-03-28', '2026-03-28T14:30:00Z', 'the day before clocks go forward'],
  ['2026-03-29', '2026-03-29T13:30:00Z', 'the day on which they do'],
])('a shift of %s that was forgotten was planned to end at %s: %s', async (day, end) => {
  const own = await openTestShop();
  try {
    const daily = { startMinute: 420, endMinute: 930, breakMinutes: 30 };
    const weeks = [Array.from({ length: 7 }, () => daily)];
    await own.post(`/api/people/${own.ada}/patterns`, { from: '2026-03-02', weeks });
    own.clock.set(Date.parse(`${day}T08:05:00+02:00`));
    await own.send({ id: newId(), type: 'shift-in', at: `${day}T08:00:00+02:00`, technician: own.ada });
    own.clock.set(Date.parse(`${day}T08:00:00+02:00`) + 30 * 3_600_000);
    const { people } = (await own.get('/api/station/directory', own.station)).body as z.input<
      typeof directorySchema
    >;
    const brief = people.find(({ technician }) => technician === own.ada);
    expect(Date.parse(brief?.plannedEnd ?? '')).toBe(Date.parse(end));
  } finally {
    await own.close();
  }
});

describe('requests', () => {
  const ask = (more: object = {}) => ({
    id: newId(),
    type: 'request',
    at: at(40),
    technician: shop.ada,
    what: 'part',
    target: shop.strip,
    text: 'slot paper',
    ...more,
  });
  const requests = async () => ((await shop.get('/api/floor/requests')).body as RequestsJson).requests;

  test('stand on the desk at once, are answered there, and the answer stands at the technician’s badge', async () => {
    const request = ask();
    expect(results(await shop.send(request))).toMatchObject([{ result: 'recorded' }]);
    expect((await requests())[0]).toMatchObject({ name: 'Ada', target: '1001 Strip', answer: null });
    await shop.post(`/api/floor/requests/${request.id}/answer`, { text: 'at the counter' });
    expect((await requests())[0]).toMatchObject({ answer: { by: 'Sol', text: 'at the counter' } });
    expect((await ownBrief())?.messages).toMatchObject([{ by: 'Sol', text: 'at the counter' }]);
    expect((await ownBrief(shop.bo))?.messages).toEqual([]);
  });

  test('a part is ordered, and then here: the latest answer stands at the badge, with which part it is', async () => {
    const part = ask({ text: 'bearing 6311', quantity: 2, why: 'one is worn' });
    await shop.send(part);
    expect((await requests())[0]).toMatchObject({ text: 'bearing 6311', quantity: 2, why: 'one is worn' });
    for (const state of ['ordered', 'here'])
      await shop.post(`/api/floor/requests/${part.id}/answer`, {
        state,
        text: state === 'here' ? 'rack 4' : '',
      });
    expect((await requests())[0]?.answer).toMatchObject({ state: 'here', text: 'rack 4' });
    const own = (await ownBrief())?.messages.filter((each) => each.part === 'bearing 6311');
    expect(own).toMatchObject([{ part: 'bearing 6311', state: 'here', text: 'rack 4' }]);
  });

  test('a call for help is neither ordered nor refused', async () => {
    const call = ask({ what: 'help', text: '' });
    await shop.send(call);
    const answer = await shop.post(`/api/floor/requests/${call.id}/answer`, { state: 'ordered' });
    expect(answer).toMatchObject({ status: 422, body: { errors: [{ field: 'state' }] } });
  });

  test('the parts of an order are known at the station by name', async () => {
    const parts = [{ name: 'Bearing 6311', quantity: 2 }];
    const { id } = (await shop.post('/api/work', { ...shop.newOrder('PARTS'), parts })).body as {
      id: string;
    };
    await shop.post(`/api/work/${id}/state`, { state: 'released' });
    expect((await shop.get(`/api/work/${id}`)).body).toMatchObject({ order: { parts } });
    const { jobs } = (await shop.get('/api/station/directory', shop.station)).body as {
      jobs: { order: string; parts: string[] }[];
    };
    expect(jobs.find(({ order }) => order === id)?.parts).toEqual(['Bearing 6311']);
  });

  test.each([
    [{ technician: 'nobody' }, 'technician'],
    [{ quantity: 0 }, 'entry.quantity'],
    [{ target: 'nothing' }, 'target'],
    [{ what: 'coffee' }, 'entry.what'],
    [{ text: 'x'.repeat(501) }, 'entry.text'],
  ])('%j is refused by its field, and holds up nothing', async (more, field) => {
    const [bad, good] = results(await shop.send(ask(more), ask()));
    expect(bad).toMatchObject({ result: 'refused', problem: { errors: [{ field }] } });
    expect(good).toMatchObject({ result: 'recorded' });
  });

  test('what was never asked cannot be answered, and nothing is answered with nothing', async () => {
    expect((await shop.post('/api/floor/requests/none/answer', { text: 'yes' })).status).toBe(404);
    const { id } = (await requests())[0] ?? { id: '' };
    expect((await shop.post(`/api/floor/requests/${id}/answer`, { text: ' ' })).status).toBe(422);
  });

  test('a station cannot answer, and the desk cannot ask', async () => {
    const answer = { id: newId(), type: 'answer', at: at(41), request: 'r', text: 'yes', by: 'me' };
    expect(results(await shop.send(answer))).toMatchObject([{ result: 'refused' }]);
    expect((await shop.correct(ask())).status).toBe(422);
  });
});

describe('what the supervisor sees of stations', () => {
  const ends = async () =>
    (await shop.get('/api/reconcile?from=2026-03-02&to=2026-03-03')).body as z.input<typeof looseEndsSchema>;

  test('a clock that was moved is a loose end of its station', async () => {
    await shop.send({ id: newId(), type: 'clock-jump', at: at(50), seconds: -86_400 });
    const jump = (await ends()).looseEnds.find(({ kind }) => kind === 'clock-jump');
    expect(jump).toMatchObject({ name: 'Winding 1', seconds: 86_400 });
  });

  test('what a technician says of a forgotten end stands beside it, and moves nothing', async () => {
    const shiftIn = shop.scan('shift-in', -24 * 60, shop.ada);
    await shop.send(shiftIn, {
      id: newId(),
      type: 'proposal',
      at: at(5),
      technician: shop.ada,
      about: shiftIn.id,
      kind: 'forgotten-shift-out',
      ended: at(-16 * 60),
    });
    const end = (await ends()).looseEnds.find(({ kind }) => kind === 'forgotten-shift-out');
    expect(end?.proposed).toBe(at(-16 * 60));
    expect(Date.parse(end?.to ?? '')).toBe(Date.parse(at(-8 * 60)));
  });
});

describe('own time', () => {
  const ownTime = async (who: string) =>
    (
      await shop.post(
        '/api/station/own-time',
        { technician: who, proof: await shop.prove(who) },
        shop.station,
      )
    ).body as OwnTimeJson;

  test('is the week up to now, day by day, with what runs', async () => {
    await shop.send(shop.scan('shift-in', 60, shop.bo), shop.scan('work-start', 70, shop.bo, [shop.winding]));
    const { days, chargedSeconds } = (await ownTime(shop.bo)).card;
    expect(chargedSeconds).toBe(30 * 60);
    expect(days.map(({ day }) => day)).toEqual(['2026-03-02', '2026-03-03']);
    expect(days[1]).toMatchObject({
      attendedSeconds: 70 * 60,
      chargedSeconds: 30 * 60,
      lines: [{ title: 'Winding', order: '1001', seconds: 1800 }],
    });
  });

  test('of nobody is no time', async () => {
    const asked = { technician: 'nobody', proof: await shop.prove(shop.ada) };
    expect((await shop.post('/api/station/own-time', asked, shop.station)).status).toBe(404);
  });
});

describe('how a station behaves', () => {
  const save = (settings: object) =>
    shop.post(`/api/stations/${shop.stationId}`, { name: 'Winding 1', settings });

  test('is set at the desk and known at the station', async () => {
    // Typing is no way in at a new station, until the shop allows it.
    expect((await directory()).settings).toEqual({ ...DEFAULT_STATION_SETTINGS, mayType: false });
    await save({ ...DEFAULT_STATION_SETTINGS, kind: 'presence', language: 'de' });
    expect((await directory()).settings).toMatchObject({ kind: 'presence', language: 'de' });
  });

  test.each([
    [{ kind: 'both' }, 'settings.kind'],
    [{ maxEarlierMinutes: -1 }, 'settings.maxEarlierMinutes'],
    [{ clearAfterDone: 0 }, 'settings.clearAfterDone'],
  ])('%j is refused by its field', async (more, field) => {
    const { status, body } = await save({ ...DEFAULT_STATION_SETTINGS, ...more });
    expect(status).toBe(422);
    expect(body).toMatchObject({ errors: [{ field }] });
  });

  test('notices stand at every station until their day is over, or they are taken down', async () => {
    const { body } = await shop.post('/api/shop/notices', { text: 'Crane is back' });
    await shop.post('/api/shop/notices', { text: 'Yesterday', until: '2026-03-02' });
    expect((await directory()).notices).toMatchObject([{ text: 'Crane is back', by: 'Sol' }]);
    await shop.post(`/api/shop/notices/${(body as { id: string }).id}/remove`, {});
    expect((await directory()).notices).toEqual([]);
  });

  test('one’s own PIN is changed by who knows it', async () => {
    await shop.post(`/api/people/${shop.ada}/pin`, { pin: '4711' });
    const change = (pin: string, newPin: string) =>
      shop.post('/api/station/pin/change', { technician: shop.ada, pin, newPin }, shop.station);
    expect((await change('4712', '1234')).status).toBe(422);
    expect((await change('4711', '12')).status).toBe(422);
    expect((await change('4711', '1234')).status).toBe(200);
    const check = (pin: string) => shop.post('/api/station/pin', { technician: shop.ada, pin }, shop.station);
    expect([(await check('1234')).status, (await check('4711')).status]).toEqual([200, 422]);
  });

  test('no shop but the demo lends badges to a bench', async () => {
    expect((await shop.get('/api/station/bench', shop.station)).status).toBe(404);
  });
});
