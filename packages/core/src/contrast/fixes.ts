import { fillOf } from '../anatomy/values.ts';
import { lineOf, thingOf, type ThingName } from '../anatomy/anatomy.ts';
import type { Property } from '../anatomy/properties.ts';
import type { SiteDocument } from '../model/document.ts';
import { areaId } from '../model/partRoots.ts';
import type { Operation } from '../ops/registry.ts';
import { kindOf } from '../ops/registry.ts';
import { scopeOf } from '../resolve/sheetOf.ts';
import { variantOwner } from '../model/styleOwner.ts';
import { styleId, type StyleTarget } from '../schema/style.ts';
import type { ContrastPair } from './pairs.ts';
import { leastScrim, nearestPassing } from './nearestPassing.ts';

/** A value that makes something readable, and where it is set. */
export interface ContrastFix {
  readonly target: StyleTarget;
  readonly property: Property;
  readonly value: string;
  /** The colour itself; null: it is a veil of so many percent over what is behind. */
  readonly colour: string | null;
  readonly scrim: number | null;
}

/** What is asked of a page again after a change: its pairs that fail. */
export type FailingPairs = (document: SiteDocument) => readonly ContrastPair[];

/** Whether a pair is hard to read. */
export function isFailing({ ratio, needed }: ContrastPair): boolean {
  return ratio < needed;
}

/** What a pair is about, whatever its colours are. */
export function pairKey(pair: ContrastPair): string {
  return `${kindKey(pair)} ${pair.item ?? ''}`;
}

/** The same, but for the item: which one stands for others like it may change with what is set. */
function kindKey({ kind, thing, part, state, isCurrent, situation, scheme, device }: ContrastPair): string {
  return [kind, thing, part ?? '', state, isCurrent, situation ?? '', scheme ?? '', device ?? ''].join(' ');
}

/**
 * What makes a failing pair pass and no other one fail; null: nothing that we know of does. Tried, and asked of the
 * page again: its own colour, the nearest that passes; a veil behind it; what is behind it in that state.
 */
export function fixFor(
  document: SiteDocument,
  pair: ContrastPair,
  failing: FailingPairs,
): ContrastFix | null {
  const before = new Set(failing(document).map(kindKey));
  for (const fix of candidates(document, pair)) {
    const after = failing(applied(document, fix));
    if (after.every((one) => pairKey(one) !== pairKey(pair) && before.has(kindKey(one)))) return fix;
  }
  return null;
}

/**
 * Fixes for all that fail, one after the other, each on top of those before it. `isWanted`: whether one is to be fixed,
 * where not all are.
 */
export function fixesForAll(
  document: SiteDocument,
  failing: FailingPairs,
  isWanted: (pair: ContrastPair) => boolean = () => true,
): ContrastFix[] {
  const fixes: ContrastFix[] = [];
  const given = new Set<string>();
  let now = document;
  for (;;) {
    const next = failing(now).find((pair) => isWanted(pair) && !given.has(pairKey(pair)));
    if (next === undefined) return fixes;
    given.add(pairKey(next));
    const fix = fixFor(now, next, failing);
    if (fix === null) continue;
    fixes.push(fix);
    now = applied(now, fix);
  }
}

/** A fix as an operation. */
export function fixOperation(document: SiteDocument, { target, property, value }: ContrastFix): Operation {
  const was = document.styles.nodes.get(styleId(target))?.[property] ?? null;
  return { kind: 'setStyle', target, set: { [property]: value }, was: { [property]: was } };
}

function applied(document: SiteDocument, fix: ContrastFix): SiteDocument {
  const operation = fixOperation(document, fix);
  const done = kindOf(operation).apply(document, operation);
  return done.ok ? done.value.document : document;
}

function candidates(document: SiteDocument, pair: ContrastPair): ContrastFix[] {
  // Over a picture, a veil is tried first: it keeps the colour that somebody chose.
  const found = pictureVeils(pair);
  const property = pair.property === 'outline' ? 'outline' : ownProperty(pair);
  const colour = nearestPassing(pair.colour, pair.grounds, pair.needed);
  if (colour !== null && property !== null)
    for (const target of targetsOf(document, pair, pair.setBy))
      found.push({
        target,
        property,
        value: property === 'outline' ? `${pair.ring} ${colour}` : colour,
        colour,
        scrim: null,
      });
  if (pair.situation === 'over') {
    const share = leastScrim(pair.colour, ['#ffffff', '#000000'], pair.needed);
    if (share !== null) {
      const veil = veilOf('black', share);
      found.push({
        target: {
          owner: areaId('header'),
          thing: 'header',
          situation: 'over',
          ...(pair.scheme === null ? {} : { scheme: pair.scheme }),
        },
        property: 'backgroundImage',
        value: `linear(180deg, ${veil}, ${veil})`,
        colour: null,
        scrim: share,
      });
    }
  }
  const ground = nearestPassing(pair.behind, [pair.colour], pair.needed);
  if (
    ground !== null &&
    pair.pressed !== null &&
    lineOf(pair.pressed).some((one) => thingOf(one).has.includes('background'))
  )
    for (const target of targetsOf(document, pair, pair.pressed))
      found.push({ target, property: 'background', value: ground, colour: ground, scrim: null });
  return found;
}

/** A colour that lets so many percent less of what is behind it through. */
function veilOf(veil: 'black' | 'white', share: number): string {
  const alpha = Math.min(255, Math.round(share * 2.55 + 1));
  return `${veil === 'black' ? '#000000' : '#ffffff'}${alpha.toString(16).padStart(2, '0')}`;
}

/** The least veil over the picture behind a pair, of either colour; none where nobody set a picture. */
function pictureVeils({ picture, colour, grounds, needed }: ContrastPair): ContrastFix[] {
  if (picture?.origin.from !== 'set') return [];
  const { target } = picture.origin;
  const { gradient, name, as } = fillOf(picture.value);
  // A veil that is there already: more of it is put in its place.
  const [, before = '', alpha = '00'] =
    /^linear\(180deg, (#000000|#ffffff)([0-9a-f]{2}), \1\2\)$/.exec(gradient ?? '') ?? [];
  if (gradient !== null && before === '') return [];
  return (['black', 'white'] as const)
    .flatMap((veil) => {
      const isSame = before === '' || before === veilOf(veil, 0).slice(0, 7);
      const more = isSame ? leastScrim(colour, grounds, needed, veil) : null;
      if (more === null) return [];
      const present = Number.parseInt(alpha, 16) / 255;
      const share = 100 * (1 - (1 - present) * (1 - more / 100));
      const made = veilOf(veil, share);
      const fill = `linear(180deg, ${made}, ${made}) @${name ?? ''}${as === 'cover' ? '' : ` ${as}`}`;
      return [
        { target, property: 'backgroundImage' as const, value: fill, colour: null, scrim: Math.ceil(share) },
      ];
    })
    .sort((a, b) => a.scrim - b.scrim);
}

/** The property by which the colour of a pair can be set on the thing that is named by it. */
function ownProperty({ kind }: ContrastPair): Property | null {
  return kind === 'edge' ? 'borderColor' : 'color';
}

/**
 * Where it is set: where it is now, if somebody set it for one place; else in the part that it is in; else everywhere.
 * In the same state, where the thing has it.
 */
function targetsOf(document: SiteDocument, pair: ContrastPair, thing: ThingName): StyleTarget[] {
  const { origin, part, state, situation, scheme, device } = pair;
  const owners = [
    ...(origin.from === 'set' && scopeOf(document, origin.target.owner) !== null
      ? [origin.target.owner]
      : []),
    ...(origin.from === 'variant' ? [variantOwner(origin.variant)] : []),
    ...(part === null ? [] : [part]),
    ...(pair.item === null ? [] : [pair.item]),
    document.site.id,
  ];
  const hasState = lineOf(thing).some((one) => thingOf(one).in[state] !== undefined);
  const within = {
    thing,
    ...(state === 'normal' || !hasState ? {} : { state }),
    ...(situation === null ? {} : { situation }),
    ...(scheme === null ? {} : { scheme }),
    ...(device === null ? {} : { device }),
  };
  return [...new Set(owners)]
    .filter((owner) => scopeOf(document, owner) !== null)
    .map((owner) => ({ owner, ...within }));
}
