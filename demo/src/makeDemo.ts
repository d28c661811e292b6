import { Defect } from '@wergon/core/result';
import { createZone, formatInstant, parseDay, parseInstant, toInstant } from '@wergon/core/time';
import { createContext, openShop } from '@wergon/server/app';
import type { Context } from '@wergon/server/app';
import { createSetClock } from '@wergon/server/http';
import { readBatch } from '@wergon/server/ledger';
import { BadgeEntity } from '@wergon/server/people';
import { pino } from 'pino';
import { planOddities, proposeEnd } from './addAnomalies.ts';
import { addEstimates } from './addEstimates.ts';
import { addRecurring } from './addRecurring.ts';
import { addRequests } from './addRequests.ts';
import { addWritten } from './addWritten.ts';
import { drawFrom } from './draw.ts';
import { stationId } from './enterStations.ts';
import { technicianId } from './ids.ts';
import { playShop } from './playShop.ts';
import { createRandom } from './random.ts';
import { planDesk } from './reconcileWeeks.ts';
import type { DeskMoment } from './reconcileWeeks.ts';
import { SHOP } from './sampleShop.ts';
import type { SimEntry } from './simulate.ts';
import { USUAL_SIZE } from './size.ts';
import { unwrap } from './unwrap.ts';
import { withReason } from './withReason.ts';

const SEED = 20_261_124;
const FIRST_DAY = '2026-09-14';

/** The Tuesday on which the demo opens, by the clock of the shop. */
export const OPENS_AT = '2026-11-24T13:37:00+02:00';

type Progress = (text: string) => void;

/** Makes the sample shop in a new database file: its people, its orders, its standards, and ten weeks of scans, recorded
 *  through the journal as stations record them. The same every time. */
export async function makeDemo(databasePath: string, say: Progress): Promise<void> {
  const database = await openShop(databasePath);
  const clock = createSetClock(0);
  const context = createContext(database, clock, pino({ level: 'warn' }), true);
  const random = createRandom(SEED);
  const zone = unwrap(createZone(SHOP.zone));
  const opensAt = unwrap(parseInstant(OPENS_AT));
  const firstDay = unwrap(parseDay(FIRST_DAY));
  const entries = await playShop(database, {
    zone,
    firstDay,
    opensAt,
    size: USUAL_SIZE,
    random,
    draw: drawFrom(random),
  });
  const moments = [
    ...(await planDesk(context, firstDay, opensAt, zone)),
    ...(await planOddities(context, opensAt, zone)),
  ].sort((a, b) => a.at - b.at);
  await recordAll(context, clock, entries, moments, say);
  await proposeEnd(context, opensAt);
  await addRequests(context, clock, opensAt);
  await database.em.fork().transactional((em) => addEstimates(em, zone, opensAt, drawFrom(random)));
  await database.em.fork().transactional((em) => addRecurring(em, zone.dayAt(opensAt)));
  await addWritten(context, zone, opensAt, drawFrom(random));
  await database.close();
}

const TOGETHER = 40;

async function recordAll(
  context: Context,
  clock: { readonly set: (ms: number) => void },
  entries: readonly SimEntry[],
  moments: readonly DeskMoment[],
  say: Progress,
): Promise<void> {
  const waiting = [...moments];
  const runUntil = async (now: number) => {
    for (let next = waiting[0]; next && next.at <= now; next = waiting[0]) {
      waiting.shift();
      clock.set(next.at * 1000);
      await next.run();
    }
  };
  const badges = new Map<string, string>(
    (await context.database.em.fork().findAll(BadgeEntity)).map(({ id, technician }) => [technician, id]),
  );
  // Scans that come close together share a commit, as they do in a busy shop.
  for (let first = 0; first < entries.length; first += TOGETHER) {
    const part = entries.slice(first, first + TOGETHER);
    await runUntil(part[0]?.at ?? 0);
    clock.set((part.at(-1)?.at ?? 0) * 1000 + 900);
    const answers = await Promise.all(
      part.map(({ at, station, entry }) => {
        const badge =
          'technician' in entry && entry.technician !== undefined ? badges.get(entry.technician) : undefined;
        const isTyped = 'technician' in entry && hasForgottenBadge(entry.technician, at);
        const line = {
          source: isTyped ? 'typed' : 'scan',
          via: badge === undefined || isTyped ? [] : [badge],
          ...(badge === undefined ? {} : { identity: isTyped ? 'number' : 'badge' }),
          action: entry.id,
          deviceAt: formatInstant(toInstant(at)),
          clockOffset: 0,
          entry: withReason(entry),
        };
        return context.journal.append({ kind: 'station', id: stationId(station) }, readBatch([line]));
      }),
    );
    const bad = answers.find(({ outcomes }) => outcomes[0]?.result !== 'recorded');
    if (bad) throw new Defect(`sample entry: ${JSON.stringify(bad.outcomes[0])}`);
    if ((first / TOGETHER) % 50 === 49) say(`${first + part.length} of ${entries.length} scans recorded`);
  }
  await runUntil(Infinity);
  say(`${entries.length} scans recorded`);
}

/** On one Thursday somebody had left their badge at home, and typed their number. */
const hasForgottenBadge = (technician: string | undefined, at: number): boolean =>
  technician === technicianId('t8') &&
  Math.abs(at - (unwrap(parseInstant(OPENS_AT)) - 5 * 86_400)) < 10 * 3600;
