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
    const paid = new Map(absences.map(({ technician, day, isPaid }) => [`${technician} ${day}`, isPaid]));
    const people = [...known.technicians.values()]
      .filter(({ leftOn }) => leftOn == null || leftOn >= from)
      .sort((a, b) => a.department.localeCompare(b.department) || a.name.localeCompare(b.name));
    return ok({
      days,
      people: people.map(({ id, name, department }): TimeOffJson['people'][number] => ({
        ...{ technician: id, name, department },
        days: days.map((day) => {
          const { plan, absence } = plans(id, day);
          if (absence === 'closed') return { kind: 'closed', why: '', isPaid: null };
          if (absence !== undefined)
            return { kind: 'away', why: absence, isPaid: paid.get(`${id} ${day}`) ?? null };
          return { kind: plan ? 'in' : 'free', why: '', isPaid: null };
        }),
      })),
    });
  });
}
