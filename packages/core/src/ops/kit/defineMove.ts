import * as Type from 'typebox';
import type { Id } from '../../base/ids.ts';
import { no, ok, type Result } from '../../base/result.ts';
import { refusal, type Refusal } from '../../base/refusal.ts';
import type { Sentence } from '../../base/sentences.ts';
import {
  forestOf,
  isParent,
  withForest,
  type ForestName,
  type NodeOf,
  type SiteDocument,
} from '../../model/document.ts';
import { hasSpot, nodeAt, spotOf, withNodeMoved, type Spot } from '../../model/forest.ts';
import { isWithin } from '../../model/isWithin.ts';
import { nameOf } from '../../model/labelOf.ts';
import { closed, IdShape } from '../../schema/shapes.ts';
import { missing } from './missing.ts';
import type { Applied, OperationKind } from './operationKind.ts';
import { SpotShape } from './spotShape.ts';

/** A node, and the branch below it, put behind another sibling or under another parent. */
export interface Move<K extends string> {
  readonly kind: K;
  readonly id: Id;
  readonly from: Spot;
  readonly to: Spot;
}

/**
 * The kind of operation that moves a node of one forest. Refused: into its own branch, to a parent that is
 * gone, what `refuses` says no to of the node as it would stand there.
 */
export function defineMove<K extends string, F extends ForestName>(
  kind: K,
  name: F,
  describe: (document: SiteDocument, operation: Move<K>) => Sentence,
  refuses: (document: SiteDocument, node: NodeOf[F]) => Refusal | null = () => null,
): OperationKind<Move<K>, Move<K>> {
  return {
    kind,
    shape: Type.Object({ kind: Type.Literal(kind), id: IdShape, from: SpotShape, to: SpotShape }, closed),

    apply(document, operation): Result<Applied<Move<K>>> {
      const { id, to } = operation;
      const forest = forestOf<ForestName>(document, name);
      if (!forest.nodes.has(id)) return no(missing(name, id));
      const label = nameOf(document, name, id);
      if (!isParent(document, name, to.parent)) return no(refusal('noSuchPlace', { label, id: to.parent }));
      if (isWithin(forest, to.parent, id))
        return no(refusal('wouldCircle', { label, target: nameOf(document, name, to.parent) }));
      const target = to.after === id ? spotOf(forest, id) : to;
      if (!hasSpot(forest, target))
        return no(refusal('noSuchPlace', { label, id: target.after ?? target.parent }));
      const reason = refuses(document, {
        ...nodeAt(forest, id),
        parent: target.parent,
      } as unknown as NodeOf[F]);
      if (reason !== null) return no(reason);
      const moved = withNodeMoved(forest, id, target) as typeof forest;
      return ok({
        document: withForest<ForestName>(document, name, moved),
        operation: { ...operation, from: spotOf(forest, id), to: target },
      });
    },

    invert: ({ id, from, to }) => ({ kind, id, from: to, to: from }),
    describe,
    touches: ({ id }) => [{ forest: name, id }],
    writes: () => [],

    overwritten(document, { id, to }) {
      const node = forestOf<ForestName>(document, name).nodes.get(id) as NodeOf[F] | undefined;
      return node?.parent === to.parent ? null : { forest: name, id };
    },

    claims: ({ id, to }) => [`${name} ${id} place`, `${name} ${to.parent} inside`],

    shift(forest, spot, { id, from, to }) {
      const hasLeft =
        forest === name && spot.after === id && spot.parent === from.parent && to.parent !== from.parent;
      return hasLeft ? { parent: spot.parent, after: from.after } : spot;
    },

    rebase: (operation, through) => ({ ...operation, to: through(name, operation.to) }),
  };
}

/** What a move is called: within the same parent it is a reordering. */
export function isReordering({ from, to }: Move<string>): boolean {
  return from.parent === to.parent;
}

/** The name of the node that a move brings its own into; the site's name on the top level of pages. */
export function targetName(document: SiteDocument, name: ForestName, { to }: Move<string>): string {
  const forest = forestOf<ForestName>(document, name);
  return nameOf(document, name, forest.nodes.has(to.parent) ? nodeAt(forest, to.parent).id : to.parent);
}
