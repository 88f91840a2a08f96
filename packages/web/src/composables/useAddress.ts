import { computed, watch } from 'vue';
import { isEqual } from '@zorvik/core';
import { useRoute, useRouter, type LocationQueryRaw } from 'vue-router';
import { useDetails, type DetailView } from '../stores/details.ts';
import { useDrift } from '../stores/drift.ts';
import { useFit } from '../stores/fit.ts';
import { frameScopes, useFrame } from '../stores/frame.ts';
import { NARROWEST, useLiveView, WIDEST } from '../stores/liveView.ts';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/**
 * Keeps in the address what a workspace shows: the selected item, page or finding, which details, the width
 * of the live header, an open dropdown. So a reload, Back and a colleague with the address see the same.
 * Changes replace the address; only going elsewhere adds to the history.
 */
export function useAddress(): void {
  const route = useRoute();
  const router = useRouter();
  const copy = useWorkingCopy();
  const selection = useSelection();
  const details = useDetails();
  const drift = useDrift();
  const live = useLiveView();
  const frame = useFrame();
  const fit = useFit();

  const shown = computed((): LocationQueryRaw => {
    const width = live.isWidthChosen ? { w: String(live.width) } : {};
    if (route.name === 'drift') return drift.chosenId === null ? {} : { finding: drift.chosenId };
    if (route.name === 'pages')
      return { ...width, ...(selection.pageId === null ? {} : { page: selection.pageId }) };
    if (route.name === 'frame')
      return {
        ...width,
        ...(frame.page === null || frame.page.address === '/' ? {} : { page: frame.page.id }),
        ...(frame.partId === null ? {} : { part: frame.partId }),
        ...(frame.scope === 'all' ? {} : { for: frame.scope }),
        ...(frame.view === 'table' ? { view: 'table' } : {}),
      };
    if (route.name === 'fit')
      return {
        ...width,
        ...(frame.page === null || frame.page.address === '/' ? {} : { page: frame.page.id }),
        ...(fit.chosen === null ? {} : { part: fit.chosen.part }),
        ...(fit.chosen?.item === undefined ? {} : { item: fit.chosen.item }),
        ...(fit.view === 'contact' ? { view: 'contact' } : {}),
      };
    if (route.name !== 'arrange') return {};
    return {
      ...width,
      ...(selection.item === null ? {} : { item: selection.item.id }),
      ...(details.view === 'item' ? {} : { view: details.view }),
      ...(live.isDropdownShown && live.branch !== null ? { open: live.branch } : {}),
    };
  });

  /**
   * Going back or forth, what an address does not say is as at first; a link to a workspace says nothing, and
   * what is selected stays.
   */
  let isBack = false;
  window.addEventListener('popstate', () => (isBack = true));

  function take(): void {
    const { document } = copy;
    if (document === null) return;
    const { item, page, part, finding, view, w, open } = route.query;
    const wasBack = isBack;
    isBack = false;
    if (route.name === 'fit') {
      if (view === 'contact' || wasBack) fit.view = view === 'contact' ? view : 'widths';
      if (typeof part === 'string' && document.parts.nodes.has(part)) {
        const chosen = { part, ...(typeof item === 'string' ? { item } : {}) };
        if (!isEqual(chosen, fit.chosen)) fit.chosen = chosen;
      } else if (wasBack) fit.chosen = null;
    } else if (typeof item === 'string' && document.items.nodes.has(item)) {
      if (selection.item?.id !== item) selection.select(item);
    } else if (wasBack && route.name === 'arrange') selection.select(null);
    if (typeof page === 'string' && document.pages.nodes.has(page)) {
      if (route.name !== 'frame' && route.name !== 'fit') selection.pageId = page;
      // The same page is looked at already: nothing that one is about to do ends.
      else if (frame.page?.id !== page) frame.lookAt(page);
    }
    if (route.name === 'frame') {
      if (view === 'table' || wasBack) frame.view = view === 'table' ? view : 'picture';
      const scope = frameScopes.find((one) => one === route.query['for']);
      if (scope !== undefined) frame.scope = scope;
      if (typeof part === 'string' && document.parts.nodes.has(part)) {
        if (frame.partId !== part) frame.select(part);
      } else if (wasBack) frame.select(null);
    }
    if (typeof finding === 'string') drift.chosenId = finding;
    if (view === 'more' || view === 'drops') details.view = view satisfies DetailView;
    else if (wasBack) details.view = 'item';
    const width = Number(w);
    if (Number.isInteger(width) && width >= NARROWEST && width <= WIDEST) live.width = width;
    else if (wasBack) live.showFollowed();
    if (typeof open === 'string' && open === live.branch) live.isDropdownShown = true;
    else if (wasBack) live.isDropdownShown = false;
  }

  watch([() => route.fullPath, () => copy.document === null], take, { immediate: true });
  watch([shown, () => route.name], () => {
    const isSame =
      new URLSearchParams(shown.value as Record<string, string>).toString() ===
      new URLSearchParams(route.query as Record<string, string>).toString();
    if (copy.document !== null && !isSame) void router.replace({ query: shown.value });
  });
}
