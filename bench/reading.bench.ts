import { createServer, get } from 'node:http';
import type { AddressInfo } from 'node:net';
import { parse } from 'parse5';
import { quillmereDocument } from '../demo/quillmere/quillmereDocument.ts';
import { SiteReading } from '../packages/server/src/reading/siteReading.ts';
import { byTurns, type Figure } from './figure.ts';

const PAGES = 300;
const ROUNDS = 5;

/**
 * A page as large as those of documentation sites: a side list of the whole section, breadcrumbs, and a text
 * with headings.
 */
function pageOf(at: number): string {
  const { pages } = quillmereDocument();
  const side = Array.from(
    { length: 120 },
    (_, one) =>
      `<li class="toc"><a class="reference" href="/p/${(at + one) % PAGES}">${pages[one % pages.length]?.title ?? ''}</a></li>`,
  );
  const text = Array.from(
    { length: 40 },
    (_, one) =>
      `<section id="part-${one}"><h2>Part ${one} <a href="#part-${one}">¶</a></h2><p>${'Sow under glass, <em>thin</em> early, <code>water</code> late. '.repeat(12)}</p></section>`,
  );
  const trail = at < 10 ? [] : [`<li><a href="/p/${Math.floor(at / 10)}">Above</a></li>`];
  return `<!doctype html><html lang="en"><head><title>Page ${at} – Quillmere</title><meta name="description" content="Page ${at}"></head><body><nav aria-label="Breadcrumb"><ol><li><a href="/p/0">Home</a></li>${trail.join('')}<li>Page ${at}</li></ol></nav><nav><ul>${side.join('')}</ul></nav><main><h1>Page ${at}</h1>${text.join('')}</main></body></html>`;
}

/**
 * Reading a site, from its start page to its tree, against a bare loop that asks for the same pages and
 * parses each.
 */
export async function readingFigure(): Promise<Figure> {
  const texts = Array.from({ length: PAGES }, (_, at) => pageOf(at));
  const server = createServer((request, response) => {
    const text = texts[Number(/^\/p\/(\d+)$/.exec(request.url ?? '')?.[1] ?? -1)];
    response
      .writeHead(text === undefined ? 404 : 200, { 'content-type': 'text/html; charset=utf-8' })
      .end(text ?? '');
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  try {
    const [ours, reference] = await byTurns(
      ROUNDS,
      async () => {
        const reading = new SiteReading(`${origin}/p/0`, { pages: PAGES, allowed: new Set([origin]) });
        await reading.run();
        if (reading.tree().length !== PAGES) throw new Error(`It read ${reading.read} of ${PAGES} pages.`);
      },
      async () => {
        let at = 0;
        const work = async (): Promise<void> => {
          while (at < PAGES) parse(await textOf(`${origin}/p/${at++}`));
        };
        await Promise.all(Array.from({ length: 4 }, work));
      },
    );
    return { name: 'reading', ours: ours / PAGES, reference: reference / PAGES, unit: 'ms/page', target: 2 };
  } finally {
    server.closeAllConnections();
    await new Promise((done) => server.close(done));
  }
}

function textOf(url: string): Promise<string> {
  return new Promise((done, fail) => {
    get(url, (response) => {
      let text = '';
      response.setEncoding('utf8');
      response.on('data', (piece: string) => (text += piece));
      response.on('end', () => done(text));
    }).on('error', fail);
  });
}
