import { tableOf } from '@wergon/core/result';
import type { Question, Said, StationRefusal } from '@wergon/core/station';
import { namesIn, sayIn, sayList } from '../../words/index.ts';
import type { Language, Say } from '../../words/index.ts';
import type { Line, Names } from './speech.ts';
import { sayQuestion } from './sayQuestion.ts';
import { sayOutcome } from './sayOutcome.ts';

/** Each message of a room by its name, said in one language. */
const allIn = <
  R extends
    'stationPrompt' | 'stationWord' | 'stationRequest' | 'stationLeave' | 'stationButton' | 'workTypes',
>(
  room: R,
  say: Say,
) => said(namesIn(room), (name) => say(`${room}.${name}` as Parameters<Say>[0]));
const said = <K extends string>(names: readonly K[], sayOf: (name: K) => string) => tableOf(names, sayOf);

const SECONDS_PER_MINUTE = 60;
const MINUTES_PER_HOUR = 60;

/** All that a person reads at a station, in one language. */
export function wordsIn(language: Language) {
  const say = sayIn(language);
  const and = (names: readonly string[]) => sayList(names, language);
  function length(seconds: number): string {
    if (seconds < SECONDS_PER_MINUTE) return say('stationLength.seconds', { n: seconds });
    const minutes = Math.floor(seconds / SECONDS_PER_MINUTE);
    return minutes < MINUTES_PER_HOUR
      ? say('stationLength.minutes', { n: minutes })
      : say('stationLength.hours', {
          hours: Math.floor(minutes / MINUTES_PER_HOUR),
          minutes: minutes % MINUTES_PER_HOUR,
        });
  }
  const screen = said(namesIn('stationScreen'), (name) => say(`stationScreen.${name}`));
  const speech = { say, and, length };
  return {
    prompt: allIn('stationPrompt', say),
    word: allIn('stationWord', say),
    request: allIn('stationRequest', say),
    leave: allIn('stationLeave', say),
    button: allIn('stationButton', say),
    workType: allIn('workTypes', say),
    length,
    and,
    question: (question: Question, names: Names) => sayQuestion(question, names, speech),
    said: (outcome: Exclude<Said, { kind: 'refused' }>, names: Names) => sayOutcome(outcome, names, speech),
    /** Why the station will not do something; `text` is what was read, or what it is about. */
    refusal: (code: StationRefusal, text: string): Line => {
      const line = {
        headline: say(`stationRefusal.${code}`, { text }),
        help: say(`stationRefusal.${code}.help`, { text }),
      };
      if (code === 'station.too_early' && text === '0')
        return { ...line, headline: say('stationRefusal.station.too_early.none') };
      if (text === '' && (code === 'station.bad_answer' || code === 'station.nothing_found'))
        return { ...line, help: say(`stationRefusal.${code}.none`) };
      return line;
    },
    ui: {
      ...screen,
      waiting: (n: number) => say('stationScreen.waiting', { n }),
      weekFrom: (day: string) => say('stationScreen.weekFrom', { day }),
      more: (n: number) => say('stationScreen.more', { n }),
      deaf: { headline: screen.deaf, help: screen['deaf.help'] },
      shared: (isByEstimate: boolean) =>
        isByEstimate ? screen['shared.byEstimate'] : screen['shared.equally'],
      /** What can be scanned, and what comes of it. */
      ways: WAYS.map((name) => wayOf(name, say)),
      signWays: SIGN_WAYS.map((name) => wayOf(name, say)),
    },
  };
}
export type Words = ReturnType<typeof wordsIn>;
/** What a button of the station does. */
export type Button = keyof Words['button'];

const WAYS = ['ways.0', 'ways.1', 'ways.2', 'ways.3'] as const;
const SIGN_WAYS = ['signWays.0', 'signWays.1'] as const;
const wayOf = (name: (typeof WAYS | typeof SIGN_WAYS)[number], say: Say) => ({
  scan: say(`stationScreen.${name}.scan`),
  then: say(`stationScreen.${name}.then`),
});

const spoken = new Map<Language, Words>();
/** The words of a language, made once. */
export function wordsOf(language: Language): Words {
  const words = spoken.get(language) ?? wordsIn(language);
  spoken.set(language, words);
  return words;
}
