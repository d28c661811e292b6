import { correctedEntry } from '@wergon/core/ledger';
import type { Correction, Entry, EntryId, TargetId } from '@wergon/core/ledger';
import { PAY_CLASSES, findTierOutOfOrder } from '@wergon/core/pay';
import { TIERS_OUT_OF_ORDER } from '../pay/index.ts';
import { formatPath } from '../wire/index.ts';
import type { FieldProblem } from '../wire/index.ts';
import type { ScenarioDocument } from './scenarioSchema.ts';
import { findTwice } from './scenarioNames.ts';

/** What is wrong with how work is paid and charged: things said twice, tiers out of order, and names that there are not. */
export const checkPaid = (scenario: ScenarioDocument): readonly FieldProblem[] => [
  ...findSaidTwice(scenario),
  ...scenario.payRules.flatMap((rule, i) => [
    ...checkTiers(rule.day, ['payRules', i, 'day']),
    ...checkTiers(rule.week, ['payRules', i, 'week']),
  ]),
  ...findUnknown(scenario),
  ...scenario.events.flatMap((event, i) => checkPayClass(event, ['events', i])),
  ...findUnknownRates(scenario),
];

type Path = readonly (string | number)[];
const problemAt = (path: Path, message: string): FieldProblem[] => [
  { field: formatPath([...path]), message },
];

function findSaidTwice({
  payRules,
  technicians,
  closedDays,
  splits,
  billable,
  workOrders,
}: ScenarioDocument) {
  const keyed = (list: string, field: string, keys: readonly string[]) =>
    keys.map((key, i) => ({ key, path: [list, i, field] }));
  return [
    ...findTwice(
      keyed(
        'payRules',
        'from',
        payRules.map(({ group, from }) => `${from} ${group ?? ''}`),
      ),
      'two rules of one group and date',
    ),
    ...findTwice(
      technicians.flatMap(({ guarantee }, i) =>
        guarantee.map(({ from }, j) => ({
          key: `${i} ${from}`,
          path: ['technicians', i, 'guarantee', j, 'from'],
        })),
      ),
      'two guarantees of one date',
    ),
    ...findTwice(
      keyed(
        'closedDays',
        'day',
        closedDays.map(({ day }) => `${day}`),
      ),
      'one day twice',
    ),
    ...findTwice(
      keyed(
        'splits',
        'day',
        splits.map(({ technician, day }) => `${day} ${technician}`),
      ),
      'two splits of one technician and day',
    ),
    ...findTwice(
      billable.map(({ technician, target, workType, day, chargeRate = '' }, i) => ({
        key: [technician, target, workType, day, chargeRate].join('\n'),
        path: ['billable', i],
      })),
      'one row twice',
    ),
    ...findTwice(
      workOrders.flatMap(({ rates }, i) =>
        rates.map(({ id }, j) => ({ key: `${i} ${id}`, path: ['workOrders', i, 'rates', j, 'id'] })),
      ),
      'id used twice among the rates of an order',
    ),
  ];
}

function checkTiers(tiers: Parameters<typeof findTierOutOfOrder>[0], path: Path) {
  const wrong = findTierOutOfOrder(tiers);
  return wrong === undefined ? [] : problemAt([...path, wrong], TIERS_OUT_OF_ORDER);
}

/** The ids of the rates of the order that a target belongs to; an activity has none. */
const ratesByTarget = ({ workOrders }: ScenarioDocument): ReadonlyMap<TargetId, ReadonlySet<string>> =>
  new Map(
    workOrders.flatMap(({ rates, tasks }) => {
      const own = new Set(rates.map(({ id }) => id));
      return tasks.map(({ id }) => [id, own] as const);
    }),
  );

function findUnknown(scenario: ScenarioDocument): readonly FieldProblem[] {
  const { technicians, indirect, splits, billable } = scenario;
  const people = new Set(technicians.map(({ id }) => id));
  const rates = ratesByTarget(scenario);
  const activities = new Set(indirect.map(({ id }) => id));
  return [
    ...splits.flatMap(({ technician }, i) =>
      people.has(technician) ? [] : problemAt(['splits', i, 'technician'], 'no such technician'),
    ),
    ...billable.flatMap(({ technician, target, chargeRate }, i) => [
      ...(people.has(technician) ? [] : problemAt(['billable', i, 'technician'], 'no such technician')),
      ...(rates.has(target) || activities.has(target)
        ? []
        : problemAt(['billable', i, 'target'], 'no such task or activity')),
      ...(chargeRate === undefined || rates.get(target)?.has(chargeRate)
        ? []
        : problemAt(['billable', i, 'chargeRate'], 'no such rate of its order')),
    ]),
  ];
}

function checkPayClass(event: Entry, path: Path): readonly FieldProblem[] {
  if (event.type === 'amend') return isPayClass(event.set.payClass) ? [] : wrongClass([...path, 'set']);
  const said = event.type === 'work-start' || event.type === 'hours' ? event.payClass : undefined;
  return isPayClass(said) ? [] : wrongClass(path);
}
const isPayClass = (said: string | null | undefined): boolean =>
  said === null || said === undefined || PAY_CLASSES.some((each) => each === said);
const wrongClass = (path: Path) =>
  problemAt([...path, 'payClass'], `expected one of ${PAY_CLASSES.join(', ')}`);

/** Entries that name a rate which the order of none of their targets has, as they are finally corrected, void or not. */
function findUnknownRates(scenario: ScenarioDocument): readonly FieldProblem[] {
  const rates = ratesByTarget(scenario);
  const amendments = new Map<EntryId, Correction[]>();
  for (const event of scenario.events)
    if (event.type === 'amend')
      amendments.set(event.target, [...(amendments.get(event.target) ?? []), event]);
  return scenario.events.flatMap((event, i) => {
    if (event.type !== 'work-start' && event.type !== 'hours') return [];
    const { chargeRate, targets = [] } = correctedEntry(event, amendments.get(event.id) ?? []) ?? event;
    return chargeRate === undefined || targets.some((target) => rates.get(target)?.has(chargeRate))
      ? []
      : problemAt(['events', i, 'chargeRate'], 'no such rate of the order of any of its targets');
  });
}
