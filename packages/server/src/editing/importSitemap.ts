import {
  diffPages,
  EDIT_VERSION,
  kindOf,
  mintId,
  newDocument,
  no,
  ok,
  refusal,
  type Edit,
  type Id,
  type ImportPages,
  type RandomBits,
  type Result,
  type Site,
  type SiteDocument,
} from '@zorvik/core';
import { AddressTree, findBadUtf8, sitemapReader, type PageList } from '@zorvik/formats';
import type { Progress } from '../repositories/nodes.ts';
import { currentSite } from './currentSite.ts';
import { othersTurn } from '../othersTurn.ts';
import type { EditingDeps } from './editingDeps.ts';
import { saveEdit, type SaveChoices } from './saveEdit.ts';

/** The most addresses that one reading takes. */
const MOST_PAGES = 200_000;
const PIECE = 65_536;
/** How many addresses are looked at before others have their turn. */
const ADDRESSES = 2000;

/**
 * A sitemap's bytes as a page tree, or a refusal that says where. Reads in pieces and lets other requests
 * have their turn between them. Memory is bounded by the body limit that let the bytes in.
 */
export async function readPageList(bytes: Uint8Array): Promise<Result<PageList>> {
  if (bytes.length === 0) return no(refusal('emptyFile'));
  const bad = findBadUtf8(bytes);
  if (bad !== null) return no(refusal('notUtf8', { ...bad }));
  const reader = sitemapReader({ most: MOST_PAGES });
  const decoder = new TextDecoder('utf-8');
  for (let at = 0; at < bytes.length; at += PIECE) {
    const isLast = at + PIECE >= bytes.length;
    if (!reader.write(decoder.decode(bytes.subarray(at, at + PIECE), { stream: !isLast }))) break;
    await othersTurn();
  }
  const entries = reader.end();
  if (!entries.ok) return entries;
  const tree = new AddressTree();
  for (const [at, entry] of entries.value.entries()) {
    const problem = tree.add(entry);
    if (problem !== null) return no(problem);
    if (at % ADDRESSES === 0) await othersTurn();
  }
  return ok(tree.list());
}

export interface Import {
  readonly list: PageList;
  readonly missing: 'keep' | 'retire';
  readonly session: Id;
  readonly actor: string;
  readonly random: RandomBits;
  readonly onWritten: Progress;
}

export interface Imported {
  readonly added: number;
  readonly retired: number;
  readonly revived: number;
  readonly duplicates: number;
  readonly revision: number;
}

/** Brings a site's pages up to a list of addresses, as one edit. */
export async function importPageList(
  deps: EditingDeps,
  siteKey: string,
  wanted: Import,
): Promise<Result<Imported>> {
  const current = await currentSite(deps, siteKey);
  if (!current.ok) return current;
  const { document, revision } = current.value.site;
  return saveDiff(deps, document, revision, wanted, {});
}

/** Makes a site of a list of addresses: both are stored, or neither is. */
export async function makeSiteOfPages(
  deps: EditingDeps,
  site: Site,
  wanted: Import,
): Promise<Result<Imported>> {
  return saveDiff(deps, newDocument(site), 0, wanted, { newSite: site });
}

async function saveDiff(
  deps: EditingDeps,
  document: SiteDocument,
  base: number,
  wanted: Import,
  choices: SaveChoices,
): Promise<Result<Imported>> {
  const { list, missing, session, actor, random, onWritten } = wanted;
  const operation = diffPages(document, list.pages, { missing, random });
  if (operation.added.length + operation.changed.length === 0)
    return no(refusal('nothingNew', { count: list.pages.length }));
  const sentence = kindOf(operation).describe(document, operation);
  const edit: Edit = {
    id: mintId('edit', random),
    version: EDIT_VERSION,
    base,
    session,
    group: null,
    undoes: null,
    sentence,
    operations: [operation],
  };
  const saved = await saveEdit(deps, document.site.key, edit, actor, { ...choices, onWritten });
  return saved.ok
    ? ok({ ...counted(operation), duplicates: list.duplicates, revision: saved.value.revision })
    : saved;
}

function counted({ added, changed }: ImportPages): Pick<Imported, 'added' | 'retired' | 'revived'> {
  const retired = changed.filter(({ set }) => set.state === 'gone').length;
  return { added: added.length, retired, revived: changed.length - retired };
}
