import type { TSchema } from 'typebox';
import {
  BadgeShape,
  capitalised,
  DestinationShape,
  DropdownShape,
  EditShape,
  FollowShape,
  IconShape,
  ItemShape,
  LeftFindingShape,
  LoggedEditShape,
  MenuShape,
  operationKinds,
  OperationShape,
  OwnFieldShape,
  PageShape,
  PageSourceShape,
  PartShape,
  StyleShape,
  partShapes,
  PartSketchShape,
  PictureShape,
  PlacementShape,
  PresetShape,
  RichTextShape,
  SentenceShape,
  SharedLinkShape,
  SiteShape,
  StoredDocumentShape,
} from '@zorvik/core';
import { PersonShape } from './messages.ts';
import { ReadingPlanShape, ReadingShape } from './reading.ts';
import {
  EditionSummaryShape,
  ErrorEnvelopeShape,
  ResolvedItemShape,
  ResolvedMenuShape,
  ResolvedPartShape,
  SiteSummaryShape,
} from './routes.ts';

type Json = Record<string, unknown>;

/**
 * The levels of a panel's sketch, the inner ones first: each has a name of its own, so that no sketch is
 * deeper than it may be.
 */
function sketchLevels(): Record<string, unknown> {
  const levels: unknown[] = [];
  for (
    let level: Json | undefined = PartSketchShape as unknown as Json;
    level !== undefined;
    level = partsOf(level)
  )
    levels.unshift(level);
  return Object.fromEntries(
    levels.map((level, at) => [at === levels.length - 1 ? 'PartSketch' : `PartSketch${at + 1}`, level]),
  );
}

function partsOf(sketch: Json): Json | undefined {
  const { parts } = sketch.properties as { parts?: { items?: Json } };
  return parts?.items;
}

/**
 * Every shape that stands in several others, by the name under which it is described and referred to. Inner
 * ones come before those that hold them.
 */
const namedShapes = (): Readonly<Record<string, unknown>> => ({
  Sentence: SentenceShape,
  Picture: PictureShape,
  Icon: IconShape,
  Badge: BadgeShape,
  Destination: DestinationShape,
  Dropdown: DropdownShape,
  Follow: FollowShape,
  PageSource: PageSourceShape,
  RichText: RichTextShape,
  ...sketchLevels(),
  Site: SiteShape,
  Page: PageShape,
  Menu: MenuShape,
  Item: ItemShape,
  Placement: PlacementShape,
  SharedLink: SharedLinkShape,
  OwnField: OwnFieldShape,
  IgnoredFinding: LeftFindingShape,
  ...Object.fromEntries(
    Object.entries(partShapes).map(([kind, shape]) => [`${capitalised(kind)}Part`, shape]),
  ),
  Part: PartShape,
  Style: StyleShape,
  Preset: PresetShape,
  ...Object.fromEntries(Object.values(operationKinds).map(({ kind, shape }) => [capitalised(kind), shape])),
  Operation: OperationShape,
  Edit: EditShape,
  LoggedEdit: LoggedEditShape,
  Document: StoredDocumentShape,
  Person: PersonShape,
  EditionSummary: EditionSummaryShape,
  SiteSummary: SiteSummaryShape,
  ReadingPlan: ReadingPlanShape,
  Reading: ReadingShape,
  ResolvedPart: ResolvedPartShape,
  ResolvedItem: ResolvedItemShape,
  ResolvedMenu: ResolvedMenuShape,
  Error: ErrorEnvelopeShape,
});

/** What a schema says, without the id under which others refer to it. */
const textOf = (schema: unknown): string =>
  JSON.stringify(schema, (key, value: unknown) => (key === '$id' ? undefined : value));

interface Named {
  readonly shapes: Readonly<Record<string, unknown>>;
  /** The name of each by what it says. */
  readonly nameOf: ReadonlyMap<string, string>;
}

/** Made when it is first asked for: whoever starts need not wait for it. */
let known: Named | null = null;

function named(): Named {
  if (known !== null) return known;
  const shapes = namedShapes();
  return (known = {
    shapes,
    nameOf: new Map(Object.entries(shapes).map(([name, schema]) => [textOf(schema), name])),
  });
}

/**
 * A schema in which every named shape is a reference to it: `to` makes the reference of its name. So a
 * validator compiles each shape once and not wherever it stands, and a reader of the description meets it by
 * its name.
 */
export function referring(
  schema: unknown,
  to: (name: string) => string = (name) => name,
  own: string | null = null,
): unknown {
  if (Array.isArray(schema)) return schema.map((one) => referring(one, to));
  if (typeof schema !== 'object' || schema === null) return schema;
  const name = named().nameOf.get(textOf(schema));
  if (name !== undefined && name !== own) return { $ref: to(name) };
  const entries = Object.entries(schema).filter(([key]) => key !== '$id');
  return Object.fromEntries(
    entries.map(([key, value]) => [key, key === '$ref' ? to(String(value)) : referring(value, to)]),
  );
}

/** All named shapes, each of which refers to the others. */
export function sharedShapes(to?: (name: string) => string): Record<string, TSchema> {
  return Object.fromEntries(
    Object.entries(named().shapes).map(([name, schema]) => [name, referring(schema, to, name) as TSchema]),
  );
}
