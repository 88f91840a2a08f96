import { definePart, IN_CELLS } from './definePart.ts';
import { body, hiddenOn } from './fields.ts';

/** Paragraphs and lists, with bold, italics and links. */
export const textPart = definePart({
  kind: 'text',
  name: 'text',
  about: 'paragraphs and lists',
  standsIn: IN_CELLS,
  always: { body: body('Text') },
  maybe: { hiddenOn },
  begin: () => [{ kind: 'text', body: [{ kind: 'paragraph', runs: [{ text: 'Text' }] }] }],
});
