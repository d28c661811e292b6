import { openDatabase, openForReading } from '../db/index.ts';
import { ENTITIES } from './entities.ts';

/** Opens a shop's database, with all that its rooms keep in it. */
export const openShop = (path: string) => openDatabase(path, ENTITIES);
export const openShopForReading = (path: string) => openForReading(path, ENTITIES);
