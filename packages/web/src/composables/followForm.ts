import {
  childrenOf,
  followOf,
  nodeAt,
  preorder,
  type Follow,
  type FollowOrder,
  type Id,
  type PageKind,
  type SiteDocument,
} from '@zorvik/core';

/** The rule of an item that follows pages or a menu, as its form has it. */
export interface FollowForm {
  source: 'pages' | 'menu' | null;
  /** Null: the whole site. */
  page: Id | null;
  menu: Id | null;
  depth: number | null;
  order: FollowOrder | null;
  form: 'tree' | 'list' | null;
  kinds: readonly PageKind[];
  categories: readonly string[];
  limit: number | '';
  drafts: readonly 'drafts'[];
}

/** The most that may be followed of one thing. */
const MOST_FOLLOWED = 1000;
const MOST_CATEGORIES = 12;

/**
 * The form for an item as it is: its own rule, or what is likely to be wanted. `otherMenu`: the menu that is chosen
 * first where none is followed yet.
 */
export function followFormOf(document: SiteDocument, follower: Id, otherMenu: Id | null): FollowForm {
  const was = followOf(document, follower);
  const destination = document.items.nodes.get(follower)?.destination;
  const linked = destination?.kind === 'page' ? destination.page : null;
  return {
    source: was?.of.kind ?? 'pages',
    page: was?.of.kind === 'pages' ? was.of.page : linked,
    menu: was?.of.kind === 'menu' ? was.of.menu : otherMenu,
    depth: was?.depth ?? 1,
    order: was?.order ?? 'site',
    form: was?.flat === true ? 'list' : 'tree',
    kinds: was?.kinds ?? [],
    categories: was?.categories ?? [],
    limit: was?.limit ?? '',
    drafts: was?.drafts === true ? ['drafts'] : [],
  };
}

/** The rule that a form says; null while no menu is chosen. */
export function ruleOf({ source, page, menu, ...form }: FollowForm): Follow | null {
  const depth = form.depth ?? 1;
  const limit =
    form.limit === '' ? {} : { limit: Math.max(1, Math.min(MOST_FOLLOWED, Math.round(form.limit))) };
  if (source === 'menu')
    return menu === null ? null : { of: { kind: 'menu', menu }, depth, ...limit, order: 'site' };
  return {
    of: { kind: 'pages', page },
    depth,
    ...limit,
    order: form.order ?? 'site',
    ...(form.form === 'list' ? { flat: true } : {}),
    ...(form.kinds.length === 0 ? {} : { kinds: [...form.kinds] }),
    ...(form.categories.length === 0 ? {} : { categories: [...form.categories] }),
    ...(form.drafts.length === 0 ? {} : { drafts: true }),
  };
}

/** The categories that pages below one (null: of the whole site) have most, and those that are chosen. O(pages). */
export function commonCategories(
  { pages, site }: SiteDocument,
  page: Id | null,
  chosen: readonly string[],
): string[] {
  const counts = new Map<string, number>();
  for (const { node } of preorder<Id>(childrenOf(pages, page ?? site.id), (id) => childrenOf(pages, id)))
    for (const one of nodeAt(pages, node).categories ?? []) counts.set(one, (counts.get(one) ?? 0) + 1);
  const most = [...counts].sort((a, b) => b[1] - a[1]).slice(0, MOST_CATEGORIES);
  return [...new Set([...most.map(([one]) => one), ...chosen])];
}
