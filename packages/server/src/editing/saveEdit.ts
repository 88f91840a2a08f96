import {
  acceptEdit,
  kindOf,
  no,
  ok,
  refusal,
  type Accepted,
  type Edit,
  type Id,
  type LoggedEdit,
  type Past,
  type Result,
  type Site,
  type SiteDocument,
} from '@zorvik/core';
import type { Database } from '../db/database.ts';
import { editById, editsSince, editsToSend, keepRefusal } from '../repositories/log.ts';
import type { Progress } from '../repositories/nodes.ts';
import { insertSite, lockSite, type SiteHead } from '../repositories/sites.ts';
import { damageDone } from './damageDone.ts';
import type { EditingDeps } from './editingDeps.ts';
import { presentSite } from './presentSite.ts';
import type { KnownSite } from './siteCache.ts';
import { MOST_NODES, writeEdit } from './writeEdit.ts';

export interface SaveChoices {
  /** The revision that the sender knows; without it, the edit's base. The answer has what came after it. */
  readonly known?: number;
  /** The epoch that the sender knows: an edit for another one would be led through the wrong log. */
  readonly epoch?: string;
  /** A site that the edit is the first of: it is stored with it, or not at all. */
  readonly newSite?: Site;
  readonly onWritten?: Progress;
}

export interface Saved {
  readonly epoch: string;
  readonly revision: number;
  /**
   * What the sender does not know yet, oldest first, the edit itself at the end; the edit alone, when that is
   * much.
   */
  readonly edits: readonly LoggedEdit[];
}

/**
 * Keeps an edit: in one transaction takes the site's row, catches up with the log, lets core decide, writes
 * the rows that it touched and appends it to the log. An edit that was answered already, be it kept or
 * refused, changes nothing and gets its answer again.
 */
export async function saveEdit(
  deps: EditingDeps,
  siteKey: string,
  edit: Edit,
  actor: string,
  choices: SaveChoices = {},
): Promise<Result<Saved>> {
  if (edit.operations.length === 0 && edit.undoes === null) return no(refusal('emptyEdit'));
  const decide = async (tx: Database, present: KnownSite): Promise<Result<Accepted>> => {
    if (edit.base > present.revision)
      return no(refusal('badBase', { base: edit.base, revision: present.revision }));
    const past = {
      since: edit.undoes === null ? await since(tx, present, edit.base) : [],
      undone: await undoneBy(tx, present, edit),
    };
    return acceptEdit(present.document, edit, past);
  };
  return keepDecided(deps, siteKey, { id: edit.id, actor, decide, known: edit.base, ...choices });
}

export interface ToDecide extends SaveChoices {
  /** The edit's id. */
  readonly id: Id;
  readonly actor: string;
  readonly known: number;
  /** Makes the edit on the site as it is while its row is held. */
  readonly decide: (tx: Database, present: KnownSite) => Promise<Result<Accepted>>;
}

/**
 * Keeps what is decided while the site's row is held. A refusal is kept, too, and nothing else is written
 * then.
 */
export async function keepDecided(
  deps: EditingDeps,
  siteKey: string,
  wanted: ToDecide,
): Promise<Result<Saved>> {
  const { id, actor, decide, known, epoch, newSite, onWritten } = wanted;
  const { result, site } = await deps.database.transaction(
    async (tx): Promise<{ result: Result<Saved>; site: KnownSite | null }> => {
      if (newSite !== undefined) await insertSite(tx, newSite);
      const locked = await lockSite(tx, siteKey, id);
      if (locked === null) return { result: no(refusal('unknownSite', { key: siteKey })), site: null };
      if (epoch !== undefined && epoch !== locked.epoch)
        return { result: no(refusal('otherHistory')), site: null };
      if (locked.refused !== null) return { result: no(locked.refused), site: null };
      if (locked.known !== null) return { result: ok(await answerAgain(tx, locked, id, known)), site: null };
      const found = await presentSite(tx, deps, locked);
      if (!found.ok) return { result: found, site: null };
      const { site: present, head } = found.value;
      const at = deps.now().toISOString();
      const decided = await sound(present.document, await decide(tx, present));
      if (!decided.ok) {
        await keepRefusal(tx, head.id, id, decided.refusal, at);
        return { result: decided, site: present };
      }
      const after = await writeEdit(tx, present, decided.value, { actor, at, onWritten });
      return {
        result: ok({ epoch: head.epoch, revision: after.revision, edits: toSend(after, known) }),
        site: after,
      };
    },
  );
  // Only now is it committed: a transaction that failed must leave the cache as it was.
  if (site !== null) deps.cache.keep(site);
  return result;
}

/** What was decided, unless it would damage the site. */
async function sound(before: SiteDocument, decided: Result<Accepted>): Promise<Result<Accepted>> {
  const damage = decided.ok ? await damageDone(before, decided.value.document, decided.value.edit) : null;
  return damage === null ? decided : no(damage);
}

/**
 * What a sender who knows a revision is told of the log, from memory: all that it misses, or the last edit
 * alone when that is much.
 */
function toSend({ tail }: KnownSite, known: number): readonly LoggedEdit[] {
  const missed = tail.slice(Math.max(0, known + 1 - (tail[0]?.revision ?? 0)));
  const isWhole =
    tail[0] !== undefined && tail[0].revision <= known + 1 && missed.every((edit) => !isHuge(edit));
  return isWhole ? missed : tail.slice(-1).filter((edit) => !isHuge(edit));
}

function isHuge({ operations }: Edit): boolean {
  return (
    operations.reduce((sum, operation) => sum + kindOf(operation).touches(operation).length, 0) > MOST_NODES
  );
}

async function answerAgain(
  tx: Database,
  { id: siteId, epoch, revision }: SiteHead,
  id: Id,
  known: number,
): Promise<Saved> {
  const missed = await editsToSend(tx, siteId, known, revision);
  if (missed?.some((edit) => edit.id === id) === true) return { epoch, revision, edits: missed };
  const own = await editById(tx, siteId, id);
  return { epoch, revision, edits: own === null || isHuge(own) ? [] : [own] };
}

/** The log after a revision: its end is in memory. */
async function since(
  tx: Database,
  { id, revision, tail }: KnownSite,
  base: number,
): Promise<readonly LoggedEdit[]> {
  if (base >= revision) return [];
  const isKnown = tail[0] !== undefined && tail[0].revision <= base + 1;
  return isKnown ? tail.filter((edit) => edit.revision > base) : editsSince(tx, id, base);
}

async function undoneBy(tx: Database, present: KnownSite, { undoes }: Edit): Promise<Past['undone']> {
  if (undoes === null) return null;
  const edit = present.tail.find(({ id }) => id === undoes) ?? (await editById(tx, present.id, undoes));
  return edit === null ? null : { edit, since: await since(tx, present, edit.revision) };
}
