import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import binaryUrl from 'zxing-wasm/reader/zxing_reader.wasm?url';

// The decoder's binary comes from our own server; left alone it would be looked for elsewhere.
prepareZXingModule({ overrides: { locateFile: () => binaryUrl } });

/** The symbologies that labels are printed in. */
const FORMATS = ['Code128', 'Code39', 'QRCode', 'DataMatrix'] as const;

/** One picture in, the texts on it out; the page sends the next when it has heard of this one. */
self.onmessage = ({ data }: MessageEvent<ImageData>) => {
  void readBarcodes(data, { formats: [...FORMATS], maxNumberOfSymbols: 4 })
    .then((found) => found.filter(({ isValid }) => isValid).map(({ text }) => text))
    .catch(() => [])
    .then((texts: string[]) => self.postMessage(texts));
};
