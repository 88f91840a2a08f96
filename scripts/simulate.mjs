// `npm run simulate [-- --seeds N --database N --kills N --seed S --postgres]`: the laws of saving, for
// longer than the tests.
import { spawnSync } from 'node:child_process';
import { root } from './freshness.mjs';
import { ensurePostgres, openCluster } from './postgres.mjs';
import { ensureBuilt, ensureInstalled, ensureTestData } from './setup.mjs';

process.chdir(root);
await ensureInstalled();
await ensureBuilt();
await ensureTestData();
const words = process.argv.slice(2);
const isOnPostgres = words.includes('--postgres');
if (isOnPostgres && !ensurePostgres()) {
  console.error(
    'PostgreSQL is not installed here and cannot be. Install Debian’s postgresql, or leave --postgres out.',
  );
  process.exit(1);
}
const cluster = isOnPostgres ? await openCluster() : null;
const { status } = spawnSync(
  process.execPath,
  ['--import', 'tsx', 'packages/server/test/simulateMain.ts', ...words],
  {
    stdio: 'inherit',
    env: { ...process.env, ...(cluster === null ? {} : { ZORVIK_TEST_POSTGRES: cluster.url }) },
  },
);
await cluster?.remove();
process.exitCode = status ?? 1;
