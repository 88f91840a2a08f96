import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { levelOwner, variantOwner } from '../model/styleOwner.ts';
import type { WidthRange } from '../panel/sweepPanel.ts';
import type { ResolvedItem, ResolvedMenu } from '../resolve/resolved.ts';
import { deviceClasses, type DeviceClass } from '../schema/deviceClass.ts';
import { measuredEntries, type MeasuredBar } from './barEntry.ts';
import { fitStyleOf, lineOfAll } from './fitStyle.ts';
import { UNITS } from './lengths.ts';
import { PLAIN_FONT, type Measure } from './measure.ts';
import { rowsOf } from './rows.ts';

/** From which width of the window on, up to the next stretch, the entries of a bar stand in the same rows; in px. */
export interface BarStretch extends WidthRange {
  /** The first entry of each row after the first: none where all stand in one. */
  readonly breaks: readonly Id[];
}

/** Measures the entries of a bar that stands alone, as embedded, on a device class. O(entries). */
export function measuredBar(
  document: SiteDocument,
  menu: ResolvedMenu,
  device: DeviceClass,
  measure: Measure,
): MeasuredBar {
  const style = fitStyleOf(document, device);
  const id = [...document.menus.nodes.values()].find(({ key }) => key === menu.key)?.id ?? '';
  const place = style.place(null, [document.site.id, id]);
  const font = style.font(lineOfAll('site'), place, {
    ...PLAIN_FONT,
    language: menu.language,
    direction: menu.direction,
  });
  return measuredEntries(menu.items, place, { style, measure, device, font }, (item) =>
    style.within(place, ownersOf(document, id, item)),
  );
}

/** For what looks can be set that hold for an entry: its level, its variant, its shared link and itself. */
export function ownersOf(
  document: SiteDocument,
  menu: Id,
  item: Pick<ResolvedItem, 'id' | 'look'>,
  level = 1,
): readonly string[] {
  const { look } = item;
  return [
    levelOwner(menu, level),
    ...branchOwners(document, item),
    ...(look === undefined ? [] : [variantOwner(look)]),
  ];
}

/** For what looks can be set that hold for an entry and for all that drops from it: itself, and its shared link. */
export function branchOwners(document: SiteDocument, { id }: Pick<ResolvedItem, 'id'>): readonly string[] {
  const link = document.items.nodes.get(id)?.link;
  return [id, ...(link === undefined ? [] : [link])];
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
      stretches.push({ from: first, to: last, breaks: row.breaks.map((place) => ids[place] ?? '') });
    });
  }
  return joined(stretches);
}

/** Stretches one behind the other, those with the same rows as one. */
function joined(stretches: readonly BarStretch[]): BarStretch[] {
  const found: BarStretch[] = [];
  for (const one of stretches) {
    const before = found.at(-1);
    if (before !== undefined && before.to + 1 === one.from && before.breaks.join() === one.breaks.join())
      found[found.length - 1] = { ...before, to: one.to };
    else found.push(one);
  }
  return found;
}
