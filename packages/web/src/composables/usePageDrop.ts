import { onBeforeUnmount, onMounted, type Ref } from 'vue';
import { autoScrollForElements } from '@atlaskit/pragmatic-drag-and-drop-auto-scroll/element';
import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import type { Id } from '@zorvik/core';
import type { PageDrop, usePageTree } from './usePageTree.ts';
import { ROW_HEIGHT } from './rowHeight.ts';

interface DropParts {
  /** All pages are shown: only then is it clear where a drop goes. */
  readonly isAll: Ref<boolean>;
  readonly rows: Ref<readonly unknown[]>;
  readonly drop: Ref<PageDrop | null>;
  readonly tree: Pick<ReturnType<typeof usePageTree>, 'showDrop' | 'put'>;
}

/** Lets pages be dropped in the page tree, and scrolls it at its edges. */
export function usePageDrop(scroller: Ref<HTMLElement | null>, { isAll, rows, drop, tree }: DropParts): void {
  const idsIn = (list: unknown): Id[] => (Array.isArray(list) ? list.map(String) : []);
  const releases: (() => void)[] = [];
  onMounted(() => {
    const element = scroller.value;
    if (element === null) return;
    const show = (ids: readonly Id[], { clientY }: { readonly clientY: number }): void => {
      const y = clientY - element.getBoundingClientRect().top + element.scrollTop;
      tree.showDrop(
        ids,
        Math.min(Math.floor(y / ROW_HEIGHT), rows.value.length - 1),
        (y % ROW_HEIGHT) / ROW_HEIGHT,
      );
    };
    releases.push(
      autoScrollForElements({ element }),
      dropTargetForElements({
        element,
        canDrop: ({ source }) => Array.isArray(source.data.treePages) && isAll.value,
        onDrag: ({ source, location }) => show(idsIn(source.data.treePages), location.current.input),
        onDragLeave: () => (drop.value = null),
        onDrop({ source, location }) {
          // Where it is let go counts, not where it was drawn last.
          show(idsIn(source.data.treePages), location.current.input);
          tree.put(idsIn(source.data.treePages));
        },
      }),
    );
  });
  onBeforeUnmount(() => releases.forEach((release) => release()));
}
