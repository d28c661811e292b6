import type { Clock } from '../http/index.ts';
import { makeToken } from '../access/index.ts';

/** How long it is believed at a station that somebody is who they have shown to be, in seconds. */
const HOLDS_SECONDS = 5 * 60;
/** Proofs that are kept at a time; the oldest go first. */
const MOST = 2_000;

/** What somebody has proved at a station: that they have the badge of a technician, or know their PIN. */
export type Proofs = {
  /** A token that speaks for a technician at one station, for five minutes. */
  readonly give: (station: string, technician: string) => string;
  readonly holds: (token: string, station: string, technician: string) => boolean;
};

/** Remembers what was proved; only the server's own checks of a badge or a PIN put anything in. */
export function createProofs(clock: Clock): Proofs {
  const kept = new Map<string, { readonly whose: string; readonly until: number }>();
  const whoseOf = (station: string, technician: string) => `${station} ${technician}`;
  return {
    give: (station, technician) => {
      const now = clock.now();
      for (const [token, { until }] of kept) if (until < now || kept.size >= MOST) kept.delete(token);
      const token = makeToken();
      kept.set(token, { whose: whoseOf(station, technician), until: now + HOLDS_SECONDS });
      return token;
    },
    holds: (token, station, technician) => {
      const proof = kept.get(token);
      return (
        proof !== undefined && proof.until >= clock.now() && proof.whose === whoseOf(station, technician)
      );
    },
  };
}
