import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import { GRID_COLUMNS } from '../schema/parts/cell.ts';
import type { SiteDocument } from '../model/document.ts';
import { branchOf } from '../model/branchOf.ts';
import { childrenOf, nodeAt, type Spot } from '../model/forest.ts';
import { newPart } from '../model/newPart.ts';
import { areaId, zoneId } from '../model/partRoots.ts';
import { wayUp } from '../model/wayUp.ts';
import type { Operation } from '../ops/registry.ts';
import { zoneNames, type AreaName, type Part, type PartKind } from '../schema/part.ts';
import type { Place } from '../schema/placement.ts';
import { placementOf, placementsIn } from '../resolve/placementOf.ts';

/** A spot in a frame, and the operations that make it where it is not there yet. */
export interface MadeSpot {
  readonly spot: Spot;
  readonly made: readonly Operation[];
}

/** The operation that adds an area that is not there yet; none where it is. */
export function areaNeeded({ parts, site }: SiteDocument, area: AreaName): Operation[] {
  const id = areaId(area);
  return parts.nodes.has(id)
    ? []
    : [
        {
          kind: 'addPart',
          after: childrenOf(parts, site.id).last(),
          branch: [newPart(id, site.id, { kind: 'area', area })],
        },
      ];
}

/** A band with its three zones, or, as a grid, with one cell. The zones or the cell follow it. */
export function newBand(area: Id, isGrid: boolean, random: RandomBits): Part[] {
  const band = newPart(mintId('part', random), area, { kind: 'band' });
  const inner = isGrid
    ? [newPart(mintId('part', random), band.id, { kind: 'cell', span: GRID_COLUMNS })]
    : zoneNames.map((at) => newPart(zoneId(band.id, at), band.id, { kind: 'zone', at }));
  return [band, ...inner];
}

/** Where a menu goes that somebody puts into a place. Bands that are missing are made. */
export function spotFor(document: SiteDocument, place: Place, random: RandomBits): MadeSpot {
  const { parts, site } = document;
  if (place === 'inPage')
    return { spot: { parent: site.id, after: childrenOf(parts, site.id).last() }, made: [] };
  const isHeader = place === 'bar' || place === 'secondBar';
  const name = isHeader ? 'header' : place;
  const area = areaId(name);
  const bands = [...childrenOf(parts, area)];
  const placed = bands.filter((band) =>
    placementsIn(parts, area).some(({ id }) => wayUp(document, id).some((one) => one.id === band)),
  );
  const present = presentBand(document, place, bands, placed);
  if (present !== undefined) {
    const holders = [...childrenOf(parts, present)].map((id) => nodeAt(parts, id));
    const wanted = place === 'secondBar' ? 'end' : 'start';
    const holder =
      holders.find(({ kind, at }) => kind === 'zone' && at === wanted) ??
      holders.find(({ kind }) => kind === 'cell' || kind === 'zone');
    if (holder !== undefined)
      return { spot: { parent: holder.id, after: childrenOf(parts, holder.id).last() }, made: [] };
  }
  const branch = newBand(area, !isHeader, random);
  const [band] = branch;
  const holder = place === 'secondBar' ? branch.at(-1) : branch[1];
  return {
    spot: { parent: holder?.id ?? area, after: null },
    made: [
      ...areaNeeded(document, name),
      {
        kind: 'addPart',
        // A second bar is above all else, and a footer ends with what is there already: its small print.
        after:
          place === 'secondBar' || place === 'footer' || band === undefined ? null : (bands.at(-1) ?? null),
        branch,
      },
    ],
  };
}

/** The band that a menu goes into, of those with menus and all others; undefined: it gets one of its own. */
function presentBand(
  { parts }: SiteDocument,
  place: Place,
  bands: readonly Id[],
  placed: readonly Id[],
): Id | undefined {
  if (place === 'footer') return placed.at(-1);
  if (place !== 'secondBar') return placed.at(-1) ?? bands.at(-1);
  if (placed.length > 1) return placed[0];
  const isThin = (band: Id): boolean =>
    branchOf(parts, band).every(({ kind }) => BESIDE_SECOND_BAR.has(kind));
  const [first] = placed;
  return (first === undefined ? bands : bands.slice(0, bands.indexOf(first))).find(isThin);
}
/** What stands in a thin row above the header with a second menu, besides what holds it. */
const BESIDE_SECOND_BAR: ReadonlySet<PartKind> = new Set([
  'band',
  'zone',
  'contact',
  'social',
  'account',
  'divider',
]);

/**
 * The operations that put a menu into a place, in a placement of its own. Where another menu shows already, it is
 * hidden at first: a page does not get two main menus because somebody began a second one.
 */
export function placingOf(document: SiteDocument, menu: Id, place: Place, random: RandomBits): Operation[] {
  const { spot, made } = spotFor(document, place, random);
  const placement = newPart(mintId('part', random), spot.parent, {
    kind: 'placement',
    shows: menu,
    ...(isTaken(document, place) ? { isHidden: true as const } : {}),
  });
  return [...made, { kind: 'addPart', after: spot.after, branch: [placement] }];
}

/** Whether a menu shows in a place on pages that are no exception. Places within the page are as many as wanted. */
export function isTaken(document: SiteDocument, place: Place): boolean {
  if (place === 'inPage') return false;
  return placementsIn(document.parts, document.site.id).some(
    ({ isHidden, shows }) =>
      isHidden !== true &&
      shows !== undefined &&
      document.menus.nodes.has(shows) &&
      placementOf(document, shows)?.place === place,
  );
}
