import { PassThrough, Readable } from 'node:stream';
import request from 'supertest';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import {
  applyEdit,
  childrenOf,
  FORMAT,
  nodeAt,
  readStored,
  toStored,
  upgraded,
  upgradeSteps,
  type Operation,
  type SiteDocument,
  type UpgradeStep,
} from '@zorvik/core';
import { sites } from '../src/db/schema.ts';
import { compactLog } from '../src/editing/compactLog.ts';
import { currentSite } from '../src/editing/currentSite.ts';
import type { EditingDeps } from '../src/editing/editingDeps.ts';
import { goBack } from '../src/editing/goBack.ts';
import { publishSite } from '../src/editing/publishSite.ts';
import { restoreArchive } from '../src/editing/restoreArchive.ts';
import { saveEdit } from '../src/editing/saveEdit.ts';
import { siteCache } from '../src/editing/siteCache.ts';
import { writeArchive } from '../src/repositories/archive.ts';
import { maybeSite } from '../src/repositories/sites.ts';
import { replayEqualsRows } from './replayEqualsRows.ts';
import { frozenSite, storeFrozenSite } from './storeFrozenSite.ts';
import { editOf, testServer, type TestServer } from './testServer.ts';

const { site } = frozenSite.end;
const LOGGED = frozenSite.edits.length;
/** The steps that a Zorvik of format 4 had. */
const before: readonly UpgradeStep[] = [{ to: frozenSite.end.format, operations: () => [] }];

/** A made-up step that adds, changes, moves and takes away. */
const reworks: UpgradeStep = {
  to: FORMAT + 1,
  operations: (document) => [
    ...[...childrenOf(document.menus, document.site.id)].map((menu, at): Operation => ({
      kind: 'addItem',
      after: null,
      branch: [
        {
          id: `inew${String(at).padStart(4, '0')}`,
          parent: menu,
          label: `All of ${nodeAt(document.menus, menu).name}`,
          destination: { kind: 'none' },
          opensNewTab: false,
          agreed: null,
        },
      ],
    })),
    ...[...document.parts.nodes.values()].flatMap(({ id, text = null }): Operation[] =>
      text === null ? [] : [{ kind: 'updatePart', id, set: { text: `${text}!` }, was: { text } }],
    ),
    ...[...document.placements.nodes.values()].map((placement): Operation => ({
      kind: 'removePlacement',
      after: null,
      branch: [placement],
    })),
  ],
};
const steps = [...upgradeSteps, reworks];

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());
beforeEach(async () => {
  await server.deps.database.delete(sites);
  server.deps.cache.forget(site.id);
  await storeFrozenSite(server.deps.database, frozenSite);
});

/** A process that has just been started and knows these steps. */
const process = (upgrades: readonly UpgradeStep[]): EditingDeps => ({
  ...server.deps,
  cache: siteCache(),
  upgrades,
});
const old = (): EditingDeps => process(before);
const next = (): EditingDeps => process(steps);

async function documentNow(deps: EditingDeps): Promise<{ document: SiteDocument; revision: number }> {
  const current = await currentSite(deps, site.key);
  if (!current.ok) throw new Error(current.refusal.message);
  return { document: current.value.site.document, revision: current.value.head.revision };
}

function stateAfter(revision: number): SiteDocument {
  return frozenSite.edits.slice(0, revision).reduce((document, edit) => {
    const applied = applyEdit(document, edit);
    if (!applied.ok) throw new Error(applied.refusal.message);
    return applied.value.document;
  }, readStored(frozenSite.start));
}

describe('a site of an older format', () => {
  it('is upgraded once, by an edit of its log, whoever opens it first and however often', async () => {
    const [one, two] = [next(), next()];
    const opened = await Promise.all([documentNow(one), documentNow(two), documentNow(one)]);
    for (const { revision } of opened) expect(revision).toBe(LOGGED + 1);
    const wanted = toStored(upgraded(readStored(frozenSite.end), steps).document);
    for (const { document } of opened) expect(toStored(document)).toEqual(wanted);
    expect((await documentNow(next())).revision, 'from its rows alone').toBe(LOGGED + 1);
    const log = await replayEqualsRows(server.deps.database, site.id, LOGGED + 1);
    const { sentence, actor, operations } = log.at(-1)!;
    expect([sentence.code, actor]).toEqual(['siteUpgraded', 'Zorvik']);
    expect(new Set(operations.map(({ kind }) => kind))).toEqual(
      new Set([
        'addItem',
        'addPart',
        'updatePart',
        'updateItem',
        'updatePreset',
        'setStyle',
        'addPlacement',
        'removePlacement',
        'setFormat',
      ]),
    );
  });

  it('goes on from there: edits are kept, windows get the upgrade like any other edit', async () => {
    const { body } = await request(server.app).get('/api/v1/sites/meadow').expect(200);
    expect([body.revision, body.document.format]).toEqual([LOGGED + 1, FORMAT]);
    const [menu] = body.document.menus as { id: string; name: string }[];
    const rename = editOf(LOGGED, [
      { kind: 'updateMenu', id: menu!.id, set: { name: 'New' }, was: { name: menu!.name } },
    ]);
    const saved = await request(server.app).post('/api/v1/sites/meadow/edits').send(rename).expect(200);
    expect(
      (saved.body.edits as { sentence: { code: string } }[]).map(({ sentence }) => sentence.code),
    ).toEqual(['siteUpgraded', 'itemChanged']);
    await replayEqualsRows(server.deps.database, site.id, LOGGED + 2);
    const told = await request(server.app).get('/api/v1/sites/meadow/history').expect(200);
    expect((told.body.lines as { sentence: { code: string } }[])[1]?.sentence.code).toBe('siteUpgraded');
  });

  it('is upgraded by the first edit that comes, be it kept or refused', async () => {
    const edit = editOf(LOGGED, [{ kind: 'setFormat', from: FORMAT + 1, to: 3 }]);
    const refused = await saveEdit(next(), site.key, edit, 'Tess');
    expect(!refused.ok && refused.refusal.code).toBe('onlyInLogs');
    expect((await maybeSite(server.deps.database, site.key))?.revision).toBe(LOGGED + 1);
    await replayEqualsRows(server.deps.database, site.id, LOGGED + 1);
  });

  it('leaves every byte of what was published before as it was', async () => {
    const deps = { ...old(), deliveryAddress: server.deps.deliveryAddress };
    const wanted = { note: 'Before', revision: LOGGED, actor: 'Tess' };
    expect(await publishSite(deps, site.key, wanted)).toMatchObject({ ok: true });
    const published = async (): Promise<string[]> => {
      const paths = frozenSite.end.menus.flatMap(({ key }) =>
        ['', '.html'].map((end) => `menus/${key}${end}`),
      );
      return Promise.all(
        [...paths, 'styles.css'].map(
          async (path) => (await request(server.app).get(`/delivery/v1/sites/meadow/${path}`)).text,
        ),
      );
    };
    const bytes = await published();
    expect(bytes.every((text) => text.length > 10)).toBe(true);
    await documentNow(next());
    expect(await published()).toEqual(bytes);
    expect((await maybeSite(server.deps.database, site.key))?.edition).toBe(1);
  });

  it('can go back to before its upgrade, and is upgraded then, too', async () => {
    const deps = next();
    for (const revision of [LOGGED, 40, 1]) {
      const { revision: known } = await documentNow(deps);
      const wanted = { id: editOf(0, []).id, session: 'w000000000000001', revision, actor: 'Tess', known };
      // The log of this site begins with a document, so that its very beginning is no edit's state.
      const back = await goBack(deps, site.key, wanted);
      if (!back.ok) throw new Error(back.refusal.message);
      const { document, revision: present } = await documentNow(deps);
      expect(toStored(document), `after revision ${revision}`).toEqual(
        toStored(upgraded(stateAfter(revision), steps).document),
      );
      await replayEqualsRows(server.deps.database, site.id, present);
    }
  });

  it('cannot have one edit from before undone on its own: that says why', async () => {
    const own = frozenSite.edits.findLast(({ undoes }) => undoes === null)!;
    const undo = editOf(LOGGED, [], { undoes: own.id, session: own.session });
    const refused = await saveEdit(next(), site.key, undo, 'Ada');
    expect(!refused.ok && refused.refusal.code).toBe('beforeUpgrade');
  });

  it('keeps its log readable where its oldest part gives way to a document, before and after', async () => {
    await compactLog(old(), site.id, { days: -1, edits: 30 });
    await replayEqualsRows(server.deps.database, site.id, LOGGED);
    await documentNow(next());
    await replayEqualsRows(server.deps.database, site.id, LOGGED + 1);
    const { revision } = await documentNow(next());
    const kept = await saveEdit(
      next(),
      site.key,
      editOf(revision, [{ kind: 'updateSite', id: site.id, set: { name: 'M' }, was: { name: site.name } }]),
      'Tess',
    );
    expect(kept.ok).toBe(true);
    await compactLog(next(), site.id, { days: -1, edits: 1 });
    const log = await replayEqualsRows(server.deps.database, site.id, revision + 1);
    expect(log.length, 'the upgrade itself has gone into the document').toBe(1);
  });

  it('is restored from a backup as it was, and upgraded there', async () => {
    const pieces: Buffer[] = [];
    const to = new PassThrough();
    to.on('data', (piece: Buffer) => pieces.push(piece));
    await writeArchive(server.deps.database, new Date('2026-11-23T12:00:00Z'), to);
    const there = await testServer();
    const { database } = there.deps;
    const restored = await restoreArchive(database, Readable.from(Buffer.concat(pieces)), {
      isReplacing: false,
    });
    expect(restored.ok).toBe(true);
    await replayEqualsRows(database, site.id, LOGGED);
    const { body } = await request(there.app).get('/api/v1/sites/meadow').expect(200);
    expect(body.document).toEqual(toStored(upgraded(readStored(frozenSite.end)).document));
    await replayEqualsRows(database, site.id, LOGGED + 1);
    await there.close();
  });

  it('stays as it is where its upgrade fails, and where it is newer than the program', async () => {
    const broken: UpgradeStep = {
      to: FORMAT + 1,
      operations: () => [{ kind: 'removeItem', after: null, branch: [] }],
    };
    await expect(documentNow({ ...next(), upgrades: [...upgradeSteps, broken] })).rejects.toThrow();
    expect((await maybeSite(server.deps.database, site.key))?.revision).toBe(LOGGED);
    await replayEqualsRows(server.deps.database, site.id, LOGGED);
    await documentNow(next());
    const answer = await currentSite(old(), site.key);
    expect(!answer.ok && answer.refusal.message).toBe(
      `This site was converted by a newer Zorvik (format ${FORMAT + 1}), and this one reads up to format 4. Update Zorvik on this server.`,
    );
    const { text } = await request(server.app).get('/api/v1/sites/meadow').expect(503);
    expect(JSON.parse(text)).toMatchObject({ error: { code: 'newerSite' } });
  });
});
