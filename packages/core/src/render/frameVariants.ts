import type { Id } from '../base/ids.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { areaId, areaWords } from '../model/partRoots.ts';
import { winning, type Situation } from '../resolve/frameExceptions.ts';
import { partsWithExceptions } from '../resolve/resolveFrame.ts';
import type { Part, PartOf } from '../schema/part.ts';
import { preorder } from '../walk/preorder.ts';
import { frameAreas, type FrameArea } from './renderFrame.ts';

/** An area can be different on different pages in at most so many ways. */
export const MOST_VARIANTS = 500;

/** What is varied: each area, and the named places within the page. */
export const varied = [...frameAreas, 'page'] as const;
/** See `varied`. */
export type Varied = FrameArea | 'page';

/** One way in which an area is on some pages: the exception that wins, by the id of the part it is about. */
export type Variant = ReadonlyMap<Id, PartOf<'exception'>>;

/** For each of `varied`, which of its variants. */
export type Combination = Readonly<Record<Varied, number>>;

/** Which variant of each area is on which page. */
export interface FrameTable {
  /** The first of each is what pages get that nobody knows, and that are of no template. */
  readonly variants: Readonly<Record<Varied, readonly Variant[]>>;
  readonly combinations: readonly Combination[];
  /** Places in `combinations`. */
  readonly ofTemplate: ReadonlyMap<string, number>;
  readonly ofPage: ReadonlyMap<Id, number>;
}

/**
 * The variants of a frame and the pages of each. Pages for which the same exceptions win share a variant, so there
 * are as few as there can be. O(pages + pages with exceptions of their own * parts with exceptions).
 */
export function frameTable(document: SiteDocument): FrameTable {
  const { pages, site } = document;
  const areas = varied.map((name) => new VariedArea(document, name));
  const combinations: Combination[] = [];
  const known = new Map<string, number>();
  const combined = (situation: Situation): number => {
    const places = areas.map((area) => area.variantFor(situation));
    const key = places.join(' ');
    const present = known.get(key);
    if (present !== undefined) return present;
    known.set(key, combinations.length);
    combinations.push(Object.fromEntries(varied.map((name, at) => [name, places[at] ?? 0])) as Combination);
    return combinations.length - 1;
  };
  combined({ template: null, pages: [] });
  const templates = new Set(
    [
      ...areas.flatMap((area) => area.templates),
      ...[...pages.nodes.values()].map(({ template }) => template),
    ].filter((template) => template !== null),
  );
  const ofTemplate = new Map([...templates].map((template) => [template, combined({ template, pages: [] })]));
  const named = new Set(areas.flatMap((area) => area.pages));
  const ofPage = new Map<Id, number>();
  /** Of the pages above, those that an exception names; the nearest first. */
  const way: { readonly depth: number; readonly id: Id }[] = [];
  /** Pages without an exception of their own are as others of their template below the same exceptions. */
  const asOthers = new Map<string, number>();
  for (const { node: id, depth } of preorder<Id>(childrenOf(pages, site.id), (one) =>
    childrenOf(pages, one),
  )) {
    while ((way[0]?.depth ?? -1) >= depth) way.shift();
    if (named.has(id)) way.unshift({ depth, id });
    const { template } = nodeAt(pages, id);
    const above = way.map((one) => one.id);
    if (named.has(id)) {
      ofPage.set(id, combined({ template, pages: above }));
      continue;
    }
    const key = `${above.join(' ')} ${template ?? ''}`;
    const present = asOthers.get(key) ?? combined({ template, pages: ['', ...above] });
    asOthers.set(key, present);
    ofPage.set(id, present);
  }
  return {
    variants: Object.fromEntries(
      areas.map((area) => [area.name, area.variants]),
    ) as unknown as FrameTable['variants'],
    combinations,
    ofTemplate,
    ofPage,
  };
}

/** Why a frame cannot be delivered: an area of it has too many variants. Null: it can. */
export function frameProblem(
  document: SiteDocument,
  { variants }: FrameTable = frameTable(document),
): Refusal | null {
  for (const name of varied) {
    const count = variants[name].length;
    if (count <= MOST_VARIANTS) continue;
    const about = new Set(variants[name].flatMap((variant) => [...variant.keys()]));
    return refusal('tooManyVariants', {
      area: name === 'page' ? 'page' : areaWords[name],
      count,
      most: MOST_VARIANTS,
      parts: [...about]
        .slice(0, 5)
        .map((id) => nameOf(document, 'parts', id))
        .join(', '),
    });
  }
  return null;
}

/** The variants of one area, as they are met. */
class VariedArea {
  readonly variants: Variant[] = [];
  readonly #known = new Map<string, number>();
  readonly #parts: readonly { readonly part: Part; readonly exceptions: readonly PartOf<'exception'>[] }[];

  constructor(
    document: SiteDocument,
    readonly name: Varied,
  ) {
    const { site } = document;
    // The drawer comes with the header.
    const roots =
      name === 'page' ? [site.id] : name === 'header' ? [areaId(name), areaId('drawer')] : [areaId(name)];
    this.#parts = partsWithExceptions(document, roots);
  }

  get templates(): string[] {
    return this.#parts.flatMap(({ exceptions }) => exceptions.flatMap(({ template }) => template ?? []));
  }

  get pages(): Id[] {
    return this.#parts.flatMap(({ exceptions }) => exceptions.flatMap(({ onPage }) => onPage ?? []));
  }

  variantFor(situation: Situation): number {
    const winners = this.#parts.map(
      ({ part, exceptions }) => [part.id, winning(exceptions, situation)] as const,
    );
    const key = winners.map(([, winner]) => winner?.id ?? '').join(' ');
    const present = this.#known.get(key);
    if (present !== undefined) return present;
    this.#known.set(key, this.variants.length);
    this.variants.push(
      new Map(winners.flatMap(([id, winner]) => (winner === null ? [] : [[id, winner] as const]))),
    );
    return this.variants.length - 1;
  }
}
