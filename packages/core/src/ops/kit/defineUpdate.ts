import * as Type from 'typebox';
import type { TProperties } from 'typebox';
import type { Id } from '../../base/ids.ts';
import { isEqual } from '../../base/isEqual.ts';
import type { Refusal } from '../../base/refusal.ts';
import { no, ok, type Result } from '../../base/result.ts';
import type { Sentence } from '../../base/sentences.ts';
import {
  forestOf,
  withForest,
  type ForestName,
  type NodeOf,
  type SiteDocument,
} from '../../model/document.ts';
import { withNodeChanged } from '../../model/forest.ts';
import { closed, IdShape, someOf } from '../../schema/shapes.ts';
import { missing } from './missing.ts';
import { differing, valuesOf } from './namedFields.ts';
import { written, type Applied, type Fields, type OperationKind } from './operationKind.ts';

/**
 * The fields of a node that an update may name: all but its identity and its place. Null takes a field away
 * that need not be there, and stands for it where it is not.
 */
export type FieldsOf<F extends ForestName> = FieldsOfNode<Omit<NodeOf[F], 'id' | 'parent'>>;
type FieldsOfNode<N> = {
  readonly [K in keyof N]?: object extends Pick<N, K> ? Exclude<N[K], undefined> | null : N[K];
};

/** The fields that a kind of node has, and those that it may have. */
export interface NodeFields {
  readonly always: TProperties;
  readonly maybe: TProperties;
}

/** Single fields of a node given new values, with their old ones. Both name the same fields. */
export interface Update<K extends string, F extends ForestName> {
  readonly kind: K;
  readonly id: Id;
  readonly set: FieldsOf<F>;
  readonly was: FieldsOf<F>;
}

/**
 * The kind of operation that changes fields of a node. On a field, the later one wins. `refuses` may say no
 * to the node as it would become.
 */
export function defineUpdate<K extends string, F extends ForestName>(
  kind: K,
  name: F,
  { always, maybe }: NodeFields,
  describe: (document: SiteDocument, operation: Update<K, F>) => Sentence,
  refuses: (document: SiteDocument, node: NodeOf[F]) => Refusal | null = () => null,
): OperationKind<Update<K, F>, Update<K, F>> {
  const orNull = Object.fromEntries(
    Object.entries(maybe).map(([field, shape]) => [field, Type.Union([shape, Type.Null()])]),
  );
  const someFields = someOf({ ...always, ...orNull });
  return {
    kind,
    shape: Type.Object({ kind: Type.Literal(kind), id: IdShape, set: someFields, was: someFields }, closed),

    apply(document, operation): Result<Applied<Update<K, F>>> {
      const forest = forestOf(document, name);
      const node = forest.nodes.get(operation.id);
      if (node === undefined) return no(missing(name, operation.id));
      const set = differing(node, operation.set);
      const was = valuesOf(node, set);
      if (Object.keys(set).length === 0) return ok({ document, operation: { ...operation, set, was } });
      const changed = withFields<F>(node, set, always);
      const reason = refuses(document, changed);
      if (reason !== null) return no(reason);
      return ok({
        document: withForest(document, name, withNodeChanged(forest, changed)),
        operation: { ...operation, set, was },
      });
    },

    invert: ({ id, set, was }) => ({ kind, id, set: was, was: set }),
    describe,
    touches: ({ id }) => [{ forest: name, id }],
    writes: ({ set }) => [written<F>(name, set as Fields<F>)],

    overwritten(document, { id, set }) {
      const node = forestOf(document, name).nodes.get(id);
      return node !== undefined && isEqual(valuesOf(node, set), set) ? null : { forest: name, id };
    },

    claims: ({ id, set }) => Object.keys(set).map((field) => `${name} ${id} ${field}`),

    shift: (_, spot) => spot,
    rebase: (operation) => operation,
  };
}

/** Null takes a field away unless every node has it; also one that only documents of older formats have. */
function withFields<F extends ForestName>(node: NodeOf[F], set: FieldsOf<F>, always: TProperties): NodeOf[F] {
  const kept = Object.entries({ ...node, ...set }).filter(
    ([field, value]) => value !== null || field in always || !(field in set),
  );
  return Object.fromEntries(kept) as unknown as NodeOf[F];
}
