import * as Type from 'typebox';
import type { Static } from 'typebox';
import { linkFields } from './item.ts';
import { SettingsShape } from './settings.ts';
import { closed, IdShape } from './shapes.ts';

/** A link kept once and shown by items of any menu. Its parent is the site. */
export const SharedLinkShape = Type.Object(
  { id: IdShape, parent: IdShape, ...linkFields, ...SettingsShape.properties },
  closed,
);
/** A link that several items share: changing it changes all of them. */
export type SharedLink = Static<typeof SharedLinkShape>;
