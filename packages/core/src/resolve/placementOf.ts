import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt, type Forest } from '../model/forest.ts';
import { wayUp } from '../model/wayUp.ts';
import { preorder } from '../walk/preorder.ts';
import type { Part, PartOf } from '../schema/part.ts';
import type { Place } from '../schema/placement.ts';

/** A placement that shows a menu somewhere, and what kind of place that is. */
export interface Placed {
  readonly id: Id;
  readonly place: Place;
}

/**
 * Where a menu shows first, which is where the live header shows it: where it usually does, else where it is an
 * exception; null when it shows nowhere yet. O(parts of the frame), once for each change of parts.
 */
export function placementOf({ parts, site }: SiteDocument, menu: Id): Placed | null {
  const known = found.get(parts) ?? placedIn(parts, site.id);
  found.set(parts, known);
  return known.get(menu) ?? null;
}

const found = new WeakMap<Forest<Part>, ReadonlyMap<Id, Placed>>();

function placedIn(parts: Forest<Part>, site: Id): ReadonlyMap<Id, Placed> {
  const usual = new Map<Id, Placed>();
  const exceptional = new Map<Id, Placed>();
  for (const placement of placementsIn(parts, site)) {
    const placed = { id: placement.id, place: placeOf(parts, placement) };
    const { shows } = placement;
    if (shows !== undefined && !usual.has(shows)) usual.set(shows, placed);
    for (const id of childrenOf(parts, placement.id)) {
      const other = nodeAt(parts, id).shows;
      if (other !== undefined && !exceptional.has(other)) exceptional.set(other, placed);
    }
  }
  return new Map([...exceptional, ...usual]);
}

/** All placements of a frame, in their order. O(parts of the frame). */
export function placementsIn(parts: Forest<Part>, site: Id): PartOf<'placement'>[] {
  return [...preorder<Id>(childrenOf(parts, site), (id) => childrenOf(parts, id))].flatMap(({ node }) => {
    const part = nodeAt(parts, node);
    return part.kind === 'placement' ? [part] : [];
  });
}

/** In the header, the last band with a menu in it is the bar, and all above it are second bars. */
function placeOf(parts: Forest<Part>, placement: PartOf<'placement'>): Place {
  const way = wayUp({ parts }, placement.id);
  const band = way.find(({ kind }) => kind === 'band');
  const area = way.at(-1);
  if (area?.kind !== 'area' || band === undefined) return 'inPage';
  if (area.area !== 'header') return area.area;
  if (placement.form === 'list') return 'inPage';
  const bands = [...childrenOf(parts, area.id)];
  const last = bands.findLast((id) =>
    [...preorder<Id>([id], (one) => childrenOf(parts, one))].some(
      ({ node }) => nodeAt(parts, node).kind === 'placement',
    ),
  );
  return last === band.id ? 'bar' : 'secondBar';
}
