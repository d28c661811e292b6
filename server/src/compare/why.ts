import type { AgainstJson, WhyJson } from '@wergon/contract/compare';
import { againstFirst, estimateParts, findCauses, standardRateOn, sumCauses } from '@wergon/core/compare';
import type { CausedDifference } from '@wergon/core/compare';
import { formatCents, parseDecimal, sumCents, toCents } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import { ok } from '@wergon/core/result';
import { inForceAt, sumSeconds, toSeconds } from '@wergon/core/time';
import type { Instant, Seconds } from '@wergon/core/time';
import { withAlwaysIncluded } from '@wergon/core/work';
import type { EstimateHours } from '@wergon/core/work';
import type { ShopFacts } from '../catalog/index.ts';
import { readSql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Mount } from '../http/index.ts';
import { loadSeq } from '../ledger/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import type { HoursText, WorkOrder } from '../work/index.ts';
import { costsFor, loadLabor } from './taskLabor.ts';
import type { Costs, TaskWithLabor } from './taskLabor.ts';

/** Why an order's labor costs other than estimated. Source: docs/compare.md, section 2. */
export function mountWhy(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('why', async ({ param, who }) => {
    const known = await facts.seenBy(who.user);
    const order = known.orders.get(param('order'));
    if (!order) return refuse('record.not_found');
    const now = clock.now();
    const costs = costsFor(who);
    const tasks = known.tasksByOrder.get(order.id) ?? [];
    const { labor, seq } = await readSql(database, (sql) => ({
      labor: loadLabor(sql, known, tasks, now, costs),
      seq: loadSeq(sql),
    }));
    const causes = labor
      // What was offered and not accepted, and not worked on either, differs from nothing.
      .filter(({ task, lines }) => task.isAccepted || lines.length > 0)
      .map((each) => causesOf(known, order, each, now, costs));
    return ok({
      asOf: now,
      seq,
      id: order.id,
      number: order.number,
      title: order.title,
      customer: order.customer,
      costs,
      ...writeSum(causes),
      tasks: causes.map((each) => ({
        id: each.labor.task.id,
        position: each.labor.task.position,
        title: each.labor.task.title,
        hasEstimate: each.labor.task.hasEstimate,
        wholeEstimateSeconds: each.labor.comparison.estimatedSeconds,
        ...writeSum([each]),
      })),
    });
  });
}

type Caused = {
  readonly labor: TaskWithLabor;
  readonly current: CausedDifference;
  readonly first: CausedDifference;
};

const readHours = (hours: HoursText | null | undefined): EstimateHours => {
  const read = (text: string | undefined) => {
    const parsed = text === undefined ? undefined : parseDecimal(text);
    return parsed?.ok ? parsed.value : undefined;
  };
  return { setupHours: read(hours?.setupHours), runHoursPerPiece: read(hours?.runHoursPerPiece) };
};

function causesOf(
  facts: ShopFacts,
  order: WorkOrder,
  labor: TaskWithLabor,
  now: Instant,
  costs: Costs,
): Caused {
  const { task, lines, isFinished, pieces, comparison } = labor;
  const includes = withAlwaysIncluded(order.includes);
  const { estimatedSeconds, estimatedCost } = comparison;
  const parts = estimateParts(readHours(task.isAccepted ? task.hours : null), includes);
  const estimate = {
    ...parts,
    setupSeconds: toSeconds(Math.min(parts.setupSeconds, estimatedSeconds)),
    estimatedSeconds,
    quantity: order.quantity,
    rate: task.standardRate,
    includes,
    isFinished,
  };
  const graded = lines.map((line) => ({
    ...line,
    gradeRate: standardRateOn(facts, line.technician, line.day, task.standardRate) ?? task.standardRate,
  }));
  const current = findCauses(estimate, pieces ?? { good: 0, scrap: 0 }, graded, costs);
  const firstSeconds = task.isAccepted ? (task.estimate[0]?.value ?? estimatedSeconds) : estimatedSeconds;
  const first = {
    estimatedSeconds: task.originalCost == null ? inForceAt(task.estimate, now) : firstSeconds,
    estimatedCost: toCents(task.isAccepted ? (task.originalCost ?? task.estimatedCost) : 0),
  };
  return { labor, current, first: againstFirst(current, first, { estimatedSeconds, estimatedCost }) };
}

/** What tasks come to together. */
function writeSum(
  causes: readonly Caused[],
): Omit<WhyJson['tasks'][number], 'id' | 'position' | 'title' | 'hasEstimate' | 'wholeEstimateSeconds'> {
  const comparisons = causes.map(({ labor }) => labor.comparison);
  const seconds = (of: (each: (typeof comparisons)[number]) => Seconds) =>
    sumSeconds(comparisons.map((each) => ({ seconds: of(each) })));
  const cents = (of: (each: (typeof comparisons)[number]) => Cents) =>
    sumCents(comparisons.map((each) => ({ cost: of(each) })));
  const actual = { seconds: seconds((each) => each.actualSeconds), cost: cents((each) => each.actualCost) };
  return {
    actualSeconds: actual.seconds,
    actualCost: formatCents(actual.cost),
    outsideSeconds: seconds((each) => each.outsideSeconds),
    outsideCost: formatCents(cents((each) => each.outsideCost)),
    measuredSeconds: sumSeconds(causes.map(({ current }) => ({ seconds: current.measuredSeconds }))),
    isFinished: causes.every(({ labor }) => labor.isFinished),
    current: writeAgainst(
      causes.map(({ current }) => current),
      actual,
    ),
    first: writeAgainst(
      causes.map(({ first }) => first),
      actual,
    ),
  };
}

function writeAgainst(
  all: readonly CausedDifference[],
  actual: { readonly seconds: Seconds; readonly cost: Cents },
): AgainstJson {
  const difference = sumCents(all.map((each) => ({ cost: each.difference })));
  const differenceSeconds = sumSeconds(all.map((each) => ({ seconds: each.differenceSeconds })));
  return {
    estimatedSeconds: actual.seconds - differenceSeconds,
    estimatedCost: formatCents(toCents(actual.cost - difference)),
    differenceSeconds,
    difference: formatCents(difference),
    causes: sumCauses(all).map(({ cause, seconds, cents }) => ({ cause, seconds, cost: formatCents(cents) })),
  };
}
