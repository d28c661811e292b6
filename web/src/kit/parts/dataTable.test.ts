/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { h } from 'vue';
import DataTable from './DataTable.vue';
import type { Column } from '../tables.ts';
import { compareCells } from '../tables.ts';

type Row = { readonly id: string; readonly name: string; readonly hours: number | null };
const ROWS: readonly Row[] = [
  { id: 'c', name: 'Press 10', hours: 2 },
  { id: 'a', name: 'press 9', hours: null },
  { id: 'b', name: 'Ada', hours: 11 },
];
const COLUMNS: readonly Column<Row>[] = [
  { id: 'name', title: 'Name', value: ({ name }) => name, isRowHead: true },
  {
    id: 'hours',
    title: 'Hours',
    value: ({ hours }) => (hours === null ? '' : `${hours}:00`),
    sortBy: ({ hours }) => hours,
    class: 'number figure',
    cellClass: ({ hours }) => ({ attention: hours === null }),
  },
  { id: 'acts' },
];
type Props = { readonly isSortable?: boolean; readonly isExpanded?: (row: Row) => boolean };
const open = (props: Props = {}, slots = {}) =>
  mount(DataTable<Row>, {
    props: { rows: ROWS, columns: COLUMNS, rowKey: ({ id }: Row) => id, ...props },
    slots,
  });
const names = (page: ReturnType<typeof open>) => page.findAll('tbody th').map((each) => each.text());

test('rows stand as they come, with their heads and the classes of their cells', () => {
  const page = open();
  expect(names(page)).toEqual(['Press 10', 'press 9', 'Ada']);
  expect(page.findAll('thead th').map((each) => [each.text(), each.classes()])).toEqual([
    ['Name', []],
    ['Hours', ['number']],
  ]);
  expect(page.findAll('tbody td.attention')).toHaveLength(1);
});

test.each<[heading: string, presses: number, order: string[], said: string | undefined]>([
  ['Name', 1, ['Ada', 'press 9', 'Press 10'], 'ascending'],
  ['Name', 2, ['Press 10', 'press 9', 'Ada'], 'descending'],
  ['Name', 3, ['Press 10', 'press 9', 'Ada'], undefined],
  ['Hours', 1, ['Ada', 'Press 10', 'press 9'], 'descending'],
  ['Hours', 2, ['Press 10', 'Ada', 'press 9'], 'ascending'],
])('%s pressed %i times puts them in the order %j', async (heading, presses, order, said) => {
  const page = open({ isSortable: true });
  for (let i = 0; i < presses; i += 1)
    await page
      .findAll('thead button')
      .find((each) => each.text().startsWith(heading))
      ?.trigger('click');
  expect(
    page
      .findAll('thead th')
      .find((each) => each.text().startsWith(heading))
      ?.attributes('aria-sort'),
  ).toBe(said);
  expect(names(page)).toEqual(order);
});

test('without leave no heading can be pressed, and what has no value never can', () => {
  expect(open().findAll('button')).toHaveLength(0);
  expect(open({ isSortable: true }).findAll('button')).toHaveLength(2);
});

test('an opened row shows what belongs to it below it, over all columns', () => {
  const page = open(
    { isExpanded: ({ id }: Row) => id === 'a' },
    { expanded: ({ row }: { row: Row }) => h('p', `more of ${row.name}`) },
  );
  const cell = page.get('td.expanded');
  expect([cell.text(), cell.attributes('colspan')]).toEqual(['more of press 9', '3']);
});

test('a slot of a column draws its cells, and new rows are drawn', async () => {
  const page = open({}, { acts: ({ row }: { row: Row }) => h('i', row.id) });
  expect(page.findAll('i').map((each) => each.text())).toEqual(['c', 'a', 'b']);
  await page.setProps({ rows: ROWS.slice(0, 1) });
  expect(page.findAll('i').map((each) => each.text())).toEqual(['c']);
});

test.each([
  [1, 2, -1],
  [10, 9, 1],
  ['Press 9', 'press 10', -1],
  ['', 'a', 1],
  [null, undefined, 0],
  [null, 0, 1],
])('%j and %j: %i', (a, b, order) => {
  expect(Math.sign(compareCells(a, b))).toBe(order);
  expect(Math.sign(compareCells(b, a))).toBe(-order + 0);
});
