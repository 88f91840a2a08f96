import Type, { type Static } from 'typebox';
import { closed, IdShape, KeyShape, LabelShape, LanguageShape } from './shapes.ts';

export const menuFields = {
  /** Readable and stable: the delivery address holds it. */
  key: KeyShape,
  name: LabelShape,
  language: LanguageShape,
  description: Type.String({ maxLength: 2000 }),
};

/** A menu; its parent is the site, its items have it as their parent. */
export const MenuShape = Type.Object({ id: IdShape, parent: IdShape, ...menuFields }, closed);
export type Menu = Static<typeof MenuShape>;
