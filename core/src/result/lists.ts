import { Defect } from './result.ts';

/** The item at a place where there is one. Throws `Defect` where there is none. */
export function itemAt<T>(items: readonly T[], place: number): T {
  const item = items[place];
  if (item === undefined) throw new Defect(`no item at ${place} of ${items.length}`);
  return item;
}

/** What a map has under a key that is known to be there. Throws `Defect` where it has nothing. */
export function getFrom<Key, Value>(map: ReadonlyMap<Key, Value>, key: Key): Value {
  const value = map.get(key);
  if (value === undefined) throw new Defect(`nothing under ${String(key)}`);
  return value;
}

/** The keys of an object that has just these: of a constant table, never of what somebody sent. */
export const keysOf = <Key extends string>(table: Readonly<Partial<Record<Key, unknown>>>): Key[] =>
  Object.keys(table) as Key[];
