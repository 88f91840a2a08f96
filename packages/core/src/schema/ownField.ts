import * as Type from 'typebox';
import type { Static } from 'typebox';
import { closed, IdShape, KeyShape, LabelShape } from './shapes.ts';

export const ownFieldTypes = ['text', 'number', 'yesNo'] as const;
/** The type of a custom field's values. */
export type OwnFieldType = (typeof ownFieldTypes)[number];

export const ownFieldFields = {
  /** Under which its values are delivered. */
  key: KeyShape,
  name: LabelShape,
  type: Type.Enum(ownFieldTypes),
  /** What has it: items, with shared links, or menus. */
  of: Type.Union([Type.Literal('items'), Type.Literal('menus')]),
};

/** A field of the site's own, declared once. Its parent is the site. */
export const OwnFieldShape = Type.Object({ id: IdShape, parent: IdShape, ...ownFieldFields }, closed);
/** A custom field that a site has added to its items or menus. */
export type OwnField = Static<typeof OwnFieldShape>;

const typeNames = { text: 'string', number: 'number', yesNo: 'boolean' } as const;

/** Whether a value has the type that its custom field declares. */
export function fitsType(value: unknown, type: OwnFieldType): boolean {
  return typeof value === typeNames[type];
}
