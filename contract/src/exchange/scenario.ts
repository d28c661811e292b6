import { z } from 'zod';
import { checkEntry, isSameContent } from '@wergon/core/ledger';
import type { Entry, EntryId, Recorded } from '@wergon/core/ledger';
import { fail, isRecord, ok } from '@wergon/core/result';
import type { Refusal } from '@wergon/core/result';
import { createZone } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import {
  amountText,
  dayText,
  hoursText,
  idText,
  instantText,
  rateText,
  wholeNumber,
  fieldProblemsOf,
  formatPath,
} from '../wire/index.ts';
import { entryProblem, entrySchema } from '../ledger/index.ts';
import type { FieldProblem } from '../wire/index.ts';

const atLeastOne = z.int().min(1);

export const policySchema = z.strictObject({
  split: z.enum(['estimate', 'equal']).exactOptional(),
  maxStintHours: atLeastOne.exactOptional(),
  maxShiftHours: atLeastOne.exactOptional(),
  gapMinutes: wholeNumber.exactOptional(),
  maxBreakMinutes: wholeNumber.exactOptional(),
});

const positiveHours = hoursText.refine((hours) => hours.numerator > 0n, 'must be above zero');

export const rateRecordSchema = z
  .strictObject({
    from: dayText,
    per: z.enum(['hour', 'year']),
    base: amountText,
    hoursPerYear: positiveHours.exactOptional(),
    burden: z
      .array(z.strictObject({ kind: z.enum(['percent', 'perHour', 'perYear']), value: amountText }))
      .default([]),
  })
  .superRefine(({ per, hoursPerYear, burden }, context) => {
    const isNeeded = per === 'year' || burden.some(({ kind }) => kind === 'perYear');
    if (isNeeded && !hoursPerYear)
      context.addIssue({ code: 'custom', path: ['hoursPerYear'], message: 'required with a yearly amount' });
  });

const scenarioSchema = z.strictObject({
  format: z.literal('wergon-scenario/1'),
  zone: z.string().refine((name) => createZone(name).ok, 'expected an IANA time zone'),
  asOf: instantText,
  policy: policySchema.exactOptional(),
  grades: z.array(z.strictObject({ id: idText<'GradeId'>(), standardRate: rateText })),
  technicians: z.array(
    z.strictObject({ id: idText<'TechnicianId'>(), rates: z.array(rateRecordSchema).default([]) }),
  ),
  indirect: z
    .array(z.strictObject({ id: idText<'TargetId'>(), counts: z.boolean().exactOptional() }))
    .default([]),
  workOrders: z.array(
    z.strictObject({
      id: idText<'WorkOrderId'>(),
      quantity: wholeNumber,
      estimateIncludes: z.array(z.enum(WORK_TYPES)).exactOptional(),
      tasks: z.array(
        z.strictObject({
          id: idText<'TargetId'>(),
          grade: idText<'GradeId'>(),
          estimate: z.strictObject({
            setupHours: hoursText.exactOptional(),
            runHours: hoursText.exactOptional(),
            runHoursPerPiece: hoursText.exactOptional(),
          }),
        }),
      ),
    }),
  ),
  events: z.array(entrySchema),
});

/** A whole shop on paper, as read. Its events are in the order of recording, each once. */
export type Scenario = Omit<z.output<typeof scenarioSchema>, 'events'> & {
  readonly events: readonly Entry[];
};

export type ScenarioRefusal = Refusal<'scenario.invalid'> & { readonly problems: readonly FieldProblem[] };

const refuse = (problems: readonly FieldProblem[]): ScenarioRefusal => ({
  ...fail('scenario.invalid'),
  problems,
});

/** Reads a scenario file's text. Everything that is wrong with it is named; nothing is guessed.
 *  Source: docs/scenario-format.md. */
export function parseScenario(text: string) {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return refuse([
      { field: '(document)', message: `not JSON: ${error instanceof Error ? error.message : ''}` },
    ]);
  }
  const parsed = scenarioSchema.safeParse(json);
  if (!parsed.success)
    return refuse(
      fieldProblemsOf(parsed.error).map(({ field, message }) => ({ field: field || '(document)', message })),
    );
  const scenario = parsed.data;
  // The schema has just held, so the document has a list of events.
  const bodies = isRecord(json) && Array.isArray(json['events']) ? json['events'] : [];
  const { events, problems } = recordEvents(scenario, bodies);
  const all = [...findNamesTwice(scenario), ...problems];
  return all.length > 0 ? refuse(all) : ok({ ...scenario, events });
}

function findNamesTwice({ grades, technicians, indirect, workOrders }: Scenario): FieldProblem[] {
  const gradeIds = new Set(grades.map(({ id }) => id));
  const problems: FieldProblem[] = [];
  const findTwice = (
    keys: readonly { readonly key: string | number; readonly field: string }[],
    message: string,
  ) => {
    const seen = new Set<string | number>();
    for (const { key, field } of keys) {
      if (seen.has(key)) problems.push({ field, message });
      seen.add(key);
    }
  };
  const keyed = (list: string, items: readonly { readonly id: string }[]) =>
    items.map(({ id }, i) => ({ key: id, field: formatPath([list, i, 'id']) }));
  const tasks = workOrders.flatMap((order, i) =>
    order.tasks.map((task, j) => ({ ...task, path: ['workOrders', i, 'tasks', j] as const })),
  );
  const targets = tasks.map(({ id, path }) => ({ key: id, field: formatPath([...path, 'id']) }));
  findTwice(keyed('grades', grades), 'id used twice');
  findTwice(keyed('technicians', technicians), 'id used twice');
  findTwice(keyed('workOrders', workOrders), 'id used twice');
  findTwice([...keyed('indirect', indirect), ...targets], 'id used twice among tasks and activities');
  technicians.forEach(({ rates }, i) =>
    findTwice(
      rates.map(({ from }, j) => ({ key: from, field: formatPath(['technicians', i, 'rates', j, 'from']) })),
      'two rates of one date',
    ),
  );
  for (const { grade, path } of tasks)
    if (!gradeIds.has(grade))
      problems.push({ field: formatPath([...path, 'grade']), message: 'no such grade' });
  return problems;
}

function recordEvents(scenario: Scenario, bodies: readonly unknown[]) {
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
