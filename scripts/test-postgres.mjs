// `npm run test:postgres`: the server's tests, the simulation and two processes on one site, on a throw-away
// PostgreSQL cluster.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { root } from './freshness.mjs';
import { ensureBrowser } from './browser.mjs';
import { ensurePostgres, openCluster } from './postgres.mjs';
import { POSTGRES_FILES } from './postgres-files.mjs';
import { ensureBuilt, ensureInstalled, ensureTestData } from './setup.mjs';

/**
 * Runs the tests on a cluster of their own; `words` go to the test runner. Gives its exit code, or null where
 * PostgreSQL cannot be had.
 */
export async function testOnPostgres(words = []) {
  if (!ensurePostgres()) return null;
  const cluster = await openCluster();
  try {
    const vitest = (...all) =>
      spawnSync(join(root, 'node_modules/.bin/vitest'), ['run', ...all], {
        stdio: ['ignore', 'inherit', 'inherit'],
        env: { ...process.env, ZORVIK_TEST_POSTGRES: cluster.url },
      }).status ?? 1;
    return words.length > 0
      ? vitest('--project', 'server', ...words)
      : vitest('--project', 'server', '--project', 'journeys', ...POSTGRES_FILES);
  } finally {
    await cluster.remove();
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  process.chdir(root);
  await ensureInstalled();
  ensureBrowser();
  await ensureBuilt();
  await ensureTestData();
  const status = await testOnPostgres(process.argv.slice(2));
  if (status === null)
    console.log(
      'PostgreSQL is not installed here and cannot be: nothing was tested on it. Install Debian’s postgresql and run this again.',
    );
  process.exitCode = status ?? 0;
}
