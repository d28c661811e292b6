import { expose } from 'comlink';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import binaryUrl from 'zxing-wasm/reader/zxing_reader.wasm?url';

// The decoder's binary comes from our own server; left alone it would be looked for elsewhere.
prepareZXingModule({ overrides: { locateFile: () => binaryUrl } });

/** The symbologies that labels are printed in. */
const FORMATS = ['Code128', 'Code39', 'QRCode', 'DataMatrix'] as const;

const functions = {
  /** The texts on one picture. */
  read: (picture: ImageData): Promise<string[]> =>
    readBarcodes(picture, { formats: [...FORMATS], maxNumberOfSymbols: 4 })
      .then((found) => found.filter(({ isValid }) => isValid).map(({ text }) => text))
      .catch(() => []),
};
export type CameraFunctions = typeof functions;
expose(functions);
