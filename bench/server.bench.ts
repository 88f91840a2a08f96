import { createServer, request as ask, Agent } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { PGlite } from '@electric-sql/pglite';
import autocannon from 'autocannon';
import express from 'express';
import pg from 'pg';
import { SaxesParser } from 'saxes';
import {
  newDocument,
  placementOf,
  resolveMenu,
  seededRandom,
  toStored,
  type Item,
  type Operation,
} from '@zorvik/core';
import { peopleKey } from '@zorvik/contract';
import { randomDocument } from '@zorvik/core/testing';
import { quillmereDocument } from '../demo/quillmere/quillmereDocument.ts';
import {
  importPageList,
  makeSiteOfPages,
  readPageList,
  type Import,
} from '../packages/server/src/editing/importSitemap.ts';
import { siteCache } from '../packages/server/src/editing/siteCache.ts';
import { storeDocument } from '../packages/server/src/editing/storeDocument.ts';
import { readQuillmere, startProcess, stopProcess } from '../packages/server/test/processes.ts';
import { testDatabase } from '../packages/server/test/testDatabase.ts';
import { editOf, testServer, type TestServer } from '../packages/server/test/testServer.ts';
import { quantile, type Figure } from './figure.ts';

/** A server that listens, for as long as `act` takes. */
async function listening<T>(server: TestServer, act: (port: number) => Promise<T>): Promise<T> {
  const http = createServer(server.app);
  await new Promise<void>((done) => http.listen(0, '127.0.0.1', done));
  try {
    return await act((http.address() as AddressInfo).port);
  } finally {
    http.closeAllConnections();
    await new Promise((done) => http.close(done));
  }
}

const agent = new Agent({ keepAlive: true, maxSockets: 1 });

function post(port: number, path: string, body: string): Promise<string> {
  return new Promise((done, fail) => {
    const outgoing = ask(
      {
        port,
        host: '127.0.0.1',
        path,
        method: 'POST',
        agent,
        headers: { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(body) },
      },
      (reply) => {
        let text = '';
        reply.on('data', (piece: Buffer) => (text += piece.toString()));
        reply.on('end', () => (reply.statusCode === 200 ? done(text) : fail(new Error(text))));
      },
    );
    outgoing.on('error', fail);
    outgoing.end(body);
  });
}

const EDITS = 500;
/** Before the engine has compiled what runs often, both sides take several times as long. */
const WARM_UP = 500;

/**
 * The same tables with the same rows in them, without anything of ours around: one transaction of statements
 * at a time.
 */
interface BareDatabase {
  readonly query: (text: string, values?: unknown[]) => Promise<unknown>;
  readonly transaction: (
    act: (query: (text: string, values: unknown[]) => Promise<unknown>) => Promise<void>,
  ) => Promise<void>;
  readonly close: () => Promise<void>;
}

async function bareDatabase(): Promise<BareDatabase> {
  const kept = await testDatabase();
  const opened = await kept.open();
  await storeDocument(
    { database: opened.database, cache: siteCache(), now: () => new Date(), deliveryAddress: '' },
    quillmereDocument(),
    seededRandom(9),
    'Bench',
  );
  await opened.close();
  const url = kept.environment.DATABASE_URL;
  if (url === undefined) {
    const client = await PGlite.create(join(kept.folder, 'pglite'));
    const close = async (): Promise<void> => {
      await client.close();
      await kept.remove();
    };
    return {
      query: (text, values) => client.query(text, values),
      transaction: (act) => client.transaction((tx) => act((text, values) => tx.query(text, values))),
      close,
    };
  }
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  return {
    query: (text, values) => client.query(text, values),
    async transaction(act) {
      await client.query('begin');
      await act((text, values) => client.query(text, values));
      await client.query('commit');
    },
    async close() {
      await client.end();
      await kept.remove();
    },
  };
}

/**
 * An edit posted to the server as it ships until it is acknowledged, against a bare transaction with the same
 * statements, by turns.
 */
export async function saveFigure(): Promise<Figure> {
  const stored = quillmereDocument();
  const kept = await testDatabase();
  const run = await startProcess(kept.environment);
  const port = Number(new URL(run.address).port);
  const bare = await bareDatabase();
  const ours: number[] = [];
  const reference: number[] = [];
  let { revision } = await readQuillmere(run.address);
  for (let turn = -WARM_UP; turn < EDITS; turn += 1) {
    const item = stored.items[(turn + WARM_UP) % stored.items.length]!;
    const operation: Operation = {
      kind: 'updateItem',
      id: item.id,
      set: { label: `Label ${turn}` },
      was: { label: item.label },
    };
    const edit = editOf(revision, [operation]);
    let begin = performance.now();
    await post(port, '/api/v1/sites/quillmere/edits', JSON.stringify(edit));
    if (turn >= 0) ours.push(performance.now() - begin);
    revision += 1;
    const { id, parent, ...fields } = item;
    begin = performance.now();
    await bare.transaction(async (query) => {
      await query(
        'select s.id, s.key, s.epoch, s.revision, s.edition, (select e.revision from edits e where e.site_id = s.id and e.id = $2) as known, (select r.refusal from refusals r where r.site_id = s.id and r.id = $2) as refused from sites s where s.key = $1 for update of s',
        ['quillmere', edit.id],
      );
      await query(
        'insert into items (site_id, id, parent, rank, fields) select $1, r.id, r.parent, r.rank, r.fields from json_to_recordset($2::json) as r(id text, parent text, rank text, fields jsonb) on conflict (site_id, id) do update set parent = excluded.parent, rank = excluded.rank, fields = excluded.fields',
        [
          stored.site.id,
          JSON.stringify([{ id, parent, rank: 'a0', fields: { ...fields, label: `Label ${turn}` } }]),
        ],
      );
      await query('insert into edits values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)', [
        stored.site.id,
        revision,
        edit.id,
        1,
        edit.base,
        edit.session,
        null,
        null,
        JSON.stringify(edit.sentence),
        JSON.stringify(edit.operations),
        new Date().toISOString(),
        'You',
      ]);
      await query('update sites set revision = $2 where id = $1 returning pg_notify($3, $4)', [
        stored.site.id,
        revision,
        'zorvik',
        JSON.stringify({ kind: 'site', site: 'quillmere', revision }),
      ]);
    });
    if (turn >= 0) reference.push(performance.now() - begin);
  }
  await bare.close();
  await stopProcess(run);
  await kept.remove();
  return {
    name: 'save',
    ours: quantile(ours, 0.95),
    reference: quantile(reference, 0.95),
    unit: 'ms',
    target: 1.7,
  };
}

const ADDRESSES = 50_000;

function sitemapOf(count: number): Buffer {
  const urls = Array.from(
    { length: count },
    (_, at) =>
      `<url><loc>https://bench.example/section-${at % 40}/group-${at % 900}/page-${at}</loc><lastmod>2026-11-01</lastmod></url>`,
  );
  return Buffer.from(
    `<?xml version="1.0" encoding="UTF-8"?><urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">${urls.join('\n')}</urlset>`,
  );
}

/** How long a request for a published menu takes, in ms, again and again until `isOver`. */
async function watchDelivery(port: number, isOver: () => boolean): Promise<number[]> {
  const times: number[] = [];
  const reader = new Agent({ keepAlive: true, maxSockets: 1 });
  while (!isOver()) {
    const begin = performance.now();
    await new Promise<void>((done, fail) => {
      const asked = ask(
        { port, host: '127.0.0.1', path: '/delivery/v1/sites/quillmere/menus/main.html', agent: reader },
        (reply) => reply.resume().on('end', done),
      );
      asked.on('error', fail);
      asked.end();
    });
    times.push(performance.now() - begin);
    await new Promise((done) => setTimeout(done, 3));
  }
  reader.destroy();
  return times;
}

/**
 * The longest that a visitor waits for a menu while 50,000 pages are read into the same server, against the
 * 99th of a hundred when it is idle.
 */
export async function stallFigure(): Promise<Figure> {
  const kept = await testDatabase();
  const run = await startProcess(kept.environment);
  const port = Number(new URL(run.delivery).port);
  const idleUntil = performance.now() + 4000;
  const idle = await watchDelivery(port, () => performance.now() > idleUntil);
  let isDone = false;
  const importing = fetch(`${run.address}/api/v1/sites/from-sitemap?name=Bench`, {
    method: 'POST',
    body: sitemapOf(ADDRESSES) as BodyInit,
  })
    .then(async (reply) => {
      if (!(await reply.text()).includes('"done"')) throw new Error('The import did not end well.');
      // Who looks at it afterwards loads all of it: that must not hold up visitors either.
      await (await fetch(`${run.address}/api/v1/sites/bench`)).arrayBuffer();
    })
    .finally(() => (isDone = true));
  const busy = await watchDelivery(port, () => isDone);
  await importing;
  await stopProcess(run);
  await kept.remove();
  return {
    name: 'stall',
    ours: Math.max(...busy),
    reference: quantile(idle, 0.99),
    unit: 'ms',
    target: 100,
    isDifference: true,
  };
}

/**
 * The longest that a visitor waits for a menu while a menu of 10,000 items is published on the same site, against the
 * 99th of a hundred when it is idle.
 */
export async function publishStallFigure(): Promise<Figure> {
  const kept = await testDatabase();
  const run = await startProcess(kept.environment);
  const port = Number(new URL(run.delivery).port);
  const editorPort = Number(new URL(run.address).port);
  const { document, revision } = await readQuillmere(run.address);
  const menu = document.menus.find(({ key }) => key === 'main')?.id;
  const seen = document.items.find(({ parent }) => parent === menu);
  if (seen === undefined) throw new Error('The main menu is empty.');
  const top: Item = { ...seen, id: 'itop000000000000' };
  const below = (at: number, parent: string): Item => ({
    ...top,
    id: `i${String(at).padStart(15, '0')}`,
    parent,
    label: `Entry ${at}`,
  });
  const groups = Array.from({ length: 100 }, (_, at) => below(at, top.id));
  const leaves = groups.flatMap(({ id }, group) =>
    Array.from({ length: 100 }, (_, at) => below(1000 + group * 100 + at, id)),
  );
  const publish = async (note: string): Promise<void> => {
    const { revision: now } = await readQuillmere(run.address);
    const reply = await fetch(`${run.address}/api/v1/sites/quillmere/editions`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ note, revision: now }),
    });
    if (!reply.ok) throw new Error(await reply.text());
  };
  const growing = editOf(revision, [
    { kind: 'addItem', after: null, branch: [top, ...groups, ...leaves] },
  ] as Operation[]);
  await post(editorPort, '/api/v1/sites/quillmere/edits', JSON.stringify(growing));
  await publish('Grown');
  const idleUntil = performance.now() + 4000;
  const idle = await watchDelivery(port, () => performance.now() > idleUntil);
  let isDone = false;
  const publishing = publish('Again').finally(() => (isDone = true));
  const busy = await watchDelivery(port, () => isDone);
  await publishing;
  await stopProcess(run);
  await kept.remove();
  return {
    name: 'publish-stall',
    ours: Math.max(...busy),
    reference: quantile(idle, 0.99),
    unit: 'ms',
    target: 100,
    isDifference: true,
  };
}

/** Bytes that are sent, to all windows, while each says once that it is still where it was: of many windows, and of few. */
export async function presenceFigure(): Promise<Figure> {
  const bytesWith = async (count: number): Promise<number> => {
    const server = await testServer(quillmereDocument());
    try {
      return await listening(server, (port) => presenceBytes(port, count));
    } finally {
      await server.close();
    }
  };
  const reference = await bytesWith(20);
  return {
    name: 'presence-growth',
    ours: (await bytesWith(200)) / 1024,
    reference: reference / 1024,
    unit: 'KB',
    target: 12,
  };
}

async function presenceBytes(port: number, count: number): Promise<number> {
  let bytes = 0;
  const streams = await Promise.all(
    Array.from(
      { length: count },
      () =>
        new Promise<{ destroy: () => void }>((done, fail) => {
          const asked = ask({ port, host: '127.0.0.1', path: '/api/v1/events', agent: false }, (reply) => {
            reply.on('data', (piece: Buffer) => (bytes += piece.length));
            reply.on('error', () => undefined);
            done(asked);
          });
          asked.on('error', fail);
          asked.end();
        }),
    ),
  );
  const windows = Array.from({ length: count }, (_, at) => ({
    session: `w${String(at).padStart(15, '0')}`,
    name: `Person ${at}`,
    menu: null,
    item: null,
  }));
  const beat = async (): Promise<void> => {
    for (const one of windows)
      bytes += (
        await post(
          port,
          '/api/v1/sites/quillmere/people',
          JSON.stringify({ ...one, isLeaving: false, known: peopleKey(windows) }),
        )
      ).length;
  };
  const settled = (): Promise<void> => new Promise((done) => setTimeout(done, 1000));
  await beat();
  await settled();
  bytes = 0;
  await beat();
  await settled();
  for (const stream of streams) stream.destroy();
  return bytes;
}

/**
 * A sitemap of 50,000 addresses until it is stored with its log, against parsing alone plus storing the bare
 * rows.
 */
export async function importFigure(): Promise<Figure> {
  const xml = sitemapOf(ADDRESSES);
  const ours: number[] = [];
  const reference: number[] = [];
  for (let round = 0; round < 3; round += 1) {
    const server = await testServer();
    const random = seededRandom(round);
    let begin = performance.now();
    const list = await readPageList(xml);
    if (!list.ok) throw new Error(list.refusal.message);
    const site = {
      ...toStored(
        newDocument({
          id: 's000000000000009',
          key: 'bench',
          name: 'Bench',
          language: 'en',
          direction: 'ltr',
          timeZone: 'Etc/UTC',
          origin: '',
          breakpoints: { medium: 768, wide: 1024 },
        }),
      ).site,
    };
    const wanted: Import = {
      list: list.value,
      missing: 'keep',
      session: 'w000000000000001',
      actor: 'Bench',
      random,
      onWritten: () => undefined,
    };
    const made = await makeSiteOfPages(server.deps, site, wanted);
    ours.push(performance.now() - begin);
    if (!made.ok) throw new Error(made.refusal.message);
    const again = await importPageList(server.deps, 'bench', wanted);
    if (again.ok) throw new Error('It was stored, and yet is new.');
    await server.close();

    const bare = await bareDatabase();
    await bare.query(
      'create table bare_pages (site_id text, id text, parent text, rank text, fields jsonb, primary key (site_id, id))',
    );
    const rows = list.value.pages.map(({ key, title, address, kind }, at) => ({
      id: `p${at}`,
      parent: 's',
      rank: `a${at}`,
      fields: { key, title, address, kind, state: 'live', language: null, template: null },
    }));
    begin = performance.now();
    const parser = new SaxesParser();
    let count = 0;
    parser.on('text', () => (count += 1));
    parser.write(xml.toString('utf8')).close();
    for (let at = 0; at < rows.length; at += 5000) {
      await bare.query(
        "insert into bare_pages select 's', r.id, r.parent, r.rank, r.fields from json_to_recordset($1::json) as r(id text, parent text, rank text, fields jsonb)",
        [JSON.stringify(rows.slice(at, at + 5000))],
      );
    }
    reference.push(performance.now() - begin);
    await bare.close();
  }
  return {
    name: 'import',
    ours: quantile(ours, 0.5),
    reference: quantile(reference, 0.5),
    unit: 'ms',
    target: 3,
  };
}

/** Requests a second of a menu of 300 items, and of its 304, against Express sending the same bytes. */
export async function deliveryFigures(): Promise<Figure[]> {
  const server = await testServer(
    toStored(randomDocument(seededRandom(4), { pages: 100, menus: 1, items: 300 })),
  );
  const { stored } = await import('../packages/server/src/repositories/nodes.ts').then(({ loadDocument }) =>
    loadDocument(server.deps.database, 's000000000000001'),
  );
  const document = (await import('@zorvik/core')).readStored(stored);
  const [menu = ''] = document.menus.nodes.keys();
  if (placementOf(document, menu) === null) throw new Error('The menu stands nowhere.');
  const body = JSON.stringify(resolveMenu(document, menu));
  const bare = express();
  bare.disable('x-powered-by');
  bare.get('/menu', (_, response) => void response.type('json').send(body));
  bare.get('/not-modified', (_, response) => void response.status(304).end());
  const load = async (url: string, headers: Record<string, string> = {}): Promise<number> => {
    const { requests, non2xx } = await autocannon({ url, headers, connections: 10, duration: 2 });
    if (non2xx > 0 && headers['If-None-Match'] === undefined && !url.endsWith('not-modified'))
      throw new Error(`${non2xx} replies were no success`);
    return requests.average;
  };
  const figures = await listening(server, async (port) => {
    const reference = createServer(bare);
    await new Promise<void>((done) => reference.listen(0, '127.0.0.1', done));
    const barePort = (reference.address() as AddressInfo).port;
    const url = `http://127.0.0.1:${port}/delivery/v1/sites/meadow/menus/menu-0`;
    const etag = (await fetch(url, { headers: { 'Accept-Encoding': 'identity' } })).headers.get('ETag') ?? '';
    const rounds: number[][] = [[], [], [], []];
    for (let round = 0; round < 3; round += 1) {
      rounds[0]!.push(await load(url));
      rounds[1]!.push(await load(`http://127.0.0.1:${barePort}/menu`));
      rounds[2]!.push(await load(url, { 'If-None-Match': etag }));
      rounds[3]!.push(await load(`http://127.0.0.1:${barePort}/not-modified`));
    }
    reference.closeAllConnections();
    reference.close();
    const [full = 0, bareFull = 1, none = 0, bareNone = 1] = rounds.map((values) => quantile(values, 0.5));
    return [
      { name: 'delivery', ours: full, reference: bareFull, unit: '/s', target: 0.9, isFloor: true },
      { name: 'delivery-304', ours: none, reference: bareNone, unit: '/s', target: 0.9, isFloor: true },
    ];
  });
  await server.close();
  return figures;
}

/** `npm start` on a set-up tree until it answers, against opening the same folder alone. */
export async function startFigure(): Promise<Figure> {
  const { openStack } = await import('../e2e/stack.ts');
  const { spawn } = await import('node:child_process');
  const { freePort } = await import('../e2e/stack.ts');
  const stack = await openStack();
  await stack.stop();
  const ours: number[] = [];
  const reference: number[] = [];
  const opener = `import { PGlite } from '@electric-sql/pglite'; const db = await PGlite.create(${JSON.stringify(join(stack.data, 'pglite'))}); await db.query('select 1'); console.log('open'); await db.close();`;
  for (let round = 0; round < 5; round += 1) {
    const port = await freePort();
    const sitePort = await freePort();
    const deliveryPort = await freePort();
    let begin = performance.now();
    const child = spawn('npm', ['start'], {
      cwd: fileURLToPath(new URL('..', import.meta.url)),
      env: {
        ...process.env,
        PORT: String(port),
        SITE_PORT: String(sitePort),
        DELIVERY_PORT: String(deliveryPort),
        ZORVIK_DATA: stack.data,
      },
      stdio: 'ignore',
      detached: true,
    });
    while (
      !(await fetch(`http://127.0.0.1:${port}/healthz`).then(
        (reply) => reply.ok,
        () => false,
      ))
    )
      await new Promise((done) => setTimeout(done, 10));
    ours.push(performance.now() - begin);
    const gone = new Promise((done) => child.once('exit', done));
    if (child.pid !== undefined) process.kill(-child.pid, 'SIGTERM');
    await gone;
    begin = performance.now();
    const alone = spawn(process.execPath, ['--input-type=module', '-e', opener], {
      cwd: fileURLToPath(new URL('..', import.meta.url)),
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    await new Promise<void>((done) => alone.stdout.once('data', () => done()));
    reference.push(performance.now() - begin);
    await new Promise((done) => alone.once('exit', done));
  }
  await stack.remove();
  return {
    name: 'start',
    ours: quantile(ours, 0.5) / 1000,
    reference: quantile(reference, 0.5) / 1000,
    unit: 's',
    target: 1.5,
    isDifference: true,
  };
}
