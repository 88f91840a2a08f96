/** What is drawn above a live page for somebody who composes it, and dragged there. */

export function element<K extends keyof HTMLElementTagNameMap>(
  tag: K,
  name: string,
): HTMLElementTagNameMap[K] {
  return Object.assign(document.createElement(tag), { className: name });
}

/** Puts something at a place of its layer, in px. */
export function placed<E extends HTMLElement>(
  one: E,
  left: number,
  top: number,
  width: number,
  height: number,
): E {
  Object.assign(one.style, {
    left: `${left}px`,
    top: `${top}px`,
    width: `${width}px`,
    height: `${height}px`,
  });
  return one;
}

/** Tells where the pointer drags a handle, and at last where it let go. */
export function dragged(
  handle: HTMLElement,
  held: (is: boolean) => void,
  follow: (event: PointerEvent, isDone: boolean) => void,
): void {
  handle.addEventListener('pointerdown', (event) => {
    if (event.button !== 0) return;
    event.preventDefault();
    event.stopPropagation();
    held(true);
    handle.setPointerCapture(event.pointerId);
    const move = (moved: PointerEvent): void => follow(moved, false);
    handle.addEventListener('pointermove', move);
    handle.addEventListener(
      'pointerup',
      (last) => {
        handle.removeEventListener('pointermove', move);
        swallowClick();
        follow(last, true);
        held(false);
      },
      { once: true },
    );
  });
}

/** The click that may follow a drag chooses nothing. */
export function swallowClick(): void {
  const swallow = (event: Event): void => {
    event.preventDefault();
    event.stopImmediatePropagation();
  };
  window.addEventListener('click', swallow, true);
  setTimeout(() => window.removeEventListener('click', swallow, true));
}
