import type { Stint, UsedByType } from '../ledger/index.ts';
import { addUsed } from '../ledger/index.ts';
import { cutAtDays, toSeconds, weekdayOf } from '../time/index.ts';
import type { Instant, LocalDay, Seconds, Span, Zone } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';

/** How long a machine was used in a period, and for what; `down` is what of its time down was not used. */
export type MachineUse = {
  readonly machine: string;
  readonly usedSeconds: Seconds;
  readonly downSeconds: Seconds;
  /** The used seconds by kind of work; they add up to them. */
  readonly byWorkType: UsedByType;
};

/** A stretch in which a machine did one kind of work, whoever stood at it. */
export type MachineSpan = Span & { readonly workType: WorkType };

/** An instant at which several kinds of work count is told as the first of these. */
const FIRST_COUNTS: readonly WorkType[] = ['run', 'rework', 'setup', 'cleanup', 'travel', 'down'];

type Mark = { readonly at: Instant; readonly workType: WorkType; readonly by: 1 | -1 };

/** What each machine did over a period, in order of time: two people at one machine use it once. Sorted by machine.
 *  Source: docs/compare.md, section 4. */
export function machineSpans(
  stints: readonly Pick<Stint, 'from' | 'to' | 'running'>[],
  period: Span,
): ReadonlyMap<string, readonly MachineSpan[]> {
  const marks = new Map<string, Mark[]>();
  for (const { from, to, running } of stints) {
    const start = from > period.from ? from : period.from;
    const end = to < period.to ? to : period.to;
    if (start >= end) continue;
    for (const { machine, workType } of running) {
      if (machine === undefined) continue;
      const own = marks.get(machine) ?? [];
      own.push({ at: start, workType, by: 1 }, { at: end, workType, by: -1 });
      marks.set(machine, own);
    }
  }
  const machines = [...marks.keys()].sort((a, b) => (a < b ? -1 : 1));
  return new Map(machines.map((machine) => [machine, sweep(marks.get(machine) ?? [])]));
}

function sweep(marks: readonly Mark[]): readonly MachineSpan[] {
  const present = new Map<WorkType, number>();
  const spans: MachineSpan[] = [];
  let since: Instant | undefined;
  for (const { at, workType, by } of [...marks].sort((a, b) => a.at - b.at)) {
    const told = FIRST_COUNTS.find((each) => (present.get(each) ?? 0) > 0);
    if (told !== undefined && since !== undefined && since < at) {
      const last = spans.at(-1);
      if (last?.to === since && last.workType === told) spans[spans.length - 1] = { ...last, to: at };
      else spans.push({ workType: told, from: since, to: at });
    }
    since = at;
    present.set(workType, (present.get(workType) ?? 0) + by);
  }
  return spans;
}

/** How long each machine was used and was down. Source: docs/compare.md, section 4. */
export const sumMachines = (spans: ReadonlyMap<string, readonly MachineSpan[]>): readonly MachineUse[] =>
  [...spans].map(([machine, own]) => {
    const used = own.filter(({ workType }) => workType !== 'down');
    const length = (some: readonly MachineSpan[]) =>
      toSeconds(some.reduce((sum, { from, to }) => sum + (to - from), 0));
    return {
      machine,
      usedSeconds: length(used),
      downSeconds: toSeconds(length(own) - length(used)),
      byWorkType: used.reduce<UsedByType>(
        (sums, { workType, from, to }) => addUsed(sums, workType, to - from),
        {},
      ),
    };
  });

/** How long a machine was used and was down on one local day. */
export type MachineDay = {
  readonly day: LocalDay;
  readonly usedSeconds: Seconds;
  readonly downSeconds: Seconds;
};

/** The same by local day; days without either are left out. */
export function machineDays(spans: readonly MachineSpan[], zone: Zone): readonly MachineDay[] {
  const days = new Map<LocalDay, { used: number; down: number }>();
  for (const span of spans)
    for (const { day, from, to } of cutAtDays(span, zone)) {
      const own = days.get(day) ?? { used: 0, down: 0 };
      own[span.workType === 'down' ? 'down' : 'used'] += to - from;
      days.set(day, own);
    }
  return [...days]
    .sort(([a], [b]) => a - b)
    .map(([day, { used, down }]) => ({ day, usedSeconds: toSeconds(used), downSeconds: toSeconds(down) }));
}

/** What of a day's available time was neither used nor down; a day without hours has none. Source: docs/compare.md, section 5. */
export const idleSeconds = ({
  availableSeconds: available,
  usedSeconds,
  downSeconds,
}: Pick<MachineDay, 'usedSeconds' | 'downSeconds'> & {
  readonly availableSeconds: Seconds | null;
}): Seconds => toSeconds(Math.max(0, (available ?? 0) - usedSeconds - downSeconds));

/** Hours of a machine, or person-hours of a work center, on each weekday from a day on, Monday first. */
export type CapacityHours = { readonly from: LocalDay; readonly seconds: readonly Seconds[] };

/** What is available over some days: the hours of each weekday, as they were set for that day, of days that are not closed;
 *  `null` where none were set for any of them. Source: docs/compare.md, section 5. */
export function availableSeconds(
  hours: readonly CapacityHours[],
  days: readonly LocalDay[],
  isClosed: (day: LocalDay) => boolean,
): Seconds | null {
  let [sum, isSet] = [0, false];
  for (const day of days) {
    const own = hours.findLast(({ from }) => from <= day);
    if (!own) continue;
    isSet = true;
    if (!isClosed(day)) sum += own.seconds[weekdayOf(day) - 1] ?? 0;
  }
  return isSet ? toSeconds(sum) : null;
}
