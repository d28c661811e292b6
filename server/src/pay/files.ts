import { createHash } from 'node:crypto';
import Papa from 'papaparse';
import type { PayFileJson, PayFileSum } from '@wergon/contract/pay';
import { neutralize } from '@wergon/core/exchange';
import {
  SEPARATORS,
  keyOfKind,
  keyOfMissing,
  payLinesOf,
  payRowsOf,
  sortForPay,
  writePayCells,
} from '@wergon/core/pay';
import type {
  MissingForPay,
  OwnAway,
  PayCodes,
  PayLayout,
  PayLine,
  PayPeriod,
  PayPerson,
  PayRow,
} from '@wergon/core/pay';
import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { groupBy } from '@wergon/core/result';
import type { Instant, LocalDay } from '@wergon/core/time';
import { isPayable } from '../approval/index.ts';
import { titleOf } from '../catalog/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { readOwnJson } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { loadShiftDays, loadWorked } from '../ledger/index.ts';
import type { ShiftDay } from '../ledger/index.ts';
import { CLOSED_KIND, GUARANTEE_KIND } from './away.ts';
import type { AwayDay } from './away.ts';
import {
  findOwed,
  findPeriod,
  loadClosedAway,
  loadClosedPeriods,
  loadClosedWorked,
  nextPeriod,
} from './periods.ts';

/** So many rows are shown before a file is made. */
const SHOWN_ROWS = 12;

/** Whose time a file is asked for: of a pay group, or of everybody. */
export type AskedFile = {
  readonly layout: PayLayout | undefined;
  readonly isAsked: (who: TechnicianId) => boolean;
};

/** What a pay file of a period would hold as it is now. */
export type PayFileNow = {
  readonly period: PayPeriod;
  readonly rows: readonly PayRow[];
  readonly taken: readonly PayLine[];
  readonly missing: readonly MissingForPay[];
  readonly leftOut: ReturnType<typeof sortForPay>['leftOut'];
  readonly cells: readonly (readonly string[])[];
  readonly sums: readonly PayFileSum[];
};

/** All that a period pays, and the shift days of it that it does not pay. */
export type PeriodPay = {
  readonly period: PayPeriod;
  readonly isClosed: boolean;
  readonly lines: readonly PayLine[];
  readonly unapproved: readonly ShiftDay[];
};

/** What a period pays: a closed one what it keeps, an open one what it would keep. `away` is time away of an open one. */
export function loadPeriodPay(
  sql: Sql,
  facts: ShopFacts,
  firstDay: LocalDay,
  away: readonly AwayDay[],
  now: Instant,
): PeriodPay | undefined {
  const found = findPeriod(sql, facts, firstDay, now);
  if (!found) return undefined;
  const period = { firstDay: found.firstDay, lastDay: found.lastDay };
  const isClosed = loadClosedPeriods(sql).some((each) => each.firstDay === firstDay);
  const { worked, adjustments, paidAway, unapproved } = isClosed
    ? loadClosed(sql, facts, period, now)
    : loadOpen(sql, facts, period, away, now);
  const ownAway = paidAway.map(({ kind, ...each }): OwnAway => ({
    ...each,
    kind: kindOf(kind),
  }));
  const isJob = (target: TargetId) => facts.tasks.has(target);
  return { period, isClosed, lines: payLinesOf([...worked, ...adjustments], ownAway, isJob), unapproved };
}

function loadClosed(sql: Sql, facts: ShopFacts, { firstDay, lastDay }: PayPeriod, now: Instant) {
  const { own, adjustments } = loadClosedWorked(sql, firstDay);
  const people = sql
    .all<{ technician: TechnicianId }>(
      'select distinct "technician" from "unsettled_day" where "shift_day" between ? and ?',
      [firstDay, lastDay],
    )
    .map(({ technician }) => technician);
  const days = people.length > 0 ? loadShiftDays(sql, facts, { firstDay, lastDay, people }, now) : [];
  return {
    worked: own,
    adjustments,
    paidAway: loadClosedAway(sql, firstDay),
    unapproved: days.filter((each) => isUnapproved(facts, each)),
  };
}

function loadOpen(sql: Sql, facts: ShopFacts, period: PayPeriod, paidAway: readonly AwayDay[], now: Instant) {
  const days = loadShiftDays(sql, facts, period, now);
  const payable = days.filter((each) => isPayable(facts, each));
  const workedOn = loadWorked(sql, facts, payable, now);
  const isNext = nextPeriod(sql, facts, now).firstDay === period.firstDay;
  return {
    worked: payable.flatMap(({ technician, day }) => workedOn(technician, day)),
    adjustments: isNext ? findOwed(sql, facts, now).workedAdjustments : [],
    paidAway,
    unapproved: days.filter((each) => isUnapproved(facts, each)),
  };
}

/** What stands for a kind where time away is kept. */
const kindOf = (kind: string): OwnAway['kind'] =>
  kind === CLOSED_KIND || kind === GUARANTEE_KIND ? { of: kind } : { of: 'leave', name: kind };

const isUnapproved = (facts: ShopFacts, day: ShiftDay): boolean =>
  day.chargedSeconds > 0 && !isPayable(facts, day);

/** What a file of a period would hold of what stands in none yet. */
export function payFileNow(
  sql: Sql,
  facts: ShopFacts,
  { period, lines, unapproved }: PeriodPay,
  codes: PayCodes,
  { layout, isAsked }: AskedFile,
): PayFileNow {
  const people = new Map(
    [...facts.technicians.values()].map(({ id, payrollNumber, feedsPay }): [TechnicianId, PayPerson] => [
      id,
      { technician: id, payrollNumber, feedsPay },
    ]),
  );
  const covered = loadCovered(sql, period.firstDay);
  const isCovered = (technician: TechnicianId, key: string) => covered.has(`${technician} ${key}`);
  const asked = lines.filter(({ technician }) => isAsked(technician));
  const sorted = sortForPay(asked, people, codes, (technician, kind) =>
    isCovered(technician, keyOfKind(kind)),
  );
  const waiting = unapproved
    .filter(({ technician }) => isAsked(technician) && people.get(technician)?.feedsPay === true)
    .map(({ technician, day, chargedSeconds }): MissingForPay => ({
      ...{ of: 'day', technician, day },
      seconds: chargedSeconds,
    }));
  const numberOf = (technician: TechnicianId) => people.get(technician)?.payrollNumber ?? '';
  const taken = [...sorted.taken].sort((a, b) => compareText(numberOf(a.technician), numberOf(b.technician)));
  const rows = payRowsOf(taken, codes, period, layout?.rows ?? 'period');
  return {
    period,
    rows,
    taken,
    missing: [...sorted.missing, ...waiting],
    leftOut: sorted.leftOut,
    cells: layout ? writePayCells(rows, period, layout, namesOf(facts)) : [],
    sums: sumsOf(rows),
  };
}

const compareText = (a: string, b: string): number => (a === b ? 0 : a < b ? -1 : 1);

const namesOf = (facts: ShopFacts): Parameters<typeof writePayCells>[3] => ({
  person: (technician) => {
    const found = facts.technicians.get(technician);
    return {
      payrollNumber: found?.payrollNumber ?? '',
      name: found?.name ?? '',
      department: found?.department ?? '',
    };
  },
  target: (target) => {
    const task = facts.tasks.get(target);
    return {
      order: (task && facts.orders.get(task.order)?.number) ?? '',
      task: titleOf(facts, target),
      costCode: task?.costCode ?? '',
    };
  },
});

const sumsOf = (rows: readonly PayRow[]): readonly PayFileSum[] =>
  [...groupBy(rows, ({ code }) => code)]
    .sort(([a], [b]) => compareText(a, b))
    .map(([code, own]) => ({
      code,
      hundredths: own.reduce((sum, { hundredths }) => sum + hundredths, 0),
      people: new Set(own.map(({ technician }) => technician)).size,
    }));

/** The bytes of a pay file. What a spreadsheet would take for a formula is made plain text. */
export const writePayText = (cells: PayFileNow['cells'], { separator }: PayLayout): string =>
  `${Papa.unparse(
    cells.map((row) => row.map(neutralize)),
    { delimiter: SEPARATORS[separator], newline: '\r\n' },
  )}\r\n`;

const digestOf = (text: string): string => createHash('sha256').update(text).digest('hex');

/** Names what was seen of a file: its bytes, and what is missing. */
export const stampOfFile = ({ cells, missing }: PayFileNow, layout: PayLayout | undefined): string =>
  digestOf(`${layout ? writePayText(cells, layout) : ''}\n${missing.map(keyOfMissing).join('\n')}`).slice(
    0,
    22,
  );

/** The decision that makes a file as it was seen, with what was missing and left for a later one. */
export function payFileDecision(
  { period, cells, rows, sums, taken, missing }: PayFileNow,
  { name, layout }: { readonly name: string; readonly layout: PayLayout },
) {
  const text = writePayText(cells, layout);
  const parts = new Map(
    taken.map(({ technician, kind }) => {
      const key = keyOfKind(kind);
      return [`${technician} ${key}`, { technician, kind: key }];
    }),
  );
  return {
    type: 'pay-file' as const,
    ...{ firstDay: period.firstDay, layout: name, separator: layout.separator, content: text },
    digest: digestOf(text),
    ...{ rows: rows.length, sums: [...sums], parts: [...parts.values()], putOff: missing.map(keyOfMissing) },
  };
}

/** Which kinds of whose time of a period stand in files that were made and not taken back. */
const loadCovered = (sql: Sql, firstDay: LocalDay): ReadonlySet<string> =>
  new Set(
    sql
      .all<{ technician: string; kind: string }>(
        `select p."technician", p."kind" from "pay_file" f join "pay_file_part" p on p."entry" = f."entry"
         where f."period" = ? and f."withdrawn_by" is null`,
        [firstDay],
      )
      .map(({ technician, kind }) => `${technician} ${kind}`),
  );

type FileRow = {
  readonly entry: string;
  readonly made_by: string;
  readonly at: Instant;
  readonly layout: string;
  readonly pay_group: string;
  readonly rows: number;
  readonly sums: string;
  readonly digest: string;
  readonly withdrawn_by: string | null;
  readonly reason: string | null;
};

/** The files that were made of a period, the last first. */
export const loadPayFiles = (sql: Sql, firstDay: LocalDay): PayFileJson['files'] =>
  sql
    .all<FileRow>(
      `select "entry", "made_by", "at", "layout", "pay_group", "rows", "sums", "digest", "withdrawn_by", "reason"
       from "pay_file" where "period" = ? order by rowid desc`,
      [firstDay],
    )
    .map(({ entry, made_by, pay_group, sums, withdrawn_by, ...file }) => ({
      ...file,
      id: entry,
      by: made_by,
      group: pay_group,
      sums: readOwnJson<PayFileSum[]>(sums),
      withdrawnBy: withdrawn_by,
    }));

/** What is told of a file before it is made. */
export function tellPayFile(facts: ShopFacts, found: PayFileNow) {
  const nameOf = (technician: TechnicianId) => facts.technicians.get(technician)?.name ?? technician;
  return {
    ...found.period,
    missing: found.missing.map((each): PayFileJson['missing'][number] => ({
      key: keyOfMissing(each),
      of: each.of,
      technician: each.of === 'code' ? null : each.technician,
      name: each.of === 'code' ? '' : nameOf(each.technician),
      kind: each.of === 'code' ? keyOfKind(each.kind) : null,
      day: each.of === 'day' ? each.day : null,
      seconds: each.seconds,
    })),
    leftOut: found.leftOut.map(({ technician, seconds }) => ({ name: nameOf(technician), seconds })),
    rows: found.rows.length,
    people: new Set(found.rows.map(({ technician }) => technician)).size,
    cells: found.cells.slice(0, SHOWN_ROWS).map((row) => [...row]),
    sums: [...found.sums],
    earlierSeconds: found.taken
      .filter(({ shiftDay }) => shiftDay < found.period.firstDay)
      .reduce((sum, { seconds }) => sum + seconds, 0),
  };
}

/** The periods of which a pay file was made and not taken back. */
export const loadSentPeriods = (sql: Sql): ReadonlySet<LocalDay> =>
  new Set(
    sql
      .all<{ period: LocalDay }>('select distinct "period" from "pay_file" where "withdrawn_by" is null')
      .map(({ period }) => period),
  );
export const hasPayFile = (sql: Sql, firstDay: LocalDay): boolean => loadSentPeriods(sql).has(firstDay);
