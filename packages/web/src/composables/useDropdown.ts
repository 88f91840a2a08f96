import { computed } from 'vue';
import {
  childrenOf,
  dropdownWith,
  keepInColumn,
  labelOf,
  nodeAt,
  panelColumns,
  type Dropdown,
  usualOf,
  type DropdownChanges,
  type DropdownForm,
  type Id,
  type PanelFacts,
  type SiteDocument,
} from '@zorvik/core';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { useSettings } from './useSettings.ts';

interface Group {
  readonly id: Id;
  readonly label: string;
  readonly description?: string;
  readonly children: readonly Group[];
}

/** A panel shows what is seen of two levels; deeper ones count as one line each. */
const DEEPEST = 4;

function groupsIn(document: SiteDocument, parent: Id, depth = 0): Group[] {
  if (depth > DEEPEST) return [];
  return [...childrenOf(document.items, parent)].flatMap((id) => {
    const item = nodeAt(document.items, id);
    if (item.exception?.hidden === true || item.heldBack === true) return [];
    const { description } = item;
    return [
      {
        id,
        label: labelOf(document, item),
        ...(description === undefined ? {} : { description }),
        children: groupsIn(document, id, depth + 1),
      },
    ];
  });
}

/** What drops from the chosen items of a bar, and the column of a panel that a group stands in. */
export function useDropdown() {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const { common, set } = useSettings();

  /** All that is chosen stands on the first level, and something stands below it. */
  const isTop = computed(() => {
    const { document } = copy;
    if (document === null || selection.chosen.length === 0) return false;
    return selection.chosen.every((id) => {
      const item = document.items.nodes.get(id);
      const isThere = childrenOf(document.items, id).size > 0 || childrenOf(document.parts, id).size > 0;
      return item !== undefined && document.menus.nodes.has(item.parent) && isThere;
    });
  });
  const isMixed = computed(() => common('dropdown').isMixed);
  const dropdown = computed((): Dropdown | null => common('dropdown').value);
  /** What the menu says for all its entries. */
  const usual = computed(() =>
    copy.document === null || selection.menu === null ? {} : usualOf(copy.document, selection.menu.id),
  );
  const usualForm = computed((): DropdownForm => usual.value.form ?? 'list');
  const form = computed(() => (isMixed.value ? null : (dropdown.value?.form ?? usualForm.value)));
  const opens = computed(() => dropdown.value?.opens ?? usual.value.opens ?? 'rest');
  const panel = computed((): PanelFacts => dropdown.value?.panel ?? {});
  const list = computed(() => dropdown.value?.list ?? {});

  function change(changes: DropdownChanges): string | null {
    return set({ dropdown: dropdownWith(dropdown.value, changes, usualForm.value) });
  }

  const columns = computed(() => {
    const { document } = copy;
    const [only, ...others] = selection.chosen;
    if (document === null || only === undefined || others.length > 0 || form.value !== 'panel') return null;
    return panelColumns(groupsIn(document, only), panel.value);
  });

  /** The panel is composed: what it shows is said by its parts. */
  const isMadeOfRows = computed(
    () =>
      copy.document !== null &&
      selection.chosen.some((id) => copy.document !== null && childrenOf(copy.document.parts, id).size > 0),
  );

  /**
   * Of a single group of a panel: its panel's item, how many columns there are, and the one that it is kept
   * in.
   */
  const group = computed(() => {
    const { document } = copy;
    const { item } = selection;
    const above =
      document === null || item === null || selection.chosen.length !== 1
        ? undefined
        : document.items.nodes.get(item.parent);
    if (
      document === null ||
      item === null ||
      above?.dropdown?.form !== 'panel' ||
      childrenOf(document.parts, above.id).size > 0 ||
      !document.menus.nodes.has(above.parent)
    )
      return null;
    const { groups, sizes } = panelColumns(groupsIn(document, above.id), above.dropdown.panel ?? {});
    let left = groups.findIndex(({ id }) => id === item.id);
    const now = sizes.findIndex((size) => (left -= size) < 0);
    const kept = above.dropdown.panel?.kept?.[item.id];
    return {
      label: labelOf(document, above),
      count: sizes.length,
      now,
      kept: kept !== undefined && kept < sizes.length ? kept : null,
    };
  });

  /** Keeps the group in a column, or lets balance put it. */
  function keepIn(column: number | null): void {
    const { item } = selection;
    if (item !== null) copy.perform((context) => keepInColumn(context, item.id, column));
  }

  return { isTop, usual, opens, form, panel, list, dropdown, change, columns, isMadeOfRows, group, keepIn };
}
