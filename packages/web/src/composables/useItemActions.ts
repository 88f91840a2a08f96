import { computed } from 'vue';
import {
  duplicateItems,
  moveItems,
  nestItems,
  removeItems,
  shiftItems,
  unnestItems,
  type CommandContext,
  type Edit,
  type Id,
  type Result,
  type Spot,
} from '@zorvik/core';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

type ItemCommand = (context: CommandContext, ids: readonly Id[]) => Result<Edit>;

export const itemCommands = {
  moveUp: (context, ids) => shiftItems(context, ids, 'up'),
  moveDown: (context, ids) => shiftItems(context, ids, 'down'),
  moveOut: unnestItems,
  moveIn: nestItems,
  remove: removeItems,
  duplicate: duplicateItems,
} as const satisfies Record<string, ItemCommand>;
export type ItemAction = keyof typeof itemCommands;

/**
 * What can be done to the selected item: the keys and the buttons both come here, and the commands themselves
 * say what cannot.
 */
export function useItemActions() {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const chosen = computed(() => selection.chosen);

  /** Why each action cannot be done now; null where it can. */
  const reasons = computed(() => {
    const entries = Object.entries(itemCommands).map(([name, command]) => {
      // These two can always be done to what is there, and trying them copies whole branches: too much for
      // each step of the selection.
      const isAlways = (name === 'remove' || name === 'duplicate') && chosen.value.length > 0;
      const result = isAlways
        ? { ok: true as const }
        : copy.attempt((context) => command(context, chosen.value));
      return [name, result.ok ? null : result.refusal.message] as const;
    });
    return Object.fromEntries(entries) as Record<ItemAction, string | null>;
  });

  function act(name: ItemAction): void {
    const result = copy.perform(
      (context) => itemCommands[name](context, chosen.value),
      name.startsWith('move') ? `${name} ${chosen.value.join(' ')}` : null,
    );
    const hasAdded = result.ok && selectAdded(result.value);
    if (!hasAdded && name !== 'remove') keepInSight();
  }

  /** What was moved may stand inside a folded branch now. */
  function keepInSight(): void {
    if (selection.chosen.length > 0) selection.chooseAll(selection.chosen, selection.item?.id ?? null);
  }

  /**
   * Selects the tops of what an edit has added, if there are any. What is otherwise about a followed child is
   * no addition to a person.
   */
  function selectAdded(edit: Edit): boolean {
    const tops = edit.operations.flatMap((one) => (one.kind === 'addItem' ? one.branch.slice(0, 1) : []));
    const ids = tops.filter(({ exception }) => exception === undefined).map(({ id }) => id);
    if (ids.length > 0) selection.chooseAll(ids);
    return ids.length > 0;
  }

  function moveTo(ids: readonly Id[], spot: Spot): void {
    const moved = copy.perform((context) => moveItems(context, ids, spot));
    // Moved away from where it is followed, it is an item of its own there.
    if (!moved.ok || !selectAdded(moved.value)) selection.chooseAll(ids);
  }

  return { reasons, act, moveTo, selectAdded };
}
