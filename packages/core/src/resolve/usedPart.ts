import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Part, PartOf } from '../schema/part.ts';

/**
 * The part that is shown again; null: it is gone, or it is none that can be. Only what stands in a zone or a cell
 * can be shown again, so no part is ever inside itself.
 */
export function usedPart({ parts }: SiteDocument, { of }: Pick<PartOf<'use'>, 'of'>): Part | null {
  const part = parts.nodes.get(of);
  const holder = part === undefined ? undefined : parts.nodes.get(part.parent)?.kind;
  if (part === undefined || part.kind === 'use' || part.kind === 'exception') return null;
  return holder === 'zone' || holder === 'cell' ? part : null;
}

/** A part and the parts around it, up to its area, the innermost first. O(depth). */
export function wayUp({ parts }: SiteDocument, id: Id): Part[] {
  const way: Part[] = [];
  for (let at = parts.nodes.get(id); at !== undefined; at = parts.nodes.get(at.parent)) way.push(at);
  return way;
}
