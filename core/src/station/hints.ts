import type { TechnicianId } from '../people/index.ts';
import { toInstant } from '../time/index.ts';
import type { Instant } from '../time/index.ts';

/** One badge that was read at a station. */
export type BadgeScan = {
  readonly technician: TechnicianId;
  readonly station: string;
  readonly at: Instant;
};

/** Something odd about badges that proves nothing, and that a supervisor may want to look into. */
export type BadgeHint =
  /** One badge at two stations faster than a person walks. */
  | {
      readonly kind: 'badge-hop';
      readonly technician: TechnicianId;
      readonly stations: readonly [string, string];
      readonly at: Instant;
      readonly seconds: number;
    }
  /** Two badges that are always read together: perhaps one hand holds both. */
  | {
      readonly kind: 'badge-pair';
      readonly technicians: readonly [TechnicianId, TechnicianId];
      readonly at: Instant;
      readonly times: number;
    };

/** No two stations of a shop are closer than this walk, in seconds. */
const WALK_SECONDS = 15;
/** Badges read this close together may have come out of one pocket, in seconds. */
const TOGETHER_SECONDS = 2;
/** How often a pair of badges must have been read together before it is a hint. */
const LEAST_TIMES = 5;

const byTime = (scans: readonly BadgeScan[]) => [...scans].sort((a, b) => a.at - b.at);

/** Finds badges that were at two stations faster than a person can walk, and pairs that were never read but within
 *  two seconds of each other, five times or more. Source: docs/station.md, hints. */
export function findBadgeHints(scans: readonly BadgeScan[]): BadgeHint[] {
  const sorted = byTime(scans);
  return [...findHops(sorted), ...findPairs(sorted)];
}

function findHops(sorted: readonly BadgeScan[]): BadgeHint[] {
  const last = new Map<TechnicianId, BadgeScan>();
  const hops: BadgeHint[] = [];
  for (const scan of sorted) {
    const before = last.get(scan.technician);
    last.set(scan.technician, scan);
    if (!before || before.station === scan.station || scan.at - before.at >= WALK_SECONDS) continue;
    const { technician, at } = scan;
    hops.push({
      kind: 'badge-hop',
      technician,
      stations: [before.station, scan.station],
      at,
      seconds: at - before.at,
    });
  }
  return hops;
}

function findPairs(sorted: readonly BadgeScan[]): BadgeHint[] {
  const scansOf = new Map<TechnicianId, number>();
  const together = new Map<string, { pair: [TechnicianId, TechnicianId]; times: Set<number>; at: Instant }>();
  for (const [i, scan] of sorted.entries()) {
    scansOf.set(scan.technician, (scansOf.get(scan.technician) ?? 0) + 1);
    for (let j = i + 1; j < sorted.length; j += 1) {
      const other = sorted[j];
      if (!other || other.at - scan.at > TOGETHER_SECONDS) break;
      if (other.station !== scan.station || other.technician === scan.technician) continue;
      const pair: [TechnicianId, TechnicianId] =
        scan.technician < other.technician
          ? [scan.technician, other.technician]
          : [other.technician, scan.technician];
      const key = pair.join('\u0000');
      const known = together.get(key) ?? { pair, times: new Set<number>(), at: other.at };
      const own = scan.technician === pair[0] ? i : j;
      known.times.add(own);
      together.set(key, { ...known, at: other.at });
    }
  }
  return [...together.values()].flatMap(({ pair, times, at }): BadgeHint[] => {
    const [first, second] = pair;
    const most = Math.max(scansOf.get(first) ?? 0, scansOf.get(second) ?? 0);
    return times.size >= LEAST_TIMES && times.size === most
      ? [{ kind: 'badge-pair', technicians: pair, at: toInstant(at), times: times.size }]
      : [];
  });
}
