/**
 * Lets a group of an open panel be dragged into another column: the column under the pointer is marked, and
 * where the pointer lets go the group stays. Escape, and letting go outside of the panel, leave everything as
 * it is.
 */
export function dragGroups(holder: HTMLElement, keep: (group: string, column: number) => void): void {
  /** The pointer has to go so far until it drags, in px: less is a click. */
  const FAR = 6;
  let begun: {
    readonly group: HTMLElement;
    readonly panel: HTMLElement;
    readonly x: number;
    readonly y: number;
  } | null = null;
  let mark: HTMLElement | null = null;
  let column: number | null = null;

  const end = (): void => {
    begun?.group.removeAttribute('data-zv-dragged');
    mark?.remove();
    [begun, mark, column] = [null, null, null];
  };

  const show = ({ panel }: NonNullable<typeof begun>, { clientX, clientY }: PointerEvent): void => {
    const box = panel.getBoundingClientRect();
    const isInside =
      clientX >= box.left && clientX <= box.right && clientY >= box.top && clientY <= box.bottom;
    const tracks = tracksOf(panel);
    column = isInside ? nearest(tracks, clientX) : null;
    const track = column === null ? undefined : tracks[column];
    mark ??= holder.ownerDocument.body.appendChild(
      Object.assign(document.createElement('div'), { className: 'column-mark' }),
    );
    mark.hidden = track === undefined;
    if (track === undefined) return;
    Object.assign(mark.style, {
      left: `${track.left - 6}px`,
      width: `${track.width + 12}px`,
      top: `${box.top + 8}px`,
      height: `${box.height - 16}px`,
    });
    mark.textContent = `column ${(column ?? 0) + 1}`;
  };

  holder.addEventListener('pointerdown', ({ target, button, clientX: x, clientY: y }) => {
    const group = target instanceof Element ? target.closest<HTMLElement>('.zv-panel>ul>li') : null;
    const panel = group?.closest<HTMLElement>('.zv-panel');
    if (button === 0 && group !== null && panel != null && getComputedStyle(panel).position === 'absolute')
      begun = { group, panel, x, y };
  });
  // A link would be dragged by the browser itself.
  holder.addEventListener('dragstart', (event) => event.preventDefault());
  document.addEventListener('pointermove', (event) => {
    if (begun === null) return;
    if (mark === null && Math.hypot(event.clientX - begun.x, event.clientY - begun.y) < FAR) return;
    begun.group.setAttribute('data-zv-dragged', '');
    show(begun, event);
  });
  document.addEventListener('pointerup', () => {
    const id = begun?.group.dataset.zvItem;
    const [to, isDrag] = [column, mark !== null];
    end();
    if (!isDrag) return;
    // The click that may follow a drag selects nothing.
    const swallow = (event: Event): void => {
      event.preventDefault();
      event.stopPropagation();
    };
    window.addEventListener('click', swallow, true);
    setTimeout(() => window.removeEventListener('click', swallow, true));
    if (id !== undefined && to !== null) keep(id, to);
  });
  document.addEventListener('pointercancel', end);
  const escape = (event: KeyboardEvent): void => {
    if (event.key !== 'Escape' || mark === null) return;
    // Not what else it does: the panel stays open.
    event.stopPropagation();
    end();
  };
  document.addEventListener('keydown', escape, true);
}

interface Track {
  readonly left: number;
  readonly width: number;
}

/**
 * Where the columns of a panel are, as its grid has laid them out, from the first; those without a group,
 * too.
 */
function tracksOf(panel: HTMLElement): Track[] {
  const { gridTemplateColumns, columnGap, paddingInlineStart, direction } = getComputedStyle(panel);
  const widths = gridTemplateColumns.split(' ').map((width) => parseFloat(width));
  const gap = parseFloat(columnGap) || 0;
  const all = widths.reduce((sum, width) => sum + width, 0) + gap * (widths.length - 1);
  const padding = parseFloat(paddingInlineStart) || 0;
  const { left, width } = panel.getBoundingClientRect();
  // The columns stand in the middle where they are held to a width.
  let at = Math.max(padding, (width - all) / 2);
  const tracks = widths.map((size) => {
    const track = { left: left + (direction === 'rtl' ? width - at - size : at), width: size };
    at += size + gap;
    return track;
  });
  return tracks;
}

function nearest(tracks: readonly Track[], x: number): number {
  const distances = tracks.map(({ left, width }) => Math.abs(x - left - width / 2));
  return distances.indexOf(Math.min(...distances));
}
