import { useVirtualizer } from '@tanstack/vue-virtual';
import { computed, type Ref } from 'vue';
import { ROW_HEIGHT } from './rowHeight.ts';

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
