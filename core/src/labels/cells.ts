import { fitText, PAGE_SIZES } from './sheet.ts';
import type { DrawSymbol, Item, Paper, Sheet, Symbology } from './sheet.ts';
import { lengthOfSymbol, placeSymbol } from './symbol.ts';
import type { Box } from './symbol.ts';

/** One label: what it is, a word more, and its code. */
export type LabelCell = { readonly title: string; readonly detail: string; readonly code: string };

export type LabelStyle = {
  readonly symbology: Symbology;
  readonly paper: Paper;
  readonly draw: DrawSymbol;
};

/** How large each label is: a badge is a card of ISO/IEC 7810 ID-1; others are as wide as half a sheet. */
export type CellSize = { readonly width: number; readonly height: number };
export const BADGE_SIZE: CellSize = { width: 85.6, height: 54 };
export const CODE_SIZE: CellSize = { width: 92, height: 38 };
/** A long code, such as the calibration label's, takes the whole width. */
export const LONG_SIZE: CellSize = { width: 186, height: 56 };

const PAD = 3;
const ROLL_HEIGHT = 62;
const ROLL_LEAST_LENGTH = 86;

/** Draws one label into a box: words above, the symbol, and the code in letters below it, to be typed by hand. */
export function drawCell({ title, detail, code }: LabelCell, box: Box, style: LabelStyle): Item[] {
  const { symbology, draw } = style;
  const symbol = draw(symbology, code);
  const inner = { x: box.x + PAD, width: box.width - 2 * PAD };
  const bottom = box.y + box.height - PAD;
  if (symbology === 'qr') {
    const size = Math.min(box.height - 2 * PAD, box.width * 0.45);
    const words = { x: inner.x + size + 2, width: inner.width - size - 2 };
    return [
      placeSymbol(symbology, symbol, { x: inner.x, y: box.y + PAD, width: size, height: size }),
      fitText(words.x, box.y + PAD + 8, words.width, title, { size: 5.4, isBold: true }),
      fitText(words.x, box.y + PAD + 14, words.width, detail, { size: 3.6 }),
      fitText(words.x, bottom - 1, words.width, code, { size: 3.4, isMono: true }),
    ];
  }
  const head = box.height > 44 ? 17 : 12.5;
  return [
    fitText(inner.x, box.y + PAD + (box.height > 44 ? 6.5 : 5), inner.width, title, {
      size: box.height > 44 ? 6.5 : 5.4,
      isBold: true,
    }),
    fitText(inner.x, box.y + PAD + head - 3, inner.width, detail, { size: 3.6 }),
    placeSymbol(symbology, symbol, {
      x: inner.x - 1,
      y: box.y + PAD + head - 1,
      width: inner.width + 2,
      height: box.height - 2 * PAD - head - 4,
    }),
    fitText(inner.x, bottom, inner.width, code, { size: 3.4, isMono: true }),
  ];
}

/** Lays labels out: many on a sheet with lines to cut along, or each a label of the roll. */
export function layoutCells(
  heading: string,
  cells: readonly LabelCell[],
  size: CellSize,
  style: LabelStyle,
): Sheet[] {
  if (style.paper === 'roll62') return cells.map((cell) => rollLabel(cell, size, style));
  const page = PAGE_SIZES[style.paper];
  const top = heading === '' ? 10 : 18;
  const [columns, rows] = [
    Math.max(1, Math.floor((page.width - 10) / size.width)),
    Math.max(1, Math.floor((page.height - top - 8) / size.height)),
  ];
  const left = (page.width - columns * size.width) / 2;
  const sheets: Sheet[] = [];
  for (let first = 0; first < cells.length; first += columns * rows) {
    const items: Item[] =
      heading === '' ? [] : [fitText(left, 13, page.width - 2 * left, heading, { size: 6, isBold: true })];
    cells.slice(first, first + columns * rows).forEach((cell, i) => {
      const box = {
        x: left + (i % columns) * size.width,
        y: top + Math.floor(i / columns) * size.height,
        ...size,
      };
      items.push({ kind: 'rectangle', ...box }, ...drawCell(cell, box, style));
    });
    sheets.push({ ...page, items });
  }
  return sheets;
}

/** A label across the roll: as high as the roll is wide, and as long as its code needs. */
export function rollLabel(cell: LabelCell, size: CellSize, style: LabelStyle): Sheet {
  const symbol = style.draw(style.symbology, cell.code);
  const length = style.symbology === 'qr' ? 0 : lengthOfSymbol(style.symbology, symbol) + 2 * PAD;
  const width = Math.max(ROLL_LEAST_LENGTH, Math.min(size.width, 100), Math.ceil(length));
  return {
    width,
    height: ROLL_HEIGHT,
    items: drawCell(cell, { x: 0, y: 0, width, height: ROLL_HEIGHT }, style),
  };
}
