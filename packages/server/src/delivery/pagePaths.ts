import type { PageRow } from '@zorvik/core';

/** The pages of an edition by their paths. */
export interface PagePaths {
  /** The paths of the pages above one, but not the site's root: every page is below that. */
  readonly above: (path: string) => ReadonlySet<string>;
  /** How much memory they take, in bytes, roughly. */
  readonly size: number;
}

/** What a table takes for each character of its text: the text, its rows, and the map to them. */
const BYTES = 4;

/**
 * `table`: the rows that `pageTable` made, as JSON. It is read when a page is looked up first: most sites are asked
 * for their menus alone. Looking up is O(depth) from then on.
 */
export function pagePaths(table: string): PagePaths {
  let rows: readonly PageRow[] = [];
  let rowOf: ReadonlyMap<string, number> | null = null;
  const read = (): ReadonlyMap<string, number> => {
    rows = JSON.parse(table) as PageRow[];
    return new Map(rows.map(({ path }, at) => [path, at]));
  };
  return {
    size: table.length * BYTES,
    above(path) {
      rowOf ??= read();
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
