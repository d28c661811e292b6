import type { TechnicianId } from '@wergon/core/people';
import type { ShopFacts } from '../shop/facts.ts';
import type { User } from './entities.ts';
import type { Who } from './identify.ts';

/** Whether a user may put right and approve the time of a person: of all people, of some departments, or, for a lead
 *  of whom nothing else is said, of the crew that he leads on the floor. Source: docs/reconcile.md. */
export function covers({ role, departments, technician }: User, facts: ShopFacts, id: TechnicianId): boolean {
  if (!departments && role !== 'lead') return true;
  const person = facts.technicians.get(id);
  if (!person) return false;
  if (departments) return departments.some((list) => facts.departments.get(list) === person.department);
  const himself = technician == null ? undefined : facts.technicians.get(technician as TechnicianId);
  return himself !== undefined && himself.crew !== '' && himself.crew === person.crew;
}

/** Whether whoever asks may put somebody's time right; of what is about nobody the right to correct is enough. */
export const mayCorrect = (who: Who, facts: ShopFacts, id: TechnicianId | undefined): boolean =>
  who.kind === 'desk' &&
  who.rights.has('ledger.correct') &&
  (id === undefined || covers(who.user, facts, id));
