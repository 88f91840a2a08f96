import { createServer } from 'node:http';
import { strFromU8, unzipSync } from 'fflate';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  addDrawer,
  applyEdit,
  areaId,
  exceptionId,
  readStored,
  renderEdition,
  toStored,
  zoneId,
  type Id,
  type Part,
  type SiteDocument,
} from '@zorvik/core';
import { applied, contextOf, outlined } from '@zorvik/core/testing';
import { delivery, type Delivery } from '../src/delivery/delivery.ts';
import type { LoadedEdition } from '../src/delivery/loadEdition.ts';
import { testServer, type TestServer } from './testServer.ts';

const start = outlined(
  '= /shop\n  = /shop/mugs\n    Deep > /deep\nElsewhere > /elsewhere',
  '/ Home\n/shop Shop\n  /shop/mugs Mugs & more\n/help Help',
);
const { site } = start.document;
const page = (address: string): Id => start.ids.get(address) ?? '';
const header = areaId('header');
const [band = ''] = [...start.document.parts.children.get(header)!];
const zone = zoneId(band, 'end');
const parts: Part[] = [
  { id: 'c00000000000logo', parent: zone, kind: 'logo' },
  { id: 'c00000000000year', parent: zone, kind: 'copyright' },
  { id: 'c0000000000crumb', parent: zone, kind: 'breadcrumb' },
  {
    id: 'c0000000000named',
    parent: site.id,
    kind: 'placement',
    shows: start.menu,
    text: 'Beside an article',
  },
  {
    id: exceptionId('c00000000000logo', { onPage: page('/help') }),
    parent: 'c00000000000logo',
    kind: 'exception',
    isShown: false,
    onPage: page('/help'),
  },
  {
    id: exceptionId('c00000000000year', { template: 'bare' }),
    parent: 'c00000000000year',
    kind: 'exception',
    isShown: false,
    template: 'bare',
  },
];
const document = parts.reduce<SiteDocument>(
  (now, part) => applied(now, { kind: 'addPart', after: null, branch: [part] }),
  start.document,
);
const base = '/delivery/v1/sites/meadow';

let server: TestServer;
beforeAll(async () => {
  server = await testServer(toStored(document));
});
afterAll(() => server.close());
const get = (path: string) => request(server.app).get(`${base}/${path}`);

/** Reads a reply that is no text. */
function asBytes(reply: request.Response, done: (error: Error | null, body: Buffer) => void): void {
  const pieces: Buffer[] = [];
  const stream = reply as unknown as NodeJS.ReadableStream;
  stream.on('data', (piece: Buffer) => pieces.push(piece)).on('end', () => done(null, Buffer.concat(pieces)));
}

interface FrameBody {
  readonly page: string | null;
  readonly header: string;
  readonly side: string;
  readonly places: Readonly<Record<string, string>>;
}
const frameOn = async (query: string): Promise<FrameBody> =>
  (await get(`frame?${query}`).expect(200)).body as FrameBody;

describe('the frame by page', () => {
  it('gives header, side, footer, skip link and named places, and where style sheet and script are', async () => {
    const { body } = await get('frame?page=/shop/mugs').expect('Content-Type', /application\/json/);
    expect(body).toMatchObject({
      page: '/shop/mugs',
      language: 'en',
      direction: 'ltr',
      css: `${base}/navigation.css`,
      script: `${base}/navigation.js`,
      side: '',
      footer: '',
    });
    expect(body.skip).toContain('href="#content"');
    expect(body.header).toMatch(/^<header class="zv zv-header" lang="en" dir="ltr">.*<\/header>$/);
    expect((await frameOn('template=product')).header).toContain('dir="ltr" data-zv-template="product">');
    expect(Object.keys(body.places)).toEqual(['beside-an-article']);
    await request(server.app).get(body.css).expect(200);
    await request(server.app).get(body.script).expect(200);
  });

  it('marks the page and what is above it in menus, says the way to it, and marks no logo', async () => {
    const { header: html } = await frameOn('page=/shop/mugs/?a=1');
    expect(html).toContain('<a aria-current="page" href="/shop/mugs">');
    expect(html).toContain('<a aria-current="true" href="/shop">');
    expect(html).toContain('<li><span aria-current="page">Mugs &amp; more</span></li>');
    const home = await frameOn('page=/');
    expect(home.header).toContain('<div class="zv-logo"><a href="/">');
    const linked = await frameOn('page=/elsewhere');
    expect(linked.page, 'a path that a menu leads to is known').toBe('/elsewhere');
    expect(linked.header).toContain('<a aria-current="page" href="/elsewhere">');
  });

  it('is different where exceptions say so: on a page, and by template where the page is not known', async () => {
    expect((await frameOn('page=/help')).header).not.toContain('zv-logo');
    expect((await frameOn('page=/shop')).header).toContain('zv-logo');
    expect((await frameOn('template=bare')).header).not.toContain('zv-copyright');
    expect((await frameOn('page=/nobody-knows&template=bare')).header).not.toContain('zv-copyright');
    expect((await frameOn('template=__proto__')).header).toContain('zv-copyright');
  });

  it('gives one fragment at an address of its own, and says what is not there', async () => {
    const { text } = await get('frame/header.html?page=/shop/mugs').expect('Content-Type', /text\/html/);
    expect(text).toBe((await frameOn('page=/shop/mugs')).header);
    const place = await get('frame/places/beside-an-article.html?page=/shop').expect(200);
    expect(place.text).toContain('aria-current="page"');
    for (const path of [
      'frame/nothing.html',
      'frame/places/nothing.html',
      'frame/../menus/menu',
      'frame/places/',
    ])
      await get(path).expect(404);
    await get('.frame').expect(404);
    await get('.frame/header/0.html').expect(404);
    expect((await get('frame/skip.html').expect(200)).text).toContain('href="#content"');
  });

  it('comes as files, too: what differs by template in folders, and a page that uses them', async () => {
    const reply = await get('static.zip')
      .buffer(true)
      .parse(asBytes)
      .expect('Content-Type', 'application/zip');
    const files = Object.fromEntries(
      Object.entries(unzipSync(reply.body as Uint8Array)).map(([path, bytes]) => [path, strFromU8(bytes)]),
    );
    expect(Object.keys(files)).toEqual(
      expect.arrayContaining([
        'example.html',
        'navigation/navigation.css',
        'navigation/navigation.js',
        'navigation/menus/menu.html',
        'navigation/menus/menu.json',
        'navigation/frame/header.html',
        'navigation/frame/places/beside-an-article.html',
      ]),
    );
    const header = files['navigation/frame/header.html'] ?? '';
    expect(header).toContain('zv-logo');
    expect(files['example.html']).toContain(header);
    expect(Object.keys(files).filter((path) => path.includes('/.'))).toEqual([]);
    const tag = reply.headers.etag as string;
    await get('static.zip').set('If-None-Match', tag).expect(304);
  });

  it('answers paths that nobody knows with one and the same, and says that nothing changed by its tag', async () => {
    const tags = new Set<string>();
    for (const path of ['/made-up/1', '/made-up/2?x', '/%E0%A4%A', '', '/made-up/%2e%2e/3'])
      tags.add((await get(`frame?page=${path}`).expect(200)).headers['etag'] ?? '');
    expect(tags.size).toBe(1);
    const known = (await get('frame?page=/shop')).headers['etag'] ?? '';
    expect(tags.has(known)).toBe(false);
    await get('frame?page=/shop').set('If-None-Match', known).expect(304);
    await get('frame?page=/shop/').set('If-None-Match', known).expect(304);
    await get('frame?page=/help').set('If-None-Match', known).expect(200);
  });

  it('gives the same as data, with as many levels and fields as are asked for', async () => {
    const { body } = await get('frame?page=/shop/mugs&as=data').expect(200);
    expect(body.way.map(({ title }: { title: string }) => title)).toEqual(['Shop', 'Mugs & more']);
    const menuIn = (data: typeof body) => data.places['beside-an-article'][0].shown;
    expect(menuIn(body).items[0]).toMatchObject({
      label: 'Shop',
      href: '/shop',
      children: [{ children: [{ label: 'Deep' }] }],
    });
    const { body: less } = await get('frame?page=/shop&as=data&fields=label,href&depth=2').expect(200);
    expect(menuIn(less).items[0]).toEqual({
      label: 'Shop',
      href: '/shop',
      children: [{ label: 'Mugs & more', href: '/shop/mugs', children: [] }],
    });
    for (const query of ['depth=0', 'depth=x', 'fields=a%20b', 'fields=,'])
      expect((await get(`frame?as=data&${query}`).expect(400)).body.error.code).toBe('wrongQuery');
  });

  it('has the drawer behind the header, and as data apart from it', async () => {
    const made = addDrawer(contextOf(start.document));
    if (!made.ok) throw new Error(made.refusal.message);
    const applied = applyEdit(start.document, made.value);
    if (!applied.ok) throw new Error(applied.refusal.message);
    const server = await testServer(toStored(applied.value.document));
    const asked = (path: string): request.Test => request(server.app).get(`${base}/${path}`).expect(200);
    const { text } = await asked('frame/header.html?page=/shop');
    expect(text).toMatch(/<\/header><dialog .*aria-current="page".*<\/dialog>$/s);
    expect((await asked('frame?page=/shop')).body.header).toBe(text);
    const { body } = await asked('frame?page=/shop&as=data&fields=label');
    const [band] = body.drawer;
    const [menu] = band.parts[0].parts;
    expect([menu.kind, menu.shown.items[0].label]).toEqual(['placement', 'Shop']);
    await server.close();
  });

  it('is refused for an edition without one, with the reason', async () => {
    const bare = await testServer(
      toStored({
        ...start.document,
        parts: readStored({ ...toStored(start.document), parts: [] } as never).parts,
      }),
    );
    const { body } = await request(bare.app).get(`${base}/frame?page=/`).expect(404);
    expect(body.error).toMatchObject({ code: 'noFrame' });
    await request(bare.app).get(`${base}/menus/menu.html`).expect(200);
    await bare.close();
  });
});

describe('what is made by page', () => {
  function deliveryAt(now: () => Date): Delivery {
    const { files, pages, frame } = renderEdition(document, { compareTitles: () => 0, pictures: '' });
    const edition: LoadedEdition = {
      kind: 'files',
      files: files.map(({ path, type, body }) => ({
        path,
        type,
        hash: path.padEnd(32, '0'),
        bytes: Buffer.from(body),
        gzip: null,
        brotli: null,
      })),
      pages: JSON.stringify(pages),
      frame: JSON.stringify(frame),
    };
    return delivery(() => Promise.resolve(edition), undefined, now);
  }
  const ask = (from: Delivery, path: string) =>
    request(createServer((asked, reply) => void from.answer(asked, reply, asked.url ?? ''))).get(
      `/sites/meadow/${path}`,
    );

  it('has the present year, and another tag when the year changes', async () => {
    let now = new Date('2026-12-31T23:59:59Z');
    const from = deliveryAt(() => now);
    const before = await ask(from, 'frame/header.html?page=/shop').expect(200);
    expect(before.text).toContain('© 2026 Meadow');
    now = new Date('2027-01-01T00:00:01Z');
    const after = await ask(from, 'frame/header.html?page=/shop').expect(200);
    expect(after.text).toContain('© 2027 Meadow');
    expect(after.headers['etag']).not.toBe(before.headers['etag']);
  });
});
