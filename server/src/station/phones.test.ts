import type { z } from 'zod';
import type { directorySchema, stationsSchema } from '@wergon/contract/station';
import type { Problem } from '@wergon/contract/wire';
import { cookieOf, newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
});
afterEach(() => shop.close());

const letPhones = async () => {
  const { settings } = (await shop.get('/api/shop')).body as { settings: { work: object } };
  await shop.post('/api/shop/settings', { ...settings, work: { ...settings.work, ownPhones: true } });
};
const offer = async (technician = shop.ada, cookie = shop.station, proof?: string) =>
  shop.post('/api/station/phone', { technician, proof: proof ?? (await shop.prove(technician)) }, cookie);
const phoneOf = async (technician = shop.ada) => {
  const { code } = (await offer(technician)).body as { code: string };
  return cookieOf(await shop.post('/api/station/pair', { code }, ''));
};
const directory = async (cookie: string) =>
  (await shop.get('/api/station/directory', cookie)).body as z.input<typeof directorySchema>;
const send = async (entry: Record<string, unknown>, cookie: string) => {
  const sent = {
    source: 'touch',
    via: [],
    action: newId(),
    deviceAt: entry['at'],
    clockOffset: 0,
    identity: 'own-phone',
  };
  const { body } = await shop.post('/api/station/entries', { entries: [{ ...sent, entry }] }, cookie);
  return (body as { results: { result: string; problem?: Problem }[] }).results[0];
};

test('who has shown their badge gets a code, and the phone it is put into knows nobody else', async () => {
  await letPhones();
  expect((await directory(shop.station)).offersPhones).toBe(true);
  const told = await directory(await phoneOf());
  expect(told).toMatchObject({ owner: shop.ada, offersPhones: false });
  expect(told.technicians.map(({ id }) => id)).toEqual([shop.ada]);
  expect(told.people.map(({ technician }) => technician)).toEqual([shop.ada]);
  const badges = told.codes.filter((code) => code.kind === 'badge' || code.kind === 'person-act');
  expect(new Set(badges.map(({ technician }) => technician))).toEqual(new Set([shop.ada]));
  const { stations } = (await shop.get('/api/stations')).body as z.input<typeof stationsSchema>;
  expect(stations.map(({ name, owner }) => [name, owner])).toContainEqual(['Ada ☎', shop.ada]);
});

test('it records its owner’s work, and sets aside whatever it says of others', async () => {
  await letPhones();
  const phone = await phoneOf();
  expect(await send(shop.scan('work-start', 0, shop.ada, [shop.strip]), phone)).toMatchObject({
    result: 'recorded',
  });
  expect(await send(shop.scan('work-start', 0, shop.bo, [shop.strip]), phone)).toMatchObject({
    result: 'refused',
    problem: { errors: [{ field: 'technician' }] },
  });
  const after = (await directory(shop.station)).seq;
  const changes = await shop.get(`/api/station/directory/changes?after=${after - 1}`, phone);
  expect((changes.body as { technicians: { id: string }[] }).technicians.map(({ id }) => id)).toEqual([
    shop.ada,
  ]);
});

test('it shows its owner’s own time without a badge, and nobody else’s', async () => {
  await letPhones();
  const phone = await phoneOf();
  const prove = (technician: string) => shop.post('/api/station/proof', { technician, code: '' }, phone);
  const { proof } = (await prove(shop.ada)).body as { proof: string };
  const time = await shop.post('/api/station/own-time', { technician: shop.ada, proof }, phone);
  expect(time.status).toBe(200);
  expect((await prove(shop.bo)).status).toBe(422);
  expect(
    (await shop.post('/api/station/proof', { technician: shop.ada, code: '' }, shop.station)).status,
  ).toBe(422);
});

test('the next phone takes the place of the one before, and the desk takes any away', async () => {
  await letPhones();
  const [first, second] = [await phoneOf(), await phoneOf()];
  const asks = async (cookie: string) => (await shop.get('/api/station/directory', cookie)).status;
  expect([await asks(first), await asks(second)]).toEqual([401, 200]);
  const { id } = (await directory(second)).station;
  await shop.post(`/api/stations/${id}/revoke`, {});
  expect(await asks(second)).toBe(401);
});

test('refused: where the shop does not use them, without a proof, with that of somebody else, and from a phone', async () => {
  expect((await offer()).status).toBe(409);
  await letPhones();
  expect((await offer(shop.ada, shop.station, 'made up')).status).toBe(422);
  expect((await offer(shop.ada, shop.station, await shop.prove(shop.bo))).status).toBe(422);
  expect((await offer('nobody', shop.station, 'any')).status).toBe(422);
  const phone = await phoneOf();
  const { proof } = (await shop.post('/api/station/proof', { technician: shop.ada, code: '' }, phone))
    .body as {
    proof: string;
  };
  expect((await offer(shop.ada, phone, proof)).status).toBe(422);
});

test('it neither proves who others are nor tries their PINs', async () => {
  await letPhones();
  await shop.post(`/api/people/${shop.bo}/pin`, { pin: '4711' });
  const phone = await phoneOf();
  const { technicians } = (await shop.get('/api/people')).body as {
    technicians: { id: string; badges: { code: string }[] }[];
  };
  const code = technicians.find(({ id }) => id === shop.bo)?.badges[0]?.code ?? '';
  expect((await shop.post('/api/station/proof', { technician: shop.bo, code }, phone)).status).toBe(422);
  expect((await shop.post('/api/station/pin', { technician: shop.bo, pin: '4711' }, phone)).status).toBe(422);
  const change = { technician: shop.bo, pin: '4711', newPin: '0815' };
  expect((await shop.post('/api/station/pin/change', change, phone)).status).toBe(422);
});

test('a shop that lets nobody have one any more takes them all', async () => {
  await letPhones();
  const phone = await phoneOf();
  const { settings } = (await shop.get('/api/shop')).body as { settings: { work: object } };
  await shop.post('/api/shop/settings', { ...settings, work: { ...settings.work, ownPhones: false } });
  expect((await shop.get('/api/station/directory', phone)).status).toBe(401);
  expect((await shop.get('/api/station/directory', shop.station)).status).toBe(200);
});
