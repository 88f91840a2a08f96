// `npm run style-law [-- --seeds N]` and `npm run fit-law [-- --seeds N]`: the laws of looks and of Fit for N random
// documents (60 where nothing is said); `npm test` asks for fewer.
import { spawnSync } from 'node:child_process';
import { parseArgs } from 'node:util';
import { root } from './freshness.mjs';
import { ensureBuilt, ensureInstalled, ensureTestData } from './setup.mjs';

const { values, positionals } = parseArgs({
  options: { seeds: { type: 'string', default: '60' } },
  allowPositionals: true,
});
const [law] = positionals;
if (law !== 'style' && law !== 'fit') throw new Error(`There is no law “${law}”: style, fit.`);
process.chdir(root);
await ensureInstalled();
await ensureBuilt();
await ensureTestData();
const { status } = spawnSync(
  'npx',
  ['vitest', 'run', '--project', 'journeys', `e2e/${law}Law.test.ts`, '--testTimeout', '36000000'],
  { stdio: 'inherit', env: { ...process.env, [`${law.toUpperCase()}_LAW_SEEDS`]: values.seeds } },
);
process.exitCode = status ?? 1;
