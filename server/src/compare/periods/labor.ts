import { partLine } from '@wergon/core/compare';
import type { CutField, CutPiece, NamedPart } from '@wergon/core/compare';
import { sumLines } from '@wergon/core/ledger';
import type { LaborLine } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { findIn, groupBy } from '@wergon/core/result';
import { earliestOf, formatDay, latestOf, mondayOf, monthOf } from '@wergon/core/time';
import type { Days, Instant } from '@wergon/core/time';
import type { ShopFacts } from '../../catalog/index.ts';
import type { Sql } from '../../db/index.ts';
import {
  costingOf,
  loadLinesBetween,
  loadParts,
  loadRunning,
  loadRunningPremiums,
  loadSetCosts,
  sumParts,
} from '../../ledger/index.ts';
import { costedAs } from '../taskLabor.ts';
import type { OfLabor } from '../../ledger/index.ts';
import type { Costs } from '../taskLabor.ts';

/** A labor line of a period, or a part of one by machine and reason. */
export type LaborPiece = CutPiece & LaborLine & Partial<Pick<NamedPart, 'machine' | 'reason'>>;

/** Labor of some days of the people that the facts know, open time included; parted by machine and reason only where that is
 *  asked for. There may be more than that `of` which it is asked. */
export function loadPieces(
  sql: Sql,
  facts: ShopFacts,
  { firstDay, lastDay }: Days,
  now: Instant,
  { costs, isParted, of }: { readonly costs: Costs; readonly isParted: boolean; readonly of: OfLabor },
): readonly LaborPiece[] {
  const isSeen = ({ technician }: { readonly technician: TechnicianId }) => facts.technicians.has(technician);
  const open = loadRunning(sql, facts, now).filter(
    (piece) => piece.day >= firstDay && piece.day <= lastDay && isSeen(piece),
  );
  const settled = loadLinesBetween(sql, firstDay, lastDay, of).filter(isSeen);
  const premiums = new Map(
    [...loadRunningPremiums(sql, facts, now)].filter(([id]) => facts.technicians.has(id)),
  );
  const lines = costedAs(withOpen(sql, facts, settled, open, premiums), facts, costs);
  if (!isParted) return lines;
  const parts = groupBy([...loadParts(sql, firstDay, lastDay), ...sumParts(open)], keyOfLine);
  return lines.flatMap((line) => partLine(line, parts.get(keyOfLine(line)) ?? []));
}

const keyOfLine = ({
  technician,
  day,
  target,
  workType,
}: Pick<LaborLine, 'technician' | 'day' | 'target' | 'workType'>) =>
  `${technician} ${day} ${target} ${workType}`;

/** Settled lines with open time on top, where there is any: each line is costed once. */
function withOpen(
  sql: Sql,
  facts: ShopFacts,
  settled: readonly LaborLine[],
  open: ReturnType<typeof loadRunning>,
  premiums: ReturnType<typeof loadRunningPremiums>,
): readonly LaborLine[] {
  const pieces = groupBy(open, ({ technician }) => technician);
  const working = new Set([...pieces.keys(), ...premiums.keys()]);
  if (working.size === 0) return settled;
  // What runs may make time of other days dearer, where overtime is spread over a week.
  const daysOf = (technician: TechnicianId) => [
    ...(pieces.get(technician) ?? []).map(({ day }) => day),
    ...(premiums.get(technician) ?? []).map(({ day }) => day),
  ];
  const touchedDays = new Map([...working].map((technician) => [technician, new Set(daysOf(technician))]));
  const isTouched = ({ technician, day }: LaborLine) => touchedDays.get(technician)?.has(day) ?? false;
  const touched = settled.filter(isTouched);
  return [
    ...settled.filter((line) => !isTouched(line)),
    ...[...touchedDays].flatMap(([technician, days]) => {
      const [first, last] = [earliestOf(days), latestOf(days)];
      const set = loadSetCosts(sql, first, last, technician);
      return sumLines(
        pieces.get(technician) ?? [],
        [],
        costingOf(facts, technician, set, premiums.get(technician)),
        touched.filter((line) => line.technician === technician),
      );
    }),
  ];
}

/** What names stand for the keys of a cut that are ids. */
export type CutNames = {
  readonly grades: ReadonlyMap<string, string>;
  readonly units: ReadonlyMap<string, string>;
};

/** What a piece is put under by each field; '' where it has nothing of it. Days, weeks and months are told by their first
 *  day. */
export function cutKeys(facts: ShopFacts): Readonly<Record<CutField, (piece: LaborPiece) => string>> {
  const personOf = ({ technician }: LaborPiece) => facts.technicians.get(technician);
  const taskOf = ({ target }: LaborPiece) => facts.tasks.get(target);
  const orderOf = (piece: LaborPiece) => {
    const task = taskOf(piece);
    return task && facts.orders.get(task.order);
  };
  const gradeOf = (piece: LaborPiece) =>
    facts.gradesOf.get(piece.technician)?.findLast(({ from }) => from <= piece.day)?.grade ??
    taskOf(piece)?.grade;
  return {
    person: ({ technician }) => technician,
    department: (piece) => personOf(piece)?.department ?? '',
    crew: (piece) => personOf(piece)?.crew ?? '',
    grade: (piece) => gradeOf(piece) ?? '',
    order: (piece) => taskOf(piece)?.order ?? '',
    task: ({ target }) => target,
    customer: (piece) => orderOf(piece)?.customer ?? '',
    unit: (piece) => orderOf(piece)?.unit ?? '',
    division: (piece) => orderOf(piece)?.division ?? '',
    jobType: (piece) => orderOf(piece)?.jobType ?? '',
    costCode: (piece) => taskOf(piece)?.costCode ?? '',
    workCenter: (piece) => taskOf(piece)?.workCenter ?? '',
    machine: ({ machine = '' }) => machine,
    kind: (piece) => (taskOf(piece) ? 'job' : 'indirect'),
    activity: (piece) => (taskOf(piece) ? '' : piece.target),
    workType: (piece) => (taskOf(piece) ? piece.workType : ''),
    reason: ({ reason = '' }) => reason,
    day: ({ day }) => formatDay(day),
    week: ({ day }) => formatDay(mondayOf(day)),
    month: ({ day }) => formatDay(monthOf(day)),
  };
}

/** What people call a key of a field; keys that are words, and days, are their own names. */
export function nameOfKey(
  facts: ShopFacts,
  { grades, units }: CutNames,
  field: CutField,
  key: string,
): string {
  switch (field) {
    case 'person':
      return findIn(facts.technicians, key)?.name ?? key;
    case 'order': {
      const order = findIn(facts.orders, key);
      return order ? `${order.number} ${order.title}` : key;
    }
    case 'task':
      // Of indirect work the activity stands in its place.
      return findIn(facts.tasks, key)?.title ?? findIn(facts.activities, key)?.title ?? key;
    case 'activity':
      return findIn(facts.activities, key)?.title ?? key;
    case 'grade':
      return grades.get(key) ?? key;
    case 'unit':
      return units.get(key) ?? key;
    default:
      return key;
  }
}
