import fc from 'fast-check';
import { BADGE_SIZE, CODE_SIZE, layoutCells } from './cells.ts';
import type { LabelCell, LabelStyle } from './cells.ts';
import { PAPERS, SYMBOLOGIES, breakText, fitText } from './sheet.ts';
import type { CodeSymbol, Item, Sheet } from './sheet.ts';
import { toSvg } from './toSvg.ts';
import { layoutTravelers } from './traveler.ts';

const RUNS = { numRuns: 60 };
/** A symbol of about the right size; the real ones are a library's work and are read back in the web's tests. */
const draw: LabelStyle['draw'] = (symbology, text): CodeSymbol =>
  symbology === 'qr'
    ? {
        kind: 'matrix',
        rows: Array.from({ length: 21 }, (_, i) => Array.from({ length: 21 }, (_, j) => (i + j) % 2 === 0)),
      }
    : { kind: 'bars', widths: Array.from({ length: text.length * 6 + 1 }, (_, i) => 1 + (i % 3)) };
const anyStyle: fc.Arbitrary<LabelStyle> = fc.record({
  symbology: fc.constantFrom(...SYMBOLOGIES),
  paper: fc.constantFrom(...PAPERS),
  draw: fc.constant(draw),
});
const anyWords = fc.string({ minLength: 1, maxLength: 60 });
const anyCells = fc.array(
  fc.record({ title: anyWords, detail: anyWords, code: fc.stringMatching(/^[A-Z0-9]{6,12}$/) }),
  { minLength: 1, maxLength: 40 },
);
const textsOf = ({ items }: Sheet) => items.flatMap((item) => (item.kind === 'text' ? [item] : []));
const boxesOf = ({ items }: Sheet) => items.flatMap((item) => (item.kind === 'rectangle' ? [item] : []));
const widthOf = ({ text, size, isMono, isBold }: Extract<Item, { kind: 'text' }>) =>
  text.length * size * (isMono ? 0.6 : 0.54 * (isBold ? 1.06 : 1));

test('every label stands once, within its sheet, and over no other', () => {
  fc.assert(
    fc.property(anyCells, anyStyle, fc.constantFrom(BADGE_SIZE, CODE_SIZE), (cells, style, size) => {
      const sheets = layoutCells('Labels', cells, size, style);
      const codes = sheets.flatMap(textsOf).filter(({ isMono }) => isMono);
      expect(codes).toHaveLength(cells.length);
      for (const sheet of sheets) {
        const boxes = boxesOf(sheet);
        for (const { x, y, width, height } of boxes) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x + width).toBeLessThanOrEqual(sheet.width + 1e-6);
          expect(y + height).toBeLessThanOrEqual(sheet.height + 1e-6);
        }
        boxes.forEach((a, i) =>
          boxes.slice(i + 1).forEach((b) => {
            const isBeside = a.x + a.width <= b.x + 1e-6 || b.x + b.width <= a.x + 1e-6;
            const isBelow = a.y + a.height <= b.y + 1e-6 || b.y + b.height <= a.y + 1e-6;
            expect(isBeside || isBelow).toBe(true);
          }),
        );
      }
    }),
    RUNS,
  );
});

test('no text runs over the edge of its sheet, on labels and on travelers', () => {
  const anyTraveler = fc.record({
    heading: fc.stringMatching(/^Order [0-9]{4,8}$/),
    words: fc.constant({ wholeOrder: 'whole order', page: 'page' }),
    title: anyWords,
    facts: fc.array(anyWords, { maxLength: 4 }),
    notes: fc.string({ maxLength: 300 }),
    code: fc.constant('JB2C3D4E5X'),
    printed: fc.constant('printed Tue 24 Nov 13:37, version 3'),
    tasks: fc.array(
      fc.record({
        position: fc.integer({ min: 10, max: 990 }),
        title: anyWords,
        detail: anyWords,
        description: fc.string({ maxLength: 200 }),
        instructions: fc.array(fc.string({ maxLength: 200 }), { maxLength: 5 }),
        codes: fc.array(
          fc.record({
            title: fc.constantFrom('', 'setup', 'rework'),
            detail: fc.constant(''),
            code: fc.constant('TB2C3D4E5X'),
          }),
          { minLength: 1, maxLength: 3 },
        ),
      }),
      { maxLength: 9 },
    ),
  });
  fc.assert(
    fc.property(
      anyCells,
      fc.array(anyTraveler, { minLength: 1, maxLength: 2 }),
      anyStyle,
      (cells, travelers, style) => {
        const sheets = [
          ...layoutCells('Labels', cells, CODE_SIZE, style),
          ...layoutTravelers(travelers, style),
        ];
        for (const sheet of sheets)
          for (const text of textsOf(sheet)) {
            expect(text.x + widthOf(text)).toBeLessThanOrEqual(sheet.width + 1e-6);
            expect(text.y).toBeLessThanOrEqual(sheet.height + 1e-6);
          }
      },
    ),
    RUNS,
  );
});

test('each traveler begins a page of its own, and every task’s code is on it', () => {
  const traveler = (number: string, tasks: number) => ({
    heading: `Order ${number}`,
    words: { wholeOrder: 'whole order', page: 'page' },
    title: 'Rewind',
    facts: [],
    notes: '',
    code: `J${number}`,
    printed: '',
    tasks: Array.from({ length: tasks }, (_, i) => ({
      position: (i + 1) * 10,
      title: `Task ${i + 1}`,
      detail: 'Winding',
      description: 'Wind as found',
      instructions: ['Line every slot'],
      codes: [{ title: '', detail: '', code: `T${number}${i}` }],
    })),
  });
  const style = { symbology: 'code128', paper: 'a4', draw } as const;
  const sheets = layoutTravelers([traveler('1001', 2), traveler('1002', 30)], style);
  const words = sheets.map((sheet) => textsOf(sheet).map(({ text }) => text));
  expect(words[0]).toEqual(expect.arrayContaining(['Order 1001', 'whole order  J1001', 'T10010', 'T10011']));
  const said = words[0] ?? [];
  expect(said.indexOf('Wind as found')).toBeGreaterThan(0);
  expect(said.indexOf('1. Line every slot')).toBe(said.indexOf('Wind as found') + 1);
  expect(words[1]).toContain('Order 1002');
  expect(words[2]).toContain('Order 1002, page 2');
  const all = words.slice(1).flat();
  for (let i = 0; i < 30; i += 1) expect(all.filter((text) => text === `T1002${i}`)).toHaveLength(1);
});

test('on a roll every code is a label of its own, as long as it must be', () => {
  const cell = (code: string): LabelCell => ({ title: 'Ada', detail: 'Winding', code });
  const style = { symbology: 'code39', paper: 'roll62', draw } as const;
  const [short, long] = layoutCells('', [cell('B123456'), cell(`B${'2'.repeat(20)}`)], BADGE_SIZE, style);
  expect([short?.height, long?.height]).toEqual([62, 62]);
  expect(long?.width ?? 0).toBeGreaterThan(short?.width ?? 0);
});

test.each<[text: string, width: number, shown: string, why: string]>([
  ['Winding', 60, 'Winding', 'what fits stays whole'],
  ['Winding of the stator', 26, 'Winding of the …', 'what does not is cut with a mark'],
  ['Winding', 0.1, 'W…', 'to its first letter at least'],
])('“%s” in %d mm is “%s”: %s', (text, width, shown) => {
  const item = fitText(0, 0, width, text, { size: 4 });
  expect(item.kind === 'text' && item.text).toBe(shown);
});

test('a long text is broken between words, and a word longer than a line within it; nothing is lost', () => {
  expect(breakText('clean the core and bake it', 22, 3.4)).toEqual(['clean the', 'core and', 'bake it']);
  fc.assert(
    fc.property(fc.string({ maxLength: 200 }), fc.integer({ min: 10, max: 120 }), (text, width) => {
      const lines = breakText(text, width, 3.4);
      expect(lines.join('').replace(/\s/g, '')).toBe(text.replace(/\s/g, ''));
    }),
    RUNS,
  );
});

test('a sheet is written in millimetres, and what people wrote cannot break out of it', () => {
  const svg = toSvg({
    width: 210,
    height: 297,
    items: [
      fitText(1, 2, 100, '<script>"&\'', { size: 4 }),
      { kind: 'rectangle', x: 1, y: 2, width: 3, height: 4 },
    ],
  });
  expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
  expect(svg).not.toContain('<script>');
  expect(svg).toContain('&#60;script&#62;&#34;&#38;&#39;');
});
