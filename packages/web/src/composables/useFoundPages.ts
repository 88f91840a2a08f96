import { computed, onBeforeUnmount, shallowRef, watch, type Ref } from 'vue';
import { childrenOf, nodeAt, preorder, type Id, type Page, type PageKind, type PageState, type SiteDocument } from '@zorvik/core';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { searchClient, type SearchClient } from '../workers/findPagesClient.ts';
import { pageUse } from './pageUse.ts';

/** What pages are looked for; null: any. */
export interface PageFilter {
  readonly kind: PageKind | null;
  readonly state: PageState | null;
  readonly isUnused: boolean;
}

/** The pages that fit what is typed and the filter, found in a worker. Nothing is done while `isOn` is false. */
export function useFoundPages(typed: Ref<string>, filter: Ref<PageFilter>, isOn: Ref<boolean>): Ref<readonly Page[]> {
  const copy = useWorkingCopy();
  const ids = shallowRef<readonly Id[]>([]);
  let search: SearchClient | null = null;

  watch(
    [isOn, () => copy.document?.pages],
    async ([on]) => {
      const { document } = copy;
      if (!on || document === null) return;
      search ??= searchClient();
      await search.know(pagesOf(document));
      await look();
    },
    { immediate: true },
  );
  watch(typed, look);

  async function look(): Promise<void> {
    const found = isOn.value ? await search?.find(typed.value) : null;
    if (found != null) ids.value = found;
  }
  onBeforeUnmount(() => search?.close());

  return computed(() => {
    const { document } = copy;
    if (document === null || !isOn.value) return [];
    const { kind, state, isUnused } = filter.value;
    const use = isUnused ? pageUse(document) : null;
    const found: Page[] = [];
    for (const id of ids.value) {
      const page = document.pages.nodes.get(id);
      if (page === undefined || (kind !== null && page.kind !== kind) || (state !== null && page.state !== state) || use?.has(id) === true) continue;
      found.push(page);
    }
    return found;
  });
}

function* pagesOf({ pages, site }: SiteDocument): Generator<Page> {
  for (const { node } of preorder<Id>(childrenOf(pages, site.id), (id) => childrenOf(pages, id))) yield nodeAt(pages, node);
}
