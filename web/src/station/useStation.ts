import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { badgeKey, cardKey } from '@wergon/contract/station';
import { entryId } from '@wergon/contract/wire';
import type { EntryId } from '@wergon/core/ledger';
import { normalizeForeign } from '@wergon/core/scan';
import type { ScannerProfile } from '@wergon/core/scan';
import { DEFAULT_STATION_SETTINGS, IDLE, converse } from '@wergon/core/station';
import type { Effect, Source, StationInput, StationSettings } from '@wergon/core/station';
import { formatInstant, toInstant } from '@wergon/core/time';
import { createKnowledge } from './knowledge.ts';
import { createLink } from './link.ts';
import { createSending } from './syncQueue.ts';
import { playSound } from './sounds.ts';
import { createOwnProof } from './ownProof.ts';
import { pairStation, sendProfile } from './stationApi.ts';
import { createStationClock } from './stationClock.ts';
import type { ServerTime } from './stationClock.ts';
import { stationEntry } from './entryJson.ts';

const TICK_MS = 250;
/** How long it is said that the device's clock was moved. */
const CLOCK_SAID_MS = 10 * 60_000;

const newId = (): EntryId => {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return entryId.parse(Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join(''));
};

/** An input without what the page adds to it. */
type Happens<I = StationInput> = I extends { readonly entryId: unknown }
  ? Omit<I, 'now' | 'entryId'>
  : I extends StationInput
    ? Omit<I, 'now'>
    : never;

/** The station's life on a page: the conversation, with what it knows and its way to the server. */
export function useStation() {
  const state = shallowRef(IDLE);
  const wasClockMoved = ref(false);
  const clock = createStationClock();
  const nowMs = ref(clock.now());
  const ownProof = createOwnProof();
  const sending = createSending({
    onKept: () => void link.drain(),
    onPeer: (sent) => knowledge.happened(stationEntry.parse(sent.entry)),
  });
  const knowledge = createKnowledge(sending);
  const { directory, info } = knowledge;
  watch(info, (now) => ownProof.holdPhone(now?.owner ?? null));
  const settings = computed<StationSettings>(() => info.value?.settings ?? DEFAULT_STATION_SETTINGS);
  const link = createLink({
    sending,
    knowledge,
    setServerTime: (time: ServerTime | null) => {
      if (time) clock.setServerTime(time);
      nowMs.value = clock.now();
    },
  });
  let isDisposed = false;

  function dispatch(happens: Happens): void {
    if (!directory.value) return;
    // Each kind of input is its own fields with a time and, where it can make entries, a fresh id.
    const meta = { now: clock.now(), entryId: newId() };
    const input: StationInput = { ...happens, ...meta };
    const table = {
      directory: directory.value,
      settings: settings.value,
      isOnline: link.connection.value === 'connected',
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
        knowledge.happened(entry);
        const how = identity === null ? { source, via: [...via] } : { source, via: [...via], identity };
        return sending.keep({ entry: stationEntry.encode(entry), action, ...how, ...deviceTime() });
      }
    }
  }

  async function checkPin(technician: Extract<Effect, { type: 'check-pin' }>['technician'], pin: string) {
    const { kind } = await ownProof.checkPin(technician, pin);
    dispatch({
      type: 'pin',
      technician,
      answer: kind === 'proved' ? 'right' : kind === 'nothing' ? 'wrong' : kind,
    });
  }

  /** Keeps what the calibration label taught: here at once, on the server for when the page is opened again. */
  async function calibrate(profile: ScannerProfile): Promise<void> {
    knowledge.teach(profile);
    dispatch({ type: 'calibrated' });
    // A page that is opened again before the server has answered must hear its scanner all the same.
    await knowledge.keep();
    await sendProfile(profile);
  }

  function look(): void {
    const jump = clock.findJump();
    if (jump !== 0) {
      wasClockMoved.value = true;
      const at = formatInstant(toInstant(Math.floor(clock.now() / 1000)));
      const id = newId();
      setTimeout(() => (wasClockMoved.value = false), CLOCK_SAID_MS);
      const entry = { id, type: 'clock-jump', at, seconds: Math.round(jump / 1000) };
      sending.keep({ entry, action: id, source: 'scan', via: [], ...deviceTime() });
    }
    nowMs.value = clock.now();
    dispatch({ type: 'tick' });
  }

  const ticking = setInterval(look, TICK_MS);
  onScopeDispose(() => {
    isDisposed = true;
    clearInterval(ticking);
    link.close();
    sending.close();
  });
  void knowledge.recall().then(
    () => link.refresh(),
    () => link.refresh(),
  );

  return {
    state,
    directory,
    info,
    settings,
    connection: link.connection,
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
    /** Asks for all that is known anew. */
    refresh: () => link.refresh(),
    forgetRefused: sending.forgetRefused,
    ownProof,
    pair: async (code: string) => {
      const answer = await pairStation(code);
      if (answer.kind === 'ok' && !isDisposed) await link.refresh();
      return answer;
    },
  };
}
export type Station = ReturnType<typeof useStation>;
