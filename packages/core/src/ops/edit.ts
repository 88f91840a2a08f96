import * as Type from 'typebox';
import type { TSchema } from 'typebox';
import type { Id } from '../base/ids.ts';
import type { Sentence } from '../base/sentences.ts';
import { closed, IdShape, SentenceShape } from '../schema/shapes.ts';
import { operationKinds, type Operation } from './registry.ts';

/** Version of the protocol that edits are written in. */
export const EDIT_VERSION = 9;

/** One intention of a person as a unit of saving and of undo: it applies wholly or not at all. */
export interface Edit {
  /** Unique in the log of its site: sending it again returns the first answer. */
  readonly id: Id;
  readonly version: number;
  /** The revision of the site that its author knew. */
  readonly base: number;
  /** Whose undo it belongs to. */
  readonly session: Id;
  /** Edits of the same group are taken back together. */
  readonly group: string | null;
  /** The edit that this one takes back or, if that took one back itself, brings back. */
  readonly undoes: Id | null;
  readonly sentence: Sentence;
  /** At least one; none where `undoes` is given: the server makes what takes an edit back from its log. */
  readonly operations: readonly Operation[];
}

/** An edit as it took effect and stands in the log. */
export interface LoggedEdit extends Edit {
  /** The site's revision after it; revisions count from 1 without gaps. */
  readonly revision: number;
  /** When the server took it, ISO 8601 in UTC. */
  readonly at: string;
  readonly actor: string;
}

const kindShapes: readonly TSchema[] = Object.values(operationKinds).map((kind) => kind.shape);

/**
 * `discriminator` lets the validator name what is wrong with the one kind that was meant, not with all of
 * them. Edits refer to it by its id, so that it is compiled once.
 */
export const OperationShape = Type.Unsafe<Operation>({
  $id: 'Operation',
  type: 'object',
  required: ['kind'],
  discriminator: { propertyName: 'kind' },
  oneOf: kindShapes,
});

const editFields = {
  id: IdShape,
  version: Type.Integer({ minimum: 1, maximum: EDIT_VERSION }),
  base: Type.Integer({ minimum: 0 }),
  session: IdShape,
  group: Type.Union([Type.String({ minLength: 1, maxLength: 64 }), Type.Null()]),
  undoes: Type.Union([IdShape, Type.Null()]),
  sentence: SentenceShape,
  operations: Type.Array(Type.Unsafe<Operation>({ $ref: 'Operation' }), { maxItems: 20_000 }),
};

/** An edit as it is sent. */
export const EditShape = Type.Unsafe<Edit>(Type.Object(editFields, closed));
/** An operation of a log: it may be older than the shapes that new ones have to have. */
const LoggedOperationShape = Type.Unsafe<Operation>({
  type: 'object',
  required: ['kind'],
  properties: { kind: { type: 'string', maxLength: 64 } },
});

/** An edit as the log gives it. */
export const LoggedEditShape = Type.Unsafe<LoggedEdit>(
  Type.Object(
    {
      ...editFields,
      operations: Type.Array(LoggedOperationShape),
      revision: Type.Integer({ minimum: 1 }),
      at: Type.String({ maxLength: 40 }),
      actor: Type.String({ maxLength: 80 }),
    },
    closed,
  ),
);
