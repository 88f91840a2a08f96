/** States that belong to the visitor and not to the HTML: patching leaves them. */
const STATES = new Set(['aria-expanded', 'data-zv-on', 'data-zv-end', 'open', 'data-zv-selected']);
const KEY = 'data-zv-item';
const PART = 'data-zv-part';

/**
 * Makes `present` like `wanted` and keeps the elements that can stay, so that an open dropdown stays open and
 * the focus stays where it is. List entries are the same when their item is; all else when it is the same
 * element at the same place.
 */
export function patchTree(present: Element, wanted: Element): void {
  const stack: (readonly [Element, Element])[] = [[present, wanted]];
  for (let pair = stack.pop(); pair !== undefined; pair = stack.pop()) {
    const [old, next] = pair;
    patchAttributes(old, next);
    stack.push(...patchChildren(old, next));
  }
}

function patchAttributes(old: Element, next: Element): void {
  for (const { name } of [...old.attributes])
    if (!next.hasAttribute(name) && !STATES.has(name)) old.removeAttribute(name);
  for (const { name, value } of [...next.attributes])
    if (!STATES.has(name) || !old.hasAttribute(name))
      if (old.getAttribute(name) !== value) old.setAttribute(name, value);
}

/** Puts the right children in the right order; gives the pairs that stay and are to be looked into. */
function patchChildren(old: Element, next: Element): (readonly [Element, Element])[] {
  if (next.children.length === 0) {
    if (old.children.length > 0 || old.textContent !== next.textContent) old.textContent = next.textContent;
    return [];
  }
  const stays: (readonly [Element, Element])[] = [];
  const left = named(old);
  for (const node of [...old.childNodes]) if (node.nodeType === Node.TEXT_NODE) node.remove();
  const names = new Map([...named(next)].map(([name, element]) => [element, name]));
  let before: ChildNode | null = old.firstChild;
  for (const wanted of [...next.childNodes]) {
    const name = wanted instanceof Element ? (names.get(wanted) ?? '') : '';
    const match = left.get(name);
    if (match === undefined) {
      old.insertBefore(wanted, before);
      continue;
    }
    left.delete(name);
    stays.push([match, wanted as Element]);
    if (match === before) before = match.nextSibling;
    else old.insertBefore(match, before);
  }
  for (const one of left.values()) one.remove();
  return stays;
}

/**
 * The children of an element by what each is among its siblings: the entry of an item, a part of a panel, or
 * the first, second … of its kind.
 */
function named(parent: Element): Map<string, Element> {
  const found = new Map<string, Element>();
  for (const child of parent.children) {
    const kind = `${child.tagName} ${child.getAttribute(KEY) ?? child.getAttribute(PART) ?? ''}`;
    let name = kind;
    for (let number = 2; found.has(name); number += 1) name = `${kind} ${number}`;
    found.set(name, child);
  }
  return found;
}
