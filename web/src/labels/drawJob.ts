import { BADGE_SIZE, CODE_SIZE, LONG_SIZE, layoutCells, layoutTravelers, toSvg } from '@wergon/core/labels';
import type { LabelCell, Paper, Sheet, Symbology, Traveler } from '@wergon/core/labels';
import { drawSymbol } from './drawSymbol.ts';

/** What is to be printed. */
export type LabelJob =
  | {
      readonly kind: 'cells';
      readonly size: 'badge' | 'code' | 'long';
      readonly heading: string;
      readonly cells: readonly LabelCell[];
    }
  | { readonly kind: 'travelers'; readonly travelers: readonly Traveler[] };

export type LabelRequest = { readonly job: LabelJob; readonly symbology: Symbology; readonly paper: Paper };
export type DrawnSheet = { readonly width: number; readonly height: number; readonly svg: string };
const SIZES = { badge: BADGE_SIZE, code: CODE_SIZE, long: LONG_SIZE };

/** Draws all sheets of a job, and says how far it is after each traveler. */
export function drawJob(
  { job, symbology, paper }: LabelRequest,
  say: (done: number, of: number) => void,
): DrawnSheet[] {
  const style = { symbology, paper, draw: drawSymbol };
  const write = (sheets: readonly Sheet[]) =>
    sheets.map((sheet) => ({ width: sheet.width, height: sheet.height, svg: toSvg(sheet) }));
  if (job.kind === 'cells') return write(layoutCells(job.heading, job.cells, SIZES[job.size], style));
  return job.travelers.flatMap((traveler, i) => {
    const drawn = write(layoutTravelers([traveler], style));
    say(i + 1, job.travelers.length);
    return drawn;
  });
}
