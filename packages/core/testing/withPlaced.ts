import type { Id, RandomBits } from '../src/base/ids.ts';
import { placingOf } from '../src/commands/placing.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { kindOf, type Operation } from '../src/ops/registry.ts';
import type { Place } from '../src/schema/placement.ts';

/** The document with a menu in a place of its frame. */
export function withPlaced(document: SiteDocument, menu: Id, place: Place, random: RandomBits): SiteDocument {
  return placingOf(document, menu, place, random).reduce(
    (now, operation) => applied(now, operation),
    document,
  );
}

/** The document after an operation; throws where it is refused. */
export function applied(document: SiteDocument, operation: Operation): SiteDocument {
  const result = kindOf(operation).apply(document, operation);
  if (!result.ok) throw new Error(result.refusal.message);
  return result.value.document;
}
