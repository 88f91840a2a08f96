import { plainLine } from '@zorvik/core';
import {
  attributeOf,
  elementsBelow,
  isElement,
  textOf,
  type HtmlElement,
  type HtmlParent,
} from './htmlTree.ts';

/** What a page says of the way to it, from the top. */
export interface Trail {
  readonly by: 'jsonLd' | 'microdata' | 'breadcrumb' | 'trail';
  /** `address` as it is written; null: no link. */
  readonly steps: readonly { readonly title: string; readonly address: string | null }[];
}

/** All trails among a page's elements, those that are surest first. */
export function trailsOf(elements: readonly HtmlElement[]): Trail[] {
  const trails = [
    ...elements.flatMap(jsonLdTrails),
    ...elements.flatMap(microdataTrail),
    ...breadcrumbTrails(elements),
    ...linkTrails(elements),
  ];
  return trails.filter(({ steps }) => steps.length > 0);
}

/** BreadcrumbList of schema.org in JSON-LD, wherever in the data it stands. */
function jsonLdTrails(element: HtmlElement): Trail[] {
  if (element.tagName !== 'script' || attributeOf(element, 'type')?.toLowerCase() !== 'application/ld+json')
    return [];
  const [text] = element.childNodes;
  const found: Trail[] = [];
  const stack: unknown[] = [text !== undefined && 'value' in text ? parsed(text.value) : null];
  for (let looks = 0; stack.length > 0 && looks < 10_000; looks += 1) {
    const value = stack.pop();
    if (typeof value !== 'object' || value === null) continue;
    const data = value as Record<string, unknown>;
    if (data['@type'] === 'BreadcrumbList' && Array.isArray(data.itemListElement))
      found.push({ by: 'jsonLd', steps: stepsOf(data.itemListElement) });
    stack.push(...Object.values(data).reverse());
  }
  return found;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    // What is no JSON says nothing; the page may say it in another way.
    return null;
  }
}

function stepsOf(list: readonly unknown[]): Trail['steps'] {
  const entries = list.filter(
    (one): one is Record<string, unknown> => typeof one === 'object' && one !== null,
  );
  const placed = entries
    .map((entry, at) => ({ entry, place: Number(entry.position ?? at + 1) }))
    .sort((a, b) => a.place - b.place);
  return placed.map(({ entry }) => {
    const item = entry.item as string | Record<string, unknown> | undefined;
    const address = typeof item === 'string' ? item : (item?.['@id'] ?? item?.url ?? null);
    const name = entry.name ?? (typeof item === 'object' ? item.name : '');
    return { title: plainLine(String(name ?? '')), address: typeof address === 'string' ? address : null };
  });
}

/** The same in microdata (HTML, 5 "Microdata"). */
function microdataTrail(element: HtmlElement): Trail[] {
  if (!/schema\.org\/BreadcrumbList$/i.test(attributeOf(element, 'itemtype') ?? '')) return [];
  const entries = elementsBelow(element).filter((one) => attributeOf(one, 'itemprop') === 'itemListElement');
  const steps = entries.map((entry) => {
    const inner = elementsBelow(entry);
    const link = inner.find((one) => one.tagName === 'a' || attributeOf(one, 'itemprop') === 'item');
    const name = inner.find((one) => attributeOf(one, 'itemprop') === 'name');
    return {
      title: textOf(name ?? entry),
      address: link === undefined ? null : (attributeOf(link, 'href') ?? attributeOf(link, 'itemid')),
    };
  });
  return [{ by: 'microdata', steps }];
}

const CRUMBS =
  /(?:^|[^a-z])(?:bread-?crumbs?|crumbs?|navpath|pathway|fil-d-ariane|brotkrumen?|kr(?:ü|ue)mel)(?:$|[^a-z])/i;

/** What calls itself a breadcrumb: by its label, class or id. */
function breadcrumbTrails(elements: readonly HtmlElement[]): Trail[] {
  const found: Trail[] = [];
  const inside = new Set<HtmlElement>();
  for (const element of elements) {
    if (element.attrs.length === 0 || inside.has(element)) continue;
    if (
      !element.attrs.some(
        ({ name, value }) => /^(?:aria-label|class|id|role)$/.test(name) && CRUMBS.test(value),
      )
    )
      continue;
    for (const below of elementsBelow(element)) inside.add(below);
    const steps = linksOf(element);
    if (steps.length > 0 && steps.length <= MOST_STEPS) found.push({ by: 'breadcrumb', steps });
  }
  return found;
}

const MOST_STEPS = 15;
const SEPARATOR = /^\s*(?:»|›|>|→|⟩|▸|❯|::)/;

/**
 * A row of links of which each is followed by a sign that leads on, as » does: what many sites have without
 * calling it anything. Links that are followed by anything else, such as a bar, are none of it.
 */
function linkTrails(elements: readonly HtmlElement[]): Trail[] {
  const found: Trail[] = [];
  const seen = new Set<HtmlElement>();
  for (const element of elements) {
    if (element.tagName !== 'a' || seen.has(element)) continue;
    const block = blockAround(element);
    if (block === null) continue;
    const links = elementsBelow(block).filter(({ tagName }) => tagName === 'a');
    links.forEach((link) => seen.add(link));
    if (links.length > MOST_STEPS) continue;
    const steps = links.filter((link) => SEPARATOR.test(textAfter(link, block))).map(stepOf);
    if (steps.length > 0) found.push({ by: 'trail', steps });
  }
  return found;
}

/** The list or paragraph that a link stands in. */
function blockAround(link: HtmlElement): HtmlElement | null {
  let at: HtmlParent | null = link.parentNode;
  while (
    at !== null &&
    isElement(at as never) &&
    /^(?:li|span|b|i|em|strong|small)$/.test((at as HtmlElement).tagName)
  )
    at = (at as HtmlElement).parentNode;
  return at !== null && 'tagName' in at && /^(?:ul|ol|p|div|nav|td|header|section)$/.test(at.tagName)
    ? at
    : null;
}

/** The text between a link and the next one in its block. */
function textAfter(link: HtmlElement, block: HtmlElement): string {
  let node: HtmlElement | null = link;
  while (node !== null && node !== block) {
    const parent: HtmlParent | null = node.parentNode;
    if (parent === null) return '';
    const siblings = parent.childNodes.slice(parent.childNodes.indexOf(node) + 1);
    for (const sibling of siblings) {
      const text = 'value' in sibling ? sibling.value : isElement(sibling) ? textOf(sibling) : '';
      if (text.trim() !== '') return text;
    }
    node = 'tagName' in parent ? parent : null;
  }
  return '';
}

function linksOf(element: HtmlElement): Trail['steps'] {
  return elementsBelow(element)
    .filter(({ tagName }) => tagName === 'a')
    .map(stepOf);
}

function stepOf(link: HtmlElement): Trail['steps'][number] {
  return { title: textOf(link), address: attributeOf(link, 'href') };
}
