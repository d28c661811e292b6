import type { CardJson } from '@wergon/contract/attendance';
import type { EntityManager } from '@mikro-orm/libsql';
import { dayBalance, personCard, sumCard } from '@wergon/core/attendance';
import { timeAwayOn } from '@wergon/core/pay';
import type { LeaveFacts } from '@wergon/core/pay';
import type { Presence } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { addDays, mondayOf, sumSeconds, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { orderNumberOf, titleOf } from '../catalog/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Mount, RouteRefusal } from '../http/index.ts';
import { loadHours, loadPersonTimeline, loadShiftDays } from '../ledger/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { loadLeaveFacts, loadPlans } from '../people/index.ts';

/** A shift can begin so many days before the last calendar day of its labor. */
const DAYS_AROUND = 2;
/** Days that a card has at most. */
const MOST_DAYS = 93;

export type CardDays = { readonly firstDay: LocalDay; readonly lastDay: LocalDay };
type Asked = { readonly from?: LocalDay; readonly to?: LocalDay };

/** The days that are asked for: the week up to today where nothing is said. */
export function cardDays({ from, to }: Asked, today: LocalDay): CardDays | RouteRefusal {
  const firstDay = from ?? mondayOf(to ?? today);
  const lastDay = to ?? Math.max(firstDay, today);
  if (lastDay < firstDay || lastDay - firstDay >= MOST_DAYS)
    return refuse('input.invalid', [
      { field: 'to', message: `must lie within ${MOST_DAYS} days of the first` },
    ]);
  return { firstDay, lastDay: addDays(firstDay, lastDay - firstDay) };
}

/** What is planned of somebody and when they are away, and each day's shift less that. */
export type CardPlan = LeaveFacts & { readonly leftToWork: (day: LocalDay) => number };

export async function loadCardPlan(
  em: EntityManager,
  technician: TechnicianId,
  { firstDay, lastDay }: CardDays,
): Promise<CardPlan> {
  const plans = await loadPlans(em, firstDay, lastDay);
  const facts = (await loadLeaveFacts(em, firstDay, lastDay, [technician]))(technician);
  return { ...facts, leftToWork: (day) => plans(technician, day).seconds };
}

/** One person's card as it is now, with what runs. */
export function loadCard(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  { firstDay, lastDay }: CardDays,
  plan: CardPlan,
  now: Instant,
): CardJson {
  const span = {
    from: facts.zone.startOf(addDays(firstDay, -DAYS_AROUND)),
    to: facts.zone.startOf(addDays(lastDay, DAYS_AROUND + 1)),
  };
  const hours = loadHours(sql, firstDay, lastDay).filter((entry) => entry.technician === technician);
  const timeline = loadPersonTimeline(sql, facts, technician, span, now);
  const today = facts.zone.dayAt(now);
  const paid = new Map(
    loadShiftDays(sql, facts, { firstDay, lastDay, people: [technician] }, now).map((each) => [
      each.day,
      each.classes,
    ]),
  );
  /** What is paid of a day and what was planned of it. */
  const payOf = (day: LocalDay) => {
    const { straight, overtime, double } = paid.get(day) ?? { straight: 0, overtime: 0, double: 0 };
    const away = timeAwayOn(plan, day).map(({ kind, ...each }) => ({
      ...each,
      kind: kind.of === 'leave' ? kind.name : kind.of,
    }));
    const planned = toSeconds(plan.leftToWork(day));
    return {
      away,
      overtimeSeconds: toSeconds(overtime),
      doubleSeconds: toSeconds(double),
      awaySeconds: sumSeconds(away),
      plannedSeconds: planned,
      balanceSeconds: dayBalance(straight + overtime + double, planned, day < today),
    };
  };
  const days = personCard({ ...timeline, hours }, { firstDay, lastDay }, facts).map((day) => ({
    ...day,
    ...payOf(day.day),
    jobSeconds: sumSeconds(day.lines.filter(({ target }) => facts.tasks.has(target))),
  }));
  const spanOf = ({ from, to, open, capped }: Pick<Presence, 'from' | 'to' | 'open' | 'capped'>) => ({
    from,
    to,
    isOpen: open,
    isTorn: capped,
  });
  const person = facts.technicians.get(technician);
  return {
    asOf: now,
    technician,
    name: person?.name ?? '',
    number: person?.number ?? '',
    firstDay,
    lastDay,
    ...sumCard(days),
    days: days.map(({ shifts, breaks, stretches, lines, ...day }) => ({
      ...day,
      shifts: shifts.map(spanOf),
      breaks: breaks.map(spanOf),
      stretches: stretches.map((stint) => ({
        ...spanOf(stint),
        titles: stint.running.map(({ target }) => titleOf(facts, target)),
      })),
      lines: lines.map(({ target, seconds }) => ({
        title: facts.tasks.get(target)?.title ?? titleOf(facts, target),
        order: orderNumberOf(facts, target) ?? '',
        seconds,
      })),
    })),
  };
}

/** Why somebody is away is for whoever may see absences; that the shop is closed, for everybody. */
const withoutWhy = (card: CardJson): CardJson => ({
  ...card,
  days: card.days.map((day) => ({
    ...day,
    away: day.away.map((each) => (each.kind === 'closed' ? each : { ...each, kind: 'away' })),
  })),
});

/** The route of anybody's card, for whoever puts time right. */
export function mountCard(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('card', async ({ query: { technician, ...asked }, who }) => {
    const known = await facts.get();
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    const now = clock.now();
    const days = cardDays(asked, known.zone.dayAt(now));
    if ('code' in days) return days;
    const plan = await loadCardPlan(database.em.fork(), technician, days);
    const card = await readSql(database, (sql) => loadCard(sql, known, technician, days, plan, now));
    return ok(who.rights.has('people.see') ? card : withoutWhy(card));
  });
}
