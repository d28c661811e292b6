import type { TimeOffJson } from '@wergon/contract/pay';
import { ok } from '@wergon/core/result';
import { addDays, daysFrom } from '@wergon/core/time';
import type { LedgerContext } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { AbsenceEntity, loadPlans } from '../people/index.ts';

/** So many weeks stand beside each other. */
const WEEKS = 4;
const WEEK = 7;

/** Who is in and who is away, day by day, of everybody who is told of. Source: docs/pay.md, time off. */
export function mountTimeOff(mount: Mount, { database, facts }: LedgerContext): void {
  mount('timeOff', async ({ query: { from }, who }) => {
    const known = await facts.seenBy(who.user);
    const days = daysFrom(from, WEEKS * WEEK);
    const last = addDays(from, WEEKS * WEEK - 1);
    const em = database.em.fork();
    const plans = await loadPlans(em, from, last);
    const absences = await em.find(AbsenceEntity, { day: { $gte: from, $lte: last } });
    const own = new Map(absences.map((each) => [`${each.technician} ${each.day}`, each]));
    const people = [...known.technicians.values()]
      .filter(({ leftOn }) => leftOn == null || leftOn >= from)
      .sort((a, b) => a.department.localeCompare(b.department) || a.name.localeCompare(b.name));
    return ok({
      days,
      people: people.map(({ id, name, department }): TimeOffJson['people'][number] => ({
        ...{ technician: id, name, department },
        days: days.map((day) => {
          const { plan, absence } = plans(id, day);
          const nothing = { why: '', isPaid: null, seconds: null };
          if (absence === 'closed') return { kind: 'closed', ...nothing };
          const leave = own.get(`${id} ${day}`);
          if (!leave || (!plan && absence === undefined)) return { kind: plan ? 'in' : 'free', ...nothing };
          // Who is away for a part of the day is in for the rest.
          return {
            ...{ kind: absence === undefined ? 'in' : 'away', why: leave.kind, isPaid: leave.isPaid },
            seconds: leave.seconds ?? null,
          };
        }),
      })),
    });
  });
}
