import fc from 'fast-check';
import { TARGETS, TECHNICIANS } from '../ledger/shop.fixture.ts';
import { addDays } from '../time/index.ts';
import { ABSENT, DAY, lineOf, namesOf } from './payFile.fixture.ts';
import { keyOfKind, payCodeOf } from './payLines.ts';
import type { PayKind, PayLine } from './payLines.ts';
import { PAY_FILE_ROWS, payRowsOf, sortForPay } from './payFile.ts';
import type { PayPerson } from './payFile.ts';
import { findEmptyColumn, writeHundredths, writePayCells } from './payLayout.ts';
import type { PayLayout } from './payLayout.ts';

const KINDS: readonly PayKind[] = [
  { of: 'worked', class: 'straight', on: 'job' },
  { of: 'worked', class: 'straight', on: 'indirect' },
  { of: 'worked', class: 'overtime', on: 'nothing' },
  ABSENT,
  { of: 'closed' },
];
const [worked, indirect, onNothing] = KINDS as [PayKind, PayKind, PayKind];
const PERIOD = { firstDay: DAY, lastDay: addDays(DAY, 6) };

const anyLine = fc.record({
  technician: fc.constantFrom(...TECHNICIANS),
  shiftDay: fc.integer({ min: -3, max: 6 }).map((n) => addDays(DAY, n)),
  kind: fc.constantFrom(...KINDS),
  target: fc.constantFrom(undefined, ...TARGETS),
  workType: fc.constantFrom('run' as const, 'setup' as const),
  // An adjustment takes back.
  seconds: fc.integer({ min: -20_000, max: 60_000 }),
});
const anyLines = fc.array(anyLine, { maxLength: 30 });
const anyCodes = fc
  .array(fc.option(fc.constantFrom('100', '200')), { minLength: KINDS.length, maxLength: KINDS.length })
  .map(
    (words) =>
      new Map(KINDS.flatMap((kind, i) => (words[i] == null ? [] : [[keyOfKind(kind), words[i]] as const]))),
  );
const round = (seconds: number) => Math.sign(seconds) * Math.round(Math.abs(seconds) / 36) + 0;
const sumOf = (lines: readonly { readonly seconds: number }[]) =>
  lines.reduce((sum, { seconds }) => sum + seconds, 0);

test('however a file’s rows are cut, hours of a person and code are those of the period, rounded once', () => {
  fc.assert(
    fc.property(anyLines, anyCodes, (lines, codes) => {
      for (const by of PAY_FILE_ROWS) {
        const rows = payRowsOf(lines, codes, PERIOD, by);
        for (const technician of TECHNICIANS)
          for (const code of ['100', '200']) {
            const own = rows.filter((row) => row.technician === technician && row.code === code);
            const asked = lines.filter(
              (each) => each.technician === technician && payCodeOf(codes, each.kind) === code,
            );
            expect(sumOf(own)).toBe(sumOf(asked));
            expect(own.reduce((sum, { hundredths }) => sum + hundredths, 0)).toBe(
              own.length === 0 ? 0 : round(sumOf(asked)),
            );
            // No row is a hundredth or more away from its own time.
            for (const { hundredths, seconds } of own)
              expect(Math.abs(hundredths * 36 - seconds)).toBeLessThan(36);
          }
      }
    }),
  );
});

test('every line is in the file, missing something, left out, or in a file before', () => {
  const anyPeople = fc.array(fc.record({ feedsPay: fc.boolean(), isKnown: fc.boolean() }), {
    minLength: TECHNICIANS.length,
    maxLength: TECHNICIANS.length,
  });
  fc.assert(
    fc.property(anyLines, anyCodes, anyPeople, fc.nat(3), (lines, codes, people, covered) => {
      const known = new Map(
        TECHNICIANS.map((technician, i): [typeof technician, PayPerson] => [
          technician,
          {
            technician,
            payrollNumber: people[i]?.isKnown ? `P${i}` : '',
            feedsPay: people[i]?.feedsPay === true,
          },
        ]),
      );
      const isCovered = (technician: string) => TECHNICIANS.indexOf(technician as never) === covered;
      const { taken, missing, leftOut } = sortForPay(lines, known, codes, isCovered);
      const isMissing = (line: PayLine) =>
        missing.some((each) =>
          each.of === 'number'
            ? each.technician === line.technician
            : each.of === 'code' && keyOfKind(each.kind) === keyOfKind(line.kind),
        );
      for (const line of lines) {
        const person = known.get(line.technician);
        const ways = [
          isCovered(line.technician),
          !isCovered(line.technician) && person?.feedsPay === false,
          taken.includes(line),
          !isCovered(line.technician) && person?.feedsPay === true && !taken.includes(line),
        ];
        expect(ways.filter(Boolean)).toHaveLength(1);
        if (ways[1]) expect(leftOut.map(({ technician }) => technician)).toContain(line.technician);
        if (ways[3]) expect(isMissing(line)).toBe(true);
      }
    }),
  );
});

test.each<[what: string, kind: PayKind, codes: Record<string, string>, code: string | undefined]>([
  ['its own word', indirect, { 'worked straight job': '1', 'worked straight indirect': '2' }, '2'],
  ['that of jobs where it has none', indirect, { 'worked straight job': '1' }, '1'],
  ['that of jobs, of the same class only', onNothing, { 'worked straight job': '1' }, undefined],
  ['leave by its kind', ABSENT, { 'leave holiday': '900' }, '900'],
  ['no leave by another', ABSENT, { 'leave sick': '901' }, undefined],
])('a kind takes %s', (_what, kind, codes, code) => {
  expect(payCodeOf(new Map(Object.entries(codes)), kind)).toBe(code);
});

test('three thirds of an hour are an hour, and what was taken back of last week stands in a row of its own', () => {
  const lines = [
    lineOf(worked, 1200, TARGETS[0]),
    lineOf(worked, 1200, TARGETS[1]),
    lineOf(worked, 1200, TARGETS[2]),
    { ...lineOf(worked, -1800, TARGETS[0]), shiftDay: addDays(DAY, -2) },
  ];
  const codes = new Map([[keyOfKind(worked), '100']]);
  const told = (by: PayLayout['rows']) =>
    payRowsOf(lines, codes, PERIOD, by).map(({ isEarlier, hundredths }) => [isEarlier, hundredths]);
  // 0:30 in all: the thirds and what was taken back are rounded together.
  expect(told('task')).toEqual([
    [true, -50],
    [false, 34],
    [false, 33],
    [false, 33],
  ]);
  expect(told('day')).toEqual([
    [true, -50],
    [false, 100],
  ]);
  expect(told('period')).toEqual([
    [true, -50],
    [false, 100],
  ]);
});

const layout: PayLayout = {
  rows: 'task',
  columns: (
    ['payrollNumber', 'name', 'day', 'code', 'hours', 'class', 'order', 'task', 'costCode', 'note'] as const
  ).map((field) => ({ field, heading: field.toUpperCase() })),
  separator: 'semicolon',
  decimal: 'comma',
  dates: '30.11.2026',
  hasHeadings: true,
};

test('cells say what the layout asks for, in its own words', () => {
  const lines = [lineOf(worked, 27_000, TARGETS[0]), lineOf(ABSENT, 28_800)];
  const codes = new Map([
    [keyOfKind(worked), '100'],
    [keyOfKind(ABSENT), '900'],
  ]);
  const rows = payRowsOf(lines, codes, PERIOD, 'task');
  expect(writePayCells(rows, PERIOD, layout, namesOf)).toEqual([
    ['PAYROLLNUMBER', 'NAME', 'DAY', 'CODE', 'HOURS', 'CLASS', 'ORDER', 'TASK', 'COSTCODE', 'NOTE'],
    ['P1', 'Ada', '02.03.2026', '100', '7,50', 'straight', '24549', 'Winding', 'C', ''],
    ['P1', 'Ada', '02.03.2026', '900', '8,00', 'holiday', '', '', '', ''],
  ]);
  const columns = (['firstDay', 'lastDay', 'department', 'hours'] as const).map((field) => ({
    ...{ field, heading: '' },
  }));
  const other: PayLayout = { ...layout, rows: 'period', columns, decimal: 'point', hasHeadings: false };
  const dated = (dates: PayLayout['dates']) =>
    writePayCells(payRowsOf(lines.slice(1), codes, PERIOD, 'period'), PERIOD, { ...other, dates }, namesOf);
  expect(dated('2026-11-30')).toEqual([['2026-03-02', '2026-03-08', 'Winding', '8.00']]);
  expect(dated('30/11/2026')[0]?.[0]).toBe('02/03/2026');
  expect(dated('11/30/2026')[0]?.[0]).toBe('03/02/2026');
  expect(dated('20261130')[0]?.[0]).toBe('20260302');
});

test.each([
  [0, '0,00'],
  [7, '0,07'],
  [725, '7,25'],
  [-50, '-0,50'],
  [123_456, '1234,56'],
])('%i hundredths are written %s', (hundredths, text) => {
  expect(writeHundredths(hundredths, ',')).toBe(text);
});

test.each<[rows: PayLayout['rows'], field: PayLayout['columns'][number]['field'], place: number | undefined]>(
  [
    ['period', 'lastDay', undefined],
    ['period', 'day', 0],
    ['day', 'day', undefined],
    ['day', 'order', 0],
    ['task', 'costCode', undefined],
  ],
)('a row of a %s with %s', (rows, field, place) => {
  expect(findEmptyColumn({ rows, columns: [{ field, heading: '' }] })).toBe(place);
});
