import { forceState, stateAround } from './forceState.ts';
import type { HeldState } from './frameMessages.ts';

/** Holds one thing on a page in a state, with what is around it. */
export interface StateHolder {
  /** Lets go of what was held; null: holds nothing then. */
  readonly hold: (wanted: HeldState | null) => void;
  /** The page has been written anew, without what was put on it. */
  readonly forget: () => void;
}

/** See `StateHolder`. */
export function stateHolder(page: HTMLElement): StateHolder {
  /** What has been put on elements, to be taken away again: the attributes that they had. */
  let forced: (readonly [element: HTMLElement, name: string, was: string | null])[] = [];

  /** The first element that is meant and seen. */
  function meant({ part, item, selectors }: HeldState): HTMLElement | null {
    const all = [...page.querySelectorAll<HTMLElement>(selectors.join())].filter((one) => {
      const own = one.closest<HTMLElement>('[data-zv-part]')?.dataset.zvPart ?? null;
      return (
        own === part &&
        (item === null || one.closest('[data-zv-item]')?.getAttribute('data-zv-item') === item)
      );
    });
    return all.find((one) => one.checkVisibility()) ?? null;
  }

  function hold(wanted: HeldState | null): void {
    for (const [one, name, was] of forced.reverse())
      if (was === null) one.removeAttribute(name);
      else one.setAttribute(name, was);
    forced = [];
    const found = wanted === null || wanted.state === 'normal' ? null : meant(wanted);
    if (found === null || wanted === null) return;
    const { state } = wanted;
    // What opens a branch stands beside the link.
    const opener =
      state === 'open' && !found.hasAttribute('aria-expanded')
        ? found.parentElement?.querySelector<HTMLElement>(':scope>button[aria-expanded]')
        : null;
    const way: HTMLElement[] = [];
    for (let one = found.parentElement; one !== null && one !== page; one = one.parentElement) way.push(one);
    for (const one of [found, ...(opener == null ? [] : [opener]), ...way])
      for (const name of ['aria-current', 'aria-expanded', 'data-zv-state'])
        forced.push([one, name, one.getAttribute(name)]);
    forceState(opener ?? found, state);
    const around = stateAround(state);
    if (around !== null) for (const one of way) one.dataset.zvState = around;
  }

  return { hold, forget: () => (forced = []) };
}
