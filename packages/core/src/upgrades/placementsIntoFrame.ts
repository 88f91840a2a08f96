import { derivedId, type Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt, spotOf } from '../model/forest.ts';
import { newPart } from '../model/newPart.ts';
import type { Operation } from '../ops/registry.ts';
import type { Part } from '../schema/part.ts';
import type { Place, Placement } from '../schema/placement.ts';

/** Areas as the frame had them first, and the places of menus in each. */
const layout = [
  ['header', ['secondBar', 'bar']],
  ['side', ['side']],
  ['footer', ['footer']],
  ['drawer', ['drawer']],
] as const;

/**
 * Placements become parts of the frame. A bar and a second bar are bands of the header; menus elsewhere stand in
 * a cell of a band; those within the page become named places. All ids follow from those that are there, so that
 * the step gives the same however often it is tried.
 */
export function placementsIntoFrame({ placements, menus, site }: SiteDocument): Operation[] {
  const old = [...childrenOf(placements, site.id)].map((id) => nodeAt(placements, id));
  const derived = (...words: readonly string[]): Id => derivedId('part', words.join(' '));
  const inPlace = (place: Place): Placement[] => old.filter((one) => one.place === place);
  /** Of several menus in one place the first shows: which of them a page got was up to the site. */
  const isFirst = ({ id, place }: Placement): boolean => place === 'inPage' || inPlace(place)[0]?.id === id;
  const part = (one: Placement, parent: Id, text?: string): Part =>
    newPart(derived('placement', one.id), parent, {
      kind: 'placement',
      shows: one.menu,
      ...(isFirst(one) ? {} : { isHidden: true as const }),
      ...(text === undefined ? {} : { text }),
    });
  const bandOf = (area: Id, place: Place): Part[] => {
    const some = inPlace(place);
    if (some.length === 0) return [];
    const band = newPart(derived(area, place), area, { kind: 'band' });
    if (place !== 'bar' && place !== 'secondBar') {
      const cell = newPart(derived(band.id, 'cell'), band.id, { kind: 'cell', span: 12 });
      return [band, cell, ...some.map((one) => part(one, cell.id))];
    }
    const wanted = place === 'bar' ? 'start' : 'end';
    const zones = (['start', 'centre', 'end'] as const).flatMap((at): Part[] => {
      const zone = newPart(derived(band.id, at), band.id, { kind: 'zone', at });
      return [zone, ...(at === wanted ? some.map((one) => part(one, zone.id)) : [])];
    });
    return [band, ...zones];
  };
  let after: Id | null = null;
  const last = (id: Id): Id | null => {
    const before = after;
    after = id;
    return before;
  };
  const areas = layout.map(([area, places]): Operation => {
    const id = derived('area', area);
    return {
      kind: 'addPart',
      after: last(id),
      branch: [newPart(id, site.id, { kind: 'area', area }), ...places.flatMap((place) => bandOf(id, place))],
    };
  });
  const named = inPlace('inPage').map((one): Operation => {
    const made = part(one, site.id, menus.nodes.get(one.menu)?.name);
    return { kind: 'addPart', after: last(made.id), branch: [made] };
  });
  // From the last to the first, so that what each stands behind is still there.
  const removed = old.toReversed().map((one): Operation => ({
    kind: 'removePlacement',
    after: spotOf(placements, one.id).after,
    branch: [one],
  }));
  return [...areas, ...named, ...removed];
}
