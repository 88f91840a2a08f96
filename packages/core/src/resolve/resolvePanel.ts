import type { Id } from '../base/ids.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { shownApart } from '../panel/shownApart.ts';
import type { PanelFacts } from '../schema/dropdown.ts';
import type { MenuUsual } from '../schema/menu.ts';
import { mapTree } from '../walk/mapTree.ts';
import type { ResolvedItem, ResolvedPart } from './resolved.ts';
import { resolvePart, type PanelSources } from './resolvePart.ts';

/** The rows of an item's panel; none: nobody composed it. O(parts + items + pages looked at). */
export function resolvePanel(
  sources: PanelSources,
  owner: Id,
  children: readonly ResolvedItem[],
  { panel, usual }: { readonly panel: PanelFacts; readonly usual: MenuUsual },
): ResolvedPart[] {
  const { parts } = sources.document;
  const apart = shownApart(sources.document, owner);
  // Balanced groups show what no other part does, once.
  let left: readonly ResolvedItem[] = children.filter(({ id }) => !apart.has(id));
  return mapTree<Id, ResolvedPart>(
    childrenOf(parts, owner),
    (id) => childrenOf(parts, id),
    (id, inner) => {
      const part = nodeAt(parts, id);
      const made = resolvePart(sources, part, inner, { children, left, panel, usual });
      if (part.kind === 'groups' && made !== null) left = [];
      return made;
    },
  );
}
