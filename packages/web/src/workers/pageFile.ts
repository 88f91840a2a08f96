import { diffReading, seededRandom, type IncomingPage, type SiteDocument } from '@zorvik/core';
import {
  decodeHtml,
  pagesFromSketches,
  pagesFromTable,
  readMenus,
  readPageTable,
  tableText,
  type PageColumn,
  type PagesFromFile,
  type PageTable,
} from '@zorvik/formats';

/** What a file of pages is: a table whose columns are still to be chosen, nested entries, or nothing of use. */
export type PageFile =
  | { readonly kind: 'table'; readonly table: PageTable }
  | { readonly kind: 'nested'; readonly made: PagesFromFile }
  | { readonly kind: 'problem'; readonly problem: string };

/** Reads a file, or text that was pasted. `origin`: the site's, whose addresses become paths. */
export function readPageFile(file: Uint8Array | string, origin: string): PageFile {
  const text = typeof file === 'string' ? file : tableText(file, decodeHtml);
  if (/^\s*[<{[]/.test(text)) {
    const { found } = readMenus(text);
    if (!found.ok) return { kind: 'problem', problem: found.refusal.message };
    return {
      kind: 'nested',
      made: pagesFromSketches(
        found.value.flatMap(({ sketches }) => sketches),
        origin,
      ),
    };
  }
  const read = readPageTable(text);
  return read.ok ? { kind: 'table', table: read.value } : { kind: 'problem', problem: read.refusal.message };
}

/** The pages of a file; none where it is no file of pages. `columns`: what those of a table hold. */
export function pagesIn(file: PageFile, columns: readonly (PageColumn | null)[]): PagesFromFile {
  if (file.kind === 'nested') return file.made;
  return file.kind === 'table' ? pagesFromTable(file.table, columns) : { pages: [], problems: [] };
}

/** How many pages would be otherwise, by kind of change. */
export interface PageChanges {
  readonly added: number;
  readonly renamed: number;
  readonly moved: number;
  readonly readdressed: number;
  readonly gone: number;
}

/** What taking pages in would change. O(pages). */
export function pageChanges(
  stored: SiteDocument,
  pages: readonly IncomingPage[],
  missing: 'keep' | 'retire',
): PageChanges {
  // Ids of pages that are not taken in yet are nobody's.
  const found = diffReading(stored, pages, { missing, random: seededRandom(1) });
  return {
    added: found.added.length,
    renamed: found.renamed.length,
    moved: found.moved.length,
    readdressed: found.readdressed.length,
    gone: found.gone.length,
  };
}
