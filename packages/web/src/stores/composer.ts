import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  childrenOf,
  dropdownWith,
  faceOf,
  nameOf,
  nodeAt,
  notYetShown,
  partsIn,
  placementOf,
  refusal,
  setItems,
  type Id,
  type Part,
  type SiteDocument,
} from '@zorvik/core';
import type { PanelBoxes } from '../live/messages.ts';
import { useNotices } from './notices.ts';
import { useSelection } from './selection.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** The panel that is composed, and what of it is chosen. */
export const useComposer = defineStore('composer', () => {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const notices = useNotices();
  const owner = ref<Id | null>(null);
  const partId = ref<Id | null>(null);
  /** Where the panel and what is around it stand in the live header. */
  const boxes = shallowRef<PanelBoxes | null>(null);
  /** The narrow form is seen beside the wide one. */
  const isNarrowSeen = ref(false);
  /** What may be added is listed. */
  const isAdding = ref(false);

  const item = computed(() =>
    owner.value === null ? null : (copy.document?.items.nodes.get(owner.value) ?? null),
  );
  const parts = computed((): readonly Part[] =>
    copy.document === null || owner.value === null ? [] : partsIn(copy.document, owner.value),
  );
  const part = computed(() =>
    partId.value === null ? null : (copy.document?.parts.nodes.get(partId.value) ?? null),
  );
  const waiting = computed((): readonly Id[] =>
    copy.document === null || owner.value === null ? [] : notYetShown(copy.document, owner.value),
  );

  function open(id: Id): void {
    selection.select(id);
    owner.value = id;
    partId.value = null;
  }

  /**
   * Composes the panel of the branch that an item stands in; one that drops otherwise yet drops as a panel
   * then.
   */
  function openFor(id: Id): void {
    const { document } = copy;
    if (document === null) return;
    let top = id;
    for (
      let item = document.items.nodes.get(id);
      item !== undefined;
      item = document.items.nodes.get(item.parent)
    )
      top = item.id;
    const place = selection.menu === null ? null : placementOf(document, selection.menu.id)?.place;
    const label = nameOf(document, 'items', top);
    if (place !== 'bar' && place !== 'secondBar')
      return notices.refuse(refusal('noPanelHere', { label }).message);
    const { dropdown = null } = faceOf(document, nodeAt(document.items, top));
    if (
      dropdown?.form !== 'panel' &&
      !copy.perform((context) =>
        setItems(context, [top], { dropdown: dropdownWith(dropdown, { form: 'panel' }) }),
      ).ok
    )
      return;
    open(top);
  }

  function close(): void {
    owner.value = null;
    partId.value = null;
    isAdding.value = false;
    boxes.value = null;
  }

  function choose(id: Id | null): void {
    partId.value = id;
  }

  // What is composed may be removed, or become a list again, here or elsewhere.
  watch(
    () => copy.document,
    (now, before) => {
      if (owner.value === null || now === null) return;
      const kept = now.items.nodes.get(owner.value);
      if (kept === undefined || faceOf(now, kept).dropdown?.form !== 'panel') return close();
      if (partId.value === null || now.parts.nodes.has(partId.value) || before === null) return;
      partId.value = besideGone(before, now, partId.value);
    },
    { flush: 'sync' },
  );
  watch(
    () => selection.item?.id,
    (id) => owner.value !== null && id !== owner.value && close(),
  );

  return {
    owner,
    item,
    parts,
    part,
    partId,
    waiting,
    boxes,
    isNarrowSeen,
    isAdding,
    open,
    openFor,
    close,
    choose,
  };
});

/** What stands where a part stood that is gone: a sibling, else what it stood in. */
function besideGone(before: SiteDocument, now: SiteDocument, id: Id): Id | null {
  for (
    let part = before.parts.nodes.get(id);
    part !== undefined;
    part = before.parts.nodes.get(part.parent)
  ) {
    const siblings = [...childrenOf(before.parts, part.parent)];
    const at = siblings.indexOf(part.id);
    const left = [...siblings.slice(at + 1), ...siblings.slice(0, at).reverse(), part.parent].find((one) =>
      now.parts.nodes.has(one),
    );
    if (left !== undefined) return left;
  }
  return null;
}
