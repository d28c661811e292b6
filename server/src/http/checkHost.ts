import { isIP } from 'node:net';
import { hostname } from 'node:os';
import type { RequestHandler } from 'express';
import { refuse, sendProblem } from './problem.ts';

/** Answers only to the names that this server is called by. A page elsewhere can let its own name lead to this machine;
 *  what its browser then sends names that page, not us. Addresses are nobody's name. */
export function checkHost({
  names,
  isBehindProxy,
}: {
  readonly names: readonly string[];
  readonly isBehindProxy: boolean;
}): RequestHandler {
  const own = hostname().toLowerCase();
  const known = new Set([
    own,
    `${own}.local`,
    own.split('.')[0] ?? own,
    ...names.map((each) => each.toLowerCase()),
  ]);
  // A proxy picks its servers by name itself; it is held to names only where they are told.
  const isFree = isBehindProxy && names.length === 0;
  return (req, res, next) => {
    const host = (req.headers.host ?? '').toLowerCase();
    const name = host.replace(/:\d+$/, '').replace(/^\[(.*)\]$/, '$1');
    const isKnown =
      isIP(name) !== 0 || name === 'localhost' || name.endsWith('.localhost') || known.has(name);
    if (isFree || isKnown) next();
    else sendProblem(res, refuse('input.wrong_host'));
  };
}
