import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { readInThread } from '../packages/server/src/reading/readInThread.ts';
import type { SiteReader } from '../packages/server/src/reading/siteReader.ts';

/** Reading in a thread of its own, as the built server does it. */
const open = readInThread(fileURLToPath(new URL('../build/server/readingThread.js', import.meta.url)));
const servers: Server[] = [];
const readers: SiteReader[] = [];
afterEach(async () => {
  for (const reader of readers.splice(0)) reader.close();
  for (const server of servers.splice(0)) {
    server.closeAllConnections();
    await new Promise((done) => server.close(done));
  }
});

async function read(
  answer: (request: IncomingMessage, response: ServerResponse) => void,
  pages = 100,
): Promise<SiteReader> {
  const server = createServer(answer);
  servers.push(server);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const reader = open(`${origin}/`, { pages, allowed: new Set([origin]) });
  readers.push(reader);
  return reader;
}
const html = (response: ServerResponse, text: string): void =>
  void response.writeHead(200, { 'content-type': 'text/html' }).end(text);

describe('a site that is read in a thread of its own', () => {
  it('gives its tree and what led elsewhere, and tells what could not be read', async () => {
    const reader = await read((request, response) => {
      if (request.url === '/')
        html(response, '<title>Home</title><a href="/a">a</a><a href="/old">b</a><a href="/none">c</a>');
      else if (request.url === '/a') html(response, '<title>A</title><a href="/a/b">b</a>');
      else if (request.url === '/a/b') html(response, '<title>B</title>');
      else if (request.url === '/old') response.writeHead(301, { location: '/a' }).end();
      else response.writeHead(404).end();
    });
    await reader.ended;
    expect(reader.progress()).toMatchObject({
      state: 'done',
      read: 3,
      problems: [{ address: '/none', reason: 'the server answers 404' }],
    });
    const { pages, redirects } = await reader.tree(null);
    expect(pages.map(({ address, above }) => [address, above])).toEqual([
      ['/', []],
      ['/a', []],
      ['/a/b', ['/a']],
    ]);
    expect([...redirects]).toEqual([['/old', '/a']]);
  });

  it('leaves this thread free while a page of many megabytes is parsed', async () => {
    const large = `<title>Large</title>${'<ul><li><a href="/x">x</a>'.repeat(120_000)}`;
    const reader = await read((request, response) =>
      request.url === '/' ? html(response, large) : response.writeHead(404).end(),
    );
    let turns = 0;
    const turning = setInterval(() => (turns += 1), 5);
    await reader.ended;
    clearInterval(turning);
    // How long it takes is not the question here, only that others had their turn meanwhile.
    expect(turns).toBeGreaterThan(20);
    expect(reader.progress()).toMatchObject({ state: 'done', read: 1 });
  });

  it('is ended at once, whatever it is busy with, and stays ended', async () => {
    const reader = await read(
      (request, response) =>
        html(response, `<a href="${request.url ?? ''}1">1</a><a href="${request.url ?? ''}2">2</a>`),
      20_000,
    );
    reader.steer('pause');
    reader.steer('goOn');
    await vi.waitFor(() => expect(reader.progress().read).toBeGreaterThan(0));
    reader.steer('cancel');
    expect(reader.progress().state).toBe('cancelled');
    await reader.ended;
    expect(reader.progress().state).toBe('cancelled');
  });

  it('says that it broke off when its thread does', async () => {
    const broken = readInThread(fileURLToPath(new URL('./nowhere.js', import.meta.url)))(
      'http://127.0.0.1:9/',
      { pages: 1, allowed: new Set() },
    );
    await broken.ended;
    expect(broken.progress()).toMatchObject({
      state: 'failed',
      reason: expect.stringContaining('the reader stopped') as string,
    });
  });
});
