import type { PayPeriodJson } from '@wergon/contract/pay';
import { SEVEN, cookieOf, line, newId, openTestShop } from '../app/testShop.fixture.ts';
import { deriveDue } from '../ledger/dueDerivation.ts';

const DAY = 24 * 60;
export const WEEK = '2026-03-02';

/** Beyond eight hours a day is overtime. */
export const terms = {
  ...{ weekStart: 1, day: [{ over: '8', class: 'overtime' }], week: [], special: [] },
  ...{ multipliers: { overtime: '1.5', double: '2' }, premiumOn: 'worked' },
};
export const rule = { from: '2026-01-01', group: '', terms, isPastAgreed: true };
const settings = {
  name: 'Test shop',
  orderNumbers: { prefix: '', digits: 4, first: 1001 },
  labels: { symbology: 'code128', paper: 'a4' },
  pay: { period: 'weekly', anchor: WEEK, approval: 'none', isConfirmed: false },
  desk: { signOutMinutes: 60 },
  backup: { hour: null, keep: 14 },
  reconcile: { answeredGapMinutes: 0 },
};

/** Eight hours from Monday to Friday, planned from a day before all of it. */
export const plan = {
  from: '2026-01-05',
  weeks: [
    [1, 2, 3, 4, 5, 6, 7].map((day) =>
      day < 6 ? { startMinute: 420, endMinute: 930, breakMinutes: 30 } : null,
    ),
  ],
};

/** A shop that pays by the week and approves nothing; Ada has worked ten hours on Tuesday, Bo six; it is a week later. */
export async function openPayShop(pay: Partial<(typeof settings)['pay']> = {}) {
  const shop = await openTestShop();
  await shop.post('/api/shop/settings', { ...settings, pay: { ...settings.pay, ...pay } });
  shop.clock.set((SEVEN + 8 * 86_400) * 1000);
  let desk = '';
  const signIn = async () => {
    desk = cookieOf(await shop.post('/api/sign-in', { userName: 'sol', password: 'long enough' }, ''));
  };
  await signIn();
  const post = async (path: string, body: object, as = desk) => {
    const answer = await shop.post(path, body, as);
    await deriveDue(shop.database, shop.context.facts);
    return answer;
  };
  const read = async <T>(path: string, as = desk) => (await shop.get(path, as)).body as T;
  const work = (who: string, day: number, hours: number, on: string = shop.strip) =>
    shop.send(
      shop.scan('shift-in', day * DAY, who),
      shop.scan('work-start', day * DAY, who, [on]),
      shop.scan('shift-out', day * DAY + hours * 60, who),
    );
  const period = (firstDay = WEEK) => read<PayPeriodJson>(`/api/pay/period?firstDay=${firstDay}`);
  await work(shop.ada, 0, 10);
  await work(shop.bo, 0, 6);
  return {
    ...{ shop, signIn, post, read, work, period },
    desk: () => desk,
    /** Hours of Tuesday are written down later. */
    writeDown: (who: string, count: number) => {
      const entry = { id: newId(), type: 'hours', day: '2026-03-03', seconds: count * 3600 };
      const sent = { ...entry, technician: who, targets: [shop.strip] };
      return post('/api/ledger/entries', { entries: [line(sent, { source: 'desk' })] });
    },
    close: async (firstDay = WEEK) => {
      const { stamp } = await period(firstDay);
      return post('/api/pay/close', { firstDay, stamp });
    },
  };
}
export type PayShop = Awaited<ReturnType<typeof openPayShop>>;

export const fieldsOf = (answer: { body: unknown }) =>
  ((answer.body as { errors?: { field: string }[] }).errors ?? []).map(({ field }) => field);
