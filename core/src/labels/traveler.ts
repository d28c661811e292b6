import { CODE_SIZE, rollLabel } from './cells.ts';
import type { LabelCell, LabelStyle } from './cells.ts';
import { PAGE_SIZES, breakText, fitText } from './sheet.ts';
import type { Item, Sheet } from './sheet.ts';
import { placeSymbol } from './symbol.ts';

/** The paper that goes with an order through the shop. */
export type Traveler = {
  /** What it is, `Order 24117`; stands on every page. */
  readonly heading: string;
  readonly title: string;
  /** Customer, pieces, due day, unit: one line each. */
  readonly facts: readonly string[];
  readonly notes: string;
  readonly code: string;
  /** When it was printed and which version of the order it shows. */
  readonly printed: string;
  /** What stands beside the order's own code, and before the number of a further page. */
  readonly words: { readonly wholeOrder: string; readonly page: string };
  readonly tasks: readonly {
    readonly position: number;
    readonly title: string;
    readonly detail: string;
    /** What there is to say of it as a whole, before its steps. */
    readonly description: string;
    readonly instructions: readonly string[];
    /** The task's own code and, where wanted, one for each kind of work. */
    readonly codes: readonly LabelCell[];
  }[];
};

const LEFT = 12;
const SYMBOL_WIDTH = 82;
const CODE_HEIGHT = 23;
const QR_HEIGHT = 29;
const TEXT_SIZE = 3.4;
const LINE_HEIGHT = 4.4;

/** Lays out travelers: each begins a page of its own; on the roll each code is a label. */
export const layoutTravelers = (travelers: readonly Traveler[], style: LabelStyle): Sheet[] =>
  travelers.flatMap((traveler) =>
    style.paper === 'roll62'
      ? rollTraveler(traveler, style)
      : pagesOf(traveler, style, PAGE_SIZES[style.paper]),
  );

function rollTraveler({ heading, title, code, tasks }: Traveler, style: LabelStyle): Sheet[] {
  const cells = [
    { title: heading, detail: title, code },
    ...tasks.flatMap((task) =>
      task.codes.map((each) => ({
        title: each.title,
        detail: `${heading}, ${task.position} · ${task.detail}`,
        code: each.code,
      })),
    ),
  ];
  return cells.map((cell) => rollLabel(cell, CODE_SIZE, style));
}

type Page = { readonly width: number; readonly height: number };

function pagesOf(traveler: Traveler, style: LabelStyle, page: Page): Sheet[] {
  const pages: Item[][] = [];
  const width = page.width - 2 * LEFT;
  const symbolX = page.width - LEFT - SYMBOL_WIDTH;
  const codeHeight = style.symbology === 'qr' ? QR_HEIGHT : CODE_HEIGHT;
  let items: Item[] = [];
  let y: number;

  const beginPage = () => {
    items = [];
    pages.push(items);
    if (pages.length > 1) {
      items.push(
        fitText(LEFT, 14, width, `${traveler.heading}, ${traveler.words.page} ${pages.length}`, {
          size: 4.5,
          isBold: true,
        }),
      );
    }
    y = 20;
  };
  const drawCode = (cell: LabelCell, top: number, caption: string) => {
    items.push(
      placeSymbol(style.symbology, style.draw(style.symbology, cell.code), {
        x: symbolX,
        y: top,
        width: SYMBOL_WIDTH,
        height: style.symbology === 'qr' ? QR_HEIGHT - 2 : 13,
      }),
    );
    const words = { size: TEXT_SIZE, isMono: true };
    if (style.symbology === 'qr') {
      items.push(fitText(symbolX + 30, top + 10, SYMBOL_WIDTH - 30, caption, { size: 4.2, isBold: true }));
      items.push(fitText(symbolX + 30, top + 16, SYMBOL_WIDTH - 30, cell.code, words));
    } else
      items.push(
        fitText(
          symbolX + 3,
          top + 17,
          SYMBOL_WIDTH - 6,
          caption === '' ? cell.code : `${caption}  ${cell.code}`,
          words,
        ),
      );
  };

  beginPage();
  items.push(fitText(LEFT, 20, symbolX - LEFT - 4, traveler.heading, { size: 9, isBold: true }));
  items.push(fitText(LEFT, 28, symbolX - LEFT - 4, traveler.title, { size: 5 }));
  drawCode({ title: '', detail: '', code: traveler.code }, 10, traveler.words.wholeOrder);
  y = 34;
  for (const fact of traveler.facts) {
    items.push(fitText(LEFT, y, symbolX - LEFT - 4, fact, { size: 3.8 }));
    y += 5;
  }
  for (const text of breakText(traveler.notes, width, TEXT_SIZE)) {
    items.push(fitText(LEFT, y, width, text, { size: TEXT_SIZE }));
    y += LINE_HEIGHT;
  }
  items.push(fitText(LEFT, y, symbolX - LEFT - 4, traveler.printed, { size: 3 }));
  y = Math.max(y + 5, 42);

  for (const task of traveler.tasks) {
    const textWidth = symbolX - LEFT - 18;
    const lines = [task.description, ...task.instructions.map((text, i) => `${i + 1}. ${text}`)].flatMap(
      (text) => breakText(text, textWidth, TEXT_SIZE),
    );
    const height = Math.max(16 + lines.length * LINE_HEIGHT, 4 + task.codes.length * codeHeight);
    if (y + Math.min(height, page.height - 32) > page.height - 10) beginPage();
    items.push({ kind: 'rectangle', x: LEFT, y, width, height: 0 });
    items.push(fitText(LEFT, y + 8, 13, String(task.position), { size: 5, isBold: true, isMono: true }));
    items.push(fitText(LEFT + 14, y + 8, textWidth, task.title, { size: 5, isBold: true }));
    items.push(fitText(LEFT + 14, y + 13, textWidth, task.detail, { size: TEXT_SIZE }));
    const top = y;
    task.codes.forEach((cell, i) => drawCode(cell, top + 3 + i * codeHeight, cell.title));
    let lineY = y + 18;
    for (const line of lines) {
      items.push(fitText(LEFT + 14, lineY, textWidth, line, { size: TEXT_SIZE }));
      lineY += LINE_HEIGHT;
    }
    y += height;
  }
  return pages.map((each) => ({ ...page, items: each }));
}
