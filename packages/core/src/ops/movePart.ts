import { refusal, type Refusal } from '../base/refusal.ts';
import { phrase, sentence } from '../base/sentences.ts';
import { branchOf } from '../model/branchOf.ts';
import type { SiteDocument } from '../model/document.ts';
import { partProblem } from '../model/partProblem.ts';
import { ownerOf } from '../model/partRoots.ts';
import { canBeIn, partWords, type Part } from '../schema/part.ts';
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
  (document, part) => partProblem(document, part) ?? problemWithin(document, part),
);

/** Parts that can only be in a panel do not get into the frame in a cell that is moved there, nor the other way. */
function problemWithin(document: SiteDocument, { id, parent }: Part): Refusal | null {
  const { holder } = ownerOf(document, parent).root;
  const wrong = branchOf(document.parts, id).find(({ kind }) => !canBeIn(kind, holder));
  return wrong === undefined
    ? null
    : refusal('wrongPartPlace', { what: partWords[wrong.kind], place: holder });
}
