import { Resvg } from '@resvg/resvg-js';
import { PAPERS, SYMBOLOGIES } from '@wergon/core/labels';
import type { Traveler } from '@wergon/core/labels';
import { ACTIONS, CALIBRATION_TEXT, codeOfAction } from '@wergon/core/scan';
import { badgeCells } from './badgeCells.ts';
import { decode } from './decode.fixture.ts';
import { drawJob } from './drawJob.ts';
import type { LabelJob } from './drawJob.ts';

const cell = (title: string, code: string) => ({ title, detail: 'Winding · 12', code });
const TRAVELER: Traveler = {
  heading: 'Order 24105',
  words: { wholeOrder: 'whole order', page: 'page' },
  title: 'Rewind 90 kW pump motor with a title that goes on for longer than any paper is wide',
  facts: ['Tidewater Mills, 1 piece', 'Due 2026-12-01'],
  notes: 'Handle with care. '.repeat(12),
  code: 'J3KN8G3T',
  printed: 'Printed 2026-11-24, version 3',
  tasks: Array.from({ length: 9 }, (_each, i) => ({
    position: (i + 1) * 10,
    title: `Task ${i + 1}`,
    detail: 'Bench · 2:30 h estimated',
    description: 'Wind as found',
    instructions: ['Take photographs of all leads', 'Tag them before anything is cut'],
    codes: [cell('run', `K${i}BCD${i}FG3`), cell('setup', `K${i}HJK${i}LN4`)],
  })),
};
const JOBS: Readonly<Record<string, LabelJob>> = {
  badges: {
    kind: 'cells',
    size: 'badge',
    heading: '',
    cells: ['BND9L1B44TL9SJ', 'B34EN002F62SKB', 'BTTTTTTTTTTTTX'].map((code) => cell('Ingrid Solberg', code)),
  },
  'action sheet': {
    kind: 'cells',
    size: 'code',
    heading: 'Actions',
    cells: ACTIONS.map((action) => cell(action, codeOfAction(action))),
  },
  'indirect sheet': {
    kind: 'cells',
    size: 'code',
    heading: 'Indirect',
    cells: [cell('Cleaning', 'NB3C4D'), cell('Training', 'N9999X')],
  },
  machines: { kind: 'cells', size: 'code', heading: 'Machines', cells: [cell('Big lathe', 'R5T7X2B')] },
  'calibration label': {
    kind: 'cells',
    size: 'long',
    heading: '',
    cells: [cell('Calibration', CALIBRATION_TEXT)],
  },
  traveler: { kind: 'travelers', travelers: [TRAVELER] },
};
const FORMATS = { code128: 'Code128', code39: 'Code39', qr: 'QRCode' } as const;
const DPI = 300;

const codesOf = (job: LabelJob): string[] =>
  (job.kind === 'cells'
    ? job.cells.map(({ code }) => code)
    : job.travelers.flatMap(({ code, tasks }) => [
        code,
        ...tasks.flatMap(({ codes }) => codes.map((each) => each.code)),
      ])
  ).sort();

/** Everything that a decoder finds on a sheet as it would be printed. */
async function read(
  svg: string,
  width: number,
  format: (typeof FORMATS)[keyof typeof FORMATS],
): Promise<string[]> {
  const pixels = Math.round((width / 25.4) * DPI);
  const picture = new Resvg(svg, { fitTo: { mode: 'width', value: pixels } }).render();
  const { width: across, height } = picture;
  return decode({ data: new Uint8ClampedArray(picture.pixels), width: across, height }, format);
}

describe.each(Object.keys(JOBS))('%s', (name) => {
  const job = JOBS[name] as LabelJob;
  test.each(SYMBOLOGIES.flatMap((symbology) => PAPERS.map((paper) => [symbology, paper] as const)))(
    'in %s on %s is read back by a decoder, every code of it',
    async (symbology, paper) => {
      const sheets = drawJob({ job, symbology, paper }, () => undefined);
      const found: string[] = [];
      for (const { svg, width } of sheets) found.push(...(await read(svg, width, FORMATS[symbology])));
      expect(found.sort()).toEqual(codesOf(job));
    },
  );
});

test('a roll is 62 mm wide, and each label is a sheet of its own', () => {
  const sheets = drawJob(
    { job: JOBS['badges'] as LabelJob, symbology: 'code128', paper: 'roll62' },
    () => undefined,
  );
  expect(sheets.map(({ height }) => height)).toEqual([62, 62, 62]);
});

test('names on labels cannot break out of the drawing', () => {
  const job = {
    kind: 'cells',
    size: 'badge',
    heading: '<b>',
    cells: [cell('<script>"&', 'BND9L1B44TL9SJ')],
  } as const;
  const [sheet] = drawJob({ job, symbology: 'qr', paper: 'a4' }, () => undefined);
  expect(sheet?.svg).not.toMatch(/<script|<b>/);
});

describe('badges', () => {
  const person = (number: string, name: string, department: string, ...badges: object[]) =>
    ({
      number,
      name,
      department,
      badges: badges.map((badge) => ({ id: '', code: 'B', isBound: false, revokedAt: null, ...badge })),
    }) as never;
  const people = [
    person('10', 'Ada Zuse', 'Winding', {}),
    person('9', 'Bo Adler', 'Test', {}, { isBound: true }, { revokedAt: 'then' }),
    person('11', 'Cy', 'Assembly'),
  ];
  test.each([
    ['name', 'as-written', ['Ada Zuse', 'Bo Adler']],
    ['name', 'last-name-first', ['Adler, Bo', 'Zuse, Ada']],
    ['number', 'as-written', ['Bo Adler', 'Ada Zuse']],
    ['department', 'as-written', ['Bo Adler', 'Ada Zuse']],
  ] as const)('by %s, %s: %j; none for lost ones and cards of others', (order, form, names) =>
    expect(badgeCells(people, order, form).map(({ title }) => title)).toEqual(names),
  );
});
