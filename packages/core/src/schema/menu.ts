import * as Type from 'typebox';
import type { Static } from 'typebox';
import { FollowShape } from './follow.ts';
import { dropdownForms, openings } from './dropdown.ts';
import { badgePositions, settingFields } from './settings.ts';
import { closed, IdShape, KeyShape, LabelShape, LanguageShape, someOf } from './shapes.ts';

export const menuFields = {
  /** Readable and stable: the delivery address holds it. */
  key: KeyShape,
  name: LabelShape,
  language: LanguageShape,
  description: Type.String({ maxLength: 2000 }),
};

/** What holds for all entries of a menu that say nothing else themselves. */
export const MenuUsualShape = Type.Object(
  {
    /** What drops from the entries of the bar, and what opens it. */
    form: Type.Optional(Type.Enum(dropdownForms)),
    opens: Type.Optional(Type.Enum(openings)),
    /** What a click does on items with a link and a submenu. */
    activation: Type.Optional(settingFields.activation),
    /** Where badges stand. */
    badgeAt: Type.Optional(Type.Enum(badgePositions)),
  },
  { ...closed, minProperties: 1 },
);
/** See `MenuUsualShape`. */
export type MenuUsual = Static<typeof MenuUsualShape>;

export const menuOptions = {
  /** How many levels its editors want it to have at most; not there: any. */
  depthLimit: Type.Integer({ minimum: 1, maximum: 20 }),
  own: settingFields.own,
  usual: MenuUsualShape,
  follow: FollowShape,
};

/** A menu; its parent is the site, its items have it as their parent. */
export const MenuShape = Type.Object(
  { id: IdShape, parent: IdShape, ...menuFields, ...someOf(menuOptions).properties },
  closed,
);
/** A menu: name, key, language, and how it is filled. */
export type Menu = Static<typeof MenuShape>;
