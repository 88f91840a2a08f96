import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { levelOwner, variantOwner } from '../model/styleOwner.ts';
import type { ResolvedItem, ResolvedMenu } from '../resolve/resolved.ts';
import { sheetOf } from '../resolve/sheetOf.ts';
import { deviceClasses, type DeviceClass } from '../schema/deviceClass.ts';
import type { AreaName } from '../schema/part.ts';
import { barEntryWidth, barGap } from './barEntry.ts';
import { FitStyle, lineOfAll, type FitPlace } from './fitStyle.ts';
import { UNITS } from './lengths.ts';
import type { Measure, TextFont } from './measure.ts';
import { rowsOf, type Line } from './rows.ts';

/** Where a bar is: in an area, in parts of it; not there: alone, as embedded. */
export interface BarPlace {
  readonly area?: AreaName;
  /** The parts that it is in, itself among them, and the area. */
  readonly parts?: readonly Id[];
  /** The template of the page. */
  readonly template?: string;
}

/** From which width of the window on, up to the next stretch, the entries of a bar stand in the same rows. */
export interface BarStretch {
  /** In px. */
  readonly from: number;
  /** The last width, in px. */
  readonly to: number;
  /** The first entry of each row after the first: none where all stand in one. */
  readonly breaks: readonly Id[];
}

/** What text looks like where nobody says anything. */
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

/** The entries of a bar on one device class, with the width of each. */
export interface MeasuredBar {
  readonly line: Line;
  readonly ids: readonly Id[];
}

/** Measures the entries of a bar on a device class. Those that are hidden there are not among them. O(entries). */
export function measuredBar(
  document: SiteDocument,
  menu: ResolvedMenu,
  { area, parts = [], template }: BarPlace,
  device: DeviceClass,
  measure: Measure,
): MeasuredBar {
  const style = new FitStyle(sheetOf(document), device);
  const id = [...document.menus.nodes.values()].find(({ key }) => key === menu.key)?.id ?? '';
  const around = [
    document.site.id,
    id,
    ...parts,
    ...(template === undefined ? [] : [`template:${template}`]),
  ];
  const place: FitPlace = { area: area ?? null, owners: new Set(around) };
  const font = style.font(lineOfAll('site'), place, { ...PLAIN, language: menu.language });
  const setting = { style, measure, device, font };
  const shown = menu.items
    .map((item, at) => ({ item, isFirst: at === 0 }))
    .filter(({ item }) => item.hiddenOn?.includes(device) !== true);
  return {
    line: {
      widths: shown.map(({ item, isFirst }) =>
        barEntryWidth(item, style.within(place, ownersOf(document, id, item)), isFirst, setting),
      ),
      gap: barGap(place, setting),
    },
    ids: shown.map(({ item }) => item.id),
  };
}

/** For what looks can be set that hold for an entry: its level, its variant, its shared link and itself. */
export function ownersOf(
  document: SiteDocument,
  menu: Id,
  { id, look }: Pick<ResolvedItem, 'id' | 'look'>,
): readonly string[] {
  const link = document.items.nodes.get(id)?.link;
  return [
    levelOwner(menu, 1),
    id,
    ...(link === undefined ? [] : [link]),
    ...(look === undefined ? [] : [variantOwner(look)]),
  ];
}

/** The widths of the window that belong to each device class, in px. */
export function windowsOf(
  { medium, wide }: SiteDocument['site']['breakpoints'],
  from: number,
  to: number,
): { readonly device: DeviceClass; readonly from: number; readonly to: number }[] {
  const ends: Readonly<Record<DeviceClass, readonly [number, number]>> = {
    narrow: [0, medium - 1],
    medium: [medium, wide - 1],
    wide: [wide, Infinity],
  };
  return deviceClasses
    .map((device) => ({
      device,
      from: Math.max(from, ends[device][0]),
      to: Math.min(to, ends[device][1]),
    }))
    .filter((one) => one.from <= one.to)
    .sort((a, b) => a.from - b.from);
}

/**
 * The rows of a bar at every width of the window from one to another, in px. `inset`: what of the window is not the
 * bar's, in px, by device class. O(entries and changes), after measuring.
 */
export function fitBar(
  document: SiteDocument,
  bars: Readonly<Record<DeviceClass, MeasuredBar>>,
  { from, to }: { readonly from: number; readonly to: number },
  inset: Readonly<Record<DeviceClass, number>>,
): BarStretch[] {
  const stretches: BarStretch[] = [];
  for (const window of windowsOf(document.site.breakpoints, from, to)) {
    const { line, ids } = bars[window.device];
    const beside = inset[window.device];
    const rows = rowsOf(line, (window.from - beside) * UNITS, (window.to - beside) * UNITS);
    rows.forEach((row, at) => {
      const next = rows[at + 1];
      const first = Math.max(window.from, Math.ceil(row.from / UNITS) + beside);
      const last = next === undefined ? window.to : Math.ceil(next.from / UNITS) + beside - 1;
      // Between two whole px, nothing is ever seen.
      if (first > last) return;
      const breaks = row.breaks.map((place) => ids[place] ?? '');
      const before = stretches.at(-1);
      if (before !== undefined && before.breaks.join() === breaks.join())
        stretches[stretches.length - 1] = { ...before, to: last };
      else stretches.push({ from: first, to: last, breaks });
    });
  }
  return stretches;
}
