import { definePart, IN_ZONES } from './definePart.ts';
import { body } from './fields.ts';
import { inFrame } from './frameFields.ts';

/** Paragraphs and lists, with bold, italics and links. */
export const textPart = definePart({
  kind: 'text',
  name: 'text',
  about: 'paragraphs and lists',
  standsIn: IN_ZONES,
  always: { body: body('Text') },
  maybe: { ...inFrame },
  begin: () => [{ kind: 'text', body: [{ kind: 'paragraph', runs: [{ text: 'Text' }] }] }],
});
