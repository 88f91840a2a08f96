/** Where a part that is dragged would come to stand, and the line that shows it. */
export interface DropPlace {
  readonly parent: string;
  readonly after: string | null;
  readonly line: {
    readonly left: number;
    readonly top: number;
    readonly width: number;
    readonly height: number;
  };
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/**
 * Rows go between rows, cells between the cells of the row under the pointer, links among links, tabs among
 * tabs, all else into the nearest cell or open tab. Null: what is dragged cannot stand anywhere near.
 */
export function dropPlace(panel: HTMLElement, part: HTMLElement, x: number, y: number): DropPlace | null {
  if (part.matches('.zv-panel-row'))
    return among(
      panel,
      part,
      '.zv-panel-row',
      y,
      false,
      panel.closest<HTMLElement>('[data-zv-item]')?.dataset.zvItem ?? null,
    );
  if (part.matches('.zv-cell')) {
    const row = nearest(panel.querySelectorAll('.zv-panel-row'), x, y);
    return row === null ? null : among(row, part, '.zv-cell', x, true, row.dataset.zvPart ?? null);
  }
  const list = part.matches('li')
    ? part.closest<HTMLElement>('.zv-links')
    : part.matches('.zv-tab')
      ? part.closest<HTMLElement>('.zv-tabs')
      : null;
  if (list !== null)
    return among(
      part.parentElement ?? list,
      part,
      part.matches('li') ? 'li' : '.zv-tab',
      y,
      false,
      list.dataset.zvPart ?? null,
    );
  const holders = [...panel.querySelectorAll<HTMLElement>('.zv-cell,.zv-tab')].filter(
    (one) => one.getClientRects().length > 0 && !part.contains(one),
  );
  // Tabs stand in tabs alone; within a cell, the tab under the pointer is nearer than the cell.
  const fit = part.matches('.zv-tabs') ? holders.filter((one) => one.matches('.zv-cell')) : holders;
  const inner = fit.filter((one) => one.matches('.zv-tab') && isInside(one.getBoundingClientRect(), x, y));
  const holder = nearest(inner.length > 0 ? inner : fit.filter((one) => one.matches('.zv-cell')), x, y);
  if (holder === null) return null;
  return among(
    holder,
    part,
    '[data-zv-part]',
    holder.matches('.zv-side-by-side') ? x : y,
    holder.matches('.zv-side-by-side'),
    holder.dataset.zvPart ?? null,
  );
}

/** Between which of the children the pointer is. */
function among(
  holder: HTMLElement,
  part: HTMLElement,
  selector: string,
  at: number,
  isAcross: boolean,
  parent: string | null,
): DropPlace | null {
  if (parent === null) return null;
  const others = [...holder.children].filter(
    (one): one is HTMLElement =>
      one instanceof HTMLElement && one.matches(selector) && one !== part && one.getClientRects().length > 0,
  );
  const isRtl = getComputedStyle(holder).direction === 'rtl';
  const isBefore = (one: HTMLElement): boolean => {
    const { left, right, top, bottom } = one.getBoundingClientRect();
    const middle = isAcross ? (left + right) / 2 : (top + bottom) / 2;
    return isAcross && isRtl ? middle > at : middle < at;
  };
  const before = others.filter(isBefore);
  const last = before.at(-1)?.getBoundingClientRect();
  const first = others[before.length]?.getBoundingClientRect();
  return {
    parent,
    after: before.at(-1)?.dataset.zvPart ?? null,
    line: lineAt(holder.getBoundingClientRect(), last ?? null, first ?? null, isAcross, isRtl),
  };
}

const THICK = 3;

function lineAt(
  holder: Box,
  last: Box | null,
  first: Box | null,
  isAcross: boolean,
  isRtl: boolean,
): DropPlace['line'] {
  if (!isAcross) {
    const top = last !== null ? last.bottom + 3 : first !== null ? first.top - 6 : holder.top + 6;
    return { left: holder.left, top, width: holder.right - holder.left, height: THICK };
  }
  const edge = isRtl
    ? last !== null
      ? last.left - 8
      : first !== null
        ? first.right + 4
        : holder.right - 6
    : last !== null
      ? last.right + 4
      : first !== null
        ? first.left - 8
        : holder.left + 6;
  return { left: edge, top: holder.top, width: THICK, height: Math.max(24, holder.bottom - holder.top) };
}

function nearest(all: Iterable<Element>, x: number, y: number): HTMLElement | null {
  let [best, least]: [HTMLElement | null, number] = [null, Infinity];
  for (const one of all) {
    if (!(one instanceof HTMLElement) || one.getClientRects().length === 0) continue;
    const { left, right, top, bottom } = one.getBoundingClientRect();
    const distance = Math.hypot(Math.max(left - x, 0, x - right), Math.max(top - y, 0, y - bottom));
    if (distance < least) [best, least] = [one, distance];
  }
  return best;
}

function isInside({ left, right, top, bottom }: Box, x: number, y: number): boolean {
  return x >= left && x <= right && y >= top && y <= bottom;
}
