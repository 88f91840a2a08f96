import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import type { VisitorWords } from '../base/visitorWords.ts';
import type { ResolvedItem, ResolvedMenu, ResolvedPage, ResolvedPart } from '../resolve/resolved.ts';
import type { PanelFacts } from '../schema/dropdown.ts';
import type { MenuUsual } from '../schema/menu.ts';
import type { PageSource, PartKind, PartOf } from '../schema/part.ts';
import { canSendTo } from '../schema/parts/wrongAction.ts';
import type { Rule } from '../style/rule.ts';

/** HTML, or items to be written as a list of links at that place. */
export type Piece = string | { readonly list: readonly ResolvedItem[]; readonly className?: string };

/** What a part is resolved from. */
export interface ResolvesIn {
  readonly document: SiteDocument;
  /** The part with all that needs no looking up, its address and the parts in it. */
  readonly base: ResolvedPart;
  /** The children of the item whose panel it is, and those of them that no other part shows. */
  readonly children: readonly ResolvedItem[];
  readonly left: readonly ResolvedItem[];
  readonly panel: PanelFacts;
  /** What the menu of that item says for all its entries; in a frame: nothing. */
  readonly usual: MenuUsual;
  readonly pagesOf: (source: PageSource) => readonly ResolvedPage[];
  readonly itemsOf: (menu: Id) => readonly ResolvedItem[];
  /** A whole menu, for placements; null where it is not there. */
  readonly menuOf: (menu: Id) => ResolvedMenu | null;
}

/** A part as a visitor gets it. What is empty is left out, unless somebody is composing. */
export interface Resolved {
  readonly part: ResolvedPart;
  readonly isEmpty: boolean;
}

/** Where a part is written. */
export interface WritesIn {
  /** What DOM ids within the panel begin with. */
  readonly prefix: string;
  /** The children of the panel's item, by their ids. */
  readonly children: ReadonlyMap<string, ResolvedItem>;
  /** Marks each part with its id, for composing. */
  readonly marks: boolean;
  /** What has looks of its own, and a class for them. */
  readonly styled?: ReadonlySet<string>;
  /** What the names of picture files are put behind. */
  readonly pictures: string;
  /** What stands in a part, as pieces. */
  readonly inside: (part: ResolvedPart) => Piece[];
  /** The words that visitors read. */
  readonly words: VisitorWords;
  /** The level of headings: those of a panel are below one of the page. */
  readonly heading: 'h2' | 'h3';
  /** A placed menu as HTML. */
  readonly menuHtml: (part: ResolvedPart) => string;
  /** The condition of a media query for narrow screens. */
  readonly narrow: string;
}

/**
 * What is put in where a page is known, as delivery does: it stands between two control characters, which no HTML
 * of ours has, and is taken out of what is stored.
 */
export const SLOT = '\u0001';
/** What can be put in: the year, the way to the page, its anchors, and its template as an attribute. */
export type SlotKind = 'year' | 'breadcrumb' | 'anchors' | 'template';
/**
 * A slot, and what it needs to know besides the page. Control characters are taken out of what people wrote: with
 * the mark of a slot in it, a text could end the slot and stand in the HTML unescaped.
 */
export function slot(kind: SlotKind, ...facts: readonly string[]): string {
  // eslint-disable-next-line no-control-regex -- they are what has to go
  const plain = facts.map((fact) => fact.replaceAll(/[\u0000-\u001f]/g, ' '));
  return `${SLOT}${[kind, ...plain].join('\u0002')}${SLOT}`;
}

/** How one kind of part is shown. */
export interface PartHandler<K extends PartKind = PartKind> {
  /** Fills in what it takes from elsewhere; not there: it takes nothing, and is never empty. */
  readonly resolve?: (part: PartOf<K>, within: ResolvesIn) => Resolved;
  /** `classes`: those that all kinds have, each with a space before it. */
  readonly html: (part: ResolvedPart, within: WritesIn, classes: string) => Piece[];
  /** The rules that the parts of this kind need; none where there are none. Equal rules are written once. */
  readonly css?: (parts: readonly ResolvedPart[]) => readonly Rule[];
}

/** What is never empty. */
export function shown(part: ResolvedPart): Resolved {
  return { part, isEmpty: false };
}

/** What is shown when something is in it. */
export function shownIf(isFull: boolean, part: ResolvedPart): Resolved {
  return { part, isEmpty: !isFull };
}

/** A form that cannot be sent is none: older documents may have any address. */
export function sendable({ address }: { readonly address: string }, { base }: ResolvesIn): Resolved {
  const { address: _, ...waiting } = base;
  return canSendTo(address) ? shown(base) : shownIf(false, waiting);
}

/** What holds parts is empty without any. */
export function holder(_: unknown, { base }: ResolvesIn): Resolved {
  return shownIf((base.parts ?? []).length > 0, base);
}

/** What is nothing without its link. */
export function linked(_: unknown, { base }: ResolvesIn): Resolved {
  return shownIf(base.href !== undefined, base);
}
