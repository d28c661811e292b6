import type { BackupContext } from '../backup/index.ts';
import type { StationContext } from '../station/index.ts';
import type { WorkContext } from '../work/index.ts';

/** What every route stands on: each room says what of it is its own. */
export type Context = WorkContext & StationContext & BackupContext;
