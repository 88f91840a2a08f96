import { isEqual } from '../src/base/isEqual.ts';
import { findBreach } from '../src/model/findBreach.ts';
import { forestNames, type SiteDocument } from '../src/model/document.ts';
import { toStored } from '../src/model/stored.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { LoggedEdit } from '../src/ops/edit.ts';
import { standing } from '../src/ops/standing.ts';
import type { Simulated } from './simulate.ts';

export interface Verdict {
  readonly kept: number;
  readonly refused: number;
}

/**
 * What a server has in the end: its log since the start, what its rows make, and the revision that the start
 * had.
 */
export interface Kept {
  readonly log: readonly LoggedEdit[];
  readonly rows: SiteDocument;
  readonly base: number;
}

/** Looks whether a simulation ended well, and throws a sentence with its seed when it did not. */
export function judge(
  seed: number,
  start: SiteDocument,
  { copies, attempts }: Simulated,
  { log, rows, base }: Kept,
): Verdict {
  const wrong = (what: string): Error =>
    new Error(`Seed ${seed}: ${what}. Replay it with: npm run simulate -- --seed ${seed}`);
  const ids = log.map(({ id }) => id);
  if (new Set(ids).size !== ids.length) throw wrong('an edit is in the log twice');
  if (log.some(({ revision }, at) => revision !== base + at + 1)) throw wrong('the revisions have gaps');

  const logged = new Set(ids);
  for (const [id, { acknowledged, refused }] of attempts) {
    if (acknowledged && refused !== null) throw wrong(`${id} was acknowledged and refused`);
    if (!acknowledged && refused === null) throw wrong(`nobody was told what became of ${id}`);
    if (acknowledged !== logged.has(id))
      throw wrong(`${id} was ${acknowledged ? 'acknowledged, but is not' : 'refused, but is'} in the log`);
  }
  if (log.some(({ id }) => !attempts.has(id))) throw wrong('the log has an edit that nobody made');

  const replay = replayed(start, log, wrong);
  const truth = toStored(replay);
  const breach = findBreach(replay);
  if (breach !== null) throw wrong(`the document is not sound: ${breach}`);
  if (!isEqual(toStored(rows), truth)) throw wrong('the rows are not what the log replays to');
  copies.forEach((copy, at) => {
    if (copy.pending.length > 0) throw wrong(`window ${at} still waits for ${copy.pending.length} answers`);
    if (copy.served.revision !== base + log.length)
      throw wrong(`window ${at} is at revision ${copy.served.revision} of ${base + log.length}`);
    if (!isEqual(toStored(copy.document), truth)) throw wrong(`window ${at} shows something else`);
  });
  return {
    kept: log.length,
    refused: [...attempts.values()].filter(({ refused }) => refused !== null).length,
  };
}

/**
 * Replays the log and watches every undo in it: of each fact that it changes, nobody else may have decided
 * since the edit that it takes back. The facts are told from the documents before and after, and from nothing
 * that the operations say of themselves.
 */
function replayed(
  start: SiteDocument,
  log: readonly LoggedEdit[],
  wrong: (what: string) => Error,
): SiteDocument {
  const deciders = new Map<string, LoggedEdit[]>();
  let document = start;
  for (const edit of log) {
    const applied = applyEdit(document, edit);
    if (!applied.ok) throw wrong(`the log does not replay at ${edit.revision}: ${applied.refusal.message}`);
    for (const fact of changedFacts(document, applied.value.document)) {
      const past = deciders.get(fact) ?? [];
      if (edit.undoes !== null) {
        const at = past.findIndex(({ id }) => id === edit.undoes);
        const others = standing(past.slice(at + 1)).filter(({ session }) => session !== edit.session);
        if (at < 0 || others.length > 0)
          throw wrong(
            `edit ${edit.revision} (${edit.sentence.code}) takes back ${fact}, which another session decided`,
          );
      }
      deciders.set(fact, [...past, edit]);
    }
    ({ document } = applied.value);
  }
  return document;
}

/**
 * What differs between two documents, as `forest id field`; of a node that came or went, each of its fields.
 */
function changedFacts(before: SiteDocument, after: SiteDocument): string[] {
  const facts: string[] = [];
  for (const name of forestNames) {
    if (before[name] === after[name]) continue;
    for (const id of new Set([...before[name].nodes.keys(), ...after[name].nodes.keys()])) {
      const [was, is] = [before[name].nodes.get(id), after[name].nodes.get(id)] as (
        Record<string, unknown> | undefined
      )[];
      if (was === is) continue;
      for (const field of new Set([...Object.keys(was ?? {}), ...Object.keys(is ?? {})]))
        if (!isEqual(was?.[field], is?.[field])) facts.push(`${name} ${id} ${field}`);
    }
  }
  return facts;
}
