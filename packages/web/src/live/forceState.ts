import type { State } from '@zorvik/core';

/** Forces a state: by attributes that the site has, or by the one that the style sheet is prepared for. */
export function forceState(element: HTMLElement, state: State): void {
  element.removeAttribute('aria-current');
  if (element.hasAttribute('aria-expanded')) element.setAttribute('aria-expanded', String(state === 'open'));
  if (state === 'within') element.setAttribute('aria-current', 'true');
  if (state === 'current') element.setAttribute('aria-current', 'page');
  if (state === 'hover' || state === 'focus') element.dataset.zvState = state;
  // What is pressed by a pointer has it on it, too.
  if (state === 'pressed') element.dataset.zvState = 'hover pressed';
}

/** What is around something in a state: a pointer or the focus in something is in all around it. */
export function stateAround(state: State): string | null {
  if (state === 'hover' || state === 'pressed') return 'hover';
  return state === 'focus' ? 'focus-within' : null;
}
