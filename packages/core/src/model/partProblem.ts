import type { Id } from '../base/ids.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import { heldBy, partFacts, partFieldNames, partWords, type Part } from '../schema/part.ts';
import type { Destination } from '../schema/item.ts';
import type { SiteDocument } from './document.ts';

/** The destinations that a part names: its own, and those of links in its text. */
export function destinationsOf({
  destination,
  body = [],
}: Pick<Part, 'destination' | 'body'>): Destination[] {
  const inText = body.flatMap(({ runs }) => runs.flatMap(({ to }) => to ?? []));
  return destination === undefined ? inText : [destination, ...inText];
}

/** The pages that a part names. */
export function pagesNamed(part: Part): Id[] {
  const led = destinationsOf(part).flatMap((one) => (one.kind === 'page' ? [one.page] : []));
  return part.source?.page == null ? led : [...led, part.source.page];
}

/** What is wrong with a part where it is to stand: its place, its facts, or what it names; null: nothing. */
export function partProblem(document: SiteDocument, part: Part): Refusal | null {
  const { kind, parent } = part;
  const what = partWords[kind];
  const holder = document.parts.nodes.get(parent)?.kind ?? 'item';
  if (!heldBy[holder].includes(kind))
    return refusal('wrongPartPlace', { what, place: holder === 'item' ? 'panel' : partWords[holder] });
  const { always, maybe } = partFacts[kind];
  const lacking = always.find((field) => part[field] === undefined);
  if (lacking !== undefined) return refusal('wrongPart', { what, problem: `it has no ${lacking}` });
  const foreign = partFieldNames.find(
    (field) => part[field] !== undefined && !always.includes(field) && !maybe.includes(field),
  );
  if (foreign !== undefined) return refusal('wrongPart', { what, problem: `it cannot have ${foreign}` });
  const page = pagesNamed(part).find((id) => !document.pages.nodes.has(id));
  if (page !== undefined) return refusal('wrongPage', { id: page, label: part.text ?? what });
  return part.menu === undefined || document.menus.nodes.has(part.menu)
    ? null
    : refusal('wrongMenu', { id: part.menu });
}
