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

/** Every code of one symbology that a decoder finds in a PNG. */
export async function decodePng(png: Uint8Array, format: 'Code128' | 'Code39' | 'QRCode'): Promise<string[]> {
  const found = await readBarcodes(png, { formats: [format], maxNumberOfSymbols: 255, tryHarder: true });
  return found.filter(({ isValid }) => isValid).map(({ text }) => text);
}
