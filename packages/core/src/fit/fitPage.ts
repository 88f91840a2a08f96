import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { areaId } from '../model/partRoots.ts';
import type { WidthRange } from '../panel/sweepPanel.ts';
import { areasOn } from '../resolve/areasOn.ts';
import type { CompareTitles } from '../resolve/followedPages.ts';
import type { Situation } from '../resolve/frameExceptions.ts';
import type { ResolvedArea } from '../resolve/resolveFrame.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import { GRID_COLUMNS } from '../schema/part.ts';
import { preorder } from '../walk/preorder.ts';
import { bandState } from './bandState.ts';
import { barPlace, type BarPlace } from './barPlace.ts';
import { dropKind, listState, panelState } from './dropLanes.ts';
import { windowsOf } from './fitBar.ts';
import {
  bandContent,
  contentAt,
  measuredBands,
  placeOfArea,
  roomOf,
  verticalIn,
  windowsIn,
  type HeaderFacts,
  type MeasuredBand,
  type MeasuredZone,
} from './fitBand.ts';
import { barState } from './barState.ts';
import { fitStyleOf, lineOfAll } from './fitStyle.ts';
import { asOne, stretchesBetween, type Lane, type LaneState, type LaneStretch } from './lane.ts';
import { UNITS } from './lengths.ts';
import { PLAIN_FONT, type Measure } from './measure.ts';
import type { MeasuredEntry, MeasuredPart } from './partWidth.ts';

/** A page of which everything is asked. */
export interface FitFacts extends HeaderFacts {
  readonly side: ResolvedArea;
  readonly footer: ResolvedArea;
}

/** What is asked of a page, as its visitors get it. O(parts + menus). */
export function factsOn(
  document: SiteDocument,
  situation: Situation,
  compareTitles: CompareTitles,
): FitFacts {
  const areaOf = areasOn(document, situation, compareTitles);
  return {
    header: areaOf('header'),
    side: areaOf('side'),
    footer: areaOf('footer'),
    template: situation.template,
  };
}

/**
 * Everything of a page at every width of the window, in px: its bars with what drops from them, its side, its footer and
 * its drawer. O(texts), and changes.
 */
export function fitPage(document: SiteDocument, facts: FitFacts, span: WidthRange, measure: Measure): Lane[] {
  const vertical = verticalIn(document, facts.header, span);
  const around = { scrollbar: facts.scrollbar ?? 0, span };
  return [
    ...measuredBands(document, facts, span, measure, true).flatMap(({ band, measured }) => [
      bandLane(band, measured, vertical, span),
      ...barLanes(band, measured, vertical, around),
    ]),
    ...sideLanes(document, facts.side, span),
    ...footerLanes(document, facts, span),
    ...drawerLanes(document, facts.header, span),
  ];
}

type MeasuredBarPart = MeasuredPart & { readonly id: Id };

/** A bar where it was measured. */
interface Seen {
  readonly part: MeasuredBarPart;
  readonly zone: MeasuredZone;
  readonly band: MeasuredBand;
  /** How it is there at every width, and where it is: the same for all that drops from it. */
  readonly stretches: readonly LaneStretch[];
  readonly placeAt: (width: number) => BarPlace;
}

/** What was found once for a width is known. */
function seenBar(part: MeasuredBarPart, zone: MeasuredZone, band: MeasuredBand, scrollbar: number): Seen {
  const places = new Map<number, BarPlace>();
  const placeAt = (width: number): BarPlace => {
    const known = places.get(width) ?? barPlace(part, zone, band, { width, scrollbar });
    places.set(width, known);
    return known;
  };
  return { part, zone, band, stretches: barStretches(part, zone, band), placeAt };
}

/** The rows of a band, whatever is in it. */
function bandLane(
  band: ResolvedPart,
  measured: readonly MeasuredBand[],
  vertical: readonly WidthRange[],
  span: WidthRange,
): Lane {
  const isUnknown = measured.some(({ zones }) => zones === null);
  const stretches = measured.flatMap((one): LaneStretch[] => {
    const { zones, window } = one;
    if (zones?.some(({ parts }) => parts.length > 0) !== true) return [];
    return stretchesBetween((width) => bandState(one, zones, width), window.from, window.to);
  });
  return {
    of: 'band',
    part: band.id,
    stretches: isUnknown ? null : asOne([...stretches, ...absent(stretches, [], vertical, span)]),
  };
}

/** What something is where it is in none of the rows of a header. `inDrawer`: where the drawer has it. */
function absent(
  has: readonly LaneStretch[],
  inDrawer: readonly WidthRange[],
  vertical: readonly WidthRange[],
  span: WidthRange,
): LaneStretch[] {
  const isIn = (some: readonly WidthRange[], one: WidthRange): boolean =>
    some.some((range) => range.from <= one.to && range.to >= one.from);
  return gapsOf(has, span)
    .flatMap((one) => splitBy(one, vertical))
    .map((one) => ({
      ...one,
      state: { is: isIn(vertical, one) ? 'column' : isIn(inDrawer, one) ? 'inDrawer' : 'hidden' },
    }));
}

/** A range in pieces, each within or outside of all others. */
function splitBy({ from, to }: WidthRange, ranges: readonly WidthRange[]): WidthRange[] {
  const starts = [from, ...ranges.flatMap((one) => [one.from, one.to + 1])]
    .filter((px) => px >= from && px <= to)
    .sort((a, b) => a - b);
  return starts
    .map((start, at) => ({ from: start, to: (starts[at + 1] ?? to + 1) - 1 }))
    .filter((one) => one.from <= one.to);
}

function barLanes(
  band: ResolvedPart,
  measured: readonly MeasuredBand[],
  vertical: readonly WidthRange[],
  { scrollbar, span }: { readonly scrollbar: number; readonly span: WidthRange },
): Lane[] {
  const parts = [...preorder<ResolvedPart>([band], ({ parts: inner = [] }) => inner)].flatMap(({ node }) =>
    node.kind === 'placement' && node.form !== 'list' && node.shown !== undefined ? [node] : [],
  );
  return parts.flatMap(({ id, shown, yields }): Lane[] => {
    const seen = measured.flatMap((one): Seen[] =>
      (one.zones ?? []).flatMap((zone) =>
        zone.parts.flatMap((part) =>
          part.id === id && part.bar !== undefined ? [seenBar(part, zone, one, scrollbar)] : [],
        ),
      ),
    );
    const isUnknown = measured.some(({ zones, bars }) => zones === null && bars.includes(id));
    const drawers = yields === true ? measured.filter(({ window }) => window.hasDrawer) : [];
    const inDrawer = drawers.map(({ window }) => window);
    const lane = (own: (one: Seen) => readonly LaneStretch[]): LaneStretch[] | null => {
      if (isUnknown) return null;
      const has = seen.flatMap(own);
      return asOne([...has, ...absent(has, inDrawer, vertical, span)]);
    };
    const drops = (shown?.items ?? []).flatMap((item): Lane[] => {
      const kind = dropKind(item);
      if (kind === null) return [];
      return [
        {
          of: kind === 'panel' ? 'panel' : 'dropdown',
          part: id,
          item: item.id,
          stretches: lane((one) => dropStretches(one, item.id, kind, scrollbar)),
        },
      ];
    });
    return [{ of: 'bar', part: id, stretches: lane((one) => one.stretches) }, ...drops];
  });
}

function barStretches(part: MeasuredBarPart, zone: MeasuredZone, band: MeasuredBand): LaneStretch[] {
  const { from, to } = band.window;
  const stateAt = (width: number): LaneState => {
    const { breaks, does, isApart } = barState(part, zone, roomOf(zone, band, contentAt(band, width)));
    return {
      is: 'rows',
      rows: breaks.length + 1,
      firsts: breaks,
      ...(does === undefined ? {} : { does }),
      ...(isApart === undefined ? {} : { isApart }),
    };
  };
  return stretchesBetween(stateAt, from, to);
}

function dropStretches(
  seen: Seen,
  id: Id,
  kind: 'list' | 'row' | 'flyouts' | 'panel',
  scrollbar: number,
): LaneStretch[] {
  const { part, band } = seen;
  const { from, to, device } = band.window;
  const entry = part.drops?.find(({ item }) => item.id === id);
  if (
    entry === undefined ||
    entry.item.hiddenOn?.includes(device) === true ||
    entry.item.branchHiddenOn?.includes(device) === true
  )
    return [{ from, to, state: { is: 'hidden' } }];
  const stateAt = (width: number): LaneState => dropState(entry, kind, seen, { width, scrollbar });
  // On narrow screens it opens within the bar; what is as wide as the bar is the same wherever that is.
  if (device === 'narrow' || kind === 'row' || kind === 'flyouts')
    return [{ from, to, state: stateAt(from) }];
  // Where it stands changes evenly between two changes of the rows of its bar, and of the content of its band.
  return seen.stretches
    .flatMap((one) => splitAtContent(one, band))
    .flatMap((one) => stretchesBetween(stateAt, one.from, one.to));
}

/** The same stretch, apart where the content of its band is as wide as it ever is. */
function splitAtContent(one: WidthRange, { most, beside }: MeasuredBand): WidthRange[] {
  const full = most + beside;
  if (!(full > one.from && full <= one.to)) return [one];
  return [
    { from: one.from, to: full - 1 },
    { from: full, to: one.to },
  ];
}

function dropState(
  { item, drop }: MeasuredEntry,
  kind: 'list' | 'row' | 'flyouts' | 'panel',
  { band, placeAt }: Seen,
  at: { readonly width: number; readonly scrollbar: number },
): LaneState {
  const { device } = band.window;
  if (kind === 'row' || kind === 'flyouts') return device === 'narrow' ? { is: 'within' } : { is: kind };
  if (kind === 'list' && device === 'narrow') return { is: 'within' };
  const place = placeAt(at.width);
  const entry = place.entries.get(item.id);
  return kind === 'list'
    ? listState(item, drop, place, at)
    : panelState(item, place, entry, { device }, at.width - at.scrollbar);
}

/** The widths that stretches leave out. */
function gapsOf(stretches: readonly LaneStretch[], { from, to }: WidthRange): WidthRange[] {
  const gaps: WidthRange[] = [];
  let next = from;
  for (const one of stretches.toSorted((a, b) => a.from - b.from)) {
    if (one.from > next) gaps.push({ from: next, to: one.from - 1 });
    next = Math.max(next, one.to + 1);
  }
  if (next <= to) gaps.push({ from: next, to });
  return gaps;
}

/** The side area: beside the content, and above it on narrow screens. */
function sideLanes({ site }: SiteDocument, { bands, facts }: ResolvedArea, { from, to }: WidthRange): Lane[] {
  if (bands.length === 0) return [];
  const { medium } = site.breakpoints;
  const stretches: LaneStretch[] = [
    { from, to: Math.min(to, medium - 1), state: { is: facts.isUnfolded === true ? 'above' : 'folded' } },
    { from: Math.max(from, medium), to, state: { is: 'beside' } },
  ];
  return [{ of: 'side', part: areaId('side'), stretches: stretches.filter((one) => one.from <= one.to) }];
}

/** The least width of a list in a footer, in px, as `frameRules` has it: 11rem. */
const LEAST_LIST = 176;

/** The lists of a footer, in as many columns as there is room for. */
function footerLanes(
  document: SiteDocument,
  { footer, template, scrollbar = 0 }: FitFacts,
  { from, to }: WidthRange,
): Lane[] {
  const { site } = document;
  const lists = footer.bands.flatMap((band) =>
    (band.parts ?? []).flatMap((holder) =>
      (holder.parts ?? []).flatMap((part) =>
        part.kind === 'placement' && part.form !== 'bar' && part.shown !== undefined
          ? [{ band, holder, part }]
          : [],
      ),
    ),
  );
  return lists.map(({ band, holder, part }): Lane => {
    const groups = Math.max(1, part.shown?.items.length ?? 0);
    const stretches = windowsOf(site.breakpoints, from, to).flatMap(({ device, ...window }) => {
      if (part.hiddenOn?.includes(device) === true || (band.only !== undefined && band.only !== device))
        return [];
      const { gap, wider } = footerLooks(document, template, device, [band.id, holder.id, part.id]);
      const content = bandContent(document, band, device, scrollbar);
      const stateAt = (width: number): LaneState => {
        const room = contentAt(content, width) / UNITS;
        const own =
          holder.kind === 'cell' && device !== 'narrow'
            ? cellWidth(room, holder.span ?? GRID_COLUMNS, gap)
            : room;
        return {
          is: 'columns',
          columns: Math.max(1, Math.min(groups, Math.floor((own + wider) / LEAST_LIST))),
        };
      };
      return stretchesBetween(stateAt, window.from, window.to);
    });
    const hidden = gapsOf(stretches, { from, to }).map((one) => ({
      ...one,
      state: { is: 'hidden' } as const,
    }));
    return { of: 'footer', part: part.id, stretches: asOne([...stretches, ...hidden]) };
  });
}

function cellWidth(content: number, span: number, gap: number): number {
  const column = (content - (GRID_COLUMNS - 1) * gap) / GRID_COLUMNS;
  return span * column + (span - 1) * gap;
}

/** The gap between cells of a footer, and how much wider its lists are than their cells, in px. */
function footerLooks(
  document: SiteDocument,
  template: string | null,
  device: DeviceClass,
  owners: readonly Id[],
): { readonly gap: number; readonly wider: number } {
  const style = fitStyleOf(document, device);
  const place = style.within(placeOfArea(style, document, 'footer', template), owners);
  const { size } = style.font(lineOfAll('footerBand'), place, PLAIN_FONT);
  return {
    gap: style.gap(lineOfAll('zones'), place, size) / UNITS,
    wider: -style.edges(lineOfAll('frameList'), place, size).outside / UNITS,
  };
}

/** Where the drawer has taken over. */
function drawerLanes(document: SiteDocument, header: ResolvedArea, span: WidthRange): Lane[] {
  if (header.drawer == null) return [];
  const stretches = windowsIn(document, header, span).map(({ from, to, hasDrawer }): LaneStretch => ({
    from,
    to,
    state: { is: hasDrawer ? 'takesOver' : 'unused' },
  }));
  return [{ of: 'drawer', part: areaId('drawer'), stretches: asOne(stretches) }];
}
