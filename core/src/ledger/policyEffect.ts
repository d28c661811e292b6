import type { TechnicianId } from '../people/index.ts';
import { sumSeconds, toSeconds } from '../time/index.ts';
import type { Dated, Instant, LocalDay, Seconds } from '../time/index.ts';
import { derivePerson } from './derive.ts';
import type { PersonPast } from './derive.ts';
import type { TargetId } from './entries.ts';
import type { LedgerFacts, Policy } from './facts.ts';
import type { LaborLine } from './lines.ts';
import type { LooseEndKind } from './looseEnd.ts';

/** A figure under the rules as they are, and as they would be. */
export type BeforeAfter<Value> = { readonly before: Value; readonly after: Value };

/** What other rules would do to one person's days. Only what differs is named. */
export type PolicyEffect = {
  readonly technician: TechnicianId;
  readonly charged: BeforeAfter<Seconds>;
  readonly attended: BeforeAfter<Seconds>;
  /** Days on which something is charged otherwise, or as much otherwise attended. */
  readonly days: readonly LocalDay[];
  /** Lines whose time differs, by what they are on; a cost without a rate is nothing. */
  readonly targets: readonly {
    readonly target: TargetId;
    readonly seconds: BeforeAfter<Seconds>;
    readonly cost: BeforeAfter<number>;
  }[];
  readonly looseEnds: readonly { readonly kind: LooseEndKind; readonly count: BeforeAfter<number> }[];
};

/** Holds one person's past as it is against what other rules would make of it, as of an instant. Both begin from where
 *  the person stood, so rules must not differ before that. Source: docs/ledger.md, section 9. */
export function effectOfPolicy(
  past: PersonPast,
  facts: LedgerFacts,
  policy: Dated<Policy>,
  asOf: Instant,
): PolicyEffect {
  const before = derivePerson(past, facts, asOf);
  const after = derivePerson(past, { ...facts, policy }, asOf);
  const attendedOn = both(before.attendance, after.attendance, ({ day }) => day, sumAttended);
  const lineOf = ({ day, target, workType }: LaborLine) => `${day} ${target} ${workType}`;
  const lines = both(before.lines, after.lines, lineOf, (own) => sumSeconds(own));
  const dayOfLine = new Map([...before.lines, ...after.lines].map((line) => [lineOf(line), line.day]));
  const days = new Set<LocalDay>();
  for (const [day, attended] of attendedOn) if (differs(attended)) days.add(day);
  for (const [key, seconds] of lines) {
    const day = dayOfLine.get(key);
    if (day !== undefined && differs(seconds)) days.add(day);
  }
  const target = ({ target: id }: LaborLine) => id;
  const costs = both(before.lines, after.lines, target, sumCost);
  const nothing = { before: 0, after: 0 };
  return {
    technician: past.technician,
    charged: { before: sumSeconds(before.lines), after: sumSeconds(after.lines) },
    attended: { before: sumAttended(before.attendance), after: sumAttended(after.attendance) },
    days: [...days].sort((a, b) => a - b),
    targets: [...both(before.lines, after.lines, target, (own) => sumSeconds(own))]
      .map(([id, seconds]) => ({ target: id, seconds, cost: costs.get(id) ?? nothing }))
      .filter(({ seconds, cost }) => differs(seconds) || differs(cost)),
    looseEnds: [...both(before.looseEnds, after.looseEnds, ({ kind }) => kind, countOf)]
      .map(([kind, count]) => ({ kind, count }))
      .filter(({ count }) => differs(count)),
  };
}

/** What several people's effects come to: by what their targets belong to, and by kind of loose end. */
export type PolicyEffectSums<Group> = {
  readonly groups: readonly {
    readonly group: Group;
    readonly seconds: BeforeAfter<Seconds>;
    readonly cost: BeforeAfter<number>;
  }[];
  readonly looseEnds: PolicyEffect['looseEnds'];
};

/** Adds effects up. What comes to the same in sum is left out, though people of it may differ. */
export function sumPolicyEffects<Group>(
  effects: readonly PolicyEffect[],
  groupOf: (target: TargetId) => Group,
): PolicyEffectSums<Group> {
  const groups = new Map<Group, { seconds: BeforeAfter<Seconds>; cost: BeforeAfter<number> }>();
  for (const { target, seconds, cost } of effects.flatMap(({ targets }) => targets)) {
    const group = groupOf(target);
    const sum = groups.get(group);
    groups.set(group, {
      seconds: sum
        ? {
            before: toSeconds(sum.seconds.before + seconds.before),
            after: toSeconds(sum.seconds.after + seconds.after),
          }
        : seconds,
      cost: sum ? { before: sum.cost.before + cost.before, after: sum.cost.after + cost.after } : cost,
    });
  }
  const ends = new Map<LooseEndKind, BeforeAfter<number>>();
  for (const { kind, count } of effects.flatMap(({ looseEnds }) => looseEnds)) {
    const sum = ends.get(kind) ?? { before: 0, after: 0 };
    ends.set(kind, { before: sum.before + count.before, after: sum.after + count.after });
  }
  return {
    groups: [...groups]
      .map(([group, sum]) => ({ group, ...sum }))
      .filter(({ seconds, cost }) => differs(seconds) || differs(cost)),
    looseEnds: [...ends].map(([kind, count]) => ({ kind, count })).filter(({ count }) => differs(count)),
  };
}

const differs = ({ before, after }: BeforeAfter<number>): boolean => before !== after;
const countOf = (items: readonly unknown[]): number => items.length;
const sumCost = (lines: readonly LaborLine[]): number =>
  lines.reduce((sum, { cost }) => sum + (cost ?? 0), 0);
const sumAttended = (days: readonly { readonly attendedSeconds: Seconds }[]): Seconds =>
  toSeconds(days.reduce((sum, { attendedSeconds }) => sum + attendedSeconds, 0));

/** A figure of each group of two lists. */
function both<Item, Key, Value extends number>(
  before: readonly Item[],
  after: readonly Item[],
  keyOf: (item: Item) => Key,
  valueOf: (items: readonly Item[]) => Value,
): Map<Key, BeforeAfter<Value>> {
  const groups = new Map<Key, { before: Item[]; after: Item[] }>();
  const groupOf = (item: Item) => {
    const key = keyOf(item);
    const own = groups.get(key) ?? { before: [], after: [] };
    groups.set(key, own);
    return own;
  };
  for (const item of before) groupOf(item).before.push(item);
  for (const item of after) groupOf(item).after.push(item);
  return new Map(
    [...groups].map(([key, own]) => [key, { before: valueOf(own.before), after: valueOf(own.after) }]),
  );
}
