// `npm test`: all set-up that the tests need, then formatting, lint, types, and every test there is. Ends
// with the slowest files and the runner's own count.
import { spawn } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { constants, setPriority } from 'node:os';
import { join, relative } from 'node:path';
import { ensureBrowser } from './browser.mjs';
import { ensureEngines, NO_ENGINES } from './engines.mjs';
import { root } from './freshness.mjs';
import { ensurePostgres, openCluster } from './postgres.mjs';
import { POSTGRES_FILES } from './postgres-files.mjs';
import { ensureBuilt, ensureInstalled, ensureTestData } from './setup.mjs';

process.chdir(root);
await ensureInstalled();

const bin = (name) => join(root, 'node_modules', '.bin', name);
/** TypeScript's native compiler, which is many times faster; what reads .vue files has to have the other one. */
const nativeCompiler = join(root, 'node_modules', 'typescript7', 'bin', 'tsc');
const seconds = (from) => Math.round((performance.now() - from) / 1000);
const begin = performance.now();

/**
 * Runs a command behind the tests, with what they leave of the processors; its output is shown when it is
 * over, so that the output of commands that run together does not mix.
 */
function run(what, command, words) {
  return new Promise((done) => {
    const from = performance.now();
    const child = spawn(command, words, { stdio: ['ignore', 'pipe', 'pipe'] });
    setPriority(child.pid, constants.priority.PRIORITY_LOW);
    let output = '';
    child.stdout.on('data', (piece) => (output += piece));
    child.stderr.on('data', (piece) => (output += piece));
    child.on('close', (code) => {
      console.log(`${code === 0 ? 'ok  ' : 'FAIL'} ${what} (${seconds(from)} s)`);
      if (code !== 0) console.log(output);
      done(code === 0);
    });
  });
}

/** Runs commands one after the other. Gives whether all of them were fine. */
async function inTurn(...steps) {
  let isFine = true;
  for (const step of steps) isFine = (await step()) && isFine;
  return isFine;
}

const kept = (tool) => ['--cache', '--cache-strategy', 'content', '--cache-location', `build/${tool}-cache`];

/**
 * What is checked without running anything. Each tool remembers in `build/` what it has checked, and looks
 * again only at what has changed.
 */
function staticChecks() {
  const types = (what, tool, project, name) => () =>
    run(what, tool, ['-p', project, '--incremental', '--tsBuildInfoFile', `build/types/${name}.tsbuildinfo`]);
  return Promise.all([
    inTurn(
      () => run('lint', bin('eslint'), ['.', '--max-warnings', '0', ...kept('eslint')]),
      () => run('lint with types', process.execPath, ['scripts/lint-types.mjs']),
    ),
    inTurn(
      types('types of core', nativeCompiler, 'packages/core', 'core'),
      types('types of the rest', nativeCompiler, 'tsconfig.node.json', 'node'),
      types('types of the editor', bin('vue-tsc'), 'packages/web', 'web'),
      () => run('format', bin('prettier'), ['--check', '.', '--log-level', 'warn', ...kept('prettier')]),
    ),
  ]).then((outcomes) => outcomes.every(Boolean));
}

/**
 * Test files that run side by side, whatever the runner thinks of the machine: it leaves one of two cores
 * idle. Journeys wait for the browser much of the time: a third one uses what two leave.
 */
const UNIT_WORKERS = 2;
const JOURNEY_WORKERS = 3;

/**
 * Runs the tests of some projects; gives how many passed, failed and were skipped, and how long each file
 * took.
 */
async function tests(
  projects,
  { name = projects[0], environment = {}, files = [], workers = UNIT_WORKERS } = {},
) {
  const from = performance.now();
  const report = `build/test-report-${name}.json`;
  const chosen = projects.flatMap((project) => ['--project', project]);
  const words = [
    'run',
    ...files,
    ...chosen,
    `--maxWorkers=${workers}`,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${report}`,
  ];
  const child = spawn(bin('vitest'), words, {
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...environment },
  });
  const code = await new Promise((done) => child.on('close', done));
  console.log(`${code === 0 ? 'ok  ' : 'FAIL'} ${name} (${seconds(from)} s)`);
  const { numPassedTests, numFailedTests, numPendingTests, testResults } = JSON.parse(
    await readFile(report, 'utf8'),
  );
  const times = testResults.map(({ name: file, startTime, endTime }) => ({
    file: `${relative(root, file)} (${name})`,
    time: endTime - startTime,
  }));
  return {
    passed: numPassedTests,
    failed: numFailedTests,
    skipped: numPendingTests,
    isGreen: code === 0,
    times,
  };
}

/** What can differ on PostgreSQL, run there; where it cannot be had, that is said. */
async function postgresTests() {
  if (!ensurePostgres()) {
    console.log(
      'PostgreSQL is not installed here and cannot be: nothing was tested on it. Install Debian’s postgresql to have it tested.',
    );
    return [];
  }
  const cluster = await openCluster();
  try {
    const environment = { ZORVIK_TEST_POSTGRES: cluster.url };
    return [await tests(['server', 'journeys'], { name: 'postgres', environment, files: POSTGRES_FILES })];
  } finally {
    await cluster.remove();
  }
}

/** The navigation of the stand-in site in every engine that can be had. */
async function engineTests() {
  if (!(await comingEngines)) console.log(NO_ENGINES);
  return tests(['engines'], { workers: 1 });
}

const checking = staticChecks();
ensureBrowser();
ensurePostgres();
/** The other engines come while the units are tested. */
const comingEngines = ensureEngines();
await ensureBuilt();
await ensureTestData();
const runs = [
  await tests(['core', 'server', 'web'], { name: 'units' }),
  ...(await postgresTests()),
  await tests(['journeys'], { workers: JOURNEY_WORKERS }),
  await engineTests(),
];

const isChecked = await checking;

const sum = (what) => runs.reduce((total, one) => total + one[what], 0);
const slowest = runs.flatMap(({ times }) => times).sort((a, b) => b.time - a.time);
console.log('The ten slowest files:');
for (const { file, time } of slowest.slice(0, 10))
  console.log(`${(time / 1000).toFixed(1).padStart(7)} s  ${file}`);
if (!isChecked) console.log('Formatting, lint or types have problems: see above.');
if (!isChecked || !runs.every(({ isGreen }) => isGreen)) process.exitCode = 1;
console.log(
  `${sum('passed')} passed, ${sum('failed')} failed${sum('skipped') > 0 ? `, ${sum('skipped')} skipped` : ''} in ${seconds(begin)} s`,
);
