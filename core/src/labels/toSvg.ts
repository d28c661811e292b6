import type { Item, Sheet } from './sheet.ts';

const escapeText = (text: string): string =>
  text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`);
const n = (value: number): string => String(Math.round(value * 1000) / 1000);

const FONTS = {
  text: "'Atkinson Hyperlegible Next Variable',sans-serif",
  mono: "'Atkinson Hyperlegible Mono Variable',monospace",
};

function draw(item: Item): string {
  switch (item.kind) {
    case 'text': {
      const { x, y, size, text, isBold, isMono } = item;
      return `<text x="${n(x)}" y="${n(y)}" font-size="${n(size)}" font-family="${isMono ? FONTS.mono : FONTS.text}"${isBold ? ' font-weight="700"' : ''}>${escapeText(text)}</text>`;
    }
    case 'rectangle':
      return item.height === 0
        ? `<path d="M${n(item.x)} ${n(item.y)}h${n(item.width)}" stroke="#000" stroke-width="0.3"/>`
        : `<rect x="${n(item.x)}" y="${n(item.y)}" width="${n(item.width)}" height="${n(item.height)}" fill="none" stroke="#999" stroke-width="0.15"/>`;
    case 'shape':
      return `<path d="${item.path}" shape-rendering="crispEdges"/>`;
  }
}

/** Writes a sheet as an SVG document in millimetres, black on white. */
export const toSvg = ({ width, height, items }: Sheet): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="0 0 ${n(width)} ${n(height)}"><rect width="100%" height="100%" fill="#fff"/><g fill="#000">${items.map(draw).join('')}</g></svg>`;
