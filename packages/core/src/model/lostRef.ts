import { NEEDS, type RefTarget } from '../schema/ref.ts';
import { eachRef } from '../refs/refsOf.ts';
import type { ForestName, NodeOf, SiteDocument } from './document.ts';

/** What a node refers to and does not find. */
export interface LostRef {
  readonly to: RefTarget;
  readonly value: string;
}

const forests = { page: 'pages', menu: 'menus', sharedLink: 'sharedLinks' } as const;

/**
 * The first page, menu or shared link that a node needs and that does not exist; null: all are there. What a
 * node only remembers may be gone, and so may the item of a link group, which then shows nothing.
 */
export function lostRef<F extends ForestName>(
  document: SiteDocument,
  forest: F,
  node: NodeOf[F],
): LostRef | null {
  let lost: LostRef | null = null;
  eachRef(
    forest,
    node,
    (to, value) => {
      if (lost !== null || !Object.hasOwn(forests, to)) return;
      if (!document[forests[to as keyof typeof forests]].nodes.has(value)) lost = { to, value };
    },
    NEEDS,
  );
  return lost;
}
