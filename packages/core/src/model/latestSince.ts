import type { SiteDocument } from './document.ts';

const found = new WeakMap<object, number>();

/**
 * The latest `since` of any page, 0 when none has one: the time, as far as the pages know of any. O(pages)
 * once for each state of them.
 */
export function latestSince({ pages: { nodes } }: SiteDocument): number {
  const known = found.get(nodes);
  if (known !== undefined) return known;
  let latest = 0;
  for (const { since = 0 } of nodes.values()) if (since > latest) latest = since;
  found.set(nodes, latest);
  return latest;
}
