import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { toStored, type Operation } from '@zorvik/core';
import { outlined } from '@zorvik/core/testing';
import { madeFiles, markedFiles } from '../src/delivery/markedFiles.ts';
import { readyFile } from '../src/delivery/sendFile.ts';
import { editOf, testServer, type TestServer } from './testServer.ts';

const { document, ids, menu } = outlined('Seeds > /seeds\n  Spring > /seeds/spring\nBulbs > /bulbs');
const delivery = '/delivery/v1/sites/meadow';
const site = '/api/v1/sites/meadow';

let server: TestServer;
beforeAll(async () => {
  server = await testServer(toStored(document));
});
afterAll(() => server.close());

const get = (path: string) => request(server.app).get(`${delivery}/${path}`);

async function rename(label: string): Promise<void> {
  const { revision } = (await request(server.app).get(site)).body as { revision: number };
  const operation: Operation = {
    kind: 'updateItem',
    id: ids.get('Seeds') ?? '',
    set: { label },
    was: { label: null },
  };
  await request(server.app)
    .post(`${site}/edits`)
    .send(editOf(revision, [operation]))
    .expect(200);
}

async function publish(note = ''): Promise<number> {
  const { revision } = (await request(server.app).get(site)).body as { revision: number };
  const { body } = await request(server.app).post(`${site}/editions`).send({ note, revision }).expect(201);
  return (body as { number: number }).number;
}

describe('delivery', () => {
  it('gives a menu as a tree and as HTML, the style sheet and the script', async () => {
    const { body } = await get('menus/menu')
      .expect(200)
      .expect('Content-Type', /application\/json/);
    expect(body).toMatchObject({
      key: 'menu',
      name: 'Menu',
      language: 'en',
      direction: 'ltr',
      items: [{ label: 'Seeds', href: '/seeds', children: [{ label: 'Spring' }] }, { label: 'Bulbs' }],
    });
    expect((await get('menus/menu.html').expect('Content-Type', /text\/html/)).text).toMatch(
      /^<nav class="zv zv-bar" id="zv-menu" aria-label="Menu"/,
    );
    expect((await get('navigation.css').expect('Content-Type', /text\/css/)).text).toContain('.zv-bar');
    expect((await get('navigation.js').expect('Content-Type', /text\/javascript/)).text).toContain(
      'aria-expanded',
    );
  });

  it('changes only by publishing', async () => {
    const before = (await get('menus/menu')).body as unknown;
    await rename('Not yet');
    expect((await get('menus/menu')).body).toEqual(before);
    const number = await publish('Names');
    expect((await get('menus/menu')).body.items[0].label).toBe('Not yet');
    const { body } = await request(server.app).get(`${site}/editions`).expect(200);
    expect(body.editions[0]).toMatchObject({ number, note: 'Names', actor: 'Tess', items: 3 });
    expect(
      (await request(server.app).get(`${site}/editions/1`)).body.menus[0].items[0].label,
      'the first edition stays as it was',
    ).toBe('Seeds');
  });

  it('has strong tags that hold while the content does, and answers 304 to them', async () => {
    const first = await get('menus/menu');
    const tag = first.headers.etag as string;
    expect(tag).toMatch(/^"[0-9a-f-]+(?:gzip|br)?"$/);
    expect((await get('menus/menu').set('If-None-Match', tag).expect(304)).text).toBe('');
    await get('menus/menu').set('If-None-Match', `"other", W/${tag}`).expect(304);
    await get('menus/menu').set('If-None-Match', '"other"').expect(200);
    await publish();
    expect((await get('menus/menu')).headers.etag, 'the same bytes keep their tag through an edition').toBe(
      tag,
    );
    await rename('Another');
    await publish();
    await get('menus/menu').set('If-None-Match', tag).expect(200);
  });

  it('is packed as the asker takes it, each form with a tag of its own', async () => {
    const plain = await get('navigation.css').set('Accept-Encoding', 'identity');
    const brotli = await get('navigation.css').set('Accept-Encoding', 'gzip, br');
    const gzip = await get('navigation.css').set('Accept-Encoding', 'gzip, br;q=0');
    expect(
      [plain, brotli, gzip].map(({ headers }) => (headers as Record<string, string>)['content-encoding']),
    ).toEqual([undefined, 'br', 'gzip']);
    expect(
      new Set([plain, brotli, gzip].map(({ headers }) => (headers as Record<string, string>).etag)).size,
    ).toBe(3);
    expect(gzip.text).toBe(plain.text);
    expect(plain.headers.vary).toBe('Accept-Encoding');
  });

  it('marks the current page and what is above it where it is asked to', async () => {
    const plain = await get('menus/menu.html').expect(200);
    const spring = await get('menus/menu.html?page=/seeds/spring/').expect(200);
    expect(spring.text).toContain('<a aria-current="page" href="/seeds/spring">');
    expect(spring.text).toMatch(/<a aria-current="true" href="\/seeds">/);
    expect(spring.text.replaceAll(/ aria-current="\w+"/g, '')).toBe(plain.text);
    const same = await get('menus/menu.html?page=%2Fseeds%2Fspring%3Ffrom%3Dmail%23top');
    expect([same.text, same.headers.etag]).toEqual([spring.text, spring.headers.etag]);
    expect(spring.headers.etag).not.toBe(plain.headers.etag);
    await get('menus/menu.html?page=/seeds/spring')
      .set('If-None-Match', spring.headers.etag ?? '')
      .expect(304);
    const packed = await get('menus/menu.html?page=/seeds/spring').set('Accept-Encoding', 'gzip').expect(200);
    expect([packed.headers['content-encoding'], packed.text]).toEqual(['gzip', spring.text]);
  });

  it('gives every page that is not there the same answer, and keeps none of them', async () => {
    const plain = await get('menus/menu.html').expect(200);
    for (const page of [
      '/nowhere',
      '',
      '/%',
      '%00',
      '/seeds/../bulbs',
      'https://evil.example/seeds',
      '/'.repeat(2000),
    ]) {
      const { text, headers } = await get(`menus/menu.html?page=${encodeURIComponent(page)}`).expect(200);
      expect([text, headers.etag], page).toEqual([plain.text, plain.headers.etag]);
    }
    await get('menus/menu?page=/seeds').expect(200).expect('Content-Type', /json/);
    await get('.pages').expect(404);
    const file = readyFile({
      type: 'text/html',
      hash: 'x',
      bytes: Buffer.from(plain.text),
      gzip: null,
      brotli: null,
    });
    const mark = markedFiles(madeFiles(1_000_000));
    for (let at = 0; at < 1000; at += 1) expect(mark(file, `/made-up/${at}`, new Set())).toBe(file);
    expect(mark(file, '/bulbs', new Set())).toBe(mark(file, '/bulbs', new Set()));
  });

  it('answers any origin and host', async () => {
    const { headers } = await get('menus/menu')
      .set('Origin', 'https://meadow.example')
      .set('Host', 'cdn.example')
      .expect(200);
    expect([
      headers['access-control-allow-origin'],
      headers['cross-origin-resource-policy'],
      headers['cache-control'],
    ]).toEqual(['*', 'cross-origin', 'public, no-cache']);
    const preflight = await request(server.app).options(`${delivery}/menus/menu`).expect(204);
    expect(preflight.headers['access-control-allow-headers']).toBe('If-None-Match');
    await request(server.app).head(`${delivery}/menus/menu`).expect(200).expect('Content-Length', /^\d+$/);
  });

  it('says what there is when it has not what was asked for', async () => {
    expect((await get('menus/nope').expect(404)).body.error.message).toBe(
      'There is no menu with the ID “nope” on this site. Its menus are: menu.',
    );
    expect(
      (await request(server.app).get('/delivery/v1/sites/none/menus/menu').expect(404)).body.error.code,
    ).toBe('unknownSite');
    await request(server.app).post('/api/v1/sites').send({ name: 'Fresh' }).expect(201);
    expect(
      (await request(server.app).get('/delivery/v1/sites/fresh/menus/menu').expect(404)).body.error.code,
    ).toBe('nothingPublished');
    await request(server.app).get('/delivery/v1/sites/meadow/../../etc/passwd').expect(404);
    await get('menus/%2e%2e%2fmenu').expect(404);
    await request(server.app).post(`${delivery}/menus/menu`).expect(404);
  });

  it('does not publish what the person has not seen', async () => {
    const { revision } = (await request(server.app).get(site)).body as { revision: number };
    await rename('Unseen');
    const { body } = await request(server.app)
      .post(`${site}/editions`)
      .send({ note: '', revision })
      .expect(409);
    expect(body.error.code).toBe('staleView');
  });

  it('holds back what leads to a page that is not live', async () => {
    expect(document.items.nodes.size).toBe(3);
    expect(
      [...document.items.nodes.values()].every(
        ({ parent }) => parent === menu || document.items.nodes.has(parent),
      ),
    ).toBe(true);
    const pages = outlined('= /live\n= /hidden', '/live Live\n/hidden Hidden');
    const hidden = pages.ids.get('/hidden') ?? '';
    const nodes = pages.document.pages.nodes.with(hidden, {
      ...pages.document.pages.nodes.get(hidden)!,
      state: 'draft',
    });
    const other = await testServer(
      toStored({ ...pages.document, pages: { ...pages.document.pages, nodes } }),
    );
    try {
      const { text } = await request(other.app).get(`${delivery}/menus/menu.html`).expect(200);
      expect(text).toContain('/live');
      expect(text).not.toMatch(/hidden/i);
    } finally {
      await other.close();
    }
  });
});

describe('the editor’s API', () => {
  it.each([
    ['a foreign host', { Host: 'evil.example' }, 'foreignHost'],
    ['a host that only begins like ours', { Host: '127.0.0.1.evil.example' }, 'foreignHost'],
    ['no host that can be read', { Host: '::::' }, 'foreignHost'],
    ['a foreign origin', { Host: '127.0.0.1', Origin: 'https://evil.example' }, 'foreignOrigin'],
    ['an origin without a name, as of a sandbox', { Host: '127.0.0.1', Origin: 'null' }, 'foreignOrigin'],
    [
      'another port of this machine',
      { Host: '127.0.0.1:4780', Origin: 'http://127.0.0.1:9999' },
      'foreignOrigin',
    ],
  ])('refuses %s, to read and to write', async (_, headers, code) => {
    for (const method of ['get', 'post'] as const) {
      const reply = await request(server.app)[method](`${site}/edits?since=0`).set(headers);
      expect([reply.status, reply.body.error?.code]).toEqual([403, code]);
    }
  });

  it('answers this machine by any of its names, from its own pages', async () => {
    for (const host of ['127.0.0.1:4780', 'localhost:4780', '[::1]:4780']) {
      await request(server.app).get(site).set('Host', host).set('Origin', `http://${host}`).expect(200);
    }
  });

  it('packs a whole site for the window that loads it, line by line', async () => {
    const { headers, text } = await request(server.app)
      .get(`${site}/pieces`)
      .set('Accept-Encoding', 'gzip')
      .buffer(true)
      .parse((response, done) => {
        let all = '';
        response.setEncoding('utf8');
        response.on('data', (piece: string) => (all += piece));
        response.on('end', () => done(null, all));
      })
      .then((answer) => ({ headers: answer.headers as Record<string, string>, text: answer.body as string }));
    expect(headers['content-encoding']).toBe('gzip');
    const lines = text
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as object);
    expect(lines[0]).toHaveProperty('head');
    expect(lines.at(-1)).toEqual({ isWhole: true });
  });

  it('answers 404 in JSON where nothing is, and describes itself', async () => {
    const { body } = await request(server.app).get('/api/v1/nothing').expect(404);
    expect(body.error.code).toBe('unknownPath');
    const described = (await request(server.app).get('/api/v1/openapi.json').expect(200)).body as {
      openapi: string;
      paths: Record<string, object>;
    };
    expect(described.openapi).toBe('3.1.0');
    expect(Object.keys(described.paths)).toEqual([
      '/api/v1/sites',
      '/api/v1/sites/from-sitemap',
      '/api/v1/sites/{siteKey}/imports',
      '/api/v1/sites/{siteKey}/reading',
      '/api/v1/sites/{siteKey}/reading/steer',
      '/api/v1/sites/{siteKey}/reading/plan',
      '/api/v1/sites/{siteKey}/reading/take',
      '/api/v1/sites/{siteKey}/links/check',
      '/api/v1/sites/{siteKey}/pictures',
      '/api/v1/sites/{siteKey}/fonts',
      '/api/v1/sites/{siteKey}/pictures/{name}',
      '/api/v1/sites/{siteKey}',
      '/api/v1/sites/{siteKey}/pieces',
      '/api/v1/sites/{siteKey}/edits',
      '/api/v1/sites/{siteKey}/history',
      '/api/v1/sites/{siteKey}/previews',
      '/api/v1/sites/{siteKey}/previews/revoke',
      '/api/v1/sites/{siteKey}/delete',
      '/api/v1/sites/{siteKey}/restore',
      '/api/v1/sites/{siteKey}/people',
      '/api/v1/archive',
      '/api/v1/events',
      '/api/v1/sites/{siteKey}/editions',
      '/api/v1/sites/{siteKey}/editions/{number}',
      '/delivery/v1/sites/{siteKey}/menus/{menuKey}',
      '/delivery/v1/sites/{siteKey}/menus/{menuKey}.html',
      '/delivery/v1/sites/{siteKey}/panels/{menuKey}/{itemId}.html',
      '/delivery/v1/sites/{siteKey}/pictures/{name}',
      '/delivery/v1/sites/{siteKey}/navigation.css',
      '/delivery/v1/sites/{siteKey}/navigation.js',
      '/delivery/v1/sites/{siteKey}/frame',
      '/delivery/v1/sites/{siteKey}/frame/{area}.html',
      '/delivery/v1/sites/{siteKey}/frame/places/{place}.html',
      '/delivery/v1/sites/{siteKey}/static.zip',
      '/delivery/v1/sites/{siteKey}/embed.js',
    ]);
    expect(JSON.stringify(described)).not.toContain('"$id"');
    expect((await request(server.app).get('/healthz').expect(200)).body).toEqual({
      status: 'ok',
      version: 1,
    });
  });
});
