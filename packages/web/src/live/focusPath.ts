/** A stop on the way of the focus, in px of the window. */
export interface FocusStop {
  readonly element: HTMLElement;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  /** It lies before the stop that it follows: the focus jumps back. */
  readonly isBack: boolean;
  /** Smaller than fingers and shaky hands need: less than 24 by 24 px (WCAG 2.2, 2.5.8). */
  readonly isSmall: boolean;
}

/** The least size of something that is pressed, in px. */
const LEAST = 24;
/** Less than this is the same row, in px. */
const SAME = 4;
const STOPS = 'a[href],button,input,select,textarea,summary,[tabindex="0"]';

/** Where Tab leads, in its order, of what is seen within something. O(elements). */
export function focusPath(within: ParentNode): FocusStop[] {
  const stops: FocusStop[] = [];
  for (const element of within.querySelectorAll<HTMLElement>(STOPS)) {
    if (
      !element.checkVisibility({ visibilityProperty: true }) ||
      element.matches(':disabled,[tabindex="-1"]')
    )
      continue;
    const { left, top, width, height, bottom, right } = element.getBoundingClientRect();
    // What comes forth only when it has the focus, such as the link past the header, is no place to press.
    const isHidden = width <= 1 || height <= 1;
    const before = stops.at(-1);
    const isBack =
      before !== undefined && !isHidden && isBehind(before, element, { left, top, bottom, right });
    stops.push({
      element,
      left,
      top,
      width,
      height,
      isBack,
      isSmall: !isHidden && (width < LEAST || height < LEAST),
    });
  }
  return stops;
}

/** What opens over the page: the focus leaves it for the entry behind the one that opened it. */
const OPENED = '.zv-panel,.zv-bar ul ul';

/**
 * Whether something lies before the stop that it follows: further to the beginning of the same row, or above it without
 * being the beginning of another column.
 */
function isBehind(
  before: FocusStop,
  element: HTMLElement,
  { left, top, bottom, right }: Pick<DOMRect, 'left' | 'top' | 'bottom' | 'right'>,
): boolean {
  const opened = before.element.closest(OPENED);
  if (opened !== null && !opened.contains(element)) return false;
  const isRtl = getComputedStyle(document.documentElement).direction === 'rtl';
  const [start, last] = isRtl ? [-right, -(before.left + before.width)] : [left, before.left];
  const lastBottom = before.top + before.height;
  const isSameRow = top < lastBottom - SAME && bottom > before.top + SAME;
  if (isSameRow) return start < last - 1;
  return bottom <= before.top + SAME && start < last + SAME;
}
