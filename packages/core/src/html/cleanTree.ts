import { isSafeAddress } from '../base/address.ts';
import { escapeHtml } from '../base/escape.ts';
import type { HtmlElement, HtmlNode } from './htmlNode.ts';

/** What was taken out of HTML: what it was, such as `<script>` or `onclick of <a>`, and how often. */
export interface Removed {
  readonly what: string;
  readonly count: number;
}

/** HTML that may stand in a page of somebody else, and what had to go. */
export interface CleanHtml {
  readonly html: string;
  readonly removed: readonly Removed[];
}

/**
 * What may stand in an element. `flow` and `words` as in the HTML Standard (flow and phrasing content); `same`: what
 * may stand around it; `void`: nothing, and it has no end tag. Everything else is the names of elements.
 */
type Content = 'flow' | 'words' | 'same' | 'void' | readonly string[];

const ofKind = (content: Content, names: string): [string, Content][] =>
  names.split(' ').map((name) => [name, content]);
const WORDS = 'strong em b i u s small sub sup mark code kbd samp var abbr cite q dfn bdi bdo span time data';
const FLOW = 'div section article blockquote address figure details';
const PLAIN = 'p h2 h3 h4 h5 h6';
const OTHER = { ul: ['li'], ol: ['li'], dl: ['dt', 'dd'], table: ['caption', 'thead', 'tbody', 'tfoot'] };
const contentOf: ReadonlyMap<string, Content> = new Map<string, Content>([
  ...ofKind('words', `${WORDS} ${PLAIN} dt summary caption`),
  ...ofKind('flow', `${FLOW} li dd figcaption td th`),
  ...ofKind('void', 'br wbr hr'),
  ...ofKind(['tr'], 'thead tbody tfoot'),
  ['tr', ['td', 'th']],
  ['a', 'same'],
  ...Object.entries(OTHER),
]);
const words = new Set([...WORDS.split(' '), 'a', 'br', 'wbr']);
const flow = new Set([...words, ...FLOW.split(' '), ...PLAIN.split(' '), ...Object.keys(OTHER), 'hr']);
/** What stands in these elements alone, besides what may stand everywhere. */
const onlyIn: Readonly<Record<string, readonly string[]>> = {
  figure: ['figcaption'],
  details: ['summary'],
};

const always = ['class', 'lang', 'dir', 'title', 'role', 'aria-label', 'aria-hidden'];
/** Attributes in the order in which they are written; `href` first, since delivery looks for it. */
const attributesOf: Readonly<Record<string, readonly string[]>> = {
  a: ['href', 'target', 'rel', 'hreflang'],
  ol: ['start', 'reversed', 'type'],
  li: ['value'],
  td: ['colspan', 'rowspan'],
  th: ['colspan', 'rowspan', 'scope'],
  time: ['datetime'],
  data: ['value'],
  details: ['open'],
};
/** Roles that make no landmark and no control: those are for the frame around it. */
const roles = new Set(['presentation', 'none', 'note', 'img', 'group', 'list', 'listitem']);

/** Elements whose content is no text of the page. */
const whole = new Set(
  'script style template noscript iframe object embed svg math textarea select title head xmp noembed noframes plaintext audio video canvas'.split(
    ' ',
  ),
);

/** Elements may stand in each other so deep: browsers flatten what is deeper than 512. */
const DEEPEST = 100;

/**
 * Takes out of HTML what may not stand in somebody's page: scripts and what runs them, forms, frames, pictures, own
 * styles, addresses that are not safe, names that are ours, and what stands where HTML has no place for it. What is
 * left is written in one way only, and read as the same tree by every browser. O(nodes * depth).
 */
export function cleanTree(nodes: readonly HtmlNode[]): CleanHtml {
  const removed = new Map<string, number>();
  const remove = (what: string): void => void removed.set(what, (removed.get(what) ?? 0) + 1);
  const html = written(nodes, { allowed: 'flow', holder: '', inLink: false, depth: 0 }, remove);
  return { html, removed: [...removed].map(([what, count]) => ({ what, count })) };
}

interface Within {
  readonly allowed: 'flow' | 'words' | readonly string[];
  /** The element around it; a link counts as what is around the link. */
  readonly holder: string;
  readonly inLink: boolean;
  readonly depth: number;
}

function written(nodes: readonly HtmlNode[], within: Within, remove: (what: string) => void): string {
  return nodes.map((node) => oneWritten(node, within, remove)).join('');
}

function oneWritten(node: HtmlNode, within: Within, remove: (what: string) => void): string {
  const { allowed, holder, inLink, depth } = within;
  if (typeof node === 'string') {
    if (typeof allowed === 'string' || /^[\t\n\f\r ]*$/.test(node))
      return escapeHtml(node.replaceAll('\r', ''));
    remove(`text in <${holder}>`);
    return '';
  }
  const { tag, children } = node;
  const deeper = { ...within, depth: depth + 1 };
  const content = contentOf.get(tag);
  if (content === undefined || depth >= DEEPEST) {
    remove(`<${tag}>`);
    return whole.has(tag) || depth >= DEEPEST ? '' : written(children, deeper, remove);
  }
  const isPlaced = fits(tag, within) && !(tag === 'a' && inLink);
  if (!isPlaced) {
    remove(inLink && tag === 'a' ? '<a> in <a>' : `<${tag}>${holder === '' ? '' : ` in <${holder}>`}`);
    return written(children, deeper, remove);
  }
  const start = `<${tag}${attributesWritten(node, remove)}>`;
  if (content === 'void') return start;
  const inner: Within = {
    allowed: content === 'same' ? allowed : content,
    holder: content === 'same' ? holder : tag,
    inLink: inLink || tag === 'a',
    depth: depth + 1,
  };
  return `${start}${written(children, inner, remove)}</${tag}>`;
}

function fits(tag: string, { allowed, holder }: Within): boolean {
  if (allowed === 'words') return words.has(tag);
  if (allowed === 'flow') return flow.has(tag) || onlyIn[holder]?.includes(tag) === true;
  return allowed.includes(tag);
}

function attributesWritten({ tag, attributes }: HtmlElement, remove: (what: string) => void): string {
  const given = new Map(attributes);
  const known = [...(attributesOf[tag] ?? []), ...always];
  for (const [name, value] of given)
    if (!known.includes(name) || (name === 'rel' && value !== 'noopener')) remove(`${name} of <${tag}>`);
  // A page that opens in a new tab must not reach back into this one.
  if (given.get('target') === '_blank') given.set('rel', 'noopener');
  else given.delete('rel');
  return known
    .flatMap((name): string[] => {
      const value = given.get(name);
      if (value === undefined) return [];
      const kept = valueKept(name, value);
      if (kept !== value) remove(`${name} of <${tag}>`);
      return kept === null ? [] : [` ${name}="${escapeHtml(kept)}"`];
    })
    .join('');
}

/** What is kept of the value of an attribute; null: nothing. */
function valueKept(name: string, value: string): string | null {
  // eslint-disable-next-line no-control-regex -- what no page has any use for
  const plain = value.replaceAll(/[\u0000-\u001f\u007f]+/g, ' ');
  switch (name) {
    case 'href':
      return isSafeAddress(plain) ? plain : null;
    case 'target':
      return plain === '_blank' ? plain : null;
    case 'role':
      return roles.has(plain) ? plain : null;
    case 'class': {
      const names = plain.split(' ').filter((one) => one !== '' && !/^zv(?:-|$)/i.test(one));
      return names.length === 0 ? null : names.join(' ');
    }
    default:
      return plain;
  }
}
