import type { Id } from '../base/ids.ts';
import { preorder } from '../walk/preorder.ts';
import { forestNames, isParent, type ForestName, type SiteDocument } from './document.ts';
import { childrenOf } from './forest.ts';
import { partProblem } from './partProblem.ts';
import { rootsOf } from './rootsOf.ts';

/**
 * The first invariant that a document breaks, in words; null when it is sound. Every operation keeps them (a law), and stored
 * documents are checked when they are read. O(n).
 */
export function findBreach(document: SiteDocument): string | null {
  for (const name of forestNames) {
    const breach = breachOfForest(document, name);
    if (breach !== null) return breach;
  }
  return breachOfParts(document) ?? breachOfReferences(document);
}

function breachOfForest(document: SiteDocument, name: ForestName): string | null {
  const forest = document[name];
  for (const node of forest.nodes.values()) {
    if (!isParent(document, name, node.parent)) return `${name}: the parent ${node.parent} of ${node.id} is not there`;
  }
  const tops = rootsOf(document, name).flatMap((root) => [...childrenOf(forest, root)]);
  const reached = new Set<Id>();
  for (const { node } of preorder(tops, (id) => childrenOf(forest, id))) {
    if (reached.has(node)) return `${name}: ${node} stands twice`;
    reached.add(node);
    const found = forest.nodes.get(node);
    if (found === undefined) return `${name}: ${node} stands in an order but is not there`;
    if (!childrenOf(forest, found.parent).has(node)) return `${name}: ${node} stands under another parent than it says`;
  }
  return reached.size === forest.nodes.size ? null : `${name}: ${forest.nodes.size - reached.size} nodes cannot be reached`;
}

function breachOfParts(document: SiteDocument): string | null {
  for (const part of document.parts.nodes.values()) {
    const problem = partProblem(document, part);
    if (problem !== null) return `parts: ${part.id} ${problem.message}`;
  }
  return null;
}

function breachOfReferences({ items, pages, placements, menus, sharedLinks, ownFields }: SiteDocument): string | null {
  for (const { nodes } of [items, sharedLinks]) {
    for (const { id, destination } of nodes.values()) {
      if (destination.kind === 'page' && !pages.nodes.has(destination.page)) return `${id} leads to ${destination.page}, which is no page`;
    }
  }
  for (const { id, link } of items.nodes.values()) {
    if (link !== undefined && !sharedLinks.nodes.has(link)) return `items: ${id} shows ${link}, which is no shared link`;
  }
  for (const { nodes } of [items, menus]) {
    for (const { id, follow } of nodes.values()) {
      if (follow === undefined) continue;
      const { of } = follow;
      const isThere = of.kind === 'menu' ? menus.nodes.has(of.menu) : of.page === null || pages.nodes.has(of.page);
      if (!isThere) return `${id} follows what is not there`;
    }
  }
  for (const { id, menu } of placements.nodes.values()) {
    if (!menus.nodes.has(menu)) return `placements: ${id} places ${menu}, which is no menu`;
  }
  const keys = [...menus.nodes.values()].map((menu) => menu.key);
  if (new Set(keys).size < keys.length) return 'menus: two have the same key';
  const fields = [...ownFields.nodes.values()].map(({ of, key }) => `${of} ${key}`);
  return new Set(fields).size === fields.length ? null : 'ownFields: two of the same have the same key';
}
