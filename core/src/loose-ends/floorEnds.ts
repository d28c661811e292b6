import type { EntryId, LooseEnd } from '../ledger/index.ts';
import { findBadgeHints } from '../station/index.ts';
import type { BadgeScan } from '../station/index.ts';
import { toInstant, toSeconds } from '../time/index.ts';
import type { Instant, LocalDay, Zone } from '../time/index.ts';

/** A loose end that comes from the floor, with the ids of the stations at which it happened. It moves no time; somebody
 *  looks into it and accepts it. */
export type FloorEnd = LooseEnd & {
  readonly day: LocalDay;
  readonly stations: readonly string[];
  /** How often it happened. */
  readonly times: number;
};

/** A scan at a station that stood for nothing. */
export type UnreadScan = {
  readonly id: EntryId;
  readonly text: string;
  readonly station: string;
  readonly at: Instant;
};

/** Codes that stood for nothing, each once a day, with where and how often; one that is read again is open again.
 *  `from` is absent: the first scan of a day may arrive last. Source: docs/reconcile.md, what comes from the floor. */
export function findUnknownCodes(scans: readonly UnreadScan[], zone: Zone): FloorEnd[] {
  const groups = new Map<string, UnreadScan[]>();
  for (const scan of [...scans].sort((a, b) => a.at - b.at)) {
    const key = `${zone.dayAt(scan.at)} ${scan.text}`;
    groups.set(key, [...(groups.get(key) ?? []), scan]);
  }
  return [...groups.values()].flatMap((group): FloorEnd[] => {
    const last = group.at(-1);
    return last === undefined
      ? []
      : [
          {
            kind: 'unknown-code',
            entries: group.map(({ id }) => id),
            about: last.text,
            day: zone.dayAt(last.at),
            to: last.at,
            stations: [...new Set(group.map(({ station }) => station))],
            times: group.length,
          },
        ];
  });
}

/** Odd things about badges as loose ends: of the day on which they happened, of a pair the last one. They prove
 *  nothing. Source: docs/station.md, hints. */
export const findBadgeEnds = (scans: readonly BadgeScan[], zone: Zone): FloorEnd[] =>
  findBadgeHints(scans).map((hint): FloorEnd => {
    const { at } = hint;
    const day = zone.dayAt(at);
    if (hint.kind === 'badge-hop') {
      const { kind, technician, stations, seconds } = hint;
      const from = toInstant(at - seconds);
      return {
        kind,
        technician,
        entries: [],
        day,
        from,
        to: at,
        seconds: toSeconds(seconds),
        stations,
        times: 1,
      };
    }
    const [technician, about] = hint.technicians;
    return { kind: hint.kind, technician, about, entries: [], day, to: at, stations: [], times: hint.times };
  });
