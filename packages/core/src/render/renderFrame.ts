import { escapeHtml } from '../base/escape.ts';
import { utf8Length } from '../base/utf8Length.ts';
import type { VisitorWords } from '../base/visitorWords.ts';
import { SLOT, slot, type Piece, type SlotKind } from '../parts/partHandler.ts';
import type { ResolvedItem, ResolvedMenu, ResolvedPart } from '../resolve/resolved.ts';
import type { Place } from '../schema/placement.ts';
import type { Site } from '../schema/site.ts';
import { conditionOf } from '../style/printRules.ts';
import { preorder } from '../walk/preorder.ts';
import { isFetched } from './panelHtml.ts';
import { framePieces } from './partHtml.ts';
import { formOf, renderMenu, renderPanel, writeLists } from './renderMenu.ts';

/** The areas that a page gets as a fragment each; `page` are the named places within it. */
export const frameAreas = ['header', 'side', 'footer'] as const;
/** See `frameAreas`. */
export type FrameArea = (typeof frameAreas)[number];

/** How a frame is written. */
export interface FrameChoices {
  readonly site: Pick<Site, 'language' | 'direction' | 'breakpoints'>;
  readonly words: VisitorWords;
  /** What the names of picture files are put behind: where they are served. */
  readonly pictures: string;
  /** Marks each part and each entry with its id, for the live picture to select by. */
  readonly marks?: boolean;
  /** Panels that are to be fetched are left out; see `fetchedPanels`. */
  readonly fetchesPanels?: boolean;
}

/** Where something is put in that follows from the page: before a byte of the HTML in UTF-8. */
export interface Slot {
  readonly at: number;
  readonly kind: SlotKind;
  readonly facts: readonly string[];
}

/** HTML that is complete once its slots are filled. */
export interface Fragment {
  readonly html: string;
  readonly slots: readonly Slot[];
}

const elements = { header: 'header', side: 'div', footer: 'footer' } as const;

/** An area as HTML; nothing where it has no bands. O(parts + items). */
export function renderArea(area: FrameArea, bands: readonly ResolvedPart[], choices: FrameChoices): Fragment {
  if (bands.length === 0) return { html: '', slots: [] };
  const { language, direction } = choices.site;
  const tag = elements[area];
  const start = `<${tag} class="zv zv-${area}" lang="${escapeHtml(language)}" dir="${direction}"${slot('template')}>`;
  return cut(`${start}${partsHtml(bands, area, choices)}</${tag}>`);
}

/** A named place within the page as HTML. */
export function renderPlace(placement: ResolvedPart, choices: FrameChoices): Fragment {
  return cut(partsHtml([placement], 'page', choices));
}

/** The link that leads past the header. */
export function renderSkip({ words, site }: FrameChoices): string {
  return `<a class="zv zv-skip" href="#content" lang="${escapeHtml(site.language)}">${escapeHtml(words.skip)}</a>`;
}

/** In which kind of place a placement of an area shows its menu. */
export function placeIn(area: FrameArea | 'page', { form }: ResolvedPart): Place {
  if (form === 'bar' || (form === undefined && area === 'header')) return 'bar';
  return area === 'side' || area === 'footer' ? area : 'inPage';
}

/** Panels of the bars in these parts that are fetched when they are opened, each with its path. */
export function fetchedPanels(
  area: FrameArea | 'page',
  parts: readonly ResolvedPart[],
  { pictures }: Pick<FrameChoices, 'pictures'>,
): { readonly path: string; readonly html: string }[] {
  return placed(parts).flatMap(({ part, menu }) => {
    const place = placeIn(area, part);
    if (formOf(place) !== 'bar') return [];
    return menu.items.filter(isFetched).map((item: ResolvedItem) => ({
      path: `panels/${part.id}/${item.id}.html`,
      html: renderPanel(menu, item, { place, pictures, prefix: prefixOf(part) }),
    }));
  });
}

/** All placements in parts that show a menu. */
export function placed(
  parts: readonly ResolvedPart[],
): { readonly part: ResolvedPart; readonly menu: ResolvedMenu }[] {
  return allParts(parts).flatMap((part) => (part.shown === undefined ? [] : [{ part, menu: part.shown }]));
}

/** Parts with all that stands in them. */
export function allParts(parts: readonly ResolvedPart[]): ResolvedPart[] {
  return [...preorder<ResolvedPart>(parts, ({ parts: inner = [] }) => inner)].map(({ node }) => node);
}

/** Ids of a menu begin with the id of its placement, so that one menu can stand twice on a page. */
function prefixOf({ id }: ResolvedPart): string {
  return `zv-${id}`;
}

function partsHtml(parts: readonly ResolvedPart[], area: FrameArea | 'page', choices: FrameChoices): string {
  const { words, pictures, site, marks = false, fetchesPanels = false } = choices;
  const pieces = framePieces(parts, {
    prefix: 'zv',
    children: new Map(),
    marks,
    pictures,
    words,
    heading: 'h2',
    narrow: conditionOf('narrow', site.breakpoints),
    menuHtml: (part) =>
      part.shown === undefined
        ? ''
        : renderMenu(part.shown, {
            place: placeIn(area, part),
            prefix: prefixOf(part),
            pictures,
            marks,
            ...(part.pushed === undefined ? {} : { pushed: part.pushed }),
            ...(fetchesPanels ? { panels: `panels/${part.id}` } : {}),
          }),
  });
  return pieces
    .map((piece: Piece) => (typeof piece === 'string' ? piece : writeLists([piece], marks)))
    .join('');
}

/** Takes the slots out of HTML. O(length). */
function cut(marked: string): Fragment {
  const slots: Slot[] = [];
  let html = '';
  let at = 0;
  for (const [index, piece] of marked.split(SLOT).entries()) {
    if (index % 2 === 0) {
      html += piece;
      at += utf8Length(piece, 0, piece.length);
      continue;
    }
    const [kind = 'year', ...facts] = piece.split('\u0002');
    slots.push({ at, kind: kind as SlotKind, facts });
  }
  return { html, slots };
}
