import type { SiteDocument } from '../model/document.ts';
import { canYield, usesInDrawer, usualParts } from '../model/frameParts.ts';
import { areaId } from '../model/partRoots.ts';
import { partsIn } from '../model/partsIn.ts';
import { areaAround, wayUp } from '../model/wayUp.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import type { Part } from '../schema/part.ts';

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
 * there, or left to a drawer that does not have them, or that no button opens there. A drawer with a menu of its own
 * takes the place of all menus that it does not have. O(parts of the frame).
 */
export function lostParts(document: SiteDocument): LostPart[] {
  const { parts, site } = document;
  const drawer = partsIn(document, areaId('drawer'));
  const inDrawer = usesInDrawer(document);
  const hasOwnMenu = drawer.some(({ kind }) => kind === 'placement');
  const all = (['header', 'side'] as const).flatMap((area) => partsIn(document, areaId(area)));
  const buttons = all.filter(({ kind }) => kind === 'menuButton');
  const takeover = parts.nodes.get(areaId('drawer'))?.takeover ?? site.breakpoints.medium;
  /** The least width of a device class, in px: if the drawer takes over there, it does in all narrower windows. */
  const from: Readonly<Record<DeviceClass, number>> = { narrow: 0, ...site.breakpoints };
  const takesOver = (device: DeviceClass): boolean =>
    drawer.length > 0 &&
    buttons.length > 0 &&
    (takeover === 'always' || (typeof takeover === 'number' && takeover > from[device]));

  const arranged = new Set(
    all.flatMap(({ only, parent }) => (only === undefined ? [] : [`${parent} ${only}`])),
  );
  /** Whether what stands there is shown on a device class: the area's arrangement for it, or its usual bands. */
  const isThere = (id: string, device: DeviceClass): boolean => {
    const way = wayUp(document, id);
    const only = way.find((one) => one.only !== undefined)?.only;
    const hasOwn = arranged.has(`${areaAround(document, id)?.id} ${device}`);
    return (
      (hasOwn ? only === device : only === undefined) &&
      !way.some(({ hiddenOn }) => hiddenOn?.includes(device) === true)
    );
  };
  /** Whether a part is seen on a device class, where it stands or where an arrangement shows it again. */
  const isSeen = ({ id, yields, hiddenOn }: Part, device: DeviceClass): boolean =>
    hiddenOn?.includes(device) !== true &&
    !(yields === true && takesOver(device)) &&
    [id, ...all.flatMap((one) => (one.kind === 'use' && one.of === id ? [one.id] : []))].some((one) =>
      isThere(one, device),
    );
  const isReached = (part: Part, device: DeviceClass): boolean =>
    isSeen(part, device) ||
    (takesOver(device) &&
      buttons.some((button) => isSeen(button, device)) &&
      (inDrawer.has(part.id) || (hasOwnMenu && part.kind === 'placement')));

  return (['header', 'side'] as const)
    .flatMap((area) => usualParts(document, area).flat())
    .filter((part) => canYield(part) && !ornaments.has(part.kind) && part.isHidden !== true)
    .flatMap((part): LostPart[] => {
      const on = (['medium', 'narrow'] as const).filter((device) => !isReached(part, device));
      return on.length > 0 && isReached(part, 'wide') ? [{ part, on }] : [];
    });
}
