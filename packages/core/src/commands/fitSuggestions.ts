import type { Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { placeOfArea } from '../fit/fitBand.ts';
import { ROOT, UNITS } from '../fit/lengths.ts';
import { fitStyleOf, lineOfAll } from '../fit/fitStyle.ts';
import { PLAIN_FONT } from '../fit/measure.ts';
import { windowsOf } from '../fit/fitBar.ts';
import { troubleOf, widthsIn } from '../fit/fitProblems.ts';
import type { Lane } from '../fit/lane.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf } from '../model/forest.ts';
import { labelOf } from '../model/labelOf.ts';
import { menuOf } from '../model/menuOf.ts';
import { canYield } from '../model/frameParts.ts';
import { applyEdit } from '../ops/applyEdit.ts';
import type { Edit } from '../ops/edit.ts';
import { dropdownWith } from '../panel/dropdownWith.ts';
import type { WidthRange } from '../panel/sweepPanel.ts';
import { preorder } from '../walk/preorder.ts';
import { deviceClasses, type DeviceClass } from '../schema/deviceClass.ts';
import { LEAST_WIDTH, MOST_WIDTH } from '../schema/dropdown.ts';
import { fieldsOf, policies, type Policy } from '../schema/part.ts';
import type { CommandContext } from './context.ts';
import { drawerTakesOver, setFit } from './fits.ts';
import { setPart } from './composing.ts';
import { maybeFace, renameItem } from './items.ts';
import { setLooks } from './looks.ts';
import { setItems } from './settings.ts';

/** What can be done about something that does not fit. */
export type FitFix =
  /** The drawer takes over below a width, in px. */
  | { readonly kind: 'takeover'; readonly below: number }
  /** A bar does something where it does not fit, on device classes. */
  | { readonly kind: 'policy'; readonly does: Policy; readonly devices: readonly DeviceClass[] }
  /** An entry is called what its page, or another menu, calls it. */
  | { readonly kind: 'label'; readonly item: Id; readonly label: string }
  /** Less room between the entries of a bar, in px. */
  | { readonly kind: 'gap'; readonly px: number }
  /** A dropdown is so wide, in px. */
  | { readonly kind: 'width'; readonly item: Id; readonly px: number }
  /** A dropdown ends where its entry does. */
  | { readonly kind: 'atEnd'; readonly item: Id }
  /** The text of a dropdown is so large, in px. */
  | { readonly kind: 'text'; readonly item: Id; readonly px: number }
  /** A part of a band shows its icon alone, on device classes. */
  | { readonly kind: 'icons'; readonly shows: Id; readonly devices: readonly DeviceClass[] };

/** A way to mend something that does not fit, and what it does to that. */
export interface FitSuggestion {
  /** The part that shows the bar, and the entry whose dropdown it is; not there: it is the bar itself. */
  readonly part: Id;
  readonly item?: Id;
  readonly fix: FitFix;
  /** The widths at which it does not fit now, and those at which it still would not. */
  readonly before: readonly WidthRange[];
  readonly left: readonly WidthRange[];
}

/** The lanes of the page that is looked at, for a document. */
export type LanesOf = (document: SiteDocument) => readonly Lane[];

/** A takeover has room for a scrollbar, whose width is that of the window, and for what is rounded, in px. */
const SPARE = 17;
/** Gaps do not become smaller than this, in px. */
const LEAST_GAP = 4;

/**
 * What would mend a bar, or a dropdown, that does not fit somewhere: each is tried, and asked of the page again. The best
 * first: what leaves the fewest widths, and of those that which changes least. O(suggestions) pages.
 */
export function fitSuggestions(
  context: CommandContext,
  { part, item }: { readonly part: Id; readonly item?: Id | undefined },
  lanesOf: LanesOf,
): FitSuggestion[] {
  const { document } = context;
  const lanes = lanesOf(document);
  const before = troubleOf(lanes, part, item);
  if (before.length === 0) return [];
  const lane = lanes.find((one) => one.part === part && one.item === item);
  const fixes =
    item !== undefined
      ? fixesOfDrop(document, item, lane)
      : lane?.of === 'band'
        ? fixesOfBand(document, part, before)
        : fixesOfBar(document, part, before);
  const tried = fixes.flatMap((fix): FitSuggestion[] => {
    const mended = withFitFix(context, part, fix);
    if (mended === null) return [];
    const left = troubleOf(lanesOf(mended), part, item);
    return widthsIn(left) < widthsIn(before)
      ? [{ part, ...(item === undefined ? {} : { item }), fix, before, left }]
      : [];
  });
  return bestOfKind(tried).sort(
    (a, b) => widthsIn(a.left) - widthsIn(b.left) || rankOf(a.fix) - rankOf(b.fix),
  );
}

/** What changes less for visitors comes first. */
function rankOf(fix: FitFix): number {
  return fix.kind === 'policy' ? ranks.indexOf(fix.does) : ranks.indexOf(fix.kind);
}
const ranks = [
  'width',
  'atEnd',
  'icons',
  'text',
  'takeover',
  'label',
  'gap',
  'fold',
  'shrink',
  'scroll',
  'policy',
];

/** Of several gaps, labels and sizes, those that are enough; where none is, the one that does most. */
function bestOfKind(tried: readonly FitSuggestion[]): FitSuggestion[] {
  const labels = tried
    .filter(({ fix }) => fix.kind === 'label')
    .sort((a, b) => widthsIn(a.left) - widthsIn(b.left))
    .slice(0, MOST_LABELS);
  const others = tried.filter(({ fix }) => !['gap', 'label', 'text'].includes(fix.kind));
  return [...others, ...labels, ...leastThatDoes(tried, 'gap'), ...leastThatDoes(tried, 'text')];
}

/** Of suggestions that do ever more, the first that is enough, or else the last. */
function leastThatDoes(tried: readonly FitSuggestion[], kind: FitFix['kind']): FitSuggestion[] {
  const own = tried.filter(({ fix }) => fix.kind === kind);
  const best = own.find(({ left }) => left.length === 0) ?? own.at(-1);
  return best === undefined ? [] : [best];
}
/** So many entries are offered another label. */
const MOST_LABELS = 3;

/** The document with a fix; null: it cannot be made. */
export function withFitFix(context: CommandContext, part: Id, fix: FitFix): SiteDocument | null {
  const made = fitFix(context, part, fix);
  const done = made.ok ? applyEdit(context.document, made.value) : null;
  return done?.ok === true ? done.value.document : null;
}

/** The edit that a fix is. */
export function fitFix(context: CommandContext, part: Id, fix: FitFix): Result<Edit> {
  const { document } = context;
  switch (fix.kind) {
    case 'takeover':
      return drawerTakesOver(context, part, fix.below);
    case 'policy':
      return setFit(context, part, fix.devices, fix.does);
    case 'label':
      return renameItem(context, fix.item, fix.label);
    case 'gap':
      return setLooks(context, { owner: part, thing: 'bar' }, { gap: `${fix.px}px` });
    case 'text':
      return setLooks(context, { owner: fix.item, thing: 'dropEntry' }, { fontSize: `${fix.px}px` });
    case 'icons': {
      const shows = document.parts.nodes.get(fix.shows);
      if (shows === undefined) return no(refusal('notThere', { id: fix.shows }));
      const faces = Object.fromEntries(fix.devices.map((device) => [device, 'icon' as const]));
      return setPart(context, fix.shows, { faces: { ...shows.faces, ...faces } });
    }
    case 'width':
    case 'atEnd': {
      const face = maybeFace(document, fix.item);
      if (face === null) return no(refusal('notThere', { id: fix.item }));
      const list = fix.kind === 'width' ? { width: fix.px } : { align: 'end' as const };
      return setItems(context, [fix.item], { dropdown: dropdownWith(face.dropdown ?? null, { list }) });
    }
  }
}

function fixesOfBar(document: SiteDocument, part: Id, before: readonly WidthRange[]): FitFix[] {
  const own = document.parts.nodes.get(part);
  if (own?.kind !== 'placement') return [];
  const devices = devicesIn(document, before);
  const widest = Math.max(...before.map(({ to }) => to));
  return [
    ...(canYield(own) ? [{ kind: 'takeover' as const, below: widest + 1 + SPARE }] : []),
    ...labelFixes(document, own.shows ?? ''),
    ...gapsBelow(gapOf(document, part)).map((px) => ({ kind: 'gap' as const, px })),
    ...policies.map((does) => ({ kind: 'policy' as const, does, devices })),
  ];
}

/** Gaps that are smaller than one, the widest first. */
function gapsBelow(gap: number): number[] {
  const found: number[] = [];
  for (let px = Math.ceil(gap) - 1; px >= LEAST_GAP; px -= px > 16 ? 4 : 2) found.push(px);
  return found;
}

/** The gap between the entries of a bar, in px. */
function gapOf(document: SiteDocument, part: Id): number {
  const style = fitStyleOf(document, 'wide');
  const place = style.within(placeOfArea(style, document, 'header', null), [part]);
  return style.gap(lineOfAll('bar'), place, ROOT) / UNITS;
}

/** Shorter names of the entries of a menu: the titles of their pages, and what other menus call these. */
function labelFixes(document: SiteDocument, menu: Id): FitFix[] {
  const elsewhere = namesElsewhere(document, menu);
  return [...childrenOf(document.items, menu)].flatMap((id): FitFix[] => {
    const face = maybeFace(document, id);
    if (face?.destination.kind !== 'page') return [];
    const { page } = face.destination;
    const now = labelOf(document, face);
    const title = document.pages.nodes.get(page)?.title;
    const names = new Set([...(title === undefined ? [] : [title]), ...(elsewhere.get(page) ?? [])]);
    return [...names]
      .filter((name) => name.trim() !== '' && name.length < now.length)
      .map((label) => ({ kind: 'label', item: id, label }));
  });
}

/** What other menus call each page. O(items). */
function namesElsewhere(document: SiteDocument, menu: Id): ReadonlyMap<Id, readonly string[]> {
  const names = new Map<Id, string[]>();
  for (const { id } of document.items.nodes.values()) {
    const face = maybeFace(document, id);
    if (face?.destination.kind !== 'page' || menuOf(document, id).id === menu) continue;
    const { page } = face.destination;
    names.set(page, [...(names.get(page) ?? []), labelOf(document, face)]);
  }
  return names;
}

/** The device classes that have some of these widths. */
function devicesIn({ site }: SiteDocument, ranges: readonly WidthRange[]): DeviceClass[] {
  const windows = ranges.flatMap(({ from, to }) => windowsOf(site.breakpoints, from, to));
  return deviceClasses.filter((device) => windows.some((one) => one.device === device));
}

/** Parts with an icon and a text can do without the text. */
function fixesOfBand(document: SiteDocument, band: Id, before: readonly WidthRange[]): FitFix[] {
  const devices = devicesIn(document, before);
  const inner = [...preorder([band], (id) => childrenOf(document.parts, id))].map(({ node }) => node);
  return inner.flatMap((id): FitFix[] => {
    const part = document.parts.nodes.get(id);
    if (part === undefined || !('faces' in fieldsOf(part.kind))) return [];
    if (part.kind === 'button' && part.glyph === undefined) return [];
    const shown = devices.filter((device) => (part.faces?.[device] ?? 'both') === 'both');
    return shown.length === 0 ? [] : [{ kind: 'icons', shows: id, devices: shown }];
  });
}

/** A wider list, or smaller text, for what breaks, and a list that ends with its entry where it leaves the screen. */
function fixesOfDrop(document: SiteDocument, item: Id, lane: Lane | undefined): FitFix[] {
  const lists = (lane?.stretches ?? []).flatMap(({ state }) => (state.is === 'list' ? [state] : []));
  const wanted = Math.max(0, ...lists.map(({ wanted: px }) => px));
  const px = Math.min(MOST_WIDTH, Math.max(LEAST_WIDTH, Math.ceil(wanted)));
  const isBroken = lists.some(({ broken }) => broken.length > 0);
  return [
    ...(isBroken ? [{ kind: 'width' as const, item, px }, ...smallerTexts(document, item)] : []),
    ...(lists.some(({ place }) => place === 'beyond') ? [{ kind: 'atEnd' as const, item }] : []),
  ];
}

/** Text of a dropdown does not become smaller than this, in px. */
const LEAST_TEXT = 14;

function smallerTexts(document: SiteDocument, item: Id): FitFix[] {
  const style = fitStyleOf(document, 'wide');
  const place = style.within(placeOfArea(style, document, 'header', null), [item]);
  const { size } = style.font(lineOfAll('dropEntry'), place, PLAIN_FONT);
  const sizes = Array.from(
    { length: Math.max(0, Math.ceil(size) - LEAST_TEXT) },
    (_, at) => Math.ceil(size) - 1 - at,
  );
  return sizes.map((px) => ({ kind: 'text', item, px }));
}
