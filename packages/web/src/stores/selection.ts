import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { childrenOf, itemsOf, kindOf, labelOf, menuOf, type Id } from '@zorvik/core';
import { useNotices } from './notices.ts';
import { useWorkingCopy } from './workingCopy.ts';

/**
 * Which menu is shown and what in it is selected: the same everywhere, in both forms of the tree and in the
 * live header. One item leads; more may be chosen with it, and what is done is done to all of them.
 */
export const useSelection = defineStore('selection', () => {
  const copy = useWorkingCopy();
  const notices = useNotices();
  const wantedMenu = ref<string | null>(null);
  const wantedItem = ref<Id | null>(null);
  /** Those chosen besides the leading one. */
  const others = shallowRef<ReadonlySet<Id>>(new Set());
  /** Where a range begins that Shift extends. */
  let anchor: Id | null = null;
  let removed: { readonly id: Id; readonly label: string } | null = null;
  const folded = shallowRef<ReadonlySet<Id>>(new Set());
  /** The page that is selected in Pages. */
  const pageId = ref<Id | null>(null);

  const menus = computed(() => {
    const document = copy.document;
    if (document === null) return [];
    return [...(document.menus.children.get(document.site.id) ?? [])].flatMap(
      (id) => document.menus.nodes.get(id) ?? [],
    );
  });
  const menu = computed(
    () => menus.value.find(({ key }) => key === wantedMenu.value) ?? menus.value[0] ?? null,
  );
  const item = computed(() =>
    wantedItem.value === null ? null : (copy.document?.items.nodes.get(wantedItem.value) ?? null),
  );

  /** The chosen items in the order of the menu. */
  const chosen = computed((): readonly Id[] => {
    const document = copy.document;
    if (document === null || item.value === null) return [];
    if (others.value.size === 0) return [item.value.id];
    const all = new Set([...others.value, item.value.id]);
    // They may stand in the menu beside, or in both.
    const roots = new Set([...all].map((id) => menuOf(document, id).id));
    return menus.value
      .filter(({ id }) => roots.has(id))
      .flatMap(({ id }) => [...itemsOf(document, id)].filter((one) => all.has(one)));
  });

  function select(id: Id | null): void {
    others.value = new Set();
    anchor = id;
    lead(id);
  }

  function lead(id: Id | null): void {
    wantedItem.value = id;
    if (id !== null) unfoldTo(id);
  }

  /** Takes an item in, or out again. */
  function toggle(id: Id): void {
    const next = new Set(others.value);
    if (wantedItem.value !== null) next.add(wantedItem.value);
    if (next.has(id) && next.size > 1) {
      next.delete(id);
      lead(id === wantedItem.value ? ([...next].at(-1) ?? null) : wantedItem.value);
    } else lead(id);
    next.delete(wantedItem.value ?? '');
    others.value = next;
    anchor = id;
  }

  /** Chooses all from where the range began to `id`, in the order in which they are shown. */
  function extendTo(id: Id, order: readonly Id[]): void {
    const from = order.indexOf(anchor ?? wantedItem.value ?? id);
    const to = order.indexOf(id);
    if (from < 0 || to < 0) return select(id);
    chooseAll(order.slice(Math.min(from, to), Math.max(from, to) + 1), id);
  }

  function chooseAll(ids: readonly Id[], leading: Id | null = ids.at(-1) ?? null): void {
    const began = anchor;
    others.value = new Set(ids.filter((one) => one !== leading));
    lead(leading);
    anchor = began ?? ids[0] ?? null;
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

  // A selection that was removed moves to what stood beside it, so that the keys go on working; when another
  // did it, they are named.
  watch(
    () => copy.document,
    (now, before) => {
      const id = wantedItem.value;
      if (now !== null && [...others.value].some((one) => !now.items.nodes.has(one))) {
        others.value = new Set([...others.value].filter((one) => now.items.nodes.has(one)));
      }
      if (id === null || now === null || before === null || now.items.nodes.has(id)) return;
      const [left] = others.value;
      if (left !== undefined) {
        others.value = new Set([...others.value].filter((one) => one !== left));
        wantedItem.value = left;
        return;
      }
      const was = before.items.nodes.get(id);
      if (was === undefined) return;
      const siblings = [...(before.items.children.get(was.parent) ?? [])];
      const at = siblings.indexOf(id);
      const beside = [...siblings.slice(at + 1), ...siblings.slice(0, at).reverse(), was.parent];
      wantedItem.value = beside.find((one) => now.items.nodes.has(one)) ?? null;
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
      if (removed !== null && by !== undefined)
        notices.refuse(`${by.actor} removed “${removed.label}”, which you had selected.`);
      removed = null;
    },
    { flush: 'sync' },
  );

  function showMenu(key: string): void {
    if (wantedMenu.value === key) return;
    wantedMenu.value = key;
    const document = copy.document;
    const id = wantedItem.value;
    const stays =
      document !== null && id !== null && document.items.nodes.has(id) && menuOf(document, id).key === key;
    if (!stays) select(null);
  }

  function foldAll(isFolded: boolean): void {
    const document = copy.document;
    const parents =
      isFolded && document !== null
        ? [...itemsOf(document, menu.value?.id ?? '')].filter((id) => childrenOf(document.items, id).size > 0)
        : [];
    folded.value = new Set(parents);
    const id = wantedItem.value;
    // What is selected must not be lost from sight: its branch's top is selected in its place.
    let top = id;
    for (let at = id; at !== null && document !== null; at = document.items.nodes.get(at)?.parent ?? null)
      if (document.items.nodes.has(at)) top = at;
    if (isFolded && top !== null) select(top);
  }

  return {
    menus,
    menu,
    item,
    chosen,
    folded,
    pageId,
    select,
    toggle,
    extendTo,
    chooseAll,
    setFolded,
    foldAll,
    showMenu,
  };
});
