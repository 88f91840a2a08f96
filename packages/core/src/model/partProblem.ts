import { refusal, type Refusal } from '../base/refusal.ts';
import type { Id } from '../base/ids.ts';
import {
  canBeIn,
  exceptionId,
  heldBy,
  partFacts,
  partFieldNames,
  partWords,
  type Part,
  type PartKind,
  type RootName,
} from '../schema/part.ts';
import { lostRef } from './lostRef.ts';
import { areaId, holderAt, behaviourId, ownerOf, zoneId } from './partRoots.ts';
import type { SiteDocument } from './document.ts';

/** What is wrong with a part where it is to stand: its place, its fields, or what it names; null: nothing. */
export function partProblem(document: SiteDocument, part: Part): Refusal | null {
  const { kind, parent } = part;
  const what = partWords[kind];
  const holder = holderAt(document, parent);
  if (!heldBy(holder).includes(kind)) return refusal('wrongPartPlace', { what, place: placeWords(holder) });
  const root = ownerOf(document, parent).root.holder;
  if (!canBeIn(kind, root)) return refusal('wrongPartPlace', { what, place: root });
  const only = onlyId(part);
  if (only !== null && only !== part.id)
    return refusal('wrongPart', { what, problem: 'there can be only one' });
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

/** The id that a part must have because there can be only one such part there; null: there can be several. */
export function onlyId(part: Part): Id | null {
  if (part.kind === 'area') return areaId(part.area);
  if (part.kind === 'zone') return zoneId(part.parent, part.at);
  if (part.kind === 'behaviour') return behaviourId(part.parent, part.does);
  if (part.kind !== 'exception') return null;
  const { parent, template, onPage, isBelow } = part;
  if (template !== undefined) return exceptionId(parent, { template });
  if (onPage === undefined) return null;
  return exceptionId(parent, isBelow === true ? { onPage, isBelow } : { onPage });
}

/** A part's holder in words. */
export function placeWords(holder: PartKind | RootName): string {
  return holder === 'panel' || holder === 'frame' ? holder : partWords[holder];
}
