import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue';

/** A rectangle in px of what scrolls, not of the window. */
export interface Area {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** A press that moves less than this, in px, is a click. */
const LEAST = 5;

/**
 * Choosing by drawing a rectangle from a place where nothing stands. `choose` hears of it while it is drawn.
 * Escape gives it up.
 */
export function useRubberBand(
  scroller: Ref<HTMLElement | null>,
  choose: (area: Area) => void,
): Ref<Area | null> {
  const area = ref<Area | null>(null);
  let start: { readonly x: number; readonly y: number } | null = null;

  function at({ clientX, clientY }: PointerEvent): { x: number; y: number } {
    const room = scroller.value?.firstElementChild?.getBoundingClientRect();
    return { x: clientX - (room?.left ?? 0), y: clientY - (room?.top ?? 0) };
  }

  function down(event: PointerEvent): void {
    const isOnSomething =
      event.target instanceof Element && event.target.closest('[role=treeitem], button, input, a') !== null;
    const box = scroller.value;
    const isOnScrollbar =
      box !== null &&
      (event.offsetX > box.clientWidth || event.offsetY > box.clientHeight) &&
      event.target === box;
    if (event.button !== 0 || event.pointerType === 'touch' || isOnSomething || isOnScrollbar) return;
    start = at(event);
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', end);
    window.addEventListener('keydown', escape);
  }

  function move(event: PointerEvent): void {
    if (start === null) return;
    const now = at(event);
    if (area.value === null && Math.hypot(now.x - start.x, now.y - start.y) < LEAST) return;
    area.value = {
      left: Math.min(start.x, now.x),
      right: Math.max(start.x, now.x),
      top: Math.min(start.y, now.y),
      bottom: Math.max(start.y, now.y),
    };
    choose(area.value);
  }

  function end(): void {
    start = null;
    area.value = null;
    window.removeEventListener('pointermove', move);
    window.removeEventListener('pointerup', end);
    window.removeEventListener('keydown', escape);
  }

  const escape = ({ key }: KeyboardEvent): void => void (key === 'Escape' && end());

  onMounted(() => scroller.value?.addEventListener('pointerdown', down));
  onBeforeUnmount(() => {
    scroller.value?.removeEventListener('pointerdown', down);
    end();
  });
  return area;
}
