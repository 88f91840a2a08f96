import { definePart, IN_ZONES } from './definePart.ts';
import { body, hiddenOn } from './fields.ts';

/** Paragraphs and lists, with bold, italics and links. */
export const textPart = definePart({
  kind: 'text',
  name: 'text',
  about: 'paragraphs and lists',
  standsIn: IN_ZONES,
  always: { body: body('Text') },
  maybe: { hiddenOn },
  begin: () => [{ kind: 'text', body: [{ kind: 'paragraph', runs: [{ text: 'Text' }] }] }],
});
