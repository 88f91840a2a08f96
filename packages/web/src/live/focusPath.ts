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
  const isRtl = getComputedStyle(document.documentElement).direction === 'rtl';
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
    const start = isRtl ? -right : left;
    const last =
      before === undefined
        ? null
        : {
            start: isRtl ? -(before.left + before.width) : before.left,
            top: before.top,
            bottom: before.top + before.height,
          };
    const isSameRow = last !== null && top < last.bottom - SAME && bottom > last.top + SAME;
    stops.push({
      element,
      left,
      top,
      width,
      height,
      isBack:
        last !== null && !isHidden && ((isSameRow && start < last.start - 1) || bottom <= last.top + SAME),
      isSmall: !isHidden && (width < LEAST || height < LEAST),
    });
  }
  return stops;
}
