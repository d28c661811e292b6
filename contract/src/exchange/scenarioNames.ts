import { formatPath } from '../wire/index.ts';
import type { FieldProblem } from '../wire/index.ts';
import type { ScenarioDocument } from './scenarioSchema.ts';

type Keyed = { readonly key: string; readonly path: readonly (string | number)[] };

/** Of things that are told apart by a key, each that has the key of an earlier one. */
export function findTwice(keys: readonly Keyed[], message: string): readonly FieldProblem[] {
  const seen = new Set<string>();
  return keys.flatMap(({ key, path }) => {
    if (seen.has(key)) return [{ field: formatPath([...path]), message }];
    seen.add(key);
    return [];
  });
}

const ids = (list: string, items: readonly { readonly id: string }[]): readonly Keyed[] =>
  items.map(({ id }, i) => ({ key: id, path: [list, i, 'id'] }));

/** Ids that are used twice, two rates of one day, and grades that there are not. */
export function checkNames({ grades, technicians, indirect, workOrders }: ScenarioDocument): FieldProblem[] {
  const gradeIds = new Set<string>(grades.map(({ id }) => id));
  const tasks = workOrders.flatMap((order, i) =>
    order.tasks.map((task, j) => ({ ...task, path: ['workOrders', i, 'tasks', j] as const })),
  );
  const rates = technicians.flatMap((technician, i) =>
    technician.rates.map((rate, j) => ({ ...rate, path: ['technicians', i, 'rates', j] as const })),
  );
  return [
    ...findTwice(ids('grades', grades), 'id used twice'),
    ...findTwice(ids('technicians', technicians), 'id used twice'),
    ...findTwice(ids('workOrders', workOrders), 'id used twice'),
    ...findTwice(
      [...ids('indirect', indirect), ...tasks.map(({ id, path }) => ({ key: id, path: [...path, 'id'] }))],
      'id used twice among tasks and activities',
    ),
    ...findTwice(
      rates.map(({ from, path }) => ({ key: `${path[1]} ${from}`, path: [...path, 'from'] })),
      'two rates of one date',
    ),
    ...[...tasks, ...rates].flatMap(({ grade, path }) =>
      grade === undefined || gradeIds.has(grade)
        ? []
        : [{ field: formatPath([...path, 'grade']), message: 'no such grade' }],
    ),
  ];
}
