import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';

/** A site that knows nothing of Zorvik but what was copied into its pages and its configuration. */
export interface BareSite {
  readonly address: string;
  /** Its pages as they are kept, by path; `*` is every other. */
  readonly pages: Map<string, string | Uint8Array>;
  /** For so long, in ms, an answer at a path is kept back. */
  delay: (path: string) => number;
  readonly close: () => void;
}

const types: Readonly<Record<string, string>> = {
  css: 'text/css',
  js: 'text/javascript',
  svg: 'image/svg+xml',
  webp: 'image/webp',
};

/**
 * Serves pages, fills server-side includes in them as web servers do (`include virtual`, with `$DOCUMENT_URI`), and
 * passes on what is asked for below `/navigation/` where it has no such file itself: `base` is where that goes.
 */
export async function bareSite(base: string): Promise<BareSite> {
  const pages = new Map<string, string | Uint8Array>();
  const passedOn = async (path: string): Promise<Response> => fetch(base + path.slice('/navigation'.length));
  const included = async (page: string, uri: string): Promise<string> => {
    let html = page;
    for (const [whole, virtual = ''] of page.matchAll(/<!--#include virtual="([^"]*)" -->/g)) {
      const text = await (await passedOn(virtual.replaceAll('$DOCUMENT_URI', uri))).text();
      html = html.replace(whole, () => text);
    }
    return html;
  };
  async function answer({ url = '/' }: IncomingMessage, response: ServerResponse): Promise<void> {
    const { pathname, search } = new URL(url, 'http://bare');
    await new Promise((done) => setTimeout(done, site.delay(pathname)));
    const page = pages.get(pathname) ?? (pathname.startsWith('/navigation/') ? undefined : pages.get('*'));
    const type = types[/\.(\w+)$/.exec(pathname)?.[1] ?? ''] ?? 'text/html; charset=utf-8';
    if (page !== undefined) {
      const body = typeof page === 'string' ? await included(page, pathname) : page;
      return void response.writeHead(200, { 'Content-Type': type }).end(body);
    }
    if (!pathname.startsWith('/navigation/')) return void response.writeHead(404).end();
    const reply = await passedOn(pathname + search);
    response
      .writeHead(reply.status, { 'Content-Type': reply.headers.get('Content-Type') ?? type })
      .end(Buffer.from(await reply.arrayBuffer()));
  }
  const server = createServer(
    (request, response) =>
      void answer(request, response).catch((error: unknown) => response.writeHead(500).end(String(error))),
  );
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const site: BareSite = {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    pages,
    delay: () => 0,
    close() {
      server.closeAllConnections();
      server.close();
    },
  };
  return site;
}
