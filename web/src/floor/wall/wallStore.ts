import { deleteDB, openDB } from 'idb';
import type { SessionView } from '@wergon/contract/access';
import type { FloorJson } from '@wergon/contract/floor';

const NAME = 'wergon-wall';

/** What a wall shows when it is opened without the network: the floor as it was known last. */
export type KeptWall = {
  readonly session: SessionView;
  readonly floor: FloorJson;
  readonly clockOffsetMs: number;
};

const open = () => openDB(NAME, 1, { upgrade: (db) => void db.createObjectStore('kept') });

/** Where the browser keeps nothing, the wall works as long as it stays open. */
export async function keepWall(wall: KeptWall): Promise<void> {
  try {
    const database = await open();
    await database.put('kept', wall, 'wall');
    database.close();
  } catch {
    // What cannot be kept here comes with the server's next answer.
  }
}

export async function findWall(): Promise<KeptWall | undefined> {
  try {
    const database = await open();
    // What is read here was written above, by this same page.
    const kept = (await database.get('kept', 'wall')) as KeptWall | undefined;
    database.close();
    return kept;
  } catch {
    return undefined;
  }
}

/** Who signs out leaves nothing behind. */
export const forgetWall = (): Promise<void> => deleteDB(NAME).catch(() => undefined);
