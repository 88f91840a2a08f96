// `npm run shots`: sets up, then takes one picture of each main view.
import { spawnSync } from 'node:child_process';
import { ensureBrowser } from './browser.mjs';
import { root } from './freshness.mjs';
import { ensureBuilt, ensureInstalled } from './setup.mjs';

process.chdir(root);
await ensureInstalled();
ensureBrowser();
await ensureBuilt();
process.exitCode =
  spawnSync(process.execPath, ['--import', 'tsx', 'e2e/shots.ts', ...process.argv.slice(2)], {
    stdio: 'inherit',
  }).status ?? 1;
