// `npm run bench`: sets up, then measures. Each figure is a ratio of two measurements of the same run.
import { spawnSync } from 'node:child_process';
import { root } from './freshness.mjs';
import { ensureBuilt, ensureInstalled } from './setup.mjs';

process.chdir(root);
await ensureInstalled();
await ensureBuilt();
spawnSync(process.execPath, ['--import', 'tsx', 'bench/main.ts', ...process.argv.slice(2)], { stdio: 'inherit' });
