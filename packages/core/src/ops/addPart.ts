import { capitalised } from '../base/capitalised.ts';
import type { Phrase } from '../base/fillIn.ts';
import { phrase, sentence, type Sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { partName } from '../model/labelOf.ts';
import { ownerOf, type PartDeed } from '../model/partRoots.ts';
import { partProblem } from '../model/partProblem.ts';
import { PartShape, partWords, type Part } from '../schema/part.ts';
import { defineAdd, topOf, type Branch } from './kit/defineAdd.ts';

/** Adds a row, a cell or a part, with what stands in it, to the panel of an item. */
export type AddPart = Branch<'addPart', 'parts'>;

export const addPart = defineAdd(
  'addPart',
  'removePart',
  'parts',
  PartShape,
  (document, operation) => partSentence('added', document, topOf(operation)),
  partProblem,
);

/** What was done to a part, in a sentence. */
export function partSentence(deed: PartDeed, document: SiteDocument, part: Part): Sentence {
  const { root, name } = ownerOf(document, part.parent);
  return sentence(root.sentences[deed], { what: partPhrase(document, part), label: name });
}

/** A part as it is called in a sentence: what it is, and by its name if it has one. */
export function partPhrase(document: SiteDocument, part: Part): Phrase {
  const name = partName(document, part);
  const kind = capitalised(part.kind);
  return name === partWords[part.kind] ? phrase(`part${kind}`) : phrase(`named${kind}`, { name });
}
