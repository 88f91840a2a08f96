// Brings a checkout to where it can run: what is missing is installed, what is stale is built. No
// dependencies of its own.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { root, unlessFresh } from './freshness.mjs';

/** Installs the packages of the lock file. Install scripts stay off: nothing that we use needs one. */
export async function ensureInstalled() {
  await unlessFresh(
    'node_modules/.zorvik-installed',
    ['package-lock.json'],
    () => run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund'], 'Installing packages'),
    'node_modules/vite',
  );
}

const SHARED = ['package-lock.json', 'packages/core', 'packages/contract', 'scripts/build.mjs'];

/**
 * Builds the editor, the server, the stand-in site and the database template, each when what it is made of
 * has changed.
 */
export async function ensureBuilt() {
  const build = async (part) => (await import('./build.mjs'))[part]();
  await unlessFresh(
    'build/.template',
    ['package-lock.json', 'scripts/build.mjs'],
    () => announced('Preparing an empty database', build('buildTemplate')),
    'build/pglite-template',
  );
  await unlessFresh(
    'build/.demo',
    [...SHARED, 'demo'],
    () => announced('Building the stand-in site', build('buildDemo')),
    'build/demo/quillmere.json',
  );
  await unlessFresh(
    'build/.server',
    [...SHARED, 'packages/server', 'packages/formats'],
    () => announced('Building the server', build('buildServer')),
    'build/server/main.js',
  );
  await unlessFresh(
    'build/.web',
    [...SHARED, 'packages/web', 'packages/formats'],
    () => announced('Building the editor', build('buildWeb')),
    'build/web/index.html',
  );
}

/**
 * Makes what only the tests need: an empty database with its schema, and a data folder as it is after a first
 * start.
 */
export async function ensureTestData() {
  await unlessFresh(
    'build/.migrated',
    ['package-lock.json', 'scripts/build.mjs', 'packages/server/src/db/migrations'],
    async () => announced('Preparing a database for tests', (await import('./build.mjs')).buildMigrated()),
    'build/pglite-migrated',
  );
  await unlessFresh(
    'build/.quillmere-data',
    [...SHARED, 'packages/server', 'packages/formats', 'demo'],
    async () => announced('Preparing the test data', (await import('./build.mjs')).buildQuillmereData()),
    'build/quillmere-data/pglite',
  );
}

async function announced(what, work) {
  console.log(`${what} …`);
  await work;
}

function run(command, words, what) {
  console.log(`${what} …`);
  const { status, error } = spawnSync(command, words, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] });
  if (error !== undefined || status !== 0) {
    console.error(`${what} did not work (${command} ${words.join(' ')}). The lines above say why.`);
    process.exit(1);
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  process.chdir(join(root));
  await ensureInstalled();
  await ensureBuilt();
  if (process.argv.includes('--tests')) await ensureTestData();
}
