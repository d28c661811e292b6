import type { HoursStyle } from '../time/index.ts';
import type { ResourceId } from './directory.ts';

/** What a badge alone does: shows where its owner stands, or signs them in and out. */
export const STATION_KINDS = ['labor', 'presence'] as const;
export type StationKind = (typeof STATION_KINDS)[number];

/** How people are known here: by their badge, by badge and PIN, or by touching their name. */
export const IDENTITIES = ['badge', 'badge-pin', 'names'] as const;
export type IdentityRule = (typeof IDENTITIES)[number];

/** Languages that a station speaks. */
export const LANGUAGES = ['en', 'de'] as const;
export type Language = (typeof LANGUAGES)[number];

/** Dark, as stations are by themselves, or light for a bright hall. */
export const THEMES = ['dark', 'light'] as const;
export type Theme = (typeof THEMES)[number];

/** Buttons after a badge that a shop can leave out where it does not use them; their labels work all the same. */
export const HIDEABLE_ACTS = [
  'join',
  'break',
  'find',
  'indirect',
  'earlier',
  'work-type',
  'note',
  'task-papers',
  'part',
  'help',
  'time-off',
  'lead-crew',
  'own-time',
] as const;
export type HideableAct = (typeof HIDEABLE_ACTS)[number];

/** How one station behaves. */
export type StationSettings = {
  readonly kind: StationKind;
  readonly identity: IdentityRule;
  /** Departments and crews whose people are listed here; none named: everybody. */
  readonly people: readonly string[];
  /** Work centers whose tasks are offered here; none named: all. */
  readonly workCenters: readonly string[];
  /** Divisions whose indirect activities are offered here, beside those of all; none named: those of every division. */
  readonly divisions: readonly string[];
  /** The machine that stands here and is meant where none is scanned. */
  readonly machine: ResourceId | null;
  /** Whether a code may be typed by hand. */
  readonly mayType: boolean;
  /** Whether somebody may be known by their worker number, typed, where typing is allowed. */
  readonly takesNumbers: boolean;
  /** Whether people go out from here: stages of a way are offered by touch. */
  readonly goesOut: boolean;
  /** Whether work that starts without a shift in signs in as well. */
  readonly signsIn: boolean;
  /** How far back a start may be set, in minutes. */
  readonly maxEarlierMinutes: number;
  /** Whether a finished task may be taken up again, after asking. */
  readonly mayReopen: boolean;
  /** Whether a lead's badge may let through what is refused. */
  readonly mayOverride: boolean;
  /** How long a screen stays after a badge and after something done, in seconds. */
  readonly clearAfterBadge: number;
  readonly clearAfterDone: number;
  readonly language: Language;
  readonly theme: Theme;
  /** How hours are written here. */
  readonly hoursStyle: HoursStyle;
  readonly isMuted: boolean;
  /** Buttons that are not shown here. */
  readonly hiddenActs: readonly HideableAct[];
};

/** What holds where a shop has said nothing. */
export const DEFAULT_STATION_SETTINGS: StationSettings = {
  kind: 'labor',
  identity: 'badge',
  people: [],
  workCenters: [],
  divisions: [],
  machine: null,
  mayType: true,
  takesNumbers: false,
  goesOut: false,
  signsIn: false,
  maxEarlierMinutes: 30,
  mayReopen: true,
  mayOverride: false,
  clearAfterBadge: 60,
  clearAfterDone: 6,
  language: 'en',
  theme: 'dark',
  hoursStyle: 'h:mm',
  isMuted: false,
  hiddenActs: [],
};
