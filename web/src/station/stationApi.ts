import { ref } from 'vue';
import { z } from 'zod';
import type { ScannerProfile } from '@wergon/core/scan';
import { ownTimeSchema } from '@wergon/contract/attendance';
import {
  batchResultSchema,
  benchSchema,
  directoryChangesSchema,
  directorySchema,
  pairedSchema,
  pairingSchema,
  provedSchema,
  writtenDownSchema,
} from '@wergon/contract/station';
import { attachmentSchema, taskPapersSchema } from '@wergon/contract/work';
import type { SentEntry } from '@wergon/contract/station';
import type { ServerTime } from './stationClock.ts';

/** What came of asking the server: an answer with the time it was there, if it said so; a "no" with its status; or
 *  nothing at all. */
export type Answer<T> =
  | { readonly kind: 'ok'; readonly value: T; readonly time: ServerTime | null }
  | { readonly kind: 'refused'; readonly status: number }
  | { readonly kind: 'unreachable' };

/** Whether the server can write its disk, as it said at its last answer. */
export const isWritable = ref(true);

const PATIENCE_MS = 10_000;

async function ask<T>(path: string, schema: z.ZodType<T>, body?: unknown): Promise<Answer<T>> {
  const askedAt = performance.now();
  try {
    const response = await fetch(path, {
      ...(body === undefined
        ? {}
        : { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    isWritable.value = response.headers.get('wergon-writable') !== '0';
    if (!response.ok) return { kind: 'refused', status: response.status };
    // A server of another version is as good as none: this page goes on by itself until it is opened anew.
    const value = schema.parse(await response.json());
    // By the page's running time: the device's clock may be moved while the answer is on its way.
    const at = (askedAt + performance.now()) / 2;
    const ms = Number(response.headers.get('wergon-now'));
    return { kind: 'ok', value, time: ms > 0 ? { ms, at } : null };
  } catch {
    return { kind: 'unreachable' };
  }
}

const nothing = z.null();
export const fetchDirectory = () => ask('/api/station/directory', directorySchema);
export const fetchDirectoryChanges = (after: number) =>
  ask(`/api/station/directory/changes?after=${after}`, directoryChangesSchema);
export const sendEntries = (entries: readonly SentEntry[]) =>
  ask('/api/station/entries', batchResultSchema, { entries });
export const sendProfile = (profile: ScannerProfile) => ask('/api/station/scanner', nothing, profile);
export const pairStation = (code: string) => ask('/api/station/pair', pairedSchema, { code });
export const askPin = (technician: string, pin: string) =>
  ask('/api/station/pin', provedSchema, { technician, pin });
export const proveBadge = (technician: string, code: string) =>
  ask('/api/station/proof', provedSchema, { technician, code });
export const writeDown = (body: {
  readonly technician: string;
  readonly order: string;
  readonly words: string;
  readonly workCenter: string;
  readonly once: string;
}) => ask('/api/station/tasks', writtenDownSchema, body);
export const fetchPapers = (order: string) => ask(`/api/station/papers/${order}`, taskPapersSchema);
export const fetchPaper = (order: string, paper: string) =>
  ask(`/api/station/papers/${order}/${paper}`, attachmentSchema);
export const offerPhone = (technician: string, proof: string) =>
  ask('/api/station/phone', pairingSchema, { technician, proof });
export const changePin = (technician: string, pin: string, newPin: string) =>
  ask('/api/station/pin/change', nothing, { technician, pin, newPin });
export const fetchOwnTime = (technician: string, proof: string, days: { from?: string; to?: string }) =>
  ask('/api/station/own-time', ownTimeSchema, { technician, proof, ...days });
export const confirmOwnTime = (
  technician: string,
  proof: string,
  days: readonly { readonly day: string; readonly stamp: string }[],
) => ask('/api/station/own-time/confirm', nothing, { technician, proof, days });
export const fetchBench = () => ask('/api/station/bench', benchSchema);
/** Whether the server vouches for itself, so that a device must be told to trust it. */
export const offersRoot = async (): Promise<boolean> => {
  if (location.protocol !== 'https:') return false;
  const answer = await fetch('/wergon-root.crt', { method: 'HEAD' }).catch(() => undefined);
  return answer?.ok ?? false;
};
