import {
  diffReading,
  no,
  ok,
  refusal,
  type Placing,
  type ReadingDiff,
  type Result,
  type SiteDocument,
} from '@zorvik/core';
import type { TreePage } from '@zorvik/formats';
import type { ReadingPlan } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { currentSite } from '../editing/currentSite.ts';
import type { CurrentSite } from '../editing/presentSite.ts';
import { keepPlan, noteReading, takeDue, tellReading } from '../repositories/readings.ts';
import type { SiteReader } from './siteReader.ts';

/** Where a reading begins, and how many pages it takes at most. */
export interface ReadingStart {
  readonly address: string;
  readonly pages: number;
}

export interface ReadDifference {
  /** The site that it was compared with. */
  readonly document: SiteDocument;
  readonly tree: readonly TreePage[];
  readonly diff: ReadingDiff;
}

/**
 * The readings of all sites: one at a time for each, kept until what it found is taken in or the site is read
 * again.
 */
export class ReadingDesk {
  private readonly readings = new Map<string, SiteReader>();

  constructor(private readonly deps: Deps) {}

  /** The last reading of a site that this server knows of. */
  of(siteKey: string): SiteReader | null {
    return this.readings.get(siteKey) ?? null;
  }

  isBusy(siteKey: string): boolean {
    const state = this.of(siteKey)?.progress().state;
    return state === 'running' || state === 'paused';
  }

  /** Begins to read a site, unless it is being read already. What was read of it before is let go of. */
  async begin(siteKey: string, start: ReadingStart): Promise<Result<SiteReader>> {
    const address = startAddress(start.address);
    if (!address.ok) return address;
    const current = await currentSite(this.deps, siteKey);
    if (!current.ok) return current;
    if (this.isBusy(siteKey)) return no(refusal('readingRunning'));
    const { database, now, readable, openReading } = this.deps;
    const { head, site } = current.value;
    const live = [...site.document.pages.nodes.values()].filter(
      ({ state, planned }) => state === 'live' && planned !== true,
    );
    this.letGo(siteKey);
    const reading = openReading(address.value, {
      pages: start.pages,
      allowed: readable,
      known: live.map((page) => page.address),
    });
    this.readings.set(siteKey, reading);
    await keepPlan(database, head.id, { address: address.value, pages: start.pages });
    await noteReading(database, head.id, { begunAt: now().toISOString() });
    void reading.ended
      .then(() => this.note(siteKey, reading))
      .catch((error: unknown) => this.deps.log.error({ siteKey, error }, 'A reading could not be noted'));
    return ok(reading);
  }

  /** What a reading that is done found to be otherwise than the pages say. */
  async difference(
    { site }: CurrentSite,
    reading: SiteReader,
    { trust, missing }: { trust: Placing | null; missing: 'keep' | 'retire' },
  ): Promise<ReadDifference> {
    const { pages, redirects } = await reading.tree(trust);
    return {
      document: site.document,
      tree: pages,
      diff: diffReading(site.document, pages, { missing, random: this.deps.random, redirects }),
    };
  }

  letGo(siteKey: string): void {
    this.readings.get(siteKey)?.close();
    this.readings.delete(siteKey);
  }

  /**
   * Begins what its plan says is due. What cannot be begun is noted, and tried again when it is due again.
   */
  async beginDue(): Promise<void> {
    const { database, now, log } = this.deps;
    for (const { siteId, key, address, pages } of await takeDue(database, now())) {
      if (this.isBusy(key)) continue;
      const begun = await this.begin(key, { address, pages });
      if (begun.ok) continue;
      log.warn({ key, refusal: begun.refusal.code }, 'A site could not be read');
      await noteReading(database, siteId, { reason: begun.refusal.message });
    }
  }

  close(): void {
    for (const siteKey of [...this.readings.keys()]) this.letGo(siteKey);
  }

  private async note(siteKey: string, reading: SiteReader): Promise<void> {
    const { state, read, reason } = reading.progress();
    if (state === 'cancelled' || this.of(siteKey) !== reading) return;
    const { database, now } = this.deps;
    const current = await currentSite(this.deps, siteKey);
    if (!current.ok) return;
    if (state === 'done') {
      const { diff } = await this.difference(current.value, reading, { trust: null, missing: 'retire' });
      await noteReading(database, current.value.head.id, {
        found: { at: now().toISOString(), isTaken: false, changed: [], read, ...countsOf(diff) },
      });
    } else await noteReading(database, current.value.head.id, { reason: reason ?? 'it was interrupted' });
    await tellReading(database, siteKey);
  }
}

type Counts = Omit<NonNullable<ReadingPlan['found']>, 'at' | 'isTaken' | 'read' | 'changed'>;

export function countsOf({ added, renamed, moved, readdressed, gone }: ReadingDiff): Counts {
  return {
    added: added.length,
    renamed: renamed.length,
    moved: moved.length,
    readdressed: readdressed.length,
    gone: gone.length,
  };
}

/** Where a reading begins, as an address; refused where it is none, or carries a name and a password. */
export function startAddress(typed: string): Result<string> {
  // Without a scheme it is a host, as people write it.
  const address = /^[a-z][a-z\d+.-]*:\/\//i.test(typed.trim()) ? typed.trim() : `https://${typed.trim()}`;
  const url = URL.canParse(address) ? new URL(address) : null;
  return url === null || !/^https?:$/.test(url.protocol) || url.username !== '' || url.password !== ''
    ? no(refusal('badStart', { address: typed }))
    : ok(url.href);
}
