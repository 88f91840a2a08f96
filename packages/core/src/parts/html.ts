import { isSafeAddress } from '../base/address.ts';
import { escapeHtml } from '../base/escape.ts';
import type { ResolvedItem, ResolvedPart } from '../resolve/resolved.ts';
import { pictureName, widthsOf, type Picture } from '../schema/picture.ts';
import { classAttribute } from './attributes.ts';
import type { Piece, WritesIn } from './partHandler.ts';

/** The beginning of the element of a part: its tag, its mark and its classes. */
export function opening(tag: string, part: ResolvedPart, within: WritesIn, classes: string): string {
  const mark = within.marks ? ` data-zv-part="${part.id}"` : '';
  return `${tag}${mark}${classAttribute(classes)}`;
}

/** An element around what stands in a part. */
export function container(part: ResolvedPart, within: WritesIn, classes: string): Piece[] {
  return [`<${opening('div', part, within, classes)}>`, ...within.inside(part), '</div>'];
}

/** An element with HTML in it. */
export function element(part: ResolvedPart, within: WritesIn, classes: string, inner: string): Piece[] {
  return [`<${opening('div', part, within, classes)}>${inner}</div>`];
}

/** Groups with their heading as it is wanted, as one list; without headings, what stands below them is. */
export function groupPieces({ heading, levels }: ResolvedPart, items: readonly ResolvedItem[]): Piece[] {
  const cut = (item: ResolvedItem): ResolvedItem =>
    levels === 1 ? { ...item, children: item.children.map((child) => ({ ...child, children: [] })) } : item;
  const cutItems = items.map(cut);
  if (heading === 'none')
    return [{ list: cutItems.flatMap((item) => (item.children.length > 0 ? item.children : [item])) }];
  const list =
    heading === 'plain'
      ? cutItems.map((item) => (item.children.length > 0 ? { ...item, href: null } : item))
      : cutItems;
  return [{ list, className: 'zv-headed' }];
}

/** Where a form is sent, as an attribute with a space before it; nothing while that is not known. */
export function actionOf({ address }: ResolvedPart): string {
  return address === undefined ? '' : ` action="${escapeHtml(address)}"`;
}

export function textOf({ text = '' }: ResolvedPart): string {
  return escapeHtml(text);
}

/** The heading of a list, where it has one. */
export function titleOf(part: ResolvedPart, { heading }: WritesIn): string {
  return part.text === undefined ? '' : `<${heading} class="zv-title">${textOf(part)}</${heading}>`;
}

/** What is inside, as a link where the part leads somewhere. */
export function linkTo({ href, opensNewTab }: ResolvedPart, inner: string, attributes = ''): string {
  if (href === undefined || !isSafeAddress(href))
    return attributes === '' ? inner : `<span${attributes}>${inner}</span>`;
  return `<a href="${escapeHtml(href)}"${attributes}${opensNewTab === true ? ' target="_blank" rel="noopener"' : ''}>${inner}</a>`;
}

export function ratioClass({ ratio }: ResolvedPart): string {
  return ratio === undefined ? '' : ` zv-ratio-${ratio.replace('/', '-')}`;
}

export function roundedClass({ isRounded }: ResolvedPart): string {
  return isRounded === true ? ' zv-rounded' : '';
}

/** Its size is said, so that nothing moves when it arrives; it is fetched when it is nearly seen. */
export function imageOf(picture: Picture, alt: string, { pictures }: WritesIn): string {
  const widths = widthsOf(picture);
  const address = (width: number): string => escapeHtml(pictures + pictureName(picture, width));
  const own = widths.at(-1) ?? picture.width;
  const set =
    widths.length < 2
      ? ''
      : ` srcset="${widths.map((width) => `${address(width)} ${width}w`).join(', ')}" sizes="(min-width:48rem) 33vw, 100vw"`;
  return `<img src="${address(own)}"${set} width="${picture.width}" height="${picture.height}" alt="${escapeHtml(alt)}" loading="lazy" decoding="async">`;
}
