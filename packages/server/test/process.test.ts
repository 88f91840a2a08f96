import { existsSync } from 'node:fs';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seedsWithin } from '@zorvik/core/testing';
import { openPglite } from '../src/db/openDatabase.ts';
import { killManyTimes } from './killing.ts';
import { begin, readQuillmere, startProcess, type Run } from './processes.ts';
import { migrations, postgres, putQuillmere, template, testDatabase } from './testDatabase.ts';

let folder: string;
beforeAll(async () => void (folder = await mkdtemp(join(tmpdir(), 'zorvik-process-'))));
afterAll(() => rm(folder, { recursive: true, force: true, maxRetries: 5 }));

/** Starts one on a data folder: where there is none yet, on one that has Quillmere already. */
async function start(data: string, environment: Record<string, string> = {}): Promise<Run> {
  const path = join(folder, data);
  if (!existsSync(path)) await putQuillmere(path);
  return startProcess({ ZORVIK_DATA: path, ...environment });
}

/** Starts one that is expected to refuse, and gives what it said. */
async function refused(data: string, environment: Record<string, string> = {}): Promise<string> {
  const { output, gone } = begin({ ZORVIK_DATA: join(folder, data), ...environment });
  expect(await gone).toBe(1);
  return output().trim();
}

describe('a process that is killed', () => {
  it('loses no acknowledged edit when it is killed while edits arrive, again and again', async () => {
    const database = await testDatabase();
    if (postgres === '') await putQuillmere(database.folder);
    let kills = 0;
    const acknowledged = await killManyTimes(
      seedsWithin({ least: 8, most: 20, time: 8_000 }),
      database,
      () => (kills += 1),
    );
    expect(acknowledged).toBeGreaterThan(3 * kills);
    await database.remove();
    // Some twenty starts of a process: on a busy machine that takes its time.
  }, 300_000);
});

// What stands on PGlite's folder, and on the configuration, has nothing to do with PostgreSQL.
describe.skipIf(postgres !== '')('a process', () => {
  it('refuses a data folder that another one uses, and takes over a lock that a killed one left', async () => {
    const first = await start('locked');
    const words = await refused('locked');
    expect(words).toMatch(
      /^The data folder .*locked is in use by another Zorvik \(process \d+ on .+\)\. Stop that one, or set ZORVIK_DATA to another folder\.$/,
    );
    first.child.kill('SIGKILL');
    await first.gone;
    expect(existsSync(join(folder, 'locked', 'zorvik.lock'))).toBe(true);
    const second = await start('locked');
    expect(JSON.parse(await readFile(join(folder, 'locked', 'zorvik.lock'), 'utf8'))).toMatchObject({
      pid: second.child.pid,
    });
    second.child.kill('SIGTERM');
    await second.gone;
    // A process id that is in use again by something else does not make the lock alive.
    await writeFile(
      join(folder, 'locked', 'zorvik.lock'),
      JSON.stringify({ pid: process.pid, started: '1', host: (await import('node:os')).hostname() }),
    );
    const third = await start('locked');
    third.child.kill('SIGTERM');
    await third.gone;
  });

  it.each(['SIGINT', 'SIGTERM'] as const)('ends cleanly by %s, and leaves no lock', async (signal) => {
    const run = await start('stopped');
    run.child.kill(signal);
    expect(await run.gone).toBe(0);
    expect(existsSync(join(folder, 'stopped', 'zorvik.lock'))).toBe(false);
  });

  it('refuses data that a newer version wrote, and upgrades older', async () => {
    const opened = await openPglite({ folder: join(folder, 'newer'), template, migrations });
    await opened.database.execute(
      sql`insert into drizzle.__drizzle_migrations (hash, created_at) values ('of the future', 9999999999999)`,
    );
    await opened.close();
    expect(await refused('newer')).toMatch(
      /^The data was written by a newer Zorvik \(schema \d+; this one supports \d+\)\. Start the newer version, or use another data folder\.$/,
    );
    // An older folder: one that no migration has run on yet, which is what the template is.
    const older = await startProcess({ ZORVIK_DATA: join(folder, 'older') });
    expect((await readQuillmere(older.address)).document.pages).toHaveLength(408);
    older.child.kill('SIGTERM');
    await older.gone;
  });

  it.each([
    [
      { HOST: '0.0.0.0' },
      'HOST is “0.0.0.0”, but until Zorvik has sign-in it listens on this machine only. Leave HOST out, or set it to 127.0.0.1.',
    ],
    [{ HOST: 'example.org' }, 'HOST is “example.org”'],
    [{ PORT: 'eighty' }, 'PORT is “eighty”; use a whole number from 0 to 65535.'],
    [{ PORT: '70000' }, 'PORT is “70000”'],
    [{ DELIVERY_PORT: '-1' }, 'DELIVERY_PORT is “-1”'],
  ])('refuses the configuration %j with a sentence', async (environment, words) => {
    expect(await refused('configured', environment as Record<string, string>)).toContain(words);
  });

  it('says which port is taken', async () => {
    const run = await start('ports');
    const port = new URL(run.address).port;
    await putQuillmere(join(folder, 'ports-too'));
    expect(await refused('ports-too', { PORT: port })).toBe(
      `The port ${port} is used by another program. Stop that program, or set PORT to a free port.`,
    );
    const other = new URL(run.delivery).port;
    const words = `The port ${other} is used by another program. Stop that program, or set DELIVERY_PORT to a free port.`;
    expect(await refused('ports-too', { DELIVERY_PORT: other })).toBe(words);
    expect(existsSync(join(folder, 'ports-too', 'zorvik.lock')), 'it lets go of the folder').toBe(false);
    run.child.kill('SIGTERM');
    await run.gone;
  });

  it('delivers to other machines where it is told to, and nothing but editions', async () => {
    const run = await start('open', { DELIVERY_HOST: '0.0.0.0' });
    const { port } = new URL(run.delivery);
    const ask = (path: string, init?: RequestInit) =>
      fetch(`http://127.0.0.1:${port}${path}`, { ...init, headers: { Host: 'menus.example' } });
    expect((await ask('/healthz')).status).toBe(200);
    expect((await ask('/delivery/v1/sites/quillmere/menus/main.html')).status).toBe(200);
    for (const path of ['/', '/api/v1/sites', '/delivery', '/assets/index.js', '/delivery/../api/v1/sites']) {
      const reply = await ask(path);
      expect([path, reply.status, ((await reply.json()) as { error: { code: string } }).error.code]).toEqual([
        path,
        404,
        'unknownPath',
      ]);
    }
    expect((await ask('/delivery/v1/sites/quillmere/menus/main', { method: 'POST' })).status).toBe(404);
    const listed = (await (await fetch(`${run.address}/api/v1/sites`)).json()) as { delivery: string };
    expect(listed.delivery, 'the editor tells where that is').toBe(run.delivery);
    run.child.kill('SIGTERM');
    await run.gone;
  });

  it('answers on every loopback address that it may be given', async () => {
    const run = await start('host', { HOST: 'localhost' });
    expect((await fetch(`${run.address}/healthz`)).status).toBe(200);
    run.child.kill('SIGTERM');
    await run.gone;
  });
});
