import { fnv1a, FNV_START } from '@zorvik/core';
import type { HtmlElement, HtmlParent } from './htmlTree.ts';
import { attributeOf, isElement } from './htmlTree.ts';

/** Elements that part a page; what is in a line of text says nothing of its template. */
const parting = new Set(
  'body main article section aside header footer div form table thead ul ol dl figure h1 h2 h3 p pre blockquote iframe video audio button input select textarea img address details hr'.split(
    ' ',
  ),
);
/** Menus and what is no content: they differ by where a page is, and not by what it is. */
const skipped = new Set(['head', 'nav', 'script', 'style', 'svg', 'template', 'noscript']);
const DEEPEST = 10;

/**
 * The skeleton of a page: the different paths of tags and classes down to each element that parts it, each as a
 * number of 32 bits, in rising order. How often a path comes does not count, so that a long page is like a short
 * one. Idea: a bag of paths (S. Joshi, N. Agrawal, R. Krishnapuram, S. Negi, "A bag of paths model for measuring
 * structural similarity in Web documents", 2003). O(elements).
 */
export function skeletonOf(document: HtmlParent): number[] {
  const found = new Set<number>();
  const stack: { readonly node: HtmlParent; readonly path: number; readonly depth: number }[] = [
    { node: document, path: FNV_START, depth: 0 },
  ];
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const { node, path, depth } = next;
    for (const child of node.childNodes) {
      if (!isElement(child) || skipped.has(child.tagName)) continue;
      if (!parting.has(child.tagName)) {
        stack.push({ node: child, path, depth });
        continue;
      }
      const own = fnv1a(`${tokenOf(child)}/`, path) >>> 0;
      found.add(own);
      if (depth < DEEPEST) stack.push({ node: child, path: own, depth: depth + 1 });
    }
  }
  return [...found].sort((a, b) => a - b);
}

/** A tag with up to two of its classes; names with a digit in them count things, and say nothing of a template. */
function tokenOf(element: HtmlElement): string {
  const classes = (attributeOf(element, 'class') ?? '')
    .split(/\s+/)
    .filter((one) => one !== '' && one.length <= 40 && !/\d/.test(one))
    .slice(0, 2);
  return [element.tagName, ...classes].join('.');
}
