import {
  acceptEdit,
  applyEdit,
  forestNames,
  kindOf,
  no,
  ok,
  refusal,
  type Accepted,
  type Edit,
  type ForestName,
  type Id,
  type LoggedEdit,
  type Past,
  type Result,
  type Site,
  type SiteDocument,
} from '@zorvik/core';
import type { Database } from '../db/database.ts';
import { appendEdit, bodyOf, editById, editsSince, editsToSend, keepRefusal } from '../repositories/log.ts';
import { deleteNodes, writeNodes, type NodeRow, type Progress } from '../repositories/nodes.ts';
import { insertSite, lockSite, setFacts, setRevision, type SiteHead } from '../repositories/sites.ts';
import { damageDone } from './damageDone.ts';
import { othersTurn } from '../othersTurn.ts';
import { ranksFor } from './ranksFor.ts';
import { withEdit, type KnownSite, type SiteCache } from './siteCache.ts';

export interface EditingDeps {
  readonly database: Database;
  readonly cache: SiteCache;
  readonly now: () => Date;
}

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
  { database, cache, now }: EditingDeps,
  siteKey: string,
  wanted: ToDecide,
): Promise<Result<Saved>> {
  const { id, actor, decide, known, epoch, newSite, onWritten } = wanted;
  const { result, site } = await database.transaction(
    async (tx): Promise<{ result: Result<Saved>; site: KnownSite | null }> => {
      if (newSite !== undefined) await insertSite(tx, newSite);
      const head = await lockSite(tx, siteKey, id);
      if (head === null) return { result: no(refusal('unknownSite', { key: siteKey })), site: null };
      if (epoch !== undefined && epoch !== head.epoch)
        return { result: no(refusal('otherHistory')), site: null };
      if (head.refused !== null) return { result: no(head.refused), site: null };
      if (head.known !== null) return { result: ok(await answerAgain(tx, head, id, known)), site: null };
      const present = await caughtUp(tx, await cache.at(tx, head), head.revision);
      const decided = await sound(present.document, await decide(tx, present));
      if (!decided.ok) {
        await keepRefusal(tx, head.id, id, decided.refusal, now().toISOString());
        return { result: decided, site: present };
      }
      const isLarge = hasGrown(present.document, decided.value.document);
      if (isLarge) await othersTurn();
      const logged: LoggedEdit = {
        ...decided.value.edit,
        revision: head.revision + 1,
        at: now().toISOString(),
        actor,
      };
      const body = bodyOf(logged);
      // What fails first is told; the body must not go unhandled then.
      body.catch(() => undefined);
      if (isLarge) await othersTurn();
      const ranks = await writeTouched(tx, present, decided.value.document, logged, onWritten);
      if (decided.value.document.site !== present.document.site)
        await setFacts(tx, decided.value.document.site);
      await appendEdit(tx, head.id, logged, await body);
      await setRevision(tx, head, logged.revision);
      const after = withEdit(present, logged, decided.value.document, ranks);
      return {
        result: ok({ epoch: head.epoch, revision: logged.revision, edits: toSend(after, known) }),
        site: after,
      };
    },
  );
  // Only now is it committed: a transaction that failed must leave the cache as it was.
  if (site !== null) cache.keep(site);
  return result;
}

/** Whether a site has many more nodes, or many fewer, after an edit: then writing it takes a while. */
function hasGrown(before: SiteDocument, after: SiteDocument): boolean {
  return forestNames.some((name) => Math.abs(after[name].nodes.size - before[name].nodes.size) > MOST_NODES);
}

/** What was decided, unless it would damage the site. */
async function sound(before: SiteDocument, decided: Result<Accepted>): Promise<Result<Accepted>> {
  const damage = decided.ok ? await damageDone(before, decided.value.document, decided.value.edit) : null;
  return damage === null ? decided : no(damage);
}

/** Edits that write more nodes than this are not sent along: to load the whole site is less. */
const MOST_NODES = 5000;

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

/** A site brought up to the revision of its row by what other processes have logged. */
export async function caughtUp(tx: Database, site: KnownSite, revision: number): Promise<KnownSite> {
  let current = site;
  for (const edit of site.revision === revision ? [] : await editsSince(tx, site.id, site.revision)) {
    const applied = applyEdit(current.document, edit);
    if (!applied.ok)
      throw new Error(
        `The log of ${site.id} does not replay at revision ${edit.revision}: ${applied.refusal.message}`,
      );
    let { ranks } = current;
    for (const [forest, ids] of touchedBy(edit))
      ranks = ranks.withAll(ranksFor(applied.value.document, forest, ids, ranks));
    current = withEdit(current, edit, applied.value.document, ranks);
  }
  return current;
}

/** Writes the rows of every node that the edit touched, and gives the ranks after it. */
async function writeTouched(
  tx: Database,
  { id: siteId, ranks }: KnownSite,
  document: SiteDocument,
  edit: Edit,
  onWritten?: Progress,
): Promise<KnownSite['ranks']> {
  let current = ranks;
  for (const [forest, ids] of touchedBy(edit)) {
    const given = ranksFor(document, forest, ids, current);
    current = current.withAll(given);
    const gone: string[] = [];
    const added: NodeRow[] = [];
    const changed: NodeRow[] = [];
    for (const id of ids) {
      const node = document[forest].nodes.get(id);
      if (node === undefined) {
        gone.push(id);
        current = current.without(id);
        continue;
      }
      // Of fifty thousand, taking fields out of copies took a second; what is undefined is not written.
      const fields = { ...node, id: undefined, parent: undefined };
      const isThere = ranks.get(id) !== undefined;
      (isThere ? changed : added).push({ id, parent: node.parent, rank: given.get(id) ?? '', fields });
    }
    await writeNodes(tx, siteId, forest, { added, changed }, onWritten);
    await deleteNodes(tx, siteId, forest, gone);
  }
  return current;
}

function touchedBy({ operations }: Edit): Map<ForestName, Set<string>> {
  const touched = new Map<ForestName, Set<string>>();
  for (const operation of operations) {
    for (const { forest, id } of kindOf(operation).touches(operation)) {
      const ids = touched.get(forest);
      if (ids === undefined) touched.set(forest, new Set([id]));
      else ids.add(id);
    }
  }
  return touched;
}
