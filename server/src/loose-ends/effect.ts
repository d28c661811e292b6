import type { Cents } from '@wergon/core/money';
import type { EffectJson } from '@wergon/contract/loose-ends';
import { allocateStint, sumLines } from '@wergon/core/ledger';
import type { LaborLine, Stint, TargetId } from '@wergon/core/ledger';
import { formatCents, sumCents } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { sumSeconds, addDays } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import {
  costingOf,
  loadPersonTimeline,
  loadHours,
  loadPremiumsOn,
  loadRunningPremiums,
  loadSetCosts,
} from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { Task } from '../work/index.ts';
import { costedAs, usedOf, warnAtOf, writeComparison } from '../compare/index.ts';
import type { Costs, TaskWithLabor } from '../compare/index.ts';
import { findLooseEnds } from './looseEnds.ts';
import { orderNumberOf, titleOf } from '../catalog/index.ts';

/** Whom an act is about, and on which days. */
export type EditScope = {
  readonly people: readonly TechnicianId[];
  readonly firstDay: LocalDay;
  readonly lastDay: LocalDay;
};
/** A person's day, of which the tape is shown before and after. */
export type PersonDay = { readonly technician: TechnicianId; readonly day: LocalDay };

type Snapshot = {
  readonly lanes: ReadonlyMap<TechnicianId, readonly Stint[]>;
  readonly lines: readonly LaborLine[];
  readonly looseEnds: number;
};

/** The days of a scene as they stand, with what runs: stints, labor lines, and how many loose ends around them. */
export function snapshot(
  sql: Sql,
  facts: ShopFacts,
  { people, firstDay, lastDay }: EditScope,
  now: Instant,
  costs: Costs,
): Snapshot {
  // Work that began on the last day may end on the next.
  const last = addDays(lastDay, 1);
  const span = { from: facts.zone.startOf(firstDay), to: facts.zone.startOf(addDays(last, 1)) };
  const hours = loadHours(sql, firstDay, last);
  const setCosts = loadSetCosts(sql, firstDay, last);
  const premiums = [
    ...loadPremiumsOn(sql, firstDay, last),
    ...[...loadRunningPremiums(sql, facts, now)].flatMap(([technician, own]) =>
      own.map((each) => ({ ...each, technician })),
    ),
  ];
  const lanes = new Map<TechnicianId, readonly Stint[]>();
  const lines: LaborLine[] = [];
  for (const technician of people) {
    const { stints } = loadPersonTimeline(sql, facts, technician, span, now);
    const pieces = stints
      .flatMap((stint) => allocateStint(stint, facts))
      .filter(({ day }) => day >= firstDay && day <= last);
    const own = hours.filter((entry) => entry.technician === technician);
    lanes.set(technician, stints);
    const added = premiums.filter((each) => each.technician === technician);
    const all = sumLines(pieces, own, costingOf(facts, technician, setCosts, added));
    lines.push(...costedAs(all, facts, costs));
  }
  const looseEnds = findLooseEnds(sql, facts, addDays(firstDay, -1), last, now, people).length;
  return { lanes, lines, looseEnds };
}

/** How a scene stands, with what the tasks that an act touches come to in all. */
type SnapshotWithTasks = Snapshot & { readonly tasks: readonly TaskWithLabor[] };

/** What an act would change, from how it is before and after it. */
export const writeEffect = (
  facts: ShopFacts,
  spots: readonly PersonDay[],
  before: SnapshotWithTasks,
  after: SnapshotWithTasks,
  costs: Costs,
  now: Instant,
): EffectJson => ({
  lanes: spots.map(({ technician, day }) => ({
    name: facts.technicians.get(technician)?.name ?? technician,
    day,
    before: writeLane(facts, before.lanes.get(technician) ?? [], day),
    after: writeLane(facts, after.lanes.get(technician) ?? [], day),
  })),
  jobs: writeJobs(facts, before, after, costs, warnAtOf(facts, now)),
  looseEndsBefore: before.looseEnds,
  looseEndsAfter: after.looseEnds,
});

/** What began on a day, or reaches into it; a night shift is seen to its end. */
const writeLane = (
  facts: ShopFacts,
  stints: readonly Stint[],
  day: LocalDay,
): EffectJson['lanes'][number]['before'] => {
  const from = facts.zone.startOf(day);
  const to = facts.zone.startOf(addDays(day, 2));
  return stints
    .filter((stint) => stint.to > from && stint.from < to)
    .map(({ from, to, running, capped }) => ({
      from,
      to,
      title: running.map(({ target }) => titleOf(facts, target)).join(', '),
      order: running[0] ? orderNumberOf(facts, running[0].target) : null,
      isTorn: capped,
    }));
};

type Sum = { readonly seconds: number; readonly cost: Cents };
/** The targets whose hours or cost are others after an act, with both sums. */
function findChanged(before: Snapshot, after: Snapshot) {
  const sum = ({ lines }: Snapshot, target: TargetId): Sum => {
    const own = lines.filter((line) => line.target === target);
    return { seconds: sumSeconds(own), cost: sumCents(own) };
  };
  const targets = [...new Set([...before.lines, ...after.lines].map(({ target }) => target))];
  return targets.flatMap((target) => {
    const [was, is] = [sum(before, target), sum(after, target)];
    return was.seconds === is.seconds && was.cost === is.cost ? [] : [{ target, was, is }];
  });
}

/** The tasks whose hours or cost an act would change. */
export const touchedTasks = (facts: ShopFacts, before: Snapshot, after: Snapshot): readonly Task[] =>
  findChanged(before, after).flatMap(({ target }) => facts.tasks.get(target) ?? []);

/** The tasks and activities whose hours or cost an act would change. */
function writeJobs(
  facts: ShopFacts,
  before: SnapshotWithTasks,
  after: SnapshotWithTasks,
  costs: Costs,
  warnAt: number,
): EffectJson['jobs'] {
  const money = ({ cost }: Sum) => formatCents(cost);
  const find = ({ tasks }: SnapshotWithTasks, target: TargetId) =>
    tasks.find(({ task }) => task.id === target);
  return findChanged(before, after).map(({ target, was, is }) => {
    const [then, now] = [find(before, target), find(after, target)];
    const order = now && facts.orders.get(now.task.order);
    return {
      title: titleOf(facts, target),
      beforeSeconds: was.seconds,
      afterSeconds: is.seconds,
      beforeCost: money(was),
      afterCost: money(is),
      costs,
      task:
        then && now && order
          ? {
              before: writeComparison(then.comparison, costs, warnAt),
              after: writeComparison(now.comparison, costs, warnAt),
              hasEstimate: now.task.hasEstimate,
              used: { ...usedOf([now], order) },
            }
          : null,
    };
  });
}
