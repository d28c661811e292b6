import type { EntryId } from '@wergon/core/ledger';
import { isRecord } from '@wergon/core/result';
import { entrySchema } from '@wergon/contract/ledger';
import { entryId, fieldProblemsOf, findIllFormed, formatPath } from '@wergon/contract/wire';
import { floorEntrySchema, sentEntrySchema } from '@wergon/contract/station';
import { FLOOR_ENTRY_TYPES } from '@wergon/core/station';
import type { Incoming } from './incoming.ts';

/** Reads each line of a batch on its own, so that one that cannot be read holds up no other. */
export const readBatch = (lines: readonly unknown[]): Incoming[] => lines.map(readLine);

function readLine(line: unknown): Incoming {
  const body = isRecord(line) ? line['entry'] : line;
  const id = entryId
    .nullable()
    .catch(null)
    .parse(isRecord(body) ? body['id'] : null);
  const illFormed = findIllFormed(line);
  if (illFormed) return unreadable(null, line, illFormed);
  const sent = sentEntrySchema.safeParse(line);
  if (!sent.success) return { kind: 'unreadable', id, body: line, errors: fieldProblemsOf(sent.error) };
  const isFloor = isRecord(body) && FLOOR_ENTRY_TYPES.some((type) => type === body['type']);
  const around = sent.data;
  if (isFloor) {
    const entry = floorEntrySchema.safeParse(body);
    if (entry.success) return { kind: 'floor', id: entry.data.id, body, entry: entry.data, sent: around };
    return { kind: 'unreadable', id, body: line, errors: under('entry', fieldProblemsOf(entry.error)) };
  }
  const entry = entrySchema.safeParse(body);
  if (entry.success) return { kind: 'labor', id: entry.data.id, body, entry: entry.data, sent: around };
  return { kind: 'unreadable', id, body: line, errors: under('entry', fieldProblemsOf(entry.error)) };
}

const unreadable = (id: EntryId | null, body: unknown, path: readonly PropertyKey[]): Incoming => ({
  kind: 'unreadable',
  id,
  body,
  errors: [{ field: formatPath(path), message: 'holds text that cannot be kept (NUL or half a character)' }],
});

const under = (parent: string, errors: ReturnType<typeof fieldProblemsOf>) =>
  errors.map(({ field, message }) => ({ field: field ? `${parent}.${field}` : parent, message }));
