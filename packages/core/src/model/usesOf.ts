import type { Id } from '../base/ids.ts';
import { eachRef } from '../refs/refsOf.ts';
import { NEEDS, type Path, type RefRole, type RefTarget } from '../schema/ref.ts';
import type { ForestName, NodeOf, SiteDocument } from './document.ts';

/** A node that refers to something, and where in it. */
export interface Use {
  readonly forest: ForestName;
  readonly id: Id;
  readonly value: string;
  readonly role: RefRole;
  readonly path: Path;
}

/** Forests of what visitors get. Presets and ignored findings are kept whatever they name. */
const onSite = ['menus', 'items', 'placements', 'sharedLinks', 'parts'] as const;

/**
 * Links to these, and what takes its content from them, in no particular order. O(document without pages).
 */
export function usesOf(document: SiteDocument, target: RefTarget, ids: ReadonlySet<Id>): Use[] {
  const uses: Use[] = [];
  for (const forest of onSite) {
    for (const node of document[forest].nodes.values() as Iterable<NodeOf[typeof forest]>) {
      eachRef<typeof forest>(
        forest,
        node,
        (to, value, role, path) => {
          if (to === target && ids.has(value)) uses.push({ forest, id: node.id, value, role, path });
        },
        NEEDS,
      );
    }
  }
  return uses;
}
