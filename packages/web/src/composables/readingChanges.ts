import { counted, type Placing } from '@zorvik/core';
import type { Reading } from '@zorvik/contract';
import { evidenceWords } from './evidenceWords.ts';

type Difference = NonNullable<Reading['difference']>;

/** How many pages change in which way, in words; ways of which there is none are left out. */
export function readingCounts({ added, gone, renamed, moved, readdressed }: Difference): string[] {
  return [
    counted(added, '# new', '# new'),
    counted(moved, '# moved', '# moved'),
    counted(renamed, '# renamed', '# renamed'),
    counted(readdressed, '# with a new address', '# with new addresses'),
    counted(gone, '# deleted', '# deleted'),
  ].filter((one) => !one.startsWith('0 '));
}

/** A page in the tree of changes. */
type ChangeRow = Difference['changes']['rows'][number];

/** What changes about a page, in words; empty: something below it does. */
export function changeWords({ isNew, isDeleted, wasTitle, wasUnder, wasAddress }: ChangeRow): string {
  if (isNew === true) return 'new';
  return [
    ...(isDeleted === true ? ['deleted'] : []),
    ...(wasUnder === undefined ? [] : [`moved from “${wasUnder}”`]),
    ...(wasTitle === undefined ? [] : [`renamed from “${wasTitle}”`]),
    ...(wasAddress === undefined ? [] : [`address was ${wasAddress}`]),
  ].join(', ');
}

/** From what the positions of pages were derived, in words, the most frequent first. */
export function placedByWords({ placedBy }: Pick<Difference, 'placedBy'>): string {
  return Object.entries(placedBy)
    .sort((a, b) => b[1] - a[1])
    .map(([by, count]) =>
      by === 'none' ? `${count} unknown (top level)` : `${count} from ${evidenceWords[by as Placing]}`,
    )
    .join(', ');
}

/** The templates that were guessed, with how certain each is; empty: nobody guessed. */
export function templateWords({ templates }: Pick<Difference, 'templates'>): string {
  return templates
    .map(({ name, pages, sure }) => `${name} (${counted(pages, '# page', '# pages')}, ${sure} % certain)`)
    .join(', ');
}
