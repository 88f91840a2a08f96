import { portableFramePart } from '@zorvik/core/testing';
import { FRAME_SCHEMA } from '../src/frames/frameJson.ts';

/** The published schema of frames, made of the kinds of parts that there are: docs/formats/frame-1.schema.json. */
export function frameSchema(): object {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: FRAME_SCHEMA,
    title: 'A frame',
    description:
      'Zorvik’s own format for the frame of a site, version 1: header, side area and footer. Pages are named by their addresses, menus by their IDs. Uploaded pictures are not in it.',
    type: 'object',
    required: ['format', 'version', 'areas'],
    properties: {
      $schema: { type: 'string' },
      format: { const: 'zorvik-frame' },
      version: { const: 1 },
      name: { type: 'string' },
      areas: { type: 'array', minItems: 1, items: { $ref: '#/$defs/part' } },
    },
    $defs: { part: portableFramePart() },
  };
}
