import type { CommandContext } from '../src/commands/context.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { seededRandom } from '../src/base/seededRandom.ts';

/** What a command needs, for a document at hand. */
export function contextOf(document: SiteDocument, seed = 7): CommandContext {
  return { document, base: 0, session: 'w000000000000001', random: seededRandom(seed) };
}
