import { phrase, sentence } from '../base/sentences.ts';
import { partProblem } from '../model/partProblem.ts';
import { partFields } from '../schema/part.ts';
import { partSentence } from './addPart.ts';
import { defineUpdate, type Update } from './kit/defineUpdate.ts';

/** Changes what is said of a part of a panel. */
export type UpdatePart = Update<'updatePart', 'parts'>;

export const updatePart = defineUpdate(
  'updatePart',
  'parts',
  { always: {}, maybe: partFields },
  (document, { id }) => {
    const part = document.parts.nodes.get(id);
    return part === undefined
      ? sentence('partChanged', { what: phrase('somePart'), label: id })
      : partSentence('changed', document, part);
  },
  partProblem,
);
