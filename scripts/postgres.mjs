// A throw-away PostgreSQL cluster of Debian's package, for tests: in a temporary folder, on a free port of
// this machine, gone afterwards.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { chmod, mkdtemp, rm } from 'node:fs/promises';
import { connect, createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/**
 * Debian keeps each version's programs in a folder of its own; the newest is taken. Null: it is not
 * installed.
 */
function programs() {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base)
    ? readdirSync(base).filter((name) => existsSync(join(base, name, 'bin', 'initdb')))
    : [];
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
  return newest === undefined ? null : join(base, newest, 'bin');
}

/** Installs Debian's `postgresql` where that is allowed. Gives whether it is there now. */
export function ensurePostgres() {
  if (programs() !== null) return true;
  if (process.getuid?.() !== 0) return false;
  console.log('Installing postgresql …');
  const apt = (...words) =>
    spawnSync('apt-get', words, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  apt('update');
  apt('install', '-y', '--no-install-recommends', 'postgresql');
  return programs() !== null;
}

/** Starts a cluster. Gives its address and what stops and removes it. */
export async function openCluster() {
  const bin = programs();
  if (bin === null) throw new Error('PostgreSQL is not installed here.');
  const folder = await mkdtemp(join(tmpdir(), 'zorvik-postgres-'));
  // PostgreSQL refuses to run as root: the package has made a user for it.
  const isRoot = process.getuid?.() === 0;
  const as = (program, words) =>
    isRoot
      ? ['runuser', ['-u', 'postgres', '--', join(bin, program), ...words]]
      : [join(bin, program), words];
  if (isRoot) {
    await chmod(folder, 0o755);
    spawnSync('chown', ['postgres', folder]);
  }
  const data = join(folder, 'data');
  const port = await freePort();
  const made = spawnSync(
    ...as('initdb', ['-D', data, '-U', 'postgres', '-A', 'trust', '-E', 'UTF8', '--locale=C', '--no-sync']),
    { encoding: 'utf8' },
  );
  if (made.status !== 0) throw new Error(`initdb did not work: ${made.stderr || made.error?.message}`);
  const settings = [
    '-c',
    'listen_addresses=127.0.0.1',
    '-c',
    `unix_socket_directories=${folder}`,
    '-c',
    'fsync=off',
    '-c',
    'max_connections=200',
  ];
  let child = start();

  function start() {
    const running = spawn(...as('postgres', ['-D', data, '-p', String(port), ...settings]), {
      stdio: ['ignore', 'ignore', 'pipe'],
    });
    running.stderr.resume();
    return running;
  }
  /** All its connections break, as when its machine goes away. */
  async function stop() {
    const gone = new Promise((done) => (child.exitCode === null ? child.once('exit', done) : done()));
    spawnSync(...as('pg_ctl', ['stop', '-D', data, '-m', 'immediate', '-w']));
    await gone;
  }
  await answering(port);
  return {
    url: `postgres://postgres@127.0.0.1:${port}/postgres`,
    stop,
    async again() {
      child = start();
      await answering(port);
    },
    async remove() {
      await stop();
      await rm(folder, { recursive: true, force: true, maxRetries: 5 });
    },
  };
}

/** Waits until the port takes connections, and the server behind it is no longer starting up. */
async function answering(port) {
  for (let tries = 0; tries < 300; tries += 1) {
    const isOpen = await new Promise((done) => {
      const socket = connect(port, '127.0.0.1');
      socket.once('connect', () => (socket.destroy(), done(true)));
      socket.once('error', () => done(false));
    });
    if (isOpen) return;
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error('PostgreSQL did not start within 30 s.');
}

function freePort() {
  return new Promise((done, fail) => {
    const server = createServer();
    server.once('error', fail);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => done(port));
    });
  });
}
