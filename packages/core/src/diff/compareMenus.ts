import { counted } from '../base/fillIn.ts';
import type { Id } from '../base/ids.ts';
import { isEqual } from '../base/isEqual.ts';
import type { ResolvedItem, ResolvedMenu } from '../resolve/resolved.ts';
import { longestIncreasing } from '../walk/longestIncreasing.ts';
import { preorder } from '../walk/preorder.ts';

/**
 * One difference between two states of a menu, as a visitor would meet it. `below` names what the item stands
 * under.
 */
export type MenuChange =
  | {
      readonly kind: 'added' | 'removed';
      readonly id: Id;
      readonly label: string;
      readonly below: string;
      readonly count: number;
    }
  | { readonly kind: 'renamed'; readonly id: Id; readonly label: string; readonly was: string }
  | { readonly kind: 'moved' | 'reordered'; readonly id: Id; readonly label: string; readonly below: string }
  | {
      readonly kind: 'leads';
      readonly id: Id;
      readonly label: string;
      readonly href: string | null;
      readonly was: string | null;
    }
  | { readonly kind: 'drops'; readonly id: Id; readonly label: string }
  | { readonly kind: 'tab'; readonly id: Id; readonly label: string; readonly opensNewTab: boolean };

interface Standing {
  readonly item: ResolvedItem;
  readonly parent: ResolvedItem | null;
}

/**
 * What changed from one state of a menu to the next: few, large statements. A branch that came or went is one
 * change; within a parent, only items outside a longest run that kept its order count as reordered. O(n log
 * n).
 */
export function compareMenus(before: ResolvedMenu | null, after: ResolvedMenu): MenuChange[] {
  const old = standings(before?.items ?? []);
  const now = standings(after.items);
  const name = ({ parent }: Standing): string => parent?.label ?? after.name;
  const changes: MenuChange[] = [];
  const reordered = reorderedIds(before?.items ?? [], after.items, old, now);
  for (const [id, standing] of now) {
    const { item, parent } = standing;
    const was = old.get(id);
    const below = name(standing);
    if (was === undefined) {
      if (parent === null || old.has(parent.id))
        changes.push({ kind: 'added', id, label: item.label, below, count: sizeOf(item) });
      continue;
    }
    if (was.item.label !== item.label)
      changes.push({ kind: 'renamed', id, label: item.label, was: was.item.label });
    if (was.item.href !== item.href)
      changes.push({ kind: 'leads', id, label: item.label, href: item.href, was: was.item.href });
    if (was.item.opensNewTab !== item.opensNewTab)
      changes.push({ kind: 'tab', id, label: item.label, opensNewTab: item.opensNewTab });
    if (
      !isEqual([was.item.dropdown ?? null, was.item.rows ?? null], [item.dropdown ?? null, item.rows ?? null])
    )
      changes.push({ kind: 'drops', id, label: item.label });
    if (was.parent?.id !== parent?.id) changes.push({ kind: 'moved', id, label: item.label, below });
    else if (reordered.has(id)) changes.push({ kind: 'reordered', id, label: item.label, below });
  }
  for (const [id, standing] of old) {
    const { item, parent } = standing;
    const isTop = parent === null || now.has(parent.id);
    if (!now.has(id) && isTop)
      changes.push({ kind: 'removed', id, label: item.label, below: name(standing), count: sizeOf(item) });
  }
  return changes;
}

/** A change in plain words. */
export function changeInWords(change: MenuChange): string {
  switch (change.kind) {
    case 'added':
      return `Added “${change.label}” under “${change.below}”${more(change.count)}`;
    case 'removed':
      return `Removed “${change.label}” from “${change.below}”${more(change.count)}`;
    case 'renamed':
      return `Renamed “${change.was}” to “${change.label}”`;
    case 'moved':
      return `Moved “${change.label}” into “${change.below}”`;
    case 'reordered':
      return `Moved “${change.label}” within “${change.below}”`;
    case 'leads':
      return change.href === null
        ? `“${change.label}” no longer has a link`
        : `“${change.label}” now links to ${change.href}`;
    case 'drops':
      return `The dropdown of “${change.label}” has changed`;
    case 'tab':
      return `“${change.label}” now opens in ${change.opensNewTab ? 'a new' : 'the same'} tab`;
  }
}

function more(count: number): string {
  return count > 1 ? `, with ${counted(count - 1, '# item', '# items')} below it` : '';
}

function standings(items: readonly ResolvedItem[]): Map<Id, Standing> {
  const found = new Map<Id, Standing>();
  const roots: Standing[] = items.map((item) => ({ item, parent: null }));
  const below = ({ item }: Standing): Standing[] =>
    item.children.map((child) => ({ item: child, parent: item }));
  for (const { node } of preorder(roots, below)) found.set(node.item.id, node);
  return found;
}

function sizeOf(item: ResolvedItem): number {
  let size = 0;
  for (const { depth } of preorder([item], ({ children }) => children)) size += depth >= 0 ? 1 : 0;
  return size;
}

/** Items that kept their parent but left the longest run of siblings that kept its order. */
function reorderedIds(
  before: readonly ResolvedItem[],
  after: readonly ResolvedItem[],
  old: ReadonlyMap<Id, Standing>,
  now: ReadonlyMap<Id, Standing>,
): Set<Id> {
  const moved = new Set<Id>();
  const ranks = new Map<Id, number>();
  const rank = (items: readonly ResolvedItem[]): void => items.forEach(({ id }, at) => ranks.set(id, at));
  rank(before);
  for (const { item } of old.values()) rank(item.children);
  const judge = (items: readonly ResolvedItem[]): void => {
    const stayed = items.filter(
      ({ id }) => old.has(id) && old.get(id)?.parent?.id === now.get(id)?.parent?.id,
    );
    const kept = longestIncreasing(
      stayed.map(({ id }) => ranks.get(id) ?? 0),
      () => 1,
    );
    stayed.forEach(({ id }, at) => {
      if (!kept.has(at)) moved.add(id);
    });
  };
  judge(after);
  for (const { item } of now.values()) judge(item.children);
  return moved;
}
