import { capitalised } from '../base/capitalised.ts';
import type { Phrase } from '../base/fillIn.ts';
import { ok } from '../base/result.ts';
import { phrase, sentence, type Sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { partName } from '../model/labelOf.ts';
import { areaWords, ownerOf, type PartDeed } from '../model/partRoots.ts';
import { meantPart } from '../model/usedPart.ts';
import { partProblem } from '../model/partProblem.ts';
import { PartShape, partWords, type Part } from '../schema/part.ts';
import { defineAdd, topOf, type Branch } from './kit/defineAdd.ts';

/** Adds a part, with what stands in it, to the panel of an item or to the frame. */
export type AddPart = Branch<'addPart', 'parts'>;

const added = defineAdd(
  'addPart',
  'removePart',
  'parts',
  PartShape,
  (document, operation) => partSentence('added', document, topOf(operation)),
  partProblem,
);

/** An area that is there already is not added again: whoever is the first to need it adds it. */
export const addPart: typeof added = {
  ...added,
  apply: (document, operation) =>
    isAreaAlone(operation) && document.parts.nodes.has(topOf(operation).id)
      ? ok({ document, operation })
      : added.apply(document, operation),
};

function isAreaAlone({ branch }: AddPart): boolean {
  return branch.length === 1 && branch[0]?.kind === 'area';
}

/** What was done to a part, in a sentence. */
export function partSentence(deed: PartDeed, document: SiteDocument, part: Part): Sentence {
  if (part.kind === 'area' && deed === 'changed')
    return sentence('areaChanged', { label: areaWords[part.area] });
  const { root, name } = ownerOf(document, part.parent);
  return sentence(root.sentences[deed], { what: partPhrase(document, part), label: name });
}

/** A part as it is called in a sentence: what it is, and by its name if it has one. */
export function partPhrase(document: SiteDocument, part: Part): Phrase {
  // A part that is shown again is called by what it is.
  const { kind: own } = meantPart(document, part) ?? part;
  const name = partName(document, part);
  const kind = capitalised(own);
  return name === partWords[own] ? phrase(`part${kind}`) : phrase(`named${kind}`, { name });
}
