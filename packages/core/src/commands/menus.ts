import { firstFree } from '../base/firstFree.ts';
import { languageProblem } from '../base/languageTag.ts';
import { mintId, type Id } from '../base/ids.ts';
import { no, ok, type Result } from '../base/result.ts';
import { romanised } from '../base/romanised.ts';
import { refusal } from '../base/refusal.ts';
import { branchOf } from '../model/branchOf.ts';
import { childrenOf, spotOf, type Spot } from '../model/forest.ts';
import type { SiteDocument } from '../model/document.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import { sentence } from '../base/sentences.ts';
import { placePhrase, type Place } from '../schema/placement.ts';
import type { Follow } from '../schema/follow.ts';
import type { Menu, MenuUsual } from '../schema/menu.ts';
import { partsIn } from '../model/partsIn.ts';
import { placementOf } from '../resolve/placementOf.ts';
import { itemsToAdd, MOST_BROUGHT, type PlannedItem } from './bringIn.ts';
import { checkLabel } from './checkLabel.ts';
import { copiesAt } from './copies.ts';
import { pagesToAdd } from './items.ts';
import { isTaken, placingOf, spotFor } from './placing.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';

/** What a new menu begins with. */
export type MenuFill =
  | { readonly kind: 'empty' }
  | { readonly kind: 'copy'; readonly menu: Id }
  /** What stands below a page in the structure (null: the whole of it), to `depth` levels. */
  | { readonly kind: 'pages'; readonly below: Id | null; readonly depth: number }
  | { readonly kind: 'planned'; readonly items: readonly PlannedItem[] }
  /** Not filled once, but by a rule from then on. */
  | { readonly kind: 'follow'; readonly follow: Follow };

/** What a new menu is called, where it stands, and what fills it. */
export interface NewMenu {
  readonly name: string;
  readonly place: Place;
  readonly fill?: MenuFill;
}

/** Makes a menu, says where it is meant to stand, and fills it. Its key comes from its name. */
export function createMenu(
  context: CommandContext,
  { name: typed, place, fill = { kind: 'empty' } }: NewMenu,
): Result<Edit> {
  const { document, random } = context;
  const { site } = document;
  const name = checkLabel(typed);
  if (!name.ok) return name;
  const id = mintId('menu', random);
  const was = fill.kind === 'copy' ? document.menus.nodes.get(fill.menu) : undefined;
  if (fill.kind === 'copy' && was === undefined) return no(missing('menus', fill.menu));
  const { description = '', language = site.language, depthLimit, own, usual } = was ?? {};
  const follow = fill.kind === 'follow' ? fill.follow : was?.follow;
  const options = {
    ...(depthLimit === undefined ? {} : { depthLimit }),
    ...(usual === undefined ? {} : { usual }),
    ...(own === undefined ? {} : { own }),
    ...(follow === undefined ? {} : { follow }),
  };
  const menu: Menu = {
    id,
    parent: site.id,
    key: freeKey(document, name.value),
    name: name.value,
    language,
    description,
    ...options,
  };
  const filling = fillingOf(context, fill, id);
  const count = filling.reduce((sum, one) => sum + (one.kind === 'addItem' ? one.branch.length : 0), 0);
  if (count > MOST_BROUGHT) return no(refusal('tooMany', { count, what: 'items', most: MOST_BROUGHT }));
  const label = name.value;
  const copied = was === undefined ? null : sentence('menuCopied', { label, was: was.name });
  const words =
    copied ?? (count === 0 ? sentence('menuAdded', { label }) : sentence('menuFilled', { label, count }));
  return makeEdit(
    context,
    [
      { kind: 'addMenu', after: childrenOf(document.menus, site.id).last(), branch: [menu] },
      ...placingOf(document, id, place, random),
      ...filling,
    ],
    { sentence: words },
  );
}

function fillingOf(context: CommandContext, fill: MenuFill, menu: Id): Operation[] {
  const { document, random } = context;
  const spot: Spot = { parent: menu, after: null };
  if (fill.kind === 'empty' || fill.kind === 'follow') return [];
  if (fill.kind === 'planned') return itemsToAdd(context, fill.items, spot);
  if (fill.kind === 'copy') {
    const { items } = storedOf(context);
    const branches = [...childrenOf(items, fill.menu)].map((top) => branchOf(items, top));
    return copiesAt(document, branches, spot, random, (item) => partsIn(document, item));
  }
  const pages = [...childrenOf(document.pages, fill.below ?? document.site.id)].filter(
    (id) => document.pages.nodes.get(id)?.state !== 'gone',
  );
  return pagesToAdd(context, { pages, depth: fill.depth, spot });
}

/** Changes facts of a menu that are not its name: what it is for, its language, how deep it may be, its own fields. */
export function setMenu(
  context: CommandContext,
  id: Id,
  set: {
    readonly description?: string;
    /** BCP 47. */
    readonly language?: string;
    readonly depthLimit?: number | null;
    readonly own?: Exclude<Menu['own'], undefined> | null;
    readonly usual?: MenuUsual | null;
  },
): Result<Edit> {
  const menu = context.document.menus.nodes.get(id);
  if (menu === undefined) return no(missing('menus', id));
  const { description, language } = set;
  const wrong = language === undefined ? null : languageProblem(language);
  if (wrong !== null) return no(wrong);
  if (description !== undefined && description.length > LONGEST_ABOUT) {
    return no(refusal('tooLong', { what: 'a description', length: description.length, most: LONGEST_ABOUT }));
  }
  const was = Object.fromEntries(Object.keys(set).map((field) => [field, menu[field as keyof Menu] ?? null]));
  return makeEdit(context, [{ kind: 'updateMenu', id, set, was }], { label: menu.name });
}

const LONGEST_ABOUT = 2000;

/** Says where a menu is meant to stand. */
export function placeMenu(context: CommandContext, id: Id, place: Place): Result<Edit> {
  const { document, random } = context;
  const menu = document.menus.nodes.get(id);
  if (menu === undefined) return no(missing('menus', id));
  const now = placementOf(document, id);
  if (now?.place === place) return no(refusal('changesNothing', { label: menu.name }));
  const { parts } = document;
  const part = now === null ? undefined : parts.nodes.get(now.id);
  const { spot, made } = spotFor(document, place, random);
  const words = { sentence: sentence('menuPlaced', { label: menu.name, place: placePhrase(place) }) };
  // A placement that has exceptions shows other menus, too: those stay where they are.
  if (part?.shows !== id || childrenOf(parts, part.id).size > 0)
    return makeEdit(context, placingOf(document, id, place, random), words);
  return makeEdit(
    context,
    [
      ...made,
      { kind: 'movePart', id: part.id, from: spotOf(parts, part.id), to: spot },
      // It was hidden because its place was taken.
      ...(part.isHidden === true && !isTaken(document, place)
        ? [
            {
              kind: 'updatePart' as const,
              id: part.id,
              set: { isHidden: null },
              was: { isHidden: true as const },
            },
          ]
        : []),
    ],
    words,
  );
}

/** Gives a menu another name. Its key stays. */
export function renameMenu(context: CommandContext, id: Id, typed: string): Result<Edit> {
  const name = checkLabel(typed);
  if (!name.ok) return name;
  const menu = context.document.menus.nodes.get(id);
  if (menu === undefined) return no(missing('menus', id));
  const was = { name: menu.name };
  return makeEdit(context, [{ kind: 'updateMenu', id, set: { name: name.value }, was }], { label: was.name });
}

/**
 * Removes a menu with all that is in it. Its places in the frame stay, and show nothing: undo brings all of it back.
 */
export function retireMenu(context: CommandContext, id: Id): Result<Edit> {
  const document = storedOf(context);
  const menu = document.menus.nodes.get(id);
  if (menu === undefined) return no(missing('menus', id));
  const operations: Operation[] = [
    ...[...childrenOf(document.items, id)].map((top): Operation => ({
      kind: 'removeItem',
      after: null,
      branch: branchOf(document.items, top),
    })),
    { kind: 'removeMenu', after: spotOf(document.menus, id).after, branch: [menu] },
  ];
  return makeEdit(context, operations, {
    sentence: sentence('menuRemoved', { label: menu.name }),
    isStored: true,
  });
}

/** A key that no menu of the site has: the name in plain letters, with a number if need be. */
export function freeKey(document: SiteDocument, name: string): string {
  const taken = new Set([...document.menus.nodes.values()].map(({ key }) => key));
  return firstFree(keyFrom(name, 'menu'), (key) => taken.has(key));
}

const LONGEST_PLAIN_KEY = 34;

/**
 * A key made from a name in any script: Latin letters without marks, all else as hyphens; `otherwise` if
 * nothing is left or no letter comes first.
 */
export function keyFrom(name: string, otherwise: string): string {
  const plain = romanised(name)
    .replaceAll(/[^a-z0-9]+/g, '-')
    .slice(0, LONGEST_PLAIN_KEY)
    .replaceAll(/^-+|-+$/g, '');
  return /^[a-z]/.test(plain) ? plain : plain === '' ? otherwise : `${otherwise}-${plain}`;
}

/** A key as a person typed it. */
export function checkKey(key: string): Result<string> {
  return /^[a-z][a-z0-9-]{0,39}$/.test(key) ? ok(key) : no(refusal('badKey', { key }));
}
