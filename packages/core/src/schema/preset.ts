import * as Type from 'typebox';
import type { Static, TSchema } from 'typebox';
import {
  canBeIn,
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
  readonly child?: number;
  readonly parts?: readonly PartSketch[];
};

/** A row with cells, with parts, with tabs, with parts: no sketch is deeper. */
const LEVELS = 5;
export const MOST_SKETCHED = 200;

/** Presets and files are of panels: what the frame alone has is not in them. */
const panelKinds = partKinds.filter((kind) => canBeIn(kind, 'panel'));
const panelFields = Object.fromEntries(
  panelKinds.flatMap((kind) => {
    const { always, maybe } = partFacts[kind];
    return [...always, ...maybe].map((name) => [name, partFields[name]]);
  }),
);

function sketchShape(level: number, { item: _, ...facts }: Record<string, TSchema> = panelFields): TSchema {
  const parts =
    level === 1
      ? {}
      : { parts: Type.Optional(Type.Array(sketchShape(level - 1, facts), { maxItems: MOST_SKETCHED })) };
  const own = {
    kind: Type.Enum(panelKinds),
    child: Type.Optional(Type.Integer({ minimum: 0, maximum: 999 })),
  };
  return Type.Object({ ...own, ...someOf(facts).properties, ...parts }, closed);
}
/** A part and what it holds as a tree without ids. */
export const PartSketchShape = Type.Unsafe<PartSketch>(sketchShape(LEVELS));

/** Made when it is asked for: only whoever reads a file needs it. */
export function portableShape(): TSchema {
  const { picture: _, ...facts } = panelFields;
  const source = Type.Object(
    { ...PageSourceShape.properties, page: Type.Union([AddressShape, Type.Null()]) },
    closed,
  );
  return sketchShape(LEVELS, { ...facts, source, menu: KeyShape });
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

/** A composition that somebody saved, to be used for other items. Its parent is the site. */
export const PresetShape = Type.Object({ id: IdShape, parent: IdShape, ...presetFields }, closed);
/** A saved panel that can be inserted again. */
export type Preset = Static<typeof PresetShape>;
