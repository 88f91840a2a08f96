import { portableStyleShape } from '@zorvik/core';
import { STYLE_SCHEMA } from '../src/styles/styleJson.ts';

/** The published schema of looks, made of the things and properties that there are: docs/formats/style-1.schema.json. */
export function styleSchema(): object {
  const { properties, required } = portableStyleShape() as unknown as {
    properties: object;
    required: readonly string[];
  };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: STYLE_SCHEMA,
    title: 'The looks of a site',
    description:
      'Zorvik’s own format for looks, version 1: starter, names, values for things in places, variants, CSS. Files of fonts, and looks of single items and parts, are not in it.',
    type: 'object',
    required: ['format', 'version', ...required],
    properties: {
      $schema: { type: 'string' },
      format: { const: 'zorvik-style' },
      version: { const: 1 },
      ...properties,
    },
    additionalProperties: false,
  };
}
