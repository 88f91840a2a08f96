import * as Type from 'typebox';
import type { Static } from 'typebox';
import { DropdownShape } from './dropdown.ts';
import { deviceClasses } from './deviceClass.ts';
import { closed, KeyShape, recordOf, someOf } from './shapes.ts';

/** Numbers, commands and separators of SVG path data (SVG 2, 9.3), nothing that could end an attribute. */
export const IconShape = Type.Object(
  {
    /** What it is called in the set that it was chosen from. */
    name: Type.String({ pattern: '^[a-z][a-z0-9-]{0,79}$' }),
    /** Its outline in a square of 24 by 24, kept here so that what is served needs no set of icons. */
    path: Type.String({ pattern: '^[MmZzLlHhVvCcSsQqTtAa0-9 ,.eE+-]{1,4000}$' }),
    position: Type.Union([Type.Literal('before'), Type.Literal('after'), Type.Literal('above')]),
  },
  closed,
);
/** An icon: its name in the icon set, and its path, so that output needs no icon set. */
export type Icon = Static<typeof IconShape>;

export const LONGEST_BADGE = 40;
/** Where a badge stands beside its label. */
export const badgePositions = ['after', 'before', 'above'] as const;
/** A short note beside a label, such as “New”. Its colours are looks, like those of everything else. */
export const BadgeShape = Type.Object(
  {
    text: Type.String({ minLength: 1, maxLength: LONGEST_BADGE }),
    /** Not there: where the menu says, or after the label. */
    position: Type.Optional(Type.Enum(badgePositions)),
  },
  closed,
);
/** A short note beside a label. */
export type Badge = Static<typeof BadgeShape>;

/**
 * What activating an item with a branch does: its link is followed, its branch opens, or the label follows
 * and the arrow opens.
 */
export const ActivationShape = Type.Union([
  Type.Literal('follow'),
  Type.Literal('open'),
  Type.Literal('split'),
]);
/** What activating an item with a branch does. */
export type Activation = Static<typeof ActivationShape>;

const someDevices = Type.Array(Type.Enum(deviceClasses), { minItems: 1, maxItems: 3, uniqueItems: true });
const OwnValueShape = Type.Union([Type.String({ maxLength: 2000 }), Type.Number(), Type.Boolean()]);
/** The value of a custom field. */
export type OwnValue = Static<typeof OwnValueShape>;

export const LONGEST_TOOLTIP = 400;
export const LONGEST_DESCRIPTION = 1000;

export const CLASSES_PATTERN = '^[A-Za-z_][A-Za-z0-9_-]{0,59}( [A-Za-z_][A-Za-z0-9_-]{0,59}){0,9}$';

/**
 * What may be set for an item. A setting that is not there has its usual value: most items have none of them.
 */
export const settingFields = {
  /** `button`, or the key of one of the site's variants; what has the key of none is a button. Not there: a link. */
  look: KeyShape,
  tooltip: Type.String({ minLength: 1, maxLength: LONGEST_TOOLTIP }),
  /** A line below the label. */
  description: Type.String({ minLength: 1, maxLength: LONGEST_DESCRIPTION }),
  icon: IconShape,
  badge: BadgeShape,
  /** One or more classes that the site's own style sheet knows, parted by single spaces. */
  cssClass: Type.String({ pattern: CLASSES_PATTERN }),
  /** Not seen, but still its accessible name. */
  labelHidden: Type.Literal(true),
  arrowHidden: Type.Literal(true),
  /** Device classes on which the item is not shown, with all below it. */
  hiddenOn: someDevices,
  /** Device classes on which what is below it is not shown. */
  branchHiddenOn: someDevices,
  /** By device class; where nothing is said, the label follows and the arrow opens. */
  activation: Type.Object(
    {
      narrow: Type.Optional(ActivationShape),
      medium: Type.Optional(ActivationShape),
      wide: Type.Optional(ActivationShape),
    },
    closed,
  ),
  /** How what stands below it drops from a bar. */
  dropdown: DropdownShape,
  /** Not published, with all below it, until somebody says so. */
  heldBack: Type.Literal(true),
  /** Values of the site's own fields, by their keys. */
  own: recordOf(KeyShape, OwnValueShape, { minProperties: 1, maxProperties: 40 }),
};

/** See `Settings`. */
export const SettingsShape = someOf(settingFields);
/** The optional settings of an item. A setting that is absent has its usual value. */
export type Settings = Static<typeof SettingsShape>;
/** The name of a setting. */
export type SettingName = keyof Settings;
/** The names of all settings, in the order of the schema. */
export const settingNames = Object.keys(settingFields) as SettingName[];
