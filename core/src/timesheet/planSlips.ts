import type { TargetId } from '../ledger/index.ts';
import type { Change } from '../loose-ends/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { fail, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';
import { addHours, lastOfDay, planEdit } from '../tape/index.ts';
import type { EditErrorCode, TapeGround } from '../tape/index.ts';
import { addDays, lengthOf, toInstant } from '../time/index.ts';
import type { Instant, LocalDay, Seconds, Span } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';

/** A row of a paper slip: work with a start and an end, or of a length alone, and what was made and said in it. */
export type SlipRow = {
  readonly technician: TechnicianId;
  readonly target: TargetId;
  readonly workType: WorkType;
  readonly day: LocalDay;
  /** From its start to its end; `null` where the paper has a length alone. */
  readonly span: Span | null;
  /** Its length; of a row with a start and an end what lies between them. */
  readonly seconds: Seconds;
  /** Pieces, both 0 where the paper has none. */
  readonly good: number;
  readonly scrap: number;
  readonly note: string;
};

/** The entries that rows of paper slips come to, all or none: stretches of the tape where there is a start and an end,
 *  lengths of a day elsewhere, and with them pieces and notes. A refusal's `field` names the row. Pieces and notes of a
 *  length stand at the end of its day, as far as that has come. Source: docs/reconcile.md. */
export function planSlips(
  rows: readonly SlipRow[],
  ground: TapeGround,
): Result<readonly Change[], EditErrorCode> {
  const timed = rows.flatMap(({ span, technician, target, workType }, place) =>
    span ? { place, piece: { technician, ...span, running: [{ target, workType }] } } : [],
  );
  const drawn =
    timed.length === 0 ? ok([]) : planEdit({ block: null, becomes: timed.map(({ piece }) => piece) }, ground);
  if (!drawn.ok) {
    const [, place, rest = ''] = /^becomes\[(\d+)\](.*)$/.exec(String(drawn.params.field)) ?? [];
    const row = timed[Number(place)];
    const field = row && { field: `rows[${row.place}]${FIELD_OF_PIECE[rest] ?? '.from'}` };
    return fail(drawn.code, { ...drawn.params, ...field });
  }
  return ok([
    ...drawn.value,
    ...rows.flatMap((row) => (row.span ? [] : addHours(row))),
    ...rows.flatMap((row) => saidIn(row, ground)),
  ]);
}

/** Which field of a row is meant where an edit of the tape names one of a piece. */
const FIELD_OF_PIECE: Readonly<Record<string, string>> = { '.running': '.target', '.to': '.to' };

function saidIn(
  { technician, target, day, span, good, scrap, note }: SlipRow,
  { facts: { zone }, asOf }: TapeGround,
): Change[] {
  const about = { technician, targets: [target], at: span?.to ?? lastOfDay(zone, day, asOf) };
  return [
    ...(good + scrap > 0 ? [{ type: 'count' as const, ...about, good, scrap }] : []),
    ...(note === '' ? [] : [{ type: 'note' as const, ...about, text: note }]),
  ];
}

/** What each row puts on which day, in seconds: what crosses midnight lies on both. */
export const dayParts = (
  { technician, day, span, seconds }: SlipRow,
  zone: TapeGround['facts']['zone'],
): readonly { readonly technician: TechnicianId; readonly day: LocalDay; readonly seconds: number }[] => {
  if (!span) return [{ technician, day, seconds }];
  const parts: { technician: TechnicianId; day: LocalDay; seconds: number }[] = [];
  for (let from: Instant = span.from; from < span.to;) {
    const own = zone.dayAt(from);
    const to = toInstant(Math.min(span.to, zone.startOf(addDays(own, 1))));
    parts.push({ technician, day: own, seconds: lengthOf({ from, to }) });
    from = to;
  }
  return parts;
};
