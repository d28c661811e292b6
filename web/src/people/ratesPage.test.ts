/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type * as Vue from 'vue';
import { signIn } from '../kit/desk.fixture.ts';
import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import RatesPage from './RatesPage.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
// The shop's today is the Monday of that week.
jest.mock('../kit/useNow.ts', () => ({
  useNow: () => jest.requireActual<typeof Vue>('vue').ref(1_772_431_200),
}));
enableAutoUnmount(afterEach);

const rate = (from: string, base: string, more: object = {}) => ({
  record: { from, per: 'hour', base, burden: [], grade: null, ...more },
  lines: [{ name: 'Base', amount: `${base} an hour`, perHour: `${base}00` }],
  costPerHour: `${base}00`,
});
const PENSION = { name: 'Pension', kind: 'percent', value: '10' };
const ORDER = {
  number: '5001',
  title: 'Rewind',
  isOpen: true,
  seconds: 3600,
  before: '30.00',
  after: '33.00',
};

/** Rates of one person; `effect` is what any change would do. */
async function open(
  records: object[],
  effect: object = { costPerHour: '33.0000', isPast: false, orders: [] },
) {
  signIn('people.see', 'rates.see');
  server.calls = [];
  server.answer = ({ name }) => {
    if (name === 'rates') return { records };
    if (name === 'people') return { technicians: [], grades: [{ id: 'g1', name: 'Winder' }] };
    return name === 'rateEffect' ? effect : null;
  };
  const opened = await openPage(RatesPage, { person: '/people/:technician', people: '/shop/people' });
  const { page } = opened;
  const type = async (label: string, text: string) => {
    await opened.field(label).setValue(text);
    await flushPromises();
  };
  const save = async () => {
    await page.get('form.draft').trigger('submit');
    await flushPromises();
  };
  /** What was sent to change something, and asked before it. */
  const sent = () => bodies().filter(([name]) => name === 'rateEffect' || name === 'addRate');
  return { ...opened, type, save, sent };
}

test('nobody has a cost before the first rate, and it is said', async () => {
  const { page } = await open([]);
  expect(page.findAll('.attention').length).toBeGreaterThan(0);
  expect(page.findAll('article')).toHaveLength(0);
});

test('the rate that holds today stands out; one of a later day does not yet', async () => {
  const { page } = await open([
    rate('2026-04-01', '32.00'),
    rate('2026-01-01', '30.00'),
    rate('2025-01-01', '28.00'),
  ]);
  expect(page.findAll('article.holds h3').map((each) => each.text().slice(0, 10))).toHaveLength(1);
  expect(page.get('article.holds').text()).toContain('30.00');
});

test('a rate from today on is stored at once: it changes no day gone by', async () => {
  const { page, press, type, save, sent } = await open([rate('2026-01-01', '30.00', { burden: [PENSION] })]);
  await press('New rate from a day on');
  await type('Base', '33,00');
  await save();
  const record = { from: '2026-03-02', per: 'hour', base: '33.00', burden: [PENSION] };
  expect(sent()).toEqual([
    ['rateEffect', { record, replaces: null }],
    ['addRate', { record, replaces: null, isPastAgreed: false }],
  ]);
  expect(page.find('form.draft').exists()).toBe(false);
});

test('a rate of days gone by shows first what it costs whom, and is stored by a second press', async () => {
  const effect = { costPerHour: '33.0000', isPast: true, orders: [ORDER] };
  const { page, press, type, save, sent, cells } = await open([rate('2026-01-01', '30.00')], effect);
  await press('Correct this rate');
  await type('Base', '33.00');
  await save();
  expect(sent().map(([name]) => name)).toEqual(['rateEffect']);
  expect(cells()).toContainEqual(['5001', 'Rewind · open', '1:00', '€30.00', '€33.00']);
  expect(page.get('form.draft button[type=submit]').text()).toBe('Change the past');
  await save();
  expect(sent().at(-1)).toEqual([
    'addRate',
    {
      record: { from: '2026-01-01', per: 'hour', base: '33.00', burden: [] },
      replaces: '2026-01-01',
      isPastAgreed: true,
    },
  ]);
});

test('what was typed after its effect was seen is looked at anew: nobody agreed to that', async () => {
  const effect = { costPerHour: '33.0000', isPast: true, orders: [ORDER] };
  const { press, type, save, sent } = await open([rate('2026-01-01', '30.00')], effect);
  await press('Correct this rate');
  await type('Base', '33.00');
  await save();
  await type('Base', '333.00');
  await save();
  expect(sent().map(([name]) => name)).toEqual(['rateEffect', 'rateEffect']);
});

test('what is refused stands at its field, and nothing that was typed is lost', async () => {
  const { page, press, field, type, save } = await open([]);
  server.answer = ({ name }) => {
    if (name === 'rateEffect')
      throw new CallFailed({ title: 'no', errors: [{ field: 'record.base', message: 'is not an amount' }] });
    return name === 'rates' ? { records: [] } : { technicians: [], grades: [] };
  };
  await press('New rate from a day on');
  await type('Base', 'thirty');
  await save();
  expect(page.findAll('.told.attention').map((each) => each.text())).toContain('is not an amount');
  expect((field('Base').element as HTMLInputElement).value).toBe('thirty');
});

test('burdens are added and taken out, and a salary goes with its hours', async () => {
  const { page, press, type, save, sent } = await open([]);
  await press('New rate from a day on');
  await type('Base', '42000');
  await type('Paid by', 'year');
  await type('Hours per year', '1750');
  for (const name of ['Pension', 'Tools']) {
    await press('Add a burden');
    const last = page.findAll('form.draft .inline').at(-1);
    await last?.findAll('input')[0]?.setValue(name);
    await last?.findAll('input')[1]?.setValue('3,5');
  }
  await press('Remove');
  await save();
  expect(sent()[0]).toEqual([
    'rateEffect',
    {
      record: {
        from: '2026-03-02',
        per: 'year',
        base: '42000',
        hoursPerYear: '1750',
        burden: [{ name: 'Tools', kind: 'percent', value: '3.5' }],
      },
      replaces: null,
    },
  ]);
});
