import type { Id } from '../base/ids.ts';
import type { SiteDocument } from './document.ts';

/** The item whose panel a part stands in; what it is called by where there is none. O(depth). */
export function panelOf({ parts }: SiteDocument, part: Id): Id {
  let at = part;
  for (let node = parts.nodes.get(at); node !== undefined; node = parts.nodes.get(at)) at = node.parent;
  return at;
}
