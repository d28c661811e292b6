import { ROUTES } from './routes.ts';
import type { Route } from './route.ts';
import type { RouteName } from './routes.ts';

/** A body as a page would send it; each row below changes one thing about it. */
const GOOD = {
  signIn: { userName: 'sol', password: 'long enough' },
  addRate: { record: { from: '2026-03-02', per: 'hour', base: '31.50' } },
  addRole: { name: 'Night lead', rights: ['floor.see'], reach: 'crew' },
  addUser: { name: 'Sol', userName: 'sol', password: 'a long password', roles: ['lead'], seesRates: false },
  editTape: {
    block: null,
    becomes: [
      {
        technician: 'ada',
        from: '2026-03-02T07:00:00Z',
        to: '2026-03-02T08:00:00Z',
        running: [{ target: 'w1-10', workType: 'run' }],
      },
    ],
    reason: 'told by phone',
  },
  editPresence: {
    technician: 'ada',
    kind: 'shift',
    was: { from: '2026-03-02T07:00:00Z', to: null },
    becomes: { from: '2026-03-02T07:00:00Z', to: '2026-03-02T15:00:00Z' },
  },
  enterHours: {
    rows: [
      { entry: null, technician: 'ada', target: 'w1-10', workType: 'run', day: '2026-03-02', seconds: 3600 },
    ],
  },
  acceptLooseEnd: {
    ends: [
      {
        kind: 'gap',
        technician: 'ada',
        target: null,
        from: '2026-03-02T07:00:00Z',
        day: '2026-03-02',
        about: null,
      },
    ],
    reason: 'sent for parts',
    seen: { from: '2026-03-02', to: '2026-03-15' },
  },
  answerLooseEnd: {
    answers: [
      {
        end: { kind: 'gap', technician: 'ada', target: null, from: '2026-03-02T07:00:00Z' },
        reason: 'was-break',
        at: null,
      },
    ],
  },
  approve: { days: [{ technician: 'ada', day: '2026-03-02', stamp: 'x' }] },
  undoAnswer: { entries: ['e1'] },
  closePeriod: { firstDay: '2026-03-02', stamp: 'x' },
  reopenPeriod: { firstDay: '2026-03-02', reason: 'a late slip' },
  saveSettings: {
    name: 'Odden Rewind Works',
    orderNumbers: { prefix: '', digits: 4, first: 1001 },
    labels: { symbology: 'code128', paper: 'a4' },
    pay: { period: 'weekly', anchor: '2026-03-02', approval: 'none', isConfirmed: false },
    desk: { signOutMinutes: 60 },
    backup: { hour: 2, keep: 14 },
    reconcile: { answeredGapMinutes: 0 },
  },
  addAbsence: { from: '2026-03-02', to: '2026-03-06', kind: 'holiday', isPaid: true },
} satisfies Partial<Record<RouteName, object>>;

/** A body with the value at a path, written `rows.0.day`, put in place of what is there. */
function change(body: object, path: string, value: unknown): unknown {
  const copy = structuredClone(body) as Record<string, unknown>;
  const steps = path.split('.');
  const last = steps.pop() ?? '';
  const place = steps.reduce<Record<string, unknown>>(
    (at, step) => at[step] as Record<string, unknown>,
    copy,
  );
  place[last] = value;
  return copy;
}
const parse = (name: keyof typeof GOOD, body: unknown) => {
  const { body: schema } = ROUTES[name] as Route;
  if (!schema) throw new Error(name);
  return schema.safeParse(body);
};

test.each(Object.entries(GOOD))('%s: what a page sends is read', (name, body) =>
  expect(parse(name as keyof typeof GOOD, body).error).toBeUndefined(),
);

test.each<[name: keyof typeof GOOD, path: string, value: unknown, why: string]>([
  ['signIn', 'password', '', 'no password at all'],
  ['signIn', 'userName', 7, 'a name that is a number'],
  ['addUser', 'password', 'short', 'a password that is easily guessed'],
  ['addRate', 'record.base', '1000000.01', 'an hour of more than a million'],
  ['addUser', 'roles', [], 'no role'],
  ['addUser', 'roles', ['lead', 'lead'], 'a role twice'],
  ['addRole', 'rights.1', 'shop.own', 'a right that is none'],
  ['addRole', 'rights', ['floor.see', 'floor.see'], 'a right twice'],
  ['addRole', 'reach', 'planet', 'a reach that is none'],
  ['editTape', 'becomes.0.from', '2026-03-02T07:00', 'an instant without its offset'],
  ['editTape', 'becomes.0.running', [], 'work on nothing'],
  ['editTape', 'becomes.0.running.0.workType', 'idle', 'a kind of work that is none'],
  ['editTape', 'becomes.0.technician', '', 'nobody'],
  ['editTape', 'reason', 'x'.repeat(201), 'a reason as long as a letter'],
  ['editPresence', 'kind', 'nap', 'neither a shift nor a break'],
  ['editPresence', 'becomes.to', '15:00', 'a clock without its day'],
  ['enterHours', 'rows', [], 'nothing at all'],
  ['enterHours', 'rows.0.day', '2026-02-30', 'a day that does not exist'],
  ['enterHours', 'rows.0.seconds', 90_000, 'more than a day holds'],
  ['enterHours', 'rows.0.seconds', 1.5, 'half a second'],
  ['enterHours', 'rows.0.seconds', -60, 'less than nothing'],
  ['acceptLooseEnd', 'reason', '   ', 'no reason'],
  ['acceptLooseEnd', 'ends.0.kind', 'mood', 'a kind that is none'],
  ['acceptLooseEnd', 'ends', [], 'nothing to accept'],
  ['acceptLooseEnd', 'seen.to', 'today', 'days that are words'],
  ['answerLooseEnd', 'answers.0.reason', 'because', 'an answer that was never offered'],
  ['answerLooseEnd', 'answers', [], 'no answer'],
  ['approve', 'days.0.stamp', undefined, 'without what was seen'],
  ['approve', 'days', [], 'no day'],
  ['undoAnswer', 'entries', [], 'nothing to undo'],
  ['undoAnswer', 'entries.0', '', 'an entry without a name'],
  ['closePeriod', 'stamp', undefined, 'a closing of what nobody saw'],
  ['reopenPeriod', 'reason', ' ', 'reopened without a reason'],
  ['saveSettings', 'pay.anchor', '2026-13-01', 'an anchor that is no day'],
  ['saveSettings', 'pay.period', 'daily', 'a period that is none'],
  ['saveSettings', 'reconcile.answeredGapMinutes', 61, 'gaps of more than an hour answer themselves'],
  ['saveSettings', 'orderNumbers.prefix', 'A B', 'a prefix with a space'],
  ['saveSettings', 'name', '', 'a shop without a name'],
  ['addAbsence', 'to', '2026-03-01', 'back before leaving'],
  ['addAbsence', 'kind', 'bored', 'a reason that is none'],
])('%s refuses %s = %j and names it: %s', (name, path, value) => {
  const told = parse(name, change(GOOD[name], path, value)).error?.issues ?? [];
  expect(told.map((issue) => issue.path.join('.'))).toContain(path);
});
