import * as Type from 'typebox';
import { forests, ofEachForest, type ForestName, type NodeOf } from './forests.ts';
import { SiteShape, type Site } from './site.ts';
import { closed } from './shapes.ts';

/**
 * Version of the stored document. Raising it needs a step in upgrades/upgradeSteps.ts and a frozen sample in
 * laws/samples/.
 */
export const FORMAT = 10;

/** A whole site as plain data. */
export type StoredDocument = { readonly format: number; readonly site: Site } & {
  readonly [F in ForestName]: readonly NodeOf[F][];
};

/** Each list is in preorder, so that a parent comes before its children and siblings in their order. */
export const StoredDocumentShape = Type.Unsafe<StoredDocument>(
  Type.Object(
    {
      format: Type.Integer({ minimum: 1 }),
      site: SiteShape,
      ...ofEachForest((name) => Type.Array(forests[name].shape)),
    },
    closed,
  ),
);
