// `npm run test:engines`: the navigation of the stand-in site in Chromium, Firefox ESR and WebKitGTK.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { root } from './freshness.mjs';
import { ensureBrowser } from './browser.mjs';
import { ensureEngines, NO_ENGINES } from './engines.mjs';
import { ensureBuilt, ensureInstalled, ensureTestData } from './setup.mjs';

process.chdir(root);
await ensureInstalled();
ensureBrowser();
if (!(await ensureEngines())) console.log(NO_ENGINES);
await ensureBuilt();
await ensureTestData();
process.exitCode =
  spawnSync(
    join(root, 'node_modules/.bin/vitest'),
    ['run', '--project', 'engines', ...process.argv.slice(2)],
    {
      stdio: ['ignore', 'inherit', 'inherit'],
    },
  ).status ?? 1;
