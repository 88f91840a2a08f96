import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { phrase, quoted, sentence, type Sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { nameOf } from '../model/labelOf.ts';
import type { Edit } from '../ops/edit.ts';
import { invertEdit } from '../ops/invertEdit.ts';
import type { Touched } from '../ops/kit/operationKind.ts';
import { kindOf, type Operation } from '../ops/registry.ts';
import { rebaseEdit } from '../ops/rebaseEdit.ts';
import { standing } from '../ops/standing.ts';

/** An edit and who made it, as far as it is known: edits on their way to the server have no actor yet. */
export type KnownEdit = Edit & { readonly actor?: string };

/**
 * What takes `edit` back in `document`, given the edits that came after it, oldest first, as far as they are
 * known. Refuses when something is no longer as the edit left it, or was decided anew by another session, and
 * names whose change stands in the way.
 */
export function takeBack(
  document: SiteDocument,
  edit: Edit,
  since: readonly KnownEdit[],
): Result<{ readonly operations: readonly Operation[]; readonly sentence: Sentence }> {
  // Taken back, it would bring nodes of the older format back.
  if (since.some(isUpgrade)) return no(refusal('beforeUpgrade'));
  const obstacle = firstContested(edit, since) ?? overwrittenIn(document, edit);
  if (obstacle !== null) return no(standsInTheWay(document, obstacle, since));
  const inverse = { ...edit, operations: invertEdit(edit) };
  const { code, params } = edit.sentence;
  const isRedo = code === 'undone';
  // Undoing a redo, or redoing an undo, is about the change itself.
  const original = (isRedo || code === 'redone' ? params.sentence : undefined) ?? quoted(edit.sentence);
  return ok({
    operations: rebaseEdit(inverse, since).operations,
    sentence: sentence(isRedo ? 'redone' : 'undone', { sentence: original }),
  });
}

const isUpgrade = ({ operations }: Edit): boolean => operations.some(({ kind }) => kind === 'setFormat');

/**
 * The first thing of which something that still stands decided the same since: taking `edit` back would take
 * that back too, even where it looks as the edit left it (a place among siblings that moved on, a name that
 * went away and came back).
 */
function firstContested(edit: Edit, since: readonly KnownEdit[]): Touched | null {
  const later = standing(since);
  if (later.length === 0) return null;
  const own = new Map<string, Set<string>>();
  for (const claim of claimsOf(edit)) {
    const [thing, aspect] = split(claim);
    own.set(thing, (own.get(thing) ?? new Set()).add(aspect));
  }
  const contested = later.flatMap(claimsOf).find((claim) => {
    const [thing, aspect] = split(claim);
    const aspects = own.get(thing);
    return (
      aspects !== undefined &&
      (aspect === '*' || aspects.has('*') || (aspect !== 'inside' && aspects.has(aspect)))
    );
  });
  if (contested === undefined) return null;
  const [forest, id] = contested.split(' ') as [Touched['forest'], string];
  return { forest, id };
}

function claimsOf({ operations }: Edit): readonly string[] {
  return operations.flatMap((operation) => kindOf(operation).claims(operation));
}

function split(claim: string): [string, string] {
  const at = claim.lastIndexOf(' ');
  return [claim.slice(0, at), claim.slice(at + 1)];
}

/**
 * What is no longer as the edit left it. It helps a window that does not know all that came after; of several
 * operations on one thing only the last could say, and of those on several kinds none can, so it asks edits
 * of one operation alone.
 */
function overwrittenIn(document: SiteDocument, { operations }: Edit): Touched | null {
  const [only] = operations;
  return only === undefined || operations.length > 1 ? null : kindOf(only).overwritten(document, only);
}

function standsInTheWay(
  document: SiteDocument,
  { forest, id }: Touched,
  since: readonly KnownEdit[],
): ReturnType<typeof refusal> {
  const touchesIt = (operation: Operation): boolean =>
    kindOf(operation)
      .touches(operation)
      .some((one) => one.id === id);
  const culprit = since.findLast((edit) => edit.operations.some(touchesIt));
  const label = nameOf(document, forest, id);
  // A window that was reloaded knows what its own session did, and not who did the rest.
  if (culprit === undefined) return refusal('changedMeanwhile', { label });
  return refusal('changedSince', {
    label,
    who: culprit.actor ?? phrase('laterChange'),
    sentence: quoted(culprit.sentence),
  });
}
