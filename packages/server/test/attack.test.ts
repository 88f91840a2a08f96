import { request as ask, type IncomingMessage, type Server } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import request from 'supertest';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import {
  isReservedKey,
  kindOf,
  OperationShape,
  readStored,
  seededRandom,
  toStored,
  type Operation,
  type StoredDocument,
} from '@zorvik/core';
import { randomDocument, randomOperation } from '@zorvik/core/testing';
import { delivery } from '../src/delivery/delivery.ts';
import { deliveryOnly } from '../src/delivery/deliveryOnly.ts';
import { damageDone } from '../src/editing/damageDone.ts';
import { serverFor } from '../src/listening.ts';
import { isPublicAddress } from '../src/reading/publicAddress.ts';
import { checkOf, problemIn } from '../src/shapeCheck.ts';
import { replayEqualsRows } from './replayEqualsRows.ts';
import { editOf, testServer, type TestServer } from './testServer.ts';

/** What an attack on the running product broke once. */
const start = toStored(randomDocument(seededRandom(33), { pages: 60, menus: 2, items: 40, panels: 4 }));
const site = '/api/v1/sites/meadow';
let server: TestServer;
let http: Server;
let port: number;
beforeAll(async () => {
  server = await testServer(start, { importLimit: 2 * 1_048_576, bodyLimit: 1_048_576 });
  http = serverFor(server.app);
  await new Promise<void>((done) => http.listen(0, '127.0.0.1', done));
  ({ port } = http.address() as AddressInfo);
});
afterAll(async () => {
  http.closeAllConnections();
  await new Promise((done) => http.close(done));
  await server.close();
});

const read = async (): Promise<{ revision: number; document: StoredDocument }> =>
  (await request(server.app).get(site).expect(200)).body;
const code = (body: unknown): string | undefined => (body as { error?: { code: string } }).error?.code;
async function send(operations: readonly Operation[]): Promise<{ status: number; code: string | undefined }> {
  const { revision } = await read();
  const { status, body } = await request(server.app).post(`${site}/edits`).send(editOf(revision, operations));
  return { status, code: code(body) };
}

/**
 * Asks, with the headers as they are given, and leaves after the first piece of the answer, or before there
 * is any.
 */
function leave(
  path: string,
  {
    method = 'GET',
    after = 'head',
    body = '',
  }: { method?: string; after?: 'nothing' | 'head'; body?: string } = {},
): Promise<void> {
  return new Promise((done) => {
    const asked = ask({ port, host: '127.0.0.1', path, method }, (reply: IncomingMessage) => {
      reply.on('error', () => undefined);
      reply.once('data', () => asked.destroy());
    });
    asked.on('error', () => undefined);
    asked.on('close', () => done());
    asked.end(body);
    if (after === 'nothing') setTimeout(() => asked.destroy(), 5);
  });
}

describe('a client that goes away', () => {
  it('ends its own request on every stream, and nothing else: nothing is left unhandled', async () => {
    const unhandled: unknown[] = [];
    const note = (error: unknown): void => void unhandled.push(error);
    process.on('unhandledRejection', note).on('uncaughtException', note);
    const pages = Array.from(
      { length: 3000 },
      (_, at) => `<url><loc>https://m.example/p${at}</loc></url>`,
    ).join('');
    const sitemap = `<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">${pages}</urlset>`;
    for (const after of ['nothing', 'head'] as const) {
      await Promise.all([
        leave('/api/v1/archive', { after }),
        leave(`${site}/pieces`, { after }),
        leave('/api/v1/events', { after }),
        leave(`${site}/imports?missing=keep&session=w000000000000001`, {
          after,
          method: 'POST',
          body: sitemap,
        }),
        leave('/api/v1/archive?replace=yes', { after: 'nothing', method: 'POST', body: 'x' }),
        leave(site, { after }),
      ]);
    }
    // The database is free again: the transactions of those that left have ended.
    expect(
      (
        await send([
          {
            kind: 'updateMenu',
            id: start.menus[0]!.id,
            set: { description: 'Still here' },
            was: { description: '' },
          },
        ])
      ).status,
    ).toBe(200);
    expect((await fetch(`http://127.0.0.1:${port}/api/v1/archive`)).status).toBe(200);
    process.off('unhandledRejection', note).off('uncaughtException', note);
    expect(unhandled).toEqual([]);
  });

  it('whose body never ends, or whose head never comes, is closed', async () => {
    const slow = serverFor(server.app, { head: 300, whole: 600 });
    await new Promise<void>((done) => slow.listen(0, '127.0.0.1', done));
    const { port: at } = slow.address() as AddressInfo;
    const closed = (text: string): Promise<void> =>
      new Promise((done) => {
        const socket = connect(at, '127.0.0.1', () => socket.write(text));
        socket
          .resume()
          .on('close', () => done())
          .on('error', () => undefined);
      });
    await Promise.all([
      closed('GET /healthz HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Slow: '),
      closed(
        `POST ${site}/edits HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: 1000\r\n\r\n{"id":`,
      ),
    ]);
    await new Promise((done) => slow.close(done));
  });
});

describe('the guard', () => {
  it.each([
    [{ 'Sec-Fetch-Site': 'cross-site' }, 403],
    [{ 'Sec-Fetch-Site': 'same-site' }, 403],
    [{ 'Sec-Fetch-Site': 'same-origin' }, 200],
    [{ 'Sec-Fetch-Site': 'none' }, 200],
    [{ Origin: 'http://127.0.0.1:1' }, 403],
    [{ Origin: 'null' }, 403],
    [{ Host: 'elsewhere.example' }, 403],
    [{ Host: '127.1' }, 403],
    [{ Host: '0x7f000001' }, 403],
    [{ Host: 'someone@127.0.0.1' }, 403],
    [{ Host: '127.0.0.1/x' }, 403],
    [{ Host: 'LOCALHOST' }, 200],
    [{ Host: '[::1]:4780' }, 200],
  ])('answers %j with %d, with the headers of the API either way', async (headers, status) => {
    const reply = await request(server.app)
      .get('/api/v1/sites')
      .set({ Host: '127.0.0.1', ...headers });
    expect(reply.status).toBe(status);
    expect(reply.headers['x-content-type-options']).toBe('nosniff');
    expect(reply.headers['content-security-policy']).toContain("default-src 'none'");
  });

  it('takes private addresses for private however they are written', () => {
    for (const address of [
      '2002:7f00:1::',
      '2002:a00:1::1',
      'fec0::1',
      '::127.0.0.1',
      '::10.0.0.1',
      '::ffff:10.0.0.1',
      '::ffff:7f00:1',
      '64:ff9b::a00:1',
      'fe80::1',
    ])
      expect([address, isPublicAddress(address)]).toEqual([address, false]);
    for (const address of ['93.184.215.14', '2606:2800:21f:cb07::1', '::ffff:93.184.215.14'])
      expect([address, isPublicAddress(address)]).toEqual([address, true]);
  });
});

describe('what an edit may set', () => {
  const item = start.items.find(({ parent }) => start.items.some(({ id }) => id === parent))!;
  const page = start.pages.find(({ id }) => start.pages.some(({ parent }) => parent === id))!;
  const child = start.pages.find(({ parent }) => parent === page.id)!;
  const set = (kind: string, id: string, fields: object): Operation =>
    ({ kind, id, set: fields, was: {} }) as unknown as Operation;

  it('is what its schema names and nothing else: no unknown field, no id, no parent', async () => {
    const before = (await read()).document;
    const bad = [
      ...[
        'updateItem',
        'updatePage',
        'updateMenu',
        'updatePlacement',
        'updateSharedLink',
        'updateOwnField',
        'updatePart',
        'updatePreset',
      ].map((kind) => set(kind, item.id, { nosuch: 1 })),
      set('updatePage', page.id, { parent: child.id }),
      set('updateItem', item.id, { parent: item.id }),
      set('updateItem', item.id, { id: 'i000000000000009' }),
      set('updateItem', item.id, { own: { 'Not a key': 'x' } }),
      set('updateItem', item.id, { dropdown: { form: 'panel', panel: { kept: { '…': 1 } } } }),
      { kind: 'updateItem', id: item.id, set: { label: 'x' }, was: { nosuch: 1 } } as unknown as Operation,
      {
        kind: 'addItem',
        after: null,
        branch: [{ ...item, id: 'i000000000000009', nosuch: 1 }],
      } as unknown as Operation,
    ];
    for (const operation of bad)
      expect([JSON.stringify(operation), await send([operation])]).toEqual([
        JSON.stringify(operation),
        { status: 400, code: 'badShape' },
      ]);
    expect((await read()).document).toEqual(before);
  });

  it('holds at every depth of every kind of operation', () => {
    const check = checkOf(OperationShape);
    const random = seededRandom(7);
    let document = randomDocument(random, { pages: 30, menus: 2, items: 40, panels: 4 });
    const seen = new Set<string>();
    for (let step = 0; step < 400; step += 1) {
      const operation = randomOperation(random, document);
      const applied = operation === null ? null : kindOf(operation).apply(document, operation);
      if (operation === null || applied?.ok !== true) continue;
      document = applied.value.document;
      expect(problemIn(check, operation, 'it'), operation.kind).toBeNull();
      seen.add(operation.kind);
      for (const place of objectsIn(operation)) {
        const spoilt = structuredClone(operation);
        place(spoilt)['nosuch-field'] = 1;
        expect(problemIn(check, spoilt, 'it'), `${operation.kind}: ${JSON.stringify(spoilt)}`).not.toBeNull();
      }
    }
    expect(seen.size).toBeGreaterThan(25);
  });

  it('is never stored when it would damage the site, whatever the schema has let through', async () => {
    const document = readStored(start);
    const applied = async (operation: Operation) => {
      const result = kindOf(operation).apply(document, operation);
      if (!result.ok) throw new Error(result.refusal.message);
      return (await damageDone(document, result.value.document, { operations: [result.value.operation] }))
        ?.message;
    };
    expect(await applied(set('updateItem', item.id, { label: 'Sound' }))).toBeUndefined();
    expect(await applied(set('updatePage', page.id, { parent: child.id }))).toMatch(
      /would damage the site \(.*(?:is inside itself|not among the children)/,
    );
    expect(await applied(set('updateItem', item.id, { id: 'i000000000000009' }))).toMatch(
      /would damage the site \(items: more was added or removed than the edit says\)/,
    );
    expect(await applied(set('updateItem', item.id, { nosuch: 1 }))).toMatch(
      /would damage the site \(.*additional properties/,
    );
    expect(
      await applied(set('updateItem', item.id, { destination: { kind: 'email', address: 'no address' } })),
    ).toMatch(/would damage the site/);
    const { id } = document.site;
    await replayEqualsRows(server.deps.database, id, (await read()).revision);
  });
});

/** A way to each object in a value, for a copy of it. */
function objectsIn(value: object): ((copy: object) => Record<string, unknown>)[] {
  const ways: ((copy: object) => Record<string, unknown>)[] = [];
  const visit = (inner: unknown, way: (copy: object) => unknown): void => {
    if (typeof inner !== 'object' || inner === null) return;
    if (!Array.isArray(inner)) ways.push((copy) => way(copy) as Record<string, unknown>);
    for (const [key, one] of Object.entries(inner))
      visit(one, (copy) => (way(copy) as Record<string, unknown>)[key]);
  };
  visit(value, (copy) => copy);
  return ways;
}

describe('addresses that no link may lead to', () => {
  const [menu] = start.menus;
  const bad = [
    'javascript:alert(1)',
    'data:text/html,x',
    '//evil.example/',
    'vbscript:x',
    '/a b',
    'java\tscript:x',
  ];
  const leads = (address: string) => ({ kind: 'address', address }) as const;
  const plain = { label: 'Bad', opensNewTab: false, agreed: null };

  it.each(bad)('%j is refused, wherever it stands', async (address) => {
    const item = start.items[0]!;
    const edits: Operation[] = [
      {
        kind: 'updateItem',
        id: item.id,
        set: { destination: leads(address) },
        was: { destination: item.destination },
      },
      {
        kind: 'addItem',
        after: null,
        branch: [{ id: 'i000000000000001', parent: menu!.id, ...plain, destination: leads(address) }],
      },
      {
        kind: 'addSharedLink',
        after: null,
        branch: [{ id: 'l000000000000001', parent: start.site.id, ...plain, destination: leads(address) }],
      },
      {
        kind: 'updatePage',
        id: start.pages[0]!.id,
        set: { address },
        was: { address: start.pages[0]!.address },
      },
      { kind: 'updatePage', id: start.pages[0]!.id, set: { picture: address }, was: { picture: null } },
    ];
    for (const operation of edits) expect((await send([operation])).status, operation.kind).toBe(400);
  });

  it('that are stored already can be read, and are delivered as none', async () => {
    const { revision, document } = await read();
    const [page] = document.pages;
    const unsafe = [
      { id: 'i00000000000bad1', parent: menu!.id, ...plain, destination: leads('javascript:alert(1)') },
      {
        id: 'i00000000000bad2',
        parent: menu!.id,
        ...plain,
        destination: { kind: 'page', page: page!.id, anchor: null },
      },
    ];
    const { database } = server.deps;
    for (const { id, parent, ...fields } of unsafe)
      await database.execute(
        sql`insert into items values (${start.site.id}, ${id}, ${parent}, ${`zz${id}`}, ${JSON.stringify(fields)}::jsonb)`,
      );
    await database.execute(
      sql`update pages set fields = jsonb_set(fields, '{address}', '"//evil.example/"') where site_id = ${start.site.id} and id = ${page!.id}`,
    );
    server.deps.cache.forget(start.site.id);
    expect((await read()).document.items.some(({ id }) => id === 'i00000000000bad1')).toBe(true);
    await request(server.app).post(`${site}/editions`).send({ note: '', revision }).expect(201);
    const files = `/delivery/v1/sites/meadow/menus/${menu!.key}`;
    const [json, html] = await Promise.all([
      request(server.app).get(files),
      request(server.app).get(`${files}.html`),
    ]);
    expect(json.text + html.text).not.toMatch(/javascript:|evil\.example/);
    expect(JSON.stringify(json.body)).not.toContain('i00000000000bad1');
    // The name can be changed without the old address being in the way.
    const renamed = await send([
      { kind: 'updatePage', id: page!.id, set: { title: 'Renamed' }, was: { title: page!.title } },
    ]);
    expect(renamed).toEqual({ status: 200, code: undefined });
    await database.execute(sql`delete from items where id like 'i00000000000bad%'`);
    await database.execute(
      sql`update pages set fields = jsonb_set(fields, '{address}', ${JSON.stringify(page!.address)}::jsonb) where site_id = ${start.site.id} and id = ${page!.id}`,
    );
    server.deps.cache.forget(start.site.id);
  });

  it('lose the slashes too many at their start when a sitemap brings them', async () => {
    const sitemap = `<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><url><loc>https://s.example//evil.example/x</loc></url></urlset>`;
    await request(server.app)
      .post('/api/v1/sites/from-sitemap?name=Slashes')
      .type('xml')
      .send(sitemap)
      .expect(201);
    const { body } = await request(server.app).get('/api/v1/sites/slashes').expect(200);
    expect((body.document as StoredDocument).pages.map(({ address }) => address)).toEqual([
      '/evil.example/x',
    ]);
  });
});

describe('small things', () => {
  it.each([
    '/api/v1/sites/%00',
    '/api/v1/sites/meadow%00/edits?since=0',
    `${site}/pictures/%00`,
    '/delivery/v1/sites/meadow/%00',
    '/%00',
  ])('a path with %s answers 404', async (path) => {
    expect((await fetch(`http://127.0.0.1:${port}${path}`)).status).toBe(404);
  });

  it('the character U+0000 in a query is refused', async () => {
    expect(
      (
        await fetch(`http://127.0.0.1:${port}/api/v1/sites/from-sitemap?name=%00`, {
          method: 'POST',
          body: '<urlset/>',
        })
      ).status,
    ).toBeLessThan(500);
    expect((await fetch(`http://127.0.0.1:${port}${site}/edits?since=0&session=%00`)).status).toBe(400);
  });

  it('keys that the editor’s own paths have are refused, and not made of a name either', async () => {
    for (const key of ['assets', 'sites', 'design', 'healthz', 'api', 'delivery']) {
      expect(isReservedKey(key)).toBe(true);
      const { status, body } = await request(server.app).post('/api/v1/sites').send({ name: 'Mine', key });
      expect([key, status, code(body)]).toEqual([key, 422, 'reservedKey']);
    }
    expect(
      (await request(server.app).post('/api/v1/sites').send({ name: 'Assets' }).expect(201)).body.key,
    ).toBe('assets-2');
  });

  it.each([
    ['gzip', gzipSync('{"id":"x"}').subarray(0, 15)],
    ['br', brotliCompressSync('{"id":"xxxxxxxxxxxxxxxxxxxxxxxxxxxx"}').subarray(0, 12)],
    ['gzip', Buffer.from('not packed at all')],
    ['br', Buffer.from('not packed at all')],
  ])('a body that %s cannot unpack is refused as that', async (encoding, bytes) => {
    for (const path of [`${site}/edits`, '/api/v1/sites/from-sitemap?name=x', `${site}/pictures`]) {
      const reply = await fetch(`http://127.0.0.1:${port}${path}`, {
        method: 'POST',
        body: new Uint8Array(bytes),
        headers: { 'Content-Encoding': encoding },
      });
      expect([path, reply.status]).toEqual([path, 400]);
      expect(code(await reply.json())).toMatch(/^bad(?:Packing|Json)$/);
    }
  });

  it('a body over its limit is told which setting raises it', async () => {
    const large = 'x'.repeat(3 * 1_048_576);
    const answerOf = async (path: string): Promise<string> =>
      (await (await fetch(`http://127.0.0.1:${port}${path}`, { method: 'POST', body: large })).json()).error
        .message;
    expect(await answerOf(`${site}/edits`)).toContain(
      'larger than the limit of 1 MB. Send less, or raise ZORVIK_BODY_MB.',
    );
    expect(await answerOf(`${site}/editions`)).toContain('raise ZORVIK_BODY_MB');
    expect(await answerOf('/api/v1/sites/from-sitemap?name=x')).toContain(
      'larger than the limit of 2 MB. Send less, or raise ZORVIK_IMPORT_MB.',
    );
    expect(await answerOf(`${site}/imports?missing=keep&session=w000000000000001`)).toContain(
      'raise ZORVIK_IMPORT_MB',
    );
  });
});

describe('delivery', () => {
  const load = vi.fn(() => Promise.reject(new Error('The editor is not back yet.')));
  let only: Server;
  let at: string;
  beforeAll(async () => {
    only = serverFor(deliveryOnly(delivery(load), () => Promise.reject(new Error('No editor.'))));
    await new Promise<void>((done) => only.listen(0, '127.0.0.1', done));
    at = `http://127.0.0.1:${(only.address() as AddressInfo).port}`;
  });
  afterAll(() => new Promise<void>((done) => void only.close(() => done())));

  it('looks up a site only where the whole path names a file of one', async () => {
    load.mockClear();
    for (const path of [
      '/delivery/v1/x/sites/meadow/navigation.css',
      '/delivery/v1/sites/../../api',
      '/delivery/v1/sites/Not a key/x',
      `/delivery/v1/sites/${'a'.repeat(99)}/x`,
    ])
      expect([path, (await fetch(at + path)).status]).toEqual([path, 404]);
    expect(load).not.toHaveBeenCalled();
  });

  it('says that it cannot be had just now when the editor is away', async () => {
    const reply = await fetch(`${at}/delivery/v1/sites/meadow/navigation.css`);
    expect([reply.status, code(await reply.json())]).toEqual([503, 'serverAway']);
  });

  it('answers If-None-Match: * with 304 where there is something', async () => {
    const { revision } = await read();
    await request(server.app).post(`${site}/editions`).send({ note: '', revision });
    const reply = await request(server.app)
      .get('/delivery/v1/sites/meadow/navigation.css')
      .set('If-None-Match', '*');
    expect(reply.status).toBe(304);
    expect(reply.headers.etag).toMatch(/^"/);
    await request(server.app)
      .get('/delivery/v1/sites/meadow/nothing.css')
      .set('If-None-Match', '*')
      .expect(404);
  });
});
