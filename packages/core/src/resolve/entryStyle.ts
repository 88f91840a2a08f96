import type { ThingName } from '../anatomy/anatomy.ts';
import type { Property } from '../anatomy/properties.ts';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { rankedStyles, type ResolvedStyle, type StyleChoices } from '../style/resolveStyle.ts';
import { sheetOf } from './sheetOf.ts';

/**
 * What a property of the icon or the badge of an item comes to, wherever its menu is: by what was set for the item or
 * the shared link, for the whole site, or by the starter. What was set for one area or menu is not asked. O(looks).
 */
export function entryStyle(
  document: SiteDocument,
  owner: Id,
  thing: ThingName,
  property: Property,
): ResolvedStyle | null {
  const choices: StyleChoices = {
    sheet: sheetOf(document),
    holds: ({ target }) => target.owner === owner || target.owner === document.site.id,
  };
  return rankedStyles(thing, property, choices)[0] ?? null;
}
