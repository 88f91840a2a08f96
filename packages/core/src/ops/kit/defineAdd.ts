import * as Type from 'typebox';
import type { TSchema } from 'typebox';
import type { Id } from '../../base/ids.ts';
import { refusal, type Refusal } from '../../base/refusal.ts';
import { no, ok, type Result } from '../../base/result.ts';
import type { Sentence } from '../../base/sentences.ts';
import { branchOf } from '../../model/branchOf.ts';
import {
  forestOf,
  isParent,
  withForest,
  type ForestName,
  type NodeOf,
  type SiteDocument,
} from '../../model/document.ts';
import { childrenOf, hasSpot, withNode, type Forest, type Rooted } from '../../model/forest.ts';
import { nameOf } from '../../model/labelOf.ts';
import { closed } from '../../schema/shapes.ts';
import { written, type Applied, type OperationKind } from './operationKind.ts';
import { AfterShape } from './spotShape.ts';

/**
 * A whole branch in preorder: its top stands behind `after` among its parent's children, all others follow in
 * their order.
 */
export interface Branch<K extends string, F extends ForestName> {
  readonly kind: K;
  readonly after: Id | null;
  readonly branch: readonly NodeOf[F][];
}

export function branchShape(kind: string, node: TSchema): TSchema {
  return Type.Object(
    { kind: Type.Literal(kind), after: AfterShape, branch: Type.Array(node, { minItems: 1 }) },
    closed,
  );
}

/** The top of a branch. The schema promises that there is one. */
export function topOf<N extends Rooted>({ branch }: { readonly branch: readonly N[] }): N {
  const [top] = branch;
  if (top === undefined) throw new Error('A branch needs at least its top.');
  return top;
}

/**
 * The kind of operation that adds a branch. Refused: an id that is taken, a parent that is gone, what
 * `refuses` says no to, asked with what stands above it there.
 */
export function defineAdd<K extends string, I extends string, F extends ForestName>(
  kind: K,
  inverse: I,
  name: F,
  node: TSchema,
  describe: (document: SiteDocument, operation: Branch<K, F>) => Sentence,
  refuses: (document: SiteDocument, node: NodeOf[F]) => Refusal | null = () => null,
): OperationKind<Branch<K, F>, Branch<I, F>> {
  return {
    kind,
    shape: branchShape(kind, node),

    apply(document, operation): Result<Applied<Branch<K, F>>> {
      const top = topOf(operation);
      const spot = { parent: top.parent, after: operation.after };
      let forest: Forest<Rooted> = forestOf<ForestName>(document, name);
      const isPlace = isParent(document, name, top.parent) && hasSpot(forest, spot);
      if (!isPlace) return no(refusal('noSuchPlace', { label: 'it', id: spot.after ?? spot.parent }));
      const own = new Set<Id>();
      for (const one of operation.branch) {
        if (forest.nodes.has(one.id)) return no(refusal('alreadyThere', { id: one.id }));
        if (one !== top && !own.has(one.parent))
          return no(refusal('noSuchPlace', { label: one.id, id: one.parent }));
        const reason = refuses(
          withForest<ForestName>(document, name, forest as Forest<NodeOf[ForestName]>),
          one,
        );
        if (reason !== null) return no(reason);
        own.add(one.id);
        forest = withNode(forest, one, one === top ? operation.after : childrenOf(forest, one.parent).last());
      }
      return ok({
        document: withForest<ForestName>(document, name, forest as Forest<NodeOf[ForestName]>),
        operation,
      });
    },

    invert: ({ after, branch }) => ({ kind: inverse, after, branch }),
    describe,
    touches: ({ branch }) => branch.map(({ id }) => ({ forest: name, id })),
    writes: ({ branch }) => branch.map((fields) => written<F>(name, fields)),

    overwritten(document, operation) {
      const forest: Forest<Rooted> = forestOf<ForestName>(document, name);
      const { id } = topOf(operation);
      if (!forest.nodes.has(id)) return { forest: name, id };
      const added = new Set(operation.branch.map((one) => one.id));
      const stranger = branchOf(forest, id).find((one) => !added.has(one.id));
      return stranger === undefined ? null : { forest: name, id: stranger.id };
    },

    claims: (operation) => [
      ...operation.branch.map(({ id }) => `${name} ${id} *`),
      `${name} ${topOf(operation).parent} inside`,
    ],
    shift: (_, spot) => spot,
    rebase: (operation, through) => ({
      ...operation,
      after: through(name, { parent: topOf(operation).parent, after: operation.after }).after,
    }),
  };
}

/** What an added branch goes into, by name. */
export function parentName(
  document: SiteDocument,
  name: ForestName,
  operation: { readonly branch: readonly Rooted[] },
): string {
  return nameOf(document, name, topOf(operation).parent);
}
