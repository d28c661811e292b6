import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
let picture: string;
beforeAll(async () => {
  shop = await openTestShop();
  const bytes = Buffer.from(`89504e470d0a1a0a${'07'.repeat(40)}`, 'hex');
  const body = { name: 'nameplate.png', base64: bytes.toString('base64') };
  picture = ((await shop.post(`/api/work/${shop.order}/attachments`, body)).body as { id: string }).id;
});
afterAll(() => shop.close());
const papers = (order = shop.order, cookie = shop.station) =>
  shop.get(`/api/station/papers/${order}`, cookie);
const paper = (id = picture, order = shop.order, cookie = shop.station) =>
  shop.get(`/api/station/papers/${order}/${id}`, cookie);

test('a station shows the pictures of an order that is worked on, one at a time', async () => {
  expect(await papers()).toMatchObject({
    status: 200,
    body: { papers: [{ id: picture, name: 'nameplate.png', type: 'image/png' }] },
  });
  const { body } = await paper();
  expect(Buffer.from((body as { base64: string }).base64, 'base64')).toHaveLength(48);
});

test.each([
  ['no such order', () => papers('none')],
  ['no such picture', () => paper('none')],
  ['the picture of another order', async () => paper(picture, await addOrder('released'))],
  ['an order that is a draft', async () => papers(await addOrder('draft'))],
])('%s is not found', async (_what, ask) => expect((await ask()).status).toBe(404));

test('whoever is no station is shown nothing', async () => {
  expect((await papers(shop.order, '')).status).toBe(401);
  expect((await paper(picture, shop.order, '')).status).toBe(401);
});

test('the description of a task is known at the station, before any paper is asked for', async () => {
  const made = shop.newOrder('WORDS');
  const tasks = made.tasks.map((task) => ({ ...task, description: 'Both planes' }));
  const { id } = (await shop.post('/api/work', { ...made, tasks })).body as { id: string };
  await shop.post(`/api/work/${id}/state`, { state: 'released' });
  const order = (await shop.get(`/api/work/${id}`)).body as { tasks: { id: string; description: string }[] };
  const { briefs } = (await shop.get('/api/station/directory', shop.station)).body as {
    briefs: { task: string; description: string }[];
  };
  expect(order.tasks.map(({ description }) => description)).toEqual(tasks.map(() => 'Both planes'));
  expect(briefs.find(({ task }) => task === order.tasks[0]?.id)?.description).toBe('Both planes');
});

let drawn = 0;
async function addOrder(state: 'draft' | 'released'): Promise<string> {
  const made = await shop.post('/api/work', shop.newOrder(`P${(drawn += 1)}`));
  const { id } = made.body as { id: string };
  if (state === 'released') await shop.post(`/api/work/${id}/state`, { state });
  return id;
}
