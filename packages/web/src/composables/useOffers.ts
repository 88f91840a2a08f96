import { computed, ref, useId } from 'vue';

/**
 * A field with a list of offers below it (the combobox pattern): arrows mark one, Enter or a press takes it. The
 * attributes and listeners of the field and of each option are bound as they come.
 */
export function useOffers({
  count,
  take,
  isOpen = () => true,
}: {
  readonly count: () => number;
  readonly take: (at: number) => void;
  readonly isOpen?: () => boolean;
}) {
  const id = useId();
  const marked = ref(0);
  const listId = `${id}-list`;

  function press(event: KeyboardEvent): void {
    const { key } = event;
    if (key === 'ArrowDown') marked.value = Math.min(marked.value + 1, count() - 1);
    else if (key === 'ArrowUp') marked.value = Math.max(marked.value - 1, 0);
    else if (key === 'Enter') take(marked.value);
    else return;
    event.preventDefault();
  }

  const field = computed(() => ({
    role: 'combobox',
    'aria-expanded': isOpen(),
    'aria-controls': listId,
    'aria-activedescendant': isOpen() && count() > 0 ? `${id}-${marked.value}` : undefined,
    onKeydown: press,
  }));

  const option = (at: number) => ({
    id: `${id}-${at}`,
    role: 'option',
    'aria-selected': at === marked.value,
    class: { on: at === marked.value },
    onPointerdown(event: PointerEvent): void {
      event.preventDefault();
      take(at);
    },
  });

  return { marked, listId, field, option };
}
