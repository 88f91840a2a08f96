import { escapeHtml } from '../base/escape.ts';
import { utf8Length } from '../base/utf8Length.ts';
import type { VisitorWords } from '../base/visitorWords.ts';
import { glyphOf, glyphs } from '../parts/glyphs.ts';
import { SLOT, slot, type Piece, type SlotKind } from '../parts/partHandler.ts';
import type { BarFit } from '../resolve/barFit.ts';
import type { Id } from '../base/ids.ts';
import type { ResolvedItem, ResolvedMenu, ResolvedPart } from '../resolve/resolved.ts';
import type { Place } from '../schema/placement.ts';
import type { Site } from '../schema/site.ts';
import { conditionOf } from '../style/printRules.ts';
import { areaId } from '../model/partRoots.ts';
import type { AreaFacts, ResolvedArea } from '../resolve/resolveFrame.ts';
import type { AreaName } from '../schema/part.ts';
import { preorder } from '../walk/preorder.ts';
import { isFetched } from './panelHtml.ts';
import { framePieces } from './partHtml.ts';
import { arrangedBands } from './arrangedBands.ts';
import { foldOf } from './fold.ts';
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
  /** What has looks of its own, and a class for them (`styledIn`). */
  readonly styled?: ReadonlySet<string>;
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

/**
 * An area as HTML; nothing where it has no bands. The drawer comes right behind the header, so that a page that has
 * the header has it, too. O(parts + items).
 */
export function renderArea(area: FrameArea, resolved: ResolvedArea, choices: FrameChoices): Fragment {
  const { drawer = null } = resolved;
  if (resolved.bands.length === 0 && drawer === null) return { html: '', slots: [] };
  const { language, direction } = choices.site;
  const within = `lang="${escapeHtml(language)}" dir="${direction}"`;
  const tag = elements[area];
  const classes = areaClasses(area, resolved);
  const bands = bandsHtml(area, resolved, choices);
  const inner =
    area === 'side' && resolved.facts.isUnfolded !== true && hasContent(resolved.bands)
      ? folded(bands, choices)
      : bands;
  const html = `<${tag}${markOf(area, choices)} class="zv zv-${area}${classes}" ${within}${slot('template')}>${inner}</${tag}>`;
  return cut(drawer === null ? html : `${html}${drawerHtml(drawer, within, choices)}`);
}

/** The mark of an area, by which the live picture selects it. */
function markOf(area: AreaName, { marks = false }: FrameChoices): string {
  return marks ? ` data-zv-part="${areaId(area)}"` : '';
}

/** The classes that say how an area behaves, each with a space before it. */
function areaClasses(area: FrameArea, { facts, does, drawer = null }: ResolvedArea): string {
  const { vertical, isCentred } = facts;
  const returns = does.includes('returns');
  const isSticky = returns || does.includes('sticky');
  if (area === 'side') return isSticky ? ' zv-sticky' : '';
  if (area !== 'header') return '';
  return (
    (vertical === undefined ? '' : ` zv-vertical zv-vertical-${vertical}`) +
    (vertical !== undefined && isCentred === true ? ' zv-centred' : '') +
    (isSticky ? ' zv-sticky' : '') +
    (returns ? ' zv-returns' : '') +
    (isSticky && does.includes('lower') ? ' zv-lower' : '') +
    (does.includes('overlaid') ? ' zv-overlaid zv-over-content' : '') +
    (drawer === null ? '' : ' zv-has-drawer')
  );
}

/** The bands of an area, with those that device classes have of their own. */
function bandsHtml(area: AreaName, { bands, facts }: ResolvedArea, choices: FrameChoices): string {
  return arrangedBands(bands, { isShared: choices.marks !== true })
    .map(({ band, classes }) => partsHtml([band], area, choices, { facts, classes }))
    .join('');
}

/** Whether anything is in the bands; while they are composed, they may be empty. */
function hasContent(bands: readonly ResolvedPart[]): boolean {
  return allParts(bands).some(({ kind }) => kind !== 'band' && kind !== 'zone' && kind !== 'cell');
}

/** What is at the side stands above the content on narrow screens, folded. */
function folded(bands: string, { words }: FrameChoices): string {
  return `<button type="button" class="zv-section" aria-expanded="false" aria-controls="zv-section">${escapeHtml(words['in-this-section'])}</button><div class="zv-section-content" id="zv-section">${bands}</div>`;
}

/** The drawer: a dialog for the script, and without one what its address shows. */
function drawerHtml(drawer: ResolvedArea, within: string, choices: FrameChoices): string {
  const { words } = choices;
  const from = drawer.facts.comesFrom ?? 'end';
  const title = escapeHtml(words.menu);
  const close = `<a class="zv-close" href="#" aria-label="${escapeHtml(words.close)}">${glyphOf(glyphs.close)}</a>`;
  return `<dialog${markOf('drawer', choices)} class="zv zv-drawer zv-drawer-${from}" id="zv-drawer" aria-label="${title}" ${within}><div class="zv-drawer-head"><span>${title}</span>${close}</div>${bandsHtml('drawer', drawer, choices)}</dialog>`;
}

/** A named place within the page as HTML. */
export function renderPlace(placement: ResolvedPart, choices: FrameChoices): Fragment {
  return cut(partsHtml([placement], 'page', choices));
}

/** The link that leads past the header. */
export function renderSkip({ words, site }: FrameChoices): string {
  return `<a class="zv zv-skip" href="#content" lang="${escapeHtml(site.language)}">${escapeHtml(words.skip)}</a>`;
}

/**
 * The same area, with what its bars do where they do not fit (`barFits`). `nameOf`: what that is called in the style sheet.
 */
export function withFits(
  area: ResolvedArea,
  fits: Readonly<Record<Id, BarFit>>,
  nameOf = (part: Id, _: BarFit): string => part,
): ResolvedArea {
  const changed = (part: ResolvedPart): ResolvedPart => {
    const rules = fits[part.id];
    if (rules !== undefined) return { ...part, fit: { name: nameOf(part.id, rules), rules } };
    return part.parts === undefined ? part : { ...part, parts: part.parts.map(changed) };
  };
  return Object.keys(fits).length === 0 ? area : { ...area, bands: area.bands.map(changed) };
}

/** In which kind of place a placement of an area shows its menu. */
export function placeIn(
  area: AreaName | 'page',
  { form, pattern }: ResolvedPart,
  { vertical }: AreaFacts = {},
): Place {
  if (area === 'drawer') return area;
  // In a vertical header, a menu opens beside it, or folds.
  const isFolding = area === 'header' && vertical !== undefined && pattern !== undefined;
  if (form === 'bar' || (form === undefined && area === 'header' && !isFolding)) return 'bar';
  return area === 'side' || area === 'footer' ? area : isFolding ? 'side' : 'inPage';
}

/** Panels of the bars in these parts that are fetched when they are opened, each with its path. */
export function fetchedPanels(
  area: AreaName | 'page',
  parts: readonly ResolvedPart[],
  {
    pictures,
    styled,
    facts = {},
  }: Pick<FrameChoices, 'pictures' | 'styled'> & { readonly facts?: AreaFacts },
): { readonly path: string; readonly html: string }[] {
  return placed(parts).flatMap(({ part, menu }) => {
    const place = placeIn(area, part, facts);
    if (formOf(place) !== 'bar') return [];
    return menu.items.filter(isFetched).map((item: ResolvedItem) => ({
      path: `panels/${part.id}/${item.id}.html`,
      html: renderPanel(menu, item, {
        place,
        pictures,
        prefix: prefixOf(part),
        ...(styled === undefined ? {} : { styled }),
      }),
    }));
  });
}

/** All placements in parts that show a menu. */
export function placed(
  parts: readonly ResolvedPart[],
): { readonly part: ResolvedPart; readonly menu: ResolvedMenu }[] {
  return allParts(parts).flatMap((part) => (part.shown === undefined ? [] : [{ part, menu: part.shown }]));
}

/** All parts of an area; of a header those of its drawer, too. */
export function partsOfArea({ bands, drawer = null }: ResolvedArea): ResolvedPart[] {
  return [...allParts(bands), ...(drawer === null ? [] : allParts(drawer.bands))];
}

/** Parts with all that stands in them. */
export function allParts(parts: readonly ResolvedPart[]): ResolvedPart[] {
  return [...preorder<ResolvedPart>(parts, ({ parts: inner = [] }) => inner)].map(({ node }) => node);
}

/** Ids of a menu begin with the id of its placement, so that one menu can stand twice on a page. */
function prefixOf({ id }: ResolvedPart): string {
  return `zv-${id}`;
}

function partsHtml(
  parts: readonly ResolvedPart[],
  area: AreaName | 'page',
  choices: FrameChoices,
  { facts = {}, classes = '' }: { readonly facts?: AreaFacts; readonly classes?: string } = {},
): string {
  const { words, pictures, site, marks = false, fetchesPanels = false } = choices;
  const own = choices.styled === undefined ? {} : { styled: choices.styled };
  const pieces = framePieces(parts, {
    prefix: 'zv',
    classes,
    children: new Map(),
    marks,
    pictures,
    ...own,
    words,
    heading: 'h2',
    narrow: conditionOf('narrow', site.breakpoints),
    menuHtml: (part) =>
      part.shown === undefined
        ? ''
        : renderMenu(part.shown, {
            place: placeIn(area, part, facts),
            fold: foldOf(area, part) ?? undefined,
            back: words.back,
            ...(part.opensOn === undefined ? {} : { opens: part.opensOn }),
            prefix: prefixOf(part),
            pictures,
            marks,
            ...own,
            ...(part.pushed === undefined ? {} : { pushed: part.pushed }),
            ...(part.fit?.rules.some(({ does }) => does === 'fold') === true ? { more: words.more } : {}),
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
  const pieces = marked.split(SLOT);
  for (const [index, piece] of pieces.entries()) {
    if (index % 2 === 0) {
      html += piece;
      // No slot comes behind the last piece.
      if (index < pieces.length - 1) at += utf8Length(piece, 0, piece.length);
      continue;
    }
    const [kind = 'year', ...facts] = piece.split('\u0002');
    slots.push({ at, kind: kind as SlotKind, facts });
  }
  return { html, slots };
}
