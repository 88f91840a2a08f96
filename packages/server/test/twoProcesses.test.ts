import { get } from 'node:http';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { readStored, toStored, upgraded, type Edit, type StoredDocument } from '@zorvik/core';
import type { ServerMessage } from '@zorvik/contract';
import { maybeSite } from '../src/repositories/sites.ts';
import { readQuillmere, startProcess, stopProcess, type Run } from './processes.ts';
import { replayEqualsRows } from './replayEqualsRows.ts';
import { frozenSite, storeFrozenSite } from './storeFrozenSite.ts';
import { postgres, testDatabase, type TestDatabase } from './testDatabase.ts';
import { editOf } from './testServer.ts';

/** Two Zorvik processes on one PostgreSQL database. PGlite has one process; there this is not a question. */
describe.skipIf(postgres === '')('two processes on one database', () => {
  let database: TestDatabase;
  let runs: readonly [Run, Run];
  beforeAll(async () => {
    database = await testDatabase();
    runs = [await startProcess(database.environment), await startProcess(database.environment)];
  });
  afterAll(async () => {
    for (const run of runs) await stopProcess(run);
    await database.remove();
  });

  const post = async (run: Run, path: string, body: unknown) => {
    const reply = await fetch(`${run.address}/api/v1/sites/quillmere/${path}`, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'Content-Type': 'application/json' },
    });
    return {
      status: reply.status,
      body: (await reply.json()) as { revision: number; error?: { code: string; message: string } },
    };
  };
  const rename = (id: string, label: string, base: number, session: string): Edit =>
    editOf(base, [{ kind: 'updateItem', id, set: { label }, was: { label: null } }], { session });
  const labelAt = async (run: Run, id: string) =>
    (await readQuillmere(run.address)).document.items.find((item) => item.id === id)?.label;

  function listen(run: Run): { heard: ServerMessage[]; leave: () => void } {
    const heard: ServerMessage[] = [];
    const asked = get(`${run.address}/api/v1/events`, (head) => {
      head.on('data', (text: Buffer) => {
        for (const [, json] of text.toString().matchAll(/^data: (.*)$/gm))
          heard.push(JSON.parse(json ?? '') as ServerMessage);
      });
      head.on('error', () => undefined);
    });
    asked.on('error', () => undefined);
    return { heard, leave: () => asked.destroy() };
  }

  it('keep what comes to either, one after the other; each shows what the other kept', async () => {
    const { revision, document } = await readQuillmere(runs[0].address);
    const sent = Array.from({ length: 80 }, (_, at) =>
      rename(document.items[at % 7]!.id, `Label ${at}`, revision, `w00000000000000${at % 5}`),
    );
    const answers = await Promise.all(sent.map((edit, at) => post(runs[at % 2]!, 'edits', edit)));
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200]));
    expect(new Set(answers.map(({ body }) => body.revision)).size, 'no two made the same revision').toBe(80);
    const [one, two] = await Promise.all(runs.map(({ address }) => readQuillmere(address)));
    expect(two).toEqual(one);
    expect(one!.revision).toBe(revision + 80);
  });

  it('upgrade a site of an older format once, although both are asked for it at once', async () => {
    const kept = await database.open();
    await storeFrozenSite(kept.database, frozenSite);
    const { id, key } = frozenSite.end.site;
    const answers = await Promise.all(
      [0, 1, 0, 1].map(async (at) => {
        const reply = await fetch(`${runs[at]!.address}/api/v1/sites/${key}`);
        return (await reply.json()) as { revision: number; document: StoredDocument };
      }),
    );
    const wanted = toStored(upgraded(readStored(frozenSite.end)).document);
    for (const { revision, document } of answers)
      expect([revision, document]).toEqual([frozenSite.edits.length + 1, wanted]);
    await replayEqualsRows(kept.database, id, frozenSite.edits.length + 1);
    await kept.close();
  });

  it('tell each other’s windows, and deliver what the other published', async () => {
    const stream = listen(runs[0]);
    const { revision, document } = await readQuillmere(runs[1].address);
    const id = document.items.find(({ parent }) => parent === document.menus[0]!.id)!.id;
    const saved = await post(
      runs[1],
      'edits',
      rename(id, 'From the other process', revision, 'w000000000000001'),
    );
    await vi.waitFor(() =>
      expect(stream.heard).toContainEqual({ kind: 'site', site: 'quillmere', revision: saved.body.revision }),
    );
    const menu = `/delivery/v1/sites/quillmere/menus/${document.menus[0]!.key}`;
    expect(await (await fetch(runs[0].delivery + menu)).text()).not.toContain('From the other process');
    expect((await post(runs[1], 'editions', { note: '', revision: saved.body.revision })).status).toBe(201);
    await vi.waitFor(async () =>
      expect(await (await fetch(runs[0].delivery + menu)).text()).toContain('From the other process'),
    );
    await post(runs[1], 'people', {
      session: 'w000000000000001',
      name: 'Noor',
      menu: null,
      item: id,
      isLeaving: false,
    });
    await vi.waitFor(() =>
      expect(stream.heard.at(-1)).toMatchObject({ kind: 'people', here: [{ name: 'Noor', item: id }] }),
    );
    stream.leave();
  });

  it('say that the database is away, lose nothing, and go on when it is back', async () => {
    const stream = listen(runs[0]);
    const { revision, document } = await readQuillmere(runs[0].address);
    const { id } = document.items[0]!;
    const name = new URL(database.environment.DATABASE_URL!).pathname.slice(1);
    const admin = new pg.Client({ connectionString: postgres });
    await admin.connect();
    await admin.query(`alter database ${name} allow_connections false`);
    await admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [name]);
    const edit = rename(id, 'Kept after all', revision, 'w000000000000002');
    const away = await post(runs[0], 'edits', edit);
    expect([away.status, away.body.error?.code]).toEqual([503, 'databaseAway']);
    await admin.query(`alter database ${name} allow_connections true`);
    await admin.end();
    const back = await post(runs[0], 'edits', edit);
    expect(back.status, back.body.error?.message).toBe(200);
    expect(await labelAt(runs[1], id)).toBe('Kept after all');
    await vi.waitFor(
      () =>
        expect(stream.heard, 'windows look for what they may have missed').toContainEqual({ kind: 'missed' }),
      { timeout: 15_000 },
    );
    await post(runs[1], 'edits', rename(id, 'Heard again', back.body.revision, 'w000000000000002'));
    await vi.waitFor(() =>
      expect(stream.heard.at(-1)).toEqual({
        kind: 'site',
        site: 'quillmere',
        revision: back.body.revision + 1,
      }),
    );
    stream.leave();
  });

  it('go on when one of them is killed', async () => {
    const { revision, document } = await readQuillmere(runs[0].address);
    const flood = Array.from({ length: 20 }, (_, at) =>
      rename(document.items[1]!.id, `Flood ${at}`, revision, 'w000000000000003'),
    );
    const answers = flood.map((edit, at) => post(runs[at % 2]!, 'edits', edit).catch(() => null));
    await stopProcess(runs[0], 'SIGKILL');
    const acknowledged = (await Promise.all(answers)).flatMap((answer, at) =>
      answer?.status === 200 ? [flood[at]!.id] : [],
    );
    for (const edit of flood) expect((await post(runs[1], 'edits', edit)).status).toBe(200);
    runs = [await startProcess(database.environment), runs[1]];
    const opened = await database.open();
    const head = await maybeSite(opened.database, 'quillmere');
    await replayEqualsRows(opened.database, head!.id, head!.revision, acknowledged);
    await opened.close();
  });
});
