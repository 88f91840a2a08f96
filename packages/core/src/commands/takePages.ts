import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import type { IncomingPage } from '../diff/diffPages.ts';
import { diffReading } from '../diff/diffReading.ts';
import type { ImportPages } from '../ops/importPages.ts';
import type { Edit } from '../ops/edit.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';

/** More pages than this are not taken from one file. */
export const MOST_TAKEN = 100_000;
/** Size of one edit, in characters of its JSON, about. */
const CHUNK = 3_000_000;

/**
 * What has to be done to take in pages as a file has them: what is new, renamed, moved, and, if asked, what
 * the file does not name.
 */
export function pagesToTake(
  context: CommandContext,
  incoming: readonly IncomingPage[],
  missing: 'keep' | 'retire',
): Result<ImportPages> {
  if (incoming.length > MOST_TAKEN)
    return no(refusal('tooMany', { count: incoming.length, what: 'pages', most: MOST_TAKEN }));
  const { operation } = diffReading(storedOf(context), incoming, { missing, random: context.random });
  if (operation.added.length + operation.moved.length + operation.changed.length === 0)
    return no(refusal('nothingReadNew', { count: incoming.length }));
  return ok(operation);
}

/** Makes the edit for one chunk of an import. */
export function takeChunk(context: CommandContext, chunk: ImportPages): Result<Edit> {
  return makeEdit(context, [chunk], { isStored: true });
}

/**
 * A large import as several of at most `most` characters each. Applied in turn they do the same: additions
 * (parents first), moves, changes.
 */
export function chunksOf({ added, moved, removed, changed }: ImportPages, most = CHUNK): ImportPages[] {
  const nothing: ImportPages = { kind: 'importPages', added: [], moved: [], removed: [], changed: [] };
  const chunks = [
    ...pieces(added, most).map((some) => ({ ...nothing, added: some })),
    ...pieces(moved, most).map((some) => ({ ...nothing, moved: some })),
    ...pieces(removed, most).map((some) => ({ ...nothing, removed: some })),
    ...pieces(changed, most).map((some) => ({ ...nothing, changed: some })),
  ];
  return chunks.length > 1 && [added, moved, removed, changed].every((list) => sizeOf(list) <= most / 4)
    ? [{ kind: 'importPages', added, moved, removed, changed }]
    : chunks;
}

function pieces<T>(list: readonly T[], most: number): (readonly T[])[] {
  const made: T[][] = [];
  let left = 0;
  for (const one of list) {
    const size = JSON.stringify(one).length;
    const last = made.at(-1);
    if (last === undefined || left < size) {
      made.push([one]);
      left = most - size;
    } else {
      last.push(one);
      left -= size;
    }
  }
  return made;
}

function sizeOf(list: readonly unknown[]): number {
  return list.reduce<number>((sum, one) => sum + JSON.stringify(one).length, 0);
}
