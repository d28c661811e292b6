import type { BoardChanges } from '@wergon/contract/floor';
import type { TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { makeToken } from '../access/index.ts';
import type { Database } from '../db/index.ts';
import { readSql } from '../db/index.ts';
import { loadBoard, loadBoardPart } from '../floor/index.ts';
import type { Mount } from '../http/index.ts';
import { readChanges } from '../ledger/index.ts';
import { StationEntity, settingsOf as shopSettingsOf } from '../shop/index.ts';
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
      const found = forOwner(loadBoard(sql, known, now), station.owner);
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
      codes: await loadCodes(em, known, board, onBoard, cardKey, station.owner),
      ...(await loadDetails(em, known, board, moves, now)),
      owner: station.owner,
      writesDown: shopSettingsOf(known.shop).work.writesDown,
      offersPhones: station.owner === null && shopSettingsOf(known.shop).work.ownPhones,
      scanner: own.scanner ?? null,
      isDemo,
    });
  });

  mount('directoryChanges', async ({ query: { after }, who: { station } }) => {
    const known = await facts.get();
    const now = clock.now();
    const read = await readChanges(database, live, after, (sql, part) => {
      const found = forOwner(loadBoardPart(sql, known, now, part), station.owner);
      return { board: found, moves: loadMoves(sql, known, now, found) };
    });
    if (!read) return ok(null);
    const { board, moves } = read;
    const details = await loadChangedDetails(database.em.fork(), known, board, moves, now);
    return ok({ ...board, ...details });
  });
}

/** On a phone of one's own nobody else is known. */
const forOwner = <Part extends Pick<BoardChanges, 'technicians'>>(
  board: Part,
  owner: TechnicianId | null,
): Part =>
  owner === null ? board : { ...board, technicians: board.technicians.filter(({ id }) => id === owner) };

/** A station of an older version has no key of its own yet. */
async function giveCardKey(database: Database, id: string): Promise<string> {
  const cardKey = makeToken();
  await database.em.fork().nativeUpdate(StationEntity, { id }, { cardKey });
  return cardKey;
}
