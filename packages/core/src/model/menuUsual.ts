import type { Id } from '../base/ids.ts';
import type { Dropdown } from '../schema/dropdown.ts';
import type { Item } from '../schema/item.ts';
import type { MenuUsual } from '../schema/menu.ts';
import type { Badge, Settings } from '../schema/settings.ts';
import type { SiteDocument } from './document.ts';
import { faceOf } from './faceOf.ts';

type ItemActivation = NonNullable<Settings['activation']>;

/** What a menu sets for all its entries; empty: nothing. */
export function usualOf(document: SiteDocument, menu: Id): MenuUsual {
  return document.menus.nodes.get(menu)?.usual ?? {};
}

/** What drops from an entry of a bar: as the entry says, or else as its menu does. */
export function dropdownOf(document: SiteDocument, item: Item): Dropdown | undefined {
  return withUsualDropdown(faceOf(document, item).dropdown, usualOf(document, item.parent));
}

/** A dropdown with what its menu says where it says nothing itself. */
export function withUsualDropdown(
  own: Dropdown | undefined,
  { form, opens }: MenuUsual,
): Dropdown | undefined {
  const opening = own?.opens ?? opens;
  const made = { ...(own ?? { form: form ?? 'list' }), ...(opening === undefined ? {} : { opens: opening }) };
  return own === undefined && form === undefined && opens === undefined ? undefined : made;
}

/** What a click does, by device class, with what the menu says where the item says nothing. */
export function withUsualActivation(
  own: ItemActivation | undefined,
  { activation }: MenuUsual,
): ItemActivation | undefined {
  return own === undefined && activation === undefined ? undefined : { ...activation, ...own };
}

/** A badge with its position: its own, else as its menu says, else after the label. */
export function withUsualBadge(badge: Badge | undefined, { badgeAt }: MenuUsual): Badge | undefined {
  return badge === undefined || badge.position !== undefined
    ? badge
    : { ...badge, position: badgeAt ?? 'after' };
}
