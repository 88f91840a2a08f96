import { useEventListener } from '@vueuse/core';

/**
 * How long a finger rests until it drags, in ms, and how far it may move meanwhile, in px: further, and it
 * scrolls.
 */
const REST = 380;
const SLACK = 10;
/** At most so wide is what hangs from the finger, in px. */
const GHOST = 260;

interface TouchDrag {
  readonly source: HTMLElement;
  readonly transfer: DataTransfer;
  readonly ghost: HTMLElement;
  over: Element | null;
  isTaken: boolean;
}

/**
 * Dragging by touch: a finger that rests on what can be dragged takes it up. What a browser does of itself
 * for a mouse is told here as the same drag events (HTML, drag and drop), so that everything else knows of
 * one way of dragging only. Where a browser drags by touch of itself, the first of the two that begins has
 * it.
 */
export function useTouchDrag(): void {
  let wait: ReturnType<typeof setTimeout> | undefined;
  let from: { readonly x: number; readonly y: number } | null = null;
  let drag: TouchDrag | null = null;

  function tell(type: string, target: EventTarget, at: Touch, transfer: DataTransfer): boolean {
    const { clientX, clientY, screenX, screenY } = at;
    const event = new DragEvent(type, {
      bubbles: true,
      cancelable: true,
      composed: true,
      clientX,
      clientY,
      screenX,
      screenY,
      dataTransfer: transfer,
    });
    return !target.dispatchEvent(event);
  }

  function begin(source: HTMLElement, at: Touch): void {
    const transfer = new DataTransfer();
    if (tell('dragstart', source, at, transfer)) return;
    const ghost = source.cloneNode(true) as HTMLElement;
    ghost.removeAttribute('id');
    ghost.setAttribute('aria-hidden', 'true');
    const { width, height } = source.getBoundingClientRect();
    Object.assign(ghost.style, {
      position: 'fixed',
      insetBlockStart: '0',
      left: '0',
      width: `${Math.min(width, GHOST)}px`,
      height: `${height}px`,
      zIndex: '3000',
    });
    Object.assign(ghost.style, {
      opacity: '0.7',
      overflow: 'hidden',
      background: 'var(--field)',
      pointerEvents: 'none',
    });
    document.body.append(ghost);
    drag = { source, transfer, ghost, over: null, isTaken: false };
    move(at);
  }

  function move(at: Touch): void {
    if (drag === null) return;
    drag.ghost.style.transform = `translate(${at.clientX + 12}px, ${at.clientY - drag.ghost.offsetHeight / 2}px)`;
    const over = document.elementFromPoint(at.clientX, at.clientY) ?? document.body;
    if (over !== drag.over) {
      tell('dragenter', over, at, drag.transfer);
      if (drag.over !== null) tell('dragleave', drag.over, at, drag.transfer);
      drag.over = over;
    }
    drag.isTaken = tell('dragover', over, at, drag.transfer);
  }

  function end(at: Touch | undefined, isDropped: boolean): void {
    const ended = drag;
    stopWaiting();
    drag = null;
    if (ended === null || at === undefined) return;
    ended.ghost.remove();
    if (isDropped && ended.isTaken && ended.over !== null) tell('drop', ended.over, at, ended.transfer);
    else if (ended.over !== null) tell('dragleave', ended.over, at, ended.transfer);
    tell('dragend', ended.source.isConnected ? ended.source : document.body, at, ended.transfer);
    // A mouse goes on to move after a drag, and what lay under it meanwhile is cleared away by that; a finger
    // is gone.
    window.dispatchEvent(
      new PointerEvent('pointermove', { pointerType: 'touch', clientX: at.clientX, clientY: at.clientY }),
    );
  }

  function stopWaiting(): void {
    clearTimeout(wait);
    from = null;
  }

  let lastTouch: Touch | undefined;
  useEventListener(
    document,
    'touchstart',
    (event) => {
      const [at] = event.touches;
      if (event.touches.length !== 1 || at === undefined) return end(lastTouch, false);
      const source =
        event.target instanceof Element ? event.target.closest<HTMLElement>('[draggable=true]') : null;
      if (source === null) return;
      lastTouch = at;
      from = { x: at.clientX, y: at.clientY };
      wait = setTimeout(() => begin(source, at), REST);
    },
    { passive: true },
  );
  useEventListener(
    document,
    'touchmove',
    (event) => {
      const [at] = event.touches;
      if (at === undefined) return;
      lastTouch = at;
      if (drag !== null) {
        if (event.cancelable) event.preventDefault();
        move(at);
      } else if (from !== null && Math.hypot(at.clientX - from.x, at.clientY - from.y) > SLACK) stopWaiting();
    },
    { passive: false },
  );
  useEventListener(document, 'touchend', (event) => {
    if (drag !== null && event.cancelable) event.preventDefault();
    end(lastTouch, true);
  });
  useEventListener(document, 'touchcancel', () => end(lastTouch, false));
  useEventListener(document, 'keydown', (event) => event.key === 'Escape' && end(lastTouch, false), {
    capture: true,
  });
  useEventListener(document, 'contextmenu', (event) => drag !== null && event.preventDefault());
  useEventListener(
    window,
    'dragstart',
    (event) => {
      if (!event.isTrusted) return;
      if (drag === null) return stopWaiting();
      event.preventDefault();
      event.stopImmediatePropagation();
    },
    { capture: true },
  );
  // A pointer that moves while something is dragged tells others that its browser has lost the drag.
  useEventListener(window, 'pointermove', (event) => drag !== null && event.stopImmediatePropagation(), {
    capture: true,
  });
}
