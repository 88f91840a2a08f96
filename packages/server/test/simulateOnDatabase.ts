import { no, ok, refusal, seededRandom, toStored, type LoggedEdit, type Result } from '@zorvik/core';
import { judge, randomDocument, simulate, type SimulatedServer, type Verdict } from '@zorvik/core/testing';
import type { OpenDatabase } from '../src/db/openDatabase.ts';
import { currentSite } from '../src/editing/currentSite.ts';
import type { EditingDeps } from '../src/editing/editingDeps.ts';
import { saveEdit } from '../src/editing/saveEdit.ts';
import { siteCache } from '../src/editing/siteCache.ts';
import { storeDocument } from '../src/editing/storeDocument.ts';
import { editsToSend, ownEdits } from '../src/repositories/log.ts';
import { replayEqualsRows } from './replayEqualsRows.ts';
import { testDatabase } from './testDatabase.ts';

/**
 * One seed of the simulation on a database of its own, by what the server's routes call; a crash forgets all
 * that was in memory.
 */
export async function simulateOnDatabase(seed: number): Promise<Verdict & { readonly crashes: number }> {
  const random = seededRandom(seed * 6361);
  const start = randomDocument(random, { pages: 12, menus: 2, items: 16 });
  const { id, key } = start.site;
  const kept = await testDatabase();
  let opened: OpenDatabase = await kept.open();
  const fresh = (): EditingDeps => ({
    database: opened.database,
    cache: siteCache(),
    now: () => new Date('2026-11-23T10:00:00Z'),
  });
  let deps = fresh();
  await storeDocument({ ...deps, deliveryAddress: '' }, toStored(start), random, 'Zorvik');
  const first = await sound();

  async function sound(): Promise<LoggedEdit[]> {
    const current = await currentSite(deps, key);
    return current.ok ? replayEqualsRows(opened.database, id, current.value.head.revision) : [];
  }
  const server: SimulatedServer = {
    async save(edit): Promise<Result<LoggedEdit>> {
      const saved = await saveEdit(deps, key, edit, `Window ${edit.session}`);
      if (!saved.ok) return saved;
      const own = saved.value.edits.find((one) => one.id === edit.id);
      return own === undefined ? no(refusal('bug', { id: 'the answer lacks the edit' })) : ok(own);
    },
    async editsSince(revision) {
      const current = await currentSite(deps, key);
      return current.ok ? editsToSend(opened.database, id, revision, current.value.head.revision) : null;
    },
    ownEdits: (session, since) => ownEdits(opened.database, id, session, since),
    async whole() {
      const current = await currentSite(deps, key);
      if (!current.ok) throw new Error(current.refusal.message);
      const { head, site } = current.value;
      return { epoch: head.epoch, revision: head.revision, document: site.document };
    },
    async crash() {
      await opened.close();
      opened = await kept.open();
      deps = fresh();
    },
  };
  try {
    const seen = await simulate(seed, server, { attempts: 60, canCrash: true });
    const log = await sound();
    const current = await currentSite(deps, key);
    if (!current.ok) throw new Error(current.refusal.message);
    const verdict = judge(seed, start, seen, {
      log: log.slice(first.length),
      rows: current.value.site.document,
      base: first.length,
    });
    return { ...verdict, crashes: seen.crashes };
  } finally {
    await opened.close();
    await kept.remove();
  }
}
