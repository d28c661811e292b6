import fc from 'fast-check';
import { derivePay } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { EVER, formatDay, toDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { SEVEN, cookieOf, openTestShop } from '../app/testShop.fixture.ts';
import { PayGroupEntity } from '../people/entities.ts';
import { readSql } from '../db/sql.ts';
import { writeDecision } from './decisions.ts';
import { deriveDue } from './dueDerivation.ts';
import { loadPremiums, loadSplits } from './payRows.ts';
import { PROJECTIONS, rebuild } from './rebuild.ts';
import { loadHoursOf, loadLinesBetween, loadPresence, loadStints } from './timelineRows.ts';

const DAY = 24 * 60;
const FIRST = toDay(Math.floor(SEVEN / 86_400));
const LAST = toDay(FIRST + 40);

/** What changes how somebody is paid: time that comes late, rates, rules, groups, closed days, splits. */
const anyAct = fc.record({
  kind: fc.constantFrom(
    'day',
    'day',
    'night',
    'written',
    'rate',
    'rule',
    'rule',
    'group',
    'closed',
    'basis',
    'split',
  ),
  person: fc.nat(1),
  day: fc.nat(16),
  hour: fc.nat(13),
});
type Act = ReturnType<(typeof anyAct)['generate']>['value'];

async function openPast() {
  const shop = await openTestShop();
  shop.clock.set((SEVEN + 25 * 86_400) * 1000);
  const desk = cookieOf(await shop.post('/api/sign-in', { userName: 'sol', password: 'long enough' }, ''));
  const textOf = (day: number) => formatDay(toDay(FIRST + day));
  const who = (person: number) => (person === 0 ? shop.ada : shop.bo) as TechnicianId;
  const post = async (path: string, body: object) => {
    const answer = await shop.post(path, body, desk);
    if (answer.status >= 500) throw new Error(`${path} ${answer.status}`);
    await deriveDue(shop.database, shop.context.facts);
    return answer;
  };
  const stint = (person: number, from: number, to: number) =>
    shop.send(
      shop.scan('shift-in', from, who(person)),
      shop.scan('work-start', from + 10, who(person), [
        person === 0 ? shop.strip : shop.winding,
        shop.winding,
      ]),
      shop.scan('work-stop', to - 10, who(person)),
      shop.scan('shift-out', to, who(person)),
    );
  const act = async ({ kind, person, day, hour }: Act) => {
    switch (kind) {
      case 'day':
        return stint(person, day * DAY, day * DAY + (4 + hour) * 60);
      case 'night':
        return stint(person, day * DAY + 15 * 60, (day + 1) * DAY - 3 * 60);
      case 'written':
        return shop.correct({
          ...{ id: `w${day}${hour}${person}x`.padEnd(24, '0'), type: 'hours', day: textOf(day) },
          ...{ seconds: (hour + 1) * 1800, technician: who(person), targets: [shop.strip] },
          ...(hour % 4 === 0 ? { payClass: 'double' } : {}),
        });
      case 'rate':
        return post(`/api/people/${who(person)}/rates`, {
          record: { from: textOf(day), per: 'hour', base: `${30 + hour}.00` },
          isPastAgreed: true,
        });
      case 'rule':
        return post('/api/pay/overtime', {
          from: textOf(day - 10),
          group: hour % 3 === 0 ? 'night crew' : '',
          terms: {
            weekStart: (hour % 7) + 1,
            day: [{ over: String(4 + (hour % 5)), class: 'overtime' }],
            week: hour % 2 === 0 ? [{ over: '20', class: 'double' }] : [],
            special: [{ on: 'closed', class: 'overtime' }],
            multipliers: { overtime: '1.5', double: '2' },
            premiumOn: (['worked', 'spread', 'overhead', 'worked'] as const)[hour % 4] ?? 'worked',
          },
          isPastAgreed: true,
        });
      case 'group':
        return post(`/api/people/${who(person)}/pay-groups`, {
          from: textOf(day),
          group: hour % 2 === 0 ? 'night crew' : '',
          isPastAgreed: true,
        });
      case 'closed':
        return post('/api/shop/closed-days', { day: textOf(day), name: 'Closed' });
      case 'basis':
        return post('/api/shop/settings', {
          name: 'Test shop',
          orderNumbers: { prefix: '', digits: 4, first: 1001 },
          labels: { symbology: 'code128', paper: 'a4' },
          pay: {
            ...{ period: 'weekly', anchor: '2026-03-02', approval: 'none', isConfirmed: false },
            basis: hour % 2 === 0 ? 'attended' : 'labor',
          },
          desk: { signOutMinutes: 60 },
          backup: { hour: null, keep: 14 },
          reconcile: { answeredGapMinutes: 0 },
        });
      case 'split':
        return shop.context.journal.appendAll({ kind: 'desk', id: 'sol' }, (sql) => {
          const [kept] = sql.all<{ shift_day: LocalDay; paid: number }>(
            'select "shift_day", "paid" from "pay_day" where "technician" = ? limit 1',
            [who(person)],
          );
          if (!kept) return { ok: true, value: [] };
          const [straight, overtime] = [Math.floor(kept.paid / 2), Math.ceil(kept.paid / 2)];
          const said = { technician: who(person), day: kept.shift_day, reason: 'agreed', by: 'Sol' };
          const split = { type: 'split', ...said, straight, overtime, double: 0 } as unknown;
          return {
            ok: true,
            value: [writeDecision(split as Parameters<typeof writeDecision>[0], shop.clock.now())],
          };
        });
    }
  };
  return { shop, act, who };
}

type Open = Awaited<ReturnType<typeof openPast>>;

/** How everybody is paid by all that there is, and how it is kept. */
async function compare({ shop, who }: Open) {
  const facts = await shop.context.facts.get();
  const memberships = await shop.database.em.fork().findAll(PayGroupEntity, { orderBy: { fromDay: -1 } });
  const span = { from: facts.zone.startOf(toDay(FIRST - 3)), to: facts.zone.startOf(LAST) };
  return readSql(shop.database, (sql) =>
    [who(0), who(1)].map((technician) => {
      const derived = derivePay(
        {
          stints: loadStints(sql, { technician, ...span }),
          shifts: loadPresence(sql, 'shift', { technician, ...span }),
          breaks: loadPresence(sql, 'break', { technician, ...span }),
          hours: loadHoursOf(sql, technician, FIRST, LAST),
        },
        facts,
        {
          basis: facts.overtime.basis,
          rules: facts.overtime.rules,
          groupOn: (day) =>
            memberships.find((each) => each.technician === technician && each.fromDay <= day)?.payGroup ||
            undefined,
          splits: loadSplits(sql, technician, EVER, LAST),
          isClosed: (day) => facts.overtime.closedDays.has(day),
          premiumRates: facts.overtime.premiumRates.get(technician) ?? [],
        },
      );
      const isKept = facts.overtime.rules.length > 0 || facts.overtime.basis === 'attended';
      const kept = sql
        .all('select * from "pay_day" where "technician" = ? order by "shift_day"', [technician])
        .map(({ shift_day, paid, straight, overtime, double, unallocated, counted, premium, split }) =>
          [shift_day, paid, straight, overtime, double, unallocated, counted, premium, split].join(' '),
        );
      const wanted = derived.days.map((day) =>
        [
          ...[day.day, day.paidSeconds, day.straight, day.overtime, day.double, day.unallocatedSeconds],
          ...[day.countedSeconds, day.premium, day.split],
        ].join(' '),
      );
      const premiums = loadPremiums(sql, '"technician" = ?', [technician]);
      const told = (lines: readonly { shiftDay: number; day: number; target: string; premium: number }[]) =>
        lines
          .filter(({ premium }) => premium !== 0)
          .map(({ shiftDay, day, target, premium }) => `${shiftDay} ${day} ${target} ${premium}`)
          .sort();
      const sum = (items: readonly { premium?: number }[]) =>
        items.reduce((total, { premium = 0 }) => total + premium, 0);
      const lines = loadLinesBetween(sql, toDay(FIRST - 3), LAST, { technician });
      return {
        kept: { days: kept, lines: told(premiums), ofLines: sum(lines) },
        wanted: {
          days: isKept ? wanted : [],
          lines: told(derived.lines),
          ofLines: sum(lines.filter(({ cost }) => cost !== null).length > 0 ? derived.lines : []),
        },
      };
    }),
  );
}

const rows = ({ shop }: Open) =>
  readSql(shop.database, (sql) =>
    Object.fromEntries(
      PROJECTIONS.map((table) => [
        table,
        sql
          .all(`select * from "${table}"`)
          .map((row) => JSON.stringify(row))
          .sort(),
      ]),
    ),
  );

test('whatever happens, in whatever order, days are kept as all of them together are paid, and labor costs what that adds', async () => {
  let premiums = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(anyAct, { minLength: 8, maxLength: 18 }), async (acts) => {
      const open = await openPast();
      try {
        for (const each of acts) {
          await open.act(each);
          for (const { kept, wanted } of await compare(open)) {
            expect(kept).toEqual(wanted);
            premiums += kept.lines.length;
          }
        }
        const before = await rows(open);
        await rebuild(open.shop.database, await open.shop.context.facts.get(), open.shop.clock.now());
        expect(await rows(open)).toEqual(before);
      } finally {
        await open.shop.close();
      }
    }),
    { numRuns: 25 },
  );
  expect(premiums).toBeGreaterThan(20);
}, 180_000);
