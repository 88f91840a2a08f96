import type { State, ThingName } from '../anatomy/anatomy.ts';
import type { Property } from '../anatomy/properties.ts';
import type { Id } from '../base/ids.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import { schemes, type Scheme, type Situation } from '../schema/style.ts';
import type { ResolvedStyle, StyleOrigin } from '../style/resolveStyle.ts';
import type { Sheet } from '../style/sheet.ts';
import { valueOfName } from '../model/palette.ts';
import { opaqueHex, ratioOf, rgbaOf, type Rgba } from './blend.ts';
import type { DrawnPlace } from './places.ts';
import { SeenPage, SeenPlace, setterOf, type Situated } from './seenPlace.ts';

/** What has to be told from what is behind it. */
export type PairKind = 'text' | 'sign' | 'ring' | 'edge';

/** Something and what is really behind it, in one state. */
export interface ContrastPair {
  readonly kind: PairKind;
  readonly thing: ThingName;
  /** The part and the item of the first place like that. */
  readonly part: Id | null;
  readonly item: Id | null;
  /** The items of all places like that. */
  readonly items: readonly Id[];
  readonly state: State;
  /** It leads to the page that is seen, or to one above it, while it is in that state. */
  readonly isCurrent: boolean;
  readonly situation: Situation | null;
  /** Null: there is only one. */
  readonly scheme: Scheme | null;
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
  /** Where it is hard to read: what puts a picture behind it, and on which thing; null: there is none. */
  readonly picture: PictureBehind | null;
}

/** See `ContrastPair.picture`. */
export type PictureBehind = ResolvedStyle & { readonly thing: ThingName };

/** The least contrast of text, and of large text, signs, rings and edges (WCAG 2.2, 1.4.3 and 1.4.11). */
export const NEEDED = { text: 4.5, large: 3, sign: 3, ring: 3, edge: 3 } as const;

/**
 * The contrast of everything on a page with what is behind it, in each state, in each situation of the header, on each
 * device class, in light and in dark. `paper`: what the page itself has behind it all. O(places * states).
 */
export function contrastPairs(
  places: readonly DrawnPlace[],
  sheet: Sheet,
  paper = '#ffffff',
): ContrastPair[] {
  return (sheet.hasDark ? schemes : (['light'] as const)).flatMap((scheme) => {
    // In the dark, the page behind it all is dark, too.
    const behind = scheme === 'dark' ? (valueOfName(sheet.palette, 'paper', 'dark') ?? '#000000') : paper;
    return pairsIn(places, new SeenPage(sheet, scheme, rgbaOf(behind)));
  });
}

function pairsIn(places: readonly DrawnPlace[], page: SeenPage): ContrastPair[] {
  const { sheet } = page;
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
            for (const pair of pairsAt(page, place, { state, pressed, leads, situation, device }))
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

/** What has to be told from what is behind it in a place, while something is in a state. */
function pairsAt(page: SeenPage, place: DrawnPlace, at: Situated): ContrastPair[] {
  // What is unseen at rest is asked when it has the focus.
  if (place.line.includes('skip') && at.state === 'normal') return [];
  const seen = SeenPlace.of(page, place, at);
  const kinds: readonly (readonly [PairKind, Property, number, SeenPlace | null])[] = [
    ...(place.hasText
      ? [['text', 'color', isLarge(seen) ? NEEDED.large : NEEDED.text, seen] as const]
      : place.hasSign
        ? [['sign', 'color', NEEDED.sign, seen] as const]
        : []),
    ...(at.state === 'focus' && at.pressed === place
      ? [['ring', 'outline', NEEDED.ring, isOutside(seen) ? seen.parent : seen] as const]
      : []),
    ...(isField(place) && at.state === 'normal'
      ? [['edge', 'borderColor', NEEDED.edge, seen.parent] as const]
      : []),
  ];
  return kinds.flatMap(([kind, property, needed, ground]) => {
    const least = leastContrast(seen, property, ground);
    const [thing = 'site'] = place.line;
    if (least === null) return [];
    return {
      kind,
      thing,
      part: place.part,
      item: place.item,
      items: place.items,
      state: at.state,
      isCurrent: at.leads !== 'elsewhere',
      situation: at.situation,
      scheme: page.sheet.hasDark ? page.scheme : null,
      device: at.device,
      needed,
      setBy: setterOf(place, property)?.line[0] ?? thing,
      pressed: at.pressed?.line[0] ?? null,
      ring: property === 'outline' ? ringOf(seen.said('outline')?.value ?? '') : '',
      picture: least.ratio < needed ? (ground?.pictureBehind() ?? null) : null,
      ...least,
    };
  });
}

/** Something as it is seen, and all that may be behind it; null: it is not there, or it cannot be known. */
function leastContrast(
  seen: SeenPlace,
  property: Property,
  ground: SeenPlace | null,
): Pick<ContrastPair, 'ratio' | 'colour' | 'behind' | 'grounds' | 'property' | 'origin'> | null {
  const said = seen.decider(property);
  const mine = property === 'outline' ? ringColour(said?.value ?? 'none') : (said?.value ?? 'none');
  if (said === null || mine === 'none') return null;
  const colour = property === 'color' ? seen.colour() : seen.read(mine);
  if (colour === null || colour[3] === 0) return null;
  let least: { ratio: number; colour: Rgba; behind: Rgba } | null = null;
  const grounds = new Set<string>();
  for (const { top, below } of ground?.seen(colour) ?? []) {
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

/** At least 24 px, or 18.66 px and bold (WCAG 2.2, “large scale”). */
function isLarge(seen: SeenPlace): boolean {
  const size = seen.size();
  return size >= 24 || (size >= 18.66 && seen.weight() >= 700);
}

/** A ring that is not drawn inside lies on what is around. */
function isOutside(seen: SeenPlace): boolean {
  return !(seen.said('outlineOffset')?.value ?? '0').startsWith('-');
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
