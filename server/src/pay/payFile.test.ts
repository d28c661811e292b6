import { createHash } from 'node:crypto';
import type { PayFileJson } from '@wergon/contract/pay';
import { rebuild } from '../ledger/rebuild.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { WEEK, fieldsOf, openPayShop, rule } from './payShop.fixture.ts';
import type { PayShop } from './payShop.fixture.ts';

let paid: PayShop;
let shop: TestShop;
const NEXT_WEEK = '2026-03-09';

const column = (field: string) => ({ field, heading: field });
const layout = {
  rows: 'day',
  columns: ['payrollNumber', 'name', 'day', 'code', 'hours', 'class', 'note'].map(column),
  ...{ separator: 'semicolon', decimal: 'comma', dates: '30.11.2026', hasHeadings: true },
};
const codes = [
  { kind: 'worked straight job', code: '100' },
  { kind: 'worked overtime job', code: '150' },
];

/** Overtime is beyond eight hours a day, and payroll knows both people and both kinds of time. */
beforeEach(async () => {
  paid = await openPayShop();
  shop = paid.shop;
  await paid.post('/api/pay/overtime', rule);
  await paid.post('/api/pay/codes', { codes });
  await numberPerson(shop.ada, 'Ada', '4001');
  await numberPerson(shop.bo, 'Bo', '4002');
});
afterEach(() => shop.close());

type Person = { readonly id: string; readonly number: string };
async function numberPerson(id: string, name: string, payrollNumber: string, more: object = {}) {
  const { technicians } = await paid.read<{ technicians: Person[] }>('/api/people');
  const number = technicians.find((each) => each.id === id)?.number;
  expect((await paid.post(`/api/people/${id}`, { number, name, payrollNumber, ...more })).status).toBe(200);
}
const saveLayout = async (change: object = {}, name = 'Payroll') =>
  (
    (await paid.post('/api/pay/layouts', { id: null, name, layout: { ...layout, ...change } })).body as {
      id: string;
    }
  ).id;
const see = (id: string, firstDay = WEEK, group = '') =>
  paid.read<PayFileJson>(`/api/pay/file?firstDay=${firstDay}&layout=${id}&group=${group}`);
async function make(id: string, { firstDay = WEEK, group = '', putOff = [] as string[] } = {}) {
  const { stamp } = await see(id, firstDay, group);
  return paid.post('/api/pay/file', { firstDay, group, layout: id, stamp, putOff });
}
const textOf = async (answer: { body: unknown }) => {
  const { id } = answer.body as { id: string };
  return paid.read<{ text: string; digest: string }>(`/api/pay/file/text?id=${id}`);
};
const typeOf = (answer: { body: unknown }) => (answer.body as { type: string }).type;

test('a closed period becomes a file of hours by payroll’s own codes, the same bytes each time it is asked for', async () => {
  const id = await saveLayout();
  expect((await see(id)).refusal).toBe('not-closed');
  expect(typeOf(await make(id))).toBe('urn:wergon:pay.not_closed');
  await paid.close();
  const seen = await see(id);
  expect([seen.refusal, seen.rows, seen.people, seen.missing]).toEqual([null, 3, 2, []]);
  const made = await make(id);
  expect(made.status).toBe(200);
  const { text, digest } = await textOf(made);
  expect(text.split('\r\n')).toEqual([
    'payrollNumber;name;day;code;hours;class;note',
    '4001;Ada;03.03.2026;100;8,00;straight;',
    '4001;Ada;03.03.2026;150;2,00;overtime;',
    '4002;Bo;03.03.2026;100;6,00;straight;',
    '',
  ]);
  expect(digest).toBe(createHash('sha256').update(text).digest('hex'));
  // Whatever becomes of names and forms later.
  await numberPerson(shop.ada, 'Ada L.', '9');
  await paid.post('/api/pay/layouts/remove', { id });
  expect(await textOf(made)).toMatchObject({ text, digest });
  const after = await paid.read<PayFileJson>(`/api/pay/file?firstDay=${WEEK}`);
  expect(after.files.map(({ rows, layout: name, by, sums }) => ({ rows, name, by, sums }))).toEqual([
    {
      ...{ rows: 3, name: 'Payroll', by: 'Sol' },
      sums: [
        { code: '100', hundredths: 1400, people: 2 },
        { code: '150', hundredths: 200, people: 1 },
      ],
    },
  ]);
});

test('made twice there is nothing left to pay; taken back it can be made again, and the period reopened', async () => {
  const id = await saveLayout();
  await paid.close();
  const made = await make(id);
  expect((await see(id)).refusal).toBe('nothing');
  expect(typeOf(await make(id))).toBe('urn:wergon:pay.file_empty');
  const reopen = { firstDay: WEEK, reason: 'a mistake' };
  expect(typeOf(await paid.post('/api/pay/reopen', reopen))).toBe('urn:wergon:pay.file_made');
  const file = (made.body as { id: string }).id;
  expect(fieldsOf(await paid.post('/api/pay/file/withdraw', { id: file, reason: ' ' }))).toEqual(['reason']);
  expect((await paid.post('/api/pay/file/withdraw', { id: file, reason: 'wrong form' })).status).toBe(200);
  expect(typeOf(await paid.post('/api/pay/file/withdraw', { id: file, reason: 'again' }))).toBe(
    'urn:wergon:pay.file_withdrawn',
  );
  expect((await make(id)).status).toBe(200);
  const [, first] = (await see(id)).files;
  expect([first?.withdrawnBy, first?.reason]).toEqual(['Sol', 'wrong form']);
});

test('pressed twice at once one file is made', async () => {
  const id = await saveLayout();
  await paid.close();
  const { stamp } = await see(id);
  const send = () => paid.post('/api/pay/file', { firstDay: WEEK, group: '', layout: id, stamp, putOff: [] });
  const both = await Promise.all([send(), send()]);
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
  expect((await see(id)).files).toHaveLength(1);
});

test('what stands in names and headings is no formula, and breaks no row', async () => {
  await numberPerson(shop.ada, '=2+2; "Ada"', '4001');
  const columns = [
    { field: 'name', heading: '@head' },
    { field: 'hours', heading: 'a;b' },
  ];
  const id = await saveLayout({ columns, rows: 'period' });
  await paid.close();
  const { text } = await textOf(await make(id));
  expect(text.split('\r\n').slice(0, 2)).toEqual([`'@head;"a;b"`, `"'=2+2; ""Ada""";8,00`]);
});

test('nothing is dropped silently: what is missing is put right, or put off by name and in a later file', async () => {
  await numberPerson(shop.bo, 'Bo', '');
  await paid.post('/api/pay/codes', { codes: codes.slice(0, 1) });
  await paid.close();
  const id = await saveLayout();
  const { missing, stamp } = await see(id);
  expect(missing.map(({ key, seconds }) => [key, seconds / 3600])).toEqual([
    [`number ${shop.bo}`, 6],
    ['code worked overtime job', 2],
  ]);
  expect(typeOf(await make(id))).toBe('urn:wergon:pay.file_missing');
  expect(typeOf(await make(id, { putOff: [`number ${shop.bo}`] }))).toBe('urn:wergon:pay.file_missing');
  const first = await make(id, { putOff: missing.map(({ key }) => key) });
  expect((await textOf(first)).text).toContain('4001;Ada;03.03.2026;100;8,00');
  expect((await see(id)).refusal).toBeNull();
  await numberPerson(shop.bo, 'Bo', '4002');
  await paid.post('/api/pay/codes', { codes });
  // What was seen before is not what would be made now.
  const asked = { firstDay: WEEK, group: '', layout: id, putOff: [] };
  expect(typeOf(await paid.post('/api/pay/file', { ...asked, stamp }))).toBe('urn:wergon:approve.changed');
  const rest = await textOf(await make(id));
  expect(rest.text.split('\r\n').slice(1, 3)).toEqual([
    '4001;Ada;03.03.2026;150;2,00;overtime;',
    '4002;Bo;03.03.2026;100;6,00;straight;',
  ]);
});

test('a day that nobody has approved is named; once it is approved it is an adjustment in the next file', async () => {
  await shop.close();
  paid = await openPayShop({ approval: 'person-day' });
  shop = paid.shop;
  await paid.post('/api/pay/codes', { codes });
  await numberPerson(shop.ada, 'Ada', '4001');
  await numberPerson(shop.bo, 'Bo', '4002');
  const approve = async (name: string) => {
    const { people } = await paid.read<{
      people: { name: string; technician: string; days: { day: string; stamp: string }[] }[];
    }>(`/api/reconcile/approvals?from=${WEEK}&to=2026-03-08`);
    const days = people.flatMap((each) =>
      each.name === name
        ? each.days.map(({ day, stamp }) => ({ technician: each.technician, day, stamp }))
        : [],
    );
    expect((await paid.post('/api/reconcile/approve', { days })).status).toBe(200);
  };
  await approve('Bo');
  await paid.close();
  const id = await saveLayout();
  const { missing, rows } = await see(id);
  expect([missing.map(({ of, name, seconds }) => [of, name, seconds / 3600]), rows]).toEqual([
    [['day', 'Ada', 10]],
    1,
  ]);
  expect((await make(id, { putOff: missing.map(({ key }) => key) })).status).toBe(200);
  await approve('Ada');
  shop.clock.set(shop.clock.now() * 1000 + 7 * 86_400_000);
  await paid.signIn();
  const next = await see(id, NEXT_WEEK);
  expect([next.earlierSeconds / 3600, next.cells[1]]).toEqual([
    10,
    ['4001', 'Ada', '03.03.2026', '100', '10,00', 'straight', 'adjustment'],
  ]);
});

test('whose time does not go to pay is left out by name; a subcontractor’s does not unless somebody says so', async () => {
  await numberPerson(shop.bo, 'Bo', '', { kind: 'subcontractor' });
  const id = await saveLayout();
  await paid.close();
  const seen = await see(id);
  expect([seen.missing, seen.leftOut]).toEqual([[], [{ name: 'Bo', seconds: 6 * 3600 }]]);
  await numberPerson(shop.bo, 'Bo', '', { kind: 'subcontractor', feedsPay: true });
  expect((await see(id)).missing.map(({ key }) => key)).toEqual([`number ${shop.bo}`]);
});

test('a file of a pay group holds its people, and one of everybody then holds the others', async () => {
  await paid.post(`/api/people/${shop.bo}/pay-groups`, {
    from: '2026-01-01',
    group: 'Night',
    isPastAgreed: true,
  });
  await paid.close();
  const id = await saveLayout();
  expect((await see(id)).groups).toEqual(['Night']);
  expect((await textOf(await make(id, { group: 'Night' }))).text).not.toContain('Ada');
  expect((await textOf(await make(id))).text).not.toContain('Bo');
});

test.each<[what: string, change: object, field: string]>([
  ['a day of a whole period', { rows: 'period' }, 'layout.columns[2].field'],
  ['an order of a whole day', { columns: [column('order')] }, 'layout.columns[0].field'],
  ['no columns', { columns: [] }, 'layout.columns'],
  ['a column of nothing', { columns: [column('weather')] }, 'layout.columns[0].field'],
  ['a date that is written so nowhere', { dates: 'tomorrow' }, 'layout.dates'],
])('%s is refused at its field', async (_what, change, field) => {
  const answer = await paid.post('/api/pay/layouts', {
    ...{ id: null, name: 'Payroll' },
    layout: { ...layout, ...change },
  });
  expect([answer.status, fieldsOf(answer)]).toEqual([422, [field]]);
  const tried = await paid.post('/api/pay/layouts/try', { firstDay: WEEK, layout: { ...layout, ...change } });
  expect([tried.status, fieldsOf(tried)]).toEqual([422, [field]]);
});

test('codes are of kinds that are paid, each once; a form has a name of its own', async () => {
  const wrong = { kind: 'worked triple job', code: '300' };
  expect(fieldsOf(await paid.post('/api/pay/codes', { codes: [wrong] }))).toEqual(['codes[0].kind']);
  expect(fieldsOf(await paid.post('/api/pay/codes', { codes: [codes[0], codes[0]] }))).toEqual([
    'codes[1].kind',
  ]);
  await saveLayout();
  const again = await paid.post('/api/pay/layouts', { id: null, name: 'Payroll', layout });
  expect([again.status, fieldsOf(again)]).toEqual([409, ['name']]);
  expect((await paid.post('/api/pay/layouts', { id: 'none', name: 'Other', layout })).status).toBe(404);
  const tried = await paid.post('/api/pay/layouts/try', { firstDay: WEEK, layout });
  expect((tried.body as { cells: string[][] }).cells[1]).toEqual([
    '4001',
    'Ada',
    '03.03.2026',
    '100',
    '8,00',
    'straight',
    '',
  ]);
});

test('built anew from the journal, files and pay lines are what they were', async () => {
  await numberPerson(shop.bo, 'Bo', '');
  await paid.close();
  const id = await saveLayout();
  await make(id, { putOff: [`number ${shop.bo}`] });
  const before = await see(id);
  await rebuild(shop.database, await shop.context.facts.get(), shop.clock.now());
  expect(await see(id)).toEqual(before);
});

test('the trail says that a file was made, and nothing of what stands in it', async () => {
  await paid.close();
  await make(await saveLayout());
  const trail = JSON.stringify(await paid.read('/api/ledger/trail'));
  expect(trail).toContain('pay-file');
  expect(trail).not.toContain('4001');
});

test('who sees only some of the people is told nothing of a file', async () => {
  const narrow = await shop.addUser({ userName: 'nora', role: 'bookkeeper', seesOnlyTheirs: true });
  expect((await shop.get(`/api/pay/file?firstDay=${WEEK}`, narrow)).status).toBe(403);
});
