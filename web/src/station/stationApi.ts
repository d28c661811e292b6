import { ref } from 'vue';
import type { ScannerProfile } from '@wergon/core/scan';
import type { BatchResult, DirectoryJson, OwnTimeJson, SentEntry } from '@wergon/contract/station';
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

async function ask<T extends { readonly now?: number } | null>(
  path: string,
  body?: unknown,
): Promise<Answer<T>> {
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
    // Our own server, of this same build, wrote it.
    const value = (await response.json()) as T;
    // By the page's running time: the device's clock may be moved while the answer is on its way.
    const at = (askedAt + performance.now()) / 2;
    return { kind: 'ok', value, time: value?.now === undefined ? null : { ms: value.now, at } };
  } catch {
    return { kind: 'unreachable' };
  }
}

export const fetchDirectory = () => ask<DirectoryJson>('/api/station/directory');
export const sendEntries = (entries: readonly SentEntry[]) =>
  ask<BatchResult>('/api/station/entries', { entries });
export const sendProfile = (profile: ScannerProfile) => ask<null>('/api/station/scanner', profile);
export const pairStation = (code: string) =>
  ask<{ readonly id: string; readonly name: string; readonly now?: number }>('/api/station/pair', { code });
type Proved = { readonly proof: string; readonly now?: number };
export const askPin = (technician: string, pin: string) =>
  ask<Proved>('/api/station/pin', { technician, pin });
export const proveBadge = (technician: string, code: string) =>
  ask<Proved>('/api/station/proof', { technician, code });
export const changePin = (technician: string, pin: string, newPin: string) =>
  ask<null>('/api/station/pin/change', { technician, pin, newPin });
export const fetchOwnTime = (technician: string, proof: string) =>
  ask<OwnTimeJson & { readonly now?: number }>('/api/station/own-time', { technician, proof });
export const confirmOwnTime = (
  technician: string,
  proof: string,
  days: readonly { readonly day: string; readonly stamp: string }[],
) => ask<null>('/api/station/own-time/confirm', { technician, proof, days });
export const fetchBench = () =>
  ask<{
    readonly badges: readonly { readonly code: string; readonly name: string }[];
    readonly now?: number;
  }>('/api/station/bench');
/** Whether the server vouches for itself, so that a device must be told to trust it. */
export const offersRoot = async (): Promise<boolean> => {
  if (location.protocol !== 'https:') return false;
  const answer = await fetch('/wergon-root.crt', { method: 'HEAD' }).catch(() => undefined);
  return answer?.ok ?? false;
};
