// `npm test`: all set-up that the tests need, then formatting, lint, types, and every test there is. Ends with the runner's own count.
import { spawn } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { ensureBrowser } from './browser.mjs';
import { root } from './freshness.mjs';
import { ensurePostgres, openCluster } from './postgres.mjs';
import { ensureBuilt, ensureInstalled } from './setup.mjs';

process.chdir(root);
await ensureInstalled();
ensureBrowser();
await ensureBuilt();

const bin = (name) => join(root, 'node_modules', '.bin', name);

/** Runs a command; its output is shown when it is over, so that those that run together do not mix. */
function run(what, command, words) {
  return new Promise((done) => {
    const begin = performance.now();
    const child = spawn(command, words, { stdio: ['ignore', 'pipe', 'pipe'] });
    let output = '';
    child.stdout.on('data', (piece) => (output += piece));
    child.stderr.on('data', (piece) => (output += piece));
    child.on('close', (code) => {
      console.log(`${code === 0 ? 'ok  ' : 'FAIL'} ${what} (${Math.round((performance.now() - begin) / 1000)} s)`);
      if (code !== 0) console.log(output);
      done(code === 0);
    });
  });
}

const checks = [
  await run('format', bin('prettier'), ['--check', '.', '--log-level', 'warn']),
  ...(await Promise.all([run('lint', bin('eslint'), ['.', '--max-warnings', '0']), types()])),
];

async function types() {
  const core = await run('types of core', bin('tsc'), ['-p', 'packages/core']);
  const node = await run('types of the rest', bin('tsc'), ['-p', 'tsconfig.node.json']);
  const web = await run('types of the editor', bin('vue-tsc'), ['-p', 'packages/web']);
  return core && node && web;
}

/** Runs the tests of some projects; gives how many passed, failed and were skipped. */
async function tests(projects, { name = projects[0], environment = {}, files = [] } = {}) {
  const report = `build/test-report-${name}.json`;
  const words = ['run', ...files, ...projects.flatMap((name) => ['--project', name]), '--reporter=default', '--reporter=json', `--outputFile.json=${report}`];
  const child = spawn(bin('vitest'), words, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...environment } });
  const code = await new Promise((done) => child.on('close', done));
  const { numPassedTests, numFailedTests, numPendingTests } = JSON.parse(await readFile(report, 'utf8'));
  return { passed: numPassedTests, failed: numFailedTests, skipped: numPendingTests, isGreen: code === 0 };
}

/** The server's tests once more, and two processes on one site, on PostgreSQL; where it cannot be had, that is said. */
async function postgresTests() {
  if (!ensurePostgres()) {
    console.log('PostgreSQL is not installed here and cannot be: nothing was tested on it. Install Debian’s postgresql to have it tested.');
    return [];
  }
  const cluster = await openCluster();
  try {
    const environment = { ZORVIK_TEST_POSTGRES: cluster.url };
    return [
      await tests(['server'], { name: 'postgres', environment }),
      await tests(['journeys'], { name: 'postgres-journey', environment, files: ['e2e/twoProcesses.test.ts'] }),
    ];
  } finally {
    await cluster.remove();
  }
}

// The browser has the machine to itself: a person's journey should not wait for somebody else's work.
const runs = [await tests(['core', 'server', 'web']), ...(await postgresTests()), await tests(['journeys'])];
const sum = (what) => runs.reduce((total, run) => total + run[what], 0);
if (!checks.every(Boolean)) console.log('Formatting, lint or types are not as they should be: see above.');
if (!checks.every(Boolean) || !runs.every(({ isGreen }) => isGreen)) process.exitCode = 1;
console.log(`${sum('passed')} passed, ${sum('failed')} failed${sum('skipped') > 0 ? `, ${sum('skipped')} skipped` : ''}`);
