import type { TechnicianId } from '@wergon/core/people';
import type { DeskUser, Who } from '../http/index.ts';

/** What of the shop's people decides whose time a user may touch. */
type People = {
  readonly technicians: ReadonlyMap<string, { readonly department: string; readonly crew: string }>;
  /** Names of departments and of crews by their ids in the lists. */
  readonly departments: ReadonlyMap<string, string>;
  readonly crews: ReadonlyMap<string, string>;
};

/** Whether a user may put right and approve the time of a person: of all people, of some departments and crews, or, for
 *  whose roles reach no further and of whom nothing else is said, of the crew that they lead on the floor. Source: docs/reconcile.md. */
export function covers(
  { isCrewOnly, departments, crews, technician }: DeskUser,
  people: People,
  id: TechnicianId,
): boolean {
  const isBound = departments != null || crews != null;
  if (!isBound && !isCrewOnly) return true;
  const person = people.technicians.get(id);
  if (!person) return false;
  if (isBound)
    return (
      (departments ?? []).some((list) => people.departments.get(list) === person.department) ||
      (crews ?? []).some((list) => people.crews.get(list) === person.crew)
    );
  const lead = technician == null ? undefined : people.technicians.get(technician);
  return lead !== undefined && lead.crew !== '' && lead.crew === person.crew;
}

/** Whether a user is told of a person: of everybody, or, where their sight is limited, of those whose time they may put
 *  right and of themselves. What a job comes to in all is told whole. Source: docs/reconcile.md. */
export const sees = (user: DeskUser, people: People, id: TechnicianId): boolean =>
  !user.seesOnlyTheirs || user.technician === id || covers(user, people, id);

/** Whether whoever asks may put somebody's time right; of what is about nobody the right to correct is enough. */
export const mayCorrect = (who: Who, people: People, id: TechnicianId | undefined): boolean =>
  who.kind === 'desk' &&
  who.rights.has('ledger.correct') &&
  (id === undefined || covers(who.user, people, id));
