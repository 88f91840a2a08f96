import type { ResolvedItem, ResolvedPart } from '../resolve/resolved.ts';
import { preorder } from '../walk/preorder.ts';

/** All parts of the panel of an item, in preorder; none where nobody composed one. */
export function resolvedParts({ rows = [] }: ResolvedItem): ResolvedPart[] {
  return [...preorder<ResolvedPart>(rows, ({ parts = [] }) => parts)].map(({ node }) => node);
}
