import type { Translation } from '../translation.ts';
import * as rooms from './rooms.ts';

/** All that a person reads, in German. */
export const de: Translation = rooms;
