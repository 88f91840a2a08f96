import * as Type from 'typebox';
import type { TSchema } from 'typebox';
import { capitalised } from '../base/capitalised.ts';
import { knowPhrases } from '../base/sentences.ts';
import type { Field, Fields, PartDefinition, RootName } from './parts/definePart.ts';
import { partDefinitions } from './parts/partKinds.ts';
import { closed, IdShape, someOf } from './shapes.ts';

export { GRID_COLUMNS } from './parts/cell.ts';
export { areas, LEAST_AREA, LEAST_TAKEOVER, MOST_AREA, MOST_TAKEOVER, type AreaName } from './parts/area.ts';
export { behaviours, type Behaviour } from './parts/behaviour.ts';
export { menuSigns, type MenuSign } from './parts/menuButton.ts';
export { exceptionId, type ExceptionOn } from './parts/exception.ts';
export { pictureRatios } from './parts/fields.ts';
export { policies, type Faces, type Fits, type Policy } from './parts/frameFields.ts';
export { MOST_PAGES, PageSourceShape, type PageSource } from './parts/pages.ts';
export { HIGHEST_ROW, LEAST_ROW } from './parts/row.ts';
export { zoneNames, type ZoneName } from './parts/zone.ts';
export type { RootName };

type Definitions = typeof partDefinitions;
/** A kind of part. */
export type PartKind = keyof Definitions;
/** What panels and frames are made of. */
export const partKinds = Object.keys(partDefinitions) as PartKind[];

type Values<F> = { [N in keyof F]: F[N] extends Field<infer V> ? V : never };
type Always<K extends PartKind> = Values<Definitions[K]['always']>;
type Maybe<K extends PartKind> = Partial<Values<Definitions[K]['maybe']>>;
type FieldOf<K extends PartKind> = keyof Always<K> | keyof Maybe<K>;
/** The name of a field of a part. */
export type PartField = { [K in PartKind]: FieldOf<K> }[PartKind];
type FieldValue<N> = {
  [K in PartKind]: N extends keyof Always<K>
    ? Always<K>[N]
    : N extends keyof Maybe<K>
      ? NonNullable<Maybe<K>[N]>
      : never;
}[PartKind];

/** The fields of a part, whatever its kind. */
export type PartFacts = { [N in PartField]?: FieldValue<N> };

/** The same type as one object, which is cheaper to check than what it is put together from. */
type Flat<T> = { [N in keyof T]: T[N] };

/** A part of one kind. What other kinds have, it has not. */
export type PartOf<K extends PartKind> = Flat<
  { id: string; parent: string; kind: K } & Always<K> &
    Maybe<K> & { [N in Exclude<PartField, FieldOf<K>>]?: never }
>;

/** Anything that a panel or a frame is made of. */
export type Part = { [K in PartKind]: PartOf<K> }[PartKind];

/** Everything about a kind of part but how it is shown. */
export function definitionOf(kind: PartKind): PartDefinition {
  return partDefinitions[kind];
}

/** The fields of a kind, in the order of its form. */
export function fieldsOf(kind: PartKind): Fields {
  return fieldsByKind[kind];
}
const fieldsByKind = ofEachKind((kind): Fields => {
  const { always, maybe } = definitionOf(kind);
  return { ...always, ...maybe };
});

/** The fields of all kinds, each once. */
const allFields = Object.assign({}, ...partKinds.map(fieldsOf)) as Record<PartField, Field>;
/** The names of all fields. */
export const partFieldNames = Object.keys(allFields) as PartField[];

/** Of all fields: what their values are. */
export const partFields = mapped(allFields, ({ shape }) => shape);

/** The field of that name. */
export function partField<N extends string>(name: N): N extends PartField ? Field : Field | undefined {
  return allFields[name as unknown as PartField];
}

/** The names of the fields that a kind always has, and of those that it may have. */
export interface FieldNames {
  readonly always: readonly PartField[];
  readonly maybe: readonly PartField[];
}

/** Which fields each kind has, and which it may have. */
export const partFacts = ofEachKind((kind): FieldNames => {
  const { always, maybe } = definitionOf(kind);
  return { always: Object.keys(always) as PartField[], maybe: Object.keys(maybe) as PartField[] };
});

/** What each kind is called. */
export const partWords = ofEachKind((kind) => definitionOf(kind).name);

/** Kinds that somebody may add to a panel or to the frame, in the order in which they are offered: its own first. */
export function addableKinds(to: RootName): PartKind[] {
  const all = partKinds.filter((kind) => definitionOf(kind).about !== undefined && canBeIn(kind, to));
  const isOwn = (kind: PartKind): boolean => to === 'frame' && definitionOf(kind).root === to;
  return [...all.filter(isOwn), ...all.filter((kind) => !isOwn(kind))];
}

/** Whether a kind may be in a panel, or in the frame, however deep. */
export function canBeIn(kind: PartKind, root: RootName): boolean {
  const { root: only = root, standsIn } = definitionOf(kind);
  return (
    only === root && (root === 'panel' || standsIn.some((holder) => holder !== 'tab' && holder !== 'row'))
  );
}

/** The kinds that may stand in one, or in the panel or the frame itself. */
export function heldBy(holder: PartKind | RootName): readonly PartKind[] {
  return holders[holder];
}
const holders = {
  ...ofEachKind(inHolder),
  panel: inHolder('panel'),
  frame: inHolder('frame'),
};
function inHolder(holder: PartKind | RootName): PartKind[] {
  return partKinds.filter((kind) => definitionOf(kind).standsIn.includes(holder));
}

/** The shape of each kind. */
export const partShapes = ofEachKind((kind): TSchema => {
  const { always, maybe } = definitionOf(kind);
  const shapes = (fields: Fields): Record<string, TSchema> => mapped(fields, ({ shape }) => shape);
  return Type.Object(
    {
      id: IdShape,
      parent: IdShape,
      kind: Type.Literal(kind),
      ...shapes(always),
      ...someOf(shapes(maybe)).properties,
    },
    closed,
  );
});

/**
 * A part. The parent of a row is the item whose panel it stands in, that of an area the site; all others stand
 * in each other. `discriminator` lets the validator name what is wrong with the one kind that was meant.
 */
export const PartShape = Type.Unsafe<Part>({
  type: 'object',
  required: ['kind'],
  discriminator: { propertyName: 'kind' },
  oneOf: Object.values(partShapes),
});

function mapped<K extends string, V, W>(
  values: Readonly<Record<K, V>>,
  change: (value: V) => W,
): Record<K, W> {
  return Object.fromEntries(
    Object.entries(values).map(([name, value]) => [name, change(value as V)]),
  ) as Record<K, W>;
}

function ofEachKind<V>(make: (kind: PartKind) => V): Readonly<Record<PartKind, V>> {
  return Object.fromEntries(partKinds.map((kind) => [kind, make(kind)])) as Record<PartKind, V>;
}

// Sentences name parts; the words stand with the kinds, so that a new kind needs no other place.
knowPhrases(
  Object.fromEntries(
    partKinds.flatMap((kind): [string, string][] => {
      const { name, oneOf = `a ${name}` } = definitionOf(kind);
      const the = oneOf.replace(/^(?:the|an?) /, '');
      return [
        [`part${capitalised(kind)}`, oneOf],
        [`named${capitalised(kind)}`, `the ${the} “{name}”`],
      ];
    }),
  ),
);
