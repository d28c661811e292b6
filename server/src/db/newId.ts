import { randomUUID } from 'node:crypto';

/** An id that nothing else has, of whatever kind it is needed. The one place where a random text becomes an id. */
export const newId = <Id extends string>(): Id => randomUUID() as string as Id;
