import type { PageRow } from '@zorvik/core';

/** The pages of an edition by their paths. */
export interface PagePaths {
  /** The paths of the pages above one, but not the site's root: every page is below that. */
  readonly above: (path: string) => ReadonlySet<string>;
  /** The rows of a page and of those above it, the page first; none for a path that is no page's. */
  readonly way: (path: string) => readonly PageRow[];
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
    above: (path) =>
      new Set(
        way(path)
          .slice(1)
          .map((row) => row.path)
          .filter((one) => one !== '/'),
      ),
    way,
  };

  function way(path: string): PageRow[] {
    rowOf ??= read();
    const found: PageRow[] = [];
    for (let at = rowOf.get(path) ?? -1; at >= 0; at = rows[at]?.parent ?? -1) {
      const row = rows[at];
      if (row !== undefined) found.push(row);
    }
    return found;
  }
}
