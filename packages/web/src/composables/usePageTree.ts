import { computed, onMounted, ref, shallowRef, watch, type Ref } from 'vue';
import {
  addPageAt,
  childrenOf,
  latestSince,
  movePages,
  nameOf,
  nodeAt,
  setPageState,
  spotOf,
  stepPages,
  type Id,
  type Page,
  type PageStep,
  type Spot,
} from '@zorvik/core';
import { shortcutFor, type ShortcutName } from '../shortcuts/shortcuts.ts';
import { useSelection } from '../stores/selection.ts';
import { useSiteReading } from '../stores/siteReading.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { pagePlaces, type PagePlace } from './pagePlaces.ts';
import { pageRows } from './pageRows.ts';

export type PageFilter = 'all' | 'noMenu' | 'several' | 'draft' | 'gone' | 'new' | 'changed';

export interface PageTreeParts {
  readonly element: Ref<HTMLElement | null>;
  readonly show: (index: number) => void;
  readonly rename: () => void;
  readonly startAdding: () => void;
}

/** A drop among the pages as it is shown before it is done. */
export interface PageDrop {
  readonly spot: Spot;
  /** Above the row with this index; or into it. */
  readonly line: number;
  readonly depth: number;
  readonly isInto: boolean;
  readonly words: string;
  readonly problem: string | null;
}

/**
 * The page tree: what of it is seen, which pages are chosen, and what keys, buttons and the pointer do to
 * them.
 */
export function usePageTree({ element, show, rename, startAdding }: PageTreeParts) {
  const copy = useWorkingCopy();
  const reading = useSiteReading();
  const selection = useSelection();
  const typed = ref('');
  const filter = ref<PageFilter>('all');
  const unfolded = shallowRef<ReadonlySet<Id>>(new Set());
  const at = ref(0);
  /** Pages chosen besides the leading one. */
  const others = shallowRef<ReadonlySet<Id>>(new Set());
  const isAddressMoved = ref(false);
  const drop = shallowRef<PageDrop | null>(null);
  let anchor = 0;

  const places = computed(() =>
    copy.document === null || copy.stored === null
      ? new Map<Id, readonly PagePlace[]>()
      : pagePlaces(copy.stored, copy.document),
  );
  const latest = computed(() => (copy.document === null ? 0 : latestSince(copy.document)));
  const filters: Readonly<Record<Exclude<PageFilter, 'all'>, (page: Page) => boolean>> = {
    noMenu: ({ id, state }) => state !== 'gone' && !places.value.has(id),
    several: ({ id }) => new Set((places.value.get(id) ?? []).map(({ menu }) => menu)).size > 1,
    draft: ({ state }) => state === 'draft',
    gone: ({ state }) => state === 'gone',
    new: ({ since = 0 }) => since > 0 && since === latest.value,
    changed: ({ id }) => reading.changed.has(id),
  };
  const rows = computed(() =>
    copy.document === null
      ? []
      : pageRows(
          copy.document,
          unfolded.value,
          typed.value,
          filter.value === 'all' ? null : filters[filter.value],
        ),
  );
  const lead = computed(() => rows.value[at.value] ?? null);
  const chosen = computed((): readonly Id[] => {
    const all = new Set(others.value);
    if (lead.value !== null) all.add(lead.value.id);
    return rows.value.filter(({ id }) => all.has(id)).map(({ id }) => id);
  });
  const isChosen = (id: Id): boolean => id === lead.value?.id || others.value.has(id);
  watch([typed, filter], () => choose(0));

  /** What is chosen stays chosen when rows come, go and move. */
  let kept: Id | null = null;
  watch(lead, (row) => (kept = row?.id ?? null), { flush: 'post' });
  // Who comes back, or with an address, finds the page that was selected.
  onMounted(() => {
    const id = selection.pageId;
    if (id === null || copy.document?.pages.nodes.has(id) !== true) return;
    unfoldTo([id]);
    const place = rows.value.findIndex((row) => row.id === id);
    if (place >= 0) choose(place);
  });
  watch(lead, (row) => (selection.pageId = row?.id ?? null));
  watch(rows, (now) => {
    const place = kept === null ? -1 : now.findIndex(({ id }) => id === kept);
    if (place >= 0) at.value = place;
    else if (at.value >= now.length) at.value = Math.max(0, now.length - 1);
  });

  function choose(index: number, isExtending = false): void {
    at.value = Math.max(0, Math.min(index, rows.value.length - 1));
    if (!isExtending) anchor = at.value;
    const [from, to] = [Math.min(anchor, at.value), Math.max(anchor, at.value)];
    others.value = isExtending ? new Set(rows.value.slice(from, to + 1).map(({ id }) => id)) : new Set();
    show(at.value);
  }

  function point(index: number, event: MouseEvent): void {
    const id = rows.value[index]?.id;
    if (event.shiftKey) choose(index, true);
    else if ((event.ctrlKey || event.metaKey) && id !== undefined) {
      const next = new Set(chosen.value);
      if (next.has(id) && next.size > 1) next.delete(id);
      else next.add(id);
      others.value = next;
      at.value = index;
    } else choose(index);
  }

  function setUnfolded(id: Id, isUnfolded: boolean): void {
    const next = new Set(unfolded.value);
    if (isUnfolded) next.add(id);
    else next.delete(id);
    unfolded.value = next;
  }

  function unfoldAll(): void {
    const { document } = copy;
    if (document === null) return;
    unfolded.value =
      unfolded.value.size > 0
        ? new Set()
        : new Set([...document.pages.nodes.keys()].filter((id) => childrenOf(document.pages, id).size > 0));
  }

  /** What went into a folded branch stays in sight. */
  function unfoldTo(ids: readonly Id[]): void {
    const { document } = copy;
    if (document === null) return;
    for (const id of ids) {
      for (
        let node = nodeAt(document.pages, id).parent;
        node !== document.site.id;
        node = nodeAt(document.pages, node).parent
      )
        setUnfolded(node, true);
    }
  }

  function step(way: PageStep): void {
    const ids = chosen.value;
    if (
      copy.perform(
        (context) => stepPages(context, ids, way, isAddressMoved.value),
        `move ${way} ${ids.join(' ')}`,
      ).ok
    )
      unfoldTo(ids);
  }

  function retire(): void {
    const { document } = copy;
    if (document === null) return;
    const isBack = chosen.value.every((id) => nodeAt(document.pages, id).state === 'gone');
    copy.perform((context) => setPageState(context, chosen.value, isBack ? 'live' : 'gone'));
  }

  /** Adds a page after the leading one; gives whether it was taken. */
  function add(title: string): boolean {
    const { document } = copy;
    if (document === null) return false;
    const page = lead.value?.page;
    const spot =
      page === undefined
        ? { parent: document.site.id, after: childrenOf(document.pages, document.site.id).last() }
        : { parent: page.parent, after: page.id };
    const done = copy.perform((context) => addPageAt(context, title, spot));
    if (!done.ok) return false;
    const [operation] = done.value.operations;
    kept = operation?.kind === 'addPage' ? (operation.branch[0]?.id ?? null) : null;
    return true;
  }

  /**
   * Shows where pages would go that are dragged over a row; `share` says how far down on it the pointer is.
   */
  function showDrop(ids: readonly Id[], index: number, share: number): void {
    const { document } = copy;
    const row = rows.value[index];
    if (document === null || row === undefined) return void (drop.value = null);
    const isInto = share > 0.3 && share < 0.7;
    const { parent, after } = spotOf(document.pages, row.id);
    const isBelow = !isInto && share >= 0.7;
    const spot: Spot = isInto
      ? { parent: row.id, after: childrenOf(document.pages, row.id).last() }
      : isBelow
        ? row.isUnfolded
          ? { parent: row.id, after: null }
          : { parent, after: row.id }
        : { parent, after };
    const tried = copy.attempt((context) => movePages(context, ids, spot, isAddressMoved.value));
    const behind = spot.after === null ? 'first' : `after ${nameOf(document, 'pages', spot.after)}`;
    drop.value = {
      spot,
      line: isBelow ? index + 1 : index,
      depth: isBelow && row.isUnfolded ? row.depth + 1 : row.depth,
      isInto,
      words: `under ${nameOf(document, 'pages', spot.parent)}, ${behind}`,
      problem: tried.ok || tried.refusal.code === 'changesNothing' ? null : tried.refusal.message,
    };
  }

  function put(ids: readonly Id[]): void {
    const found = drop.value;
    drop.value = null;
    if (found === null) return;
    if (copy.perform((context) => movePages(context, ids, found.spot, isAddressMoved.value)).ok)
      unfoldTo(ids);
    element.value?.focus({ preventScroll: true });
  }

  const doing: Partial<Record<ShortcutName, () => void>> = {
    up: () => choose(at.value - 1),
    down: () => choose(at.value + 1),
    extendUp: () => choose(at.value - 1, true),
    extendDown: () => choose(at.value + 1, true),
    first: () => choose(0),
    last: () => choose(rows.value.length - 1),
    unfoldOrIn: () => {
      const row = lead.value;
      if (row === null || row.childCount === 0) return;
      if (row.isUnfolded) choose(at.value + 1);
      else setUnfolded(row.id, true);
    },
    foldOrOut: () => {
      const row = lead.value;
      if (row === null) return;
      if (row.isUnfolded) setUnfolded(row.id, false);
      else
        choose(
          Math.max(
            0,
            rows.value.findLastIndex(({ depth }, index) => index < at.value && depth < row.depth),
          ),
        );
    },
    moveUp: () => step('up'),
    moveDown: () => step('down'),
    moveIn: () => step('in'),
    moveOut: () => step('out'),
    rename,
    remove: retire,
    add: startAdding,
  };

  function press(event: KeyboardEvent): void {
    if (event.target !== element.value || event.isComposing) return;
    const name = shortcutFor(event, 'pages');
    const action = name === null ? undefined : doing[name];
    if (action === undefined) return;
    event.preventDefault();
    action();
  }

  return {
    typed,
    filter,
    unfolded,
    at,
    isAddressMoved,
    drop,
    places,
    rows,
    chosen,
    isChosen,
    point,
    setUnfolded,
    unfoldAll,
    add,
    showDrop,
    put,
    press,
  };
}

export type PageTree = ReturnType<typeof usePageTree>;
