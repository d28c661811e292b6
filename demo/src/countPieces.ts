import type { SimEntry } from './simulate.ts';

/** Reports of pieces for orders of more than one: whoever finishes a task, the first one of a crew, says how many are good, and
 *  now and then that one was lost. */
export function countPieces(entries: readonly SimEntry[], quantityOf: (task: string) => number): SimEntry[] {
  const counted = new Set<string>();
  return entries.flatMap((each) => {
    const { entry } = each;
    const [task] = entry.type === 'task-done' ? entry.targets : [];
    const quantity = task === undefined ? 1 : quantityOf(task);
    if (entry.type !== 'task-done' || entry.technician === undefined || quantity <= 1) return [each];
    if (task === undefined || counted.has(task)) return [each];
    counted.add(task);
    const scrap = entry.id.charCodeAt(entry.id.length - 1) % 9 === 0 ? 1 : 0;
    const { technician, targets, at } = entry;
    const count = {
      id: `${entry.id}-c`,
      type: 'count',
      at,
      technician,
      targets,
      good: quantity - scrap,
      scrap,
    } as const;
    return [{ ...each, entry: count as SimEntry['entry'] }, each];
  });
}
