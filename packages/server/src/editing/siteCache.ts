import { forestNames, readStored, type LoggedEdit, type SiteDocument, type Table } from '@zorvik/core';
import type { Database } from '../db/database.ts';
import { loadDocument } from '../repositories/nodes.ts';
import type { SiteHead } from '../repositories/sites.ts';

/**
 * A site as this process knows it: its document at a revision, the rank of each of its nodes, and the end of
 * its log.
 */
export interface KnownSite {
  readonly id: string;
  readonly key: string;
  readonly epoch: string;
  readonly revision: number;
  readonly document: SiteDocument;
  readonly ranks: Table<string>;
  /**
   * The latest edits up to `revision`, oldest first, without gaps; what comes before them is in the database.
   */
  readonly tail: readonly LoggedEdit[];
}

/**
 * Keeps the sites used last. What is kept is a state that was committed; whoever reads checks its revision
 * against the row.
 */
export interface SiteCache {
  /**
   * The site at that revision or an earlier one, from memory or else from its rows (which are at that
   * revision).
   */
  readonly at: (
    database: Database,
    head: Pick<SiteHead, 'id' | 'key' | 'epoch' | 'revision'>,
  ) => Promise<KnownSite>;
  readonly keep: (site: KnownSite) => void;
  readonly forget: (id: string) => void;
  readonly nodes: () => number;
}

/** How much is kept when nothing else is said: nodes of all sites together; 1,000 take about 1 MB. */
const MOST_NODES = 200_000;
const LONGEST_TAIL = 300;

/**
 * `most`: how many nodes are kept at most, of all sites together; the site used last is kept whatever its
 * size.
 */
export function siteCache(most = MOST_NODES): SiteCache {
  const known = new Map<string, KnownSite>();
  let nodes = 0;
  const forget = (id: string): void => {
    const site = known.get(id);
    if (site === undefined) return;
    nodes -= sizeOf(site);
    known.delete(id);
  };
  const keep = (site: KnownSite): void => {
    forget(site.id);
    known.set(site.id, site);
    nodes += sizeOf(site);
    for (const id of known.keys()) {
      if (nodes <= most || id === site.id) break;
      forget(id);
    }
  };
  return {
    keep,
    forget,
    nodes: () => nodes,
    async at(database, { id, key, epoch, revision }) {
      const present = known.get(id);
      if (present?.epoch === epoch && present.revision <= revision) return present;
      const { stored, ranks } = await loadDocument(database, id);
      return { id, key, epoch, revision, document: readStored(stored), ranks, tail: [] };
    },
  };
}

function sizeOf({ document }: KnownSite): number {
  return forestNames.reduce((sum, name) => sum + document[name].nodes.size, 0);
}

/** The site after one more edit. */
export function withEdit(
  site: KnownSite,
  edit: LoggedEdit,
  document: SiteDocument,
  ranks: Table<string>,
): KnownSite {
  return {
    ...site,
    revision: edit.revision,
    document,
    ranks,
    tail: [...site.tail.slice(-LONGEST_TAIL), edit],
  };
}
