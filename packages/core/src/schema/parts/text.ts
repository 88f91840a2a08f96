import type { Static } from 'typebox';
import { inDestination } from '../ref.ts';
import { RichTextShape } from '../richText.ts';
import { definePart, IN_CELLS, field } from './definePart.ts';
import { hiddenOn } from './fields.ts';

/** Paragraphs and lists. */
const body = field<Static<typeof RichTextShape>>(RichTextShape, {
  control: { kind: 'body', label: 'Text' },
  refs: {
    role: 'link',
    find: (blocks, visit, path) =>
      blocks.forEach(({ runs }, block) =>
        runs.forEach(({ to }, run) => {
          if (to !== undefined) inDestination(to, visit, [...path, block, 'runs', run, 'to']);
        }),
      ),
  },
  isResolved: true,
});

/** Paragraphs and lists, with bold, italics and links. */
export const textPart = definePart({
  kind: 'text',
  name: 'text',
  about: 'paragraphs and lists',
  standsIn: IN_CELLS,
  always: { body },
  maybe: { hiddenOn },
  begin: () => [{ kind: 'text', body: [{ kind: 'paragraph', runs: [{ text: 'Text' }] }] }],
});
