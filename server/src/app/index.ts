export { readConfig } from './config.ts';
export type { Context } from './context.ts';
export { createApp } from './createApp.ts';
export { openShop } from './database.ts';
export { ENTITIES } from './entities.ts';
export { createContext, startServer } from './server.ts';
