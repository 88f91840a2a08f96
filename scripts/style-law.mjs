// `npm run style-law [-- --seeds N]`: law 1 of looks for N random documents (60 where nothing is said), each in every
// state on every device class; `npm test` asks 20, each in one.
import { spawnSync } from 'node:child_process';
import { parseArgs } from 'node:util';
import { root } from './freshness.mjs';
import { ensureBuilt, ensureInstalled, ensureTestData } from './setup.mjs';

const { values } = parseArgs({ options: { seeds: { type: 'string', default: '60' } } });
process.chdir(root);
await ensureInstalled();
await ensureBuilt();
await ensureTestData();
const { status } = spawnSync(
  'npx',
  ['vitest', 'run', '--project', 'journeys', 'e2e/styleLaw.test.ts', '--testTimeout', '36000000'],
  { stdio: 'inherit', env: { ...process.env, STYLE_LAW_SEEDS: values.seeds } },
);
process.exitCode = status ?? 1;
