import { nextTick, shallowRef, watch, type Ref } from 'vue';
import { addLink, addPages, childrenOf, type Id, type Spot } from '@zorvik/core';
import { useClipboard } from '../stores/clipboard.ts';
import { useNotices } from '../stores/notices.ts';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import type { Picked } from './picked.ts';
import { useItemActions } from './useItemActions.ts';

/** What typing new items needs of the tree in which they are typed. */
export interface AddingParts {
  readonly menu: () => Id | null;
  /** Where the next item goes. */
  readonly spotForNew: Ref<Spot | null>;
  /** Brings the row in which one types into sight. */
  readonly show: (row: 'adding') => void;
  readonly focusAdding: () => void;
  /** Gives the focus back to the tree. */
  readonly focus: () => void;
}

/** New items typed in one after the other. */
export function useTreeAdding({ menu, spotForNew, show, focusAdding, focus }: AddingParts) {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const clipboard = useClipboard();
  const notices = useNotices();
  const { selectAdded } = useItemActions();
  /** Where the row in which one types a new item stands; null when there is none. */
  const adding = shallowRef<Spot | null>(null);
  watch(menu, () => (adding.value = null));

  function startAdding(): void {
    adding.value = spotForNew.value;
    notices.clear();
    void nextTick(() => show('adding'));
  }

  function stopAdding(): void {
    adding.value = null;
    focus();
  }

  /** Takes what was typed as a new item and goes on behind it, so that a menu can be typed in one go. */
  function add(picked: Picked): void {
    const spot = adding.value;
    if (spot === null) return;
    const result = copy.perform((context) => {
      if (picked.kind === 'page') return addPages(context, { pages: [picked.id], depth: 0, spot });
      const address =
        picked.kind === 'link' ? picked.address : picked.kind === 'undecided' ? 'undecided' : null;
      return addLink(context, spot, { label: picked.label, address });
    });
    if (!result.ok) return;
    selectAdded(result.value);
    typeAt({ parent: spot.parent, after: selection.item?.id ?? null });
  }

  /** Moves the row in which one types, and the focus with it. */
  function typeAt(spot: Spot): void {
    adding.value = spot;
    void nextTick(() => {
      show('adding');
      void nextTick(focusAdding);
    });
  }

  /** Tab puts the next item into the one before it, Shift and Tab behind its parent. */
  function nest(isDeeper: boolean): void {
    const spot = adding.value;
    const { document } = copy;
    if (spot === null || document === null) return;
    if (isDeeper && spot.after !== null)
      typeAt({ parent: spot.after, after: childrenOf(document.items, spot.after).last() });
    const outer = document.items.nodes.get(spot.parent);
    if (!isDeeper && outer !== undefined) typeAt({ parent: outer.parent, after: outer.id });
  }

  /** Several lines pasted where one item is typed become a branch there. */
  async function pasteLines(text: string): Promise<void> {
    const spot = adding.value;
    if (spot === null) return;
    const result = await clipboard.pasteText(text, spot);
    if (!result.ok) return;
    selectAdded(result.value);
    stopAdding();
  }

  return { adding, startAdding, stopAdding, add, nest, pasteLines };
}
