import { Defect } from './result.ts';

/** The item at a place where there is one. Throws `Defect` where there is none. */
export function itemAt<T>(items: readonly T[], place: number): T {
  const item = items[place];
  if (item === undefined) throw new Defect(`no item at ${place} of ${items.length}`);
  return item;
}

/** A value that is known to be there. Throws `Defect` where it is not. */
export function given<T>(value: T | undefined): T {
  if (value === undefined) throw new Defect('a value that is needed is not there');
  return value;
}

/** What a map has under a key that is known to be there. Throws `Defect` where it has nothing. */
export function getFrom<Key, Value>(map: ReadonlyMap<Key, Value>, key: Key): Value {
  const value = map.get(key);
  if (value === undefined) throw new Defect(`nothing under ${String(key)}`);
  return value;
}

/** Items by a key, each in their order. */
export function groupBy<Item, Key>(
  items: Iterable<Item>,
  keyOf: (item: Item) => Key,
): ReadonlyMap<Key, readonly Item[]> {
  const groups = new Map<Key, Item[]>();
  for (const item of items) {
    const key = keyOf(item);
    const own = groups.get(key);
    if (own) own.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}

/** The keys of an object that has just these: of a constant table, never of what somebody sent. */
export const keysOf = <Key extends string>(table: Readonly<Partial<Record<Key, unknown>>>): Key[] =>
  Object.keys(table) as Key[];

/** A table with something under each of its keys. */
export const tableOf = <Key extends string, Value>(
  keys: readonly Key[],
  valueOf: (key: Key) => Value,
): Readonly<Record<Key, Value>> =>
  Object.fromEntries(keys.map((key) => [key, valueOf(key)])) as Record<Key, Value>;

/** What stands under a text that may be one of the keys, or nothing. */
export const findIn = <Value>(map: ReadonlyMap<string, Value>, text: string): Value | undefined =>
  map.get(text);

/** Whether a value that came from outside has fields. */
export const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
