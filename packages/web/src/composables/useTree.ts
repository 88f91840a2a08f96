import { computed, nextTick, onMounted, watch, type Ref } from 'vue';
import type { Id } from '@zorvik/core';
import { shortcutFor, type ShortcutName } from '../shortcuts/shortcuts.ts';
import { useArrange } from '../stores/arrange.ts';
import { useComposer } from '../stores/composer.ts';
import { useClipboard } from '../stores/clipboard.ts';
import { useLiveView } from '../stores/liveView.ts';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import type { OutlineRow } from './outlineRows.ts';
import { useItemActions } from './useItemActions.ts';
import { useSpotForNew } from './useSpotForNew.ts';
import { useTreeAdding } from './useTreeAdding.ts';
import { useTreeNaming } from './useTreeNaming.ts';

export interface TreeParts {
  readonly menu: () => Id | null;
  /** The rows that the arrows go through, in their order. */
  readonly rows: Ref<readonly OutlineRow[]>;
  readonly tree: Ref<HTMLElement | null>;
  /** Brings the row of an item, or the row in which one types, into sight. */
  readonly show: (id: Id | 'adding') => void;
  readonly focusAdding: () => void;
  /** What keys do in this form of the tree and not in the others. */
  readonly own?: Partial<Record<ShortcutName, () => void>>;
}

/**
 * What both forms of the tree have alike: its keys, choosing, copying and pasting; naming and typing new items in
 * are composables of their own.
 */
export function useTree({ menu, rows, tree, show, focusAdding, own = {} }: TreeParts) {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const arrange = useArrange();
  const clipboard = useClipboard();
  const composer = useComposer();
  const live = useLiveView();
  const { act, selectAdded } = useItemActions();
  const spotForNew = useSpotForNew(menu);
  const focus = (): void => tree.value?.focus({ preventScroll: true });
  const naming = useTreeNaming({ menu, focus });
  const typing = useTreeAdding({ menu, spotForNew, show, focusAdding, focus });
  const chosen = computed(() => new Set(selection.chosen));
  const active = computed(() => rows.value.findIndex(({ id }) => id === selection.item?.id));

  /**
   * What is pointed at is in sight; moving it away under the pointer would let a drag begin with its
   * neighbour.
   */
  let isPointed = false;
  watch(active, async (at) => {
    if (isPointed) return;
    await nextTick();
    const row = rows.value[at];
    if (row !== undefined) show(row.id);
  });
  // Coming from the other form, what is selected stays in sight; the rows are measured by then.
  onMounted(() =>
    requestAnimationFrame(() =>
      requestAnimationFrame(() => void (selection.item !== null && show(selection.item.id))),
    ),
  );
  function selectAt(at: number, isExtending = false): void {
    const row = rows.value[Math.max(0, Math.min(at, rows.value.length - 1))];
    if (row === undefined) return;
    if (isExtending) selection.extendTo(row.id, order());
    else selection.select(row.id);
  }

  const order = (): Id[] => rows.value.map(({ id }) => id);

  const doing: Partial<Record<ShortcutName, () => void>> = {
    up: () => selectAt(active.value - 1),
    down: () => selectAt(active.value + 1),
    extendUp: () => selectAt(active.value - 1, true),
    extendDown: () => selectAt(active.value + 1, true),
    chooseAll: () => selection.chooseAll(order(), selection.item?.id ?? order()[0] ?? null),
    first: () => selectAt(0),
    last: () => selectAt(rows.value.length - 1),
    foldOrOut: () => {
      const row = rows.value[active.value];
      if (row === undefined) return;
      if (row.childCount > 0 && !row.isFolded) selection.setFolded(row.id, true);
      else if (copy.document?.items.nodes.has(row.item.parent)) selection.select(row.item.parent);
    },
    unfoldOrIn: () => {
      const row = rows.value[active.value];
      if (row === undefined || row.childCount === 0) return;
      if (row.isFolded) selection.setFolded(row.id, false);
      else selectAt(active.value + 1);
    },
    toggleFold: () => {
      const id = selection.item?.id;
      if (id !== undefined) selection.setFolded(id, !selection.folded.has(id));
    },
    foldAll: () => selection.foldAll(true),
    unfoldAll: () => selection.foldAll(false),
    moveUp: () => act('moveUp'),
    moveDown: () => act('moveDown'),
    moveOut: () => act('moveOut'),
    moveIn: () => act('moveIn'),
    remove: () => act('remove'),
    duplicate: () => act('duplicate'),
    rename: () => naming.startRenaming(selection.item?.id ?? null),
    add: typing.startAdding,
    lead: () => arrange.ask('target'),
    more: () => arrange.ask('more'),
    showDropdown: () => (live.isDropdownShown = !live.isDropdownShown),
    compose: () => selection.item !== null && composer.openFor(selection.item.id),
    nextUndecided: () => arrange.goToUndecided(),
    switchForm: () => arrange.switchForm(),
    beside: () => arrange.ask('beside'),
    planPage: () => arrange.ask('planPage'),
    follow: () => arrange.ask('follow'),
    nextMenu: () => arrange.goToMenu(1),
    previousMenu: () => arrange.goToMenu(-1),
    ...own,
  };

  function press(event: KeyboardEvent): void {
    if (event.target !== tree.value || event.isComposing) return;
    const name = shortcutFor(event, 'tree');
    const action = name === null ? undefined : doing[name];
    if (action === undefined) return;
    event.preventDefault();
    action();
  }

  /**
   * Choosing by the pointer: with Ctrl one more, with Shift all between, else that one. A chosen one stays,
   * since it may be dragged.
   */
  function point(id: Id, event: PointerEvent | MouseEvent): void {
    isPointed = true;
    void nextTick(() => (isPointed = false));
    if (event.type === 'click') {
      if (!event.shiftKey && !event.ctrlKey && !event.metaKey && selection.chosen.length > 1)
        selection.select(id);
    } else if (event.shiftKey) selection.extendTo(id, order());
    else if (event.ctrlKey || event.metaKey) selection.toggle(id);
    else if (!chosen.value.has(id)) selection.select(id);
  }

  async function copied(event: ClipboardEvent): Promise<void> {
    if (event.target !== tree.value || selection.chosen.length === 0) return;
    event.preventDefault();
    const text = await (event.type === 'cut' ? clipboard.cutChosen() : clipboard.copyChosen());
    if (text !== null) await clipboard.writeText(text);
  }

  async function pasted(event: ClipboardEvent): Promise<void> {
    const spot = spotForNew.value;
    if (event.target !== tree.value || spot === null) return;
    event.preventDefault();
    const result = await clipboard.paste(event.clipboardData?.getData('text/plain') ?? '', spot);
    if (result?.ok === true) selectAdded(result.value);
  }

  return { ...naming, ...typing, active, chosen, doing, press, point, copied, pasted, focus };
}

/** What `useTree` gives. */
export type Tree = ReturnType<typeof useTree>;
