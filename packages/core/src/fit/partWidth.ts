import type { ThingName } from '../anatomy/anatomy.ts';
import type { ResolvedItem, ResolvedPart } from '../resolve/resolved.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import type { Picture } from '../schema/picture.ts';
import { measuredEntries, type BarSetting, type MeasuredBar } from './barEntry.ts';
import { measuredPolicy, type MeasuredPolicy } from './barPolicy.ts';
import { dropKind, measuredDrop, type MeasuredDrop } from './dropLanes.ts';
import { lineOfAll, type FitPlace } from './fitStyle.ts';
import { pxOf, unitsOf, UNITS } from './lengths.ts';
import { roomFor } from './rows.ts';
import type { TextFont } from './measure.ts';

/** What the width of a part depends on: the looks, the font around it, and whether the drawer has taken over. */
export interface PartSetting extends BarSetting {
  readonly hasDrawer: boolean;
  /** Where an item of a bar, or of what drops from it, is: what was set for the item holds there, too. */
  readonly placeOf: (item: ResolvedItem, place: FitPlace, level?: number) => FitPlace;
  /** Where what drops from an item is. */
  readonly branchOf: (item: ResolvedItem, place: FitPlace) => FitPlace;
  /** The zone that the part is in. */
  readonly isAtEnd: boolean;
  /** What “More” is called. */
  readonly more: string;
  /** Dropdowns are measured, too. */
  readonly hasDrops: boolean;
}

/** A part of a zone as it is laid out. */
export interface MeasuredPart {
  /** In one line, with its margins, in layout units. */
  readonly width: number;
  /** Of a bar: its entries, and what it does where they do not fit; not there: they wrap. */
  readonly bar?: MeasuredBar;
  readonly policy?: MeasuredPolicy;
  /** The entries of a bar that open something, with what drops from each, where that was asked. */
  readonly drops?: readonly MeasuredEntry[];
  /** What of its width is not the bar's own. */
  readonly beside: number;
}

/** An entry of a bar with what drops from it; the list of one that has none is empty. */
export interface MeasuredEntry {
  readonly item: ResolvedItem;
  readonly drop: MeasuredDrop;
}

/**
 * The width of a part of a zone in one line, where it is shown; null: it cannot be known without a browser. O(its texts).
 */
export function measuredPart(part: ResolvedPart, place: FitPlace, setting: PartSetting): MeasuredPart | null {
  if (part.kind === 'placement') return measuredBarPart(part, place, setting);
  const width = widths[part.kind]?.(part, place, setting) ?? null;
  return width === null ? null : { width, beside: 0 };
}

/** Whether a part takes room on a device class. */
export function isShown(
  { kind, hiddenOn, yields }: ResolvedPart,
  { device, hasDrawer }: PartSetting,
): boolean {
  if (hiddenOn?.includes(device) === true) return false;
  return kind === 'menuButton' ? hasDrawer : !(yields === true && hasDrawer);
}

function measuredBarPart(
  { shown, form, entries, fits }: ResolvedPart,
  place: FitPlace,
  setting: PartSetting,
): MeasuredPart | null {
  if (shown === undefined || form === 'list' || entries !== undefined) return null;
  const { style, placeOf, branchOf } = setting;
  const font = style.font(lineOfAll('menu'), place, setting.font);
  const within = { ...setting, font: { ...font, language: shown.language, direction: shown.direction } };
  const own = (item: ResolvedItem): FitPlace => placeOf(item, place);
  const bar = measuredEntries(shown.items, place, within, own);
  const drops = setting.hasDrops
    ? {
        drops: shown.items
          .filter((item) => dropKind(item) !== null)
          .map((item) => {
            const branch = branchOf(item, place);
            return { item, drop: measuredDrop(item, branch, within, (child) => placeOf(child, branch, 2)) };
          }),
      }
    : {};
  const does = fits?.[setting.device];
  const policy =
    does === undefined
      ? {}
      : { policy: measuredPolicy(does, shown.items, bar, { ...within, place, placeOf: own }) };
  const beside = setting.isAtEnd ? style.edges(lineOfAll('endBar'), place, font.size).outside : 0;
  return { width: roomFor(bar.line) + beside, bar, beside, ...policy, ...drops };
}

/** How wide each kind of part is in one line; what is not here, only a browser knows. */
const widths: { readonly [K in ResolvedPart['kind']]?: WidthOf } = {
  logo: logoWidth,
  account: (part, place, setting) => faceWidth(part, lineOfAll('face'), place, setting),
  basket: (part, place, setting) => faceWidth(part, lineOfAll('face'), place, setting),
  menuButton: (part, place, setting) =>
    part.picture === undefined ? faceWidth(part, lineOfAll('menuButton'), place, setting, true) : null,
  contact: contactWidth,
  social: marksWidth,
  payment: marksWidth,
  button: buttonWidth,
  search: (part, place, setting) => (part.isFolded === true ? null : searchWidth(place, setting)),
  divider: (_, place, setting) => dividerWidth(place, setting),
  spacer: () => 0,
  copyright: ({ text }, place, { style, measure, font }) =>
    text === undefined ? null : measure(text, style.font(lineOfAll('copyright'), place, font)),
};
type WidthOf = (part: ResolvedPart, place: FitPlace, setting: PartSetting) => number | null;

/** Things side by side, with gaps between those that are there. */
function sideBySide(widths: readonly (number | null)[], gap: number): number {
  const there = widths.filter((width): width is number => width !== null);
  return there.reduce((sum, width) => sum + width, 0) + gap * Math.max(0, there.length - 1);
}

function logoWidth(part: ResolvedPart, place: FitPlace, setting: PartSetting): number {
  const { style, measure, device } = setting;
  const line = lineOfAll('logo');
  const font = style.font(line, place, setting.font);
  const { inside, outside } = style.edges(line, place, font.size);
  const { picture, narrowPicture, logoFace = 'text', logoWidth: own, text = '' } = part;
  const shown = device === 'narrow' ? (narrowPicture ?? picture) : picture;
  const image = shown === undefined ? null : imageWidth(shown, own, place, setting, font);
  const words = logoFace === 'picture' && shown !== undefined ? null : measure(text, font);
  return sideBySide([image, words], style.gap(line, place, font.size)) + inside + outside;
}

function imageWidth(
  { width, height }: Picture,
  own: number | undefined,
  place: FitPlace,
  { style }: PartSetting,
  font: TextFont,
): number {
  if (own !== undefined) return own * UNITS;
  const said = pxOf(style.value(lineOfAll('logoPicture'), 'blockSize', place), font.size);
  return said === null ? width * UNITS : Math.trunc(((said * width) / height) * UNITS);
}

/** Which of icon and text are seen of a part. */
function facesOf(
  { faces }: ResolvedPart,
  device: DeviceClass,
): { readonly icon: boolean; readonly text: boolean } {
  const face = faces?.[device] ?? 'both';
  return { icon: face !== 'text', text: face !== 'icon' };
}

function faceWidth(
  part: ResolvedPart,
  line: readonly ThingName[],
  place: FitPlace,
  setting: PartSetting,
  isBorderBox = false,
): number {
  const { style, measure, device } = setting;
  const font = style.font(line, place, setting.font);
  const { inside, outside } = style.edges(line, place, font.size);
  const seen = facesOf(part, device);
  const icon = seen.icon ? glyphWidth(place, setting, font) : null;
  const text = seen.text ? measure(part.text ?? '', font) : null;
  const content =
    part.isIconAbove === true
      ? Math.max(icon ?? 0, text ?? 0)
      : sideBySide([icon, text], style.gap(line, place, font.size));
  const least = unitsOf(style.value(line, 'minInlineSize', place), font.size);
  return (isBorderBox ? Math.max(least, content + inside) : Math.max(least, content) + inside) + outside;
}

function glyphWidth(place: FitPlace, { style }: PartSetting, font: TextFont): number {
  return unitsOf(style.value(lineOfAll('glyph'), 'inlineSize', place), font.size);
}

function contactWidth(part: ResolvedPart, place: FitPlace, setting: PartSetting): number {
  const { style, measure, device } = setting;
  const line = lineOfAll('contactLink');
  const font = style.font(line, place, setting.font);
  const { inside, outside } = style.edges(line, place, font.size);
  const least = unitsOf(style.value(line, 'minInlineSize', place), font.size);
  const gap = style.gap(line, place, font.size);
  const seen = facesOf(part, device);
  const lines = (part.lines ?? []).map(({ text, href }) => {
    const words = seen.text ? Math.max(...text.map((one) => measure(one, font))) : null;
    const content = sideBySide([seen.icon ? glyphWidth(place, setting, font) : null, words], gap);
    const face = Math.max(least, content) + inside + outside;
    // A link stands in a line of its own that looks like one.
    return href === undefined ? face : Math.max(least, face) + inside + outside;
  });
  return sideBySide(lines, style.gap(lineOfAll('contact'), place, setting.font.size));
}

function marksWidth({ marks = [] }: ResolvedPart, place: FitPlace, setting: PartSetting): number {
  const { style, font } = setting;
  const line = lineOfAll('mark');
  const { inside, outside } = style.edges(line, place, font.size);
  const sign = unitsOf(style.value(lineOfAll('markPicture'), 'inlineSize', place), font.size);
  const least = unitsOf(style.value(line, 'minInlineSize', place), font.size);
  const one = Math.max(least, sign + inside) + outside;
  return sideBySide(
    marks.map(() => one),
    style.gap(lineOfAll('marks'), place, font.size),
  );
}

function buttonWidth(part: ResolvedPart, place: FitPlace, setting: PartSetting): number | null {
  const { style, measure, device } = setting;
  // Variants of buttons in bands are asked for with the variant as their owner.
  if (part.variant !== undefined) return null;
  const line = lineOfAll('bandButton');
  const font = style.font(line, place, setting.font);
  const { inside, outside } = style.edges(line, place, font.size);
  const seen = part.glyph === undefined ? { icon: false, text: true } : facesOf(part, device);
  const content = sideBySide(
    [seen.icon ? glyphWidth(place, setting, font) : null, seen.text ? measure(part.text ?? '', font) : null],
    style.gap(line, place, font.size),
  );
  return content + inside + outside;
}

/** The width of a field in a zone, in rem, and of the sign on its button, in px, as `frameRules` and `search` have them. */
const [FIELD, SIGN] = ['14rem', 20];

function searchWidth(place: FitPlace, setting: PartSetting): number {
  const { style, font } = setting;
  const form = lineOfAll('bandSearch');
  const { inside, outside } = style.edges(form, place, font.size);
  const line = lineOfAll('searchButton');
  const button = style.edges(line, place, style.font(line, place, font).size);
  return (
    unitsOf(style.scaled(FIELD), font.size) +
    style.gap(form, place, font.size) +
    SIGN * UNITS +
    button.inside +
    button.outside +
    inside +
    outside
  );
}

function dividerWidth(place: FitPlace, { style, font }: PartSetting): number {
  const { inside, outside } = style.edges(lineOfAll('bandDivider'), place, font.size);
  return inside + outside;
}
