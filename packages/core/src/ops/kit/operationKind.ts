import type { TSchema } from 'typebox';
import type { Id } from '../../base/ids.ts';
import type { Result } from '../../base/result.ts';
import type { Sentence } from '../../base/sentences.ts';
import type { ForestName, SiteDocument } from '../../model/document.ts';
import type { Spot } from '../../model/forest.ts';

/** Something that an operation writes: a row to save, a node to look at again. */
export interface Touched {
  readonly forest: ForestName;
  readonly id: Id;
}

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
  /** JSON Schema of the operation; the server checks every operation that arrives against it. */
  readonly shape: TSchema;
  /** Applies it wholly or says why not. When nothing changes, the document comes back itself. */
  readonly apply: (document: SiteDocument, operation: O) => Result<Applied<O>>;
  /** The operation that takes it back. Exact for an operation that `apply` gave back. */
  readonly invert: (operation: O) => Inverse;
  /** What it does, in a sentence; `document` is the one before it. */
  readonly describe: (document: SiteDocument, operation: O) => Sentence;
  readonly touches: (operation: O) => readonly Touched[];
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
