import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import { afterEach, describe, expect, it } from 'vitest';
import { addLink, applyEdit, withNodesLast, type Part, type SiteDocument } from '@zorvik/core';
import { contextOf, outlined } from '@zorvik/core/testing';
import { deadLinks, outsideLinks } from '../src/reading/checkLinks.ts';
import { fetchPage } from '../src/reading/fetchPage.ts';
import { isPublicAddress } from '../src/reading/publicAddress.ts';
import { SiteReading, type ReadingLimits } from '../src/reading/siteReading.ts';

type Answer = (request: IncomingMessage, response: ServerResponse) => void;
const servers: Server[] = [];
afterEach(async () => {
  for (const server of servers.splice(0)) {
    server.closeAllConnections();
    await new Promise((done) => server.close(done));
  }
});

/** A site of a few answers; what it does not have is not found. */
async function site(
  answers: Readonly<Record<string, Answer | string>>,
): Promise<{ origin: string; asked: string[] }> {
  const asked: string[] = [];
  const server = createServer((request, response) => {
    const path = request.url ?? '/';
    asked.push(path);
    const answer = answers[path] ?? answers[path.split('?')[0] ?? ''] ?? answers['*'];
    if (answer === undefined)
      response.writeHead(404, { 'content-type': 'text/html' }).end('<title>Gone</title>');
    else if (typeof answer === 'string')
      response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(answer);
    else answer(request, response);
  });
  servers.push(server);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return { origin: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, asked };
}

const html = (title: string, ...links: string[]): string =>
  `<title>${title}</title><h1>${title}</h1>${links.map((link) => `<a href="${link}">${link}</a>`).join('')}`;
async function readAll(origin: string, limits: Partial<ReadingLimits> = {}): Promise<SiteReading> {
  const reading = new SiteReading(`${origin}/`, {
    pages: 200,
    allowed: new Set([origin]),
    patience: 1500,
    ...limits,
  });
  await reading.run();
  return reading;
}
const addresses = (reading: SiteReading): string[] =>
  reading
    .tree()
    .map(({ address }) => address)
    .sort();

describe('reading a site', () => {
  it('follows its links and its sitemaps, packed and in an index, and says what could not be read', async () => {
    const { origin, asked } = await site({
      '/': html('Home', '/a', '/b', '/missing', '/loop', 'https://elsewhere.example/x', '/robbed/secret'),
      '/a': html('A', '/', '/a?x=1&y=2', '/a?y=2&x=1', '/a/index.html'),
      '/a/': html('A slash'),
      '/b': (_, response) => response.writeHead(301, { location: '/new-b' }).end(),
      '/new-b': html('B'),
      '/loop': (_, response) => response.writeHead(302, { location: '/loop' }).end(),
      '/listed': html('Listed'),
      '/also': html('Also'),
      '/robots.txt': (_, response) =>
        response.writeHead(200).end('User-agent: *\nDisallow: /robbed/\nSitemap: /index.xml'),
      '/sitemap.xml': (request, response) =>
        response
          .writeHead(200, { 'content-type': 'application/xml' })
          .end(
            `<sitemapindex xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><sitemap><loc>http://${request.headers.host ?? ''}/part.xml.gz</loc></sitemap></sitemapindex>`,
          ),
      '/part.xml.gz': (request, response) =>
        response
          .writeHead(200, { 'content-type': 'application/gzip' })
          .end(
            gzipSync(
              `<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><url><loc>http://${request.headers.host ?? ''}/listed</loc></url><url><loc>http://${request.headers.host ?? ''}/also</loc></url></urlset>`,
            ),
          ),
    });
    const reading = await readAll(origin);
    expect(reading.state).toBe('done');
    expect(addresses(reading)).toEqual(['/', '/a', '/a/', '/a?x=1&y=2', '/also', '/listed', '/new-b']);
    expect(reading.redirects.get('/b')).toBe('/new-b');
    const problems = new Map(reading.problems.map(({ address, reason }) => [address, reason]));
    expect(problems.get('/missing')).toBe('the server answers 404');
    expect(problems.get('/loop')).toBe('it redirects to itself');
    expect(problems.get('/robbed/secret')).toBe('robots.txt disallows it');
    expect(asked).not.toContain('/robbed/secret');
  });

  it('stops at its limit, however endless the site, and keeps to addresses that a person could have made', async () => {
    let made = 0;
    const { origin } = await site({
      '*': (_, response) =>
        response
          .writeHead(200, { 'content-type': 'text/html' })
          .end(html('Day', `/day/${(made += 1)}`, `/day/${(made += 1)}`, `/${'x/'.repeat(40)}`)),
    });
    const reading = await readAll(origin, { pages: 30 });
    expect(reading.state).toBe('done');
    expect(reading.read).toBeLessThanOrEqual(30);
    expect(addresses(reading).every((address) => address.length < 40)).toBe(true);
  });

  it.each([
    ['nothing', () => undefined, 'it took longer than'],
    [
      'half an answer',
      (response: ServerResponse) =>
        void response
          .writeHead(200, { 'content-type': 'text/html', 'content-length': '5000' })
          .write('<title>Half', () => response.destroy()),
      'the connection was lost',
    ],
    ['an endless answer', (response: ServerResponse) => endless(response), 'the response is too large'],
    [
      'an answer that unpacks to endless bytes',
      (response: ServerResponse) =>
        void response
          .writeHead(200, { 'content-type': 'text/html', 'content-encoding': 'gzip' })
          .end(gzipSync(Buffer.alloc(60_000_000))),
      'the response is too large',
    ],
    [
      'bytes that cannot be unpacked',
      (response: ServerResponse) =>
        void response
          .writeHead(200, { 'content-type': 'text/html', 'content-encoding': 'gzip' })
          .end('no gzip'),
      'the response cannot be decompressed',
    ],
    [
      'a way to another site',
      (response: ServerResponse) => void response.writeHead(302, { location: 'http://192.168.0.1/' }).end(),
      'it redirects to another site',
    ],
    [
      'a way on without end',
      (response: ServerResponse, request: IncomingMessage) =>
        void response.writeHead(302, { location: `${request.url ?? ''}x` }).end(),
      'it redirects more than',
    ],
    [
      'an error that says that it is none',
      (response: ServerResponse) =>
        void response.writeHead(200, { 'content-type': 'text/html' }).end('<title>404 Not found</title>'),
      'it looks like an error page',
    ],
  ])(
    'goes on beside a page that answers with %s, and says so',
    async (_, answer: (response: ServerResponse, request: IncomingMessage) => void, reason) => {
      const { origin } = await site({
        '/': html('Home', '/bad', '/good'),
        '*': (request, response) => answer(response, request),
        '/good': html('Good'),
        '/robots.txt': '',
        '/sitemap.xml': '',
      });
      const reading = await readAll(origin);
      expect(addresses(reading)).toEqual(['/', '/good']);
      expect(reading.problems).toEqual([
        { address: '/bad', reason: expect.stringContaining(reason) as string },
      ]);
    },
  );

  it('can be paused, goes on, and is ended at once', async () => {
    const { origin } = await site({
      '*': (request, response) =>
        setTimeout(
          () =>
            response
              .writeHead(200, { 'content-type': 'text/html' })
              .end(html('P', `${request.url ?? ''}1`, `${request.url ?? ''}2`)),
          5,
        ),
    });
    const reading = new SiteReading(`${origin}/`, { pages: 5000, allowed: new Set([origin]) });
    const done = reading.run();
    await new Promise((turn) => setTimeout(turn, 300));
    reading.pause();
    await new Promise((turn) => setTimeout(turn, 200));
    const { read } = reading;
    await new Promise((turn) => setTimeout(turn, 300));
    expect([reading.state, reading.read]).toEqual(['paused', read]);
    reading.goOn();
    await new Promise((turn) => setTimeout(turn, 300));
    expect(reading.read).toBeGreaterThan(read);
    reading.cancel();
    await done;
    expect(reading.state).toBe('cancelled');
  });

  it('says why there is nothing to read', async () => {
    const { origin } = await site({});
    expect(await readAll(origin)).toMatchObject({ state: 'failed', reason: 'the server answers 404' });
    expect(await readAll('http://127.0.0.1:9')).toMatchObject({
      state: 'failed',
      reason: 'the connection was refused',
    });
  });
});

describe('links that lead outside', () => {
  it('are asked for once each, from menus, panels and shared links, and told where nothing answers', async () => {
    const { origin, asked } = await site({
      '/there': 'yes',
      '/moved': (_, response) => void response.writeHead(301, { location: '/there' }).end(),
      '/mine': (_, response) => void response.writeHead(401).end(),
      '/endless': (_, response) => endless(response),
    });
    const links = ['/there', '/moved', '/mine', '/endless', '/missing'].map((path) => origin + path);
    const dead = await deadLinks([...links, 'http://127.0.0.1:9/'], new Set([origin, 'http://127.0.0.1:9']));
    expect(dead.map(({ address, reason }) => `${address.replace(origin, '')}: ${reason}`).sort()).toEqual([
      '/missing: the server answers 404',
      'http://127.0.0.1:9/: the connection was refused',
    ]);
    expect(asked.filter((path) => path === '/there')).toHaveLength(2);
    const { document, menu } = outlined('A > https://a.example/\nB > https://a.example/\nC > /own', '/ Home');
    let seed = 0;
    const add = (from: SiteDocument, address: string): SiteDocument => {
      const made = addLink(
        contextOf(from, (seed += 1)),
        { parent: menu, after: null },
        { label: 'x', address },
      );
      if (!made.ok) throw new Error(made.refusal.message);
      const applied = applyEdit(from, made.value);
      if (!applied.ok) throw new Error(applied.refusal.message);
      return applied.value.document;
    };
    const own = { ...document.site, origin: 'https://quillmere.example' };
    const known = add(add({ ...document, site: own }, 'https://quillmere.example/own'), 'mailto:x@y.example');
    expect(outsideLinks(known)).toEqual(['https://a.example/']);
    const [item = ''] = known.items.nodes.keys();
    const to = (address: string) => ({ kind: 'address' as const, address });
    const parts: Part[] = [
      { id: 'crow', parent: item, kind: 'row' },
      { id: 'ccell', parent: 'crow', kind: 'cell', span: 12 },
      {
        id: 'cbutton',
        parent: 'ccell',
        kind: 'button',
        text: 'x',
        destination: to('https://b.example/'),
      },
      {
        id: 'ctext',
        parent: 'ccell',
        kind: 'text',
        body: [{ kind: 'paragraph', runs: [{ text: 'x', to: to('https://c.example/') }] }],
      },
    ];
    const panels = { ...known, parts: withNodesLast(known.parts, parts) };
    expect(outsideLinks(panels), 'those of panels and their texts, too').toEqual([
      'https://a.example/',
      'https://b.example/',
      'https://c.example/',
    ]);
  });
});

describe('what may be asked for', () => {
  it.each([
    '127.0.0.1',
    '10.1.2.3',
    '172.20.0.1',
    '192.168.1.1',
    '169.254.169.254',
    '100.64.0.1',
    '0.0.0.0',
    '::1',
    'fe80::1',
    'fc00::1',
    '::ffff:127.0.0.1',
    '::ffff:10.0.0.1',
    'localhost',
    '',
  ])('is not %j', (address) => expect(isPublicAddress(address)).toBe(false));

  it('is the open web', () => {
    expect(['93.184.216.34', '2606:2800:220:1::1', '::ffff:93.184.216.34'].map(isPublicAddress)).toEqual([
      true,
      true,
      true,
    ]);
  });

  it.each([
    'http://127.0.0.1:%d/',
    'http://localhost:%d/',
    'http://[::1]:%d/',
    'http://0.0.0.0:%d/',
    'http://2130706433:%d/',
    'http://127.1:%d/',
  ])('is no private address unless that very origin is allowed: %s', async (form) => {
    const { origin, asked } = await site({ '/': html('Secret') });
    const url = form.replace('%d', new URL(origin).port);
    const found = await fetchPage(url, {
      most: 1000,
      patience: 1000,
      allowed: new Set(),
      origin: new URL(url).origin,
    });
    expect(found).toMatchObject({
      kind: 'failed',
      reason: expect.stringContaining('private network') as string,
    });
    expect(asked).toEqual([]);
  });
});

function endless(response: ServerResponse): void {
  response.writeHead(200, { 'content-type': 'text/html' });
  const more = (): void =>
    void (response.destroyed || response.write('x'.repeat(100_000), () => setImmediate(more)));
  more();
}
