import { randomUUID } from 'node:crypto';

/** An id that nothing else has, of whatever kind it is needed, or the one that whoever sends something has made for it.
 *  The one place where such a text becomes an id. */
export const newId = <Id extends string>(once: string = randomUUID()): Id => once as Id;
