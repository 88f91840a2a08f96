// `npm run backup -- FILE` and `npm run restore -- FILE [--replace]`: all data as one file, while the server
// runs or not.
import { spawnSync } from 'node:child_process';
import { join, resolve } from 'node:path';
import { root } from './freshness.mjs';
import { ensureBuilt, ensureInstalled } from './setup.mjs';

const [command, file, ...more] = process.argv.slice(2);
// A path is meant from where one stands.
const words = file === undefined ? [] : [resolve(file), ...more];
process.chdir(root);
await ensureInstalled();
await ensureBuilt();
const { status } = spawnSync(process.execPath, [join(root, 'build/server/archive.js'), command, ...words], {
  stdio: 'inherit',
});
process.exitCode = status ?? 1;
