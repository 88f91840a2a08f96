import Type, { type Static } from 'typebox';
import { ItemShape } from './item.ts';
import { LeftFindingShape } from './leftFinding.ts';
import { MenuShape } from './menu.ts';
import { OwnFieldShape } from './ownField.ts';
import { PageShape } from './page.ts';
import { PartShape } from './part.ts';
import { PlacementShape } from './placement.ts';
import { PresetShape } from './preset.ts';
import { SharedLinkShape } from './sharedLink.ts';
import { SiteShape } from './site.ts';
import { closed } from './shapes.ts';

/**
 * Version of the stored document. Raising it needs an upgrade in model/readStored.ts and a frozen sample in
 * laws/samples/.
 */
export const FORMAT = 4;

/**
 * A whole site as plain data: each list in preorder, so that a parent comes before its children and siblings
 * in their order.
 */
export const StoredDocumentShape = Type.Object(
  {
    format: Type.Integer({ minimum: 1 }),
    site: SiteShape,
    pages: Type.Array(PageShape),
    menus: Type.Array(MenuShape),
    items: Type.Array(ItemShape),
    placements: Type.Array(PlacementShape),
    sharedLinks: Type.Array(SharedLinkShape),
    ownFields: Type.Array(OwnFieldShape),
    leftFindings: Type.Array(LeftFindingShape),
    parts: Type.Array(PartShape),
    presets: Type.Array(PresetShape),
  },
  closed,
);
/** A whole site as plain data. */
export type StoredDocument = Static<typeof StoredDocumentShape>;
