import { useThrottleFn } from '@vueuse/core';
import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import { badgeKey, cardKey, mergeDirectory, readDirectory } from '@wergon/contract/station';
import type { Directory, SentEntry } from '@wergon/contract/station';
import type { Entry } from '@wergon/core/ledger';
import { normalizeForeign } from '@wergon/core/scan';
import type { ScannerProfile } from '@wergon/core/scan';
import { DEFAULT_STATION_SETTINGS, IDLE, converse, recordLocally } from '@wergon/core/station';
import type {
  Effect,
  FloorEntry,
  Source,
  StationDirectory,
  StationInput,
  StationSettings,
} from '@wergon/core/station';
import { formatInstant, toInstant } from '@wergon/core/time';
import { inOrder } from './inOrder.ts';
import { createSending } from './syncQueue.ts';
import { playSound } from './sounds.ts';
import { createOwnProof } from './ownProof.ts';
import { fetchDirectory, fetchDirectoryChanges, pairStation, sendProfile } from './stationApi.ts';
import { createStationClock } from './stationClock.ts';
import type { ServerTime } from './stationClock.ts';
import { stationEntry } from './entryJson.ts';

export type Connection = 'starting' | 'connected' | 'offline' | 'unpaired';

const TICK_MS = 250;
const RETRY_MS = 3_000;
const REFRESH_AFTER_MS = 150;
const KEEP_MS = 5_000;
/** How long it is said that the device's clock was moved. */
const CLOCK_SAID_MS = 10 * 60_000;
/** A page that is never touched asks again for what it knows: yesterday's directory is of little use. */
const STALE_MS = 10 * 60_000;

const newId = (): string => {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
};

/** An input without what the page adds to it. */
type Happens<I = StationInput> = I extends { readonly entryId: unknown }
  ? Omit<I, 'now' | 'entryId'>
  : I extends StationInput
    ? Omit<I, 'now'>
    : never;

/** The station's life on a page: the conversation, what it knows, and what waits to be sent. */
export function useStation() {
  const state = shallowRef(IDLE);
  const directory = shallowRef<StationDirectory | null>(null);
  const info = shallowRef<Directory | null>(null);
  const connection = ref<Connection>('starting');
  const wasClockMoved = ref(false);
  const clock = createStationClock();
  const nowMs = ref(clock.now());
  const settings = computed<StationSettings>(() => info.value?.settings ?? DEFAULT_STATION_SETTINGS);
  const ownProof = createOwnProof();
  const sending = createSending({
    onKept: () => void drain(),
    onPeer: (sent) => happened(stationEntry.parse(sent.entry)),
  });
  let events: EventSource | undefined;
  let refreshedAt = 0;
  let isDisposed = false;

  const setServerTime = (time: ServerTime | null) => {
    if (time) clock.setServerTime(time);
    nowMs.value = clock.now();
  };

  function dispatch(happens: Happens): void {
    if (!directory.value) return;
    // Each kind of input is its own fields with a time and, where it can make entries, a fresh id.
    const input = { ...happens, now: clock.now(), entryId: newId() } as unknown as StationInput;
    const table = {
      directory: directory.value,
      settings: settings.value,
      isOnline: connection.value === 'connected',
    };
    const step = converse(state.value, input, table);
    state.value = step.state;
    for (const effect of step.effects) perform(effect);
  }

  /** What the device's own clock says, and how many seconds are added to it. */
  const deviceTime = () => ({
    deviceAt: formatInstant(toInstant(Math.floor(Date.now() / 1000))),
    clockOffset: Math.round(clock.offsetMs() / 1000),
  });

  function perform(effect: Effect): void {
    switch (effect.type) {
      case 'sound':
        return settings.value.isMuted ? undefined : playSound(effect.sound);
      case 'check-pin':
        return void checkPin(effect.technician, effect.pin);
      case 'append': {
        const { entry, action, source, via, identity } = effect;
        happened(entry);
        const how = identity === null ? { source, via: [...via] } : { source, via: [...via], identity };
        return sending.keep({ entry: stationEntry.encode(entry), action, ...how, ...deviceTime() });
      }
    }
  }

  /** What happens here while directories are being made ready, for each of them; it is laid on top of it. */
  const meanwhile = new Set<(Entry | FloorEntry)[]>();
  function happened(entry: Entry | FloorEntry): void {
    for (const list of meanwhile) list.push(entry);
    if (directory.value) directory.value = recordLocally(directory.value, entry);
  }

  async function checkPin(technician: Extract<Effect, { type: 'check-pin' }>['technician'], pin: string) {
    const { kind } = await ownProof.checkPin(technician, pin);
    dispatch({
      type: 'pin',
      technician,
      answer: kind === 'proved' ? 'right' : kind === 'nothing' ? 'wrong' : kind,
    });
  }

  /** Sends what waits, and takes in how that went. */
  async function drain(): Promise<boolean> {
    const result = await sending.drain();
    if (result.kind === 'drained') {
      setServerTime(result.time);
      if (connection.value === 'offline' && result.time) connection.value = 'connected';
      return true;
    }
    if (result.kind === 'unpaired') await forget();
    else connection.value = 'offline';
    return false;
  }

  /** What the calibration label taught here: it holds against answers that were on their way meanwhile. */
  let taught: ScannerProfile | null = null;
  /** Keeps what the calibration label taught: here at once, on the server for when the page is opened again. */
  async function calibrate(profile: ScannerProfile): Promise<void> {
    taught = profile;
    if (info.value) info.value = { ...info.value, scanner: profile };
    dispatch({ type: 'calibrated' });
    // A page that is opened again before the server has answered must hear its scanner all the same.
    await sending.keepDirectory(info.value);
    await sendProfile(profile);
  }

  /** One after the other: what was asked for first is taken in first. */
  let refreshing = Promise.resolve();
  const refresh = (wantsWhole = true): Promise<void> => {
    refreshing = refreshing.then(() => refreshNow(wantsWhole)).catch(() => undefined);
    return refreshing;
  };
  async function refreshNow(wantsWhole: boolean): Promise<void> {
    if (!(await drain())) return;
    if (!wantsWhole && info.value && (await takeChanges(info.value))) return;
    const answer = await fetchDirectory();
    if (answer.kind === 'refused' && answer.status === 401) await forget();
    else if (answer.kind !== 'ok') connection.value = 'offline';
    else {
      setServerTime(answer.time);
      refreshedAt = performance.now();
      await know(answer.value);
      connection.value = 'connected';
      await sending.keepDirectory(info.value);
      listen();
    }
  }
  /** Asks for what has changed since; `false` where only the whole says it. */
  async function takeChanges(known: Directory): Promise<boolean> {
    const answer = await fetchDirectoryChanges(known.seq);
    if (answer.kind !== 'ok' || answer.value === null) return false;
    setServerTime(answer.time);
    await know(mergeDirectory(known, answer.value));
    connection.value = 'connected';
    void keepSoon();
    return true;
  }
  /** Kept seldom: what the kept one does not show yet is kept beside it. */
  const keepSoon = useThrottleFn(() => sending.keepDirectory(info.value), KEEP_MS, true, false);

  /** This device is a station no longer: what it knew of people and work is none of its business. What still waits to
   *  be sent is kept until it is paired again. */
  async function forget(): Promise<void> {
    connection.value = 'unpaired';
    directory.value = null;
    info.value = null;
    taught = null;
    await sending.keepDirectory(null);
  }

  /** Takes a directory in, with what was done here since it was made laid on top of it. */
  const know = inOrder(
    () => info.value?.seq ?? 0,
    async ({ seq }: Directory) => {
      const since: (Entry | FloorEntry)[] = [];
      meanwhile.add(since);
      try {
        return { pending: (await sending.pending(seq)).map(({ entry }) => stationEntry.parse(entry)), since };
      } finally {
        meanwhile.delete(since);
      }
    },
    (json, { pending, since }) => {
      const known = new Set(pending.map(({ id }) => id));
      const before = directory.value;
      const fresh = readDirectory(json);
      const merged = [...pending, ...since.filter(({ id }) => !known.has(id))].reduce(recordLocally, {
        ...fresh,
        proposed: new Set([...fresh.proposed, ...(before?.proposed ?? [])]),
      });
      info.value = taught ? { ...json, scanner: taught } : json;
      directory.value = {
        ...merged,
        remembered: [...merged.remembered, ...(before?.remembered ?? [])],
      };
    },
  );

  /** What this device knew when it was last connected: enough to go on without the server. */
  async function recall(): Promise<void> {
    const kept = await sending.recall();
    if (kept && !directory.value) await know(kept);
  }

  let wantsWhole = false;
  /** The first change is asked for at once, those that come right behind it together. */
  const refreshSoon = useThrottleFn(
    () => {
      const whole = wantsWhole;
      wantsWhole = false;
      return refresh(whole);
    },
    REFRESH_AFTER_MS,
    true,
  );
  function listen(): void {
    if (events && events.readyState !== EventSource.CLOSED) return;
    events = new EventSource('/api/station/stream');
    events.addEventListener('journal', () => void refreshSoon());
    for (const kind of ['missed', 'setup'])
      events.addEventListener(kind, () => {
        wantsWhole = true;
        void refreshSoon();
      });
    events.addEventListener('error', () => {
      if (connection.value === 'connected') connection.value = 'offline';
    });
  }

  function look(): void {
    const jump = clock.findJump();
    if (jump !== 0) {
      wasClockMoved.value = true;
      const at = formatInstant(toInstant(Math.floor(clock.now() / 1000)));
      const id = newId();
      setTimeout(() => (wasClockMoved.value = false), CLOCK_SAID_MS);
      const entry = { id, type: 'clock-jump', at, seconds: Math.round(jump / 1000) };
      sending.keep({ entry, action: id as SentEntry['action'], source: 'scan', via: [], ...deviceTime() });
    }
    nowMs.value = clock.now();
    dispatch({ type: 'tick' });
  }

  const ticking = setInterval(look, TICK_MS);
  const retrying = setInterval(() => {
    const isStale = performance.now() - refreshedAt > STALE_MS;
    if (connection.value !== 'connected' || isStale) void refresh();
  }, RETRY_MS);
  onScopeDispose(() => {
    isDisposed = true;
    clearInterval(ticking);
    clearInterval(retrying);
    events?.close();
    sending.close();
  });
  void recall().then(
    () => refresh(),
    () => refresh(),
  );

  return {
    state,
    directory,
    info,
    settings,
    connection,
    waiting: sending.waiting,
    refused: sending.refused,
    isUnsaved: sending.isUnsaved,
    wasClockMoved,
    nowMs,
    now: computed(() => toInstant(Math.floor(nowMs.value / 1000))),
    dispatch,
    /** A code that was read or typed. A badge is looked for under its keyed form. */
    scan: (text: string, source: Source = 'scan') => {
      const keys = [badgeKey(text), cardKey(info.value?.cardKey ?? '', normalizeForeign(text))];
      dispatch({ type: 'scan', text, source, keys });
      const badge = keys.map((key) => directory.value?.codes.get(key)).find((each) => each?.kind === 'badge');
      if (badge?.kind === 'badge') ownProof.showBadge(badge.technician, text);
    },
    calibrate: (profile: ScannerProfile) => void calibrate(profile),
    forgetRefused: sending.forgetRefused,
    ownProof,
    pair: async (code: string) => {
      const answer = await pairStation(code);
      if (answer.kind === 'ok' && !isDisposed) await refresh();
      return answer;
    },
  };
}
export type Station = ReturnType<typeof useStation>;
