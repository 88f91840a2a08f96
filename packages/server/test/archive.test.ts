import type { Server } from 'node:http';
import { readFile, writeFile } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { PassThrough, Readable } from 'node:stream';
import { gunzipSync, gzipSync } from 'node:zlib';
import request from 'supertest';
import { sql } from 'drizzle-orm';
import { pino } from 'pino';
import { extract, pack } from 'tar-stream';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { readStored, seededRandom, toStored } from '@zorvik/core';
import { randomDocument, randomOperation } from '@zorvik/core/testing';
import { createApp } from '../src/app.ts';
import type { Database } from '../src/db/database.ts';
import { openPglite } from '../src/db/openDatabase.ts';
import { compactLog } from '../src/editing/compactLog.ts';
import { restoreArchive } from '../src/editing/restoreArchive.ts';
import { serverFor } from '../src/listening.ts';
import { tableNames, writeArchive } from '../src/repositories/archive.ts';
import { maybeSite } from '../src/repositories/sites.ts';
import { begin } from './processes.ts';
import { replayEqualsRows } from './replayEqualsRows.ts';
import { migrations, template, testDatabase, type TestDatabase } from './testDatabase.ts';
import { editOf, testServer, type TestServer } from './testServer.ts';

const start = toStored(randomDocument(seededRandom(21), { pages: 40, menus: 3, items: 60, panels: 5 }));
const NOW = new Date('2026-11-23T12:00:00Z');

let server: TestServer;
let archive: Buffer;
beforeAll(async () => {
  server = await testServer(start);
  const drawing =
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 8 8"><path d="M0 0h8v8z"></path></svg>';
  await request(server.app)
    .post('/api/v1/sites/meadow/pictures')
    .set('Content-Type', 'image/svg+xml')
    .send(Buffer.from(drawing))
    .expect(201);
  const random = seededRandom(8);
  for (let step = 0; step < 40; step += 1) {
    const { body } = await request(server.app).get('/api/v1/sites/meadow');
    const operation = randomOperation(random, readStored(body.document));
    if (operation !== null)
      await request(server.app)
        .post('/api/v1/sites/meadow/edits')
        .send(editOf(body.revision, [operation]));
  }
  const { body } = await request(server.app).get('/api/v1/sites/meadow');
  await request(server.app)
    .post('/api/v1/sites/meadow/editions')
    .send({ note: 'Second', revision: body.revision })
    .expect(201);
  archive = await archived(server.deps.database);
});
afterAll(() => server.close());

async function archived(database: Database): Promise<Buffer> {
  const pieces: Buffer[] = [];
  const to = new PassThrough();
  to.on('data', (piece: Buffer) => pieces.push(piece));
  await writeArchive(database, NOW, to);
  return Buffer.concat(pieces);
}

/** Every row of every table, as text; epochs are new after each restoring. */
async function everything(database: Database): Promise<Record<string, string[]>> {
  const all: Record<string, string[]> = {};
  for (const name of tableNames) {
    const { rows } = (await database.execute(
      sql`select row_to_json(t)::text as row from ${sql.identifier(name)} t`,
    )) as unknown as { rows: { row: string }[] };
    all[name] = rows.map(({ row }) => row.replace(/"epoch":"[^"]*"/, '')).sort();
  }
  return all;
}

describe('an archive', () => {
  it('holds everything, and fills PGlite and PostgreSQL alike: there and back, nothing is lost or changed', async () => {
    const before = await everything(server.deps.database);
    expect(Object.values(before).every((rows) => rows.length > 0) || before.checkpoints?.length === 0).toBe(
      true,
    );
    const house = await testDatabase();
    // From where the tests run to a PGlite folder, and back: on PostgreSQL that is moving house, both ways.
    const pglite = await openPglite({ folder: house.folder, template, migrations });
    expect(
      await restoreArchive(pglite.database, Readable.from(archive), { isReplacing: false }),
    ).toMatchObject({ ok: true });
    expect(await everything(pglite.database)).toEqual(before);
    const again = await archived(pglite.database);
    await pglite.close();
    await house.remove();
    const back = await testServer();
    expect(
      await restoreArchive(back.deps.database, Readable.from(again), { isReplacing: false }),
    ).toMatchObject({ ok: true });
    expect(await everything(back.deps.database)).toEqual(before);
    const head = await maybeSite(back.deps.database, 'meadow');
    await replayEqualsRows(back.deps.database, start.site.id, head!.revision);
    const menu = `/delivery/v1/sites/meadow/menus/${start.menus[0]!.key}`;
    expect((await request(back.app).get(menu)).body).toEqual((await request(server.app).get(menu)).body);
    await back.close();
  });

  it('is a plain tar of JSON lines, which any tool can read', () => {
    const text = gunzipSync(archive).toString('latin1');
    expect(text.slice(0, 20)).toContain('zorvik-archive.json');
    expect(text).toContain('{"format":"zorvik-archive","version":8,"madeAt":"2026-11-23T12:00:00.000Z"');
    expect(text).toContain('items/000001.jsonl');
  });

  it('goes through the running server: a site that is restored begins a new epoch, and its windows load it again', async () => {
    const { body: before } = await request(server.app).get('/api/v1/sites/meadow');
    const downloaded = await request(server.app)
      .get('/api/v1/archive')
      .buffer(true)
      .parse((reply, done) => {
        const pieces: Buffer[] = [];
        reply.on('data', (piece: Buffer) => pieces.push(piece));
        reply.on('end', () => done(null, Buffer.concat(pieces)));
      });
    expect(downloaded.headers['content-type']).toBe('application/gzip');
    const menu = start.menus[0]!;
    const edit = editOf(before.revision, [
      {
        kind: 'updateMenu',
        id: menu.id,
        set: { description: 'Lost with the archive' },
        was: { description: '' },
      },
    ]);
    await request(server.app).post('/api/v1/sites/meadow/edits').send(edit);
    await request(server.app).post('/api/v1/archive').send(downloaded.body).expect(409);
    await request(server.app)
      .post('/api/v1/archive?replace=yes')
      .type('application/gzip')
      .send(downloaded.body)
      .expect(200);
    const { body: after } = await request(server.app).get('/api/v1/sites/meadow');
    expect([after.revision, after.document]).toEqual([before.revision, before.document]);
    expect(after.epoch).not.toBe(before.epoch);
    await request(server.app).post(`/api/v1/sites/meadow/edits?epoch=${before.epoch}`).send(edit).expect(409);
    await request(server.app).post(`/api/v1/sites/meadow/edits?epoch=${after.epoch}`).send(edit).expect(200);
    await replayEqualsRows(server.deps.database, start.site.id, after.revision + 1);
  });

  const tarOf = async (entries: readonly (readonly [string, string])[]): Promise<Buffer> => {
    const tar = pack();
    for (const [name, text] of entries) tar.entry({ name }, text);
    tar.finalize();
    const pieces: Buffer[] = [];
    for await (const piece of tar) pieces.push(piece as Buffer);
    return gzipSync(Buffer.concat(pieces));
  };
  const manifest = (changes: object = {}): [string, string] => [
    'zorvik-archive.json',
    JSON.stringify({ format: 'zorvik-archive', version: 1, madeAt: '', rows: {}, ...changes }),
  ];
  /** The archive with some rows of a table changed, and counted again; null takes a row out. */
  const damaged = async (
    table: string,
    change: (row: Record<string, unknown>, at: number) => object | null,
  ): Promise<Buffer> => {
    const entries: [string, string][] = [];
    const unpacked = extract();
    unpacked.end(gunzipSync(archive));
    for await (const entry of unpacked) {
      const pieces: Buffer[] = [];
      for await (const piece of entry) pieces.push(piece as Buffer);
      entries.push([entry.header.name, Buffer.concat(pieces).toString('utf8')]);
    }
    const rows: Record<string, number> = {};
    const changed = entries.map(([name, text]): [string, string] => {
      if (!name.includes('/')) return [name, text];
      const [of = ''] = name.split('/');
      const lines = text.split('\n').filter(Boolean);
      const kept =
        of === table
          ? lines
              .flatMap((line, at) => change(JSON.parse(line) as Record<string, unknown>, at) ?? [])
              .map((row) => JSON.stringify(row))
          : lines;
      rows[of] = (rows[of] ?? 0) + kept.length;
      return [name, kept.map((line) => `${line}\n`).join('')];
    });
    changed[0] = manifest({ version: 6, rows: { ...JSON.parse(entries[0]![1]).rows, ...rows } });
    return tarOf(changed);
  };
  const bad: readonly (readonly [string, () => Buffer | Promise<Buffer>, RegExp])[] = [
    ['not packed at all', () => Buffer.from('<urlset/>'), /can’t be read: incorrect header check/],
    ['cut short', () => archive.subarray(0, archive.length / 2), /can’t be read/],
    [
      'changed in the middle',
      () => Buffer.concat([archive.subarray(0, 3000), Buffer.alloc(50, 7), archive.subarray(3050)]),
      /can’t be read/,
    ],
    ['an empty file', () => Buffer.alloc(0), /can’t be read/],
    ['another tar', () => tarOf([['readme.txt', 'hello']]), /it should begin with zorvik-archive\.json/],
    [
      'of a newer version',
      () => tarOf([manifest({ version: 99 })]),
      /has version 99, and this Zorvik reads up to 8/,
    ],
    [
      'with a part that nobody knows',
      () => tarOf([manifest(), ['pg_shadow/000001.jsonl', '{}']]),
      /a part pg_shadow\/000001\.jsonl, which this Zorvik does not know/,
    ],
    [
      'with rows missing',
      () => tarOf([manifest({ rows: { sites: 3 } })]),
      /it should hold 3 rows of sites, but holds 0/,
    ],
    [
      'with rows that refer to nothing',
      () =>
        tarOf([
          manifest({ rows: { pages: 1 } }),
          ['pages/000001.jsonl', '{"site_id":"s1","id":"p1","parent":"s1","rank":"a","fields":{}}'],
        ]),
      /can’t be read/,
    ],
    [
      'of a version that never was',
      () => tarOf([manifest({ version: -1e9 })]),
      /it should begin with zorvik-archive\.json, which says its version and its rows/,
    ],
    ['of half a version', () => tarOf([manifest({ version: 1.5 })]), /which says its version and its rows/],
    [
      'without a count of its rows',
      () => tarOf([manifest({ rows: undefined })]),
      /which says its version and its rows/,
    ],
    [
      'with a count that is none',
      () => tarOf([manifest({ rows: { sites: 'many' } })]),
      /which says its version and its rows/,
    ],
    [
      'with a row that is nested very deeply',
      () =>
        tarOf([
          manifest({ rows: { sites: 1 } }),
          ['sites/000001.jsonl', `{"id":${'['.repeat(100_000)}${']'.repeat(100_000)}}`],
        ]),
      /a row of sites\/000001\.jsonl has more than 100 nested levels/,
    ],
    [
      'with a line that is not a row',
      () => tarOf([manifest({ rows: { sites: 1 } }), ['sites/000001.jsonl', '[1]']]),
      /a line of sites\/000001\.jsonl is not a row/,
    ],
    [
      'with pages under a parent that is not there',
      () => damaged('pages', (row) => ({ ...row, parent: 'p0000000000nobody' })),
      /“meadow” is damaged: .*parent/,
    ],
    [
      'with items of an unknown shape',
      () => damaged('items', (row) => ({ ...row, fields: { nosuch: 1 } })),
      /“meadow” is damaged/,
    ],
    [
      'with a log that ends early',
      () => damaged('edits', (row, at) => (at === 3 ? null : row)),
      /“meadow” is damaged: .*log/,
    ],
    [
      'with a line that is no JSON',
      () => tarOf([manifest(), ['sites/000001.jsonl', '{"id":']]),
      /can’t be read/,
    ],
  ];
  it.each(bad)('is refused when it is %s, and nothing is changed', async (_, make, words) => {
    const before = await everything(server.deps.database);
    const { body } = await request(server.app)
      .post('/api/v1/archive?replace=yes')
      .type('application/gzip')
      .send(await make())
      .expect(422);
    expect(body.error.message).toMatch(words);
    expect(await everything(server.deps.database)).toEqual(before);
  });
});

describe('an archive that cannot be read to its end', () => {
  /** The database, which loses its connection once it has been asked so many times in a transaction. */
  function failingAfter(database: Database, times: number): Database {
    const asked = (tx: Database): Database => {
      let left = times;
      return wrapped(tx, 'execute', (...words) => {
        left -= 1;
        if (left < 0) throw new Error('the connection is lost');
        return Reflect.apply(tx.execute, tx, words) as unknown;
      });
    };
    return wrapped(database, 'transaction', (work, ...more) =>
      Reflect.apply(database.transaction, database, [
        (tx: Database) => (work as (tx: Database) => unknown)(asked(tx)),
        ...more,
      ]),
    );
  }

  const wrapped = (database: Database, name: string, act: (...words: unknown[]) => unknown): Database =>
    new Proxy(database, {
      get: (target, key) => (key === name ? act : (Reflect.get(target, key) as unknown)),
    });

  it('ends its reply before it is whole, and is told in the log', async () => {
    const lines: string[] = [];
    const database = failingAfter(server.deps.database, tableNames.length + 3);
    const http = serverFor(
      createApp({ ...server.deps, database, log: pino({}, { write: (line) => void lines.push(line) }) }),
    );
    await new Promise<void>((done) => http.listen(0, '127.0.0.1', done));
    const { port } = http.address() as AddressInfo;
    await expect(
      fetch(`http://127.0.0.1:${port}/api/v1/archive`).then((reply) => reply.arrayBuffer()),
    ).rejects.toThrow();
    await vi.waitFor(() => expect(lines).toEqual([expect.stringContaining('A reply failed midway')]));
    await new Promise((done) => http.close(done));
  });
});

describe('npm run backup and npm run restore', () => {
  let house: TestDatabase;
  let http: Server;
  const built = (words: readonly string[], environment: Readonly<Record<string, string>>) =>
    begin(environment, { program: 'archive.js', words });
  beforeAll(async () => {
    house = await testDatabase();
    http = serverFor(server.app);
    await new Promise<void>((done) => http.listen(0, '127.0.0.1', done));
  });
  afterAll(async () => {
    await new Promise((done) => http.close(done));
    await house.remove();
  });

  it('write a file and read it, and archive what was there before it is replaced', async () => {
    const opened = await house.open();
    await restoreArchive(opened.database, Readable.from(archive), { isReplacing: true });
    await opened.close();
    const file = join(house.folder, 'all.tar.gz');
    const backup = built(['backup', file], house.environment);
    expect([await backup.gone, backup.output()]).toEqual([0, `Everything is saved in ${file}.\n`]);
    const refused = built(['restore', file], house.environment);
    expect([await refused.gone, refused.output()]).toEqual([
      1,
      expect.stringContaining('The database already contains sites.'),
    ]);
    const restore = built(['restore', file, '--replace'], house.environment);
    expect(await restore.gone, restore.output()).toBe(0);
    expect(restore.output()).toMatch(
      /^The previous data is in archives\/before-restore-.*\.tar\.gz of the data folder\.\nRestored 1 site, /,
    );
    const missing = built(['restore', join(house.folder, 'nowhere.tar.gz')], house.environment);
    expect([await missing.gone, missing.output()]).toEqual([1, expect.stringContaining('There is no file')]);
  });

  it('ask the server that holds the folder, when one does', async () => {
    const folder = join(house.folder, 'held');
    const { mkdir } = await import('node:fs/promises');
    await mkdir(folder);
    // This process holds it: as a lock says that names it and where it answers.
    const stat = await readFile(`/proc/${process.pid}/stat`, 'utf8');
    const started = stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19];
    const address = `http://127.0.0.1:${(http.address() as AddressInfo).port}`;
    const { hostname } = await import('node:os');
    await writeFile(
      join(folder, 'zorvik.lock'),
      JSON.stringify({ pid: process.pid, started, host: hostname(), address }),
    );
    const file = join(house.folder, 'asked.tar.gz');
    const backup = built(['backup', file], { ZORVIK_DATA: folder });
    expect(await backup.gone, backup.output()).toBe(0);
    const before = await everything(server.deps.database);
    const restore = built(['restore', file, '--replace'], { ZORVIK_DATA: folder });
    expect(await restore.gone, restore.output()).toBe(0);
    expect(await everything(server.deps.database)).toEqual(before);
  });
});

describe('an old log', () => {
  it('gives way to the document that it leads to; what is younger, and what was published, stays', async () => {
    const other = await testServer(start);
    const { deps, app } = other;
    const random = seededRandom(31);
    let day = 0;
    const clock = { ...deps, now: () => new Date(Date.UTC(2027, 0, 1 + day)) };
    const { saveEdit } = await import('../src/editing/saveEdit.ts');
    for (day = 0; day < 200; day += 2) {
      const { body } = await request(app).get('/api/v1/sites/meadow');
      const operation = randomOperation(random, readStored(body.document));
      if (operation !== null) await saveEdit(clock, 'meadow', editOf(body.revision, [operation]), 'Tess');
    }
    const { body: before } = await request(app).get('/api/v1/sites/meadow');
    expect(
      await compactLog(deps, start.site.id, { days: 0, edits: 0 }),
      'none, when it is to be kept for ever',
    ).toBe(0);
    const gone = await compactLog(deps, start.site.id, { days: 90, edits: 10 });
    expect(gone).toBeGreaterThan(20);
    const log = await replayEqualsRows(deps.database, start.site.id, before.revision);
    const latest = Date.parse(log.at(-1)!.at);
    expect(log.every(({ at }) => latest - Date.parse(at) <= 90 * 86_400_000)).toBe(true);
    expect(await compactLog(deps, start.site.id, { days: 90, edits: 10 }), 'once is enough').toBe(0);
    expect(await compactLog(deps, start.site.id, { days: 1, edits: 10 })).toBeGreaterThan(0);
    expect(
      (await replayEqualsRows(deps.database, start.site.id, before.revision)).length,
      'at least so many stay',
    ).toBe(10);
    const { body: missed } = await request(app).get('/api/v1/sites/meadow/edits?since=1').expect(200);
    expect([missed.isCut, missed.edits]).toEqual([true, []]);
    const back = {
      id: 'e00000000000001',
      session: 'w000000000000001',
      known: before.revision,
      epoch: before.epoch,
    };
    const { body: refused } = await request(app)
      .post('/api/v1/sites/meadow/history')
      .send({ ...back, revision: 2 })
      .expect(409);
    expect(refused.error.code).toBe('tooOld');
    await request(app)
      .post('/api/v1/sites/meadow/history')
      .send({ ...back, id: 'e00000000000002', revision: before.revision - 9 })
      .expect(200);
    await request(app).get(`/delivery/v1/sites/meadow/menus/${start.menus[0]!.key}`).expect(200);
    await other.close();
  });
});
