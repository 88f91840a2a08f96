import { thingOf, type State, type ThingName } from '../anatomy/anatomy.ts';
import type { Property } from '../anatomy/properties.ts';
import { isRole, roles, type RoleName } from '../anatomy/roles.ts';
import type { Id } from '../base/ids.ts';
import { valueOfName } from '../model/palette.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import type { Situation } from '../schema/style.ts';
import { resolveStyle, type StyleOrigin } from '../style/resolveStyle.ts';
import type { SetLook, Sheet } from '../style/sheet.ts';
import { between, opaqueHex, over, ratioOf, rgbaOf, type Rgba } from './blend.ts';
import type { DrawnPlace } from './places.ts';

/** What has to be told from what is behind it. */
export type PairKind = 'text' | 'sign' | 'ring' | 'edge';

/** Something and what is really behind it, in one state. */
export interface ContrastPair {
  readonly kind: PairKind;
  readonly thing: ThingName;
  /** The part and the item of the first place like that. */
  readonly part: Id | null;
  readonly item: Id | null;
  readonly state: State;
  /** It leads to the page that is seen, or to one above it, while it is in that state. */
  readonly isCurrent: boolean;
  readonly situation: Situation | null;
  /** Null: on all device classes. */
  readonly device: DeviceClass | null;
  /** The contrast where it is least, from 1 to 21. */
  readonly ratio: number;
  readonly needed: number;
  /** As it is seen, and what is behind it there. */
  readonly colour: string;
  readonly behind: string;
  /** All that can be behind it: of a gradient, or of the content below a header. */
  readonly grounds: readonly string[];
  /** What decides its colour. */
  readonly property: Property;
  readonly origin: StyleOrigin;
  /** The nearest thing that has that property: by it, the colour can be set. */
  readonly setBy: ThingName;
  /** What is pressed, where it is in a state. */
  readonly pressed: ThingName | null;
  /** Width and style of a ring. */
  readonly ring: string;
}

/** The least contrast of text, and of large text, signs, rings and edges (WCAG 2.2, 1.4.3 and 1.4.11). */
export const NEEDED = { text: 4.5, large: 3, sign: 3, ring: 3, edge: 3 } as const;

/** How many colours of a gradient are looked at between two of its stops. */
const STEPS = 8;
/** What may be behind a header that lies over the content. */
const CONTENT: readonly Rgba[] = [
  [0, 0, 0, 1],
  [255, 255, 255, 1],
];

/** What is asked at once: what is in which state. */
interface Situated {
  readonly state: State;
  /** What is in that state, and what hovers with it. */
  readonly pressed: DrawnPlace | null;
  /** Whether it leads to the page that is seen, besides. */
  readonly leads: 'elsewhere' | 'within' | 'current';
  readonly situation: Situation | null;
  readonly device: DeviceClass | null;
}

/**
 * The contrast of everything on a page with what is behind it, in each state, in each situation of the header, on each
 * device class. `paper`: what the page itself has behind it all. O(places * states).
 */
export function contrastPairs(
  places: readonly DrawnPlace[],
  sheet: Sheet,
  paper = '#ffffff',
): ContrastPair[] {
  const asker = new Asker(sheet, rgbaOf(paper));
  const devices = devicesOf(sheet);
  const pairs: ContrastPair[] = [];
  for (const place of places) {
    const pressed = pressedOf(place);
    for (const state of pressed?.states ?? (['normal'] as const)) {
      const situations = situationsOf(place, state, sheet);
      const canBeCurrent = state in whileCurrent && pressed?.states.includes('within') === true;
      for (const situation of situations)
        for (const device of devices) {
          const found: ContrastPair[] = [];
          for (const leads of canBeCurrent ? allWays : (['elsewhere'] as const))
            for (const pair of asker.pairsOf(place, { state, pressed, leads, situation, device }))
              // What looks the same needs no second line.
              if (!found.some((other) => looksLike(pair, other))) found.push(pair);
          pairs.push(...found);
        }
    }
  }
  return pairs;
}

/** What an entry can be besides leading to the page that is seen. */
const allWays = ['elsewhere', 'within', 'current'] as const;
const whileCurrent = { open: true, hover: true, focus: true, pressed: true };

function looksLike(one: ContrastPair, other: ContrastPair): boolean {
  return one.kind === other.kind && one.colour === other.colour && one.behind === other.behind;
}

/** Device classes for which nothing is set apart look like the others. */
function devicesOf({ set }: Sheet): (DeviceClass | null)[] {
  const apart = new Set(set.flatMap(({ target: { device } }) => (device === undefined ? [] : [device])));
  return [null, ...apart];
}

/** What is pressed when a pointer is on it: itself or what it is in. */
function pressedOf(place: DrawnPlace): DrawnPlace | null {
  for (let one: DrawnPlace | null = place; one !== null; one = one.parent)
    if (one.states.includes('hover') || one.states.includes('focus')) return one;
  return null;
}

/** A header over the content is so only while nobody points at it, is in it, or has opened something. */
function situationsOf({ isOver }: DrawnPlace, state: State, { situations }: Sheet): (Situation | null)[] {
  const isAtWork = state === 'hover' || state === 'focus' || state === 'open' || state === 'pressed';
  const some = situations.filter((one) => one !== 'over' || (isOver && !isAtWork));
  return [null, ...some];
}

/** Answers what is resolved and what is seen, each once. */
class Asker {
  private readonly values = new Map<
    string,
    { readonly value: string; readonly origin: StyleOrigin } | null
  >();
  private readonly numbers = new Map<DrawnPlace, number>();

  constructor(
    private readonly sheet: Sheet,
    private readonly paper: Rgba,
  ) {}

  pairsOf(place: DrawnPlace, at: Situated): ContrastPair[] {
    const found: ContrastPair[] = [];
    const add = (kind: PairKind, property: Property, needed: number, isAround: boolean): void => {
      const seen = this.seen(place, property, at, isAround);
      if (seen === null) return;
      const [thing = 'site'] = place.line;
      found.push({
        kind,
        thing,
        part: place.part,
        item: place.item,
        state: at.state,
        isCurrent: at.leads !== 'elsewhere',
        situation: at.situation,
        device: at.device,
        needed,
        setBy: setterOf(place, property)?.line[0] ?? thing,
        pressed: at.pressed?.line[0] ?? null,
        ring: property === 'outline' ? ringOf(this.said(place, 'outline', at)?.value ?? '') : '',
        ...seen,
      });
    };
    // What is unseen at rest is asked when it has the focus.
    const isUnseen = place.line.includes('skip') && at.state === 'normal';
    if (isUnseen) return [];
    if (place.hasText) add('text', 'color', this.isLarge(place, at) ? NEEDED.large : NEEDED.text, false);
    else if (place.hasSign) add('sign', 'color', NEEDED.sign, false);
    if (at.state === 'focus' && at.pressed === place)
      add('ring', 'outline', NEEDED.ring, this.isOutside(place, at));
    if (isField(place) && at.state === 'normal') add('edge', 'borderColor', NEEDED.edge, true);
    return found;
  }

  /** What is said of a property of a place. */
  private said(
    place: DrawnPlace,
    property: Property,
    at: Situated,
  ): { readonly value: string; readonly origin: StyleOrigin } | null {
    const states = statesOf(place, at);
    const key = `${this.numberOf(place)} ${property} ${states.join('+')} ${at.situation ?? ''} ${at.device ?? ''}`;
    const known = this.values.get(key);
    if (known !== undefined) return known;
    const [thing = 'site'] = place.line;
    const { set } = this.sheet;
    const holding = new Set<SetLook>([...place.holds].flatMap((index) => set[index] ?? []));
    const said = resolveStyle(thing, property, {
      line: place.line,
      states,
      device: at.device,
      situations: at.situation === null ? [] : [at.situation],
      sheet: this.sheet,
      holds: (look) => holding.has(look),
    });
    this.values.set(key, said);
    return said;
  }

  private numberOf(place: DrawnPlace): number {
    let number = this.numbers.get(place);
    if (number === undefined) this.numbers.set(place, (number = this.numbers.size));
    return number;
  }

  /** Something as it is seen, and all that may be behind it; null: it is not there, or it cannot be known. */
  private seen(
    place: DrawnPlace,
    property: Property,
    at: Situated,
    isAround: boolean,
  ): Pick<ContrastPair, 'ratio' | 'colour' | 'behind' | 'grounds' | 'property' | 'origin'> | null {
    const said = this.decider(place, property, at);
    const mine = property === 'outline' ? ringColour(said?.value ?? 'none') : (said?.value ?? 'none');
    if (said === null || mine === 'none') return null;
    const colour = property === 'color' ? this.colour(place, at) : this.read(mine, place, at);
    if (colour === null || colour[3] === 0) return null;
    const way: DrawnPlace[] = [];
    for (let one: DrawnPlace | null = isAround ? place.parent : place; one !== null; one = one.parent)
      way.unshift(one);
    let least: { ratio: number; colour: Rgba; behind: Rgba } | null = null;
    const grounds = new Set<string>();
    const bases = at.situation === 'over' ? CONTENT : [this.paper];
    for (const base of bases)
      for (const { top, below } of this.painted(way, 0, base, colour, at)) {
        const ratio = ratioOf(top, below);
        grounds.add(opaqueHex(below));
        if (least === null || ratio < least.ratio) least = { ratio, colour: top, behind: below };
      }
    if (least === null) return null;
    return {
      ratio: least.ratio,
      colour: opaqueHex(least.colour),
      behind: opaqueHex(least.behind),
      grounds: [...grounds],
      property: said.property,
      origin: said.origin,
    };
  }

  /** What decides a colour: where it is as around, what is said there. */
  private decider(
    place: DrawnPlace,
    property: Property,
    at: Situated,
  ): { readonly value: string; readonly origin: StyleOrigin; readonly property: Property } | null {
    const said = this.said(place, property, at);
    if (said === null || said.value === 'inherit')
      return place.parent === null || property !== 'color' ? null : this.decider(place.parent, property, at);
    if (said.value === 'currentColor') return this.decider(place, 'color', at);
    return { ...said, property };
  }

  /** The colour of the text in a place, opaque or not. */
  private colour(place: DrawnPlace | null, at: Situated): Rgba | null {
    for (let one = place; one !== null; one = one.parent) {
      const said = this.said(one, 'color', at);
      if (said !== null && said.value !== 'inherit') return this.read(said.value, one, at);
    }
    return null;
  }

  /**
   * What is seen of a colour on top of places one in the other, and of what is behind it, for each colour that their
   * backgrounds have. Opacity fades a place with all that is in it.
   */
  private painted(
    way: readonly DrawnPlace[],
    from: number,
    behind: Rgba,
    colour: Rgba,
    at: Situated,
  ): { readonly top: Rgba; readonly below: Rgba }[] {
    const place = way[from];
    if (place === undefined) return [{ top: over(colour, behind), below: behind }];
    const opacity = Number(this.said(place, 'opacity', at)?.value ?? '1');
    return this.layers(place, at, behind).flatMap((ground) => {
      const inner = this.painted(way, from + 1, ground, colour, at);
      if (opacity === 1) return inner;
      return inner.map(({ top, below }) => ({
        top: between(behind, top, opacity),
        below: between(behind, below, opacity),
      }));
    });
  }

  /** The colours of a place's background over what is behind it: one, or some of a gradient. */
  private layers(place: DrawnPlace, at: Situated, behind: Rgba): Rgba[] {
    const plain = this.said(place, 'background', at)?.value ?? 'none';
    const colour = plain === 'none' ? null : this.read(plain, place, at);
    const ground = colour === null ? behind : over(colour, behind);
    const gradient = this.said(place, 'backgroundImage', at)?.value ?? 'none';
    if (!gradient.startsWith('linear(')) return [ground];
    return this.gradient(gradient, place, at).map((one) => over(one, ground));
  }

  private gradient(value: string, place: DrawnPlace, at: Situated): Rgba[] {
    const stops: Rgba[] = [];
    for (const stop of value.slice(value.indexOf(',') + 1, -1).split(',')) {
      const colour = this.read(stop.trim().split(' ')[0] ?? '', place, at);
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

  /** A colour's value as a colour; null: it cannot be known. */
  private read(value: string, place: DrawnPlace, at: Situated): Rgba | null {
    if (value === 'none') return [0, 0, 0, 0];
    if (value.startsWith('#')) return rgbaOf(value);
    if (value === 'currentColor') return this.colour(place, at);
    if (value === 'inherit') return this.colour(place.parent, at);
    const [, name, share] = /^@([a-z0-9-]+)(?:\/(\d{1,3})%)?$/.exec(value) ?? [];
    const found = name === undefined ? null : this.named(name, place, at);
    return found === null || share === undefined
      ? found
      : [found[0], found[1], found[2], (found[3] * Number(share)) / 100];
  }

  /** The colour that a name has at a place: what is around it may give roles other colours. */
  private named(name: string, place: DrawnPlace, at: Situated): Rgba | null {
    if (!isRole(name)) {
      const value = valueOfName(this.sheet.palette, name);
      return value === null ? null : rgbaOf(value);
    }
    return this.role(name, place, at);
  }

  private role(name: RoleName, place: DrawnPlace, at: Situated): Rgba | null {
    if (name === 'ink' || name === 'tint' || name === 'accent') {
      let isCounted = false;
      // A role is evaluated on the nearest root, from there on outwards.
      for (let one: DrawnPlace | null = place; one !== null; one = one.parent) {
        isCounted ||= one.isRoot;
        const said = isCounted ? (this.said(one, name, at)?.value ?? 'inherit') : 'inherit';
        // What names itself is no value, and what is in it falls back to the palette (CSS Variables 1, 2.3).
        if (said.split('/')[0] === `@${name}`) break;
        if (said !== 'inherit') return this.read(said, one, at);
      }
    }
    const { value } = roles[name];
    const set = this.sheet.palette.get(name)?.set ?? null;
    if (set === null && typeof value !== 'string') return this.role(value.like, place, at);
    const plain = valueOfName(this.sheet.palette, name);
    return plain === null || !plain.startsWith('#') ? null : rgbaOf(plain);
  }

  /** At least 24 px, or 18.66 px and bold (WCAG 2.2, “large scale”). */
  private isLarge(place: DrawnPlace, at: Situated): boolean {
    const size = this.size(place, at);
    if (size >= 24) return true;
    let weight = 400;
    for (let one: DrawnPlace | null = place; one !== null; one = one.parent) {
      const said = this.said(one, 'fontWeight', at)?.value ?? 'inherit';
      if (said === 'inherit') continue;
      weight = Number(said);
      break;
    }
    return size >= 18.66 && weight >= 700;
  }

  /** The size of text, in px; the least of one that grows with the window. */
  private size(place: DrawnPlace | null, at: Situated): number {
    if (place === null) return 16;
    const said = this.said(place, 'fontSize', at)?.value ?? 'inherit';
    const [, number = '1', unit = 'em'] = /^([\d.]+)(px|rem|em)$/.exec(said) ?? [];
    if (unit === 'px') return Number(number);
    if (unit === 'rem') return Number(number) * 16;
    const [, least] = /^fluid\(([\d.]+)px@\d+, ?([\d.]+)px/.exec(said) ?? [];
    return least === undefined ? Number(number) * this.size(place.parent, at) : Number(least);
  }

  /** A ring that is not drawn inside lies on what is around. */
  private isOutside(place: DrawnPlace, at: Situated): boolean {
    return !(this.said(place, 'outlineOffset', at)?.value ?? '0').startsWith('-');
  }
}

/** The states that a place is in: what is pressed, and for hover what is around it. */
function statesOf(place: DrawnPlace, { state, pressed, leads }: Situated): State[] {
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
function setterOf(place: DrawnPlace, property: Property): DrawnPlace | null {
  for (let one: DrawnPlace | null = place; one !== null; one = one.parent)
    if (one.line.some((thing) => thingOf(thing).has.includes(property))) return one;
  return null;
}

/** The width and the style of a ring. */
function ringOf(outline: string): string {
  return outline.split(' ').slice(0, 2).join(' ');
}

function ringColour(outline: string): string {
  return outline === 'none' || outline.startsWith('0 ') ? 'none' : (outline.split(' ')[2] ?? 'none');
}

/** What people type into or tick: its edge says where it is. */
function isField({ line }: DrawnPlace): boolean {
  return (
    line.some((thing) => thing === 'formField' || thing === 'searchField') && !line.includes('searchButton')
  );
}
