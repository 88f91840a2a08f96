import { thingOf } from '../anatomy/anatomy.ts';
import { mintId, type Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Face } from '../model/faceOf.ts';
import { childrenOf, nodeAt, spotOf, type Spot } from '../model/forest.ts';
import { labelOf, nameOf } from '../model/labelOf.ts';
import { pageFace } from '../model/pageFace.ts';
import { usersOf } from '../model/usersOf.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import type { Item } from '../schema/item.ts';
import { settingNames } from '../schema/settings.ts';
import { checkLabel } from './checkLabel.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { destinationOnSite } from './destinationTyped.ts';
import { faceTyped } from './items.ts';
import { valuesOf, type FaceChanges } from './faceUpdate.ts';
import { looksToReset, looksToSet, ownLooks } from './ownLooks.ts';

/** Makes a shared link of what is seen of an item, and lets the item show it. */
export function shareItem(context: CommandContext, id: Id): Result<Edit> {
  const { document, random } = context;
  const item = document.items.nodes.get(id);
  if (item === undefined) return no(missing('items', id));
  const label = labelOf(document, item);
  if (item.link !== undefined) return no(refusal('isShared', { label }));
  const { parent: _, link: __, ...face } = item;
  const link = mintId('sharedLink', random);
  const looks = ownLooks(document, id).filter(({ thing }) => thingOf(thing).isOfEntry === true);
  const operations: Operation[] = [
    {
      kind: 'addSharedLink',
      after: lastLink(context),
      branch: [{ ...face, id: link, parent: document.site.id }],
    },
    ...looksToSet(document, link, looks),
    ...looksToReset(document, id, looks),
    {
      kind: 'updateItem',
      id,
      set: { ...bare(item), link },
      was: { ...valuesOf(item, bare(item)), link: null },
    },
  ];
  return makeEdit(context, operations, { sentence: sentence('linkShared', { label }) });
}

/** What an item has of its own when it shows a shared link: nothing. */
function bare(item: Item): FaceChanges {
  const settings = Object.fromEntries(
    settingNames.filter((name) => item[name] !== undefined).map((name) => [name, null]),
  );
  return { label: null, destination: { kind: 'none' }, opensNewTab: false, agreed: null, ...settings };
}

/** A shared link of its own, shown by nothing yet: to a page, or to an address as it is typed. */
export function createLink(
  context: CommandContext,
  made: { readonly page: Id } | { readonly label: string; readonly address: string },
): Result<Edit> {
  const { document, random } = context;
  if ('page' in made && !document.pages.nodes.has(made.page)) return no(missing('pages', made.page));
  const face =
    'page' in made ? ok(pageFace(document, made.page)) : typedFace(document, made.label, made.address);
  if (!face.ok) return face;
  const link = { id: mintId('sharedLink', random), parent: document.site.id, ...face.value };
  return makeEdit(context, [{ kind: 'addSharedLink', after: lastLink(context), branch: [link] }]);
}

function typedFace(document: SiteDocument, label: string, address: string): Result<Face> {
  const checked = checkLabel(label);
  if (!checked.ok) return checked;
  const destination = destinationOnSite(document, address);
  if (!destination.ok) return destination;
  return ok(faceTyped(document, checked.value, destination.value, address));
}

function lastLink({ document }: CommandContext): Id | null {
  return childrenOf(document.sharedLinks, document.site.id).last();
}

/** Adds an item that shows a shared link. */
export function addShared(context: CommandContext, link: Id, spot: Spot): Result<Edit> {
  if (!context.document.sharedLinks.nodes.has(link)) return no(missing('sharedLinks', link));
  const id = mintId('item', context.random);
  const item: Item = {
    id,
    parent: spot.parent,
    label: null,
    destination: { kind: 'none' },
    opensNewTab: false,
    agreed: null,
    link,
  };
  return makeEdit(context, [{ kind: 'addItem', after: spot.after, branch: [item] }]);
}

/** Lets an item stand by itself again, with all that its shared link gave it. */
export function detachItem(context: CommandContext, id: Id): Result<Edit> {
  const { document } = context;
  const item = document.items.nodes.get(id);
  if (item === undefined) return no(missing('items', id));
  if (item.link === undefined) return no(refusal('notShared', { label: labelOf(document, item) }));
  return makeEdit(context, detaching(context, item, item.link));
}

function detaching({ document }: CommandContext, item: Item, link: Id): Operation[] {
  const { id: _, parent: __, ...face } = nodeAt(document.sharedLinks, link);
  const set: FaceChanges = face;
  return [
    { kind: 'updateItem', id: item.id, set: { ...set, link: null }, was: { ...valuesOf(item, set), link } },
    ...looksToSet(document, item.id, ownLooks(document, link)),
  ];
}

/**
 * Removes a shared link. `users` says what becomes of the items that show it; without it, that there are any
 * is refused.
 */
export function removeLink(
  context: CommandContext,
  link: Id,
  users: 'refuse' | 'detach' = 'refuse',
): Result<Edit> {
  const { document } = context;
  const node = document.sharedLinks.nodes.get(link);
  if (node === undefined) return no(missing('sharedLinks', link));
  const shown = usersOf(document, link);
  const label = nameOf(document, 'sharedLinks', link);
  if (shown.length > 0 && users === 'refuse') return no(refusal('linkInUse', { label, count: shown.length }));
  const operations: Operation[] = [
    ...shown.flatMap((item) => detaching(context, item, link)),
    { kind: 'removeSharedLink', after: spotOf(document.sharedLinks, link).after, branch: [node] },
  ];
  return makeEdit(context, operations, { sentence: sentence('linkRemoved', { label }) });
}
