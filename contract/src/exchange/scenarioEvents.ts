import { checkEntry, isSameContent } from '@wergon/core/ledger';
import type { Entry, EntryId, Recorded } from '@wergon/core/ledger';
import { entryProblem } from '../ledger/index.ts';
import type { FieldProblem } from '../wire/index.ts';
import type { ScenarioDocument } from './scenarioSchema.ts';

/** Records the events of a document in their order, as a journal would: each once, and what it names is known. `bodies` are
 *  the same events as they were sent. */
export function recordEvents(scenario: ScenarioDocument, bodies: readonly unknown[]) {
  const technicians = new Set(scenario.technicians.map(({ id }) => id));
  const targets = new Set([
    ...scenario.indirect.map(({ id }) => id),
    ...scenario.workOrders.flatMap(({ tasks }) => tasks.map(({ id }) => id)),
  ]);
  const known = new Map<EntryId, { readonly type: Entry['type']; readonly body: unknown }>();
  const recorded: Recorded = {
    hasTechnician: (id) => technicians.has(id),
    hasTarget: (id) => targets.has(id),
    findType: (id) => known.get(id)?.type,
  };
  const events: Entry[] = [];
  const problems: FieldProblem[] = [];
  scenario.events.forEach((entry, i) => {
    const before = known.get(entry.id);
    if (before) {
      if (!isSameContent(before.body, bodies[i]))
        problems.push({
          field: `events[${i}].id`,
          ...{ message: entryProblem('entry.id_taken', {}).message },
        });
      return;
    }
    const checked = checkEntry(entry, recorded);
    if (checked.ok) events.push(entry);
    else {
      const { field, message } = entryProblem(checked.code, checked.params);
      problems.push({ field: `events[${i}].${field}`, message });
    }
    known.set(entry.id, { type: entry.type, body: bodies[i] });
  });
  return { events, problems };
}
