import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import { branchOf } from '../model/branchOf.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, spotOf } from '../model/forest.ts';
import { newPart } from '../model/newPart.ts';
import { lostRef } from '../model/lostRef.ts';
import type { Operation } from '../ops/registry.ts';
import type { Part } from '../schema/part.ts';

/** The parts of the panel of an item that is copied, in preorder; none where it has no panel of its own. */
export type PartsOf = (item: Id) => readonly Part[];

/**
 * The operations that give copied items copies of their panels, and the copy of each part; `copyOf` has the copy of
 * each item.
 */
export function panelCopies(
  copyOf: ReadonlyMap<Id, Id>,
  partsOf: PartsOf,
  random: RandomBits,
): { readonly operations: readonly Operation[]; readonly copyOf: ReadonlyMap<Id, Id> } {
  const parts = new Map<Id, Id>();
  const operations = [...copyOf].flatMap(([item, copy]) => {
    const made = new Map<Id, Id>([[item, copy]]);
    const copies = partsOf(item).map((part) => {
      const id = mintId('part', random);
      made.set(part.id, id);
      parts.set(part.id, id);
      const shown = part.item === undefined ? {} : { item: copyOf.get(part.item) ?? part.item };
      return newPart(id, made.get(part.parent) ?? copy, { ...part, ...shown });
    });
    return additions(copies, copy);
  });
  return { operations, copyOf: parts };
}

/**
 * The operations that add whole rows of parts, given in preorder, to the panel of an item, behind what is
 * there.
 */
export function additions(parts: readonly Part[], owner: Id, behind: Id | null = null): Operation[] {
  const operations: { kind: 'addPart'; after: Id | null; branch: Part[] }[] = [];
  let after = behind;
  for (const part of parts) {
    if (part.parent !== owner) {
      operations.at(-1)?.branch.push(part);
      continue;
    }
    operations.push({ kind: 'addPart', after, branch: [part] });
    after = part.id;
  }
  return operations;
}

/** The operation that takes a part out, with what stands in it. */
export function removal({ parts }: SiteDocument, id: Id): Operation {
  return { kind: 'removePart', after: spotOf(parts, id).after, branch: branchOf(parts, id) };
}

/** The operations that hand the panel of one item to another. */
export function panelHandedOn({ parts }: SiteDocument, from: Id, to: Id): Operation[] {
  let after: Id | null = childrenOf(parts, to).last();
  return [...childrenOf(parts, from)].map((row): Operation => {
    const operation: Operation = {
      kind: 'movePart',
      id: row,
      from: spotOf(parts, row),
      to: { parent: to, after },
    };
    after = row;
    return operation;
  });
}

/** The operations that let groups show other items in the place of some. O(parts). */
export function groupsLed({ parts }: SiteDocument, standIns: ReadonlyMap<Id, Id>): Operation[] {
  return [...parts.nodes.values()].flatMap(({ id, item }): Operation[] => {
    const other = item === undefined ? undefined : standIns.get(item);
    return other === undefined || item === undefined
      ? []
      : [{ kind: 'updatePart', id, set: { item: other }, was: { item } }];
  });
}

/**
 * Parts, in preorder, without those that name pages or menus that are not there, and without what stands in
 * them.
 */
export function withoutLost(document: SiteDocument, parts: readonly Part[]): Part[] {
  const left = new Set<Id>();
  return parts.filter((part) => {
    const isLost = left.has(part.parent) || lostRef(document, 'parts', part) !== null;
    if (isLost) left.add(part.id);
    return !isLost;
  });
}
