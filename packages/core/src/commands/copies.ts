import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import { agreedFacts } from '../model/agreedFacts.ts';
import { branchOf } from '../model/branchOf.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt, type Spot } from '../model/forest.ts';
import type { Operation } from '../ops/registry.ts';
import { followedId } from '../resolve/withFollowed.ts';
import type { Item } from '../schema/item.ts';
import { looksToSet, ownLooks } from './ownLooks.ts';
import { panelCopies, type PartsOf } from './panelParts.ts';

/**
 * The operations that add copies of branches, each in preorder, one behind the other from a spot on, and
 * behind them those that add copies of their panels, and what was set for the looks of either. A copy of what follows
 * keeps its exceptions: their ids follow from its own.
 */
export function copiesAt(
  document: SiteDocument,
  branches: readonly (readonly Item[])[],
  spot: Spot,
  random: RandomBits,
  partsOf: PartsOf,
): Operation[] {
  let { after } = spot;
  const copyOf = new Map<Id, Id>();
  const items = branches.map((branch): Operation => {
    const copies = branch.map((item) => {
      const parent = copyOf.get(item.parent) ?? spot.parent;
      const id =
        item.exception === undefined ? mintId('item', random) : followedId(parent, item.exception.of);
      copyOf.set(item.id, id);
      return { ...item, id, parent };
    });
    const operation: Operation = { kind: 'addItem', after, branch: copies };
    after = copies[0]?.id ?? after;
    return operation;
  });
  const panels = panelCopies(copyOf, partsOf, random);
  const looks = [...copyOf, ...panels.copyOf].flatMap(([from, to]) =>
    looksToSet(document, to, ownLooks(document, from)),
  );
  return [...items, ...panels.operations, ...looks];
}

/**
 * A branch as it is copied. What follows, follows in the copy too; a child that is followed comes as an item
 * of its own, with those that stand below it.
 */
export function branchToCopy(stored: SiteDocument, shown: SiteDocument, top: Id): Item[] {
  const copied: Item[] = [];
  const stack = [top];
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const item = nodeAt(shown.items, next);
    const { exception } = item;
    if (exception?.hidden === true && next !== top) continue;
    if (exception === undefined) {
      const [own, ...below] = branchOf(stored.items, next);
      if (own !== undefined)
        copied.push(next === top ? withoutPin(own) : { ...withoutPin(own), parent: item.parent }, ...below);
      continue;
    }
    copied.push(standingAlone(stored, item));
    for (const child of [...childrenOf(shown.items, next)].reverse()) stack.push(child);
  }
  return copied;
}

/**
 * A followed item as one of its own, with the facts of its page as they are now where none were agreed on.
 */
export function standingAlone(stored: SiteDocument, { exception: _, pin: __, ...item }: Item): Item {
  const { destination, agreed } = item;
  return {
    ...item,
    agreed: destination.kind === 'page' ? (agreed ?? agreedFacts(stored, destination.page)) : null,
  };
}

function withoutPin({ pin: _, ...item }: Item): Item {
  return item;
}
