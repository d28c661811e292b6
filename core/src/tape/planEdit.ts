import { ridesAlongOf } from '../ledger/index.ts';
import type { LooseEnd, Policy, PersonTimeline, Running } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { fail, getFrom, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';
import { inForceAt, overlapSeconds, toInstant } from '../time/index.ts';
import type { Span } from '../time/index.ts';
import type { Change } from '../loose-ends/index.ts';
import { amendBoundaries } from './amendBoundaries.ts';
import { isClosed } from './closed.ts';
import { rewriteEntries } from './rewriteEntries.ts';
import { isSameRunning, joinStretches, looksSame, strandsOf, withChanges } from './timeline.ts';
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
export const planEdit = (edit: TapeEdit, ground: TapeGround): Result<readonly Change[], EditErrorCode> =>
  planEdits([edit], ground);

/** The same for several edits that are made together: none of them sees what another one leaves. Params of a refusal
 *  also name the `place` of the edit that it is about. */
export function planEdits(
  drawn: readonly TapeEdit[],
  ground: TapeGround,
): Result<readonly Change[], EditErrorCode> {
  const owners = [...new Set(drawn.flatMap(({ block }) => block?.technician ?? []))];
  const known = new Map(owners.map((who) => [who, strandsOf(who, ground.entries, ground)]));
  const edits = drawn.map((edit) => withRidesAlong(edit, findStint(edit, known)?.running ?? []));
  const pieces = edits.flatMap(({ block, becomes }) => [...(block ? [block] : []), ...becomes]);
  const people = [...new Set(pieces.map(({ technician }) => technician))];
  const timeline = new Map(people.map((who) => [who, strandsOf(who, ground.entries, ground)]));
  const refusal = findRefusal(edits, ground, timeline);
  if (refusal) return refusal;

  const wanted = people.map((technician): Wanted => {
    const before = getFrom(timeline, technician);
    const kept = before.stints.filter((stint) => !isTaken(edits, stint, technician));
    const added = edits
      .flatMap(({ becomes }) => becomes)
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
  const found = simplePlans(edits, ground, timeline)
    .sort((a, b) => a.length - b.length)
    .find(isRight);
  if (found) return ok(found);
  const from = toInstant(Math.min(...pieces.map((piece) => piece.from)));
  const whole = wanted.flatMap(({ technician, before, stretches }) =>
    rewriteEntries(
      { technician, stretches, breaks: before.breaks, looseEnds: before.looseEnds, from },
      ground,
    ),
  );
  return isRight(whole) ? ok(whole) : fail('edit.not_possible');
}

/** What is not drawn of a block goes on with what it becomes: a task that stays keeps what its start said of it, and another
 *  one in its place was done at the same machine and is paid alike, where that was one for all of the block. */
function withRidesAlong({ block, becomes }: TapeEdit, was: readonly Running[]): TapeEdit {
  if (!block || !looksSame(was, block.running)) return { block, becomes };
  const [first] = was;
  const isOne = was.every(
    ({ machine, payClass }) => machine === first?.machine && payClass === first?.payClass,
  );
  const { chargeRate: _ofItsOrder, ...forAll } = first && isOne ? ridesAlongOf(first) : {};
  return {
    block: { ...block, running: was },
    becomes: becomes.map((piece) => ({
      ...piece,
      running: piece.running.map(({ target, workType }) => {
        const own = was.find((run) => run.target === target);
        return { target, workType, ...(own ? ridesAlongOf(own) : forAll) };
      }),
    })),
  };
}

/** What could be enough: the entries at the ends of all blocks treated alike, or each block as if it were alone. */
function simplePlans(
  edits: readonly TapeEdit[],
  ground: TapeGround,
  timeline: ReadonlyMap<TechnicianId, PersonTimeline>,
): (readonly Change[])[] {
  const ways = edits.map((edit) => {
    const opened = findStint(edit, timeline);
    return opened ? amendBoundaries(edit, ground.entries, opened) : [];
  });
  if (ways.some((way) => way.length === 0)) return [];
  const most = Math.max(...ways.map((way) => way.length));
  const alike = Array.from({ length: most }, (_, i) =>
    ways.map((way) => way[Math.min(i, way.length - 1)] ?? []),
  );
  // Blocks that lie apart can each be made as if it were alone.
  const alone = edits.length === 1 ? [] : edits.map((edit) => planEdit(edit, ground));
  const each = alone.flatMap((plan) => (plan.ok ? [plan.value] : []));
  // A stop that two blocks share is taken out or amended once.
  return [...alike, ...(each.length === alone.length ? [each] : [])].map((plans) => [
    ...new Map(plans.flat().map((change) => [JSON.stringify(change), change])).values(),
  ]);
}

const findStint = ({ block }: TapeEdit, timeline: ReadonlyMap<TechnicianId, PersonTimeline>) =>
  block ? timeline.get(block.technician)?.stints.find(({ from }) => from === block.from) : undefined;

/** Whether a stint is the block of one of the edits. */
const isTaken = (edits: readonly TapeEdit[], stint: Span, technician: TechnicianId): boolean =>
  edits.some(({ block }) => block?.technician === technician && block.from === stint.from);

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
  edits: readonly TapeEdit[],
  ground: TapeGround,
  timeline: ReadonlyMap<TechnicianId, PersonTimeline>,
): Refusal | undefined {
  const drawn: TapePiece[] = [];
  for (const [place, { block, becomes }] of edits.entries()) {
    const refused = block && refuseBlock(block, ground, timeline);
    if (refused) return fail(refused, { place, field: 'block' });
    for (const [i, piece] of becomes.entries()) {
      const own = getFrom(timeline, piece.technician);
      const others = [
        ...own.stints.filter((stint) => !isTaken(edits, stint, piece.technician)),
        ...drawn
          .filter(({ technician }) => technician === piece.technician)
          .map(({ from, to }) => ({ from, to: to ?? ground.asOf })),
      ];
      const refusal = refusePiece(piece, block, { ground, own, others });
      if (refusal) {
        const { field = '', ...params } = refusal.params;
        return fail(refusal.code, { ...params, place, field: `becomes[${i}]${field}` });
      }
      drawn.push(piece);
    }
  }
  return undefined;
}

/** Why a block cannot be taken hold of. */
function refuseBlock(
  block: TapePiece,
  ground: TapeGround,
  timeline: ReadonlyMap<TechnicianId, PersonTimeline>,
): EditErrorCode | undefined {
  const own = timeline.get(block.technician);
  const stint = own?.stints.find(({ from }) => from === block.from);
  const isSame =
    stint &&
    looksSame(stint.running, block.running) &&
    // Work that the rule has cut ended then, as far as the tape goes, even if nobody has said so.
    (block.to === null
      ? stint.open && !stint.capped
      : stint.to === block.to && (!stint.open || stint.capped));
  if (!isSame) return 'edit.block_changed';
  return block.to !== null && isClosed({ from: block.from, to: block.to }, ground, own)
    ? 'edit.closed_day'
    : undefined;
}

type Around = {
  readonly ground: TapeGround;
  readonly own: PersonTimeline;
  /** What else lies on the person's tape then. */
  readonly others: readonly Span[];
};

/** Why a piece cannot lie where it is drawn; its field is named within the piece. */
function refusePiece(
  { from, to, running }: TapePiece,
  block: TapePiece | null,
  { ground, own, others }: Around,
): Refusal | undefined {
  const { asOf, facts } = ground;
  if ((to ?? asOf) > asOf || from >= asOf) return fail('edit.future', { field: '.to' });
  if (to !== null && to <= from) return fail('edit.ends_before_start', { field: '.to' });
  const span = { from, to: to ?? asOf };
  const policy: Policy = inForceAt(facts.policy, from);
  if (span.to - from > policy.maxStintHours * SECONDS_PER_HOUR)
    return fail('edit.too_long', { field: '.to', hours: policy.maxStintHours });
  const closedTarget = running.find(({ target }) => ground.closedTargets.has(target));
  const wasThere = block?.running.some(({ target }) => target === closedTarget?.target) ?? false;
  if (closedTarget && !wasThere) return fail('edit.closed_order', { field: '.running' });
  const hit = others.find((other) => overlapSeconds(other, span) > 0);
  if (hit) return fail('edit.overlap', { from: hit.from, to: hit.to });
  const pause = own.breaks.find((each) => overlapSeconds(each, span) > 0);
  if (pause) return fail('edit.on_break', { from: pause.from, to: pause.to });
  return isClosed(span, ground, own) ? fail('edit.closed_day', { field: '.from' }) : undefined;
}
