import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import { readDirectory } from '@wergon/contract/station';
import type { DirectoryJson } from '@wergon/contract/station';
import { formatInstant, formatDay, parseInstant, toInstant } from '@wergon/core/time';
import { isCorrection } from '@wergon/core/ledger';
import type { Entry, EntryId } from '@wergon/core/ledger';
import { IDLE, converse, recordLocally } from '@wergon/core/station';
import type { Effect, Source, StationDirectory, StationInput } from '@wergon/core/station';
import type { Action, ScannerProfile } from '@wergon/core/scan';
import type { Outbox } from './outbox.ts';
import { openOutbox } from './outbox.ts';
import { playSound } from './sounds.ts';
import { fetchDirectory, pairStation, sendProfile } from './stationApi.ts';

export type Connection = 'starting' | 'connected' | 'offline' | 'unpaired';

const TICK_MS = 250;
const RETRY_MS = 3_000;
const REFRESH_AFTER_MS = 150;
const OFFSET_KEY = 'wergon-clock-offset';

/** An entry as its own JSON: instants as text, days as dates. */
const writeEntry = (entry: Entry): unknown =>
  JSON.parse(
    JSON.stringify(entry, (key, value: unknown) => {
      if (key === 'at' && typeof value === 'number') return formatInstant(toInstant(value));
      if (key === 'day' && typeof value === 'number') return formatDay(value as never);
      return value;
    }),
  );

const newId = (): EntryId => {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('') as EntryId;
};

/** The station's life on a page: the conversation, what it knows, and what waits to be sent. */
export function useStation() {
  const state = shallowRef(IDLE);
  const directory = shallowRef<StationDirectory | null>(null);
  const info = shallowRef<Pick<DirectoryJson, 'station' | 'codes' | 'isDemo' | 'scanner'> | null>(null);
  const connection = ref<Connection>('starting');
  const waiting = ref(0);
  const refused = ref(0);
  const storageFailed = ref(false);
  const nowMs = ref(0);
  let offsetMs = Number(localStorage.getItem(OFFSET_KEY) ?? 0);
  let outbox: Outbox | undefined;
  let events: EventSource | undefined;
  let refreshTimer: ReturnType<typeof setTimeout> | undefined;
  let isDisposed = false;

  const clock = () => Date.now() + offsetMs;
  nowMs.value = clock();
  const setOffset = (measured: number) => {
    offsetMs = measured;
    localStorage.setItem(OFFSET_KEY, String(measured));
    nowMs.value = clock();
  };

  function dispatch(input: StationInput): void {
    if (!directory.value) return;
    const step = converse(state.value, input, directory.value);
    state.value = step.state;
    for (const effect of step.effects) perform(effect);
  }

  function perform(effect: Effect): void {
    switch (effect.type) {
      case 'sound':
        return playSound(effect.sound);
      case 'append':
        if (directory.value) directory.value = recordLocally(directory.value, effect.entry);
        return void keep(writeEntry(effect.entry), effect.entry.id, effect.source, effect.via);
      case 'report': {
        const id = newId();
        const at = formatInstant(toInstant(Math.floor(clock() / 1000)));
        return void keep(
          { id, type: 'unread-scan', at, text: effect.text, reason: effect.code },
          id,
          'scan',
          [],
        );
      }
    }
  }

  async function keep(entry: unknown, action: string, source: Source, via: readonly string[]): Promise<void> {
    const deviceAt = formatInstant(toInstant(Math.floor(Date.now() / 1000)));
    const clockOffset = Math.round(offsetMs / 1000);
    try {
      outbox ??= await openOutbox();
      await outbox.put({ entry, action, source, via: [...via], deviceAt, clockOffset });
      waiting.value += 1;
    } catch {
      storageFailed.value = true;
      return;
    }
    await drain();
  }

  async function drain(): Promise<boolean> {
    outbox ??= await openOutbox();
    const result = await outbox.drain();
    waiting.value = (await outbox.all()).length;
    if (result.kind === 'drained') {
      if (result.offsetMs !== null) setOffset(result.offsetMs);
      refused.value += result.refused;
      if (connection.value === 'offline') connection.value = 'connected';
      return true;
    }
    connection.value = result.kind === 'unpaired' ? 'unpaired' : 'offline';
    return false;
  }

  /** Keeps what the calibration label taught: here at once, on the server for when the page is opened again. */
  async function calibrate(profile: ScannerProfile): Promise<void> {
    if (info.value) info.value = { ...info.value, scanner: profile };
    dispatch({ type: 'calibrated', now: clock() });
    await sendProfile(profile);
  }

  async function refresh(): Promise<void> {
    if (!(await drain())) return;
    const answer = await fetchDirectory();
    if (answer.kind === 'refused' && answer.status === 401) connection.value = 'unpaired';
    else if (answer.kind !== 'ok') connection.value = 'offline';
    else {
      setOffset(answer.offsetMs);
      const { station, codes, isDemo, scanner } = answer.value;
      info.value = { station, codes, isDemo, scanner };
      directory.value = await withPending(readDirectory(answer.value));
      connection.value = 'connected';
      listen();
    }
  }

  /** Scans made since the directory was asked for are not in it yet; they are laid on top of it. */
  async function withPending(fresh: StationDirectory): Promise<StationDirectory> {
    const pending = (await outbox?.all()) ?? [];
    const merged = pending.reduce((known, { entry }) => {
      const read = entry as Entry & { readonly at?: unknown };
      const at = typeof read.at === 'string' ? parseInstant(read.at) : undefined;
      if (isCorrection(read) || !at?.ok) return known;
      return recordLocally(known, { ...read, at: at.value } as Entry);
    }, fresh);
    return { ...merged, remembered: [...merged.remembered, ...(directory.value?.remembered ?? [])] };
  }

  function listen(): void {
    if (events && events.readyState !== EventSource.CLOSED) return;
    events = new EventSource('/api/station/stream');
    const soon = () => {
      clearTimeout(refreshTimer);
      refreshTimer = setTimeout(() => void refresh(), REFRESH_AFTER_MS);
    };
    for (const kind of ['journal', 'setup']) events.addEventListener(kind, soon);
    events.addEventListener('error', () => {
      if (connection.value === 'connected') connection.value = 'offline';
    });
  }

  const ticking = setInterval(() => {
    nowMs.value = clock();
    dispatch({ type: 'tick', now: nowMs.value });
  }, TICK_MS);
  const retrying = setInterval(() => {
    if (connection.value === 'offline' || connection.value === 'starting') void refresh();
  }, RETRY_MS);
  onScopeDispose(() => {
    isDisposed = true;
    clearInterval(ticking);
    clearInterval(retrying);
    clearTimeout(refreshTimer);
    events?.close();
  });
  void refresh();

  return {
    state,
    directory,
    info,
    connection,
    waiting,
    refused,
    storageFailed,
    nowMs,
    now: computed(() => toInstant(Math.floor(nowMs.value / 1000))),
    scan: (text: string, source: Source = 'scan') =>
      dispatch({ type: 'scan', text, source, now: clock(), entryId: newId() }),
    calibrate: (profile: ScannerProfile) => void calibrate(profile),
    touch: (action: Action) => dispatch({ type: 'touch', action, now: clock(), entryId: newId() }),
    pair: async (code: string) => {
      const answer = await pairStation(code);
      if (answer.kind === 'ok' && !isDisposed) await refresh();
      return answer;
    },
  };
}
export type Station = ReturnType<typeof useStation>;
