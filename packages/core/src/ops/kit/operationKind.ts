import type { TSchema } from 'typebox';
import type { Id } from '../../base/ids.ts';
import type { Result } from '../../base/result.ts';
import type { Sentence } from '../../base/sentences.ts';
import type { ForestName, NodeOf, SiteDocument } from '../../model/document.ts';
import type { Spot } from '../../model/forest.ts';

/** Something that an operation writes: a row to save, a node to look at again. */
export interface Touched {
  readonly forest: ForestName;
  readonly id: Id;
}

/** Fields of one node: all of them, or those that an update names; null for one that is taken away. */
export type Fields<F extends ForestName> = {
  readonly [K in keyof NodeOf[F]]?: NodeOf[F][K] | null | undefined;
};

/** Fields with the forest whose nodes they belong to. */
export type Written = {
  readonly [F in ForestName]: { readonly forest: F; readonly fields: Fields<F> };
}[ForestName];

/**
 * What an operation did: the document after it, and the operation as it took effect. The latter has its old
 * values as they were found, so that its inverse is exact even when somebody else came in between.
 */
export interface Applied<O> {
  readonly document: SiteDocument;
  readonly operation: O;
}

/** Everything about one kind of operation. Kinds are plain data with pure functions; none keeps anything. */
export interface OperationKind<O extends { readonly kind: string }, Inverse = unknown> {
  readonly kind: O['kind'];
  /**
   * It is applied where it stands in a log, but no new edit may hold it: a kind that has been retired, or one
   * that the server alone makes.
   */
  readonly onlyInLogs?: true;
  /** JSON Schema of the operation; the server checks every operation that arrives against it. */
  readonly shape: TSchema;
  /** Applies it wholly or says why not. When nothing changes, the document comes back itself. */
  readonly apply: (document: SiteDocument, operation: O) => Result<Applied<O>>;
  /** The operation that takes it back. Exact for an operation that `apply` gave back. */
  readonly invert: (operation: O) => Inverse;
  /** What it does, in a sentence; `document` is the one before it. */
  readonly describe: (document: SiteDocument, operation: O) => Sentence;
  readonly touches: (operation: O) => readonly Touched[];
  /** The fields that it writes: of added nodes all, of changed ones those that change. */
  readonly writes: (operation: O) => readonly Written[];
  /**
   * What no longer is as this operation left it, so that taking it back would take back another's work; null:
   * all stands.
   */
  readonly overwritten: (document: SiteDocument, operation: O) => Touched | null;
  /**
   * What it decided, as `forest id aspect`: a field's name, `place`, `*` for the whole thing, or `inside`
   * where it put something. What it left as it was is not named.
   */
  readonly claims: (operation: O) => readonly string[];
  /**
   * Where a spot that was chosen before this operation is to be found after it: an anchor that went away
   * gives way to its predecessor.
   */
  readonly shift: (forest: ForestName, spot: Spot, operation: O) => Spot;
  /** The same operation with its own spots led through `through`. */
  readonly rebase: (operation: O, through: (forest: ForestName, spot: Spot) => Spot) => O;
}

/** Pairs fields with their forest. */
export function written<F extends ForestName>(forest: F, fields: Fields<F>): Written {
  // What pairs a forest with fields of its own nodes is one of the union; the compiler cannot see it.
  return { forest, fields } as unknown as Written;
}
