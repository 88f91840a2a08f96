import { parseFragment, type DefaultTreeAdapterMap } from 'parse5';
import { cleanTree, type CleanHtml, type HtmlNode } from '@zorvik/core';

type ParsedNode = DefaultTreeAdapterMap['childNode'];

/** No page nests so deep; what does is a trap for whoever walks it. */
const DEEPEST = 300;

/**
 * Cleans HTML that somebody wrote or pasted, and says what was taken out. It is parsed as browsers parse it, and
 * written in the one form that `isCleanHtml` of core takes: cleaning what is clean changes nothing (a law).
 */
export function sanitiseHtml(html: string): CleanHtml {
  const { childNodes } = parseFragment(html);
  let comments = 0;
  const nodeOf = (node: ParsedNode, depth: number): HtmlNode[] => {
    if (node.nodeName === '#text' && 'value' in node) return [node.value];
    if (node.nodeName === '#comment') comments += 1;
    if (!('tagName' in node)) return [];
    const children =
      depth < DEEPEST ? node.childNodes.flatMap((child) => nodeOf(child as ParsedNode, depth + 1)) : [];
    const attributes = node.attrs.map(({ name, value }) => [name, value] as const);
    return [{ tag: node.tagName, attributes, children }];
  };
  const { html: clean, removed } = cleanTree(childNodes.flatMap((node) => nodeOf(node, 0)));
  return {
    html: clean,
    removed: comments === 0 ? removed : [...removed, { what: 'comment', count: comments }],
  };
}
