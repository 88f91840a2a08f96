import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { latestSince } from '../model/latestSince.ts';
import { childrenOf } from '../model/forest.ts';
import type { ImportPages, PlacedPage } from '../ops/importPages.ts';
import type { UpdatePage } from '../ops/updatePage.ts';
import type { Page, PageState } from '../schema/page.ts';

/**
 * A page as its source tells it. `above` names the pages that it may stand under, nearest first; the first
 * that there is counts.
 */
export interface IncomingPage
  extends
    Pick<Page, 'key' | 'title' | 'address' | 'kind'>,
    Pick<Page, 'date' | 'summary' | 'picture' | 'anchors' | 'visits' | 'categories' | 'placedBy'> {
  readonly above: readonly string[];
  readonly template?: string;
  /** A template that its markup looks like: it counts where nothing says which it has. */
  readonly guessedTemplate?: string;
  /** Without one it is live. */
  readonly state?: PageState;
  readonly language?: string;
}

/** How pages are compared with a source. */
export interface DiffChoices {
  /** What becomes of pages that the source no longer names. */
  readonly missing: 'keep' | 'retire';
  readonly random: RandomBits;
}

/**
 * The one operation that brings the pages up to what a source says: unknown keys are added behind their
 * siblings, known ones come back to life when they were gone and become real when they were planned, missing
 * ones are retired if so chosen. Titles and places of known pages stay: a source that only knows addresses
 * must not undo what people wrote. Parents come before their children in `incoming`. O(pages).
 */
export function diffPages(
  document: SiteDocument,
  incoming: readonly IncomingPage[],
  { missing, random }: DiffChoices,
): ImportPages {
  const known = new Map<string, Page>();
  for (const page of document.pages.nodes.values()) known.set(page.key, page);
  const idOf = new Map<string, Id>();
  const lastUnder = new Map<Id, Id | null>();
  const added: PlacedPage[] = [];
  const isFirst = document.pages.nodes.size === 0;
  const since = latestSince(document) + 1;
  const changed: UpdatePage[] = [];
  for (const { above, template = null, state = 'live', ...fields } of incoming) {
    const present = known.get(fields.key);
    if (present !== undefined) {
      idOf.set(fields.key, present.id);
      if (present.planned === true)
        changed.push({
          kind: 'updatePage',
          id: present.id,
          set: { state: 'live', planned: null, since },
          was: {},
        });
      else if (present.state === 'gone')
        changed.push({ kind: 'updatePage', id: present.id, set: { state: 'live', since }, was: {} });
      continue;
    }
    const id = mintId('page', random);
    const nearest = above.find((key) => idOf.has(key) || known.has(key));
    const parent =
      nearest === undefined
        ? document.site.id
        : (idOf.get(nearest) ?? known.get(nearest)?.id ?? document.site.id);
    const after = lastUnder.has(parent)
      ? (lastUnder.get(parent) ?? null)
      : childrenOf(document.pages, parent).last();
    added.push({
      page: { id, parent, ...fields, state, language: null, template, ...(isFirst ? {} : { since }) },
      after,
    });
    idOf.set(fields.key, id);
    lastUnder.set(parent, id);
  }
  if (missing === 'retire') {
    for (const page of known.values())
      if (page.state === 'live' && !idOf.has(page.key)) changed.push(setState(page, 'gone'));
  }
  return { kind: 'importPages', added, moved: [], removed: [], changed };
}

function setState({ id, state }: Page, next: Page['state']): UpdatePage {
  return { kind: 'updatePage', id, set: { state: next }, was: { state } };
}
