import { deriveLedger, entriesAsOf } from '@wergon/core/ledger';
import type { Entry } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import { factsOf } from './replayFacts.ts';
import { payOf } from './replayPay.ts';
import { parseScenario } from './scenario.ts';
import type { Scenario } from './scenario.ts';
import { writeCauses, writeMachines } from './writeCauses.ts';
import { writeCharges } from './writeCharges.ts';
import { writeComparisons } from './writeComparisons.ts';
import { inOrderOfLines, writeLedger, writeLine } from './writeLedger.ts';
import { writePaidLine, writePay } from './writePay.ts';

/** Reads a scenario and gives the result document, of the version in which it was written.
 *  Source: docs/scenario-format.md. */
export function replayScenario(text: string) {
  const parsed = parseScenario(text);
  if (!parsed.ok) return parsed;
  return ok(parsed.value.version === 1 ? replayOne(parsed.value) : replayTwo(parsed.value));
}

function replayOne(scenario: Scenario) {
  const ledger = deriveLedger(scenario.events.map(withoutRidesAlong), factsOf(scenario), scenario.asOf);
  return {
    format: 'wergon-result/1',
    ...writeLedger(ledger),
    lines: inOrderOfLines(ledger.lines).map(writeLine),
    ...writeComparisons(scenario, ledger.lines, ledger.finished),
  };
}

/** Version 2 also tells how work is paid, why it costs other than estimated, and what is charged. */
function replayTwo(scenario: Scenario) {
  const facts = factsOf(scenario);
  const entries = entriesAsOf(scenario.events, facts, scenario.asOf);
  const ledger = deriveLedger(scenario.events, facts, scenario.asOf);
  const people = payOf(scenario, ledger, entries, facts);
  const lines = people.flatMap((person) => person.lines);
  return {
    format: 'wergon-result/2',
    ...writeLedger(ledger),
    lines: inOrderOfLines(lines).map(writePaidLine),
    ...writeComparisons(scenario, lines, ledger.finished),
    ...writePay(people),
    causes: writeCauses(scenario, lines, ledger.finished, entries),
    machines: writeMachines(ledger.stints),
    ...writeCharges(scenario, ledger.stints, entries, facts),
  };
}

/** Documents of version 1 may say at which machine somebody worked, by which rate it is charged and how it is paid; their
 *  result does not know of it. */
function withoutRidesAlong(entry: Entry): Entry {
  if (entry.type === 'amend') return { ...entry, set: without(entry.set) };
  // Each by itself: what is left of one type is an entry of that type.
  if (entry.type === 'work-start') return without(entry);
  return entry.type === 'hours' ? without(entry) : entry;
}
const without = <T extends RidesAlongAmended>({
  machine: _machine,
  chargeRate: _chargeRate,
  payClass: _payClass,
  ...rest
}: T) => rest;
type RidesAlongAmended = {
  readonly machine?: string | null;
  readonly chargeRate?: string | null;
  readonly payClass?: string | null;
};
