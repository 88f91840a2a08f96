import { useVirtualizer } from '@tanstack/vue-virtual';
import { computed, ref, watch, type Ref } from 'vue';
import { ROW_HEIGHT } from './rowHeight.ts';

/**
 * Only the rows that are seen, and a few around them, are in the page: ten or ten thousand make no
 * difference.
 */
export function useVirtualRows(
  scroller: Ref<HTMLElement | null>,
  count: Ref<number>,
  /** Of each row, in px. */
  rowHeight: Ref<number> = ref(ROW_HEIGHT),
) {
  const virtualizer = useVirtualizer(
    computed(() => ({
      count: count.value,
      getScrollElement: () => scroller.value,
      estimateSize: () => rowHeight.value,
      overscan: 12,
    })),
  );
  const rows = computed(() => virtualizer.value.getVirtualItems());
  watch(rowHeight, () => virtualizer.value.measure());
  const height = computed(() => virtualizer.value.getTotalSize());
  const show = (index: number): void => virtualizer.value.scrollToIndex(index, { align: 'auto' });
  return { rows, height, show };
}
