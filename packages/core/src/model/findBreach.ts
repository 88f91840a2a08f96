import type { Id } from '../base/ids.ts';
import { FORMAT } from '../schema/format.ts';
import { breachOfNode } from './breachOfNode.ts';
import { forestNames, forestOf, isParent, type ForestName, type SiteDocument } from './document.ts';
import { rootsOf } from './storedOrder.ts';

/**
 * The first invariant that a document breaks, in words; null when it is sound. Every operation keeps them (a
 * law), and stored documents are checked when they are read. O(n).
 */
export function findBreach(document: SiteDocument): string | null {
  for (const name of forestNames) {
    const breach = breachOfForest(document, name);
    if (breach !== null) return breach;
  }
  for (const name of forestNames) {
    const { nodes } = forestOf<ForestName>(document, name);
    for (const id of nodes.keys()) {
      const node = nodes.get(id);
      const breach = node === undefined ? null : breachOfNode<ForestName>(document, name, id, node);
      if (breach !== null) return breach;
    }
  }
  // They are kept for logs alone: the parts of the frame say where menus stand.
  if (document.format === FORMAT && document.placements.nodes.size > 0)
    return 'placements: there are none any more';
  return breachOfKeys(document);
}

function breachOfForest(document: SiteDocument, name: ForestName): string | null {
  const { nodes, children } = document[name];
  for (const { id, parent } of nodes.values()) {
    if (!isParent(document, name, parent)) return `${name}: the parent ${parent} of ${id} is not there`;
  }
  const reached = new Set<Id>();
  const above = [...rootsOf(document, name)];
  for (let parent = above.pop(); parent !== undefined; parent = above.pop()) {
    for (const id of children.get(parent) ?? []) {
      if (reached.has(id)) return `${name}: ${id} is listed twice`;
      reached.add(id);
      const node = nodes.get(id);
      if (node === undefined) return `${name}: ${id} is listed but does not exist`;
      if (node.parent !== parent) return `${name}: ${id} is listed under another parent than its own`;
      above.push(id);
    }
  }
  return reached.size === nodes.size ? null : `${name}: ${nodes.size - reached.size} nodes cannot be reached`;
}

function breachOfKeys({ menus, ownFields }: SiteDocument): string | null {
  const keys = [...menus.nodes.values()].map((menu) => menu.key);
  if (new Set(keys).size < keys.length) return 'menus: two have the same key';
  const fields = [...ownFields.nodes.values()].map(({ of, key }) => `${of} ${key}`);
  return new Set(fields).size === fields.length ? null : 'ownFields: two of the same have the same key';
}
