import { firstFree } from '../base/firstFree.ts';
import { mintId, type Id } from '../base/ids.ts';
import { no, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, type Spot } from '../model/forest.ts';
import { latestSince } from '../model/latestSince.ts';
import { nameOf } from '../model/labelOf.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Item } from '../schema/item.ts';
import { checkLabel } from './checkLabel.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { keyFrom } from './menus.ts';
import { plannedPage } from './plannedPage.ts';

/** A page that the site has not yet, as a person names it. */
export interface PlannedPage {
  readonly title: string;
  /** The page that it is meant to stand under; null: on the top level. */
  readonly under: Id | null;
  readonly spot: Spot;
}

/**
 * Adds a page that does not exist yet, as a draft placeholder, and an item that leads to it. Its key is the
 * address that it will have as far as one can tell: the next reading of the site's pages that names this
 * address makes it real.
 */
export function planPage(context: CommandContext, { title: typed, under, spot }: PlannedPage): Result<Edit> {
  const { document, random } = context;
  const title = checkLabel(typed);
  if (!title.ok) return title;
  if (under !== null && !document.pages.nodes.has(under)) return no(missing('pages', under));
  const parent = under ?? document.site.id;
  const id = mintId('page', random);
  const after = childrenOf(document.pages, parent).last();
  const known = latestSince(document);
  const address = freeAddress(document, under, title.value);
  const page = plannedPage({ id, parent, title: title.value, address });
  const item: Item = {
    id: mintId('item', random),
    parent: spot.parent,
    label: null,
    destination: { kind: 'page', page: id, anchor: null },
    opensNewTab: false,
    agreed: {
      title: title.value,
      address,
      parent,
      after,
      kind: 'page',
      state: 'draft',
      planned: true,
      ...(known > 0 ? { known } : {}),
    },
  };
  const words = sentence('pagePlanned', {
    label: title.value,
    parent: nameOf(document, 'items', spot.parent),
  });
  const operations = [
    { kind: 'addPage', after, branch: [page] } as const,
    { kind: 'addItem', after: spot.after, branch: [item] } as const,
  ];
  return makeEdit(context, operations, { sentence: words });
}

/** An address below the parent's that no page has, made of the title. */
export function freeAddress(document: SiteDocument, under: Id | null, title: string): string {
  const above =
    under === null
      ? ''
      : (document.pages.nodes.get(under)?.address.split(/[?#]/)[0] ?? '').replace(/\/+$/, '');
  const taken = new Set<string>();
  for (const { address, key } of document.pages.nodes.values()) taken.add(address).add(key);
  return firstFree(`${above}/${keyFrom(title, 'page')}`, (address) => taken.has(address));
}
