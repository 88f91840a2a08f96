import type { Id } from '../base/ids.ts';
import type { Part, PartOf } from '../schema/part.ts';
import { ancestors } from '../walk/ancestors.ts';
import type { SiteDocument } from './document.ts';

/** A part and the parts around it, up to its row or its area, the innermost first; none where it is not there. O(depth). */
export function wayUp({ parts }: Pick<SiteDocument, 'parts'>, id: Id): Part[] {
  const part = parts.nodes.get(id);
  return part === undefined ? [] : [part, ...ancestors(part, ({ parent }) => parts.nodes.get(parent))];
}

/** The area of the frame that a part is in, which may be the part itself; null: it is in none. O(depth). */
export function areaAround(document: Pick<SiteDocument, 'parts'>, id: Id): PartOf<'area'> | null {
  const outermost = wayUp(document, id).at(-1);
  return outermost?.kind === 'area' ? outermost : null;
}
