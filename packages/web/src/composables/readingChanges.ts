import { counted, type Placing } from '@zorvik/core';
import type { Reading } from '@zorvik/contract';
import { evidenceWords } from './evidenceWords.ts';

type Difference = NonNullable<Reading['difference']>;

/** One kind of change that a reading found: how many there are, and some of them in words. */
export interface ReadingChange {
  readonly key: string;
  readonly title: string;
  readonly count: number;
  readonly lines: readonly string[];
}

/** What a reading would change, by kind; kinds of which there is none are left out. */
export function readingChanges({
  added,
  gone,
  renamed,
  moved,
  readdressed,
  samples,
}: Difference): ReadingChange[] {
  const line = (one: Readonly<Record<string, string>>, ...fields: readonly string[]): string =>
    fields.map((field) => one[field] ?? '').join(' → ');
  const page = (one: Readonly<Record<string, string>>): string => `${one.title ?? ''} · ${one.address ?? ''}`;
  const kinds: ReadingChange[] = [
    { key: 'added', title: 'new', count: added, lines: samples.added.map(page) },
    { key: 'gone', title: 'deleted', count: gone, lines: samples.gone.map(page) },
    {
      key: 'renamed',
      title: 'renamed',
      count: renamed,
      lines: samples.renamed.map((one) => line(one, 'was', 'title')),
    },
    {
      key: 'moved',
      title: 'moved',
      count: moved,
      lines: samples.moved.map((one) => `${one.title}: ${line(one, 'was', 'now')}`),
    },
    {
      key: 'readdressed',
      title: 'with a new address',
      count: readdressed,
      lines: samples.readdressed.map((one) => line(one, 'was', 'address')),
    },
  ];
  return kinds.filter(({ count }) => count > 0);
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
