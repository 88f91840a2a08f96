import * as Type from 'typebox';
import type { Static, TSchema } from 'typebox';
import type { Id } from '../base/ids.ts';
import {
  canBeIn,
  partField,
  PageSourceShape,
  partFacts,
  partFields,
  type PageSource,
  type PartFacts,
  partKinds,
  type PartKind,
} from './part.ts';
import { AddressShape, closed, IdShape, KeyShape, someOf } from './shapes.ts';

/**
 * Part of a panel apart from any panel: what it is, and what stands in it. A group names its child item by
 * its place among the children, from 0, so that it can be poured into another item.
 */
export type PartSketch = Omit<PartFacts, 'item'> & {
  readonly kind: PartKind;
  /** By this name, parts that show it again (`of`) find it; not there: none does. */
  readonly id?: Id;
  readonly child?: number;
  readonly parts?: readonly PartSketch[];
};

/** A row with cells, with parts, with tabs, with parts: no sketch is deeper. */
const LEVELS = 5;
/** An area with bands, with cells, with parts, with tabs, with parts, with exceptions. */
const FRAME_LEVELS = 7;
export const MOST_SKETCHED = 200;

/** Files are of panels: what the frame alone has is not in them. */
const panelKinds = partKinds.filter((kind) => canBeIn(kind, 'panel'));
function fieldsOfKinds(kinds: readonly PartKind[]): Record<string, TSchema> {
  const fields = kinds.flatMap((kind) => {
    const { always, maybe } = partFacts[kind];
    return [...always, ...maybe].map((name): [string, TSchema] => [name, partFields[name]]);
  });
  const { item: _, ...facts } = Object.fromEntries(fields);
  return facts;
}

function sketchShape(level: number, kinds: readonly PartKind[], facts: Record<string, TSchema>): TSchema {
  const parts =
    level === 1
      ? {}
      : {
          parts: Type.Optional(Type.Array(sketchShape(level - 1, kinds, facts), { maxItems: MOST_SKETCHED })),
        };
  const own = {
    kind: Type.Enum(kinds as PartKind[]),
    id: Type.Optional(IdShape),
    child: Type.Optional(Type.Integer({ minimum: 0, maximum: 999 })),
  };
  return Type.Object({ ...own, ...someOf(facts).properties, ...parts }, closed);
}
/** A part and what it holds as a tree without ids. */
export const PartSketchShape = Type.Unsafe<PartSketch>(
  sketchShape(FRAME_LEVELS, partKinds, fieldsOfKinds(partKinds)),
);

/**
 * The fields of kinds as they go from one site to another: pages by their addresses, menus by their keys; uploaded
 * pictures and items stay.
 */
function portableFields(kinds: readonly PartKind[]): Record<string, TSchema> {
  const fields = Object.entries(fieldsOfKinds(kinds)).filter(([name]) => {
    const control = partField(name)?.control.kind;
    return control !== 'picture' && name !== 'pushed';
  });
  const source = Type.Object(
    { ...PageSourceShape.properties, page: Type.Union([AddressShape, Type.Null()]) },
    closed,
  );
  const elsewhere = { source, menu: KeyShape, shows: KeyShape, onPage: AddressShape };
  return Object.fromEntries(
    fields.map(([name, shape]) => [name, elsewhere[name as keyof typeof elsewhere] ?? shape]),
  );
}

/** Made when it is asked for: only whoever reads a file needs it. */
export function portableShape(): TSchema {
  return sketchShape(LEVELS, panelKinds, portableFields(panelKinds));
}

const frameKinds = partKinds.filter((kind) => canBeIn(kind, 'frame'));
/** The same for an area of a frame. */
export function portableFrameShape(): TSchema {
  return sketchShape(FRAME_LEVELS, frameKinds, portableFields(frameKinds));
}

/** The same as a JSON Schema (draft 2020-12) of one part, in which `part` of the definitions is what it holds. */
export function portableFramePart(): object {
  const { parts: _, ...shape } = (
    sketchShape(1, frameKinds, portableFields(frameKinds)) as unknown as {
      properties: Record<string, unknown>;
    }
  ).properties;
  return {
    type: 'object',
    required: ['kind'],
    additionalProperties: false,
    properties: {
      ...shape,
      parts: { type: 'array', maxItems: MOST_SKETCHED, items: { $ref: '#/$defs/part' } },
    },
  };
}

/**
 * The same as it goes from one site to another: pages by their addresses, menus by their keys, without
 * uploaded pictures.
 */
export type PortableSketch = Omit<PartSketch, 'picture' | 'source' | 'parts'> & {
  readonly source?: Omit<PageSource, 'page'> & { readonly page: string | null };
  readonly parts?: readonly PortableSketch[];
};

export const LONGEST_PRESET_NAME = 60;
export const presetFields = {
  name: Type.String({ minLength: 1, maxLength: LONGEST_PRESET_NAME }),
  rows: Type.Array(PartSketchShape, { minItems: 1, maxItems: MOST_SKETCHED }),
};

/**
 * A composition that somebody saved: of a panel, to be used for other items, or of a frame, whose rows are areas.
 * Its parent is the site.
 */
export const PresetShape = Type.Object({ id: IdShape, parent: IdShape, ...presetFields }, closed);
/** A saved panel that can be inserted again. */
export type Preset = Static<typeof PresetShape>;
