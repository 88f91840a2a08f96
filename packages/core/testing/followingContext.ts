import type { CommandContext } from '../src/commands/context.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { createFilling } from '../src/resolve/withFollowed.ts';
import { contextOf } from './contextOf.ts';

/** What a command needs, for a document in which something may be followed: it sees what is shown. */
export function followingContext(stored: SiteDocument, seed = 7): CommandContext {
  const fill = createFilling();
  return { ...contextOf(fill(stored), seed), from: { stored, fill } };
}
