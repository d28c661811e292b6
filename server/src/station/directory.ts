import { ok } from '@wergon/core/result';
import { makeToken } from '../access/index.ts';
import type { Database } from '../db/index.ts';
import { readSql } from '../db/index.ts';
import { loadBoard, loadBoardPart } from '../floor/index.ts';
import type { Mount } from '../http/index.ts';
import { readChanges } from '../ledger/index.ts';
import { StationEntity } from '../shop/index.ts';
import type { StationContext } from './context.ts';
import { loadCodes } from './loadCodes.ts';
import { loadChangedDetails, loadDetails, loadMoves } from './loadDirectory.ts';
import { namedSettings, settingsOf } from './settings.ts';

/** Routes by which a station learns all that it must know to go on by itself, and then what has changed of it. */
export function mountDirectory(mount: Mount, { database, clock, live, facts, isDemo }: StationContext): void {
  mount('directory', async ({ who }) => {
    const { station } = who;
    const known = await facts.get();
    const em = database.em.fork();
    const now = clock.now();
    const { board, moves } = await readSql(database, (sql) => {
      const found = loadBoard(sql, known, now);
      return { board: found, moves: loadMoves(sql, known, now, found) };
    });
    const onBoard = new Set(board.tasks.map(({ id }) => id));
    const own = await em.findOneOrFail(StationEntity, { id: station.id });
    const cardKey = own.cardKey || (await giveCardKey(database, station.id));
    return ok({
      ...board,
      station: { id: station.id, name: station.name },
      settings: namedSettings(settingsOf(own.settings), known),
      cardKey,
      codes: await loadCodes(em, known, board, onBoard, cardKey),
      ...(await loadDetails(em, known, board, moves, now)),
      scanner: own.scanner ?? null,
      isDemo,
    });
  });

  mount('directoryChanges', async ({ query: { after } }) => {
    const known = await facts.get();
    const now = clock.now();
    const read = await readChanges(database, live, after, (sql, part) => {
      const found = loadBoardPart(sql, known, now, part);
      return { board: found, moves: loadMoves(sql, known, now, found) };
    });
    if (!read) return ok(null);
    const { board, moves } = read;
    const details = await loadChangedDetails(database.em.fork(), known, board, moves, now);
    return ok({ ...board, ...details });
  });
}

/** A station of an older version has no key of its own yet. */
async function giveCardKey(database: Database, id: string): Promise<string> {
  const cardKey = makeToken();
  await database.em.fork().nativeUpdate(StationEntity, { id }, { cardKey });
  return cardKey;
}
