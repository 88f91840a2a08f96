import type { Id } from '../base/ids.ts';
import { fieldsOf, type AreaName, type Part } from '../schema/part.ts';
import type { SiteDocument } from './document.ts';
import { childrenOf, nodeAt } from './forest.ts';
import { areaId } from './partRoots.ts';
import { partsIn } from './partsIn.ts';

/** The bands of an area as they usually are, without those that device classes have of their own. */
export function usualBands({ parts }: SiteDocument, area: AreaName): Part[] {
  return [...childrenOf(parts, areaId(area))]
    .map((id) => nodeAt(parts, id))
    .filter(({ kind, only }) => kind === 'band' && only === undefined);
}

/** The zones or cells of a band. */
export function holdersIn({ parts }: SiteDocument, band: Id): Part[] {
  return [...childrenOf(parts, band)].map((id) => nodeAt(parts, id)).filter(isHolder);
}

/** Whether parts of the frame stand in it. */
export function isHolder({ kind }: Part): boolean {
  return kind === 'zone' || kind === 'cell';
}

/** The parts that stand in the usual bands of an area, band by band; not those that are only shown there again. */
export function usualParts(document: SiteDocument, area: AreaName): Part[][] {
  const { parts } = document;
  return usualBands(document, area).map((band) =>
    holdersIn(document, band.id)
      .flatMap(({ id }) => [...childrenOf(parts, id)].map((one) => nodeAt(parts, one)))
      .filter(({ kind }) => kind !== 'use' && kind !== 'exception'),
  );
}

/** Whether the header or the side can leave a part of this kind to the drawer. */
export function canYield({ kind }: Pick<Part, 'kind'>): boolean {
  return 'yields' in fieldsOf(kind);
}

/** The parts that the drawer shows again, by the ids of what they are. O(parts of the drawer). */
export function usesInDrawer(document: SiteDocument): ReadonlyMap<Id, Part> {
  return new Map(
    partsIn(document, areaId('drawer')).flatMap((one) =>
      one.kind === 'use' ? [[one.of, one] as const] : [],
    ),
  );
}
