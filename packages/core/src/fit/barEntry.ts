import type { ThingName } from '../anatomy/anatomy.ts';
import { arrowEdge } from '../anatomy/properties.ts';
import { dividerSigns } from '../anatomy/values.ts';
import { isSafeAddress } from '../base/address.ts';
import type { Id } from '../base/ids.ts';
import { PLAIN_BUTTON } from '../model/variants.ts';
import type { ResolvedItem } from '../resolve/resolved.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import type { Badge, Icon } from '../schema/settings.ts';
import { lineOfAll, type FitPlace, type FitStyle } from './fitStyle.ts';
import { borderOf, unitsOf, UNITS } from './lengths.ts';
import type { Measure, TextFont } from './measure.ts';
import type { Line } from './rows.ts';

/** What the widths of entries depend on, besides the entries. */
export interface BarSetting {
  readonly style: FitStyle;
  readonly measure: Measure;
  readonly device: DeviceClass;
  /** The font of the bar. */
  readonly font: TextFont;
  /** What a bar that shrinks has instead of its own looks; not there: it does not. */
  readonly tight?: Tight;
}

/** What is smaller in a bar that shrinks, in px; what is not there is as it was. */
export interface Tight {
  readonly gap?: number;
  readonly start?: number;
  readonly end?: number;
  readonly size?: number;
}

/** The entries of a bar on one device class, with the width of each. */
export interface MeasuredBar {
  readonly line: Line;
  readonly ids: readonly Id[];
}

/**
 * Measures the entries of a bar. Those that are hidden on the device class are not among them. `placeOf`: where an entry
 * is, which may have looks of its own. O(their texts).
 */
export function measuredEntries(
  items: readonly ResolvedItem[],
  place: FitPlace,
  setting: BarSetting,
  placeOf: (item: ResolvedItem) => FitPlace,
): MeasuredBar {
  const { style, device, font } = setting;
  const shown = items.filter(({ hiddenOn }) => hiddenOn?.includes(device) !== true);
  const widths = shown.map((item) => barEntryWidth(item, placeOf(item), item === items[0], setting));
  const gap =
    setting.tight?.gap === undefined
      ? style.gap(lineOfAll('bar'), place, font.size)
      : setting.tight.gap * UNITS;
  return { line: { widths, gap }, ids: shown.map(({ id }) => id) };
}

/** What a bar can give away when it shrinks: what its entries have at least, in px. */
export interface BarSlack {
  readonly gap: number;
  readonly start: number;
  readonly end: number;
  /** The size of the text; null: the entries have several. */
  readonly size: number | null;
}

/** See `BarSlack`. O(entries). */
export function barSlack(
  items: readonly ResolvedItem[],
  { line }: MeasuredBar,
  setting: BarSetting,
  placeOf: (item: ResolvedItem) => FitPlace,
): BarSlack {
  const { style, device, font } = setting;
  const faces = items
    .filter(({ hiddenOn }) => hiddenOn?.includes(device) !== true)
    .map((item) => {
      const [thing, place] = [entryLine(item), placeOf(item)];
      const { size } = style.font(thing, place, font);
      return { size, padding: style.sides(thing, 'paddingInline', place, size) };
    });
  const least = (some: readonly number[]): number => Math.floor(Math.min(...some) / UNITS);
  const sizes = new Set(faces.map(({ size }) => size));
  return {
    gap: Math.floor(line.gap / UNITS),
    start: least(faces.map(({ padding }) => padding[0])),
    end: least(faces.map(({ padding }) => padding[1])),
    size: sizes.size === 1 ? ([...sizes][0] ?? null) : null,
  };
}

/** Which things an entry of a bar is. */
function entryLine({ children, rows = [], look: own }: ResolvedItem): readonly ThingName[] {
  const look: readonly ThingName[] =
    own === undefined ? [] : own === PLAIN_BUTTON ? ['buttonEntry'] : ['buttonEntry', 'variant'];
  return lineOfAll(children.length === 0 && rows.length === 0 ? 'barEntry' : 'barBranch', ...look);
}

/**
 * The width of an entry of a bar in one line, with what divides it from the one before it: as browsers lay out what
 * `faceHtml` writes. In layout units. O(its text).
 */
export function barEntryWidth(
  item: ResolvedItem,
  place: FitPlace,
  isFirst: boolean,
  setting: BarSetting,
): number {
  const { href, children, rows = [], arrowHidden } = item;
  const divider = isFirst ? 0 : dividerWidth(place, setting);
  const line = entryLine(item);
  if (children.length === 0 && rows.length === 0) return divider + faceWidth(item, line, place, setting);
  if (href !== null && isSafeAddress(href) && !opensWhole(item, setting.device))
    return divider + faceWidth(item, line, place, setting) + arrowButtonWidth(item, place, setting);
  const arrow = (font: TextFont): number =>
    arrowHidden === true ? 0 : arrowWidth('arrow', place, setting, font);
  return divider + faceWidth(item, line, place, setting, arrow);
}

/** The width of an entry of a dropdown in one line, in layout units. O(its text). */
export function branchWidth(item: ResolvedItem, place: FitPlace, setting: BarSetting): number {
  const face = faceWidth(item, lineOfAll('dropEntry'), place, setting);
  return item.children.length === 0 ? face : face + arrowButtonWidth(item, place, setting);
}

/** Whether the whole face opens the branch on a device class. */
function opensWhole({ activation }: ResolvedItem, device: DeviceClass): boolean {
  return activation?.[device] === 'open';
}

/** A face: text, icon and badge in a row or above each other, within padding, border and margins. */
function faceWidth(
  item: ResolvedItem,
  line: readonly ThingName[],
  place: FitPlace,
  setting: BarSetting,
  arrow: (font: TextFont) => number = () => 0,
): number {
  const { style, measure, tight = {} } = setting;
  const font =
    tight.size === undefined
      ? style.font(line, place, setting.font)
      : style.fontOfSize(line, place, setting.font, tight.size);
  const { label, labelHidden, description, icon, badge } = item;
  const isHidden = labelHidden === true && icon !== undefined;
  const small =
    description === undefined ? 0 : measure(description, style.font(lineOfAll('description'), place, font));
  const isStacked = icon?.position === 'above' || badge?.position === 'above';
  const parts = [
    isHidden ? small : Math.max(measure(label, font), small),
    ...(icon === undefined ? [] : [iconWidth(icon, isStacked, place, setting, font)]),
    ...(badge === undefined ? [] : [badgeWidth(badge, isStacked, place, setting, font)]),
    arrow(font),
  ];
  const { inside, outside } = style.edges(line, place, font.size);
  const content = isStacked ? Math.max(...parts) : parts.reduce((sum, width) => sum + width, 0);
  return content + inside + outside - givenAway(line, place, font.size, setting);
}

/** What of the padding of a face is given away where a bar shrinks. */
function givenAway(
  line: readonly ThingName[],
  place: FitPlace,
  em: number,
  { style, tight }: BarSetting,
): number {
  if (tight === undefined) return 0;
  const [start, end] = style.sides(line, 'paddingInline', place, em);
  const less = (own: number, now: number | undefined): number => (now === undefined ? 0 : own - now * UNITS);
  return less(start, tight.start) + less(end, tight.end);
}

/** An icon; above its label, it has no margins at its sides. */
function iconWidth(
  { position }: Icon,
  isStacked: boolean,
  place: FitPlace,
  { style }: BarSetting,
  font: TextFont,
): number {
  const line = lineOfAll(position === 'after' ? 'iconAfter' : 'icon');
  const margins = isStacked ? 0 : style.edges(line, place, font.size).outside;
  return unitsOf(style.value(line, 'inlineSize', place), font.size) + margins;
}

/** A badge, which is like an icon in this. */
function badgeWidth(
  { text, position }: Badge,
  isStacked: boolean,
  place: FitPlace,
  { style, measure }: BarSetting,
  around: TextFont,
): number {
  const line = lineOfAll(position === 'before' ? 'badgeBefore' : 'badge');
  const font = style.font(line, place, around);
  const { inside, outside } = style.edges(line, place, font.size);
  return measure(text, font) + inside + (isStacked ? 0 : outside);
}

/** The sign that says that something opens: drawn with an edge, or cut out. */
function arrowWidth(
  thing: 'arrow' | 'loneArrow',
  place: FitPlace,
  { style }: BarSetting,
  font: TextFont,
): number {
  const line = lineOfAll(thing);
  const shape = style.value(line, 'arrowShape', place);
  const edge = borderOf(arrowEdge(shape), font.size);
  return (
    unitsOf(style.value(line, 'inlineSize', place), font.size) +
    edge +
    style.edges(line, place, font.size).outside
  );
}

/** The button beside a link that opens its branch. */
function arrowButtonWidth(item: ResolvedItem, place: FitPlace, setting: BarSetting): number {
  const { style, device } = setting;
  const isQuiet =
    item.arrowHidden === true || (item.activation !== undefined && item.activation[device] === 'follow');
  // Nobody sees it, though it can have the focus: it takes no room.
  if (isQuiet) return 0;
  const line = lineOfAll('arrowButton');
  const font = style.font(line, place, setting.font);
  const { inside, outside } = style.edges(line, place, font.size);
  const least = unitsOf(style.value(line, 'minInlineSize', place), font.size);
  return Math.max(least, arrowWidth('loneArrow', place, setting, font) + inside) + outside;
}

/** What stands between two entries. */
function dividerWidth(place: FitPlace, { style, measure, font: around }: BarSetting): number {
  const line = lineOfAll('barDivider');
  const value = style.value(line, 'divider', place);
  if (value === 'none' || value === '') return 0;
  const font = style.font(line, place, around);
  const { outside } = style.edges(line, place, font.size);
  const sign: string | undefined = dividerSigns[value as keyof typeof dividerSigns];
  const own = value === 'line' ? UNITS : sign === undefined ? unitsOf('1em', font.size) : measure(sign, font);
  return own + outside;
}
