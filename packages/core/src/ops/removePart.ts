import { PartShape } from '../schema/part.ts';
import { partSentence } from './addPart.ts';
import { topOf, type Branch } from './kit/defineAdd.ts';
import { defineRemove } from './kit/defineRemove.ts';

/** Takes a row, a cell or a part out of a panel, with what stands in it. */
export type RemovePart = Branch<'removePart', 'parts'>;

export const removePart = defineRemove('removePart', 'addPart', 'parts', PartShape, (document, operation) =>
  partSentence('removed', document, topOf(operation)),
);
