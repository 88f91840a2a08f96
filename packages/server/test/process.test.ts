import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { applyEdit, newDocument, readStored, toStored, type LoggedEdit, type Operation, type StoredDocument } from '@zorvik/core';
import { openPglite } from '../src/db/openDatabase.ts';
import { editOf, migrations, template } from './testServer.ts';

/** The server as it is delivered, in processes of its own. */
const built = fileURLToPath(new URL('../../../build/server/main.js', import.meta.url));

let folder: string;
beforeAll(async () => {
  if (!existsSync(built)) throw new Error('The server is not built. Run `node scripts/setup.mjs` first.');
  folder = await mkdtemp(join(tmpdir(), 'zorvik-process-'));
});
afterAll(() => rm(folder, { recursive: true, force: true, maxRetries: 5 }));

interface Run {
  readonly child: ChildProcess;
  readonly address: string;
  readonly gone: Promise<number | null>;
}

function begin(environment: Record<string, string>): { child: ChildProcess; output: () => string; gone: Promise<number | null> } {
  const child = spawn(process.execPath, [built], { env: { ...process.env, PORT: '0', SITE_PORT: '0', ...environment }, stdio: ['ignore', 'pipe', 'pipe'] });
  let output = '';
  child.stdout?.on('data', (piece: Buffer) => (output += piece.toString()));
  child.stderr?.on('data', (piece: Buffer) => (output += piece.toString()));
  const gone = new Promise<number | null>((done) => child.once('exit', (code) => done(code)));
  return { child, output: () => output, gone };
}

async function start(data: string, environment: Record<string, string> = {}): Promise<Run> {
  const { child, output, gone } = begin({ ZORVIK_DATA: join(folder, data), ...environment });
  for (;;) {
    const [, address] = /Zorvik ready at (\S+)/.exec(output()) ?? [];
    if (address !== undefined) return { child, address, gone };
    if (child.exitCode !== null) throw new Error(output());
    await new Promise((done) => setTimeout(done, 20));
  }
}

/** Starts one that is expected to refuse, and gives what it said. */
async function refused(data: string, environment: Record<string, string> = {}): Promise<string> {
  const { output, gone } = begin({ ZORVIK_DATA: join(folder, data), ...environment });
  expect(await gone).toBe(1);
  return output().trim();
}

async function read(address: string): Promise<{ revision: number; document: StoredDocument }> {
  return (await (await fetch(`${address}/api/v1/sites/quillmere`)).json()) as { revision: number; document: StoredDocument };
}

describe('a process', () => {
  it('loses no acknowledged edit when it is killed while edits arrive, twenty times over', async () => {
    const acknowledged: string[] = [];
    const sent = new Set<string>();
    for (let round = 0; round < 20; round += 1) {
      const run = await start('killed');
      const { revision, document } = await read(run.address);
      const item = document.items[round] ?? document.items[0]!;
      let base = revision;
      let isDead = false;
      const flood = async (): Promise<void> => {
        for (let number = 0; !isDead; number += 1) {
          const operation: Operation = { kind: 'updateItem', id: item.id, set: { label: `Round ${round}, ${number}` }, was: { label: item.label } };
          const edit = editOf(base, [operation]);
          sent.add(edit.id);
          const reply = await fetch(`${run.address}/api/v1/sites/quillmere/edits`, {
            method: 'POST',
            body: JSON.stringify(edit),
            headers: { 'Content-Type': 'application/json' },
          }).catch(() => null);
          const saved = (await reply?.json().catch(() => null)) as { revision?: number } | null | undefined;
          if (reply?.status !== 200 || saved?.revision === undefined) return;
          base = saved.revision;
          acknowledged.push(edit.id);
        }
      };
      const floods = [flood(), flood()];
      // Each time at another moment of the work, but not before there is some.
      const enough = acknowledged.length + 3 + (round % 5);
      while (acknowledged.length < enough) await new Promise((done) => setTimeout(done, 5));
      await new Promise((done) => setTimeout(done, (round * 7) % 23));
      run.child.kill('SIGKILL');
      await run.gone;
      isDead = true;
      await Promise.all(floods);
    }
    const run = await start('killed');
    const { revision, document } = await read(run.address);
    const log: LoggedEdit[] = [];
    while (log.length < revision) {
      const { edits } = (await (await fetch(`${run.address}/api/v1/sites/quillmere/edits?since=${log.length}`)).json()) as { edits: LoggedEdit[] };
      log.push(...edits);
    }
    run.child.kill('SIGTERM');
    await run.gone;
    const logged = log.map(({ id }) => id);
    expect(acknowledged.length, 'enough were taken').toBeGreaterThan(40);
    expect(
      acknowledged.filter((id) => !logged.includes(id)),
      'acknowledged, but not in the log',
    ).toEqual([]);
    expect(new Set(logged).size, 'none twice').toBe(logged.length);
    expect(log.map((edit) => edit.revision)).toEqual(Array.from({ length: revision }, (_, at) => at + 1));
    let replay = newDocument(document.site);
    for (const edit of log) {
      const applied = applyEdit(replay, edit);
      if (!applied.ok) throw new Error(applied.refusal.message);
      replay = applied.value.document;
    }
    expect(toStored(replay), 'log replay equals the rows').toEqual(toStored(readStored(document)));
    // Twenty-one starts of a process: on a busy machine that takes its time.
  }, 300_000);

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
    expect(JSON.parse(await readFile(join(folder, 'locked', 'zorvik.lock'), 'utf8'))).toMatchObject({ pid: second.child.pid });
    second.child.kill('SIGTERM');
    await second.gone;
    // A process id that is in use again by something else does not make the lock alive.
    await writeFile(join(folder, 'locked', 'zorvik.lock'), JSON.stringify({ pid: process.pid, started: '1', host: (await import('node:os')).hostname() }));
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
    await opened.database.execute(sql`insert into drizzle.__drizzle_migrations (hash, created_at) values ('of the future', 9999999999999)`);
    await opened.close();
    expect(await refused('newer')).toMatch(
      /^The data was written by a newer Zorvik \(schema \d+; this one knows \d+\)\. Start the newer version, or use other data\.$/,
    );
    // An older folder: one that no migration has run on yet, which is what the template is.
    const older = await start('older');
    expect((await read(older.address)).document.pages).toHaveLength(407);
    older.child.kill('SIGTERM');
    await older.gone;
  });

  it.each([
    [{ HOST: '0.0.0.0' }, 'HOST is “0.0.0.0”, but until Zorvik has sign-in it listens on this machine only. Leave HOST out, or set it to 127.0.0.1.'],
    [{ HOST: 'example.org' }, 'HOST is “example.org”'],
    [{ PORT: 'eighty' }, 'PORT is “eighty”; a whole number from 0 to 65535 was expected.'],
    [{ PORT: '70000' }, 'PORT is “70000”'],
  ])('refuses the configuration %j with a sentence', async (environment, words) => {
    expect(await refused('configured', environment as Record<string, string>)).toContain(words);
  });

  it('says which port is taken', async () => {
    const run = await start('ports');
    const port = new URL(run.address).port;
    expect(await refused('ports-too', { PORT: port })).toBe(`The port ${port} is taken by another program. Stop that one, or set PORT to a free one.`);
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
