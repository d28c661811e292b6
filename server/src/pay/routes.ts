import type { PayPeriodJson } from '@wergon/contract/pay';
import { classesOf, sumClasses } from '@wergon/core/pay';
import type { ClosedLine, PayPeriod } from '@wergon/core/pay';
import { formatCents, sumCents, toCents } from '@wergon/core/money';
import { groupBy, ok } from '@wergon/core/result';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { LedgerContext, ShiftDay } from '../ledger/index.ts';
import type { DeskWho, Mount } from '../http/index.ts';
import { covers } from '../access/index.ts';
import type { TechnicianId } from '@wergon/core/people';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { costedAs, costsFor } from '../compare/index.ts';
import type { Costs } from '../compare/index.ts';
import { titleOf } from '../catalog/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { findPeriod, loadClosedPeriods, openPeriods } from './periods.ts';
import { loadAway } from './away.ts';
import type { Away } from './away.ts';
import { refusalToClose, seePeriod } from './seePeriod.ts';
import type { Seen } from './seePeriod.ts';
import { mountPayFiles } from './fileRoutes.ts';
import { mountPayroll } from './payrollRoutes.ts';
import { mountClosing } from './closing.ts';
import { mountAbsences } from './absences.ts';
import { mountOwnTimeOff } from './ownTimeOff.ts';
import { mountTimeOff } from './timeOff.ts';
import { mountGuarantees } from './guarantees.ts';
import { loadSentPeriods } from './files.ts';
import { mountSplits } from './splits.ts';
import { groupsOn, mountOvertime } from './overtime.ts';
import { PayGroupEntity } from '../people/index.ts';
import { isPayable } from '../approval/index.ts';

/** So many closed periods are listed. */
const LISTED = 26;

export function mountPay(mount: Mount, context: LedgerContext): void {
  const { database, clock, facts } = context;
  /** Time away in the period that begins on a day. */
  const awayOf = async (known: ShopFacts, firstDay: LocalDay, now: Instant): Promise<Away> => {
    const period = await readSql(database, (sql) => findPeriod(sql, known, firstDay, now));
    return period
      ? loadAway(database, known, { firstDay: period.firstDay, lastDay: period.lastDay }, now)
      : { plannedSeconds: () => 0, days: [] };
  };
  mountClosing(mount, context, awayOf);
  mountOvertime(mount, context);
  mountSplits(mount, context);
  mountPayFiles(mount, context, awayOf);
  mountPayroll(mount, context);
  mountTimeOff(mount, context);
  mountAbsences(mount, context);
  mountOwnTimeOff(mount, context);
  mountGuarantees(mount, context);
  mount('payPeriods', async () => {
    const known = await facts.get();
    const now = clock.now();
    return ok({
      asOf: now,
      periods: await readSql(database, (sql) => listPeriods(sql, known, now)),
    });
  });

  mount('payPeriod', async ({ query, who }) => {
    const known = await facts.seenBy(who.user);
    const now = clock.now();
    const costs = costsFor(who);
    const mayReopen = who.rights.has('pay.reopen');
    const away = await awayOf(known, query.firstDay, now);
    const members = await database.em.fork().findAll(PayGroupEntity);
    const groups = groupsOn(members, query.firstDay);
    const found = await readSql(database, (sql) => {
      const seen = seePeriod(sql, known, query.firstDay, now, away);
      const told = { costs, mayReopen, mayDecide: decidableBy(who, known), groups };
      return seen && writePeriod(known, seen, now, told);
    });
    return found ? ok(found) : refuse('pay.no_such_period');
  });
}

function listPeriods(sql: Sql, facts: ShopFacts, now: Instant) {
  const today = facts.zone.dayAt(now);
  const closed = loadClosedPeriods(sql).slice(-LISTED).reverse();
  const sent = loadSentPeriods(sql);
  return [
    ...[...openPeriods(sql, facts, now)].reverse().map((period) => ({
      ...textOf(period),
      state: period.lastDay < today ? ('over' as const) : ('running' as const),
      closedBy: null,
      closedAt: null,
      isSent: false,
    })),
    ...closed.map((period) => ({
      ...textOf(period),
      state: 'closed' as const,
      closedBy: period.closedBy,
      closedAt: period.at,
      isSent: sent.has(period.firstDay),
    })),
  ];
}

const textOf = ({ firstDay, lastDay }: PayPeriod) => ({
  firstDay,
  lastDay,
});

const REFUSALS = {
  'pay.closed': 'closed',
  'pay.not_over': 'not-over',
  'pay.earlier_open': 'earlier-open',
} as const;

/** What whoever asks may see and do. */
type ToldTo = {
  readonly costs: Costs;
  readonly mayReopen: boolean;
  readonly mayDecide: (technician: TechnicianId, day: LocalDay) => boolean;
  /** The pay group that people belong to on the first day. */
  readonly groups: ReadonlyMap<TechnicianId, string>;
};

/** Days on which somebody can decide how they are paid. */
const decidableBy =
  (who: DeskWho, facts: ShopFacts): ToldTo['mayDecide'] =>
  (technician, day) =>
    who.rights.has('time.approve') &&
    who.user.technician !== technician &&
    covers(who.user, facts, technician) &&
    facts.overtime.weekOf(technician, day).rule !== undefined;

function writePeriod(
  facts: ShopFacts,
  seen: Seen,
  now: Instant,
  { costs, mayReopen, mayDecide, groups }: ToldTo,
): PayPeriodJson {
  const { period, closed, days } = seen;
  const isTold = ({ technician }: Pick<ClosedLine, 'technician'>) => !facts.hidden?.has(technician);
  const lines = costedAs(seen.lines.filter(isTold), facts, costs);
  // What differs in nothing but what a person is paid is not there for whoever may not see it.
  const adjustments = costedAs(seen.adjustments.filter(isTold), facts, costs).filter(
    ({ seconds }) => costs === 'actual' || seconds !== 0,
  );
  const refusal = refusalToClose(seen);
  const money = (items: readonly ClosedLine[]) => formatCents(sumCents(items));
  const secondsOf = (items: readonly { readonly seconds: number }[]) =>
    items.reduce((sum, { seconds }) => sum + seconds, 0);
  const of = ({ technician }: Pick<ClosedLine, 'technician'>) => technician;
  const [daysOf, linesOf] = [groupBy(days, of), groupBy(lines, of)];
  const [awayOf, classesBy] = [groupBy(seen.away, of), groupBy(seen.classes, of)];
  const people = [...facts.technicians.values()].flatMap(({ id, name, department }) => {
    const own = daysOf.get(id) ?? [];
    const kept = linesOf.get(id) ?? [];
    // Closed is closed: what a closed period did not take is no longer its open part.
    const open = closed ? [] : own.filter((each) => !isPayable(facts, each));
    const ownAway = awayOf.get(id) ?? [];
    if (own.length + kept.length + ownAway.length === 0) return [];
    return {
      technician: id,
      name,
      department,
      payGroup: groups.get(id) ?? '',
      attendedSeconds: own.reduce((sum, { attendedSeconds }) => sum + attendedSeconds, 0),
      chargedSeconds: secondsOf(kept),
      unapprovedSeconds: open.reduce((sum, { chargedSeconds }) => sum + chargedSeconds, 0),
      openDays: open.map(({ day }) => day),
      cost: money(kept),
      classes: sumClasses(classesBy.get(id) ?? []),
      away: [...groupBy(ownAway, ({ kind }) => kind)].map(([kind, of]) => ({ kind, seconds: secondsOf(of) })),
      plannedSeconds: seen.plannedSeconds(id),
      split: closed
        ? []
        : own
            .filter(({ classes, split }) => classes.overtime + classes.double > 0 || split !== 'none')
            .map(({ day, stamp, classes, premium, split, isOpen }) => ({
              ...{ day, stamp, classes, split },
              isDecidable: !isOpen && mayDecide(id, day),
              premium: costs === 'actual' ? formatCents(premium) : null,
            })),
    };
  });
  const sum = (of: (person: (typeof people)[number]) => number) =>
    people.reduce((total, person) => total + of(person), 0);
  return {
    ...textOf(period),
    asOf: now,
    state: closed ? 'closed' : seen.isOver ? 'over' : 'running',
    closedBy: closed?.closedBy ?? null,
    closedAt: closed ? closed.at : null,
    head: closed?.head ?? null,
    refusal: refusal ? REFUSALS[refusal] : facts.hidden ? 'not-all-seen' : null,
    canReopen: mayReopen && seen.isLastClosed && !facts.hidden,
    costs,
    stamp: seen.stamp,
    people,
    totals: {
      attendedSeconds: sum(({ attendedSeconds }) => attendedSeconds),
      chargedSeconds: sum(({ chargedSeconds }) => chargedSeconds),
      unapprovedSeconds: sum(({ unapprovedSeconds }) => unapprovedSeconds),
      adjustedSeconds: secondsOf(adjustments),
      classes: sumClasses(people.map(({ classes }) => classes)),
      awaySeconds: secondsOf(people.flatMap(({ away }) => away)),
      overhead: closed || costs !== 'actual' ? null : formatCents(overheadOf(days.filter(isTold))),
      cost: money([...lines, ...adjustments]),
    },
    classAdjustments: classesOf(seen.workedAdjustments)
      .filter((each) => isTold(each) && (each.overtime !== 0 || each.double !== 0 || each.unallocated !== 0))
      .map(({ technician, day, ...classes }) => ({
        ...{ technician, day, classes },
        name: facts.technicians.get(technician)?.name ?? technician,
      })),
    adjustments: adjustments.map((each) => ({
      technician: each.technician,
      name: facts.technicians.get(each.technician)?.name ?? each.technician,
      shiftDay: each.shiftDay,
      title: titleOf(facts, each.target),
      workType: each.workType,
      seconds: each.seconds,
      cost: each.cost === null ? null : formatCents(each.cost),
    })),
  };
}

/** What overtime of days adds that no labor line bears. Where it is spread over weeks, part of a week's may lie on days
 *  beside these. */
const overheadOf = (days: readonly ShiftDay[]) =>
  toCents(
    days.reduce(
      (sum, { premium, lines }) =>
        sum + premium - lines.reduce((ofLines, line) => ofLines + (line.premium ?? 0), 0),
      0,
    ),
  );
