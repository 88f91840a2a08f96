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
export function elementsBelow(top: HtmlParent): HtmlElement[] {
  const found: HtmlElement[] = [];
  const stack: HtmlElement[] = [];
  const pushBelow = ({ childNodes }: HtmlParent): void => {
    for (let at = childNodes.length - 1; at >= 0; at -= 1) {
      const node = childNodes[at];
      if (isElement(node)) stack.push(node);
    }
  };
  pushBelow(top);
  for (let element = stack.pop(); element !== undefined; element = stack.pop()) {
    found.push(element);
    if (element.tagName !== 'template') pushBelow(element);
  }
  return found;
}

/** The text that is seen of a node, as one line. */
export function textOf(top: HtmlParent): string {
  const parts: string[] = [];
  const stack: HtmlNode[] = [...top.childNodes].reverse();
  for (let node = stack.pop(); node !== undefined; node = stack.pop()) {
    if (node.nodeName === '#text' && 'value' in node) parts.push(node.value);
    if (isElement(node) && !/^(?:script|style|template|noscript)$/.test(node.tagName))
      stack.push(...[...node.childNodes].reverse());
  }
  return plainLine(parts.join(' '));
}
