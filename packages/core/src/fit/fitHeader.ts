import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { areaId } from '../model/partRoots.ts';
import { templateOwner } from '../model/styleOwner.ts';
import type { ResolvedArea } from '../resolve/resolveFrame.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { sheetOf } from '../resolve/sheetOf.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import { USUAL_CONTENT, usualMargins } from '../schema/site.ts';
import { FitStyle, lineOfAll, type FitPlace } from './fitStyle.ts';
import { ownersOf, windowsOf, type BarStretch } from './fitBar.ts';
import { sidesOf, unitsOf, UNITS } from './lengths.ts';
import type { Measure, TextFont } from './measure.ts';
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

const PLAIN: TextFont = {
  family: 'font',
  size: 16,
  weight: 400,
  isItalic: false,
  letterSpacing: 0,
  wordSpacing: 0,
  transform: 'none',
  language: '',
};

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
  return header.bands.flatMap((band, at) => {
    const isUpper = hasLogoBehind(header.bands, at);
    const lanes = new Map<Id, { stretches: BarStretch[]; isKnown: boolean }>();
    for (const window of windows) {
      if (band.only !== undefined && band.only !== window.device) continue;
      const measured = measuredBand(document, band, { template, isUpper, ...window }, measure);
      for (const [part, stretches] of rowsInBand(document, band, measured, window)) {
        const lane = lanes.get(part) ?? { stretches: [], isKnown: true };
        lanes.set(part, lane);
        if (stretches === null) lane.isKnown = false;
        else lane.stretches.push(...stretches);
      }
    }
    return [...lanes].map(([part, { stretches, isKnown }]) => ({
      part,
      stretches: isKnown ? joined(stretches) : null,
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

function hasLogoBehind(bands: readonly ResolvedPart[], at: number): boolean {
  const hasLogo = ({ kind, parts = [] }: ResolvedPart): boolean => kind === 'logo' || parts.some(hasLogo);
  return !hasLogo(bands[at] as ResolvedPart) && bands.slice(at + 1).some(hasLogo);
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

function measuredBand(
  document: SiteDocument,
  band: ResolvedPart,
  {
    template,
    isUpper,
    device,
    hasDrawer,
  }: { template: string | null; isUpper: boolean; device: DeviceClass; hasDrawer: boolean },
  measure: Measure,
): MeasuredBand {
  const style = new FitStyle(sheetOf(document), device);
  const around = [
    document.site.id,
    areaId('header'),
    ...(template === null ? [] : [templateOwner(template)]),
  ];
  const placeIn = (...ids: readonly Id[]): FitPlace => ({
    area: 'header',
    owners: new Set([...around, ...ids]),
  });
  const bandPlace = placeIn(band.id);
  const headerFont = style.font(lineOfAll('header'), placeIn(), {
    ...PLAIN,
    language: document.site.language,
  });
  const font = style.font(isUpper ? lineOfAll('upperBand') : lineOfAll('band'), bandPlace, headerFont);
  const gapOf = (thing: 'zones' | 'zone', place: FitPlace): number =>
    unitsOf(sidesOf(style.value(lineOfAll(thing), 'gap', place) || '0')[1], font.size);
  const bars: Id[] = [];
  let isKnown = true;
  const zones = (band.parts ?? []).flatMap((zone): MeasuredZone[] => {
    if (zone.kind !== 'zone') {
      isKnown = false;
      return [];
    }
    const parts = (zone.parts ?? []).flatMap((part) => {
      const menu = [...document.menus.nodes.values()].find(({ key }) => key === part.shown?.key)?.id;
      const setting: PartSetting = {
        style,
        measure,
        device,
        font,
        hasDrawer,
        isAtEnd: zone.at === 'end',
        placeOf: (item, place) => style.within(place, ownersOf(document, menu ?? '', item)),
      };
      if (!isShown(part, setting)) return [];
      const place = placeIn(band.id, zone.id, part.uses ?? part.id, ...(menu === undefined ? [] : [menu]));
      const measured = measuredPart(part, place, setting);
      if (part.kind === 'placement') bars.push(part.id);
      if (measured === null) isKnown = false;
      return measured === null ? [] : [{ ...measured, id: part.id }];
    });
    const gap = gapOf('zone', placeIn(band.id, zone.id));
    const width = roomFor({ widths: parts.map((one) => one.width), gap });
    const at = zone.at ?? 'start';
    return at === 'centre' && (zone.parts ?? []).length === 0 ? [] : [{ at, parts, gap, width }];
  });
  return { zones: isKnown ? zones : null, bars, gap: gapOf('zones', bandPlace) };
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
        return barBreaks(zone, part, room);
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

/** Where the rows of a bar begin in a zone with so much room: alone in a row, it has all of it. */
function barBreaks(
  { parts, gap }: MeasuredZone,
  part: MeasuredPart & { readonly id: Id },
  room: number,
): readonly Id[] {
  const { bar, width, beside } = part;
  if (bar === undefined || width <= room) return [];
  const rows = breaksAt({ widths: parts.map((one) => one.width), gap }, room);
  // It is wider than the zone, so it is alone in its row.
  return rows.length === 0 && parts.length > 1
    ? []
    : breaksAt(bar, room - beside).map((at) => bar.ids[at] ?? '');
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

function joined(stretches: readonly BarStretch[]): BarStretch[] {
  const found: BarStretch[] = [];
  for (const one of stretches.toSorted((a, b) => a.from - b.from)) {
    const before = found.at(-1);
    if (before !== undefined && before.to + 1 === one.from && before.breaks.join() === one.breaks.join())
      found[found.length - 1] = { ...before, to: one.to };
    else found.push(one);
  }
  return found;
}
