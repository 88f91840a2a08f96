import type { Phrase } from '../base/fillIn.ts';
import { mintId, type Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { phrase, sentence } from '../base/sentences.ts';
import { branchOf } from '../model/branchOf.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt, spotOf } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { menuOf } from '../model/menuOf.ts';
import { pageFace } from '../model/pageFace.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import { kindOf, type Operation } from '../ops/registry.ts';
import type { Follow } from '../schema/follow.ts';
import type { Item } from '../schema/item.ts';
import { settingNames } from '../schema/settings.ts';
import { MOST_BROUGHT } from './bringIn.ts';
import { createFilling, followedId } from '../resolve/withFollowed.ts';
import { standingAlone } from './copies.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';
import { groupsLed, panelHandedOn } from './panelParts.ts';
import { holderOf, isFollowed } from './throughFollowed.ts';

/** The rule that a menu or an item follows by; null: it follows nothing. */
export function followOf(document: SiteDocument, id: Id): Follow | null {
  return (document.items.nodes.get(id) ?? document.menus.nodes.get(id))?.follow ?? null;
}

/** What a rule takes children from, in a sentence. */
export function sourcePhrase(document: SiteDocument, { of }: Follow): Phrase {
  if (of.kind === 'menu') return phrase('theMenu', { label: nameOf(document, 'menus', of.menu) });
  return of.page === null
    ? phrase('theWholeSite')
    : phrase('pagesUnder', { label: nameOf(document, 'pages', of.page) });
}

/**
 * Lets a menu or an item take its children from pages or another menu, or changes by which rule. Items of its
 * own that lead to pages which now come by themselves give way to them; what was set for those becomes an
 * exception. Its other items stay, behind what is followed.
 */
export function follow(context: CommandContext, id: Id, rule: Follow): Result<Edit> {
  const { document } = context;
  const isItem = document.items.nodes.has(id);
  if (!isItem && !document.menus.nodes.has(id)) return no(missing('items', id));
  const label = nameOf(document, 'items', id);
  if (isFollowed(document, id))
    return no(refusal('follows', { label: nameOf(document, 'items', holderOf(document, id)) }));
  if (rule.of.kind === 'menu') {
    const into = isItem ? menuOf(document, id).id : id;
    if (leadsTo(document, rule.of.menu, into))
      return no(refusal('followsItself', { label, menu: nameOf(document, 'menus', rule.of.menu) }));
  }
  const was = followOf(document, id);
  const operation: Operation = {
    kind: isItem ? 'updateItem' : 'updateMenu',
    id,
    set: { follow: rule },
    was: { follow: was },
  };
  const words = sentence(was === null ? 'nowFollows' : 'followChanged', {
    label,
    source: sourcePhrase(document, rule),
  });
  const giving = rule.of.kind === 'pages' ? givingWay(context, id, operation) : [];
  return makeEdit(context, [operation, ...giving], { sentence: words, label, isStored: true });
}

/**
 * The operations that let items of one's own give way to followed ones that lead to the same pages. O(items
 * below).
 */
function givingWay(context: CommandContext, holder: Id, following: Operation): Operation[] {
  const stored = storedOf(context);
  const applied = kindOf(following).apply(stored, following);
  if (!applied.ok) return [];
  const filled = (context.from?.fill ?? createFilling())(applied.value.document);
  const made: Operation[] = [];
  const kept: Operation[] = [];
  const gone: Operation[] = [];
  const handed: Operation[] = [];
  /** What stands in the place of items that give way. */
  const standIns = new Map<Id, Id>();
  const exceptions = new Set<Id>();
  let lastException: Id | null = childrenOf(stored.items, holder).last();
  const needException = (id: Id, of: Id, from: Partial<Item>): void => {
    if (exceptions.has(id) || stored.items.nodes.has(id)) return;
    exceptions.add(id);
    const item: Item = { ...pageFace(stored, of), ...from, id, parent: holder, exception: { of } };
    made.push({ kind: 'addItem', after: lastException, branch: [item] });
    lastException = id;
  };
  /** What an own item gives way to; null: it stays. */
  const standIn = ({ exception, follow: rule, link, destination }: Item): Id | null => {
    if (
      exception !== undefined ||
      rule !== undefined ||
      link !== undefined ||
      destination.kind !== 'page' ||
      destination.anchor !== null
    )
      return null;
    const id = followedId(holder, destination.page);
    return filled.items.nodes.get(id)?.exception === undefined ? null : id;
  };
  const taken = new Set<Id>();
  const stack: { readonly item: Item; readonly into: Id | null }[] = [];
  const push = (parent: Id, into: Id | null): void => {
    for (const child of [...childrenOf(stored.items, parent)].reverse())
      stack.push({ item: nodeAt(stored.items, child), into });
  };
  push(holder, null);
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const { item, into } = next;
    const id = standIn(item);
    if (id !== null && item.destination.kind === 'page' && !taken.has(id)) {
      taken.add(id);
      const { label, opensNewTab } = item;
      const settings = Object.fromEntries(
        settingNames.filter((name) => item[name] !== undefined).map((name) => [name, item[name]]),
      );
      const isComposed = childrenOf(stored.parts, item.id).size > 0;
      standIns.set(item.id, id);
      if (isComposed || label !== null || opensNewTab || Object.keys(settings).length > 0)
        needException(id, item.destination.page, { label, opensNewTab, ...settings });
      handed.push(...panelHandedOn(stored, item.id, id));
      if (into === null) gone.push({ kind: 'removeItem', after: null, branch: [item] });
      push(item.id, id);
    } else if (into !== null) {
      const of = filled.items.nodes.get(into)?.exception?.of;
      if (of === undefined) continue;
      needException(into, of, {});
      kept.push({
        kind: 'moveItem',
        id: item.id,
        from: spotOf(stored.items, item.id),
        to: { parent: into, after: null },
      });
    }
  }
  return [...made, ...kept.reverse(), ...handed, ...groupsLed(stored, standIns), ...gone];
}

/** Whether following a menu means following another in the end, itself included. O(items). */
function leadsTo(document: SiteDocument, from: Id, to: Id): boolean {
  const followed = new Map<Id, Id[]>();
  const note = (menu: Id, rule: Follow | undefined): void => {
    if (rule?.of.kind === 'menu') followed.set(menu, [...(followed.get(menu) ?? []), rule.of.menu]);
  };
  for (const menu of document.menus.nodes.values()) note(menu.id, menu.follow);
  for (const item of document.items.nodes.values())
    if (item.follow !== undefined) note(menuOf(document, item.id).id, item.follow);
  const seen = new Set<Id>();
  const stack = [from];
  for (let menu = stack.pop(); menu !== undefined; menu = stack.pop()) {
    if (menu === to) return true;
    if (seen.has(menu)) continue;
    seen.add(menu);
    stack.push(...(followed.get(menu) ?? []));
  }
  return false;
}

/**
 * Lets a menu or an item follow no more: what is seen there becomes items of its own, exceptions included;
 * what is hidden goes.
 */
export function unfollow(context: CommandContext, id: Id): Result<Edit> {
  const { document: shown, random } = context;
  const stored = storedOf(context);
  const label = nameOf(shown, 'items', id);
  const rule = followOf(stored, id);
  if (rule === null) return no(refusal('notFollowing', { label }));
  const operations: Operation[] = [
    {
      kind: stored.items.nodes.has(id) ? 'updateItem' : 'updateMenu',
      id,
      set: { follow: null },
      was: { follow: rule },
    },
  ];
  let count = 0;
  const standIns = new Map<Id, Id>();
  const stack: { readonly shownParent: Id; readonly parent: Id }[] = [{ shownParent: id, parent: id }];
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    let after: Id | null = null;
    for (const child of childrenOf(shown.items, next.shownParent)) {
      const item = nodeAt(shown.items, child);
      if (item.exception?.hidden === true) continue;
      if (item.exception === undefined) {
        operations.push({
          kind: 'moveItem',
          id: child,
          from: spotOf(stored.items, child),
          to: { parent: next.parent, after },
        });
        if (item.pin !== undefined)
          operations.push({ kind: 'updateItem', id: child, set: { pin: null }, was: { pin: item.pin } });
        after = child;
        continue;
      }
      const own = { ...standingAlone(stored, item), id: mintId('item', random), parent: next.parent };
      operations.push({ kind: 'addItem', after, branch: [own] });
      operations.push(...panelHandedOn(stored, child, own.id));
      standIns.set(child, own.id);
      stack.push({ shownParent: child, parent: own.id });
      after = own.id;
      count += 1;
    }
  }
  if (count > MOST_BROUGHT) return no(refusal('tooMany', { count, what: 'items', most: MOST_BROUGHT }));
  operations.push(...groupsLed(stored, standIns));
  for (const child of childrenOf(stored.items, id)) {
    const item = nodeAt(stored.items, child);
    if (item.exception !== undefined)
      operations.push({
        kind: 'removeItem',
        after: spotOf(stored.items, child).after,
        branch: branchOf(stored.items, child),
      });
  }
  return makeEdit(context, operations, {
    sentence: sentence('unfollowed', { label, count }),
    isStored: true,
  });
}

/** What is otherwise about a followed item, in words; empty: nothing. */
export function exceptionWords(stored: SiteDocument, id: Id): string[] {
  const item = stored.items.nodes.get(id);
  if (item?.exception === undefined) return [];
  return [
    ...(item.exception.hidden === true ? ['hidden'] : []),
    ...(item.label === null ? [] : ['own label']),
    ...(item.pin === undefined ? [] : ['pinned']),
    ...(item.opensNewTab || settingNames.some((name) => item[name] !== undefined) ? ['own settings'] : []),
    ...(childrenOf(stored.items, id).size === 0 ? [] : ['own items below it']),
    ...(childrenOf(stored.parts, id).size === 0 ? [] : ['own panel']),
  ];
}

/** Makes a followed item again what it follows. Items of one's own below it stay. */
export function takeExceptionBack(context: CommandContext, id: Id): Result<Edit> {
  const stored = storedOf(context);
  const label = nameOf(context.document, 'items', id);
  const item = stored.items.nodes.get(id);
  if (item?.exception === undefined || exceptionWords(stored, id).length === 0)
    return no(refusal('notException', { label }));
  const words = sentence('exceptionTaken', { label });
  if (childrenOf(stored.items, id).size === 0) {
    return makeEdit(
      context,
      [{ kind: 'removeItem', after: spotOf(stored.items, id).after, branch: [item] }],
      { sentence: words, isStored: true },
    );
  }
  const settings = Object.fromEntries(settingNames.map((name) => [name, null]));
  const set = {
    label: null,
    opensNewTab: false,
    pin: null,
    exception: { of: item.exception.of },
    ...settings,
  };
  return makeEdit(context, [{ kind: 'updateItem', id, set, was: {} }], {
    sentence: words,
    label,
    isStored: true,
  });
}
