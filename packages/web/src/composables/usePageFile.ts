import { onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue';
import type { IncomingPage } from '@zorvik/core';
import type { PageColumn, PageTable } from '@zorvik/formats';
import type { MissingPages } from '../stores/sites.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { pageFileClient, type ComparedFile, type PageFileClient } from '../workers/pageFileClient.ts';

/** Lines with problems that are listed. */
const MOST_PROBLEMS = 200;

/**
 * A file of pages, or text that was pasted, read and compared with the site in a worker, which lives as long as
 * `isOpen`. `missing`: what happens to pages that are not in it.
 */
export function usePageFile(isOpen: Ref<boolean>, missing: Ref<MissingPages | null>) {
  const copy = useWorkingCopy();
  const file = shallowRef<Uint8Array | string>('');
  const table = shallowRef<PageTable | null>(null);
  const isNested = ref(false);
  const columns = ref<(PageColumn | '')[]>([]);
  const problem = ref<string | null>(null);
  /** What taking it in would do; null while that is not known. */
  const outcome = shallowRef<ComparedFile | null>(null);
  let client: PageFileClient | null = null;

  const close = (): void => {
    client?.close();
    client = null;
  };
  onBeforeUnmount(close);
  watch(
    isOpen,
    (now) => {
      close();
      file.value = '';
      if (now) client = pageFileClient();
    },
    { flush: 'sync', immediate: true },
  );

  watch(file, async (now) => {
    table.value = null;
    isNested.value = false;
    problem.value = null;
    outcome.value = null;
    const { stored } = copy;
    if (client === null || stored === null || (typeof now === 'string' && now.trim() === '')) return;
    const read = await client.read(now, stored.site.origin);
    if (read === null) return;
    if (read.kind === 'problem') problem.value = read.problem;
    isNested.value = read.kind === 'nested';
    if (read.kind === 'table') {
      columns.value = read.table.guesses.map((guess) => guess ?? '');
      table.value = read.table;
    }
  });

  const chosen = (): (PageColumn | null)[] => columns.value.map((column) => (column === '' ? null : column));
  const isRead = (): boolean => table.value !== null || isNested.value;
  watch([table, isNested, columns, missing, () => copy.stored], async () => {
    const { stored } = copy;
    if (client === null || stored === null || !isRead()) return;
    const compared = await client.compare(stored, chosen(), missing.value ?? 'keep', MOST_PROBLEMS);
    if (compared !== null && isRead()) outcome.value = compared;
  });

  /** The pages to take in; null where there is no file of pages. */
  async function pages(): Promise<readonly IncomingPage[] | null> {
    return client === null || !isRead() ? null : client.take(chosen());
  }

  return { file, table, isNested, columns, problem, outcome, pages };
}
