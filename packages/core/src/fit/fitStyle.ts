import { lineOf, thingNames, type ThingName } from '../anatomy/anatomy.ts';
import type { Property } from '../anatomy/properties.ts';
import type { SiteDocument } from '../model/document.ts';
import { plainValue } from '../model/palette.ts';
import { sheetOf } from '../resolve/sheetOf.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import type { AreaName } from '../schema/part.ts';
import { rankedStyles } from '../style/resolveStyle.ts';
import { starterIn, type Sheet } from '../style/sheet.ts';
import { borderOf, pxOf, ROOT, sidesOf, unitsOf } from './lengths.ts';
import type { TextFont } from './measure.ts';

/** Where something is: what looks are set for that holds there, from the site to the item. */
export interface FitPlace {
  readonly area: AreaName | null;
  readonly owners: ReadonlySet<string>;
}

/** Where each thing comes in the anatomy: what comes later wins. */
const orders: ReadonlyMap<ThingName, number> = new Map(thingNames.map((name, at) => [name, at]));

/** All things that some are, and what these are like, the one that wins first. The same list for the same things. */
export function lineOfAll(...things: readonly ThingName[]): readonly ThingName[] {
  const key = things.join();
  let line = lines.get(key);
  if (line === undefined) {
    const all = new Set(things.flatMap(lineOf));
    line = [...all].sort((a, b) => (orders.get(b) ?? 0) - (orders.get(a) ?? 0));
    lines.set(key, line);
  }
  return line;
}
const lines = new Map<string, readonly ThingName[]>();

type Line = readonly ThingName[];

/** The looks that decide how wide things are, on one device class, without names. What was asked once is known. */
export class FitStyle {
  private readonly values = new Map<FitPlace, Map<Line, Map<Property, string>>>();
  private readonly fonts = new Map<
    FitPlace,
    Map<Line, { readonly around: TextFont; readonly font: TextFont }>
  >();
  private readonly places = new Map<string, FitPlace>();
  /** For what somebody set something: nothing else makes a place different. */
  private readonly owners: ReadonlySet<string>;

  constructor(
    private readonly sheet: Sheet,
    private readonly device: DeviceClass,
    /** The size of text that a visitor has set, in px. */
    private readonly root = ROOT,
  ) {
    this.owners = new Set(sheet.set.map(({ target }) => target.owner));
  }

  /** An outermost place: the same one for the same owners. */
  place(area: AreaName | null, owners: readonly string[]): FitPlace {
    return this.known(area, new Set(owners));
  }

  private known(area: AreaName | null, owners: ReadonlySet<string>): FitPlace {
    const key = `${area} ${[...owners].join(' ')}`;
    let found = this.places.get(key);
    if (found === undefined) this.places.set(key, (found = { area, owners }));
    return found;
  }

  /** A place in another one: what was set for these owners holds there, too. The same place, where nothing was. */
  within(place: FitPlace, own: readonly string[]): FitPlace {
    const some = own.filter((owner) => this.owners.has(owner));
    if (some.length === 0) return place;
    return this.known(place.area, new Set([...place.owners, ...some]));
  }

  /** What a property comes to, without names; empty: the things do not have it. */
  value(line: Line, property: Property, place: FitPlace): string {
    const inPlace = mapIn(this.values, place);
    const ofLine = mapIn(inPlace, line);
    let value = ofLine.get(property);
    if (value === undefined) ofLine.set(property, (value = this.resolved(line, property, place)));
    return value;
  }

  private resolved(line: Line, property: Property, place: FitPlace): string {
    const said = this.won(line, property, place);
    const { palette } = starterIn(this.sheet, place.area);
    return this.scaled(said.includes('@') ? (plainValue(palette, said) ?? '') : said);
  }

  /** A value with the size of text that a visitor has set. */
  scaled(value: string): string {
    if (this.root === ROOT) return value;
    return value.replaceAll(/(-?[\d.]+)rem/g, (_, rem: string) => `${Number(rem) * this.root}px`);
  }

  /** What wins, with its names. */
  private won(line: Line, property: Property, { area, owners }: FitPlace): string {
    const [won] = rankedStyles(line[0] ?? 'site', property, {
      sheet: this.sheet,
      device: this.device,
      area,
      line,
      holds: ({ target }) => owners.has(target.owner),
    });
    return won?.value ?? '';
  }

  /** The font of a thing, in one that is around it. */
  font(line: Line, place: FitPlace, around: TextFont): TextFont {
    const inPlace = mapIn(this.fonts, place);
    const known = inPlace.get(line);
    if (known?.around === around) return known.font;
    const font = this.fontIn(line, place, around);
    inPlace.set(line, { around, font });
    return font;
  }

  /** The same in another size, in px. */
  fontOfSize(line: Line, place: FitPlace, around: TextFont, size: number): TextFont {
    return this.fontIn(line, place, around, size);
  }

  private fontIn(line: Line, place: FitPlace, around: TextFont, wanted?: number): TextFont {
    const said = (property: Property): string => this.value(line, property, place);
    const own = (property: Property): string | null => {
      const value = said(property);
      return value === '' || value === 'inherit' ? null : value;
    };
    const size = wanted ?? pxOf(own('fontSize') ?? '1em', around.size) ?? around.size;
    const spacing = (property: 'letterSpacing' | 'wordSpacing'): number => {
      const value = own(property);
      return value === null ? around[property] : (pxOf(value, size) ?? 0);
    };
    const family = this.won(line, 'fontFamily', place);
    const weight = own('fontWeight');
    const slant = own('fontStyle');
    return {
      family: family.startsWith('@') ? family.slice(1) : around.family,
      size,
      weight: weight === null ? around.weight : Number(weight),
      isItalic: slant === null ? around.isItalic : slant === 'italic',
      letterSpacing: spacing('letterSpacing'),
      wordSpacing: spacing('wordSpacing'),
      transform: own('textTransform') ?? around.transform,
      language: around.language,
      direction: around.direction,
    };
  }

  /** The gap between what is side by side in a thing, in layout units. */
  gap(line: Line, place: FitPlace, em: number): number {
    return unitsOf(sidesOf(this.value(line, 'gap', place) || '0')[1], em);
  }

  /** The two values of a length at the sides of a thing, in layout units. */
  sides(line: Line, property: Property, place: FitPlace, em: number): readonly [start: number, end: number] {
    const [start, end] = sidesOf(this.value(line, property, place) || '0');
    return [unitsOf(start, em), unitsOf(end, em)];
  }

  /** What stands at both sides of what is in a thing: padding and border; and outside: margins. In layout units. */
  edges(line: Line, place: FitPlace, em: number): { readonly inside: number; readonly outside: number } {
    const sum = (property: Property, of: (value: string, em: number) => number): number => {
      const [start, end] = sidesOf(this.value(line, property, place) || '0');
      return of(start, em) + of(end, em);
    };
    return {
      inside: sum('paddingInline', unitsOf) + sum('borderInlineWidth', borderOf),
      outside: sum('marginInline', unitsOf),
    };
  }
}

/** The map that another one has for a key: an empty one, where it had none. */
function mapIn<K, I, V>(maps: Map<K, Map<I, V>>, key: K): Map<I, V> {
  let map = maps.get(key);
  if (map === undefined) maps.set(key, (map = new Map()));
  return map;
}

/** What was resolved for the looks of a document, by device class and size of text. */
interface KnownStyles {
  readonly tokens: SiteDocument['tokens'];
  readonly site: SiteDocument['site'];
  /** For what looks are set that hold: what is gone, and what is there again, are not in a forest of looks. */
  readonly owners: string;
  readonly styles: Map<string, FitStyle>;
}
const known = new WeakMap<SiteDocument['styles'], KnownStyles>();

/** The looks of a document on a device class. As long as no look changes, what was resolved once is known. O(looks). */
export function fitStyleOf(document: SiteDocument, device: DeviceClass, root = ROOT): FitStyle {
  const { styles, tokens, site } = document;
  const sheet = sheetOf(document);
  const owners = sheet.set.map(({ target }) => target.owner).join(' ');
  let own = known.get(styles);
  if (own?.tokens !== tokens || own.site !== site || own.owners !== owners) {
    own = { tokens, site, owners, styles: new Map() };
    known.set(styles, own);
  }
  const key = `${device} ${root}`;
  let style = own.styles.get(key);
  if (style === undefined) own.styles.set(key, (style = new FitStyle(sheet, device, root)));
  return style;
}
