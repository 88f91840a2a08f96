import request from 'supertest';
import { afterEach, describe, expect, it } from 'vitest';
import { readStored, seededRandom, toStored, type LoggedEdit, type StoredDocument } from '@zorvik/core';
import { randomDocument, randomOperation } from '@zorvik/core/testing';
import { siteCache } from '../src/editing/siteCache.ts';
import { maybeSite } from '../src/repositories/sites.ts';
import { replayEqualsRows } from './replayEqualsRows.ts';
import { editOf, testServer, type TestServer } from './testServer.ts';

let server: TestServer;
afterEach(() => server.close());

const stored = (seed: number, key: string, id: string): StoredDocument => {
  const one = toStored(randomDocument(seededRandom(seed), { pages: 15, menus: 2, items: 20 }));
  const inSite = <N extends { parent: string }>(nodes: readonly N[]): N[] =>
    nodes.map((node) => ({ ...node, parent: node.parent === one.site.id ? id : node.parent }));
  return {
    ...one,
    site: { ...one.site, id, key },
    pages: inSite(one.pages),
    menus: inSite(one.menus),
    parts: inSite(one.parts),
  };
};

async function soundLog({ id, key }: StoredDocument['site']): Promise<LoggedEdit[]> {
  const head = await maybeSite(server.deps.database, key);
  return replayEqualsRows(server.deps.database, id, head?.revision ?? -1);
}

describe('several at once', () => {
  it('edits that arrive together are kept one after the other, none twice, none lost', async () => {
    const site = stored(5, 'meadow', 's000000000000005');
    server = await testServer(site);
    const random = seededRandom(6);
    const document = readStored(site);
    const edits = Array.from({ length: 80 }, () => randomOperation(random, document)).flatMap((operation) =>
      operation === null ? [] : [editOf(3, [operation])],
    );
    const replies = await Promise.all(
      [...edits, ...edits.slice(0, 20)].map((edit) =>
        request(server.app).post('/api/v1/sites/meadow/edits').send(edit),
      ),
    );
    const log = await soundLog(site.site);
    const logged = log.map(({ id }) => id);
    expect(new Set(logged).size).toBe(logged.length);
    edits.forEach((edit, at) =>
      expect(logged.includes(edit.id), `edit ${at}: ${replies[at]?.status}`).toBe(
        replies[at]?.status === 200,
      ),
    );
    expect(replies.filter(({ status }) => status === 200).length).toBeGreaterThan(20);
    for (const { status } of replies)
      expect([200, 409, 422], 'kept, or refused with a reason').toContain(status);
  });

  it('sites do not mix, although their things may have the same ids', async () => {
    const one = stored(7, 'one', 's000000000000007');
    server = await testServer(one);
    const { storeDocument } = await import('../src/editing/storeDocument.ts');
    const two = stored(7, 'two', 's000000000000008');
    await storeDocument(server.deps, two, server.deps.random, 'Zorvik');
    const menu = one.menus[0]!;
    const rename = editOf(3, [
      { kind: 'updateMenu', id: menu.id, set: { name: 'Only in one' }, was: { name: menu.name } },
    ]);
    await request(server.app).post('/api/v1/sites/one/edits').send(rename).expect(200);
    const read = async (key: string): Promise<StoredDocument> =>
      (await request(server.app).get(`/api/v1/sites/${key}`)).body.document as StoredDocument;
    expect((await read('one')).menus[0]?.name).toBe('Only in one');
    expect(await read('two')).toEqual(two);
    await soundLog(one.site);
    await soundLog(two.site);
  });

  it('a site that fell out of memory, or that another process changed, is read and caught up', async () => {
    const site = stored(9, 'meadow', 's000000000000009');
    server = await testServer(site);
    const other = { ...server.deps, cache: siteCache() };
    const { saveEdit } = await import('../src/editing/saveEdit.ts');
    const random = seededRandom(10);
    for (let turn = 0; turn < 40; turn += 1) {
      // By turns two processes with memories of their own, now and then one that has forgotten all.
      const deps =
        turn % 7 === 0 ? { ...server.deps, cache: siteCache(1) } : turn % 2 === 0 ? server.deps : other;
      const { body } = await request(server.app).get('/api/v1/sites/meadow');
      const operation = randomOperation(random, readStored(body.document as StoredDocument));
      if (operation !== null)
        await saveEdit(deps, 'meadow', editOf(body.revision as number, [operation]), 'Tess');
    }
    const log = await soundLog(site.site);
    expect(log.length).toBeGreaterThan(15);
  });

  it('a transaction that fails leaves memory and rows as they were', async () => {
    const site = stored(11, 'meadow', 's000000000000011');
    server = await testServer(site);
    const menu = site.menus[0]!;
    const rename = (name: string) =>
      editOf(3, [{ kind: 'updateMenu', id: menu.id, set: { name }, was: { name: menu.name } }]);
    const { saveEdit } = await import('../src/editing/saveEdit.ts');
    const broken = { ...server.deps, now: () => ({ toISOString: () => 'no time at all' }) as Date };
    await expect(saveEdit(broken, 'meadow', rename('Lost'), 'Tess')).rejects.toThrow();
    const { body } = await request(server.app).get('/api/v1/sites/meadow').expect(200);
    expect([body.revision, body.document]).toEqual([3, site]);
    await request(server.app).post('/api/v1/sites/meadow/edits').send(rename('Kept')).expect(200);
    await soundLog(site.site);
  });
});
