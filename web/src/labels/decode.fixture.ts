import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';

// The decoder's binary lies in its package; left alone it would look for it on the network.
const packagePath = createRequire(join(process.cwd(), 'package.json')).resolve(
  'zxing-wasm/reader/zxing_reader.wasm',
);
const binary = readFileSync(packagePath);
prepareZXingModule({
  overrides: {
    wasmBinary: binary.buffer.slice(binary.byteOffset, binary.byteOffset + binary.byteLength) as ArrayBuffer,
  },
});

/** A PNG, or the points of a picture as they are. */
type Picture =
  Uint8Array | { readonly data: Uint8ClampedArray; readonly width: number; readonly height: number };

/** Every code of one symbology that a decoder finds in a picture. */
export async function decode(picture: Picture, format: 'Code128' | 'Code39' | 'QRCode'): Promise<string[]> {
  // Of an ImageData, which is a browser's, the decoder uses what is given here.
  const found = await readBarcodes(picture as Uint8Array | ImageData, {
    formats: [format],
    maxNumberOfSymbols: 255,
    tryHarder: true,
  });
  return found.filter(({ isValid }) => isValid).map(({ text }) => text);
}
