import type { ImportAnswer } from '@wergon/contract/exchange';
import { line, newId } from '../app/testShop.fixture.ts';
import { openPayShop } from '../pay/payShop.fixture.ts';
import type { PayShop } from '../pay/payShop.fixture.ts';
import { readSql } from '../db/index.ts';

let paid: PayShop;
beforeEach(async () => {
  paid = await openPayShop();
});
afterEach(() => paid.shop.close());

type Row = Readonly<Record<string, string>>;
const row = (more: Row = {}): Row => ({
  ...{ number: '1', day: '2026-03-02', order: '1001', task: 'Strip', hours: '2,5' },
  ...more,
});
const step = (body: object) => paid.shop.post('/api/exchange/hours', body, paid.desk());
async function bring(rows: readonly Row[], mode: 'all' | 'good' = 'all') {
  const { body } = await step({ step: 'rows', import: null, rows });
  const { import: id } = body as ImportAnswer;
  const checked = (await step({ step: 'check', import: id })).body as ImportAnswer;
  const stored = await step({ step: 'store', import: id, mode });
  return { checked, stored };
}
async function setTimeFrom(timeFrom: string) {
  const { settings } = (await paid.shop.get('/api/shop', paid.desk())).body as {
    settings: { pay: object };
  };
  const body = { ...settings, pay: { ...settings.pay, timeFrom } };
  expect((await paid.shop.post('/api/shop/settings', body, paid.desk())).status).toBe(200);
}
/** Labor lines of Monday, 2 March: title and hours. */
const lines = () =>
  readSql(paid.shop.database, (sql) =>
    sql
      .all<{ target: string; seconds: number }>(
        'select "target", "entered_seconds" as "seconds" from "labor_line" where "day" = 20514 order by 2',
      )
      .map(({ target, seconds }) => `${target === paid.shop.strip ? 'Strip' : 'other'} ${seconds / 3600}`),
  );

test('a shop that enters time here takes none in, and one that enters it elsewhere makes no pay file', async () => {
  expect((await step({ step: 'rows', import: null, rows: [row()] })).body).toMatchObject({
    type: 'urn:wergon:pay.time_from_here',
  });
  await setTimeFrom('elsewhere');
  const { checked, stored } = await bring([row()]);
  expect([checked.counts, stored.status]).toEqual([{ new: 1, changed: 0, same: 0, wrong: 0 }, 200]);
  const { periods } = await paid.read<{ periods: { firstDay: string }[] }>('/api/pay/periods');
  const seen = await paid.read<{ refusal: string }>(
    `/api/pay/file?firstDay=${periods.at(-1)?.firstDay}&group=`,
  );
  expect(seen.refusal).toBe('elsewhere');
});

describe('where time is entered elsewhere', () => {
  beforeEach(() => setTimeFrom('elsewhere'));

  test('rows of one task and day are one entry; sent again they change it, are the same, or take it out', async () => {
    await bring([row(), row({ hours: '1' }), row({ task: 'Winding', hours: '0.5' })]);
    expect(await lines()).toEqual(['other 0.5', 'Strip 3.5']);
    const again = await bring([row({ hours: '3,5' }), row({ task: 'Winding', hours: '2' })]);
    expect(again.checked.counts).toEqual({ new: 0, changed: 1, same: 1, wrong: 0 });
    expect(await lines()).toEqual(['other 2', 'Strip 3.5']);
    await bring([row({ hours: '0' })]);
    expect(await lines()).toEqual(['other 2']);
    // Taken out it comes in again.
    expect((await bring([row({ hours: '1' })])).checked.counts).toMatchObject({ changed: 1 });
    expect(await lines()).toEqual(['Strip 1', 'other 2']);
  });

  test('nobody puts right here what came in from elsewhere', async () => {
    const { shop } = paid;
    await bring([row()]);
    const week = await paid.read<{
      rows: { cells: { entered: { id: string }[]; isElsewhere: boolean }[] }[];
    }>(`/api/reconcile/week?technician=${shop.ada}&day=2026-03-02`);
    const [cell] = week.rows[0]?.cells ?? [];
    expect(cell?.isElsewhere).toBe(true);
    const target = cell?.entered[0]?.id;
    for (const entry of [
      { id: newId(), type: 'void', target },
      { id: newId(), type: 'amend', target, set: { seconds: 60 } },
    ]) {
      const answer = await shop.post(
        '/api/ledger/entries',
        { entries: [line(entry, { source: 'desk' })] },
        paid.desk(),
      );
      expect(answer).toMatchObject({ status: 422, body: { errors: [{ field: 'entries[0].target' }] } });
    }
    expect(await lines()).toEqual(['Strip 2.5']);
    // A shop that enters its time here since then puts it right as any other.
    await setTimeFrom('here');
    const amend = { id: newId(), type: 'amend', target, set: { seconds: 3600 } };
    const answer = await shop.post(
      '/api/ledger/entries',
      { entries: [line(amend, { source: 'desk' })] },
      paid.desk(),
    );
    expect(answer.status).toBe(200);
    expect(await lines()).toEqual(['Strip 1']);
  });

  test.each<[Row, field: string, message: string]>([
    [{ number: '99' }, 'number', 'nobody has the number “99”'],
    [{ order: '77' }, 'order', 'no order has the number “77”'],
    [{ task: 'Polish' }, 'task', 'no task of this order is called “Polish”'],
    [{ task: '' }, 'task', 'more than one task of this order is called so'],
    [{ order: '', task: 'Polish' }, 'task', 'no activity is called “Polish”'],
    [{ hours: '25' }, 'hours', 'a day holds no more than 24 hours'],
    [{ hours: 'some' }, 'hours', 'expected hours such as 1.25'],
    [{ hours: '-1' }, 'hours', 'expected hours such as 1.25'],
    [{ day: 'soon' }, 'day', 'expected a calendar day such as 2026-03-02'],
    [{ day: '2026-03-20' }, 'day', 'lies ahead'],
    [{ workType: 'play' }, 'workType', ''],
    [{ payClass: 'triple' }, 'payClass', ''],
  ])('%j is wrong at %s', async (more, field, message) => {
    const { checked, stored } = await bring([row(more)]);
    expect(checked.problems).toMatchObject([
      { row: 1, field, message: expect.stringContaining(message) as string },
    ]);
    expect(stored.status).toBe(422);
    expect(await lines()).toEqual([]);
  });

  test('more than a day in all of its rows is refused, and a good row goes in without the wrong one', async () => {
    const { checked } = await bring(
      [row({ hours: '20' }), row({ hours: '5' }), row({ task: 'Winding' })],
      'good',
    );
    expect(checked.counts).toEqual({ new: 1, changed: 0, same: 0, wrong: 2 });
    expect(await lines()).toEqual(['other 2.5']);
  });

  test('whoever does not see everybody brings none in', async () => {
    const { shop } = paid;
    await paid.post('/api/people', { number: '9', name: 'Cy', department: 'Stripping' });
    const departments = [await shop.listed('department', 'Stripping')];
    const narrow = await shop.addUser({
      ...{ userName: 'nora', role: 'bookkeeper', departments, seesOnlyTheirs: true },
    });
    const answer = await shop.post(
      '/api/exchange/hours',
      { step: 'rows', import: null, rows: [row()] },
      narrow,
    );
    expect(answer.status).toBe(403);
  });
});
