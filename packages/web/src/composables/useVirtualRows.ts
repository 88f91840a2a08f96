import { useVirtualizer } from '@tanstack/vue-virtual';
import { computed, type Ref } from 'vue';

/** Rows grow with the browser's text size, as everything that is measured in rem; in px. */
const textScale =
  typeof document === 'undefined'
    ? 1
    : (Number.parseFloat(getComputedStyle(document.documentElement).fontSize) || 16) / 16;
export const ROW_HEIGHT = Math.round(32 * textScale);

/**
 * Only the rows that are seen, and a few around them, are in the page: ten or ten thousand make no
 * difference.
 */
export function useVirtualRows(scroller: Ref<HTMLElement | null>, count: Ref<number>) {
  const virtualizer = useVirtualizer(
    computed(() => ({
      count: count.value,
      getScrollElement: () => scroller.value,
      estimateSize: () => ROW_HEIGHT,
      overscan: 12,
    })),
  );
  const rows = computed(() => virtualizer.value.getVirtualItems());
  const height = computed(() => virtualizer.value.getTotalSize());
  const show = (index: number): void => virtualizer.value.scrollToIndex(index, { align: 'auto' });
  return { rows, height, show };
}
