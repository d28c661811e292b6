import { Defect } from '../result/index.ts';
import type { CodeSymbol, Item, Symbology } from './sheet.ts';

type Rule = {
  /** Width of one module in millimetres: as wide as there is room for, within these. */
  readonly module: { readonly least: number; readonly most: number };
  /** White on each side, in modules and at least in millimetres. */
  readonly quiet: { readonly modules: number; readonly least: number };
};

/** Code 128: ISO/IEC 15417, quiet zone 10 X. Code 39: ISO/IEC 16388, quiet zone 10 X. QR: ISO/IEC 18004, 4 modules.
 *  The least modules are what hand scanners read at an arm's length. */
const RULES: Readonly<Record<Symbology, Rule>> = {
  code128: { module: { least: 0.19, most: 0.38 }, quiet: { modules: 10, least: 2.5 } },
  code39: { module: { least: 0.17, most: 0.33 }, quiet: { modules: 10, least: 2.5 } },
  qr: { module: { least: 0.4, most: 0.9 }, quiet: { modules: 4, least: 1.6 } },
};

/** Bars are at least this high, and at least this part of their length, so that a slanted beam still crosses them. */
const LEAST_BAR_HEIGHT = 6.5;
const BAR_HEIGHT_SHARE = 0.15;

const modulesOf = (symbol: CodeSymbol): number =>
  symbol.kind === 'bars' ? symbol.widths.reduce((a, b) => a + b, 0) : symbol.rows.length;

/** The length that a symbol needs with its quiet zones, in millimetres, at the widest of its modules. */
export function lengthOfSymbol(symbology: Symbology, symbol: CodeSymbol): number {
  const { module, quiet } = RULES[symbology];
  return modulesOf(symbol) * module.most + 2 * Math.max(quiet.modules * module.most, quiet.least);
}

export type Box = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

const n = (value: number): string => String(Math.round(value * 1000) / 1000);
const rectangle = (x: number, y: number, width: number, height: number): string =>
  `M${n(x)} ${n(y)}h${n(width)}v${n(height)}h${n(-width)}z`;

/** Draws a symbol into a box, quiet zones and all, at the left of it. Throws `Defect` where the box is too small for
 *  a scanner to read what is in it: layouts see to it that it never is. */
export function placeSymbol(symbology: Symbology, symbol: CodeSymbol, box: Box): Item {
  const { module, quiet } = RULES[symbology];
  const count = modulesOf(symbol);
  const room = symbol.kind === 'bars' ? box.width : Math.min(box.width, box.height);
  const size = Math.min(module.most, room / (count + 2 * quiet.modules));
  const margin = Math.max(quiet.modules * size, quiet.least);
  if (size < module.least || count * size + 2 * margin > room + 0.01)
    throw new Defect(
      `no room for a ${symbology} of ${count} modules in ${n(box.width)} × ${n(box.height)} mm`,
    );
  if (symbol.kind === 'matrix') {
    const path = symbol.rows.flatMap((row, i) =>
      row.flatMap((isDark, j) =>
        isDark ? [rectangle(box.x + margin + j * size, box.y + margin + i * size, size, size)] : [],
      ),
    );
    return { kind: 'shape', path: path.join('') };
  }
  if (box.height < Math.max(LEAST_BAR_HEIGHT, count * size * BAR_HEIGHT_SHARE))
    throw new Defect(`bars of ${n(box.height)} mm are too low`);
  let x = box.x + margin;
  const path = symbol.widths.map((width, i) => {
    const bar = i % 2 === 0 ? rectangle(x, box.y, width * size, box.height) : '';
    x += width * size;
    return bar;
  });
  return { kind: 'shape', path: path.join('') };
}
