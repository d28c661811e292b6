import { canonicalJson } from '@wergon/core/ledger';
import { addDays, createZone, formatInstant, mondayOf, parseInstant, toInstant } from '@wergon/core/time';
import { openShop } from '@wergon/server/app';
import { createFactsCache } from '@wergon/server/catalog';
import { writeSql } from '@wergon/server/db';
import { GENESIS, chainHash, rebuild, writeEnvelope } from '@wergon/server/ledger';
import { drawFrom } from './draw.ts';
import { stationId } from './enterStations.ts';
import { OPENS_AT } from './makeDemo.ts';
import { playShop } from './playShop.ts';
import { createRandom } from './random.ts';
import { SHOP } from './sampleShop.ts';
import type { SimEntry } from './simulate.ts';
import { sizeOf } from './size.ts';
import { unwrap } from './unwrap.ts';
import { withReason } from './withReason.ts';

const SEED = 20_261_125;
const DAYS_OF_WEEK = 7;
/** So many rows of the journal are written at once. */
const ROWS = 5_000;

/** Makes a sample shop of any size in a new database file: orders, machines, night shifts, rework, pieces and reasons in
 *  proportion. What stations would have recorded one by one stands in the journal at once, with a right chain, and
 *  everything else is derived from it. Nothing of it has been put right, approved or closed. */
export async function makeLargeShop(
  databasePath: string,
  { people, weeks }: { readonly people: number; readonly weeks: number },
  say: (text: string) => void,
): Promise<number> {
  const database = await openShop(databasePath);
  const random = createRandom(SEED);
  const zone = unwrap(createZone(SHOP.zone));
  const opensAt = unwrap(parseInstant(OPENS_AT));
  const firstDay = addDays(mondayOf(zone.dayAt(opensAt)), -weeks * DAYS_OF_WEEK);
  const entries = await playShop(database, {
    zone,
    firstDay,
    opensAt,
    size: sizeOf(people),
    random,
    draw: drawEachOnce(drawFrom(random)),
  });
  say(`${entries.length} scans of ${people} people in ${weeks} weeks; their hours and costs are derived…`);
  await writeSql(database, (sql) => {
    let previous = GENESIS;
    for (let first = 0; first < entries.length; first += ROWS) {
      const rows = entries.slice(first, first + ROWS).map((each, i) => {
        const { body, envelope } = writeRow(each, first + i + 1);
        previous = chainHash(body, envelope, previous);
        const { id, type } = each.entry;
        return {
          ...{ seq: first + i + 1, id, stream: 'labor', type, corrects: null, body, envelope },
          hash: previous,
        };
      });
      sql.insert('journal', rows);
    }
  });
  await rebuild(database, await createFactsCache(database).get(), opensAt);
  await database.close();
  return entries.length;
}

/** An entry as a station sends it that is scanned at, in the form in which the journal keeps it. */
function writeRow({ at, station, entry: made }: SimEntry, seq: number) {
  const entry = withReason(made);
  const instant = formatInstant(toInstant(at));
  const envelope = writeEnvelope({
    v: 1,
    seq,
    recordedAt: instant,
    author: { kind: 'station', id: stationId(station) },
    source: 'scan',
    via: [],
    action: entry.id,
    deviceAt: instant,
    clockOffset: 0,
    stream: 'labor',
  });
  return { body: canonicalJson(entry), envelope };
}

/** Codes that are drawn by lot are seldom the same in a small shop, and often in a large one. */
function drawEachOnce(draw: ReturnType<typeof drawFrom>): ReturnType<typeof drawFrom> {
  const drawn = new Set<string>();
  return (kind) => {
    for (;;) {
      const code = draw(kind);
      if (drawn.has(code)) continue;
      drawn.add(code);
      return code;
    }
  };
}
