import type { TSchema } from 'typebox';
import type { Id } from '../../base/ids.ts';
import type { Refusal } from '../../base/refusal.ts';
import type { Destination } from '../item.ts';
import type { FindRefs, RefRole } from '../ref.ts';
import type { Control } from './control.ts';

/** One field of a kind of part: what its values are, and how somebody sets it. */
export interface Field<V = unknown> {
  readonly shape: TSchema;
  readonly control: Control;
  /** What its values refer to; not there: to nothing. */
  readonly refs?: { readonly role: RefRole; readonly find: FindRefs<never> };
  /** Visitors get what it stands for, such as an address for a destination, and not the value itself. */
  readonly isResolved?: true;
  /** For the compiler alone: the type of its values. */
  readonly valueType?: V;
}

/**
 * A field with values of a shape. Their type is given and not derived from the shape here: deriving it in
 * general takes the compiler seconds for every file that uses it.
 */
export function field<V>(
  shape: TSchema,
  rest: Pick<Field, 'control' | 'isResolved'> & {
    readonly refs?: { readonly role: RefRole; readonly find: FindRefs<V> };
  },
): Field<V> {
  return { shape, ...rest };
}

/** Fields by their names. */
export type Fields = Readonly<Record<string, Field>>;

/** What parts stand in at last: the panel of an item, or the frame of the site. */
export type RootName = 'panel' | 'frame';

/** What somebody begins with who adds a part: facts of the item whose panel it comes into, or of the site. */
export interface BeginsIn {
  readonly root: RootName;
  readonly label: string;
  readonly destination: Destination;
  /** The page that it links to; null: none. */
  readonly page: Id | null;
  /** The child item that a link group shows first; null: there is none. */
  readonly child: Id | null;
  /** Another menu of the site; null: there is none. */
  readonly otherMenu: Id | null;
  /** Kinds of parts that the panel, or the frame, has. */
  readonly kinds: ReadonlySet<string>;
}

/** A part without its ids. Its kind says which fields it has. */
export interface Beginning {
  readonly kind: string;
  readonly [field: string]: unknown;
}

/** Everything about one kind of part but how it is shown; that is in `parts/`. */
export interface PartDefinition<
  K extends string = string,
  A extends Fields = Fields,
  M extends Fields = Fields,
> {
  readonly kind: K;
  /** What it is called: “link list”. */
  readonly name: string;
  /**
   * The same within a sentence, where it is one of several, such as “a link list”; not there: “a” and its
   * name.
   */
  readonly oneOf?: string;
  /** What it is good for, where it is offered. What has no such words cannot be added by itself. */
  readonly about?: string;
  /** What it may stand in: other kinds, or `panel` and `frame` for these themselves. */
  readonly standsIn: readonly string[];
  /** The only one of the two that it may be in, however deep; not there: it may be in both. */
  readonly root?: RootName;
  /** Fields that it always has, in the order of the form. */
  readonly always: A;
  /** Fields that it may have. */
  readonly maybe: M;
  /** What it begins with: itself, and what stands in it. */
  readonly begin?: (within: BeginsIn) => readonly Beginning[] | Refusal;
  /** What is wrong with its values beyond their shapes; null: nothing. */
  readonly check?: (part: Readonly<Record<string, unknown>>) => Refusal | null;
}

/**
 * Says all about one kind of part. Adding a kind: this, a file in `parts/`, and a line in each of the two
 * lists.
 */
export function definePart<const K extends string, A extends Fields, M extends Fields>(
  definition: PartDefinition<K, A, M>,
): PartDefinition<K, A, M> {
  return definition;
}

/** What stands in the cells and tabs of a panel, and in the cells of a frame. */
export const IN_CELLS = ['cell', 'tab'] as const;
/** What stands in the zones of a band, too. */
export const IN_ZONES = ['zone', 'cell', 'tab'] as const;
