import { writeFileSync } from 'node:fs';
import bwip from 'bwip-js/node';
import { Resvg } from '@resvg/resvg-js';

const WIDTH = 640;
const HEIGHT = 480;
const FRAMES = 3;

/** Writes what a camera sees of one line of a traveler: words and its code, as an uncompressed clip (YUV4MPEG2). */
export function writeClip(path: string, words: string, code: string): void {
  const symbol = bwip.toSVG({ bcid: 'qrcode', text: code, scale: 6 });
  const inner = symbol.replace('<svg ', '<svg x="200" y="150" width="240" height="240" ');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><rect width="100%" height="100%" fill="#e9e4d8"/><rect x="170" y="120" width="300" height="300" fill="#fff"/><path d="M20 60h600v3H20z"/><text x="20" y="50" font-size="28">${words}</text>${inner}</svg>`;
  const { pixels } = new Resvg(svg).render();
  const luma = new Uint8Array(WIDTH * HEIGHT);
  for (let i = 0; i < luma.length; i += 1)
    luma[i] = Math.round(
      16 +
        (219 / 255) *
          (0.3 * (pixels[4 * i] ?? 0) + 0.6 * (pixels[4 * i + 1] ?? 0) + 0.1 * (pixels[4 * i + 2] ?? 0)),
    );
  const grey = new Uint8Array((WIDTH * HEIGHT) / 2).fill(128);
  const head = new TextEncoder().encode(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420jpeg\n`);
  const frame = new TextEncoder().encode('FRAME\n');
  const parts = [head, ...Array.from({ length: FRAMES }, () => [frame, luma, grey]).flat()];
  writeFileSync(path, new Uint8Array(Buffer.concat(parts.map((part) => new Uint8Array(part)))));
}
