/** How a code is drawn. Source: docs/labels.md. */
export const SYMBOLOGIES = ['code128', 'code39', 'qr'] as const;
export type Symbology = (typeof SYMBOLOGIES)[number];

/** A code as a symbol in modules: widths of bars and spaces by turns, beginning with a bar, or rows of dark modules. */
export type CodeSymbol =
  | { readonly kind: 'bars'; readonly widths: readonly number[] }
  | { readonly kind: 'matrix'; readonly rows: readonly (readonly boolean[])[] };

/** Makes the symbol of a text; the encoding itself is a library's work. */
export type DrawSymbol = (symbology: Symbology, text: string) => CodeSymbol;

/** Something on a sheet. Lengths in millimetres from the upper left corner; `y` of a text is its base line. */
export type Item =
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly text: string;
      readonly isBold: boolean;
      readonly isMono: boolean;
    }
  | {
      readonly kind: 'rectangle';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
    }
  /** Filled black; `path` is in the terms of SVG. */
  | { readonly kind: 'shape'; readonly path: string };

/** One page of paper, or one label of a roll. */
export type Sheet = { readonly width: number; readonly height: number; readonly items: readonly Item[] };

/** What labels are printed on: cut sheets, or a roll 62 mm wide whose labels are as long as they must be. */
export const PAPERS = ['a4', 'letter', 'roll62'] as const;
export type Paper = (typeof PAPERS)[number];

/** Sheets by their names; ISO 216 and ANSI/ASME Y14.1. */
export const PAGE_SIZES: Readonly<
  Record<'a4' | 'letter', { readonly width: number; readonly height: number }>
> = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
};

/** Average width of a letter against its height; a little wide, so that texts rather end early than run over. */
const LETTER_WIDTH = 0.54;
const MONO_WIDTH = 0.6;

type TextStyle = { readonly size: number; readonly isBold?: boolean; readonly isMono?: boolean };

/** A text that stays within a width: shrunk to three quarters at most, and then cut. */
export function fitText(x: number, y: number, width: number, text: string, style: TextStyle): Item {
  const { size, isBold = false, isMono = false } = style;
  const letter = isMono ? MONO_WIDTH : LETTER_WIDTH * (isBold ? 1.06 : 1);
  const shrunk = Math.min(size, Math.max(size * 0.75, width / (letter * Math.max(1, text.length))));
  const most = Math.floor(width / (letter * shrunk));
  const shown = text.length <= most ? text : `${text.slice(0, Math.max(1, most - 1))}…`;
  return { kind: 'text', x, y, size: shrunk, text: shown, isBold, isMono };
}

/** Breaks a text into lines that stay within a width, between words where it can. */
export function breakText(text: string, width: number, size: number): string[] {
  const most = Math.max(8, Math.floor(width / (LETTER_WIDTH * size)));
  const lines: string[] = [];
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most)
      lines[lines.length - 1] = `${last} ${word}`;
    else for (let i = 0; i < word.length; i += most) lines.push(word.slice(i, i + most));
  }
  return lines;
}
