import { refusal, type Refusal } from '../base/refusal.ts';
import { heldBy, partFacts, partFieldNames, partWords, type Part } from '../schema/part.ts';
import { lostRef } from './lostRef.ts';
import { holderAt } from './partRoots.ts';
import type { SiteDocument } from './document.ts';

/** What is wrong with a part where it is to stand: its place, its fields, or what it names; null: nothing. */
export function partProblem(document: SiteDocument, part: Part): Refusal | null {
  const { kind, parent } = part;
  const what = partWords[kind];
  const holder = holderAt(document, parent);
  if (!heldBy(holder).includes(kind))
    return refusal('wrongPartPlace', { what, place: holder === 'panel' ? 'panel' : partWords[holder] });
  const { always, maybe } = partFacts[kind];
  const lacking = always.find((field) => part[field] === undefined);
  if (lacking !== undefined) return refusal('wrongPart', { what, problem: `it has no ${lacking}` });
  const foreign = partFieldNames.find(
    (field) => part[field] !== undefined && !always.includes(field) && !maybe.includes(field),
  );
  if (foreign !== undefined) return refusal('wrongPart', { what, problem: `it cannot have ${foreign}` });
  const lost = lostRef(document, 'parts', part);
  if (lost === null) return null;
  return lost.to === 'page'
    ? refusal('wrongPage', { id: lost.value, label: part.text ?? what })
    : refusal('wrongMenu', { id: lost.value });
}
