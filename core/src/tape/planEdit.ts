import type { LooseEnd, Policy, PersonTimeline } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { fail, getFrom, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';
import { inForceAt, overlapSeconds, toInstant } from '../time/index.ts';
import type { Instant, Span } from '../time/index.ts';
import type { Change } from '../loose-ends/index.ts';
import { amendBoundaries } from './amendBoundaries.ts';
import { isClosed } from './closed.ts';
import { rewriteEntries } from './rewriteEntries.ts';
import { isSameRunning, joinStretches, strandsOf, withChanges } from './timeline.ts';
import type { Stretch } from './timeline.ts';
import type { EditErrorCode, TapeEdit, TapeGround, TapePiece } from './tapeEdit.ts';

const SECONDS_PER_HOUR = 3600;

/** A person's tape as it is, and as the edit wants it. */
type Wanted = {
  readonly technician: TechnicianId;
  readonly before: PersonTimeline;
  readonly stretches: readonly Stretch[];
};

/** The smallest group of entries and corrections known for an edit of the tape; it is recorded whole or not at all.
 *  Every second of the same person outside the block's old and new span, and every second of other people, is as
 *  before, but for the person a block is handed to, and only inside its span. Params of a refusal name the `field`
 *  and, for an overlap, what is there (`from`, `to`, seconds of UTC). Source: docs/reconcile.md. */
export function planEdit(edit: TapeEdit, ground: TapeGround): Result<readonly Change[], EditErrorCode> {
  const people = [...new Set([edit.block, ...edit.becomes].flatMap((piece) => piece?.technician ?? []))];
  const timeline = new Map(people.map((who) => [who, strandsOf(who, ground.entries, ground)]));
  const refusal = findRefusal(edit, ground, timeline);
  if (refusal) return refusal;

  const wanted = people.map((technician): Wanted => {
    const before = getFrom(timeline, technician);
    const kept = before.stints.filter((stint) => !isBlock(edit.block, stint, technician));
    const added = edit.becomes
      .filter((piece) => piece.technician === technician)
      .map(({ from, to, running }) => ({ from, to: to ?? ground.asOf, running }));
    return { technician, before, stretches: joinStretches([...kept, ...added]) };
  });
  if (wanted.every(({ before, stretches }) => isSameTape(joinStretches(before.stints), stretches)))
    return fail('edit.nothing');

  const isRight = (changes: readonly Change[]) => {
    const after = withChanges(ground.entries, changes);
    return wanted.every((each) => comesTo(each, strandsOf(each.technician, after, ground)));
  };
  const opened = findStint(edit, timeline);
  const simple = opened ? amendBoundaries(edit, ground.entries, opened) : [];
  const found = [...simple].sort((a, b) => a.length - b.length).find(isRight);
  if (found) return ok(found);
  const from = earliest(edit);
  const whole = wanted.flatMap(({ technician, before, stretches }) =>
    rewriteEntries(
      { technician, stretches, breaks: before.breaks, looseEnds: before.looseEnds, from },
      ground,
    ),
  );
  return isRight(whole) ? ok(whole) : fail('edit.not_possible');
}

const findStint = ({ block }: TapeEdit, timeline: ReadonlyMap<TechnicianId, PersonTimeline>) =>
  block ? timeline.get(block.technician)?.stints.find(({ from }) => from === block.from) : undefined;

const isBlock = (block: TapePiece | null, stint: Span, technician: TechnicianId): boolean =>
  block !== null && block.technician === technician && block.from === stint.from;

const earliest = ({ block, becomes }: TapeEdit): Instant =>
  toInstant(Math.min(...[block, ...becomes].flatMap((piece) => piece?.from ?? [])));

const isSameTape = (a: readonly Stretch[], b: readonly Stretch[]): boolean =>
  a.length === b.length &&
  a.every(({ from, to, running }, i) => {
    const other = b[i];
    return other?.from === from && other.to === to && isSameRunning(running, other.running);
  });

const spansOf = (spans: readonly Span[]): string => JSON.stringify(spans.map(({ from, to }) => [from, to]));
const count = (ends: readonly LooseEnd[], kind: LooseEnd['kind']) =>
  ends.filter((end) => end.kind === kind).length;

/** Whether entries come to the wanted tape, with shifts and breaks as they were, and no stop left hanging. */
const comesTo = ({ before, stretches }: Wanted, after: PersonTimeline): boolean =>
  isSameTape(joinStretches(after.stints), stretches) &&
  spansOf(after.shifts) === spansOf(before.shifts) &&
  spansOf(after.breaks) === spansOf(before.breaks) &&
  count(after.looseEnds, 'stop-without-start') <= count(before.looseEnds, 'stop-without-start');

type Refusal = ReturnType<typeof fail<EditErrorCode>>;

function findRefusal(
  { block, becomes }: TapeEdit,
  ground: TapeGround,
  timeline: ReadonlyMap<TechnicianId, PersonTimeline>,
): Refusal | undefined {
  const { asOf, facts } = ground;
  if (block) {
    const stint = timeline.get(block.technician)?.stints.find(({ from }) => from === block.from);
    const isSame =
      stint &&
      isSameRunning(stint.running, block.running) &&
      // Work that the rule has cut ended then, as far as the tape goes, even if nobody has said so.
      (block.to === null
        ? stint.open && !stint.capped
        : stint.to === block.to && (!stint.open || stint.capped));
    if (!isSame) return fail('edit.block_changed', { field: 'block' });
    if (
      block.to !== null &&
      isClosed({ from: block.from, to: block.to }, ground, timeline.get(block.technician))
    )
      return fail('edit.closed_day', { field: 'block' });
  }
  for (const [i, piece] of becomes.entries()) {
    const field = `becomes[${i}]`;
    const { from, to, running, technician } = piece;
    if ((to ?? asOf) > asOf || from >= asOf) return fail('edit.future', { field: `${field}.to` });
    if (to !== null && to <= from) return fail('edit.ends_before_start', { field: `${field}.to` });
    const span = { from, to: to ?? asOf };
    const policy: Policy = inForceAt(facts.policy, from);
    if ((to ?? asOf) - from > policy.maxStintHours * SECONDS_PER_HOUR)
      return fail('edit.too_long', { field: `${field}.to`, hours: policy.maxStintHours });
    const closedTarget = running.find(({ target }) => ground.closedTargets.has(target));
    const wasThere = block?.running.some(({ target }) => target === closedTarget?.target) ?? false;
    if (closedTarget && !wasThere) return fail('edit.closed_order', { field: `${field}.running` });
    const own = getFrom(timeline, technician);
    const others = [
      ...own.stints.filter((stint) => !isBlock(block, stint, technician)),
      ...becomes
        .slice(0, i)
        .filter((other) => other.technician === technician)
        .map((other) => ({ from: other.from, to: other.to ?? asOf })),
    ];
    const hit = others.find((other) => overlapSeconds(other, span) > 0);
    if (hit) return fail('edit.overlap', { field, from: hit.from, to: hit.to });
    const pause = own.breaks.find((each) => overlapSeconds(each, span) > 0);
    if (pause) return fail('edit.on_break', { field, from: pause.from, to: pause.to });
    if (isClosed(span, ground, own)) return fail('edit.closed_day', { field: `${field}.from` });
  }
  return undefined;
}
