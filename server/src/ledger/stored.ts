import { readDay, readInstant } from './storedTime.ts';
import { canonicalJson, isCorrection } from '@wergon/core/ledger';
import type { Entry, LaborEntry, LaborState, Running } from '@wergon/core/ledger';
import { Defect } from '@wergon/core/result';
import type { FloorEntry } from '@wergon/core/station';
import { formatDay, formatInstant } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Envelope } from './envelope.ts';
import type { FloorAnswer } from './incoming.ts';
import { readOwnJson } from '../db/index.ts';

// All JSON of the ledger is written and read here. Entries are in one form wherever they are kept, that of the wire:
// instants and days are text. What is read was written by this server from values that it had read with their schemas, so
// each of the readers below says what it is, and nothing checks it again.

type Times = { readonly at?: Instant | null; readonly day?: LocalDay | null };
type LeaveText = { readonly leave?: { readonly from: string; readonly to: string } | null };
type TimesText = { readonly at?: string | null; readonly day?: string | null };

/** The instant and the day of something as text, at their places. */
export const writeTimes = <T extends Times>(given: T): Omit<T, 'at' | 'day'> & TimesText =>
  ({
    ...given,
    ...(given.at == null ? {} : { at: formatInstant(given.at) }),
    ...(given.day == null ? {} : { day: formatDay(given.day) }),
  }) as Omit<T, 'at' | 'day'> & TimesText;

/** What was read back is what was written. */
const of = <Written>(read: object) => read as Written;

const readTimes = <T extends TimesText>(json: T) => ({
  ...json,
  ...(json.at == null ? {} : { at: readInstant(json.at) }),
  ...(json.day == null ? {} : { day: readDay(json.day) }),
});

/** An entry of the labor stream as it stands in the journal. */
export function readEntry(body: string): Entry {
  const json = readOwnJson<TimesText & { readonly set?: TimesText }>(body);
  const read = json.set ? { ...readTimes(json), set: readTimes(json.set) } : readTimes(json);
  return of<Entry>(read);
}

/** The same where it can be no correction. */
export function readLaborEntry(body: string): LaborEntry {
  const entry = readEntry(body);
  if (isCorrection(entry)) throw new Defect(`a correction among entries: ${entry.id}`);
  return entry;
}
/** Fields in the order of their names, as in the journal: however an entry came about, it is written alike. */
export const writeLaborEntry = (entry: LaborEntry): string => canonicalJson(writeTimes(entry));

type Floor = FloorEntry | FloorAnswer;
/** An entry of the floor stream, of a type that its row has said. */
export function readFloorEntry<Type extends Floor['type']>(body: string): Extract<Floor, { type: Type }> {
  const json = readTimes(readOwnJson<TimesText & LeaveText & { readonly ended?: string }>(body));
  const { ended, leave } = json;
  return of<Extract<Floor, { type: Type }>>({
    ...json,
    ...(ended === undefined ? {} : { ended: readInstant(ended) }),
    ...(leave == null ? {} : { leave: { ...leave, from: readDay(leave.from), to: readDay(leave.to) } }),
  });
}

/** An entry's fields as they were recorded, to be shown and looked up by. */
export type RecordedFields = Readonly<Record<string, unknown>>;
export const readFields = (body: string): RecordedFields => readOwnJson<RecordedFields>(body);

export const readEnvelope = (text: string): Envelope => readOwnJson<Envelope>(text);

export const readState = (text: string): LaborState => readOwnJson<LaborState>(text);
export const writeState = (state: LaborState): string => JSON.stringify(state);

export const readRunning = (text: string): readonly Running[] => readOwnJson<readonly Running[]>(text);
export const writeRunning = (running: readonly Running[]): string => JSON.stringify(running);
