import { computed, onBeforeUnmount, shallowRef, watch, type Ref } from 'vue';
import { storedOrder, type Page, type PageKind, type PageState } from '@zorvik/core';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { searchClient, type SearchClient } from '../workers/findPagesClient.ts';
import { pageUse } from './pageUse.ts';

/** What pages are looked for; null: any. */
export interface PageFilter {
  readonly kind: PageKind | null;
  readonly state: PageState | null;
  readonly isUnused: boolean;
}

export interface FoundPages {
  /** What they were found for: what is typed meanwhile is still on its way. */
  readonly typed: string;
  /** The best of them, as many as anybody would look through. */
  readonly pages: readonly Page[];
  readonly count: number;
}
/** More pages than this are counted, and not listed. */
const MOST = 2000;

/**
 * The pages that fit what is typed and the filter, found in a worker. Nothing is done while `isOn` is false.
 */
export function useFoundPages(
  typed: Ref<string>,
  filter: Ref<PageFilter>,
  isOn: Ref<boolean>,
): Ref<FoundPages> {
  const copy = useWorkingCopy();
  const answer = shallowRef<{ readonly typed: string; readonly indices: Uint32Array }>({
    typed: '',
    indices: new Uint32Array(),
  });
  let known: readonly Page[] = [];
  let search: SearchClient | null = null;

  watch(
    [isOn, () => copy.document?.pages],
    async ([on]) => {
      const { document } = copy;
      if (!on || document === null) return;
      search ??= searchClient();
      known = [...storedOrder(document, 'pages')];
      await search.know(known);
      await look();
    },
    { immediate: true },
  );
  watch(typed, look);

  async function look(): Promise<void> {
    const asked = typed.value;
    const indices = isOn.value ? await search?.find(asked) : null;
    if (indices != null) answer.value = { typed: asked, indices };
  }
  onBeforeUnmount(() => search?.close());

  return computed(() => {
    const { document } = copy;
    if (document === null || !isOn.value) return { typed: typed.value, pages: [], count: 0 };
    const { kind, state, isUnused } = filter.value;
    const use = isUnused ? pageUse(document) : null;
    const pages: Page[] = [];
    const deleted: Page[] = [];
    let count = 0;
    for (const at of answer.value.indices) {
      const page = known[at];
      if (
        page === undefined ||
        (kind !== null && page.kind !== kind) ||
        (state !== null && page.state !== state) ||
        use?.has(page.id) === true
      )
        continue;
      count += 1;
      // Nobody looks for a deleted page first.
      const list = page.state === 'gone' ? deleted : pages;
      if (list.length < MOST) list.push(page);
    }
    return { typed: answer.value.typed, pages: [...pages, ...deleted].slice(0, MOST), count };
  });
}
