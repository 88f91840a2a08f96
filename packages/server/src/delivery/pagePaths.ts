import type { PageRow } from '@zorvik/core';

/** The pages of an edition by their paths. */
export interface PagePaths {
  /** The paths of the pages above one, but not the site's root: every page is below that. */
  readonly above: (path: string) => ReadonlySet<string>;
  /** How much memory they take, in bytes, roughly. */
  readonly size: number;
}

/** A path, its text, and its place in the map. */
const BYTES = 140;

/** `rows` as `pageTable` made them. Looking up is O(depth). */
export function pagePaths(rows: readonly PageRow[]): PagePaths {
  const rowOf = new Map(rows.map(({ path }, at) => [path, at]));
  return {
    size: rows.length * BYTES,
    above(path) {
      const found = new Set<string>();
      for (let at = parentOf(rowOf.get(path)); at >= 0; at = parentOf(at)) {
        const { path: own = '/' } = rows[at] ?? {};
        if (own !== '/') found.add(own);
      }
      return found;
    },
  };

  function parentOf(at: number | undefined): number {
    return at === undefined ? -1 : (rows[at]?.parent ?? -1);
  }
}
