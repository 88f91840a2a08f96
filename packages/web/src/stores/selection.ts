import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { kindOf, labelOf, menuOf, type Id } from '@zorvik/core';
import { useNotices } from './notices.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** Which menu is shown and which item in it is selected: the same everywhere, in the tree and in the live header. */
export const useSelection = defineStore('selection', () => {
  const copy = useWorkingCopy();
  const notices = useNotices();
  const wantedMenu = ref<string | null>(null);
  const wantedItem = ref<Id | null>(null);
  let removed: { readonly id: Id; readonly label: string } | null = null;
  const folded = shallowRef<ReadonlySet<Id>>(new Set());

  const menus = computed(() => {
    const document = copy.document;
    if (document === null) return [];
    return [...(document.menus.children.get(document.site.id) ?? [])].flatMap((id) => document.menus.nodes.get(id) ?? []);
  });
  const menu = computed(() => menus.value.find(({ key }) => key === wantedMenu.value) ?? menus.value[0] ?? null);
  const item = computed(() => (wantedItem.value === null ? null : (copy.document?.items.nodes.get(wantedItem.value) ?? null)));

  function select(id: Id | null): void {
    wantedItem.value = id;
    if (id !== null) unfoldTo(id);
  }

  function unfoldTo(id: Id): void {
    const nodes = copy.document?.items.nodes;
    const open = new Set(folded.value);
    for (let at = nodes?.get(id)?.parent; at !== undefined; at = nodes?.get(at)?.parent) open.delete(at);
    if (open.size !== folded.value.size) folded.value = open;
  }

  function setFolded(id: Id, isFolded: boolean): void {
    const next = new Set(folded.value);
    if (isFolded) next.add(id);
    else next.delete(id);
    folded.value = next;
  }

  // A refusal was about what was selected then.
  watch(wantedItem, () => notices.clear(), { flush: 'sync' });

  // A selection that was removed moves to what stood beside it, so that the keys go on working; when another did it, they are named.
  watch(
    () => copy.document,
    (now, before) => {
      const id = wantedItem.value;
      if (id === null || now === null || before === null || now.items.nodes.has(id)) return;
      const was = before.items.nodes.get(id);
      if (was === undefined) return;
      const siblings = [...(before.items.children.get(was.parent) ?? [])];
      const at = siblings.indexOf(id);
      const left = [...siblings.slice(at + 1), ...siblings.slice(0, at).reverse(), was.parent];
      wantedItem.value = left.find((one) => now.items.nodes.has(one)) ?? null;
      removed = { id, label: labelOf(before, was) };
    },
    { flush: 'sync' },
  );

  watch(
    () => copy.news,
    (edits) => {
      const by = edits.findLast(({ operations }) =>
        operations.some((one) =>
          kindOf(one)
            .touches(one)
            .some(({ id }) => id === removed?.id),
        ),
      );
      if (removed !== null && by !== undefined) notices.refuse(`“${removed.label}”, which you had selected, was removed by ${by.actor}.`);
      removed = null;
    },
    { flush: 'sync' },
  );

  function showMenu(key: string): void {
    if (wantedMenu.value === key) return;
    wantedMenu.value = key;
    const document = copy.document;
    const id = wantedItem.value;
    const stays = document !== null && id !== null && document.items.nodes.has(id) && menuOf(document, id).key === key;
    if (!stays) wantedItem.value = null;
  }

  return { menus, menu, item, folded, select, setFolded, showMenu };
});
