import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { faceOf } from '../model/faceOf.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { dropdownOf } from '../model/menuUsual.ts';
import { partsIn } from '../model/partsIn.ts';
import { preorder } from '../walk/preorder.ts';

/** Why visitors would not get something that is in a menu. */
export type SkipReason =
  /** It has no link yet: it is skipped, or stays as a heading over what is below it. */
  | 'noLink'
  /** Somebody has set it to be unpublished. */
  | 'unpublished'
  /** Its page is a draft, or is planned. */
  | 'draft'
  | 'planned'
  /** It is in no group of the panel that its parent opens. */
  | 'notPlaced'
  /** Something in its panel still has the text that it began with. */
  | 'placeholder';

/** Something in a menu that visitors would not get as it is there. */
export interface SkippedItem {
  readonly menu: Id;
  readonly item: Id;
  readonly why: SkipReason;
  /** With a placeholder: the part that has it. */
  readonly part?: Id;
  /** How many items below it go with it. */
  readonly below: number;
}

/**
 * What a publication would leave out of the menus, or deliver unfinished, from top to bottom; links to deleted pages are told
 * by drift. `document` has what is followed filled in. O(items + parts).
 */
export function skippedItems(document: SiteDocument): SkippedItem[] {
  return [...childrenOf(document.menus, document.site.id)].flatMap((menu) => skippedIn(document, menu));
}

function skippedIn(document: SiteDocument, menu: Id): SkippedItem[] {
  const found: SkippedItem[] = [];
  const tell = (item: Id, why: SkipReason, below: number, part?: Id): void =>
    void found.push({ menu, item, why, below, ...(part === undefined ? {} : { part }) });
  const look = (id: Id): void => {
    const item = nodeAt(document.items, id);
    if (item.exception?.hidden === true) return;
    const below = [...preorder<Id>([id], (one) => childrenOf(document.items, one))].length - 1;
    const face = faceOf(document, item);
    if (face.heldBack === true || item.heldBack === true) return tell(id, 'unpublished', below);
    const { destination } = face;
    if (destination.kind === 'undecided') tell(id, 'noLink', 0);
    if (destination.kind === 'page') {
      const { state, planned } = nodeAt(document.pages, destination.page);
      if (state === 'draft') tell(id, planned === true ? 'planned' : 'draft', 0);
    }
    for (const one of placeholdersIn(document, id)) tell(id, 'placeholder', 0, one);
    const outside = notInPanel(document, id);
    for (const child of childrenOf(document.items, id))
      if (outside.has(child)) tell(child, 'notPlaced', 0);
      else look(child);
  };
  for (const id of childrenOf(document.items, menu)) look(id);
  return found;
}

/** The children of an item that no part of its panel shows. */
function notInPanel(document: SiteDocument, id: Id): ReadonlySet<Id> {
  const item = nodeAt(document.items, id);
  const parts = dropdownOf(document, item)?.form === 'panel' ? partsIn(document, id) : [];
  // Balanced groups show whatever no other part does.
  if (parts.length === 0 || parts.some(({ kind }) => kind === 'groups')) return new Set();
  const placed = new Set(parts.flatMap((part) => part.item ?? []));
  return new Set([...childrenOf(document.items, id)].filter((child) => !placed.has(child)));
}

/** What parts say before anybody has written something. */
const PLACEHOLDERS: ReadonlySet<string> = new Set([
  'Heading',
  'Text',
  'Button',
  // Of presets that shipped before.
  'What the picture shows',
  'What to do next',
  'One sentence about why.',
  'Begin here',
]);

function placeholdersIn(document: SiteDocument, id: Id): Id[] {
  return partsIn(document, id)
    .filter(({ text, body }) => {
      const said = text ?? body?.flatMap(({ runs }) => runs.map((run) => run.text)).join('');
      return said !== undefined && PLACEHOLDERS.has(said);
    })
    .map((part) => part.id);
}
