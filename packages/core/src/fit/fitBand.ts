import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { areaId } from '../model/partRoots.ts';
import { templateOwner } from '../model/styleOwner.ts';
import type { WidthRange } from '../panel/sweepPanel.ts';
import { siteWords, type ResolvedArea } from '../resolve/resolveFrame.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { zoneThatGives } from '../parts/zoneThatGives.ts';
import { deviceClasses, type DeviceClass } from '../schema/deviceClass.ts';
import type { AreaName, ZoneName } from '../schema/part.ts';
import { USUAL_CONTENT, usualMargins } from '../schema/site.ts';
import { branchOwners, ownersOf, windowsOf } from './fitBar.ts';
import { fitStyleOf, lineOfAll, type FitPlace, type FitStyle } from './fitStyle.ts';
import { ROOT, UNITS } from './lengths.ts';
import { PLAIN_FONT, type Measure, type TextFont } from './measure.ts';
import { isShown, measuredPart, type MeasuredPart, type PartSetting } from './partWidth.ts';
import { roomFor } from './rows.ts';

/** A page of which the header is asked. */
export interface HeaderFacts {
  readonly header: ResolvedArea;
  readonly template: string | null;
  /** How wide the scrollbar is, in px: the window has it, and its content has not. Not there: it takes no room. */
  readonly scrollbar?: number;
  /** The size of text that a visitor has set, in px; not there: the usual 16. */
  readonly root?: number;
}

/** The widths of a device class, before or after the drawer takes over, in px. */
export interface Window extends WidthRange {
  readonly device: DeviceClass;
  readonly hasDrawer: boolean;
}

/** How wide the content of a band can be. */
export interface BandContent {
  /** What of the window is not its content, at both sides together, in px. */
  readonly beside: number;
  /** Its content is never wider, in px. */
  readonly most: number;
}

export interface MeasuredZone {
  readonly at: ZoneName;
  readonly parts: readonly (MeasuredPart & { readonly id: Id })[];
  readonly gap: number;
  /** In one row. */
  readonly width: number;
}

/** A band of a header as it is laid out in some windows. All in layout units, but for what says otherwise. */
export interface MeasuredBand extends BandContent {
  readonly window: Window;
  /** Null: something in it cannot be measured. */
  readonly zones: readonly MeasuredZone[] | null;
  readonly bars: readonly Id[];
  readonly gap: number;
  /** The zone that gives way to the others where there is not enough room. */
  readonly gives: ZoneName | null;
  /** The size of its text, in px. */
  readonly size: number;
}

/**
 * The bands of a header, each as it is laid out in the windows that are alike. `hasDrops`: with what drops from their
 * bars. O(texts) for each device class.
 */
export function measuredBands(
  document: SiteDocument,
  { header, template, scrollbar = 0, root }: HeaderFacts,
  span: WidthRange,
  measure: Measure,
  hasDrops = false,
): { readonly band: ResolvedPart; readonly measured: readonly MeasuredBand[] }[] {
  const windows = windowsIn(document, header, span).filter((one) => !isVertical(document, header, one));
  const setting = { measure, scrollbar, hasDrops, more: siteWords(document).more };
  const around = Object.fromEntries(
    deviceClasses.map((device) => [device, headerStyle(document, template, device, root)]),
  ) as Record<DeviceClass, HeaderStyle>;
  return header.bands.map((band, at) => {
    const thing = header.bands.slice(at + 1).some(hasLogo) ? 'upperBand' : 'band';
    const measured = windows
      .filter(({ device }) => band.only === undefined || band.only === device)
      .map((window) => measuredBand(document, band, window, { ...around[window.device], ...setting, thing }));
    return { band, measured };
  });
}

/** The widths of the window by device class, apart where the drawer takes over. */
export function windowsIn(document: SiteDocument, header: ResolvedArea, { from, to }: WidthRange): Window[] {
  return windowsOf(document.site.breakpoints, from, to).flatMap((window) =>
    splitAt(document, header, window),
  );
}

/** The widths of a device class, apart where the drawer takes over among them. */
function splitAt(
  { site }: SiteDocument,
  { drawer }: ResolvedArea,
  window: Omit<Window, 'hasDrawer'>,
): Window[] {
  if (drawer == null) return [{ ...window, hasDrawer: false }];
  const { takeover = site.breakpoints.medium } = drawer.facts;
  if (takeover === 'never' || takeover === 'always') return [{ ...window, hasDrawer: takeover === 'always' }];
  return [
    { ...window, to: Math.min(window.to, takeover - 1), hasDrawer: true },
    { ...window, from: Math.max(window.from, takeover), hasDrawer: false },
  ].filter((one) => one.from <= one.to);
}

/** The widths at which a header is a column at the side. */
export function verticalIn(document: SiteDocument, header: ResolvedArea, span: WidthRange): WidthRange[] {
  return windowsIn(document, header, span).filter((one) => isVertical(document, header, one));
}

/** Whether the header is a column at the side there: its bars have no rows. */
function isVertical({ site }: SiteDocument, { facts, drawer }: ResolvedArea, { from }: Window): boolean {
  const takeover = drawer?.facts.takeover;
  const { medium } = site.breakpoints;
  return (
    facts.vertical !== undefined &&
    from >= (typeof takeover === 'number' ? Math.max(medium, takeover) : medium)
  );
}

function hasLogo({ kind, parts = [] }: ResolvedPart): boolean {
  return kind === 'logo' || parts.some(hasLogo);
}

/** The looks of a header on a device class, where it is, and its font: what was resolved once is known to all bands. */
interface HeaderStyle {
  readonly style: FitStyle;
  readonly place: FitPlace;
  readonly font: TextFont;
}

function headerStyle(
  document: SiteDocument,
  template: string | null,
  device: DeviceClass,
  root = ROOT,
): HeaderStyle {
  const style = fitStyleOf(document, device, root);
  const place = placeOfArea(style, document, 'header', template);
  const { language, direction } = document.site;
  const plain = { ...PLAIN_FONT, size: root, language, direction };
  return { style, place, font: style.font(lineOfAll('header'), place, plain) };
}

/** An area on the pages of a template: what is set for the site, for the area and for the template holds there. */
export function placeOfArea(
  style: FitStyle,
  { site }: SiteDocument,
  area: AreaName,
  template: string | null,
): FitPlace {
  const owners = [site.id, areaId(area), ...(template === null ? [] : [templateOwner(template)])];
  return style.place(area, owners);
}

type BandSetting = HeaderStyle & {
  readonly thing: 'band' | 'upperBand';
  readonly measure: Measure;
  readonly scrollbar: number;
  readonly hasDrops: boolean;
  /** What “More” is called. */
  readonly more: string;
};

function measuredBand(
  document: SiteDocument,
  band: ResolvedPart,
  window: Window,
  { style, measure, thing, scrollbar, hasDrops, more, ...header }: BandSetting,
): MeasuredBand {
  const { device, hasDrawer } = window;
  const place = style.within(header.place, [band.id]);
  const font = style.font(lineOfAll(thing), place, header.font);
  const bars: Id[] = [];
  let isKnown = true;
  const zones = (band.parts ?? []).flatMap((zone): MeasuredZone[] => {
    if (zone.kind !== 'zone') {
      isKnown = false;
      return [];
    }
    const { at = 'start', parts: inner = [] } = zone;
    const inZone = style.within(place, [zone.id]);
    const parts = inner.flatMap((part) => {
      const menu = [...document.menus.nodes.values()].find(({ key }) => key === part.shown?.key)?.id ?? '';
      const setting: PartSetting = {
        style,
        measure,
        device,
        font,
        hasDrawer,
        isAtEnd: at === 'end',
        more,
        hasDrops,
        placeOf: (item, around, level) => style.within(around, ownersOf(document, menu, item, level)),
        branchOf: (item, around) => style.within(around, branchOwners(document, item)),
      };
      if (!isShown(part, setting)) return [];
      const measured = measuredPart(part, style.within(inZone, [part.uses ?? part.id, menu]), setting);
      if (part.kind === 'placement') bars.push(part.id);
      if (measured === null) isKnown = false;
      return measured === null ? [] : [{ ...measured, id: part.id }];
    });
    const gap = style.gap(lineOfAll('zone'), inZone, font.size);
    const width = roomFor({ widths: parts.map((one) => one.width), gap });
    return at === 'centre' && inner.length === 0 ? [] : [{ at, parts, gap, width }];
  });
  return {
    window,
    zones: isKnown ? zones : null,
    bars,
    gap: style.gap(lineOfAll('zones'), place, font.size),
    size: font.size,
    gives: zoneThatGives(band),
    ...bandContent(document, band, device, scrollbar),
  };
}

/** How wide the content of a band can be on a device class. */
export function bandContent(
  { site }: SiteDocument,
  band: ResolvedPart,
  device: DeviceClass,
  scrollbar: number,
): BandContent {
  return {
    beside: 2 * (site.margins?.[device] ?? usualMargins[device]) + scrollbar,
    most: band.isFull === true ? Infinity : (band.contentWidth ?? site.contentWidth ?? USUAL_CONTENT),
  };
}

/** How wide the content of a band is in a window of that width in px, in layout units. */
export function contentAt({ most, beside }: BandContent, window: number): number {
  return Math.max(0, Math.min(most, window - beside)) * UNITS;
}

/** The room of a zone in a band whose content is so wide. */
export function roomOf(
  zone: MeasuredZone,
  { zones, gap, gives, window: { device } }: Pick<MeasuredBand, 'zones' | 'gap' | 'gives' | 'window'>,
  content: number,
): number {
  if (device === 'narrow') return zone.width <= content ? zone.width : content;
  if (zones === null || zones.length === 1) return content;
  const [start, centre, end] = (['start', 'centre', 'end'] as const).map((at) =>
    zones.find((one) => one.at === at),
  );
  if (centre === undefined) {
    const [giving, other] = gives === 'end' ? [end, start] : [start, end];
    const fixed = Math.min(other?.width ?? 0, Math.max(0, content - gap));
    return zone === giving ? Math.max(0, content - gap - fixed) : fixed;
  }
  const left = Math.max(0, content - 2 * gap);
  if (gives === 'centre') {
    const middle = Math.min(centre.width, Math.max(0, left - (start?.width ?? 0) - (end?.width ?? 0)));
    return zone === centre ? middle : Math.max(zone.width, Math.floor((left - middle) / 2));
  }
  const middle = Math.min(centre.width, left);
  return zone === centre ? middle : Math.max(0, Math.floor((left - middle) / 2));
}

/** The least content of a band in which a zone has so much room; it does not matter whether there is as much. */
export function contentFor(zone: MeasuredZone, band: MeasuredBand, room: number): number {
  const wanted = { ...zone, width: room };
  const zones = band.zones?.map((one) => (one === zone ? wanted : one)) ?? null;
  const fits = (content: number): boolean => roomOf(wanted, { ...band, zones }, content) >= room;
  let [low, high] = [room, 4 * room + MOST_BESIDE];
  // More content never gives less room.
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (fits(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** No zone is wider than this, in layout units: a million px. */
const MOST_BESIDE = 64_000_000;
