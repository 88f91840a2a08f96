import { parse, type DefaultTreeAdapterMap } from 'parse5';
import {
  escapeHtml,
  no,
  ok,
  plainLine,
  readSettings,
  refusal,
  type Sketch,
  type SketchTarget,
} from '@zorvik/core';
import { DEEPEST, type FoundMenu, type MenuFormat } from './menuFormat.ts';
import { parsedJson } from './parsedJson.ts';

type Element = DefaultTreeAdapterMap['element'];
type Parent = DefaultTreeAdapterMap['parentNode'];

/**
 * Nested lists, by themselves or in a whole page: there every `nav`, and every list with links in it that
 * stands in none, is one menu to choose from. An entry's first link, or the text before its list, is the
 * item.
 */
export const htmlList: MenuFormat = {
  key: 'html',
  name: 'HTML list',
  ending: '.html',
  type: 'text/html',
  isIn: (text) => /^\s*<(?!\?xml|opml)[a-z!]/i.test(text),
  read(text) {
    const found = menusIn(parse(text));
    return found.length === 0 ? no(refusal('noList', { what: 'list with links' })) : ok(found);
  },
  write: ({ sketches }) => `${listHtml(sketches)}\n`,
};

function isElement(node: DefaultTreeAdapterMap['childNode'] | undefined): node is Element {
  return node !== undefined && 'tagName' in node;
}

function elementsOf(node: Parent): Element[] {
  return node.childNodes.filter(isElement);
}

const isList = ({ tagName }: Element): boolean => tagName === 'ul' || tagName === 'ol';

function menusIn(document: Parent): FoundMenu[] {
  const found: FoundMenu[] = [];
  const stack = elementsOf(document).toReversed();
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const lists = next.tagName === 'nav' ? listsIn(next) : isList(next) ? [next] : null;
    if (lists === null) {
      stack.push(...elementsOf(next).toReversed());
      continue;
    }
    const sketches = lists.flatMap((list) => entriesOf(list, 0));
    if (sketches.length > 0) found.push({ name: nameOf(next, sketches), sketches });
  }
  return found;
}

/** The outermost lists below an element. */
function listsIn(element: Element): Element[] {
  const found: Element[] = [];
  const stack = elementsOf(element).toReversed();
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    if (isList(next)) found.push(next);
    else stack.push(...elementsOf(next).toReversed());
  }
  return found;
}

function nameOf(element: Element, sketches: readonly Sketch[]): string {
  const ariaLabel = plainLine(attribute(element, 'aria-label') ?? '');
  return ariaLabel === ''
    ? sketches
        .slice(0, 3)
        .map(({ label }) => label)
        .join(', ')
    : ariaLabel;
}

function entriesOf(list: Element, depth: number): Sketch[] {
  if (depth > DEEPEST) return [];
  return elementsOf(list).flatMap((entry) => {
    if (entry.tagName !== 'li') return [];
    const children = listsIn(entry).flatMap((inner) => entriesOf(inner, depth + 1));
    const face = faceIn(entry);
    return face === null && children.length === 0
      ? []
      : [{ ...(face ?? { label: '', target: { kind: 'find' as const } }), children }];
  });
}

/** An entry's link, or its text where it has none: what stands outside of the lists in it. */
function faceIn(entry: Element): Omit<Sketch, 'children'> | null {
  const link = outsideLists(entry).find((one) => one.tagName === 'a' && attribute(one, 'href') !== undefined);
  const label = plainLine(
    link === undefined
      ? textOf(entry)
      : textOf(link) || (attribute(link, 'aria-label') ?? attribute(link, 'title') ?? ''),
  );
  const href = link === undefined ? '' : (attribute(link, 'href') ?? '').trim();
  if (label === '' && href === '') return null;
  const isOnlyAnchor = href === '#' || /^javascript:/i.test(href);
  const isHeading = entry.childNodes.some(
    (node) => isElement(node) && node.tagName === 'span' && attribute(node, 'data-kind') !== 'undecided',
  );
  const target: SketchTarget =
    href !== '' && !isOnlyAnchor
      ? { kind: 'address', address: href }
      : { kind: link === undefined && isHeading ? 'heading' : 'find' };
  const settings = readSettings(parsedJson(attribute(entry, 'data-settings')));
  return {
    label,
    target,
    ...(link !== undefined && attribute(link, 'target') === '_blank' ? { opensNewTab: true } : {}),
    ...(Object.keys(settings).length === 0 ? {} : { settings }),
  };
}

function outsideLists(entry: Element): Element[] {
  const found: Element[] = [];
  const stack = elementsOf(entry).toReversed();
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    if (isList(next)) continue;
    found.push(next);
    stack.push(...elementsOf(next).toReversed());
  }
  return found;
}

/** Text below an element, without that of lists, scripts, styles and drawings. */
function textOf(element: Element): string {
  let text = '';
  const stack: DefaultTreeAdapterMap['childNode'][] = element.childNodes.toReversed();
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    if ('value' in next) text += next.value;
    else if (
      isElement(next) &&
      !isList(next) &&
      !['script', 'style', 'svg', 'template'].includes(next.tagName)
    )
      stack.push(...next.childNodes.toReversed());
  }
  return text.trim();
}

function attribute({ attrs }: Element, name: string): string | undefined {
  return attrs.find((one) => one.name === name)?.value;
}

function listHtml(top: readonly Sketch[]): string {
  const out: string[] = [];
  const stack: (string | Sketch)[] = ['</ul>', ...top.toReversed(), '<ul>\n'];
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    if (typeof next === 'string') {
      out.push(next);
      continue;
    }
    const { target, settings, children, opensNewTab } = next;
    const own = settings === undefined ? '' : ` data-settings="${escapeHtml(JSON.stringify(settings))}"`;
    const tab = opensNewTab === true ? ' target="_blank" rel="noopener"' : '';
    const label = escapeHtml(next.label);
    const face =
      target.kind === 'address'
        ? `<a href="${escapeHtml(target.address)}"${tab}>${label}</a>`
        : `<span${target.kind === 'heading' ? '' : ' data-kind="undecided"'}>${label}</span>`;
    out.push(`<li${own}>${face}`);
    stack.push('</li>\n');
    if (children.length > 0) stack.push('</ul>', ...children.toReversed(), '\n<ul>\n');
  }
  return out.join('');
}
