import { costLine, isPaidTarget } from '@wergon/core/ledger';
import type { Costing, LaborLine, LinePremium, LineTrueUp, SetCost, TargetId } from '@wergon/core/ledger';
import type { Cents } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';

/** A cost set by hand, with who said so and why. */
export type SaidCost = SetCost & {
  readonly technician: TechnicianId;
  readonly reason: string;
  readonly by: string;
  readonly at: Instant;
};

type Row = {
  technician: TechnicianId;
  day: LocalDay;
  target: TargetId;
  work_type: WorkType;
  seconds: number;
  cost: Cents;
  reason: string;
  set_by: string;
  at: Instant;
};

const readRow = ({ work_type, set_by, seconds, ...row }: Row): SaidCost => ({
  ...row,
  workType: work_type,
  seconds: toSeconds(seconds),
  by: set_by,
});

/** Costs set by hand on the labor of some days, of everybody or of one person. */
export const loadSetCosts = (
  sql: Sql,
  first: LocalDay,
  last: LocalDay,
  technician?: TechnicianId,
): readonly SaidCost[] =>
  (technician === undefined
    ? sql.all<Row>('select * from "set_cost" where "day" between ? and ?', [first, last])
    : sql.all<Row>('select * from "set_cost" where "technician" = ? and "day" between ? and ?', [
        technician,
        first,
        last,
      ])
  ).map(readRow);

/** The same on some targets. */
export const loadSetCostsOn = (sql: Sql, targets: readonly TargetId[]): readonly SaidCost[] =>
  sql
    .all<Row>('select * from "set_cost" where "target" in (select "value" from json_each(?))', [
      JSON.stringify(targets),
    ])
    .map(readRow);

/** What one person's labor is costed by. */
export const costingOf = (
  facts: Pick<ShopFacts, 'costRates' | 'targets'>,
  technician: TechnicianId,
  said: readonly SaidCost[],
  premiums: readonly LinePremium[] = [],
  trueUps: readonly LineTrueUp[] = [],
): Costing => ({
  rates: facts.costRates.get(technician) ?? [],
  setCosts: said.filter((each) => each.technician === technician),
  premiums,
  trueUps,
  isPaid: (target) => isPaidTarget(facts, target),
});

/** What a line would cost if nobody had set it. */
export const costByRate = (facts: ShopFacts, line: LaborLine): Cents | null =>
  costLine(line, costingOf(facts, line.technician, []));
