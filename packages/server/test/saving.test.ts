import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  applyEdit,
  childrenOf,
  newDocument,
  readStored,
  seededRandom,
  toStored,
  type LoggedEdit,
  type Operation,
  type SiteDocument,
  type StoredDocument,
} from '@zorvik/core';
import { randomDocument, randomOperation } from '@zorvik/core/testing';
import { editsSince } from '../src/repositories/log.ts';
import { loadDocument } from '../src/repositories/nodes.ts';
import { editOf, testServer, type TestServer } from './testServer.ts';

const start = toStored(randomDocument(seededRandom(3), { pages: 30, menus: 2, items: 30 }));
const site = '/api/v1/sites/meadow';

let server: TestServer;
beforeAll(async () => {
  server = await testServer(start);
});
afterAll(() => server.close());

async function read(): Promise<{ revision: number; document: SiteDocument; stored: StoredDocument }> {
  const { body } = await request(server.app).get(site).expect(200);
  return { revision: body.revision, document: readStored(body.document), stored: body.document };
}

function moveToEnd(document: SiteDocument, at = 0): Operation {
  const menu = [...childrenOf(document.menus, document.site.id)][0] ?? '';
  const tops = [...childrenOf(document.items, menu)];
  const id = tops[at] ?? '';
  return {
    kind: 'moveItem',
    id,
    from: { parent: menu, after: null },
    to: { parent: menu, after: tops.at(-1) ?? null },
  };
}

describe('saving an edit', () => {
  it('keeps it, and gives it back with its revision, time and actor', async () => {
    const { revision, document } = await read();
    const edit = editOf(revision, [moveToEnd(document)]);
    const { body } = await request(server.app).post(`${site}/edits`).send(edit).expect(200);
    expect(body.revision).toBe(revision + 1);
    expect(body.edits).toMatchObject([
      { id: edit.id, revision: revision + 1, actor: 'Tess', at: '2026-11-23T10:00:00.000Z' },
    ]);
    const after = applyEdit(document, edit);
    expect(after.ok && toStored(after.value.document)).toEqual((await read()).stored);
  });

  it('answers the same edit twice alike, and keeps it once', async () => {
    const { revision, document } = await read();
    const edit = editOf(revision, [moveToEnd(document)]);
    const first = await request(server.app).post(`${site}/edits`).send(edit).expect(200);
    const second = await request(server.app).post(`${site}/edits`).send(edit).expect(200);
    expect(second.body).toEqual(first.body);
    expect((await read()).revision).toBe(revision + 1);
  });

  it('leads an edit through what others did since its base, and tells what that was', async () => {
    const { revision, document } = await read();
    const menu = [...childrenOf(document.menus, document.site.id)][0] ?? '';
    const [first, second, third] = [...childrenOf(document.items, menu)] as [string, string, string];
    const removal = editOf(
      revision,
      [{ kind: 'removeItem', after: first, branch: [document.items.nodes.get(second)!] }],
      { session: 'w0000000000other' },
    );
    await request(server.app).post(`${site}/edits`).send(removal).expect(200);
    const late = editOf(revision, [
      {
        kind: 'moveItem',
        id: third,
        from: { parent: menu, after: second },
        to: { parent: menu, after: second },
      },
    ]);
    const { body } = await request(server.app).post(`${site}/edits`).send(late).expect(200);
    expect(body.edits.map(({ id }: LoggedEdit) => id)).toEqual([removal.id, late.id]);
    const [front, behind] = [...childrenOf((await read()).document.items, menu)];
    expect([front, behind], 'the anchor has vanished: its predecessor takes its place').toEqual([
      first,
      third,
    ]);
  });

  it('refuses what cannot be, and leaves no trace', async () => {
    const before = await read();
    const menu = [...childrenOf(before.document.menus, before.document.site.id)][0] ?? '';
    const [id] = [...childrenOf(before.document.items, menu)] as [string];
    const circle = editOf(before.revision, [
      moveToEnd(before.document, 1),
      { kind: 'moveItem', id, from: { parent: menu, after: null }, to: { parent: id, after: null } },
    ]);
    const { body } = await request(server.app).post(`${site}/edits`).send(circle).expect(409);
    expect(body.error.code).toBe('wouldCircle');
    expect(body.error.message).toContain('Choose a place outside it.');
    expect(await read()).toEqual(before);
  });

  it.each([
    ['no operation', (revision: number) => editOf(revision, []), 422, 'emptyEdit'],
    [
      'a base that is not yet',
      (revision: number) =>
        editOf(revision + 5, [{ kind: 'removeMenu', after: null, branch: [start.menus[0]!] }]),
      409,
      'badBase',
    ],
    [
      'an unknown kind',
      (revision: number) => ({ ...editOf(revision, []), operations: [{ kind: 'explode' }] }),
      400,
      'badShape',
    ],
    ['a field too many', (revision: number) => ({ ...editOf(revision, []), surprise: 1 }), 400, 'badShape'],
    ['a hostile id', (revision: number) => ({ ...editOf(revision, []), id: '"><script>' }), 400, 'badShape'],
    [
      'a label that no database keeps',
      (revision: number) =>
        editOf(revision, [
          { kind: 'updateMenu', id: start.menus[0]!.id, set: { name: 'a\0b' }, was: { name: '' } },
        ]),
      400,
      'badText',
    ],
    [
      'half a character',
      (revision: number) =>
        editOf(revision, [
          { kind: 'updateMenu', id: start.menus[0]!.id, set: { name: '\ud800' }, was: { name: '' } },
        ]),
      400,
      'badText',
    ],
    [
      'a label of ten million characters',
      (revision: number) =>
        editOf(revision, [
          {
            kind: 'updateMenu',
            id: start.menus[0]!.id,
            set: { name: 'x'.repeat(10_000_000) },
            was: { name: '' },
          },
        ]),
      413,
      'tooLarge',
    ],
    [
      'a label of a thousand characters',
      (revision: number) =>
        editOf(revision, [
          { kind: 'updateMenu', id: start.menus[0]!.id, set: { name: 'x'.repeat(1000) }, was: { name: '' } },
        ]),
      400,
      'badShape',
    ],
  ])('refuses %s with a sentence', async (_, make, status, code) => {
    const before = await read();
    const { body } = await request(server.app)
      .post(`${site}/edits`)
      .send(make(before.revision) as object)
      .expect(status);
    expect(body.error.code).toBe(code);
    expect(body.error.message.length).toBeGreaterThan(20);
    expect(await read()).toEqual(before);
  });

  it('refuses a body that is not JSON, and one nested too deep to be meant', async () => {
    const post = (text: string) =>
      request(server.app).post(`${site}/edits`).set('Content-Type', 'application/json').send(text);
    expect((await post('{"id": ').expect(400)).body.error.code).toBe('badJson');
    expect(
      (await post(`${'['.repeat(100_000)}${']'.repeat(100_000)}`).expect(400)).body.error.message.length,
    ).toBeGreaterThan(20);
  });

  it('log replay equals the rows, after anything that was tried', async () => {
    const random = seededRandom(99);
    for (let step = 0; step < 120; step += 1) {
      const { revision, document } = await read();
      const operation = randomOperation(random, document);
      if (operation === null) continue;
      // Now and then the author knows an older state, as over a slow network.
      const base = Math.max(1, revision - (step % 3));
      await request(server.app)
        .post(`${site}/edits`)
        .send(editOf(base, [operation]));
    }
    const { id, revision } = (await request(server.app).get(site)).body.document.site && {
      id: start.site.id,
      revision: (await read()).revision,
    };
    const log = await editsSince(server.deps.database, id, 0);
    expect(log.map((edit) => edit.revision)).toEqual(Array.from({ length: revision }, (_, at) => at + 1));
    let replay = newDocument(start.site);
    for (const edit of log) {
      const applied = applyEdit(replay, edit);
      if (!applied.ok)
        throw new Error(`Revision ${edit.revision} does not replay: ${applied.refusal.message}`);
      replay = applied.value.document;
    }
    const { stored } = await loadDocument(server.deps.database, id);
    expect(toStored(readStored(stored))).toEqual(toStored(replay));
    expect(revision, 'enough of them were taken').toBeGreaterThan(50);
  });
});
