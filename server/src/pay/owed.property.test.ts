import fc from 'fast-check';
import type { ApprovalsJson } from '@wergon/contract/approval';
import type { PayPeriodJson } from '@wergon/contract/pay';
import { adjustmentsOf } from '@wergon/core/pay';
import type { ClosedLine } from '@wergon/core/pay';
import type { LocalDay } from '@wergon/core/time';
import { SEVEN, cookieOf, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { readSql } from '../db/sql.ts';
import { findOwed, loadClosedLines, loadClosedPeriods } from './periods.ts';
import { isPayable } from '../approval/payable.ts';
import { loadShiftDays } from '../ledger/shiftDays.ts';

const DAY = 24 * 60;
const WEEKS = ['2026-03-02', '2026-03-09', '2026-03-16'];

/** What a shop does with time that is over: scans arrive late, somebody approves, closes, reopens, a rate changes. */
const anyAct = fc.record({
  kind: fc.constantFrom('late', 'late', 'night', 'approve', 'approve', 'close', 'close', 'reopen', 'rate'),
  person: fc.nat(1),
  day: fc.nat(16),
  hour: fc.nat(13),
});
type Act = ReturnType<(typeof anyAct)['generate']>['value'];

/** The same question, asked of every day of every closed period. */
const oweOfAll = (shop: TestShop) =>
  shop.context.facts.get().then((facts) =>
    readSql(shop.database, (sql) => {
      const now = shop.clock.now();
      const periods = loadClosedPeriods(sql);
      const [first, last] = [periods[0], periods.at(-1)];
      const found = findOwed(sql, facts, now).adjustments;
      if (!first || !last) return { found, all: [] };
      const days = loadShiftDays(sql, facts, { firstDay: first.firstDay, lastDay: last.lastDay }, now);
      const waiting = new Set(
        days.filter((each) => !isPayable(facts, each)).map((each) => `${each.technician} ${each.day}`),
      );
      const isOwed = (technician: string, day: LocalDay) => !waiting.has(`${technician} ${day}`);
      const derived = days.filter((each) => isOwed(each.technician, each.day)).flatMap(({ lines }) => lines);
      const closed = periods.flatMap(({ firstDay }) => {
        const { own, adjustments } = loadClosedLines(sql, firstDay);
        return [...own, ...adjustments].filter((line) => isOwed(line.technician, line.shiftDay));
      });
      return { found, all: adjustmentsOf(derived, closed) };
    }),
  );
const inOrder = (lines: readonly ClosedLine[]) => lines.map((line) => JSON.stringify(line)).sort();

async function openPast() {
  const shop = await openTestShop();
  await shop.post('/api/shop/settings', {
    name: 'Test shop',
    orderNumbers: { prefix: '', digits: 4, first: 1001 },
    labels: { symbology: 'code128', paper: 'a4' },
    pay: { period: 'weekly', anchor: '2026-03-02', approval: 'person-day', isConfirmed: false },
    desk: { signOutMinutes: 60 },
    backup: { hour: null, keep: 14 },
    reconcile: { answeredGapMinutes: 0 },
  });
  shop.clock.set((SEVEN + 20 * 86_400) * 1000);
  const desk = cookieOf(await shop.post('/api/sign-in', { userName: 'sol', password: 'long enough' }, ''));
  const read = async <T>(path: string) => (await shop.get(path, desk)).body as T;
  const post = (path: string, body: object) => shop.post(path, body, desk);
  const stint = (person: number, from: number, to: number) => {
    const who = person === 0 ? shop.ada : shop.bo;
    return shop.send(
      shop.scan('shift-in', from, who),
      shop.scan('work-start', from, who, [person === 0 ? shop.strip : shop.winding]),
      shop.scan('shift-out', to, who),
    );
  };
  /** Whatever of it can be done; a refusal is no act. */
  const act = async ({ kind, person, day, hour }: Act) => {
    switch (kind) {
      case 'late':
        await stint(person, day * DAY + hour * 60, day * DAY + hour * 60 + 90);
        return;
      case 'night':
        await stint(person, day * DAY + 15 * 60, (day + 1) * DAY - 3 * 60);
        return;
      case 'approve': {
        const { people } = await read<ApprovalsJson>(
          '/api/reconcile/approvals?from=2026-03-02&to=2026-03-22',
        );
        const days = people
          .flatMap(({ technician, days: own }) => own.map((each) => ({ technician, ...each })))
          .filter(({ state }, i) => state !== 'approved' && i % 3 !== hour % 3)
          .map(({ technician, day: shiftDay, stamp }) => ({ technician, day: shiftDay, stamp }));
        if (days.length > 0) await post('/api/reconcile/approve', { days });
        return;
      }
      case 'close':
        // The next one that is open.
        for (const firstDay of WEEKS) {
          const { stamp } = await read<PayPeriodJson>(`/api/pay/period?firstDay=${firstDay}`);
          if ((await post('/api/pay/close', { firstDay, stamp })).status === 200) return;
        }
        return;
      case 'reopen':
        for (const firstDay of WEEKS)
          if ((await post('/api/pay/reopen', { firstDay, reason: 'looked again' })).status === 200) return;
        return;
      case 'rate':
        await post(`/api/people/${person === 0 ? shop.ada : shop.bo}/rates`, {
          record: {
            from: `2026-03-${String(2 + day).padStart(2, '0')}`,
            per: 'hour',
            base: `${30 + hour}.00`,
          },
          isPastAgreed: true,
        });
    }
  };
  return { shop, act, stint };
}

test('what closed periods still owe is found by looking only at days that can differ, whatever has happened', async () => {
  let [owed, closings] = [0, 0];
  await fc.assert(
    fc.asyncProperty(fc.array(anyAct, { minLength: 12, maxLength: 24 }), async (acts) => {
      const { shop, act, stint } = await openPast();
      try {
        for (const day of [0, 1, 2, 7, 8, 14]) await stint(day % 2, day * DAY, day * DAY + 8 * 60);
        for (const each of acts) {
          await act(each);
          const { found, all } = await oweOfAll(shop);
          expect(inOrder(found)).toEqual(inOrder(all));
          owed += found.length;
        }
        closings += (await readSql(shop.database, loadClosedPeriods)).length;
      } finally {
        await shop.close();
      }
    }),
    { numRuns: 12 },
  );
  expect(closings).toBeGreaterThan(5);
  expect(owed).toBeGreaterThan(20);
}, 180_000);
