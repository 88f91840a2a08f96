import { readStored, type SiteDocument, type Table } from '@zorvik/core';
import type { Database } from '../db/database.ts';
import { loadDocument } from '../repositories/nodes.ts';

/** A site as this process knows it: its document at a revision, and the rank of each of its nodes. */
export interface KnownSite {
  readonly id: string;
  readonly revision: number;
  readonly document: SiteDocument;
  readonly ranks: Table<string>;
}

/** Keeps the sites used last. What is kept is a state that was committed; whoever reads checks its revision against the row. */
export interface SiteCache {
  /** The site at that revision or an earlier one, from memory or else from its rows (which are at that revision). */
  readonly at: (database: Database, id: string, revision: number) => Promise<KnownSite>;
  readonly keep: (site: KnownSite) => void;
}

export function siteCache(most = 20): SiteCache {
  const known = new Map<string, KnownSite>();
  const keep = (site: KnownSite): void => {
    known.delete(site.id);
    known.set(site.id, site);
    const [oldest] = known.keys();
    if (known.size > most && oldest !== undefined) known.delete(oldest);
  };
  return {
    keep,
    async at(database, id, revision) {
      const present = known.get(id);
      if (present !== undefined && present.revision <= revision) return present;
      const { stored, ranks } = await loadDocument(database, id);
      return { id, revision, document: readStored(stored), ranks };
    },
  };
}
