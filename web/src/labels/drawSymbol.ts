import bwipjs from 'bwip-js/browser';
import type { CodeSymbol, Symbology } from '@wergon/core/labels';

const ENCODERS = { code128: 'code128', code39: 'code39', qr: 'qrcode' } as const;

/** Encodes a text as a symbol in modules. QR codes carry a quarter of their data twice, for greasy papers. */
export function drawSymbol(symbology: Symbology, text: string): CodeSymbol {
  const [raw] = bwipjs.raw(ENCODERS[symbology], text, symbology === 'qr' ? 'eclevel=Q' : '');
  if (raw && 'sbs' in raw) return { kind: 'bars', widths: [...raw.sbs] };
  if (raw && 'pixs' in raw) {
    const { pixs, pixx, pixy } = raw;
    const rows = Array.from({ length: pixy }, (_row, y) =>
      Array.from({ length: pixx }, (_cell, x) => pixs[y * pixx + x] === 1),
    );
    return { kind: 'matrix', rows };
  }
  throw new Error('the encoder drew nothing');
}
