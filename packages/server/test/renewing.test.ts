import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { delivery, type Delivery } from '../src/delivery/delivery.ts';
import type { LoadedEdition } from '../src/delivery/loadEdition.ts';
import { packed } from '../src/delivery/packed.ts';

/** Delivery with editions that come when the test lets them. */
const servers: Server[] = [];
afterEach(() => servers.splice(0).forEach((one) => one.close()));

async function edition(text: string): Promise<LoadedEdition> {
  const bytes = Buffer.from(text);
  const file = await packed({ type: 'text/plain', hash: text, bytes }, { gzip: 1, brotli: 1 });
  return { kind: 'files', files: [{ path: 'note', ...file }], pages: '[]', frame: null };
}

interface Stand {
  readonly editions: Delivery;
  /** The loads that were asked for and have no answer yet. */
  readonly loads: { readonly give: (text: string) => Promise<void>; readonly fail: () => void }[];
  readonly count: () => number;
  readonly read: () => Promise<string>;
}

async function stand(): Promise<Stand> {
  const loads: Stand['loads'] = [];
  let count = 0;
  const editions = delivery(() => {
    count += 1;
    return new Promise((done, fail) => {
      loads.push({
        give: async (text) => done(await edition(text)),
        fail: () => fail(new Error('The database is away.')),
      });
    });
  });
  const server = createServer((request, response) => {
    void editions.answer(request, response, '/sites/meadow/note');
  });
  servers.push(server);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  const read = async (): Promise<string> => (await fetch(`http://127.0.0.1:${port}/`)).text();
  return { editions, loads, count: () => count, read };
}

/** A stand that serves a first edition. */
async function served(text: string): Promise<Stand> {
  const made = await stand();
  const first = made.read();
  await expect.poll(() => made.loads.length).toBe(1);
  await made.loads.shift()?.give(text);
  expect(await first).toBe(text);
  return made;
}

describe('a new edition', () => {
  it('is read while the one before is served, and served from when that is said on', async () => {
    const { editions, loads, read } = await served('one');
    const renewed = editions.renew('meadow', 2);
    expect(loads).toHaveLength(1);
    expect(await read(), 'nobody waits for it').toBe('one');
    await loads.shift()?.give('two');
    await renewed;
    expect(await read()).toBe('two');
  });

  it('is read once, however often it is told of, and the latest one wins', async () => {
    const { editions, loads, count, read } = await served('one');
    const told = [editions.renew('meadow', 2), editions.renew('meadow', 2)];
    expect(loads).toHaveLength(1);
    told.push(editions.renew('meadow', 3));
    const [second, third] = loads.splice(0);
    await third?.give('three');
    await told[2];
    await second?.give('two');
    await Promise.all(told);
    expect(await read()).toBe('three');
    await editions.renew('meadow', 3);
    expect(count()).toBe(3);
  });

  it('is not read before anybody asks for the site, and anew by the next request where reading failed', async () => {
    const { editions, loads } = await stand();
    await editions.renew('meadow', 1);
    expect(loads).toHaveLength(0);
    const { editions: others, loads: asked, read: readThere } = await served('one');
    const renewed = others.renew('meadow', 2);
    asked.shift()?.fail();
    await renewed;
    const next = readThere();
    await expect.poll(() => asked.length).toBe(1);
    await asked.shift()?.give('two');
    expect(await next).toBe('two');
  });

  it('is not served once the site is forgotten: what was read for it is left aside', async () => {
    const { editions, loads, read } = await served('one');
    const renewed = editions.renew('meadow', 2);
    editions.forget('meadow');
    const next = read();
    await expect.poll(() => loads.length).toBe(2);
    const [second, now] = loads.splice(0);
    await second?.give('two');
    await renewed;
    await now?.give('three');
    expect(await next).toBe('three');
    expect(await read()).toBe('three');
  });
});
