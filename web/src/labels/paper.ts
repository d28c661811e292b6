import type { DrawnSheet } from './drawJob.ts';

const PRINT_DPI = 300;
const MM_PER_INCH = 25.4;

/** The name of a sheet's page in print: one for each size. */
export const pageName = ({ width, height }: DrawnSheet): string =>
  `sheet-${Math.round(width * 10)}-${Math.round(height * 10)}`;

let pages: CSSStyleSheet | undefined;

/** Tells the printer how large each sheet is, and prints. The sizes are only known now, so no stylesheet has them. */
export function printSheets(sheets: readonly DrawnSheet[]): void {
  const sizes = new Map(sheets.map((sheet) => [pageName(sheet), sheet]));
  pages ??= new CSSStyleSheet();
  pages.replaceSync(
    [...sizes]
      .map(([name, { width, height }]) => `@page ${name} { size: ${width}mm ${height}mm; margin: 0 }`)
      .join('\n'),
  );
  if (!document.adoptedStyleSheets.includes(pages))
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, pages];
  window.print();
}

/** Saves one sheet as a picture, as fine as a label printer prints. */
export async function saveImage({ svg, width, height }: DrawnSheet, name: string): Promise<void> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round((width / MM_PER_INCH) * PRINT_DPI);
  canvas.height = Math.round((height / MM_PER_INCH) * PRINT_DPI);
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  const link = document.createElement('a');
  link.href = canvas.toDataURL('image/png');
  link.download = `${name}.png`;
  link.click();
}
