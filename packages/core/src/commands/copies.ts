import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import type { Spot } from '../model/forest.ts';
import type { Operation } from '../ops/registry.ts';
import type { Item } from '../schema/item.ts';

/** The operations that add copies of branches, each in preorder, one behind the other from a spot on. */
export function copiesAt(branches: readonly (readonly Item[])[], spot: Spot, random: RandomBits): Operation[] {
  let { after } = spot;
  return branches.map((branch): Operation => {
    const copyOf = new Map<Id, Id>();
    const copies = branch.map((item) => {
      const id = mintId('item', random);
      copyOf.set(item.id, id);
      return { ...item, id, parent: copyOf.get(item.parent) ?? spot.parent };
    });
    const operation: Operation = { kind: 'addItem', after, branch: copies };
    after = copies[0]?.id ?? after;
    return operation;
  });
}
