import type { TSchema } from 'typebox';
import type { Refusal } from '../../base/refusal.ts';
import { no, ok, type Result } from '../../base/result.ts';
import type { Sentence } from '../../base/sentences.ts';
import { branchOf } from '../../model/branchOf.ts';
import {
  forestOf,
  withForest,
  type ForestName,
  type NodeOf,
  type SiteDocument,
} from '../../model/document.ts';
import { spotOf, withoutNode, type Forest, type Rooted } from '../../model/forest.ts';
import { branchShape, topOf, type Branch } from './defineAdd.ts';
import { missing } from './missing.ts';
import type { Applied, OperationKind } from './operationKind.ts';

/**
 * The kind of operation that removes a branch. It carries what it removes, so that its inverse is exact; what
 * stands there when it is applied counts, not what it carried when it was made.
 */
export function defineRemove<K extends string, I extends string, F extends ForestName>(
  kind: K,
  inverse: I,
  name: F,
  node: TSchema,
  describe: (document: SiteDocument, operation: Branch<K, F>) => Sentence,
  refuses: (document: SiteDocument, branch: readonly NodeOf[F][]) => Refusal | null = () => null,
): OperationKind<Branch<K, F>, Branch<I, F>> {
  return {
    kind,
    shape: branchShape(kind, node),

    apply(document, operation): Result<Applied<Branch<K, F>>> {
      const { id } = topOf(operation);
      let forest: Forest<Rooted> = forestOf<ForestName>(document, name);
      if (!forest.nodes.has(id)) return no(missing(name, id));
      const branch = branchOf(forest, id) as NodeOf[F][];
      const reason = refuses(document, branch);
      if (reason !== null) return no(reason);
      const { after } = spotOf(forest, id);
      for (const one of branch.toReversed()) forest = withoutNode(forest, one.id);
      const left = withForest<ForestName>(document, name, forest as Forest<NodeOf[ForestName]>);
      return ok({ document: left, operation: { kind, after, branch } });
    },

    invert: ({ after, branch }) => ({ kind: inverse, after, branch }),
    describe,
    touches: ({ branch }) => branch.map(({ id }) => ({ forest: name, id })),
    writes: () => [],

    overwritten(document, operation) {
      const { id } = topOf(operation);
      return forestOf<ForestName>(document, name).nodes.has(id) ? { forest: name, id } : null;
    },

    claims: ({ branch }) => branch.map(({ id }) => `${name} ${id} *`),

    shift(forest, spot, operation) {
      const { id, parent } = topOf(operation);
      const isGone = forest === name && spot.after === id && spot.parent === parent;
      return isGone ? { parent, after: operation.after } : spot;
    },

    rebase: (operation) => operation,
  };
}
