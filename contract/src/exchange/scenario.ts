import type { Entry } from '@wergon/core/ledger';
import { fail, isRecord, ok } from '@wergon/core/result';
import type { Refusal } from '@wergon/core/result';
import { fieldProblemsOf } from '../wire/index.ts';
import type { FieldProblem } from '../wire/index.ts';
import { checkNames } from './scenarioNames.ts';
import { checkPaid } from './scenarioPaid.ts';
import { recordEvents } from './scenarioEvents.ts';
import { scenarioOne, scenarioTwo } from './scenarioSchema.ts';
import type { ScenarioDocument } from './scenarioSchema.ts';

/** A whole shop on paper, as read. Its events are in the order of recording, each once. */
export type Scenario = Omit<ScenarioDocument, 'events'> & { readonly events: readonly Entry[] };

export type ScenarioRefusal = Refusal<'scenario.invalid'> & { readonly problems: readonly FieldProblem[] };

const refuse = (problems: readonly FieldProblem[]): ScenarioRefusal => ({
  ...fail('scenario.invalid'),
  problems: problems.map(({ field, message }) => ({ field: field || '(document)', message })),
});

/** Reads a scenario file's text. Everything that is wrong with it is named; nothing is guessed.
 *  Source: docs/scenario-format.md. */
export function parseScenario(text: string) {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return refuse([{ field: '', message: `not JSON: ${error instanceof Error ? error.message : ''}` }]);
  }
  const document = readDocument(json);
  if (!document.ok) return document;
  const { format: _format, ...said } = document.value;
  const scenario: ScenarioDocument = { ...said, version: isRecord(json) && json['format'] === ONE ? 1 : 2 };
  // The schema has just held, so the document has a list of events.
  const bodies = isRecord(json) && Array.isArray(json['events']) ? json['events'] : [];
  const { events, problems } = recordEvents(scenario, bodies);
  const all = [...checkNames(scenario), ...problems, ...(scenario.version === 2 ? checkPaid(scenario) : [])];
  return all.length > 0 ? refuse(all) : ok({ ...scenario, events });
}

const ONE = 'wergon-scenario/1';

/** What version 1 leaves out is nothing, as in a document of version 2 that leaves it out. */
function readDocument(json: unknown) {
  if (isRecord(json) && json['format'] === ONE) {
    const first = scenarioOne.safeParse(json);
    if (!first.success) return refuse(fieldProblemsOf(first.error));
    return readDocument({ ...json, format: 'wergon-scenario/2' });
  }
  const parsed = scenarioTwo.safeParse(json);
  return parsed.success ? ok(parsed.data) : refuse(fieldProblemsOf(parsed.error));
}
