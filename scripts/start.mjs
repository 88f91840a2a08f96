// `npm start`: sets up what is missing or stale, then runs the server and the stand-in site in this process.
import { ensureBuilt, ensureInstalled } from './setup.mjs';

await ensureInstalled();
await ensureBuilt();
await import('../build/server/main.js');
if (!process.exitCode) await import('../build/site/main.js');
