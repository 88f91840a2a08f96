import type { UpgradeStep } from '@zorvik/core';
import type { Database } from '../db/database.ts';
import type { SiteCache } from './siteCache.ts';

/** What saving stands on. */
export interface EditingDeps {
  readonly database: Database;
  readonly cache: SiteCache;
  readonly now: () => Date;
  /** How sites of older formats become present ones; without it, as core says. */
  readonly upgrades?: readonly UpgradeStep[];
}
