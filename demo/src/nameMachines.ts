import { formatInstant, toInstant } from '@wergon/core/time';
import { REASONS } from './sampleLists.ts';
import type { SimEntry } from './simulate.ts';

const MINUTE = 60;
const WHY = REASONS['down-reason'];
/** One of so many stretches at a machine is interrupted. */
const ONE_IN = 37;
/** After so long, for so long, and only where nothing else happens for a while. */
const AFTER = 20 * MINUTE;
const LASTS = 25 * MINUTE;
const NEEDED = AFTER + LASTS + 10 * MINUTE;

/** Says at which machine work was done, where its work center has any, and now and then that it stood still, and why. */
export function nameMachines(
  entries: readonly SimEntry[],
  machinesOf: (task: string) => readonly string[],
): SimEntry[] {
  const nextOf = nextByPerson(entries);
  const named = entries.flatMap((each, i): SimEntry[] => {
    const { entry } = each;
    const [task] = entry.type === 'work-start' ? entry.targets : [];
    const machines = task === undefined ? [] : machinesOf(task);
    if (entry.type !== 'work-start' || machines.length === 0) return [each];
    const seed = hashOf(entry.id);
    const machine = machines[hashOf(entry.technician) % machines.length] ?? '';
    const start: SimEntry = { ...each, entry: { ...entry, machine } };
    if (seed % ONE_IN !== 0 || (nextOf[i] ?? Infinity) - each.at < NEEDED) return [start];
    const at = (after: number) => each.at + after;
    const because = WHY[Math.floor(seed / ONE_IN) % WHY.length] ?? '';
    const later = (after: number, mark: string, more: object): SimEntry => ({
      ...each,
      at: at(after),
      entry: {
        ...entry,
        ...more,
        machine,
        id: `${entry.id}-${mark}`,
        at: formatInstant(toInstant(at(after))),
      },
    });
    return [start, later(AFTER, 'd', { workType: 'down', reason: because }), later(AFTER + LASTS, 'u', {})];
  });
  return named.sort((a, b) => a.at - b.at);
}

/** Of each entry when the next one of the same person is made. */
function nextByPerson(entries: readonly SimEntry[]): readonly number[] {
  const next = new Map<string, number>();
  const times = new Array<number>(entries.length);
  for (let i = entries.length - 1; i >= 0; i -= 1) {
    const each = entries[i];
    if (!each || !('technician' in each.entry) || each.entry.technician === undefined) continue;
    times[i] = next.get(each.entry.technician) ?? Infinity;
    next.set(each.entry.technician, each.at);
  }
  return times;
}

const hashOf = (text: string): number =>
  [...text].reduce((hash, letter) => (hash * 31 + letter.charCodeAt(0)) % 1_000_003, 7);
