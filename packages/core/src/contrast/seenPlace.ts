import { thingOf, states, type State, type ThingName } from '../anatomy/anatomy.ts';
import type { Property } from '../anatomy/properties.ts';
import { isRole, type RoleName } from '../anatomy/roles.ts';
import { fillOf } from '../anatomy/values.ts';
import { plainValue, valueOfName, type PaletteEntry } from '../model/palette.ts';
import { deviceClasses, type DeviceClass } from '../schema/deviceClass.ts';
import { situations, type Scheme, type Situation } from '../schema/style.ts';
import {
  initialStyle,
  isSaidOf,
  sourcesOf,
  type ResolvedStyle,
  type StyleSource,
} from '../style/resolveStyle.ts';
import { starterIn, type SetLook, type Sheet } from '../style/sheet.ts';
import { between, luminanceOf, over, rgbaOf, type Rgba } from './blend.ts';
import type { DrawnPlace } from './places.ts';

/** What is asked at once: what is in which state. */
export interface Situated {
  readonly state: State;
  /** What is in that state, and what hovers with it. */
  readonly pressed: DrawnPlace | null;
  /** Whether it leads to the page that is seen, besides. */
  readonly leads: 'elsewhere' | 'within' | 'current';
  readonly situation: Situation | null;
  readonly device: DeviceClass | null;
}

/** A colour that can be behind something, and what it is faded over by the opacity of what is around. */
interface Ground {
  readonly colour: Rgba;
  readonly fade: Fade | null;
}

/** How a place, with all that is in it, is faded over what is behind it. */
interface Fade {
  readonly behind: Rgba;
  readonly opacity: number;
  readonly around: Fade | null;
}

/** So many colours behind something are looked at, before what lies over them. */
const MOST_GROUNDS = 40;
/** What lets everything behind it through. */
const CLEAR: Rgba = [0, 0, 0, 0];
/** How many colours of a gradient are looked at between two of its stops. */
const STEPS = 8;
/** What may be behind a header that lies over the content. */
const CONTENT: readonly Rgba[] = [
  [0, 0, 0, 1],
  [255, 255, 255, 1],
];

/**
 * A place in its states, within what is around it in theirs: what is resolved and seen there is worked out once,
 * however often it is asked, for whatever is in it.
 */
export class SeenPlace {
  private readonly values = new Map<Property, ResolvedStyle | null>();
  private readonly within = new Map<DrawnPlace, Map<number, SeenPlace>>();
  private readonly roles = new Map<RoleName, Rgba | null>();
  private ownColour: Rgba | null | undefined;
  private ownGrounds: readonly Ground[] | undefined;

  private constructor(
    private readonly page: SeenPage,
    readonly place: DrawnPlace,
    readonly parent: SeenPlace | null,
    private readonly sources: readonly StyleSource[],
    private readonly situation: Situation | null,
  ) {}

  /** A place while something is in a state. */
  static of(page: SeenPage, place: DrawnPlace, at: Situated): SeenPlace {
    const parent = place.parent === null ? null : SeenPlace.of(page, place.parent, at);
    const around = parent === null ? page.within : parent.within;
    const inStates = statesOf(place, at);
    // Different numbers for different states, situations and device classes.
    let number = at.situation === null ? 0 : 1 + situations.indexOf(at.situation);
    number = number * 8 + (at.device === null ? 0 : 1 + deviceClasses.indexOf(at.device));
    for (const state of inStates) number += 1024 << states.indexOf(state);
    let known = around.get(place);
    if (known === undefined) around.set(place, (known = new Map()));
    let seen = known.get(number);
    if (seen === undefined) {
      const where = {
        states: inStates,
        situations: at.situation === null ? [] : [at.situation],
        scheme: page.scheme,
        device: at.device,
      };
      const sources = page.sourcesOf(place).filter((one) => isSaidOf(one, where));
      seen = new SeenPlace(page, place, parent, sources, at.situation);
      known.set(number, seen);
    }
    return seen;
  }

  /** What is said of a property here. */
  said(property: Property): ResolvedStyle | null {
    let said = this.values.get(property);
    if (said === undefined) {
      said = initialStyle(this.place.line, property);
      const source = said && this.sources.find(({ look }) => look[property] !== undefined);
      if (source) said = { value: source.look[property] ?? '', origin: source.origin };
      this.values.set(property, said);
    }
    return said;
  }

  /** What decides a colour: where it is as around, what is said there. */
  decider(property: Property): (ResolvedStyle & { readonly property: Property }) | null {
    const said = this.said(property);
    if (said === null || said.value === 'inherit')
      return property === 'color' ? (this.parent?.decider(property) ?? null) : null;
    return said.value === 'currentColor' ? this.decider('color') : { ...said, property };
  }

  /** The colour of the text, opaque or not. */
  colour(): Rgba | null {
    if (this.ownColour === undefined) {
      const value = this.said('color')?.value ?? 'inherit';
      this.ownColour = value === 'inherit' ? (this.parent?.colour() ?? null) : this.read(value);
    }
    return this.ownColour;
  }

  /** A colour's value as a colour; null: it cannot be known. */
  read(value: string): Rgba | null {
    if (value === 'none') return [0, 0, 0, 0];
    if (value.startsWith('#')) return rgbaOf(value);
    if (value === 'currentColor') return this.colour();
    if (value === 'inherit') return this.parent?.colour() ?? null;
    const [, name, share] = /^@([a-z0-9-]+)(?:\/(\d{1,3})%)?$/.exec(value) ?? [];
    const found = name === undefined ? null : this.named(name);
    return found === null || share === undefined
      ? found
      : [found[0], found[1], found[2], (found[3] * Number(share)) / 100];
  }

  /** What is seen of a colour in here, and of what is behind it, for each colour that backgrounds have. */
  seen(colour: Rgba): { readonly top: Rgba; readonly below: Rgba }[] {
    return this.grounds().map(({ colour: ground, fade }) => {
      let [top, below] = [over(colour, ground), ground];
      for (let one = fade; one !== null; one = one.around) {
        top = between(one.behind, top, one.opacity);
        below = between(one.behind, below, one.opacity);
      }
      return { top, below };
    });
  }

  /** The size of text, in px; the least of one that grows with the window. */
  size(): number {
    const said = this.plain('fontSize', 'inherit');
    const [, number = '1', unit = 'em'] = /^([\d.]+)(px|rem|em)$/.exec(said) ?? [];
    if (unit === 'px') return Number(number);
    if (unit === 'rem') return Number(number) * 16;
    const [, least] = /^fluid\(([\d.]+)px@\d+, ?([\d.]+)px/.exec(said) ?? [];
    return least === undefined ? Number(number) * (this.parent?.size() ?? 16) : Number(least);
  }

  /** The weight of text. */
  weight(): number {
    const said = this.plain('fontWeight', 'inherit');
    return said === 'inherit' ? (this.parent?.weight() ?? 400) : Number(said);
  }

  /** A value that is no colour, with what its names stand for. */
  private plain(property: Property, otherwise: string): string {
    const said = this.said(property)?.value ?? otherwise;
    return said.includes('@') ? (plainValue(this.page.sheet.palette, said) ?? otherwise) : said;
  }

  /** All that can be behind what is in here. Opacity fades a place with all that is in it. */
  private grounds(): readonly Ground[] {
    if (this.ownGrounds !== undefined) return this.ownGrounds;
    const around = this.parent?.grounds() ?? this.page.grounds(this.situation);
    const opacity = Number(this.said('opacity')?.value ?? '1');
    const plain = this.said('background')?.value ?? 'none';
    const own = this.said('backgroundImage')?.value ?? 'none';
    const fill = this.fill(own);
    const isPlain = plain === 'none' && fill === null;
    return (this.ownGrounds =
      isPlain && opacity === 1
        ? around
        : fewer(around).flatMap(({ colour: behind, fade }) => {
            const faded = opacity === 1 ? fade : { behind, opacity, around: fade };
            return this.layers(plain, fill, behind).map((colour) => ({ colour, fade: faded }));
          }));
  }

  /** The picture that is behind what is in here, by the nearest that has one: what sets it. Null: there is none. */
  pictureBehind(): (ResolvedStyle & { readonly thing: ThingName }) | null {
    const said = this.said('backgroundImage');
    const { name } = fillOf(said?.value ?? 'none');
    const [thing] = this.place.line;
    return said !== null && thing !== undefined && name !== null && this.picture(name) !== null
      ? { ...said, thing }
      : (this.parent?.pictureBehind() ?? null);
  }

  private picture(name: string): PaletteEntry | null {
    const entry = this.page.sheet.palette.get(name);
    return entry?.picture === undefined ? null : entry;
  }

  /** The colours that fill a place: of its picture, and of the gradient over it. Null: nothing fills it. */
  private fill(value: string): { readonly tones: readonly Rgba[]; readonly veil: readonly Rgba[] } | null {
    if (value === 'none') return null;
    const { gradient, name, as } = fillOf(value);
    const entry = name === null ? null : this.picture(name);
    // A gradient with a name: its colours may have names, too.
    const veil = entry === null && name !== null ? valueOfName(this.page.sheet.palette, name) : gradient;
    const tones = (entry?.tones ?? []).map(rgbaOf);
    return {
      tones: as === 'contain' ? [...tones, CLEAR] : tones,
      veil: veil?.startsWith('linear(') === true ? this.gradient(veil) : [],
    };
  }

  /** The colours of the background over what is behind it: one, or some of a picture or a gradient. */
  private layers(
    plain: string,
    fill: { readonly tones: readonly Rgba[]; readonly veil: readonly Rgba[] } | null,
    behind: Rgba,
  ): Rgba[] {
    const colour = plain === 'none' ? null : this.read(plain);
    const ground = colour === null ? behind : over(colour, behind);
    if (fill === null) return [ground];
    const pictured = fill.tones.length === 0 ? [ground] : fill.tones.map((one) => over(one, ground));
    return fill.veil.length === 0
      ? pictured
      : pictured.flatMap((below) => fill.veil.map((one) => over(one, below)));
  }

  private gradient(value: string): Rgba[] {
    const stops: Rgba[] = [];
    for (const stop of value.slice(value.indexOf(',') + 1, -1).split(',')) {
      const colour = this.read(stop.trim().split(' ')[0] ?? '');
      if (colour !== null) stops.push(colour);
    }
    const colours: Rgba[] = [];
    stops.forEach((stop, index) => {
      const next = stops[index + 1];
      const steps = next === undefined ? 1 : STEPS;
      for (let step = 0; step < steps; step += 1) colours.push(between(stop, next ?? stop, step / STEPS));
    });
    return colours;
  }

  /** The colour that a name has here: what is around may give roles other colours. */
  private named(name: string): Rgba | null {
    if (isRole(name)) return this.role(name);
    const value = valueOfName(this.page.sheet.palette, name, this.page.scheme);
    return value === null ? null : rgbaOf(value);
  }

  private role(name: RoleName): Rgba | null {
    let known = this.roles.get(name);
    if (known === undefined) this.roles.set(name, (known = this.roleHere(name)));
    return known;
  }

  private roleHere(name: RoleName): Rgba | null {
    const around = name === 'ink' || name === 'tint' || name === 'accent' ? this.givenRole(name) : undefined;
    if (around !== undefined) return around;
    const { palette } = starterIn(this.page.sheet, this.place.area);
    const { set = null, dark, usual } = palette.get(name) ?? {};
    const isSet = set !== null || (dark !== undefined && this.page.scheme === 'dark');
    if (!isSet && usual !== undefined && typeof usual !== 'string') return this.role(usual.like);
    const plain = valueOfName(palette, name, this.page.scheme);
    return plain === null || !plain.startsWith('#') ? null : rgbaOf(plain);
  }

  /**
   * What somebody gave a role here or around: it is evaluated on the nearest root, from there on outwards. Undefined:
   * nobody did.
   */
  private givenRole(name: 'ink' | 'tint' | 'accent', isCounted = false): Rgba | null | undefined {
    const counts = isCounted || this.place.isRoot;
    const said = counts ? (this.said(name)?.value ?? 'inherit') : 'inherit';
    // What names itself is no value, and what is in it falls back to the palette (CSS Variables 1, 2.3).
    if (said.split('/')[0] === `@${name}`) return undefined;
    return said === 'inherit' ? this.parent?.givenRole(name, counts) : this.read(said);
  }
}

/** A page whose places are looked at. */
export class SeenPage {
  readonly within = new Map<DrawnPlace, Map<number, SeenPlace>>();
  private readonly sources = new Map<DrawnPlace, readonly StyleSource[]>();
  private readonly over = groundsOf(CONTENT);
  private readonly plain: readonly Ground[];

  constructor(
    readonly sheet: Sheet,
    readonly scheme: Scheme,
    paper: Rgba,
  ) {
    this.plain = groundsOf([paper]);
  }

  /** What is behind all that is on the page. */
  grounds(situation: Situation | null): readonly Ground[] {
    return situation === 'over' ? this.over : this.plain;
  }

  /** All that is said of a place, of which only what makes a difference to contrast is of interest. */
  sourcesOf(place: DrawnPlace): readonly StyleSource[] {
    let sources = this.sources.get(place);
    if (sources === undefined) {
      const { set } = this.sheet;
      const holding = new Set<SetLook>([...place.holds].flatMap((index) => set[index] ?? []));
      sources = sourcesOf(place.line, this.sheet, (look) => holding.has(look), place.area);
      this.sources.set(place, sources);
    }
    return sources;
  }
}

/**
 * Of very many grounds some, from the darkest to the lightest: pictures and gradients over each other would have
 * thousands, and text is hard to read where it is nearest to one of the ends or lies between them.
 */
function fewer(grounds: readonly Ground[]): readonly Ground[] {
  if (grounds.length <= MOST_GROUNDS) return grounds;
  const sorted = grounds.toSorted((a, b) => luminanceOf(a.colour) - luminanceOf(b.colour));
  return Array.from(
    { length: MOST_GROUNDS },
    (_, at) => sorted[Math.round((at * (sorted.length - 1)) / (MOST_GROUNDS - 1))] as Ground,
  );
}

function groundsOf(colours: readonly Rgba[]): readonly Ground[] {
  return colours.map((colour) => ({ colour, fade: null }));
}

/** The states that a place is in: what is pressed, and for hover what is around it. */
function statesOf(place: DrawnPlace, { state, pressed, leads }: Situated): readonly State[] {
  if (pressed === null || state === 'normal') return [];
  if (place === pressed)
    return [
      ...(leads === 'elsewhere' && state !== 'current' ? [] : (['within'] as const)),
      ...(leads === 'current' || state === 'current' ? (['current'] as const) : []),
      ...(state === 'pressed' ? (['hover'] as const) : []),
      ...(state === 'current' ? [] : [state]),
    ];
  // An arrow is open when what it belongs to is.
  if (state === 'open' && place.states.includes('open') && isIn(place, pressed)) return ['open'];
  return isIn(pressed, place) && (state === 'hover' || state === 'pressed') ? ['hover'] : [];
}

function isIn(place: DrawnPlace, around: DrawnPlace): boolean {
  for (let one = place.parent; one !== null; one = one.parent) if (one === around) return true;
  return false;
}

/** The nearest place that has a property itself. */
export function setterOf(place: DrawnPlace, property: Property): DrawnPlace | null {
  for (let one: DrawnPlace | null = place; one !== null; one = one.parent)
    if (one.line.some((thing) => thingOf(thing).has.includes(property))) return one;
  return null;
}
