import { phrase, sentence } from '../base/sentences.ts';
import { partProblem } from '../model/partProblem.ts';
import { partSentence } from './addPart.ts';
import { defineMove, type Move } from './kit/defineMove.ts';

/** Puts a row, a cell or a part elsewhere in a panel, with what stands in it. */
export type MovePart = Move<'movePart'>;

export const movePart = defineMove(
  'movePart',
  'parts',
  (document, { id }) => {
    const part = document.parts.nodes.get(id);
    return part === undefined
      ? sentence('partMoved', { what: phrase('somePart'), label: id })
      : partSentence('moved', document, part);
  },
  partProblem,
);
