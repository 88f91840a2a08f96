import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import type { IncomingPage } from '../diff/diffPages.ts';
import { diffReading } from '../diff/diffReading.ts';
import type { Edit } from '../ops/edit.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';

/** More pages than this are not sent as one edit of a person's. */
export const MOST_TAKEN = 20_000;

/** Takes in pages as a file has them, as one edit: what is new, renamed, moved, and, if asked, what the file does not name. */
export function takePages(context: CommandContext, incoming: readonly IncomingPage[], missing: 'keep' | 'retire'): Result<Edit> {
  if (incoming.length > MOST_TAKEN) return no(refusal('tooMany', { count: incoming.length, what: 'pages', most: MOST_TAKEN }));
  const { operation } = diffReading(storedOf(context), incoming, { missing, random: context.random });
  if (operation.added.length + operation.moved.length + operation.changed.length === 0) return no(refusal('nothingReadNew', { count: incoming.length }));
  return makeEdit(context, [operation], { isStored: true });
}
