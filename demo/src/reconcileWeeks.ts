import { ok } from '@wergon/core/result';
import { PAY_CLASSES } from '@wergon/core/pay';
import type { PayPeriod } from '@wergon/core/pay';
import {
  addDays,
  formatDay,
  formatInstant,
  mondayOf,
  sumSeconds,
  toInstant,
  toSeconds,
} from '@wergon/core/time';
import type { Instant, LocalDay, Zone } from '@wergon/core/time';
import type { Context } from '@wergon/server/app';
import { readSql } from '@wergon/server/db';
import { closingOf, findOwed, loadAway, nextPeriod } from '@wergon/server/pay';
import { loadShiftDays, writeDecision } from '@wergon/server/ledger';
import { DraftEntity } from '@wergon/server/timesheet';
import { findOpenLooseEnds } from '@wergon/server/loose-ends';
import { sendPay, takeAnswer } from './addPayroll.ts';
import { technicianId } from './ids.ts';
import { deskAs, recordAt, stationAs } from './recordAt.ts';

/** Something that happens at the desk of the sample shop between two scans. */
export type DeskMoment = { readonly at: Instant; readonly run: () => Promise<void> };

const DAY = 86_400;
const WEEK = 7;
const HOUR = 3600;
/** Who does not scan: their hours are written down on Mondays. */
const ON_PAPER = 't8';
/** A station that was cut off sends two scans a week later, when their pay period is closed. */
const LATE = { technician: 't11', station: 'Assembly', daysBack: 19, arrivesDaysBack: 12 };

/** The desk's part of the ten weeks: hours from paper on Mondays, approval of the week before, and every second
 *  Wednesday the pay period is closed; the last weeks are left for whoever opens the demo. */
export async function planDesk(
  context: Context,
  firstDay: LocalDay,
  opensAt: Instant,
  zone: Zone,
): Promise<DeskMoment[]> {
  const [mikko, berit, solveig] = [
    await deskAs(context, 'mikko'),
    await deskAs(context, 'berit'),
    await deskAs(context, 'solveig'),
  ];
  const today = zone.dayAt(opensAt);
  const at = (day: LocalDay, hour: number) => toInstant(zone.startOf(day) + hour * HOUR);
  const moments: DeskMoment[] = [];
  const monday = mondayOf(firstDay);
  const closings: LocalDay[] = [];
  for (let day = addDays(monday, WEEK); day <= today; day = addDays(day, WEEK)) {
    moments.push({ at: at(day, 8), run: () => writeDown(context, mikko, addDays(day, -4)) });
    if (day + WEEK <= today)
      moments.push({ at: at(day, 9), run: () => approve(context, mikko, addDays(day, -WEEK)) });
    if (((day - monday) / WEEK) % 2 === 0 && day + WEEK <= today) closings.push(addDays(day, 2));
  }
  for (const [i, day] of closings.entries()) {
    const period: { firstDay?: LocalDay } = {};
    moments.push({
      at: at(day, 10),
      run: async () => {
        const closed = await close(context, berit);
        if (!closed) return;
        period.firstDay = closed.firstDay;
        // Of the last one the file is left for whoever opens the demo.
        if (i < closings.length - 1) await sendPay(context, berit, closed.firstDay);
      },
    });
    // Payroll answers a few days later; the answer to the last file is left too.
    if (i < closings.length - 2)
      moments.push({
        at: at(addDays(day, 5), 9),
        run: async () => {
          if (period.firstDay !== undefined) await takeAnswer(context, solveig, period.firstDay);
        },
      });
  }
  moments.push({
    at: at(addDays(today, -LATE.arrivesDaysBack), 11),
    run: () => arriveLate(context, at(addDays(today, -LATE.daysBack), 15)),
  });
  // Hours on paper come to the desk after somebody has decided how that day is paid.
  const thursday = addDays(mondayOf(today), -4);
  moments.push({
    at: at(addDays(thursday, 1), 16),
    run: () => decideSplit(context, mikko, thursday),
  });
  moments.push({ at: at(today, 13), run: () => keepDrafts(context, [solveig.id, mikko.id], today) });
  return moments.filter((moment) => moment.at < opensAt).sort((a, b) => a.at - b.at);
}

type Person = { readonly kind: 'desk'; readonly id: string; readonly name: string };

/** Approves the week before, and what has changed since in the weeks before that; days with loose ends wait. */
async function approve({ journal, clock }: Context, by: Person, monday: LocalDay): Promise<void> {
  await journal.appendAll(by, (sql, facts) => {
    const now = clock.now();
    const lastDay = addDays(monday, WEEK - 1);
    const firstDay = addDays(monday, -(2 * WEEK));
    const loose = new Set(
      findOpenLooseEnds(sql, facts, addDays(lastDay, -2), lastDay, now).map(
        ({ technician, day }) => `${technician ?? ''} ${day}`,
      ),
    );
    return ok(
      loadShiftDays(sql, facts, { firstDay, lastDay }, now)
        .filter(({ state, isOpen }) => state !== 'approved' && !isOpen)
        .filter(({ technician, day }) => !loose.has(`${technician} ${day}`))
        .map(({ technician, day, facts: seen }) =>
          writeDecision({ type: 'approve', technician, day, facts: seen, by: by.name }, now),
        ),
    );
  });
}

/** Closes the next period if it is over; gives it then. */
async function close(
  { database, facts: cache, journal, clock }: Context,
  by: Person,
): Promise<PayPeriod | undefined> {
  const known = await cache.get();
  const next = await readSql(database, (sql) => nextPeriod(sql, known, clock.now()));
  const away = await loadAway(database, known, next, clock.now());
  if (next.lastDay >= known.zone.dayAt(clock.now())) return undefined;
  await journal.appendAll(by, (sql, facts) => {
    const now = clock.now();
    const period = nextPeriod(sql, facts, now);
    const days = loadShiftDays(sql, facts, period, now);
    const closing = closingOf(sql, facts, period, days, findOwed(sql, facts, now), away.days, now);
    const [last] = sql.all<{ hash: string }>('select "hash" from "journal" order by "seq" desc limit 1');
    return ok([writeDecision({ ...closing, head: last?.hash ?? '', by: by.name }, now)]);
  });
  return next;
}

/** Somebody decides that a day is paid straight, as was agreed beforehand. */
async function decideSplit({ journal, clock }: Context, by: Person, day: LocalDay): Promise<void> {
  const technician = technicianId(ON_PAPER);
  await journal.appendAll(by, (sql, facts) => {
    const now = clock.now();
    const asked = { firstDay: day, lastDay: day, people: [technician] };
    return ok(
      loadShiftDays(sql, facts, asked, now).map(({ classes }) => {
        const paid = sumSeconds(PAY_CLASSES.map((each) => ({ seconds: classes[each] })));
        const split = { straight: paid, overtime: toSeconds(0), double: toSeconds(0) };
        const said = { technician, day, reason: 'agreed beforehand', by: by.name };
        return writeDecision({ type: 'split', ...said, ...split }, now);
      }),
    );
  });
}

const writeDown = (context: Context, by: Person, day: LocalDay) =>
  recordAt(
    context,
    by,
    [
      ['meeting', 1800, 0],
      ['cleaning', 2700, 1],
    ].map(([target, seconds, i]) => ({
      id: `paper-${day}-${i}`,
      type: 'hours',
      technician: ON_PAPER,
      targets: [target],
      day: formatDay(addDays(day, Number(i))),
      seconds,
    })),
    context.clock.now(),
  );

const arriveLate = (context: Context, at: Instant) =>
  recordAt(
    context,
    stationAs(LATE.station),
    [
      {
        id: 'late-1',
        type: 'work-start',
        at: formatInstant(at),
        technician: LATE.technician,
        targets: ['cleaning'],
      },
      {
        id: 'late-2',
        type: 'work-stop',
        at: formatInstant(toInstant(at + 2400)),
        technician: LATE.technician,
        targets: ['cleaning'],
      },
    ],
    context.clock.now(),
  );

/** Two slips that nobody could read whole, each begun by another of those who type them. */
async function keepDrafts(
  { database, clock }: Context,
  writers: readonly string[],
  today: LocalDay,
): Promise<void> {
  const em = database.em.fork();
  const blank = {
    technician: '',
    target: '',
    personText: '',
    targetText: '',
    workType: 'run' as const,
    day: '',
    from: '',
    to: '',
    hours: '',
    good: '',
    scrap: '',
    note: '',
  };
  const rows = [
    {
      ...blank,
      personText: 'Ola?',
      day: formatDay(addDays(today, -1)),
      targetText: 'varnish',
      from: '13:15',
      to: '14:30',
      note: 'second coat, order number torn off',
    },
    {
      ...blank,
      technician: ON_PAPER,
      personText: 'Elias Haug',
      day: formatDay(addDays(today, -4)),
      hours: '2:30',
    },
  ];
  for (const [i, fields] of rows.entries())
    await em.insert(DraftEntity, {
      id: `draft-${i + 1}`,
      user: writers[i] ?? '',
      at: toInstant(clock.now() - (2 - i) * DAY),
      fields,
    });
}
