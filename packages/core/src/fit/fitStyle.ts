import { lineOf, thingNames, type ThingName } from '../anatomy/anatomy.ts';
import type { Property } from '../anatomy/properties.ts';
import { plainValue } from '../model/palette.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import type { AreaName } from '../schema/part.ts';
import { rankedStyles } from '../style/resolveStyle.ts';
import { starterIn, type Sheet } from '../style/sheet.ts';
import { borderOf, pxOf, sidesOf, unitsOf } from './lengths.ts';
import type { TextFont } from './measure.ts';

/** Where something is: what looks are set for that holds there, from the site to the item. */
export interface FitPlace {
  readonly area: AreaName | null;
  readonly owners: ReadonlySet<string>;
}

/** Where each thing comes in the anatomy: what comes later wins. */
const orders: ReadonlyMap<ThingName, number> = new Map(thingNames.map((name, at) => [name, at]));

/** All things that some are, and what these are like, the one that wins first. */
export function lineOfAll(...things: readonly ThingName[]): readonly ThingName[] {
  return [...new Set(things.flatMap(lineOf))].sort((a, b) => (orders.get(b) ?? 0) - (orders.get(a) ?? 0));
}

/** The looks that decide how wide things are, on one device class, without names. What was asked once is known. */
export class FitStyle {
  private readonly known = new Map<string, string>();

  constructor(
    private readonly sheet: Sheet,
    private readonly device: DeviceClass,
  ) {}

  /** What a property comes to, without names; empty: the things do not have it. */
  value(line: readonly ThingName[], property: Property, place: FitPlace): string {
    const holding = this.sheet.set.filter(
      ({ target }) => line.includes(target.thing) && place.owners.has(target.owner),
    );
    const key = `${line.join()} ${property} ${place.area} ${holding.map(({ target }) => target.owner).join()}`;
    let value = this.known.get(key);
    if (value === undefined) {
      const [won] = rankedStyles(line[0] ?? 'site', property, {
        sheet: this.sheet,
        device: this.device,
        area: place.area,
        line,
        holds: (look) => holding.includes(look),
      });
      const { palette } = starterIn(this.sheet, place.area);
      const said = won?.value ?? '';
      value = said.includes('@') ? (plainValue(palette, said) ?? '') : said;
      this.known.set(key, value);
    }
    return value;
  }

  /** The font of a thing, in one that is around it. */
  font(line: readonly ThingName[], place: FitPlace, around: TextFont): TextFont {
    const said = (property: Property): string => this.value(line, property, place);
    const own = (property: Property): string | null => {
      const value = said(property);
      return value === '' || value === 'inherit' ? null : value;
    };
    const size = pxOf(own('fontSize') ?? '1em', around.size) ?? around.size;
    const spacing = (property: 'letterSpacing' | 'wordSpacing'): number => {
      const value = own(property);
      return value === null ? around[property] : (pxOf(value, size) ?? 0);
    };
    const weight = own('fontWeight');
    const slant = own('fontStyle');
    return {
      family: this.family(line, place) ?? around.family,
      size,
      weight: weight === null ? around.weight : Number(weight),
      isItalic: slant === null ? around.isItalic : slant === 'italic',
      letterSpacing: spacing('letterSpacing'),
      wordSpacing: spacing('wordSpacing'),
      transform: own('textTransform') ?? around.transform,
      language: around.language,
    };
  }

  /** The name of a font, as it is called on the site; null: as around. */
  private family(line: readonly ThingName[], { area, owners }: FitPlace): string | null {
    const [won] = rankedStyles(line[0] ?? 'site', 'fontFamily', {
      sheet: this.sheet,
      device: this.device,
      area,
      line,
      holds: ({ target }) => owners.has(target.owner),
    });
    const value = won?.value ?? 'inherit';
    return value.startsWith('@') ? value.slice(1) : null;
  }

  /** What stands at both sides of what is in a thing: padding and border; and outside: margins. In layout units. */
  edges(
    line: readonly ThingName[],
    place: FitPlace,
    em: number,
  ): { readonly inside: number; readonly outside: number } {
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
