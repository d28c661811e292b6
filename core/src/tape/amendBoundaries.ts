import { isSameItem } from '../ledger/index.ts';
import type { AmendSet, RidesAlong, Running, Stint } from '../ledger/index.ts';
import type { Change } from '../loose-ends/index.ts';
import { isSameRunning } from './timeline.ts';
import type { TapeEdit, TapePiece, TimedEntry } from './tapeEdit.ts';

type WorkStartEntry = Extract<TimedEntry, { type: 'work-start' }>;

/** What could be enough for an edit: the entries at the two ends of the block are amended or do not count. Whether one
 *  of them is right is for the caller to see; the scan that began the work stays the scan that began it. */
export function amendBoundaries(
  { block, becomes }: TapeEdit,
  entries: readonly TimedEntry[],
  { opened, closed }: Stint,
): readonly (readonly Change[])[] {
  const find = (id: string | undefined) => entries.find((entry) => entry.id === id);
  const start = find(opened);
  const stop = find(closed);
  if (!block || start?.type !== 'work-start') return [];
  const voids = [start, ...(stop?.type === 'work-stop' ? [stop] : [])].map((entry): Change => ({
    type: 'void',
    target: entry.id,
  }));
  if (becomes.length === 0) return [voids.slice(0, 1), voids];
  const [piece] = becomes;
  if (!piece || becomes.length > 1) return [];
  const begin = amendment(start.id, {
    ...atOf(block.from, piece.from),
    ...ownerOf(block, piece),
    ...workOf(start, block.running, piece.running),
  });
  const end =
    stop?.type === 'work-stop' && piece.to !== null && block.to !== null
      ? amendment(stop.id, { ...atOf(block.to, piece.to), ...ownerOf(block, piece), ...namedBy(stop, piece) })
      : [];
  const stopAdded: Change[] =
    piece.to === null ? [] : [{ type: 'work-stop', technician: piece.technician, at: piece.to }];
  return [begin, end, [...begin, ...end], [...begin, ...stopAdded], stopAdded];
}

const amendment = (target: TimedEntry['id'], set: AmendSet): readonly Change[] =>
  Object.keys(set).length === 0 ? [] : [{ type: 'amend', target, set }];

const atOf = (before: number, at: TapePiece['from']): AmendSet => (before === at ? {} : { at });

const ownerOf = (block: TapePiece, { technician }: TapePiece): AmendSet =>
  block.technician === technician ? {} : { technician };

/** A stop that named its targets names the new ones. */
const namedBy = (stop: TimedEntry, { running }: TapePiece): AmendSet =>
  stop.type === 'work-stop' && stop.targets ? { targets: running.map(({ target }) => target) } : {};

function workOf(start: WorkStartEntry, before: readonly Running[], after: readonly Running[]): AmendSet {
  const [first] = after;
  if (isSameRunning(before, after) || !first) return {};
  if (after.some((run) => !isSameItem({ ...run, target: first.target }, first))) return {};
  const { workType } = first;
  const named = (field: keyof RidesAlong): AmendSet =>
    start[field] === first[field] ? {} : { [field]: first[field] ?? null };
  return {
    targets: after.map(({ target }) => target),
    ...((start.workType ?? 'run') === workType ? {} : { workType: workType === 'run' ? null : workType }),
    ...named('machine'),
    ...named('chargeRate'),
    ...named('payClass'),
    ...(start.join ? { join: null } : {}),
  };
}
