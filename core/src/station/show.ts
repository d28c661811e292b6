import type { EntryId } from '../ledger/index.ts';
import { toInstant } from '../time/index.ts';
import { isFloorEntry } from './floorEntry.ts';
import { IDLE } from './conversation.ts';
import type {
  Conversation,
  Effect,
  Identity,
  InputMeta,
  Person,
  Said,
  Sound,
  StationRefusal,
  StationState,
  StationStep,
  StationContext,
  WorkIntent,
} from './conversation.ts';

/** How long an act can be taken back by its maker, in milliseconds. */
export const TAKE_BACK_MS = 30_000;
/** How long the answer to a badge at a presence station is only said again, in milliseconds. */
export const REPEAT_MS = 60_000;

export const sound = (name: Sound): Effect => ({ type: 'sound', sound: name });

/** Drops a half-finished conversation; labor that runs is not touched. */
export const blank = ({ heard, acts, signed }: StationState): StationState => ({
  ...IDLE,
  heard,
  acts,
  signed,
});

/** Time passes: the screen clears itself, and what could be taken back no longer can. */
export function tick(state: StationState, now: number): StationState {
  const acts = state.acts.filter(({ at }) => now - at <= TAKE_BACK_MS);
  const signed = state.signed.filter(({ at }) => now - at <= REPEAT_MS);
  const isSame = acts.length === state.acts.length && signed.length === state.signed.length;
  const current = isSame ? state : { ...state, acts, signed };
  return current.blankAt !== null && now >= current.blankAt ? blank(current) : current;
}

/** Shows a conversation that waits for somebody. */
export function wait(
  state: StationState,
  conversation: Conversation,
  { now }: InputMeta,
  { settings }: StationContext,
  name: Sound = 'heard',
): StationStep {
  return {
    state: { ...state, conversation, said: null, blankAt: now + settings.clearAfterBadge * 1000 },
    effects: [sound(name)],
  };
}

/** Shows what something came to, where nothing had to be recorded. */
export const show = (
  state: StationState,
  said: Said,
  { now }: InputMeta,
  { settings }: StationContext,
): StationStep => ({
  state: { ...state, said, blankAt: now + settings.clearAfterDone * 1000 },
  effects: [sound('done')],
});

/** A badge's body is a secret, even of one that is mangled or revoked: only how it began is kept. */
const withoutBadge = (text: string): string =>
  /^\s*B\w{6,}/i.test(text) ? `${text.trim().slice(0, 3)}…` : text;

/** Says no, and keeps the conversation where it was: the next scan is understood as if this one had not been. */
export function refuse(
  state: StationState,
  code: StationRefusal,
  text: string,
  { now }: InputMeta,
  { settings }: StationContext,
): StationStep {
  const { clearAfterBadge, clearAfterDone } = settings;
  const seconds = state.conversation.step === 'idle' ? clearAfterDone : clearAfterBadge;
  return {
    state: {
      ...state,
      said: { kind: 'refused', code, text: withoutBadge(text) },
      blankAt: now + seconds * 1000,
    },
    effects: [sound('refused')],
  };
}

/** As `refuse`, and keeps the code that stood for nothing for the supervisor to see. */
export function refuseCode(
  state: StationState,
  reason: StationRefusal,
  text: string,
  meta: InputMeta,
  context: StationContext,
): StationStep {
  const step = refuse(state, reason, text, meta, context);
  const entry = {
    type: 'unread-scan',
    id: meta.entryId,
    at: instantOf(meta),
    text: withoutBadge(text).slice(0, 200),
    reason,
  } as const;
  return { ...step, effects: [...step.effects, keep(entry, meta.entryId, null, meta)] };
}

type Kept = Extract<Effect, { type: 'append' }>['entry'];

/** The effect that keeps one entry of an act. */
export const keep = (
  entry: Kept,
  action: EntryId,
  person: { readonly badge: Person['badge']; readonly identity: Identity | null } | null,
  { source }: InputMeta,
): Effect => ({
  type: 'append',
  entry,
  action,
  source,
  via: person?.badge ? [person.badge] : [],
  identity: person?.identity ?? null,
});

/** Shows what was recorded, and remembers it as the last act of its maker: only that one can be taken back. */
export function finish(
  state: StationState,
  entries: readonly Kept[],
  {
    said,
    work,
    isTakeBack,
  }: { readonly said: Said; readonly work: WorkIntent | null; readonly isTakeBack?: boolean },
  person: Person,
  meta: InputMeta,
  { settings }: StationContext,
): StationStep {
  const others = state.acts.filter(({ technician }) => technician !== person.technician);
  const own = entries.filter((entry) => !isFloorEntry(entry) && entry.type !== 'void').map(({ id }) => id);
  const act = { technician: person.technician, entries: own, at: meta.now, work };
  const acts = isTakeBack || own.length === 0 ? others : [...others, act];
  return {
    state: { ...state, said, acts, blankAt: meta.now + settings.clearAfterDone * 1000 },
    effects: [...entries.map((entry) => keep(entry, meta.entryId, person, meta)), sound('done')],
  };
}

/** The whole second of an input. */
export const instantOf = ({ now }: Pick<InputMeta, 'now'>) => toInstant(Math.floor(now / 1000));
