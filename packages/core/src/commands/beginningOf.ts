import type { Id } from '../base/ids.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import type { SiteDocument } from '../model/document.ts';
import { faceOf } from '../model/faceOf.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { menuOf } from '../model/menuOf.ts';
import type { UnplacedPart } from '../model/newPart.ts';
import { partsIn } from '../model/partsIn.ts';
import { notYetShown } from '../panel/shownApart.ts';
import { definitionOf, partWords, type PartKind } from '../schema/part.ts';
import type { BeginsIn } from '../schema/parts/definePart.ts';

/**
 * What a part of a kind is made with when somebody adds it to the panel of an item, until they say otherwise.
 */
export function beginningOf(
  document: SiteDocument,
  owner: Id,
  kind: PartKind,
): readonly UnplacedPart[] | Refusal {
  const { begin } = definitionOf(kind);
  // What is made is checked by the operation that adds it, and by a law over all kinds.
  return begin === undefined
    ? refusal('wrongPartPlace', { what: partWords[kind], place: 'cell' })
    : (begin(surroundings(document, owner)) as readonly UnplacedPart[] | Refusal);
}

function surroundings(document: SiteDocument, owner: Id): BeginsIn {
  const { destination } = faceOf(document, nodeAt(document.items, owner));
  const own = menuOf(document, owner).id;
  return {
    root: 'panel',
    label: nameOf(document, 'items', owner),
    destination: destination.kind === 'none' ? { kind: 'undecided' } : destination,
    page: destination.kind === 'page' ? destination.page : null,
    child: notYetShown(document, owner)[0] ?? [...childrenOf(document.items, owner)][0] ?? null,
    otherMenu: [...childrenOf(document.menus, document.site.id)].find((id) => id !== own) ?? null,
    kinds: new Set(partsIn(document, owner).map(({ kind }) => kind)),
  };
}
