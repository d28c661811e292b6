import type { AmendSet, Presence, PersonTimeline } from '../ledger/index.ts';
import { fail, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';
import { inForceAt, overlapSeconds } from '../time/index.ts';
import type { Instant } from '../time/index.ts';
import { isClosed } from './closed.ts';
import type { Change } from '../loose-ends/index.ts';
import type { EditErrorCode, PresenceEdit, PresencePiece, TapeGround, TimedEntry } from './tapeEdit.ts';
import { strandsOf, withChanges } from './timeline.ts';

const SECONDS_PER_HOUR = 3600;
const ENDS = {
  shift: { opens: 'shift-in', closes: 'shift-out' },
  break: { opens: 'break-start', closes: 'break-end' },
} as const;

/** The group of entries and corrections, two at the most, for a shift or a break that was other than scanned: its
 *  scans are moved, added or do not count. What ran meanwhile follows: who left later worked on until then. Nobody
 *  else is touched, and every other shift and break stays as it is. Params of a refusal name the `field` and, for an
 *  overlap, what is there (`from`, `to`, seconds of UTC). Source: docs/reconcile.md, shifts and breaks. */
export function planPresence(
  edit: PresenceEdit,
  ground: TapeGround,
): Result<readonly Change[], EditErrorCode> {
  const { technician, kind, was, becomes } = edit;
  const timeline = strandsOf(technician, ground.entries, ground);
  const all = presencesOf(timeline, kind);
  const found = was === null ? undefined : all.find((each) => isSame(each, was));
  if (was !== null && !found) return fail('edit.block_changed', { field: 'was' });
  const others = all.filter((each) => each !== found);
  const refusal = findRefusal(edit, others, timeline, ground);
  if (refusal) return refusal;

  const changes = found ? change(edit, found, ground.entries) : becomes ? add(edit, becomes) : [];
  if (changes.length === 0) return fail('edit.nothing');
  const after = presencesOf(strandsOf(technician, withChanges(ground.entries, changes), ground), kind);
  const wanted = [...others.map(pieceOf), ...(becomes ? [becomes] : [])];
  return sayAll(after.map(pieceOf)) === sayAll(wanted)
    ? ok(changes)
    : // Something else begins or ends it there: a start of work ends a break, a shift's end too.
      fail('edit.work_is_there', { field: 'becomes' });
}

const presencesOf = ({ shifts, breaks }: PersonTimeline, kind: PresenceEdit['kind']): readonly Presence[] =>
  kind === 'shift' ? shifts : breaks;

const pieceOf = ({ from, to, open }: Presence): PresencePiece => ({ from, to: open ? null : to });
const isSame = (presence: Presence, { from, to }: PresencePiece): boolean => {
  const piece = pieceOf(presence);
  return piece.from === from && piece.to === to;
};
const sayAll = (pieces: readonly PresencePiece[]): string =>
  pieces
    .map(({ from, to }) => `${from} ${to ?? 'on'}`)
    .sort()
    .join(', ');

function findRefusal(
  { kind, was, becomes }: PresenceEdit,
  others: readonly Presence[],
  timeline: PersonTimeline,
  ground: TapeGround,
) {
  const { asOf, facts } = ground;
  const spanOf = ({ from, to }: PresencePiece) => ({ from, to: to ?? asOf });
  if (was && isClosed(spanOf(was), ground, timeline)) return fail('edit.closed_day', { field: 'was' });
  if (!becomes) return undefined;
  const { from, to } = becomes;
  if (from >= asOf) return fail('edit.future', { field: 'becomes.from' });
  if (to !== null && to > asOf) return fail('edit.future', { field: 'becomes.to' });
  if (to !== null && to <= from) return fail('edit.ends_before_start', { field: 'becomes.to' });
  const span = spanOf(becomes);
  const hours = inForceAt(facts.policy, from).maxShiftHours;
  if (kind === 'shift' && span.to - from > hours * SECONDS_PER_HOUR)
    return fail('edit.shift_too_long', { field: 'becomes.to', hours });
  const hit = others.find((other) => overlapSeconds(other, span) > 0);
  if (hit) return fail('edit.presence_overlap', { field: 'becomes', from: hit.from, to: hit.to });
  return isClosed(span, ground, timeline) ? fail('edit.closed_day', { field: 'becomes.from' }) : undefined;
}

const opening = ({ technician, kind }: PresenceEdit, at: Instant): Change => ({
  type: ENDS[kind].opens,
  technician,
  at,
});
const closing = ({ technician, kind }: PresenceEdit, at: Instant): Change => ({
  type: ENDS[kind].closes,
  technician,
  at,
});

const add = (edit: PresenceEdit, { from, to }: PresencePiece): readonly Change[] => [
  opening(edit, from),
  ...(to === null ? [] : [closing(edit, to)]),
];

/** What makes a shift or a break that is there another one, or none. */
function change(edit: PresenceEdit, found: Presence, entries: readonly TimedEntry[]): readonly Change[] {
  const { kind, becomes } = edit;
  const before = pieceOf(found);
  const closer = entries.find(({ id }) => id === found.closed);
  const ownCloser = closer?.type === ENDS[kind].closes ? closer : undefined;
  const take = (target: TimedEntry['id']): Change => ({ type: 'void', target });
  const move = (target: TimedEntry['id'], at: Instant): Change => ({
    type: 'amend',
    target,
    set: { at } satisfies AmendSet,
  });
  if (!becomes) return [take(found.opened), ...(ownCloser ? [take(ownCloser.id)] : [])];
  const begins = before.from === becomes.from ? [] : [move(found.opened, becomes.from)];
  if (before.to === becomes.to) return begins;
  if (becomes.to === null) return [...begins, ...(ownCloser ? [take(ownCloser.id)] : [])];
  return [...begins, ownCloser ? move(ownCloser.id, becomes.to) : closing(edit, becomes.to)];
}
