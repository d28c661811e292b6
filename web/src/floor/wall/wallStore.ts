import { deleteDB, openDB } from 'idb';
import { z } from 'zod';
import { sessionSchema } from '@wergon/contract/access';
import { floorSchema } from '@wergon/contract/floor';

const NAME = 'wergon-wall';

/** What a wall shows when it is opened without the network: the floor as it was known last. */
const keptWallSchema = z.object({ session: sessionSchema, floor: floorSchema, clockOffsetMs: z.number() });
export type KeptWall = z.output<typeof keptWallSchema>;

const open = () => openDB(NAME, 1, { upgrade: (db) => void db.createObjectStore('kept') });

/** Where the browser keeps nothing, the wall works as long as it stays open. */
export async function keepWall(wall: KeptWall): Promise<void> {
  try {
    const database = await open();
    await database.put('kept', keptWallSchema.encode(wall), 'wall');
    database.close();
  } catch {
    // What cannot be kept here comes with the server's next answer.
  }
}

export async function findWall(): Promise<KeptWall | undefined> {
  try {
    const database = await open();
    // A page of an earlier version may have kept it in another form: then this one waits for the server.
    const kept = keptWallSchema.safeParse(await database.get('kept', 'wall')).data;
    database.close();
    return kept;
  } catch {
    return undefined;
  }
}

/** Who signs out leaves nothing behind. */
export const forgetWall = (): Promise<void> => deleteDB(NAME).catch(() => undefined);
