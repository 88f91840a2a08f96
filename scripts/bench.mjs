// `npm run bench [-- name …] [--postgres]`: sets up, then measures; with --postgres what stands on a database
// stands on a throw-away cluster. Each figure is a ratio of two measurements of the same run.
import { spawnSync } from 'node:child_process';
import { root } from './freshness.mjs';
import { ensurePostgres, openCluster } from './postgres.mjs';
import { ensureBuilt, ensureInstalled, ensureTestData } from './setup.mjs';

process.chdir(root);
await ensureInstalled();
await ensureBuilt();
await ensureTestData();
const words = process.argv.slice(2).filter((word) => word !== '--postgres');
const isOnPostgres = words.length < process.argv.length - 2;
if (isOnPostgres && !ensurePostgres())
  throw new Error('PostgreSQL is not installed here and cannot be. Install Debian’s postgresql.');
const cluster = isOnPostgres ? await openCluster() : null;
const environment = { ...process.env, ...(cluster === null ? {} : { ZORVIK_TEST_POSTGRES: cluster.url }) };
spawnSync(process.execPath, ['--expose-gc', '--import', 'tsx', 'bench/main.ts', ...words], {
  stdio: 'inherit',
  env: environment,
});
await cluster?.remove();
