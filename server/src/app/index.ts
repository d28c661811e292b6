export { createSetClock, systemClock } from './clock.ts';
export type { Clock } from './clock.ts';
export { readConfig } from './config.ts';
export type { Config } from './config.ts';
export type { Context } from './context.ts';
export { createApp } from './createApp.ts';
export { createContext, startServer } from './server.ts';
export type { RunningServer } from './server.ts';
