import type { TSchema } from 'typebox';
import type { IdKind } from '../base/ids.ts';
import { ItemShape, type Item } from './item.ts';
import { LeftFindingShape, type LeftFinding } from './leftFinding.ts';
import { MenuShape, type Menu } from './menu.ts';
import { OwnCssShape, type OwnCss } from './ownCss.ts';
import { OwnFieldShape, type OwnField } from './ownField.ts';
import { PageShape, type Page } from './page.ts';
import { PartShape, type Part } from './part.ts';
import { PlacementShape, type Placement } from './placement.ts';
import { PresetShape, type Preset } from './preset.ts';
import { SharedLinkShape, type SharedLink } from './sharedLink.ts';
import { StyleShape, type Style } from './style.ts';
import { TokenShape, type Token } from './token.ts';

/** What stands in each forest of a document. */
export interface NodeOf {
  readonly pages: Page;
  readonly menus: Menu;
  readonly items: Item;
  readonly placements: Placement;
  readonly sharedLinks: SharedLink;
  readonly ownFields: OwnField;
  readonly leftFindings: LeftFinding;
  readonly parts: Part;
  readonly presets: Preset;
  readonly styles: Style;
  readonly tokens: Token;
  readonly ownCss: OwnCss;
}
/** The name of a forest. */
export type ForestName = keyof NodeOf;

/** Everything about one forest but what is done in it. */
export interface ForestDefinition {
  readonly shape: TSchema;
  /** The kind of its ids. */
  readonly ids: IdKind;
  /** What one of its nodes is called in a sentence. */
  readonly name: string;
  /** What its nodes may stand in: the site, or nodes of these forests. */
  readonly under: readonly ('site' | ForestName)[];
  /** Its nodes have no order: they are kept by their ids, and where one was added says nothing. */
  readonly isUnordered?: true;
}

/**
 * Every forest, in the order in which they can be read: what is referred to comes first. Document, stored
 * form, pieces, checks and contract are derived from this. A new one needs besides: its operations, its table
 * in the server's schema with a migration, and its kind of id.
 */
export const forests: { readonly [F in ForestName]: ForestDefinition } = {
  pages: { shape: PageShape, ids: 'page', name: 'page', under: ['site', 'pages'] },
  menus: { shape: MenuShape, ids: 'menu', name: 'menu', under: ['site'] },
  items: { shape: ItemShape, ids: 'item', name: 'item', under: ['menus', 'items'] },
  placements: { shape: PlacementShape, ids: 'placement', name: 'placement', under: ['site'] },
  sharedLinks: { shape: SharedLinkShape, ids: 'sharedLink', name: 'shared link', under: ['site'] },
  ownFields: { shape: OwnFieldShape, ids: 'ownField', name: 'custom field', under: ['site'] },
  leftFindings: {
    shape: LeftFindingShape,
    ids: 'leftFinding',
    name: 'ignored finding',
    under: ['site'],
    isUnordered: true,
  },
  parts: { shape: PartShape, ids: 'part', name: 'part', under: ['items', 'parts', 'site'] },
  presets: { shape: PresetShape, ids: 'preset', name: 'preset', under: ['site'] },
  styles: { shape: StyleShape, ids: 'style', name: 'look', under: ['site'], isUnordered: true },
  tokens: { shape: TokenShape, ids: 'token', name: 'token', under: ['site'], isUnordered: true },
  ownCss: { shape: OwnCssShape, ids: 'ownCss', name: 'CSS', under: ['site'], isUnordered: true },
};

/** The names of all forests, in the same order. */
export const forestNames = Object.keys(forests) as ForestName[];

/** A value for each forest. */
export function ofEachForest<V>(make: (name: ForestName) => V): Record<ForestName, V> {
  return Object.fromEntries(forestNames.map((name) => [name, make(name)])) as Record<ForestName, V>;
}
