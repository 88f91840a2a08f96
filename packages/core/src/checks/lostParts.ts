import type { SiteDocument } from '../model/document.ts';
import { areaId } from '../model/partRoots.ts';
import { partsIn } from '../model/partsIn.ts';
import { usedPart } from '../model/usedPart.ts';
import { wayUp } from '../model/wayUp.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import { fieldsOf, type Part } from '../schema/part.ts';

/** A part that visitors reach on wide screens, and the device classes on which they do not. */
export interface LostPart {
  readonly part: Part;
  readonly on: readonly DeviceClass[];
}

/** What shows nothing that a visitor would miss. */
const ornaments: ReadonlySet<Part['kind']> = new Set([
  'divider',
  'spacer',
  'logo',
  'menuButton',
  'breadcrumb',
]);

/**
 * Parts of the header and the side that are within reach on wide screens and not on medium or narrow ones: hidden
 * there, or left to a drawer that does not have them. A drawer with a menu of its own takes the place of all menus
 * that it does not have. O(parts of the frame).
 */
export function lostParts(document: SiteDocument): LostPart[] {
  const { site, parts } = document;
  const drawer = partsIn(document, areaId('drawer'));
  const area = parts.nodes.get(areaId('drawer'));
  const takeover = area?.takeover ?? site.breakpoints.medium;
  const header = partsIn(document, areaId('header'));
  const isThere =
    takeover !== 'never' && drawer.length > 0 && header.some(({ kind }) => kind === 'menuButton');
  const inDrawer = new Set(isThere ? drawer.flatMap((one) => (one.kind === 'use' ? [one.of] : [])) : []);
  const hasOwnMenu = isThere && drawer.some(({ kind }) => kind === 'placement');
  /** The first width of a device class, in px: if the drawer takes over there, it does in all narrower windows. */
  const from: Readonly<Record<DeviceClass, number>> = {
    narrow: 0,
    medium: site.breakpoints.medium,
    wide: site.breakpoints.wide,
  };
  const takesOver = (device: DeviceClass): boolean =>
    isThere && (takeover === 'always' || (typeof takeover === 'number' && takeover > from[device]));
  const all = [...header, ...partsIn(document, areaId('side'))];
  const uses = all.flatMap((one) => (one.kind === 'use' ? [one] : []));
  const isArranged = (name: string | undefined, device: DeviceClass): boolean =>
    all.some(
      (one) => one.kind === 'band' && one.only === device && parts.nodes.get(one.parent)?.area === name,
    );

  /** Whether a part shows on a device class where it stands, or once more in an arrangement of its area. */
  const isSeen = (part: Part, device: DeviceClass): boolean => {
    const way = wayUp(document, part.id);
    const only = way.find((one) => one.only !== undefined)?.only;
    const isHidden = [part, ...way].some(({ hiddenOn }) => hiddenOn?.includes(device) === true);
    // Where the drawer takes over in a part of the class, there are windows in which it yields.
    const isLeft = part.yields === true && takesOver(device);
    if (isHidden || isLeft) return false;
    if (only === undefined && !isArranged(way.at(-1)?.area, device)) return true;
    return uses.some(({ id, of }) => {
      const there = wayUp(document, id);
      return (
        of === part.id &&
        there.some((one) => one.only === device) &&
        !there.some(({ hiddenOn }) => hiddenOn?.includes(device) === true)
      );
    });
  };
  const isReached = (part: Part, device: DeviceClass): boolean =>
    isSeen(part, device) ||
    (takesOver(device) && (inDrawer.has(part.id) || (hasOwnMenu && part.kind === 'placement')));

  return all.flatMap((part): LostPart[] => {
    if (part.kind === 'use' || ornaments.has(part.kind) || !('yields' in fieldsOf(part.kind))) return [];
    if (part.kind === 'band' || part.isHidden === true || usedPart(document, { of: part.id }) === null)
      return [];
    if (wayUp(document, part.id).some(({ only }) => only !== undefined)) return [];
    if (!isReached(part, 'wide')) return [];
    const on = (['medium', 'narrow'] as const).filter((device) => !isReached(part, device));
    return on.length === 0 ? [] : [{ part, on }];
  });
}
