import { get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { seededRandom, toStored } from '@zorvik/core';
import { randomDocument } from '@zorvik/core/testing';
import { peopleKey, type Person, type ServerMessage } from '@zorvik/contract';
import { PRESENCE_BEAT, presence } from '../src/announcing/presence.ts';
import { serverFor } from '../src/listening.ts';
import { editOf, testServer, type TestServer } from './testServer.ts';

const start = toStored(randomDocument(seededRandom(12), { pages: 5, menus: 1, items: 5 }));
let server: TestServer;
let http: Server;
let address: string;
beforeAll(async () => {
  server = await testServer(start);
  http = serverFor(server.app);
  await new Promise<void>((done) => http.listen(0, '127.0.0.1', done));
  address = `http://127.0.0.1:${(http.address() as AddressInfo).port}`;
});
afterAll(async () => {
  http.closeAllConnections();
  await new Promise((done) => http.close(done));
  await server.close();
});

interface Stream {
  readonly heard: ServerMessage[];
  readonly head: IncomingMessage;
  readonly isOver: () => boolean;
  readonly leave: () => void;
}

/** A browser's stream: what it heard so far. */
function listen(headers: Record<string, string> = {}): Promise<Stream> {
  return new Promise((done, fail) => {
    const asked = get(`${address}/api/v1/events`, { headers }, (head) => {
      const heard: ServerMessage[] = [];
      let isOver = false;
      head.setEncoding('utf8');
      head.on('data', (text: string) => {
        for (const [, json] of text.matchAll(/^data: (.*)$/gm))
          heard.push(JSON.parse(json ?? '') as ServerMessage);
      });
      head.on('close', () => (isOver = true));
      done({ heard, head, isOver: () => isOver, leave: () => asked.destroy() });
    });
    asked.on('error', fail);
  });
}
const post = (path: string, body: unknown) =>
  fetch(`${address}/api/v1/sites/meadow/${path}`, {
    method: 'POST',
    body: JSON.stringify(body),
    headers: { 'Content-Type': 'application/json' },
  });
const me = { session: 'w0000000000000me', name: 'Noor', menu: null, item: null };

describe('the event stream', () => {
  it('tells every browser of every edit once it is kept, and of every edition', async () => {
    const streams = await Promise.all([listen(), listen({ 'Accept-Encoding': 'gzip, br' })]);
    expect(streams[1].head.headers, 'a packed stream would come in lumps').not.toHaveProperty(
      'content-encoding',
    );
    const menu = start.menus[0]!;
    await post(
      'edits',
      editOf(2, [{ kind: 'updateMenu', id: menu.id, set: { name: 'Told' }, was: { name: menu.name } }]),
    );
    await post('editions', { note: '', revision: 3 });
    for (const { heard } of streams)
      await vi.waitFor(() =>
        expect(heard).toEqual([
          { kind: 'site', site: 'meadow', revision: 3 },
          { kind: 'edition', site: 'meadow', number: 2 },
        ]),
      );
    for (const stream of streams) stream.leave();
    await vi.waitFor(() => expect(server.deps.hub.streams()).toBe(0));
  });

  it('tells nothing of what was refused', async () => {
    const { heard, leave } = await listen();
    expect(
      (
        await post(
          'edits',
          editOf(2, [{ kind: 'updateMenu', id: 'm000000000000000', set: { name: 'x' }, was: { name: 'y' } }]),
        )
      ).status,
    ).toBe(409);
    await post('people', { ...me, isLeaving: false });
    await vi.waitFor(() => expect(heard.map(({ kind }) => kind)).toEqual(['people']));
    leave();
  });

  it('tells who is there and what they have selected, and who left', async () => {
    const { heard, leave } = await listen();
    const item = start.items[0]!.id;
    await post('people', { ...me, item, isLeaving: false });
    await vi.waitFor(() =>
      expect(heard.at(-1)).toEqual({ kind: 'people', site: 'meadow', here: [{ ...me, item }], left: [] }),
    );
    await post('people', { ...me, isLeaving: true });
    await vi.waitFor(() =>
      expect(heard.at(-1)).toEqual({ kind: 'people', site: 'meadow', here: [], left: [me.session] }),
    );
    expect((await post('people', { ...me, name: '' })).status).toBe(400);
    leave();
  });

  it('says nothing of windows that are still where they were, and tells changes together', async () => {
    const { heard, leave } = await listen();
    const windows = Array.from({ length: 30 }, (_, at) => ({
      ...me,
      session: `w${String(at).padStart(15, '0')}`,
    }));
    const beat = (known?: string): Promise<{ people: Person[] | null }[]> =>
      Promise.all(
        windows.map(async (one) =>
          (
            await post('people', { ...one, isLeaving: false, ...(known === undefined ? {} : { known }) })
          ).json(),
        ),
      ) as Promise<{ people: Person[] | null }[]>;
    await beat();
    await vi.waitFor(() =>
      expect(heard.flatMap((one) => (one.kind === 'people' ? one.here : []))).toHaveLength(windows.length),
    );
    expect(heard.length, 'not one message for each').toBeLessThan(windows.length / 2);
    const told = heard.length;
    // Who knows all of them is not told again; who does not is.
    const replies = await beat(peopleKey(windows));
    expect(replies.every(({ people }) => people === null)).toBe(true);
    expect((await beat(peopleKey(windows.slice(1))))[0]?.people).toHaveLength(windows.length);
    const item = start.items[0]!.id;
    await post('people', { ...windows[0], item, isLeaving: false });
    await vi.waitFor(() => expect(heard).toHaveLength(told + 1));
    expect(heard.at(-1)).toMatchObject({ here: [{ session: windows[0]?.session, item }], left: [] });
    for (const one of windows) await post('people', { ...one, isLeaving: true });
    leave();
  });

  it('is not for pages of other origins', async () => {
    expect((await listen({ Origin: 'http://elsewhere.example' })).head.statusCode).toBe(403);
  });
});

describe('presence', () => {
  it('lets go of a window that was not heard of for long, and keeps no endless list', () => {
    let now = 0;
    const people = presence(() => new Date(now));
    for (let at = 0; at < 500; at += 1)
      people.here('meadow', { ...me, session: `w${String(at).padStart(15, '0')}` });
    expect(people.people('meadow').length).toBeLessThanOrEqual(200);
    now += 2 * PRESENCE_BEAT;
    people.here('meadow', me);
    now += 2 * PRESENCE_BEAT;
    people.news();
    people.sweep();
    expect(people.people('meadow')).toEqual([me]);
    const [news] = people.news();
    expect(news?.here).toEqual([]);
    expect(news?.left.length).toBeGreaterThan(100);
    expect(people.news()).toEqual([]);
  });
});
