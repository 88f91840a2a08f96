import Type, { type Static } from 'typebox';
import { linkFields } from './item.ts';
import { settingFields } from './settings.ts';
import { closed, IdShape } from './shapes.ts';

/** A link kept once and shown by items of any menu. Its parent is the site. */
export const SharedLinkShape = Type.Object({ id: IdShape, parent: IdShape, ...linkFields, ...Type.Partial(Type.Object(settingFields)).properties }, closed);
export type SharedLink = Static<typeof SharedLinkShape>;
