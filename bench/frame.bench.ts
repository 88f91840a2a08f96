import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import autocannon from 'autocannon';
import express from 'express';
import {
  frameAreas,
  readStored,
  renderArea,
  resolveArea,
  resolveMenu,
  seededRandom,
  siteWords,
  zoneId,
  type Id,
  type Part,
  type ResolvedMenu,
  type SiteDocument,
} from '@zorvik/core';
import { applied, randomDocument, withPlaced } from '@zorvik/core/testing';
import { quillmereDocument } from '../demo/quillmere/quillmereDocument.ts';
import { testServer } from '../packages/server/test/testServer.ts';
import { byTurns, quantile, type Figure } from './figure.ts';

const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));

/** A frame of a menu of 300 items and 40 parts in the zones of its header. */
function largeFrame(): SiteDocument {
  const random = seededRandom(7);
  const bare = randomDocument(random, { pages: 100, menus: 1, items: 300 });
  const [menu = ''] = bare.menus.nodes.keys();
  const document = withPlaced(bare, menu, 'footer', random);
  const band = [...document.parts.nodes.values()].find(({ kind }) => kind === 'band')?.id ?? '';
  return Array.from({ length: 40 }, (_, at): Part => {
    const base = {
      id: `c${String(at).padStart(15, '0')}`,
      parent: zoneId(band, at % 2 === 0 ? 'start' : 'end'),
    };
    const kinds: readonly Part[] = [
      { ...base, kind: 'logo', text: `Logo ${at}` },
      { ...base, kind: 'account', text: 'Account', destination: { kind: 'address', address: '/account' } },
      { ...base, kind: 'button', text: 'Book a visit', destination: { kind: 'address', address: '/book' } },
      { ...base, kind: 'search', text: 'Search', address: '/search', parameter: 'q' },
    ];
    return kinds[at % kinds.length] ?? { ...base, kind: 'copyright' };
  }).reduce((now, part) => applied(now, { kind: 'addPart', after: null, branch: [part] }), document);
}

/** The whole frame resolved and rendered, against JSON of what was resolved. */
export async function frameFigure(): Promise<Figure> {
  const document = largeFrame();
  const choices = { site: document.site, words: siteWords(document), pictures: '' };
  const resolved = () => {
    // As for a page and for an edition: a menu that is placed twice is resolved once.
    const menus = new Map<Id, ResolvedMenu>();
    const menuOf = (id: Id): ResolvedMenu => {
      const menu = menus.get(id) ?? resolveMenu(document, id, { compareTitles: byCode });
      menus.set(id, menu);
      return menu;
    };
    const sources = { document, compareTitles: byCode, keepsEmpty: false, menuOf, exceptionFor: () => null };
    return frameAreas.map((area) => ({ area, resolvedArea: resolveArea(sources, area) }));
  };
  const once = resolved();
  const [ours, reference] = await byTurns(
    200,
    () =>
      Buffer.from(
        resolved()
          .map(({ area, resolvedArea }) => renderArea(area, resolvedArea, choices).html)
          .join(''),
      ),
    () => Buffer.from(JSON.stringify(once)),
  );
  return { name: 'frame', ours: ours * 1000, reference: reference * 1000, unit: 'µs', target: 4 };
}

/** Paths as visitors ask for them: a few often, most seldom (Zipf), and one in ten that nobody knows. */
function asked(paths: readonly string[], count: number): string[] {
  const random = seededRandom(11);
  const share = (): number => random() / 2 ** 32;
  const total = paths.reduce((sum, _, at) => sum + 1 / (at + 1), 0);
  return Array.from({ length: count }, (_, at) => {
    if (share() < 0.1) return `/made-up/${at}`;
    let left = share() * total;
    return paths.find((__, rank) => (left -= 1 / (rank + 1)) <= 0) ?? '/';
  });
}

/** The frame by page, cold and warm, and what 100,000 made-up paths leave in memory. */
export async function frameDeliveryFigures(): Promise<Figure[]> {
  const server = await testServer(quillmereDocument());
  const http = createServer(server.app);
  await new Promise<void>((done) => http.listen(0, '127.0.0.1', done));
  const { port } = http.address() as AddressInfo;
  const address = (path: string): string =>
    `/delivery/v1/sites/quillmere/frame?page=${encodeURIComponent(path)}`;
  const paths = [...readStored(quillmereDocument()).pages.nodes.values()].map((page) => page.address);
  const base = `http://127.0.0.1:${port}`;
  const body = await (await fetch(base + address('/'))).text();
  const bare = express();
  bare.disable('x-powered-by');
  bare.get('/frame', (_, response) => void response.type('json').send(body));
  const reference = createServer(bare);
  await new Promise<void>((done) => reference.listen(0, '127.0.0.1', done));
  const barePort = (reference.address() as AddressInfo).port;
  const perSecond = async (ask: (path: string) => string): Promise<number> => {
    const begin = performance.now();
    // Both send the same bytes: who asks unpacks nothing.
    const headers = { 'Accept-Encoding': 'identity' };
    for (const path of paths) await (await fetch(ask(path), { headers })).arrayBuffer();
    return paths.length / ((performance.now() - begin) / 1000);
  };
  const bareFrame = (): string => `http://127.0.0.1:${barePort}/frame`;
  // The first requests of a process are slow for the one who asks, too: that is not measured.
  await perSecond(bareFrame);
  const bareCold = await perSecond(bareFrame);
  const cold = await perSecond((path) => base + address(path));
  const load = async (url: string, requests: readonly string[]): Promise<number> => {
    const result = await autocannon({
      url,
      connections: 10,
      duration: 3,
      requests: requests.map((path) => ({ path })),
    });
    return result.requests.average;
  };
  const wanted = asked(paths, 1000).map(address);
  const rounds: [number[], number[]] = [[], []];
  for (let round = 0; round < 3; round += 1) {
    rounds[0].push(await load(base, wanted));
    rounds[1].push(await load(`http://127.0.0.1:${barePort}`, ['/frame']));
  }
  const heap = (): number => {
    globalThis.gc?.();
    return process.memoryUsage().heapUsed / 1_048_576;
  };
  const before = heap();
  for (let at = 0; at < 100_000; at += 50)
    await Promise.all(
      Array.from({ length: 50 }, (_, step) =>
        server.deps.delivery.answer(silent(), ignored(), `/sites/quillmere/frame?page=/x${at + step}`),
      ),
    );
  const after = heap();
  for (const one of [http, reference]) {
    one.closeAllConnections();
    one.close();
  }
  await server.close();
  return [
    {
      name: 'frame-delivery',
      ours: quantile(rounds[0], 0.5),
      reference: quantile(rounds[1], 0.5),
      unit: '/s',
      target: 0.8,
      isFloor: true,
    },
    { name: 'frame-cold', ours: cold, reference: bareCold, unit: '/s', target: 0.8, isFloor: true },
    { name: 'frame-memory', ours: after, reference: before, unit: 'MB', target: 8, isDifference: true },
  ];
}

type Answer = Parameters<Awaited<ReturnType<typeof testServer>>['deps']['delivery']['answer']>;
const silent = (): Answer[0] => ({ method: 'GET', headers: {} }) as Answer[0];
const ignored = (): Answer[1] => {
  const response = { writeHead: () => response, end: () => response };
  return response as unknown as Answer[1];
};
