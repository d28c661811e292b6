import type { TargetId } from '@wergon/core/ledger';
import type { WorkOrderId } from '@wergon/core/work';
import { formatInstant, toInstant, addDays } from '@wergon/core/time';
import type { Instant, Zone } from '@wergon/core/time';
import type { Context } from '@wergon/server/app';
import { readSql } from '@wergon/server/db';
import { recordAt, stationAs } from './recordAt.ts';
import type { DeskMoment } from './reconcileWeeks.ts';

const MINUTE = 60;

type Oddity = {
  /** Minutes of the day before the demo opens. */
  readonly minute: number;
  readonly station: string;
  /** Whether badges were read for it. */
  readonly isByBadge?: boolean;
  readonly entries: (at: Instant, targets: Targets) => readonly Record<string, unknown>[];
};
type Targets = { readonly onHold: string; readonly finished: string };

const scan = (id: string, type: string, at: number, technician: string, more: object = {}) => ({
  id,
  type,
  at: formatInstant(toInstant(at)),
  technician,
  ...more,
});

/** What goes wrong on a shop floor, once each, on the day before the demo opens. */
const ODDITIES: readonly Oddity[] = [
  {
    minute: 570,
    station: 'Winding 1',
    entries: (at) => [scan('odd-twice-in', 'shift-in', at, 't5')],
  },
  {
    minute: 600,
    station: 'Varnish',
    entries: (at) => [scan('odd-stop', 'work-stop', at, 't13', { targets: ['van'] })],
  },
  {
    minute: 775,
    station: 'Assembly',
    entries: (at) => [
      scan('odd-break', 'break-start', at, 't28'),
      scan('odd-break-end', 'break-end', at + 74 * MINUTE, 't28'),
    ],
  },
  {
    minute: 720,
    station: 'Assembly',
    entries: (at) => [
      scan('odd-guest', 'work-start', at, 't28', { targets: ['cleaning'] }),
      scan('odd-guest-end', 'work-stop', at + 40 * MINUTE, 't28'),
    ],
  },
  {
    minute: 860,
    station: 'Winding 2',
    entries: (at, { onHold }) => [
      scan('odd-hold', 'work-start', at, 't2', { targets: [onHold], join: true }),
      scan('odd-hold-end', 'work-stop', at + 12 * MINUTE, 't2', { targets: [onHold] }),
    ],
  },
  {
    minute: 690,
    station: 'Winding 1',
    entries: (at, { finished }) => [
      scan('odd-done', 'work-start', at, 't4', { targets: [finished], join: true }),
      scan('odd-done-end', 'work-stop', at + 18 * MINUTE, 't4', { targets: [finished] }),
    ],
  },
  {
    minute: 905,
    station: 'Gate',
    entries: (at) => [scan('odd-out', 'shift-out', at, 't28')],
  },
  // Back in the evening, long after the planned end, and on nothing.
  {
    minute: 1080,
    station: 'Gate',
    entries: (at) => [
      scan('odd-evening', 'shift-in', at, 't3'),
      scan('odd-evening-out', 'shift-out', at + 38 * MINUTE, 't3'),
    ],
  },
  // The guest carries the badge of somebody who begins next week, and reads both each time.
  {
    minute: 722,
    station: 'Assembly',
    isByBadge: true,
    entries: (at) =>
      ['shown the press', 'shown the hoist', 'shown the oven', 'shown the stores', 'shown the lift'].flatMap(
        (text, i) =>
          ['t28', 't27'].map((who, j) =>
            scan(`odd-pair-${i}-${who}`, 'note', at + i * 7 * MINUTE + j, who, { targets: [], text }),
          ),
      ),
  },
  // A station whose clock runs five minutes ahead.
  {
    minute: 745,
    station: 'Test',
    entries: (at) => [
      scan('odd-clock', 'count', at + 5 * MINUTE, 't25', { targets: ['cleaning'], good: 0, scrap: 0 }),
    ],
  },
  {
    minute: 750,
    station: 'Loading dock',
    entries: (at) => [
      { id: 'odd-jump', type: 'clock-jump', at: formatInstant(at), seconds: -3600 },
      {
        id: 'odd-code',
        type: 'unread-scan',
        at: formatInstant(at),
        text: '4006381333931',
        reason: 'unknown',
      },
      { id: 'odd-code-2', type: 'unread-scan', at: formatInstant(at), text: 'T7K2P', reason: 'too short' },
    ],
  },
];

/** Every kind of loose end that the ten weeks do not have by themselves. */
export async function planOddities(context: Context, opensAt: Instant, zone: Zone): Promise<DeskMoment[]> {
  const yesterday = zone.startOf(addDays(zone.dayAt(opensAt), -1));
  return ODDITIES.flatMap(({ minute, station, isByBadge = false, entries }) => {
    const at = toInstant(yesterday + minute * MINUTE);
    const count = entries(at, { onHold: '', finished: '' }).length;
    return Array.from({ length: count }, (_, i) => {
      const made = async () => entries(at, await findTargets(context))[i] ?? {};
      const own = Date.parse(String(entries(at, { onHold: '', finished: '' })[i]?.['at'])) / 1000;
      // What a clock that runs ahead says is recorded before it is so.
      const recordedAt = toInstant(count > 1 ? own : at);
      return {
        at: recordedAt,
        run: async () => recordAt(context, stationAs(station), [await made()], recordedAt, { isByBadge }),
      };
    });
  });
}

/** A task of an order that is on hold, and one that was finished on an order that is not. */
async function findTargets({ database, facts }: Context): Promise<Targets> {
  const known = await facts.get();
  const isOnHold = (order: WorkOrderId) => known.orders.get(order)?.states.at(-1)?.value === 'on-hold';
  const isOpen = (order: WorkOrderId) => known.orders.get(order)?.states.at(-1)?.value === 'released';
  const onHold = [...known.tasks.values()].find(({ order }) => isOnHold(order))?.id ?? '';
  const marks = await readSql(database, (sql) =>
    sql.all<{ target: TargetId }>('select "target" from "task_mark" where "is_done" order by "seq" desc'),
  );
  const finished =
    marks.find(({ target }) => {
      const task = known.tasks.get(target);
      return task !== undefined && isOpen(task.order);
    })?.target ?? '';
  return { onHold, finished };
}

/** A forgotten stop whose end the technician has said at the station since. */
export async function proposeEnd(context: Context, opensAt: Instant): Promise<void> {
  const known = await context.facts.get();
  const day = known.zone.dayAt(opensAt);
  const [forgotten] = await readSql(context.database, (sql) =>
    sql.all<{ technician: string; entry: string; from_at: Instant }>(
      `select "technician", "entry", "from_at" from "loose_end"
       where "kind" = 'forgotten-stop' and "from_at" >= ? order by "from_at" desc limit 1`,
      [known.zone.startOf(addDays(day, -13))],
    ),
  );
  if (!forgotten) return;
  const { technician, entry, from_at } = forgotten;
  const ended = formatInstant(toInstant(from_at + 7 * 3600));
  const at = toInstant(opensAt - 90 * MINUTE);
  await recordAt(
    context,
    stationAs('Winding 1'),
    [
      {
        id: 'odd-word',
        type: 'proposal',
        at: formatInstant(at),
        technician,
        about: entry,
        kind: 'forgotten-stop',
        ended,
      },
    ],
    at,
  );
  // What can never be recorded is kept whole: an entry for somebody whom this shop does not know.
  await recordAt(context, stationAs('Gate'), [scan('odd-nobody', 'shift-in', at, 't404')], at, {
    isRefused: true,
  });
}
