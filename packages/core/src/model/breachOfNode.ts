import type { Id } from '../base/ids.ts';
import type { Destination } from '../schema/item.ts';
import type { Follow } from '../schema/follow.ts';
import { isParent, type ForestName, type NodeOf, type SiteDocument } from './document.ts';
import { partProblem } from './partProblem.ts';

/**
 * The first invariant that a node breaks by itself: its id, its parent, what it names. Its place among its
 * siblings is asked elsewhere. O(log n).
 */
export function breachOfNode<F extends ForestName>(
  document: SiteDocument,
  name: F,
  id: Id,
  node: NodeOf[F],
): string | null {
  if (node.id !== id) return `${name}: ${id} says that it is ${node.id}`;
  if (!isParent(document, name, node.parent))
    return `${name}: the parent ${node.parent} of ${id} is not there`;
  return referenceBreaches[name](document, node);
}

type ReferenceBreach<F extends ForestName> = (document: SiteDocument, node: NodeOf[F]) => string | null;

const sound = (): null => null;

/** What each kind of node may name, and whether that is there. */
const referenceBreaches: { readonly [F in ForestName]: ReferenceBreach<F> } = {
  pages: sound,
  menus: (document, { id, follow }) => breachOfFollow(document, id, follow),
  items: (document, { id, destination, link, follow }) => {
    if (link !== undefined && !document.sharedLinks.nodes.has(link))
      return `items: ${id} shows ${link}, which is not a shared link`;
    return breachOfDestination(document, id, destination) ?? breachOfFollow(document, id, follow);
  },
  placements: ({ menus }, { id, menu }) =>
    menus.nodes.has(menu) ? null : `placements: ${id} places ${menu}, which is not a menu`,
  sharedLinks: (document, { id, destination }) => breachOfDestination(document, id, destination),
  ownFields: sound,
  leftFindings: sound,
  parts: (document, part) => {
    const problem = partProblem(document, part);
    return problem === null ? null : `parts: ${part.id} ${problem.message}`;
  },
  presets: sound,
};

function breachOfDestination({ pages }: SiteDocument, id: Id, destination: Destination): string | null {
  const isThere = destination.kind !== 'page' || pages.nodes.has(destination.page);
  return isThere ? null : `${id} links to ${destination.page}, which is not a page`;
}

function breachOfFollow({ menus, pages }: SiteDocument, id: Id, follow: Follow | undefined): string | null {
  if (follow === undefined) return null;
  const { of } = follow;
  const isThere =
    of.kind === 'menu' ? menus.nodes.has(of.menu) : of.page === null || pages.nodes.has(of.page);
  return isThere ? null : `${id} follows something that does not exist`;
}
