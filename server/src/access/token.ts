import { createHash, randomBytes } from 'node:crypto';

/** A token nobody can guess, and the hash under which it is kept. */
export const makeToken = () => randomBytes(32).toString('base64url');
export const hashToken = (token: string) => createHash('sha256').update(token).digest('hex');
