import { directionOf } from '../base/directionOf.ts';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { faceOf, type Face } from '../model/faceOf.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { labelOf } from '../model/labelOf.ts';
import { usualOf, withUsualActivation, withUsualBadge, withUsualDropdown } from '../model/menuUsual.ts';
import { panelColumns } from '../panel/panelColumns.ts';
import type { Dropdown } from '../schema/dropdown.ts';
import type { Item } from '../schema/item.ts';
import type { MenuUsual } from '../schema/menu.ts';
import { fitsType, type OwnField } from '../schema/ownField.ts';
import { settingNames, type Settings } from '../schema/settings.ts';
import { mapTree } from '../walk/mapTree.ts';
import type { CompareTitles } from './followedPages.ts';
import { hrefOf } from '../model/hrefOf.ts';
import type { OwnValues, ResolvedItem, ResolvedMenu } from './resolved.ts';
import { resolvePanel } from './resolvePanel.ts';
import type { PanelSources } from './resolvePart.ts';

/**
 * The tree that a visitor gets of a menu. What leads to a page that is not live, or is not decided yet, is
 * held back: such an item is left out, or, when visible items stand below it, stays as a heading, so that
 * they are not lost. What somebody holds back, or hides of what is followed, is left out with all below it.
 * `document` has what is followed filled in. O(items).
 */
export function resolveMenu(
  document: SiteDocument,
  menuId: Id,
  { compareTitles = byCode, keepsEmpty = false }: ResolveChoices = {},
): ResolvedMenu {
  const { key, name, language, own } = nodeAt(document.menus, menuId);
  const fields = [...document.ownFields.nodes.values()];
  const itemFields = fields.filter(({ of }) => of === 'items');
  const itemsOf = (menu: Id, panels: PanelSources | null): ResolvedItem[] => {
    const usual = usualOf(document, menu);
    return mapTree<Id, ResolvedItem>(
      childrenOf(document.items, menu),
      (id) => childrenOf(document.items, id),
      (id, children) => resolveItem(document, id, children, { fields: itemFields, panels, usual }),
    );
  };
  const items = itemsOf(menuId, {
    document,
    compareTitles,
    keepsEmpty,
    itemsOf: (menu) => itemsOf(menu, null),
    // Placements stand in the frame alone.
    menuOf: () => null,
  });
  const direction = directionIn(document, language);
  return {
    key,
    name,
    language,
    direction,
    ...ownValues(
      own,
      fields.filter(({ of }) => of === 'menus'),
    ),
    items,
  };
}

/** How a menu is resolved. */
export interface ResolveChoices {
  /** How titles are ordered where a live list goes from A to Z; not there: by their code units. */
  readonly compareTitles?: CompareTitles;
  /** Parts of panels that are empty yet are there, too: for composing. */
  readonly keepsEmpty?: boolean;
}

function byCode(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}

/** What an item is resolved with; `panels`: null within a panel. */
interface ItemSources {
  readonly fields: readonly OwnField[];
  readonly panels: PanelSources | null;
  readonly usual: MenuUsual;
}

function resolveItem(
  document: SiteDocument,
  id: Id,
  children: readonly ResolvedItem[],
  { fields, panels, usual }: ItemSources,
): ResolvedItem | null {
  const item = nodeAt(document.items, id);
  if (item.exception?.hidden === true) return null;
  const face = withUsual(document, item, usual);
  if (face.heldBack === true || item.heldBack === true) return null;
  const href = hrefOf(document, face.destination);
  if (href === null && children.length === 0 && face.destination.kind !== 'none') return null;
  return {
    id,
    label: labelOf(document, face),
    href,
    opensNewTab: face.opensNewTab && href !== null,
    ...settingsOf(face, panels === null),
    ...(panels === null ? {} : keptWithin(document.site, face.dropdown)),
    ...ownValues(face.own, fields),
    ...(panels === null
      ? { children }
      : childrenIn(panels, id, { dropdown: face.dropdown, usual }, children)),
  };
}

/** The face of an item with what its menu says where it says nothing itself. */
function withUsual(document: SiteDocument, item: Item, usual: MenuUsual): Face {
  const face = faceOf(document, item);
  // Most menus say nothing.
  if (Object.keys(usual).length === 0 && (face.badge === undefined || face.badge.position !== undefined))
    return face;
  const isTop = document.menus.nodes.has(item.parent);
  const [dropdown, activation, badge] = [
    isTop ? withUsualDropdown(face.dropdown, usual) : face.dropdown,
    withUsualActivation(face.activation, usual),
    withUsualBadge(face.badge, usual),
  ];
  return {
    ...face,
    ...(dropdown === undefined ? {} : { dropdown }),
    ...(activation === undefined ? {} : { activation }),
    ...(badge === undefined ? {} : { badge }),
  };
}

/** What stands below an item, in columns where it drops as a panel. */
function childrenIn(
  panels: PanelSources,
  id: Id,
  { dropdown, usual }: { readonly dropdown: Dropdown | undefined; readonly usual: MenuUsual },
  children: readonly ResolvedItem[],
): Pick<ResolvedItem, 'columns' | 'rows' | 'children'> {
  if (dropdown?.form !== 'panel') return { children };
  const rows = resolvePanel(panels, id, children, { panel: dropdown.panel ?? {}, usual });
  if (rows.length > 0) return { rows, children };
  if (children.length === 0) return { children };
  const { groups, sizes } = panelColumns(children, dropdown.panel ?? {});
  return { columns: sizes, children: groups };
}

/** A panel as wide as the page keeps its content as wide as the site says, unless it says so itself. */
function keptWithin(
  { contentWidth }: SiteDocument['site'],
  dropdown: Dropdown | undefined,
): { readonly dropdown?: Dropdown } {
  const { extent, innerWidth } = dropdown?.panel ?? {};
  if (
    dropdown?.form !== 'panel' ||
    extent !== 'page' ||
    innerWidth !== undefined ||
    contentWidth === undefined
  )
    return {};
  return { dropdown: { ...dropdown, panel: { ...dropdown.panel, innerWidth: contentWidth } } };
}

function settingsOf(face: Face, isWithinPanel: boolean): Settings {
  const set: Record<string, unknown> = {};
  for (const name of settingNames)
    if (face[name] !== undefined && name !== 'own' && !(isWithinPanel && name === 'dropdown'))
      set[name] = face[name];
  return set;
}

/** Values of fields that are declared, and fit what is declared of them. */
function ownValues(own: OwnValues | undefined, fields: readonly OwnField[]): { readonly fields?: OwnValues } {
  if (own === undefined) return {};
  const kept = fields.flatMap(({ key, type }) => (fitsType(own[key], type) ? [[key, own[key]]] : []));
  return kept.length === 0 ? {} : { fields: Object.fromEntries(kept) as OwnValues };
}

/** A menu in the site's own language goes the site's way; another goes the way its language is written. */
function directionIn({ site }: SiteDocument, language: string): 'ltr' | 'rtl' {
  return language === site.language ? site.direction : directionOf(language);
}
