import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  applyEdit,
  childrenOf,
  mintId,
  readStored,
  seededRandom,
  toStored,
  type Edit,
  type LoggedEdit,
  type Operation,
  type SiteDocument,
} from '@zorvik/core';
import { randomDocument, randomOperation } from '@zorvik/core/testing';
import { replayEqualsRows } from './replayEqualsRows.ts';
import { editOf, testServer, type TestServer } from './testServer.ts';

const start = toStored(randomDocument(seededRandom(12), { pages: 20, menus: 2, items: 30 }));
const site = '/api/v1/sites/meadow';
const MINE = 'w00000000000mine';
const OTHER = 'w0000000000other';

let server: TestServer;
beforeAll(async () => void (server = await testServer(start)));
afterAll(() => server.close());

async function read(): Promise<{ epoch: string; revision: number; document: SiteDocument }> {
  const { body } = await request(server.app).get(site).expect(200);
  return { ...body, document: readStored(body.document) };
}
async function save(edit: Edit, status = 200, query: Record<string, string | number> = {}) {
  return (await request(server.app).post(`${site}/edits`).query(query).send(edit).expect(status)).body;
}
const rename = async (id: string, label: string, session: string): Promise<Edit> => {
  const { revision, document } = await read();
  const was = { label: document.items.nodes.get(id)?.label ?? null };
  return editOf(revision, [{ kind: 'updateItem', id, set: { label }, was }], { session });
};
const undo = async (edit: Pick<Edit, 'id'>, session = MINE): Promise<Edit> =>
  editOf((await read()).revision, [], { session, undoes: edit.id });
const labelOf = async (id: string): Promise<string | null | undefined> =>
  (await read()).document.items.nodes.get(id)?.label;
/** One with several beside it. */
const anItem = start.items.find(
  ({ parent }) => start.items.filter((one) => one.parent === parent).length > 3,
)!.id;

describe('the site itself', () => {
  it('is changed by an edit like anything else: rows, list and log agree, from its first state on', async () => {
    const { revision, document } = await read();
    const { id, name } = document.site;
    const set = { name: 'Meadow and wood', breakpoints: { medium: 600, wide: 1100 } };
    const edit = editOf(revision, [{ kind: 'updateSite', id, set, was: {} }], { session: MINE });
    await save(edit);
    expect((await read()).document.site).toEqual({ ...document.site, ...set });
    server.deps.cache.forget(id);
    expect((await read()).document.site, 'from its row').toEqual({ ...document.site, ...set });
    const { body } = await request(server.app).get('/api/v1/sites').expect(200);
    expect(body.sites.map((one: { name: string }) => one.name)).toContain('Meadow and wood');
    await save(await undo(edit));
    expect((await read()).document.site.name).toBe(name);
    await replayEqualsRows(server.deps.database, id, (await read()).revision);
    const wrong = editOf((await read()).revision, [
      { kind: 'updateSite', id, set: { key: 'x' } as never, was: {} },
    ]);
    await save(wrong, 400);
  });
});

describe('the answer to an edit', () => {
  it('is the first one for ever: what was refused once stays refused, although it could be kept now', async () => {
    const { revision, document } = await read();
    const branch = [document.items.nodes.get(start.items.at(-1)!.id)!];
    const removal = editOf(revision, [{ kind: 'removeItem', after: null, branch }], { session: OTHER });
    await save(removal);
    const late = editOf(
      revision,
      [{ kind: 'updateItem', id: branch[0]!.id, set: { label: 'Late' }, was: { label: null } }],
      { session: MINE },
    );
    const first = await save(late, 409);
    await save(await undo(removal, OTHER));
    expect(await save(late, 409)).toEqual(first);
    expect(await labelOf(branch[0]!.id)).not.toBe('Late');
  });

  it('has what the sender misses, and no more than that', async () => {
    const { revision } = await read();
    const edits = [await rename(anItem, 'One', OTHER)];
    await save(edits[0]!);
    edits.push(await rename(anItem, 'Two', OTHER));
    await save(edits[1]!);
    const late = editOf(
      revision,
      [{ kind: 'updateItem', id: anItem, set: { label: 'Three' }, was: { label: 'One' } }],
      { session: MINE },
    );
    const body = await save(late, 200, { known: revision + 1 });
    expect(body.edits.map(({ id }: Edit) => id)).toEqual([edits[1]!.id, late.id]);
    expect(body.edits.at(-1).operations[0].was, 'as it was found, not as it was sent').toEqual({
      label: 'Two',
    });
  });

  it('is no, when the site was restored since the sender loaded it', async () => {
    const edit = await rename(anItem, 'Astray', MINE);
    const body = await save(edit, 409, { epoch: 'another-epoch' });
    expect(body.error.code).toBe('otherHistory');
    expect((await save(edit, 200, { epoch: (await read()).epoch })).edits).toHaveLength(1);
  });

  it('names who did it, as they call themselves', async () => {
    const body = await save(await rename(anItem, 'Signed', MINE), 200, { name: 'Noor Ünal' });
    expect(body.edits[0].actor).toBe('Noor Ünal');
    await save(await rename(anItem, 'Nameless', MINE), 400, { name: '   ' });
    await save(await rename(anItem, 'Endless', MINE), 400, { name: 'x'.repeat(41) });
  });
});

describe('taking back on the server', () => {
  it('makes the inverse from the log, so that nothing need be sent', async () => {
    const before = await labelOf(anItem);
    const edit = await rename(anItem, 'Taken back', MINE);
    await save(edit);
    const body = await save(await undo(edit));
    expect(body.edits[0]).toMatchObject({
      undoes: edit.id,
      sentence: { code: 'undone' },
      operations: [{ kind: 'updateItem', set: { label: before } }],
    });
    expect(await labelOf(anItem)).toBe(before);
    await save(await undo({ id: body.edits[0].id }));
    expect(await labelOf(anItem), 'and brings it back by taking that back').toBe('Taken back');
  });

  it('does not take back twice, nor what another window did, nor what the log does not have', async () => {
    const edit = await rename(anItem, 'Once', MINE);
    await save(edit);
    expect((await save(await undo(edit, OTHER), 409)).error.code).toBe('notYours');
    await save(await undo(edit));
    expect((await save(await undo(edit), 409)).error.code).toBe('backAlready');
    expect((await save(await undo({ id: 'e000000000000000' }), 404)).error.code).toBe('unknownEdit');
  });

  it('refuses with the name of who changed it since, although it looks as it was left', async () => {
    const { document, revision } = await read();
    const menu = document.items.nodes.get(anItem)!.parent;
    const siblings = [...childrenOf(document.items, menu)].filter((id) => id !== anItem);
    const move = (base: number, session: string, after: string | null): Edit =>
      editOf(
        base,
        [{ kind: 'moveItem', id: anItem, from: { parent: menu, after: null }, to: { parent: menu, after } }],
        { session },
      );
    const mine = move(revision, MINE, siblings.at(-1)!);
    await save(mine);
    await save(move(revision + 1, OTHER, siblings[1]!), 200, { name: 'Noor' });
    const { error } = await save(await undo(mine), 409);
    expect(error.message).toMatch(/^Can’t undo: Noor has changed “.+” since \(Changed “it”\)/);
  });

  it('is refused for an edit without operations that takes nothing back', async () => {
    expect((await save(editOf((await read()).revision, []), 422)).error.code).toBe('emptyEdit');
  });
});

describe('the history', () => {
  const history = async (query: Record<string, string | number> = {}) =>
    (await request(server.app).get(`${site}/history`).query(query).expect(200)).body;

  it('tells what was done, latest first, page by page, and of one thing alone', async () => {
    const { revision } = await read();
    const { lines } = await history();
    expect(lines.map((line: { revision: number }) => line.revision)).toEqual(
      Array.from({ length: revision }, (_, at) => revision - at).slice(0, 100),
    );
    expect(lines.at(-1).sentence.code).toBe('pagesRead');
    expect((await history({ before: 3 })).lines.map((line: { revision: number }) => line.revision)).toEqual([
      2, 1,
    ]);
    const other = start.items.find(({ id, parent }) => id !== anItem && parent.startsWith('m'))!.id;
    const edit = await rename(other, 'Only this one', MINE);
    await save(edit);
    const about = (await history({ about: other })).lines.map(({ id }: { id: string }) => id);
    expect(about[0]).toBe(edit.id);
    expect(about).not.toContain(lines[0].id);
    await request(server.app).get(`${site}/history`).query({ about: "'; drop table edits" }).expect(400);
  });

  it('leads back to any point by one more edit, which can be taken back like any other', async () => {
    const random = seededRandom(5);
    const states: SiteDocument[] = [];
    const first = (await read()).revision;
    for (let tries = 0; tries < 60; tries += 1) {
      const { revision, document } = await read();
      states[revision] = document;
      const operation = randomOperation(random, document);
      if (operation !== null)
        await request(server.app)
          .post(`${site}/edits`)
          .send(editOf(revision, [operation]));
    }
    const last = await read();
    states[last.revision] = last.document;
    expect(last.revision - first, 'enough happened').toBeGreaterThan(20);
    const back = (revision: number, id: string) =>
      request(server.app)
        .post(`${site}/history`)
        .send({ id, session: MINE, revision, known: last.revision, epoch: last.epoch });
    for (const revision of [last.revision - 1, Math.floor((first + last.revision) / 2), first, 2, 0]) {
      const id = mintId('edit', random);
      const { body } = await back(revision, id).expect(200);
      expect((await back(revision, id).expect(200)).body.revision, 'asked twice, done once').toBe(
        body.revision,
      );
      const { document } = await read();
      if (revision === 0) expect([document.pages.nodes.size, document.menus.nodes.size]).toEqual([0, 0]);
      else if (states[revision] !== undefined) expect(toStored(document)).toEqual(toStored(states[revision]));
      await save(await undo({ id }));
      expect(toStored((await read()).document)).toEqual(toStored(last.document));
    }
    expect((await back(last.revision + 100, mintId('edit', random)).expect(409)).body.error.code).toBe(
      'changesNothing',
    );
    await replayEqualsRows(server.deps.database, start.site.id, (await read()).revision);
  });
});

describe('what was missed', () => {
  it('comes edit by edit, or not at all when the whole site is less', async () => {
    const { revision } = await read();
    const ask = async (query: Record<string, string | number>) =>
      (await request(server.app).get(`${site}/edits`).query(query).expect(200)).body;
    expect(await ask({ since: revision })).toMatchObject({ revision, edits: [], isCut: false });
    const few = await ask({ since: revision - 3 });
    expect(few.edits.map((edit: LoggedEdit) => edit.revision)).toEqual([
      revision - 2,
      revision - 1,
      revision,
    ]);
    const own = await ask({ since: 0, session: OTHER });
    expect(new Set(own.edits.map((edit: LoggedEdit) => edit.session))).toEqual(new Set([OTHER]));
    const added = Array.from({ length: 9000 }, (_, at): Operation => {
      const id = mintId('page', seededRandom(at));
      const page = {
        id,
        parent: start.site.id,
        key: `/${id}`,
        kind: 'page' as const,
        title: `Page ${id}`,
        address: `/${id}`,
        state: 'live' as const,
        language: null,
        template: null,
      };
      return { kind: 'importPages', added: [{ page, after: null }], moved: [], removed: [], changed: [] };
    });
    const huge = editOf(revision, added, { session: MINE });
    expect((await save(huge)).edits, 'nor is it sent back to whom it came from').toEqual([]);
    expect(await ask({ since: revision })).toMatchObject({ revision: revision + 1, edits: [], isCut: true });
    const [brief] = (await ask({ since: revision, session: MINE })).edits;
    expect(brief).toMatchObject({ id: huge.id, operations: [] });
    await save(await undo(huge));
    expect((await read()).document.pages.nodes.size).toBe((await read()).document.pages.nodes.size);
    await replayEqualsRows(server.deps.database, start.site.id, revision + 2);
    const applied = applyEdit((await read()).document, huge);
    expect(applied.ok, 'all of it is gone again').toBe(true);
  });
});
