import { z } from 'zod';
import { whoOf } from './who.ts';
import type { Request, RequestHandler, Response } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { RouteName } from '@wergon/contract/routes';
import type { Who } from './who.ts';
import { refuse, sendProblem } from './problem.ts';

const WINDOW_MS = 15 * 60_000;
/** Wrong tries at one user's secret from one address, and at anybody's, in a quarter of an hour. Many people may come
 *  from one address, so the second is wide; it only keeps a machine from trying every name. */
const TRIES_PER_USER = 20;
const TRIES_PER_ADDRESS = 200;

const addressOf = (req: Request) => ipKeyGenerator(req.ip ?? '');

const limitTries = (limit: number, keyOf: (req: Request, res: Response) => string): RequestHandler =>
  rateLimit({
    windowMs: WINDOW_MS,
    limit,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    keyGenerator: keyOf,
    // Only a wrong try is one: what is refused for another reason takes nobody's tries away.
    skipSuccessfulRequests: true,
    requestWasSuccessful: (_req, res) => res.locals['isWrongTry'] !== true,
    handler: (_req, res) => sendProblem(res, refuse('access.too_many_tries')),
  });

/** Tries of whoever was let in: by who they are, not by what they sent to say so, which can be dressed up anew each time. */
const byCaller = (idOf: (who: Who) => string | undefined) => (req: Request, res: Response) =>
  `${addressOf(req)} ${idOf(whoOf(res)) ?? ''}`;
const userIdOf = (who: Who) => (who.kind === 'desk' ? who.user.id : undefined);

/** What was sent is not read yet: it may be anything, or nothing. */
const userNameIn = z.object({ userName: z.string().catch('') }).catch({ userName: '' });

/** How often each of the routes that ask for a secret may be tried. */
export function createTryLimits(): Partial<Record<RouteName, readonly RequestHandler[]>> {
  const userOf = (req: Request) => {
    const { userName } = userNameIn.parse(req.body);
    return userName.trim().toLowerCase().slice(0, 80);
  };
  const byAddress = limitTries(TRIES_PER_ADDRESS, addressOf);
  const guessing = limitTries(TRIES_PER_USER, addressOf);
  return {
    signIn: [byAddress, limitTries(TRIES_PER_USER, (req) => `${addressOf(req)} ${userOf(req)}`)],
    firstRun: [guessing],
    pair: [guessing],
    changePassword: [limitTries(TRIES_PER_USER, byCaller(userIdOf))],
    proveSelf: [
      limitTries(
        TRIES_PER_USER,
        byCaller(({ station }) => station?.id),
      ),
    ],
  };
}
