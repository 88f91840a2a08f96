import type { ThingName } from '../anatomy/anatomy.ts';
import { dividerSigns } from '../anatomy/values.ts';
import { isSafeAddress } from '../base/address.ts';
import { PLAIN_BUTTON } from '../model/variants.ts';
import type { ResolvedItem } from '../resolve/resolved.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import type { Badge, Icon } from '../schema/settings.ts';
import { lineOfAll, type FitPlace, type FitStyle } from './fitStyle.ts';
import { borderOf, sidesOf, unitsOf, UNITS } from './lengths.ts';
import type { Measure, TextFont } from './measure.ts';

/** What the widths of entries depend on, besides the entries. */
export interface BarSetting {
  readonly style: FitStyle;
  readonly measure: Measure;
  readonly device: DeviceClass;
  /** The font of the bar. */
  readonly font: TextFont;
}

/** Shapes of arrows that are drawn with an edge at their far side, and its width. */
const drawnArrows: Readonly<Record<string, string>> = { chevron: '.11rem', bold: '.19rem' };
/** The width of an arrow that nobody sees is not there, though it can have the focus. */
const NOTHING = 0;

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
  const divider = isFirst ? 0 : dividerWidth(place, setting);
  const hasLink = item.href !== null && isSafeAddress(item.href);
  const hasBranch = item.children.length > 0 || (item.rows !== undefined && item.rows.length > 0);
  const look: readonly ThingName[] =
    item.look === undefined ? [] : item.look === PLAIN_BUTTON ? ['buttonEntry'] : ['buttonEntry', 'variant'];
  if (!hasBranch) return divider + faceWidth(item, lineOfAll('barEntry', ...look), place, setting);
  const face = faceWidth(item, lineOfAll('barBranch', ...look), place, setting, (font) =>
    hasLink && !opensWhole(item, setting.device)
      ? 0
      : item.arrowHidden === true
        ? 0
        : arrowWidth('arrow', place, setting, font),
  );
  return (
    divider +
    face +
    (hasLink && !opensWhole(item, setting.device) ? arrowButtonWidth(item, place, setting) : NOTHING)
  );
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
  const { style, measure } = setting;
  const font = style.font(line, place, setting.font);
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
  return content + inside + outside;
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
  const edge = borderOf(drawnArrows[shape] ?? '0', font.size);
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
  if (isQuiet) return NOTHING;
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

/** The gap between two entries of a bar. */
export function barGap(place: FitPlace, { style, font }: Pick<BarSetting, 'style' | 'font'>): number {
  const [, between] = sidesOf(style.value(lineOfAll('bar'), 'gap', place) || '0');
  return unitsOf(between, font.size);
}
