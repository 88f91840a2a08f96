export { createApp } from './app.ts';
export { readConfig, type Config } from './config.ts';
export type { Deps } from './deps.ts';
export { openPglite, openPostgres, type OpenDatabase } from './db/openDatabase.ts';
export { delivery } from './delivery/delivery.ts';
export { siteCache } from './editing/siteCache.ts';
export { saveEdit } from './editing/saveEdit.ts';
export { publishSite } from './editing/publishSite.ts';
export { startServer, type RunningServer } from './startServer.ts';
