import type { EstimateJson, OrderOffersJson } from '@wergon/contract/work';
import type { OrderJson } from '@wergon/contract/compare';
import type { Problem } from '@wergon/contract/wire';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
});
afterEach(() => shop.close());

const letOffer = async () => {
  const { settings } = (await shop.get('/api/shop')).body as { settings: { work: object } };
  await shop.post('/api/shop/settings', { ...settings, work: { ...settings.work, offers: true } });
};
const ASKED = {
  title: 'Rewind crane motor',
  customer: 'Harbour works',
  words: 'trips when warm',
  until: '2026-03-06',
};
const ask = async (more: object = {}) =>
  ((await shop.post('/api/estimates', { ...ASKED, ...more })).body as { id: string }).id;
const orderOf = async (id: string) => (await shop.get(`/api/work/${id}`)).body as OrderJson;
const offersOf = async (id: string) => (await shop.get(`/api/work/${id}/offers`)).body as OrderOffersJson;
const listed = async () =>
  ((await shop.get('/api/estimates')).body as { estimates: EstimateJson[] }).estimates.map(
    ({ title, state, until, offer }) => [title, state, until, offer?.total ?? null],
  );
/** Gives an estimate three tasks of an hour each, of which the last is included. */
async function build(id: string, hours = ['1', '8', '2']) {
  const { order, tasks } = await orderOf(id);
  const { number, title, customer, quantity, version } = order;
  const { grades } = (await shop.get('/api/preparation')).body as { grades: { id: string }[] };
  const made = ['Strip', 'Winding', 'Test'].map((name, i) => ({
    id: tasks[i]?.id ?? null,
    title: name,
    workCenter: '',
    grade: grades[0]?.id,
    runHours: hours[i],
    price: [`100.00`, '900.00', null][i],
  }));
  return shop.post(`/api/work/${id}`, {
    number,
    title,
    customer,
    quantity,
    due: null,
    estimateIncludes: ['setup'],
    tasks: made,
    version,
  });
}
const offer = async (id: string) => {
  await build(id);
  await shop.post(`/api/work/${id}/offers/draft`, {
    materials: [{ text: 'Copper wire, 40 kg', price: '480.00' }],
    words: 'Ready ten days after your order.',
    holdsUntil: '2026-03-31',
  });
  return ((await shop.post(`/api/work/${id}/offers`, {})).body as { id: string }).id;
};
const codeOf = ({ body }: { body: unknown }) => (body as Problem).type;

test('asked for, it stands in the list, due ones first, with a number of its own and no task', async () => {
  await letOffer();
  await ask({ until: null, title: 'Some day' });
  const id = await ask();
  expect(await listed()).toEqual([
    ['Rewind crane motor', 'asked', '2026-03-06', null],
    ['Some day', 'asked', null, null],
  ]);
  const { order, tasks } = await orderOf(id);
  expect([order.state, order.number, tasks.length]).toEqual(['asked', '1003', 0]);
  expect((await offersOf(id)).ask).toMatchObject({
    by: 'Sol',
    words: 'trips when warm',
    until: '2026-03-06',
  });
});

test('built and offered it is frozen as it was, counted, and cannot be changed until it is taken back', async () => {
  await letOffer();
  const id = await ask();
  await offer(id);
  const { offers, lines, total } = await offersOf(id);
  expect(lines.map(({ text, price }) => [text, price])).toEqual([
    ['Strip', '100.00'],
    ['Winding', '900.00'],
    ['Test', null],
    ['Copper wire, 40 kg', '480.00'],
  ]);
  expect([total, offers[0]?.total, offers[0]?.number]).toEqual(['1480.00', '1480.00', '1002-1']);
  expect(await listed()).toEqual([['Rewind crane motor', 'offered', '2026-03-06', '1480.00']]);
  expect(codeOf(await build(id))).toBe('urn:wergon:offer.is_out');
  await shop.post(`/api/work/${id}/state`, { state: 'asked' });
  await build(id, ['2', '8', '2']);
  await shop.post(`/api/work/${id}/offers`, {});
  expect((await offersOf(id)).offers.map(({ number, lines: own }) => [number, own[0]?.seconds])).toEqual([
    ['1002-2', 7200],
    ['1002-1', 3600],
  ]);
});

test('accepted in part it is an order at that price; its estimate is its first, what was not taken is no part of it', async () => {
  await letOffer();
  const id = await ask();
  await offer(id);
  await shop.post(`/api/work/${id}/state`, { state: 'asked' });
  // What was thought before the offer is no estimate that the job is held against.
  await build(id, ['1', '12', '2']);
  const last = ((await shop.post(`/api/work/${id}/offers`, {})).body as { id: string }).id;
  const accepted = (await offersOf(id)).lines.filter(({ text }) => text !== 'Test').map((line) => line.id);
  expect((await shop.post(`/api/work/${id}/offers/${last}/answer`, { accepted })).status).toBe(200);
  const { order, tasks } = await orderOf(id);
  expect([order.state, order.price, order.comparison.estimatedSeconds]).toEqual([
    'accepted',
    '1480.00',
    13 * 3600,
  ]);
  expect(tasks.map(({ title, isAccepted }) => [title, isAccepted])).toEqual([
    ['Strip', true],
    ['Winding', true],
    ['Test', false],
  ]);
  expect((await offersOf(id)).offers[0]?.answer).toMatchObject({ by: 'Sol', total: '1480.00' });
  expect((await shop.post(`/api/work/${id}/state`, { state: 'released' })).status).toBe(200);
});

test('a no is lost and can be taken up again', async () => {
  await letOffer();
  const id = await ask();
  await offer(id);
  await shop.post(`/api/work/${id}/state`, { state: 'lost' });
  expect((await orderOf(id)).order.state).toBe('lost');
  await shop.post(`/api/work/${id}/state`, { state: 'asked' });
  expect((await orderOf(id)).order.state).toBe('asked');
});

test.each<[what: string, act: (id: string, offered: string) => Promise<{ body: unknown }>, code: string]>([
  [
    'an answer to what was taken back',
    async (id, offered) => {
      await shop.post(`/api/work/${id}/state`, { state: 'asked' });
      return shop.post(`/api/work/${id}/offers/${offered}/answer`, { accepted: [] });
    },
    'offer.not_offered',
  ],
  [
    'nothing taken',
    (id, offered) => shop.post(`/api/work/${id}/offers/${offered}/answer`, { accepted: [] }),
    'offer.nothing_accepted',
  ],
  [
    'a line of nowhere',
    (id, offered) => shop.post(`/api/work/${id}/offers/${offered}/answer`, { accepted: ['x'] }),
    'offer.no_such_line',
  ],
  [
    'an offer of nowhere',
    (id) => shop.post(`/api/work/${id}/offers/none/answer`, { accepted: [] }),
    'record.not_found',
  ],
  ['offered twice', (id) => shop.post(`/api/work/${id}/offers`, {}), 'offer.not_asked'],
  [
    'accepted by hand',
    (id) => shop.post(`/api/work/${id}/state`, { state: 'accepted' }),
    'order.no_such_move',
  ],
  [
    'a draft of what is out',
    (id) => shop.post(`/api/work/${id}/offers/draft`, { materials: [] }),
    'offer.not_asked',
  ],
  [
    'mail without a mail box',
    (id, offered) => shop.post(`/api/work/${id}/offers/${offered}/mail`, { to: 'a@b.fi', text: 'hello' }),
    'offer.no_mail',
  ],
  [
    'mail to nobody',
    (id, offered) => shop.post(`/api/work/${id}/offers/${offered}/mail`, { to: 'somebody', text: 'hello' }),
    'input.invalid',
  ],
  ['nothing but blanks', () => shop.post('/api/estimates', { ...ASKED, title: ' ' }), 'input.invalid'],
  [
    'material of half a cent',
    (id) => shop.post(`/api/work/${id}/offers/draft`, { materials: [{ text: 'Wire', price: '0.005' }] }),
    'input.invalid',
  ],
])('refused: %s', async (_what, act, code) => {
  await letOffer();
  const id = await ask();
  const offered = await offer(id);
  const before = await offersOf(id);
  expect(codeOf(await act(id, offered))).toBe(`urn:wergon:${code}`);
  expect(await offersOf(id)).toEqual(before);
});

test('asked twice at once it is there once; two answers at once make one order', async () => {
  await letOffer();
  const once = '00000000-0000-4000-8000-00000000000a';
  const [a, b] = await Promise.all([ask({ once }), ask({ once })]);
  expect([a, b]).toEqual([once, once]);
  expect(await listed()).toHaveLength(1);
  const offered = await offer(once);
  const accepted = (await offersOf(once)).lines.map((line) => line.id);
  const path = `/api/work/${once}/offers/${offered}/answer`;
  const both = await Promise.all([
    shop.post(path, { accepted }),
    shop.post(path, { accepted: accepted.slice(0, 1) }),
  ]);
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
});

test('a shop without offers has none of it, and the office asks and answers but builds nothing', async () => {
  expect(codeOf(await shop.get('/api/estimates'))).toBe('urn:wergon:offer.off');
  expect(codeOf(await shop.post('/api/estimates', ASKED))).toBe('urn:wergon:offer.off');
  await letOffer();
  const office = await shop.addUser({ userName: 'berit', role: 'bookkeeper' });
  const asked = await shop.post('/api/estimates', ASKED, office);
  expect(asked.status).toBe(200);
  const { id } = asked.body as { id: string };
  expect((await shop.post(`/api/work/${id}/offers`, {}, office)).status).toBe(403);
  const lead = await shop.addUser({ userName: 'lea', role: 'lead' });
  expect((await shop.post('/api/estimates', ASKED, lead)).status).toBe(403);
});

test('what is lost, or becomes a job without an offer, is open no more; what is taken up again is', async () => {
  await letOffer();
  const [late, soon] = [
    await ask({ until: null, title: 'Late' }),
    await ask({ until: '2026-03-04', title: 'Soon' }),
  ];
  await shop.post(`/api/work/${soon}/state`, { state: 'lost' });
  // Open ones stand before all that were answered.
  expect((await listed()).map(([title]) => title)).toEqual(['Late', 'Soon']);
  await shop.post(`/api/work/${soon}/state`, { state: 'asked' });
  expect((await listed()).map(([title]) => title)).toEqual(['Soon', 'Late']);
  await shop.post(`/api/work/${soon}/state`, { state: 'draft' });
  expect((await listed()).map(([title, state]) => [title, state])).toEqual([
    ['Late', 'asked'],
    ['Soon', 'draft'],
  ]);
  expect((await orderOf(late)).order.state).toBe('asked');
});

test('an ask that is sent again with something else in it is refused', async () => {
  await letOffer();
  const once = '00000000-0000-4000-8000-00000000000d';
  await ask({ once, contact: 'a@b.fi' });
  expect(codeOf(await shop.post('/api/estimates', { ...ASKED, once, contact: 'c@d.fi' }))).toBe(
    'urn:wergon:record.sent_before',
  );
});
