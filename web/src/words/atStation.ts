import * as deBench from './de/bench.ts';
import * as deStation from './de/station.ts';
import * as deTalk from './de/stationTalk.ts';
import * as deWorkTypes from './de/workTypes.ts';
import * as enBench from './en/bench.ts';
import * as enStation from './en/station.ts';
import * as enTalk from './en/stationTalk.ts';
import * as enWorkTypes from './en/workTypes.ts';
import { learn, speakNow } from './say.ts';
import type { Language } from './say.ts';

/** A station has all of its languages at hand, because it speaks that of whoever stands there, and none of the desk's
 *  messages. `language` is for what it says while nobody is known. */
export function speakAtStation(language: Language): void {
  learn('en', { ...enStation, ...enTalk, ...enBench, ...enWorkTypes });
  learn('de', { ...deStation, ...deTalk, ...deBench, ...deWorkTypes });
  speakNow(language);
}
