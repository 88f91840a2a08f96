import type { Part, PartOf } from '../schema/part.ts';
import type { SiteDocument } from './document.ts';

/**
 * The part that is shown again; null: it is gone, or it is none that can be. Only what stands in a zone or a cell
 * can be shown again, so no part is ever inside itself.
 */
export function usedPart(
  { parts }: Pick<SiteDocument, 'parts'>,
  { of }: Pick<PartOf<'use'>, 'of'>,
): Part | null {
  const part = parts.nodes.get(of);
  const holder = part === undefined ? undefined : parts.nodes.get(part.parent)?.kind;
  if (part === undefined || part.kind === 'use' || part.kind === 'exception') return null;
  return holder === 'zone' || holder === 'cell' ? part : null;
}

/** A part, or the part that it shows again, which has its facts; null: that is gone. */
export function meantPart(document: Pick<SiteDocument, 'parts'>, part: Part): Part | null {
  return part.kind === 'use' ? usedPart(document, part) : part;
}
