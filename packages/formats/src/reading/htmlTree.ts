import type { DefaultTreeAdapterMap } from 'parse5';
import { plainLine } from '@zorvik/core';

export type HtmlElement = DefaultTreeAdapterMap['element'];
export type HtmlParent = DefaultTreeAdapterMap['parentNode'];
type HtmlNode = DefaultTreeAdapterMap['childNode'];

export function isElement(node: HtmlNode | undefined): node is HtmlElement {
  return node !== undefined && 'tagName' in node;
}

export function attributeOf(element: HtmlElement, name: string): string | null {
  return element.attrs.find((one) => one.name === name)?.value ?? null;
}

/** Every element below a node, in document order. What a template holds is no part of the page. */
export function* elementsBelow(top: HtmlParent): Generator<HtmlElement> {
  const stack: HtmlNode[] = [...top.childNodes].reverse();
  for (let node = stack.pop(); node !== undefined; node = stack.pop()) {
    if (!isElement(node)) continue;
    yield node;
    if (node.tagName !== 'template') for (let at = node.childNodes.length - 1; at >= 0; at -= 1) stack.push(node.childNodes[at] as HtmlNode);
  }
}

/** The text that is seen of a node, as one line. */
export function textOf(top: HtmlParent): string {
  const parts: string[] = [];
  const stack: HtmlNode[] = [...top.childNodes].reverse();
  for (let node = stack.pop(); node !== undefined; node = stack.pop()) {
    if (node.nodeName === '#text' && 'value' in node) parts.push(node.value);
    if (isElement(node) && !/^(?:script|style|template|noscript)$/.test(node.tagName)) stack.push(...[...node.childNodes].reverse());
  }
  return plainLine(parts.join(' '));
}
