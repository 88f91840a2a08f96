import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { areaId } from '../model/partRoots.ts';
import { templateOwner } from '../model/styleOwner.ts';
import type { ResolvedArea } from '../resolve/resolveFrame.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { sheetOf } from '../resolve/sheetOf.ts';
import { deviceClasses, type DeviceClass } from '../schema/deviceClass.ts';
import { USUAL_CONTENT, usualMargins } from '../schema/site.ts';
import { FitStyle, lineOfAll, type FitPlace } from './fitStyle.ts';
import { joined, ownersOf, windowsOf, type BarStretch } from './fitBar.ts';
import { UNITS } from './lengths.ts';
import { PLAIN_FONT, type Measure, type TextFont } from './measure.ts';
import { isShown, measuredPart, type MeasuredPart, type PartSetting } from './partWidth.ts';
import { breaksAt, roomFor } from './rows.ts';

/** The rows of a bar of a header, at every width of the window. */
export interface BarLane {
  /** The part that shows it. */
  readonly part: Id;
  /** Null: something in its band is as wide as only a browser knows. */
  readonly stretches: readonly BarStretch[] | null;
}

/** A page of which the header is asked. */
export interface HeaderFacts {
  readonly header: ResolvedArea;
  readonly template: string | null;
}

/**
 * The rows of all bars of a header at every width of the window, in px, as its bands share the room: zones side by side
 * where the window is wide enough, and below each other on narrow ones. O(texts), and changes in each band.
 */
export function fitHeader(
  document: SiteDocument,
  { header, template }: HeaderFacts,
  { from, to }: { readonly from: number; readonly to: number },
  measure: Measure,
): BarLane[] {
  const windows = windowsOf(document.site.breakpoints, from, to).flatMap((window) =>
    splitAt(document, header, window),
  );
  const around = new Map(deviceClasses.map((device) => [device, headerStyle(document, template, device)]));
  return header.bands.flatMap((band, at) => {
    const thing = header.bands.slice(at + 1).some(hasLogo) ? 'upperBand' : 'band';
    const lanes = new Map<Id, { stretches: BarStretch[]; isKnown: boolean }>();
    for (const window of windows) {
      if (band.only !== undefined && band.only !== window.device) continue;
      const known = around.get(window.device) ?? headerStyle(document, template, window.device);
      const measured = measuredBand(document, band, { ...known, ...window, thing, measure });
      for (const [part, stretches] of rowsInBand(document, band, measured, window)) {
        const lane = lanes.get(part) ?? { stretches: [], isKnown: true };
        lanes.set(part, lane);
        if (stretches === null) lane.isKnown = false;
        else lane.stretches.push(...stretches);
      }
    }
    return [...lanes].map(([part, { stretches, isKnown }]) => ({
      part,
      stretches: isKnown ? joined(stretches.toSorted((a, b) => a.from - b.from)) : null,
    }));
  });
}

interface Window {
  readonly device: DeviceClass;
  readonly from: number;
  readonly to: number;
  readonly hasDrawer: boolean;
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

function hasLogo({ kind, parts = [] }: ResolvedPart): boolean {
  return kind === 'logo' || parts.some(hasLogo);
}

/** The looks of a header on a device class, where it is, and its font: what was resolved once is known to all bands. */
interface HeaderStyle {
  readonly style: FitStyle;
  readonly place: FitPlace;
  readonly font: TextFont;
}

function headerStyle(document: SiteDocument, template: string | null, device: DeviceClass): HeaderStyle {
  const style = new FitStyle(sheetOf(document), device);
  const owners = [
    document.site.id,
    areaId('header'),
    ...(template === null ? [] : [templateOwner(template)]),
  ];
  const place: FitPlace = { area: 'header', owners: new Set(owners) };
  const { language } = document.site;
  return { style, place, font: style.font(lineOfAll('header'), place, { ...PLAIN_FONT, language }) };
}

interface MeasuredZone {
  readonly at: 'start' | 'centre' | 'end';
  readonly parts: readonly (MeasuredPart & { readonly id: Id })[];
  readonly gap: number;
  /** In one row. */
  readonly width: number;
}

interface MeasuredBand {
  /** Null: something in it cannot be measured. */
  readonly zones: readonly MeasuredZone[] | null;
  readonly bars: readonly Id[];
  readonly gap: number;
}

/** A band of a header, on one device class, before or after the drawer takes over. */
type BandSetting = HeaderStyle & Window & { readonly thing: 'band' | 'upperBand'; readonly measure: Measure };

function measuredBand(
  document: SiteDocument,
  band: ResolvedPart,
  { style, device, hasDrawer, measure, ...header }: BandSetting,
): MeasuredBand {
  const place = style.within(header.place, [band.id]);
  const font = style.font(lineOfAll(header.thing), place, header.font);
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
        placeOf: (item, around) => style.within(around, ownersOf(document, menu, item)),
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
  return { zones: isKnown ? zones : null, bars, gap: style.gap(lineOfAll('zones'), place, font.size) };
}

/** The rows of each bar of a band, in the widths of the window that are alike. */
function rowsInBand(
  { site }: SiteDocument,
  band: ResolvedPart,
  { zones, bars, gap }: MeasuredBand,
  { device, from, to }: Window,
): (readonly [Id, readonly BarStretch[] | null])[] {
  if (zones === null) return bars.map((part) => [part, null]);
  const margin = site.margins?.[device] ?? usualMargins[device];
  const most = band.isFull === true ? Infinity : (band.contentWidth ?? site.contentWidth ?? USUAL_CONTENT);
  const contentAt = (window: number): number => Math.max(0, Math.min(most, window - 2 * margin)) * UNITS;
  return zones.flatMap((zone) =>
    zone.parts.flatMap((part): (readonly [Id, readonly BarStretch[]])[] => {
      if (part.bar === undefined) return [];
      const rowsAt = (window: number): readonly Id[] => {
        const room = roomOf(zone, zones, gap, device, contentAt(window));
        return barBreaks(part, room);
      };
      return [[part.id, stretchesOf(rowsAt, from, to)]];
    }),
  );
}

/** The room of a zone in a band that is so wide. */
function roomOf(
  zone: MeasuredZone,
  zones: readonly MeasuredZone[],
  gap: number,
  device: DeviceClass,
  content: number,
): number {
  if (device === 'narrow') return zone.width <= content ? zone.width : content;
  if (zones.length === 1) return content;
  const widthOf = (at: MeasuredZone['at']): number => zones.find((one) => one.at === at)?.width ?? 0;
  const hasCentre = zones.some(({ at }) => at === 'centre');
  if (!hasCentre) {
    const end = Math.min(widthOf('end'), Math.max(0, content - gap));
    return zone.at === 'end' ? end : Math.max(0, content - gap - end);
  }
  const centre = Math.min(widthOf('centre'), Math.max(0, content - 2 * gap));
  return zone.at === 'centre' ? centre : Math.max(0, Math.floor((content - 2 * gap - centre) / 2));
}

/**
 * Where the rows of a bar begin in a zone with so much room: what is wider than its zone is alone in its row, and has
 * all of it.
 */
function barBreaks({ bar, width, beside }: MeasuredPart, room: number): readonly Id[] {
  if (bar === undefined || width <= room) return [];
  return breaksAt(bar.line, room - beside).map((at) => bar.ids[at] ?? '');
}

/**
 * The stretches of widths in which rows are the same. More room never makes more rows, so that a change is found by
 * halving. O(changes log widths).
 */
function stretchesOf(rowsAt: (window: number) => readonly Id[], from: number, to: number): BarStretch[] {
  const stretches: BarStretch[] = [];
  for (let start = from; start <= to;) {
    const breaks = rowsAt(start);
    const same = breaks.join();
    let [low, high] = [start, to];
    while (low < high) {
      const middle = Math.ceil((low + high) / 2);
      if (rowsAt(middle).join() === same) low = middle;
      else high = middle - 1;
    }
    stretches.push({ from: start, to: low, breaks });
    start = low + 1;
  }
  return stretches;
}
