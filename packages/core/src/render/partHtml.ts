import { isSafeAddress } from '../base/address.ts';
import type { ResolvedItem } from '../resolve/resolved.ts';
import type { ResolvedBlock, ResolvedPage, ResolvedPart, ResolvedRun } from '../resolve/resolved.ts';
import type { PartKind } from '../schema/part.ts';
import { pictureName, widthsOf, type Picture } from '../schema/picture.ts';
import { classAttribute, prefixed } from './attributes.ts';
import { escapeHtml } from './escape.ts';

/** HTML, or items to be written as a list of links at that place. */
export type Piece = string | { readonly list: readonly ResolvedItem[]; readonly className?: string };

export interface PanelAround {
  /** What DOM ids within the panel begin with. */
  readonly prefix: string;
  /** The children of the panel's item, by their ids. */
  readonly children: ReadonlyMap<string, ResolvedItem>;
  /** Marks each part with its id, for composing. */
  readonly marks: boolean;
  /** What the names of picture files are put behind. */
  readonly pictures: string;
}

type Made = (part: ResolvedPart, context: PanelAround, classes: string) => Piece[];

/** The rows of a panel as pieces. */
export function rowsHtml(rows: readonly ResolvedPart[], context: PanelAround): Piece[] {
  return rows.flatMap((row, at) => {
    const edges = `${at === 0 ? ' zv-top' : ''}${at === rows.length - 1 ? ' zv-bottom' : ''}`;
    const { height, only } = row;
    const classes = ` zv-r${edges}${height === undefined ? '' : ` zv-h${height}`}${only === undefined ? '' : ` zv-only-${only}`}`;
    return container('div', row, context, classes, '');
  });
}

/** An element around what stands in a part. */
function container(
  tag: string,
  part: ResolvedPart,
  context: PanelAround,
  classes: string,
  before: string,
): Piece[] {
  const inner = (part.parts ?? []).flatMap((one) => partHtml(one, context));
  return [
    `<${tag}${marked(part, context)}${classAttribute(classes + prefixed('zv-no-', part.hiddenOn))}>${before}`,
    ...inner,
    `</${tag}>`,
  ];
}

function partHtml(part: ResolvedPart, context: PanelAround): Piece[] {
  return makers[part.kind](part, context, prefixed('zv-no-', part.hiddenOn));
}

/** One for each kind; a kind that is missing fails the type check. */
const makers: Readonly<Record<PartKind, Made>> = {
  row: (part, context, classes) => container('div', part, context, ` zv-r${classes}`, ''),
  cell: (part, context) =>
    container(
      'div',
      part,
      context,
      ` zv-cell zv-s${part.span ?? 12}${part.direction === undefined ? '' : ' zv-across'}`,
      '',
    ),
  group(part, context, classes) {
    const item = part.item === undefined ? undefined : context.children.get(part.item);
    return [
      `<div${marked(part, context)}${classAttribute(` zv-group${classes}`)}>`,
      ...(item === undefined ? [] : groupPieces(part, [item])),
      '</div>',
    ];
  },
  groups(part, context, classes) {
    const columns = (part.groups ?? []).map((ids) => ids.flatMap((id) => context.children.get(id) ?? []));
    const filled = columns.flatMap((items, at): Piece[] => {
      const isAfterEmpty = at > 0 && columns[at - 1]?.length === 0;
      return items.length === 0
        ? []
        : [`<div${isAfterEmpty ? ` class="zv-at${at + 1}"` : ''}>`, ...groupPieces(part, items), '</div>'];
    });
    return [
      `<div${marked(part, context)}${classAttribute(` zv-groups zv-c${Math.max(1, columns.length)}${classes}`)}>`,
      ...filled,
      '</div>',
    ];
  },
  links: (part, context, classes) => {
    const [, ...rest] = container('ul', part, context, '', '');
    return [
      `<div${marked(part, context)}${classAttribute(` zv-own${classes}`)}>${titleOf(part)}<ul>`,
      ...rest,
      '</div>',
    ];
  },
  link: (part, context) => [`<li${marked(part, context)}>${linkTo(part, textOf(part))}</li>`],
  heading: (part, context, classes) => [
    `<h3${marked(part, context)}${classAttribute(` zv-title${classes}`)}>${linkTo(part, textOf(part))}</h3>`,
  ],
  text: (part, context, classes) => [
    `<div${marked(part, context)}${classAttribute(` zv-prose${classes}`)}>${proseOf(part.body ?? [])}</div>`,
  ],
  picture(part, context, classes) {
    const { picture, isOrnament, alt = '', isRounded, isBled, fit } = part;
    const looks = `${isRounded === true ? ' zv-rounded' : ''}${isBled === true ? ' zv-bled' : ''}${fit === undefined ? '' : ' zv-whole'}${ratioClass(part)}`;
    const image = picture === undefined ? '' : imageOf(picture, isOrnament === true ? '' : alt, context);
    return [
      `<div${marked(part, context)}${classAttribute(` zv-picture${looks}${classes}`)}>${pictureLink(part, image)}</div>`,
    ];
  },
  button: (part, context, classes) => [
    `<div${marked(part, context)}${classAttribute(` zv-act${classes}`)}>${linkTo(part, textOf(part), ' class="zv-press"')}</div>`,
  ],
  divider: (part, context, classes) => [
    `<hr${marked(part, context)}${classAttribute(` zv-line${classes}`)}>`,
  ],
  search: (part, context, classes) => [searchHtml(part, context, classes)],
  pages(part, context, classes) {
    const { pages = [], look, columns = 1 } = part;
    const entries = pages.map((page) =>
      look === 'cards'
        ? cardOf(page)
        : `<li><a href="${escapeHtml(page.href)}">${escapeHtml(page.label)}</a></li>`,
    );
    const list = look === 'cards' ? ' class="zv-cards' : ' class="zv-plain-list';
    return [
      `<div${marked(part, context)}${classAttribute(` zv-pages${classes}`)}>${titleOf(part)}<ul${list}${columns > 1 ? ` zv-k${columns}` : ''}">${entries.join('')}</ul></div>`,
    ];
  },
  menu: (part, context, classes) => [
    `<div${marked(part, context)}${classAttribute(` zv-other${classes}`)}>${titleOf(part)}`,
    ...((part.items ?? []).length === 0 ? [] : [{ list: part.items ?? [] }]),
    '</div>',
  ],
  video(part, context, classes) {
    const poster = part.picture === undefined ? '' : imageOf(part.picture, '', context);
    const looks = `${part.isRounded === true ? ' zv-rounded' : ''}${ratioClass(part)}`;
    return [
      `<div${marked(part, context)}${classAttribute(` zv-video${classes}`)}>${linkTo(part, `<i class="zv-poster${looks}">${poster}</i>${textOf(part)}`)}</div>`,
    ];
  },
  tabs(part, context, classes) {
    const tabs = part.parts ?? [];
    const name = `${context.prefix}-${part.id}`;
    // Radio buttons and their labels: chosen by arrow keys and pointer, and by the style sheet alone, without
    // any script.
    const labels = tabs.map(
      ({ id, text = '' }, at) =>
        `<input type="radio" name="${name}" id="${name}-${id}"${at === 0 ? ' checked' : ''}><label for="${name}-${id}">${escapeHtml(text)}</label>`,
    );
    const bodies = tabs.flatMap((tab) => container('div', tab, context, ' zv-tab', ''));
    return [
      `<div${marked(part, context)}${classAttribute(` zv-tabs${classes}`)}>${labels.join('')}`,
      ...bodies,
      '</div>',
    ];
  },
  tab: (part, context) => container('div', part, context, ' zv-tab', ''),
};

function marked({ id }: ResolvedPart, { marks }: PanelAround): string {
  return marks ? ` data-zv-part="${id}"` : '';
}

/** Groups with their heading as it is wanted, as one list; without headings, what stands below them is. */
function groupPieces({ heading, levels }: ResolvedPart, items: readonly ResolvedItem[]): Piece[] {
  const cut = (item: ResolvedItem): ResolvedItem =>
    levels === 1 ? { ...item, children: item.children.map((child) => ({ ...child, children: [] })) } : item;
  const shown = items.map(cut);
  if (heading === 'none') {
    const below = shown.flatMap((item) => (item.children.length > 0 ? item.children : [item]));
    return [{ list: below }];
  }
  return [
    {
      list:
        heading === 'plain'
          ? shown.map((item) => (item.children.length > 0 ? { ...item, href: null } : item))
          : shown,
      className: 'zv-heads',
    },
  ];
}

function textOf({ text = '' }: ResolvedPart): string {
  return escapeHtml(text);
}

function titleOf(part: ResolvedPart): string {
  return part.text === undefined ? '' : `<h3 class="zv-title">${textOf(part)}</h3>`;
}

/** What is inside, as a link where the part leads somewhere. */
function linkTo({ href, opensNewTab }: ResolvedPart, inner: string, attributes = ''): string {
  if (href === undefined || !isSafeAddress(href))
    return attributes === '' ? inner : `<span${attributes}>${inner}</span>`;
  return `<a href="${escapeHtml(href)}"${attributes}${opensNewTab === true ? ' target="_blank" rel="noopener"' : ''}>${inner}</a>`;
}

/**
 * A picture that says nothing is no link for those who do not see it: what it leads to stands beside it in
 * words.
 */
function pictureLink(part: ResolvedPart, image: string): string {
  const isSaid = part.isOrnament !== true && part.alt !== undefined;
  return isSaid || image === ''
    ? linkTo(part, image)
    : linkTo(part, image, part.href === undefined ? '' : ' tabindex="-1" aria-hidden="true"');
}

function ratioClass({ ratio }: ResolvedPart): string {
  return ratio === undefined ? '' : ` zv-ratio-${ratio.replace('/', '-')}`;
}

/** Its size is said, so that nothing moves when it arrives; it is fetched when it is nearly seen. */
function imageOf(picture: Picture, alt: string, { pictures }: PanelAround): string {
  const widths = widthsOf(picture);
  const address = (width: number): string => escapeHtml(pictures + pictureName(picture, width));
  const own = widths.at(-1) ?? picture.width;
  const set =
    widths.length < 2
      ? ''
      : ` srcset="${widths.map((width) => `${address(width)} ${width}w`).join(', ')}" sizes="(min-width:48rem) 33vw, 100vw"`;
  return `<img src="${address(own)}"${set} width="${picture.width}" height="${picture.height}" alt="${escapeHtml(alt)}" loading="lazy" decoding="async">`;
}

function cardOf({ label, href, picture, summary }: ResolvedPage): string {
  const image =
    picture === undefined
      ? ''
      : `<img src="${escapeHtml(picture)}" width="480" height="320" alt="" loading="lazy" decoding="async">`;
  const line = summary === undefined ? '' : `<small>${escapeHtml(summary)}</small>`;
  return `<li><a href="${escapeHtml(href)}">${image}<b>${escapeHtml(label)}</b>${line}</a></li>`;
}

const MAGNIFIER =
  '<svg viewBox="0 0 24 24" width="20" height="20" aria-hidden="true"><path d="M10 4a6 6 0 1 0 3.7 10.7l5.3 5.3 1.4-1.4-5.3-5.3A6 6 0 0 0 10 4Zm0 2a4 4 0 1 1 0 8 4 4 0 0 1 0-8Z" fill="currentColor"/></svg>';

function searchHtml(part: ResolvedPart, context: PanelAround, classes: string): string {
  const { address = '/', parameter = 'q', scope } = part;
  const id = `${context.prefix}-${part.id}`;
  const hidden =
    scope === undefined
      ? ''
      : `<input type="hidden" name="${escapeHtml(scope.name)}" value="${escapeHtml(scope.value)}">`;
  const action = isSafeAddress(address) && /^(?:\/|https?:)/i.test(address) ? address : '/';
  return `<form${marked(part, context)}${classAttribute(` zv-search${classes}`)} role="search" action="${escapeHtml(action)}"><label for="${id}">${textOf(part)}</label><input id="${id}" type="search" name="${escapeHtml(parameter)}">${hidden}<button type="submit" aria-label="${textOf(part)}">${MAGNIFIER}</button></form>`;
}

/** Blocks as HTML: what is listed one after the other is one list. */
function proseOf(blocks: readonly ResolvedBlock[]): string {
  let html = '';
  let list = '';
  for (const { kind, runs } of blocks) {
    const wanted = kind === 'listed' ? 'ul' : kind === 'numbered' ? 'ol' : '';
    if (list !== wanted) html += `${list === '' ? '' : `</${list}>`}${wanted === '' ? '' : `<${wanted}>`}`;
    list = wanted;
    const text = `<p>${runs.map(runOf).join('')}</p>`;
    html += wanted === '' ? text : `<li>${text}</li>`;
  }
  return list === '' ? html : `${html}</${list}>`;
}

function runOf({ text, bold, italic, href }: ResolvedRun): string {
  const escaped = escapeHtml(text);
  const leaned = italic === true ? `<em>${escaped}</em>` : escaped;
  const heavy = bold === true ? `<strong>${leaned}</strong>` : leaned;
  return href === undefined || !isSafeAddress(href) ? heavy : `<a href="${escapeHtml(href)}">${heavy}</a>`;
}
