import { deflateSync } from 'node:zlib';

const SIGNATURE = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
const WIDTH = 320;
const HEIGHT = 200;
/** Eight bits of grey, not interlaced. */
const FORMAT = [8, 0, 0, 0, 0];

/** A number as four bytes, the highest first. */
const inBytes = (value: number): number[] => [24, 16, 8, 0].map((shift) => (value >>> shift) & 255);

/** Checksum of a chunk as PNG (ISO/IEC 15948) wants it. */
function crc32(bytes: readonly number[]): number {
  let crc = ~0;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit += 1) crc = (crc >>> 1) ^ (crc & 1 ? 0xedb88320 : 0);
  }
  return ~crc >>> 0;
}

function chunk(type: string, body: readonly number[]): number[] {
  const named = [...[...type].map((letter) => letter.charCodeAt(0)), ...body];
  return [...inBytes(body.length), ...named, ...inBytes(crc32(named))];
}

/** How light a point of the plate is: four rivets, and lines where words would be. */
function shadeOf(x: number, y: number): number {
  const isRivet = [30, WIDTH - 30].some((cx) =>
    [30, HEIGHT - 30].some((cy) => (x - cx) ** 2 + (y - cy) ** 2 < 60),
  );
  if (isRivet) return 70;
  const isLine = y % 26 < 3 && y > 46 && y < HEIGHT - 40 && x > 60 && x < WIDTH - 60 - ((y * 37) % 90);
  return isLine ? 50 : 176 + Math.round(12 * Math.sin(x / 40));
}

/** A made-up picture of a nameplate, as a PNG. */
export function drawNameplate(): Buffer {
  const pixels: number[] = [];
  for (let y = 0; y < HEIGHT; y += 1) {
    pixels.push(0);
    for (let x = 0; x < WIDTH; x += 1) pixels.push(shadeOf(x, y));
  }
  return Buffer.from([
    ...SIGNATURE,
    ...chunk('IHDR', [...inBytes(WIDTH), ...inBytes(HEIGHT), ...FORMAT]),
    ...chunk('IDAT', [...deflateSync(new Uint8Array(pixels))]),
    ...chunk('IEND', []),
  ]);
}
