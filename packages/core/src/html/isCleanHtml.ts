import { unescapeHtml } from '../base/escape.ts';
import { cleanTree } from './cleanTree.ts';
import type { HtmlElement, HtmlNode } from './htmlNode.ts';

/** A start tag, an end tag or text, in the one way in which clean HTML is written. */
const TOKEN = /<([a-z][a-z0-9]*)((?: [a-z-]+="[^"<>]*")*)>|<\/([a-z][a-z0-9]*)>|[^<>]+/gy;
const ATTRIBUTE = / ([a-z-]+)="([^"]*)"/g;
const empty = new Set(['br', 'wbr', 'hr']);

/**
 * Whether HTML is such as `cleanTree` writes, to the letter; the proof is that cleaning it again changes nothing.
 * Only what can be read in one way is read here at all, so no browser can see more in it than this does. O(length).
 */
export function isCleanHtml(html: string): boolean {
  const nodes = readClean(html);
  return nodes !== null && cleanTree(nodes).html === html;
}

/** Clean HTML as a tree; null: it is not clean. */
function readClean(html: string): HtmlNode[] | null {
  const root: HtmlNode[] = [];
  const open: { readonly tag: string; readonly children: HtmlNode[] }[] = [];
  let end = 0;
  for (const { 0: token, 1: start, 2: attributes = '', 3: closed, index } of html.matchAll(TOKEN)) {
    if (index !== end) return null;
    end += token.length;
    const into = open.at(-1)?.children ?? root;
    if (closed !== undefined) {
      if (open.pop()?.tag !== closed) return null;
    } else if (start === undefined) {
      into.push(unescapeHtml(token));
    } else {
      const children: HtmlNode[] = [];
      const element: HtmlElement = { tag: start, attributes: pairsIn(attributes), children };
      into.push(element);
      if (!empty.has(start)) open.push({ tag: start, children });
    }
  }
  return open.length > 0 || end !== html.length ? null : root;
}

function pairsIn(attributes: string): [string, string][] {
  return [...attributes.matchAll(ATTRIBUTE)].map(([, name = '', value = '']) => [name, unescapeHtml(value)]);
}
