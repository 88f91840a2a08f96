import { ok, type Result } from '../src/base/result.ts';
import type { Refusal } from '../src/base/refusal.ts';
import { seededRandom } from '../src/base/seededRandom.ts';
import type { Id } from '../src/base/ids.ts';
import type { SiteDocument } from '../src/model/document.ts';
import type { Edit, LoggedEdit } from '../src/ops/edit.ts';
import { acceptEdit } from '../src/saving/acceptEdit.ts';
import { judge, type Verdict } from './judge.ts';
import { randomDocument } from './randomDocument.ts';
import { simulate, type SimulatedServer } from './simulate.ts';

/** A server as the rules have it, without a database: its log is its disk. */
function serverInMemory(
  start: SiteDocument,
): SimulatedServer & { readonly log: LoggedEdit[]; readonly document: () => SiteDocument } {
  const log: LoggedEdit[] = [];
  const refusals = new Map<Id, Refusal>();
  let document = start;

  function save(edit: Edit): Result<LoggedEdit> {
    const known = log.find(({ id }) => id === edit.id);
    if (known !== undefined) return ok(known);
    const no = refusals.get(edit.id);
    if (no !== undefined) return { ok: false, refusal: no };
    const at = log.findIndex(({ id }) => id === edit.undoes);
    const undone = at < 0 ? null : { edit: log[at]!, since: log.slice(at + 1) };
    const accepted = acceptEdit(document, edit, { since: log.slice(edit.base), undone });
    if (!accepted.ok) {
      refusals.set(edit.id, accepted.refusal);
      return accepted;
    }
    ({ document } = accepted.value);
    const logged = {
      ...accepted.value.edit,
      revision: log.length + 1,
      at: '2026-11-23T10:00:00.000Z',
      actor: `Window ${edit.session}`,
    };
    log.push(logged);
    return ok(logged);
  }

  return {
    log,
    document: () => document,
    save: async (edit) => save(edit),
    editsSince: async (revision) => (log.length - revision > 25 ? null : log.slice(revision)),
    ownEdits: async (session, since) => log.slice(since).filter((edit) => edit.session === session),
    whole: async () => ({ epoch: 'e1', revision: log.length, document }),
    crash: async () => undefined,
  };
}

/**
 * One seed of the simulation with a server in memory, judged. Throws with the seed when something is wrong.
 */
export async function simulateInMemory(seed: number): Promise<Verdict> {
  const start = randomDocument(seededRandom(seed * 7919), { pages: 12, menus: 2, items: 16 });
  const server = serverInMemory(start);
  const seen = await simulate(seed, server, { attempts: 60, canCrash: true });
  return judge(seed, start, seen, { log: server.log, rows: server.document(), base: 0 });
}
