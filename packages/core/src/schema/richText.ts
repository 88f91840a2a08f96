import * as Type from 'typebox';
import type { Static } from 'typebox';
import { DestinationShape } from './item.ts';
import { closed } from './shapes.ts';

const marks = {
  bold: Type.Optional(Type.Literal(true)),
  italic: Type.Optional(Type.Literal(true)),
  to: Type.Optional(DestinationShape),
};

/** A stretch of text that looks alike; `to` makes it a link. */
export const RunShape = Type.Object(
  { text: Type.String({ minLength: 1, maxLength: 2000 }), ...marks },
  closed,
);
/** A piece of text in one format, possibly a link. */
export type Run = Static<typeof RunShape>;

/**
 * Text with a small set of forms: paragraphs and lists of runs. It is kept as what it says and not as HTML,
 * so that nothing in it can ever be a script: there is no place for one, and rendering escapes the rest as it
 * does everywhere.
 */
export const BlockShape = Type.Object(
  {
    kind: Type.Enum(['paragraph', 'listed', 'numbered'] as const),
    runs: Type.Array(RunShape, { maxItems: 200 }),
  },
  closed,
);
/** A paragraph or a list item. */
export type Block = Static<typeof BlockShape>;

/** The most paragraphs and list items in one text. */
export const MOST_BLOCKS = 40;
/** Formatted text: paragraphs and lists with bold, italics and links. */
export const RichTextShape = Type.Array(BlockShape, { minItems: 1, maxItems: MOST_BLOCKS });
/** Formatted text, block by block. */
export type RichText = Static<typeof RichTextShape>;
