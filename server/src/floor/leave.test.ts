import type { RequestsJson } from '@wergon/contract/station';
import { at, newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
});
afterEach(() => shop.close());

const ask = (more: object) => ({
  ...{ id: newId(), type: 'request', at: at(40), technician: shop.ada, what: 'help', target: null, text: '' },
  ...more,
});
const leave = { kind: 'holiday', from: '2026-03-16', to: '2026-03-18' };
const messages = async () => {
  const { people } = (await shop.get('/api/station/directory', shop.station)).body as {
    people: {
      technician: string;
      messages: { leave: object | null; text: string; state: string | null }[];
    }[];
  };
  return people.find(({ technician }) => technician === shop.ada)?.messages ?? [];
};

test('time off stays to be answered however much else is asked for since, and its answer is told for days', async () => {
  const asked = ask({ what: 'time-off', leave });
  const calls = Array.from({ length: 120 }, () => ask({}));
  await shop.send(asked);
  await shop.send(...calls);
  const { requests } = (await shop.get('/api/floor/requests')).body as RequestsJson;
  expect(requests.filter(({ id }) => id === asked.id)).toMatchObject([{ leave, answer: null }]);
  // As many of the others as a page shows.
  expect(requests).toHaveLength(101);
  await shop.post(`/api/floor/requests/${asked.id}/answer`, { state: 'refused', text: 'not that week' });
  for (const { id } of calls) await shop.post(`/api/floor/requests/${id}/answer`, { text: 'on my way' });
  expect((await messages()).filter((each) => each.leave)).toMatchObject([{ text: 'not that week' }]);
  // Help is no matter of days.
  shop.clock.set((shop.clock.now() + 3 * 86_400) * 1000);
  expect(await messages()).toMatchObject([{ leave, state: 'refused', text: 'not that week' }]);
  shop.clock.set((shop.clock.now() + 5 * 86_400) * 1000);
  expect(await messages()).toEqual([]);
});
