import { expect, test } from '@playwright/test';
import { createCaller, openShop } from '../shop.ts';

test('the server stops in mid-shift; three scans, the tab closed, the server back: all three are recorded once', async ({
  page,
  context,
}) => {
  const shop = await openShop();
  await shop.openStation(page);
  await shop.server.kill();
  await shop.scan(page, 'ada');
  await shop.scan(page, 'shift-in');
  await expect(page.getByRole('contentinfo')).toContainText('Signed in');
  await shop.scan(page, 'winding');
  await expect(page.getByRole('contentinfo')).toContainText('Started Winding');
  await page.getByRole('button', { name: 'Blank screen' }).click();
  await shop.scan(page, 'bo');
  await shop.scan(page, 'strip');
  await expect(page.getByRole('status')).toContainText('3 scans waiting');
  await page.close();

  await shop.server.start();
  const again = await context.newPage();
  await again.goto(`${shop.server.url}/station`);
  await expect(again.getByRole('status')).toHaveText('connected');
  const readOrder = () =>
    shop.desk<{ order: { peopleOn: string[] }; tasks: { lines: unknown[] }[] }>(
      `/api/work/${shop.order.order.id}`,
    );
  await expect.poll(async () => (await readOrder()).order.peopleOn.sort()).toEqual(['Ada Lund', 'Bo Moe']);
  const { tasks } = await readOrder();
  expect(tasks.map(({ lines }) => lines.length)).toEqual([1, 1]);
  const { seq } = await shop.desk<{ seq: number }>('/api/floor');
  expect(seq).toBe(3);
  await shop.server.stop();
});

test('killed twenty times under load, the server loses no acknowledged entry and doubles none', async () => {
  const shop = await openShop();
  const station = createCaller(shop.server.url);
  await station('/api/station/pair', { code: await shop.pairingCode('Load') });
  const technician = shop.technicians[0]?.id ?? '';
  const acknowledged = new Set<string>();
  let sent = 0;
  const line = (id: string) => {
    const at = new Date(shop.server.nowMs()).toISOString();
    return {
      entry: { id, type: 'note', at, technician, text: id },
      action: id,
      source: 'scan',
      deviceAt: at,
      clockOffset: 0,
    };
  };
  type Answer = { results: { id: string; result: string }[] };
  /** Sends batches, each again until it is answered, as an outbox does. */
  const load = async (name: string, isOver: () => boolean) => {
    while (!isOver()) {
      const ids = Array.from({ length: 3 }, () => `${name}-${(sent += 1)}`.padEnd(24, '-'));
      const lines = ids.map(line);
      for (let isAnswered = false; !isAnswered;) {
        try {
          const { results } = await station<Answer>('/api/station/entries', { entries: lines });
          for (const { id, result } of results) if (result !== 'refused') acknowledged.add(id);
          isAnswered = true;
        } catch {
          await new Promise((wait) => setTimeout(wait, 20));
        }
      }
    }
  };
  let isOver = false;
  const loads = ['a', 'b', 'c'].map((name) => load(name, () => isOver));
  for (let i = 0; i < 20; i += 1) {
    const goal = acknowledged.size + 30;
    await expect.poll(() => acknowledged.size, { intervals: [10] }).toBeGreaterThan(goal);
    await shop.server.kill();
    await shop.server.start();
  }
  isOver = true;
  await Promise.all(loads);
  const results: Answer['results'] = [];
  const all = [...acknowledged];
  for (let i = 0; i < all.length; i += 100) {
    const { seq: _seq, ...answer } = await station<Answer & { seq: number }>('/api/station/entries', {
      entries: all.slice(i, i + 100).map((id) => line(id)),
    });
    results.push(...answer.results);
  }
  // The same ids with other instants: every one of them is in the journal already, so every one is refused.
  expect(results.filter(({ result }) => result === 'recorded')).toEqual([]);
  const { seq } = await shop.desk<{ seq: number }>('/api/floor');
  expect(seq).toBe(sent);
  expect(acknowledged.size).toBe(sent);
  await shop.server.stop();
});
