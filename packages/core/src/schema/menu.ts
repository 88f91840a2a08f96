import * as Type from 'typebox';
import type { Static } from 'typebox';
import { FollowShape } from './follow.ts';
import { settingFields } from './settings.ts';
import { closed, IdShape, KeyShape, LabelShape, LanguageShape, someOf } from './shapes.ts';

export const menuFields = {
  /** Readable and stable: the delivery address holds it. */
  key: KeyShape,
  name: LabelShape,
  language: LanguageShape,
  description: Type.String({ maxLength: 2000 }),
};

export const menuOptions = {
  /** How many levels its editors want it to have at most; not there: any. */
  depthLimit: Type.Integer({ minimum: 1, maximum: 20 }),
  own: settingFields.own,
  follow: FollowShape,
};

/** A menu; its parent is the site, its items have it as their parent. */
export const MenuShape = Type.Object(
  { id: IdShape, parent: IdShape, ...menuFields, ...someOf(menuOptions).properties },
  closed,
);
/** A menu: name, key, language, and how it is filled. */
export type Menu = Static<typeof MenuShape>;
