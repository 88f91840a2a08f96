import { dropPlace } from './dropPlace.ts';
import { dragged, element, placed, swallowClick } from './marks.ts';
import type { FromStage } from './messages.ts';

const COLUMNS = 12;
/** The pointer has to go so far until it drags, in px: less is a click. */
const FAR = 6;

export interface Composing {
  /** The panel of this item is composed, and this part of it is chosen. */
  readonly set: (owner: string | null, part: string | null) => void;
  /** Brings what is chosen into sight. */
  readonly reveal: () => void;
  /** Puts the marks where things are now. */
  readonly draw: () => void;
  readonly isOn: () => boolean;
}

/**
 * Composing a panel where it is drawn: a click chooses a part, the edges of the chosen row's cells and its
 * lower edge are dragged, and so are the parts themselves. The marks lie in a layer of their own above the
 * page; what the site is served knows nothing of them.
 */
export function composing(holder: HTMLElement, tell: (message: FromStage) => void): Composing {
  let owner: string | null = null;
  let chosen: string | null = null;
  let begun: { readonly part: HTMLElement; readonly x: number; readonly y: number } | null = null;
  let drop: ReturnType<typeof dropPlace> = null;
  let line: HTMLElement | null = null;
  const layer = document.body.appendChild(element('div', 'marks'));
  layer.hidden = true;

  const panel = (): HTMLElement | null =>
    owner === null ? null : holder.querySelector(`[data-zv-item="${owner}"]>.zv-panel`);
  const partAt = (id: string | null): HTMLElement | null =>
    id === null ? null : (panel()?.querySelector<HTMLElement>(`[data-zv-part="${id}"]`) ?? null);
  const kept = (): void => {
    const entry = owner === null ? null : holder.querySelector(`[data-zv-item="${owner}"]`);
    for (const button of holder.querySelectorAll('button[aria-expanded]')) {
      const wanted = String(button.parentElement === entry);
      if (button.getAttribute('aria-expanded') !== wanted) button.setAttribute('aria-expanded', wanted);
    }
  };

  /** A handle is dragged: drawing anew would take it from under the pointer. */
  let isHeld = false;

  function draw(): void {
    if (isHeld || line !== null) return;
    layer.replaceChildren();
    const open = panel();
    layer.hidden = open === null;
    if (open === null) return;
    // What is scrolled out of the panel has no marks beside it.
    const { top, bottom } = open.getBoundingClientRect();
    layer.style.clipPath = `inset(${Math.max(0, top - 6)}px 0 ${Math.max(0, window.innerHeight - bottom - 8)}px 0)`;
    kept();
    const part = partAt(chosen);
    if (part === null) return;
    const row = part.closest<HTMLElement>('.zv-panel-row');
    if (row !== null) drawRow(row, part);
    layer.append(boxed('mark', part.getBoundingClientRect(), 3));
  }

  function drawRow(row: HTMLElement, part: HTMLElement): void {
    const { left, width, top, bottom } = row.getBoundingClientRect();
    const isRtl = getComputedStyle(row).direction === 'rtl';
    const cells = [...row.children].filter((one): one is HTMLElement => one.matches('.zv-cell'));
    const own = part.closest<HTMLElement>('.zv-cell');
    const gap = parseFloat(getComputedStyle(row).columnGap) || 0;
    const column = (width - gap * (COLUMNS - 1)) / COLUMNS;
    const spans = cells.map(spanOf);
    const from = cells.indexOf(own as HTMLElement);
    const begun = spans.slice(0, Math.max(0, from)).reduce((sum, span) => sum + span, 0);
    for (let at = 0; at < COLUMNS; at += 1) {
      const isOwn = own !== null && at >= begun && at < begun + spanOf(own);
      const start = at * (column + gap);
      layer.append(
        placed(
          element('i', isOwn ? 'tick own' : 'tick'),
          isRtl ? left + width - start - column : left + start,
          top - 9,
          column,
          3,
        ),
      );
    }
    const isNarrow =
      cells.length > 1 &&
      cells[0] !== undefined &&
      cells[1] !== undefined &&
      cells[0].getBoundingClientRect().bottom <= cells[1].getBoundingClientRect().top;
    if (isNarrow) return;
    for (const cell of cells) layer.append(edgeOf(cell, row, cell === own, column + gap, gap));
    const free = COLUMNS - spans.reduce((sum, span) => sum + span, 0);
    if (free > 0) {
      const size = free * column + (free - 1) * gap;
      const button = placed(
        element('button', 'free'),
        isRtl ? left : left + width - size,
        top,
        size,
        Math.max(32, bottom - top),
      );
      button.textContent = `Add a cell: ${free} of 12 free`;
      button.addEventListener('click', () => tell({ kind: 'addCell', id: row.dataset.zvPart ?? '' }));
      layer.append(button);
    }
    layer.append(lowerEdgeOf(row));
  }

  const held = (is: boolean): void => {
    isHeld = is;
    if (!is) draw();
  };

  /** The edge of a cell, to be dragged: how many columns it takes is told when the pointer lets go. */
  function edgeOf(
    cell: HTMLElement,
    row: HTMLElement,
    isOwn: boolean,
    step: number,
    gap: number,
  ): HTMLElement {
    const box = cell.getBoundingClientRect();
    const high = row.getBoundingClientRect();
    const isRtl = getComputedStyle(row).direction === 'rtl';
    const was = spanOf(cell);
    const at = isRtl ? box.left : box.right;
    const handle = placed(
      element('i', isOwn ? 'edge own' : 'edge'),
      at - 4,
      high.top,
      8,
      Math.max(24, high.height),
    );
    const number = isOwn
      ? placed(
          element('span', 'span'),
          isRtl ? box.left + 8 : box.right - 62,
          high.top + Math.max(4, high.height / 2 - 9),
          54,
          18,
        )
      : null;
    if (number !== null) {
      number.textContent = `${was} of 12`;
      layer.append(number);
    }
    dragged(handle, held, (event, isDone) => {
      const span = Math.max(
        1,
        Math.min(
          COLUMNS,
          Math.round(((isRtl ? box.right - event.clientX : event.clientX - box.left) + gap) / step),
        ),
      );
      const next = cell.nextElementSibling as HTMLElement | null;
      const room = next === null ? COLUMNS : was + spanOf(next) - 1;
      const wanted = Math.min(span, room);
      preview(cell, isDone ? null : wanted);
      if (next !== null) preview(next, isDone ? null : was + spanOf(next) - wanted);
      placed(handle, event.clientX - 4, high.top, 8, high.height);
      if (number !== null) number.textContent = `${wanted} of 12`;
      if (isDone && wanted !== was) tell({ kind: 'span', id: cell.dataset.zvPart ?? '', span: wanted });
    });
    return handle;
  }

  /** The lower edge of a row, to be dragged: it is at least so high. */
  function lowerEdgeOf(row: HTMLElement): HTMLElement {
    const box = row.getBoundingClientRect();
    const handle = placed(element('i', 'lower'), box.left + box.width / 2 - 28, box.bottom + 1, 56, 8);
    dragged(handle, held, (event, isDone) => {
      const height = Math.max(40, Math.min(800, Math.round((event.clientY - box.top) / 8) * 8));
      row.style.minBlockSize = isDone ? '' : `${height}px`;
      placed(handle, box.left + box.width / 2 - 28, event.clientY, 56, 8);
      if (isDone) tell({ kind: 'rowHeight', id: row.dataset.zvPart ?? '', height });
    });
    return handle;
  }

  const endDrag = (): void => {
    const isDrawn = line !== null;
    begun?.part.removeAttribute('data-zv-dragged');
    line?.remove();
    [begun, drop, line] = [null, null, null];
    if (isDrawn) draw();
  };

  holder.addEventListener(
    'pointerdown',
    (event) => {
      const hovered =
        owner !== null && event.button === 0 && event.target instanceof Element
          ? event.target.closest<HTMLElement>('[data-zv-part]')
          : null;
      if (hovered === null) return;
      // What is chosen is dragged by any place in it; else what is pointed at itself.
      const part = partAt(chosen)?.contains(hovered) === true ? (partAt(chosen) as HTMLElement) : hovered;
      begun = { part, x: event.clientX, y: event.clientY };
    },
    true,
  );
  document.addEventListener('pointermove', (event) => {
    const open = panel();
    if (begun === null || open === null) return;
    if (line === null && Math.hypot(event.clientX - begun.x, event.clientY - begun.y) < FAR) return;
    begun.part.setAttribute('data-zv-dragged', '');
    drop = dropPlace(open, begun.part, event.clientX, event.clientY);
    line ??= layer.appendChild(element('i', 'drop'));
    line.hidden = drop === null;
    if (drop !== null) placed(line, drop.line.left, drop.line.top, drop.line.width, drop.line.height);
  });
  document.addEventListener('pointerup', () => {
    const [part, to, isDrag] = [begun?.part.dataset.zvPart, drop, line !== null];
    endDrag();
    if (!isDrag) return;
    swallowClick();
    if (part !== undefined && to !== null)
      tell({ kind: 'movePart', id: part, parent: to.parent, after: to.after });
  });
  document.addEventListener('pointercancel', endDrag);

  // A panel that is composed stays open, whatever the site's own script would do.
  for (const name of ['pointerover', 'pointerleave', 'focusout'] as const) {
    holder.addEventListener(name, (event) => void (owner !== null && event.stopPropagation()), true);
  }
  window.addEventListener(
    'click',
    (event) => {
      if (owner === null || !(event.target instanceof Element) || layer.contains(event.target)) return;
      // Tabs are looked into by choosing them.
      const isTab = event.target.closest('.zv-tabs>:is(label,input)') !== null;
      if (!isTab) event.preventDefault();
      event.stopPropagation();
      const entry =
        event.target.closest('.zv-panel') === null
          ? event.target.closest<HTMLElement>('[data-zv-item]')
          : null;
      if (entry?.dataset.zvItem !== undefined && entry.dataset.zvItem !== owner)
        tell({ kind: 'select', id: entry.dataset.zvItem });
      else
        tell({
          kind: 'part',
          id: event.target.closest<HTMLElement>('[data-zv-part]')?.dataset.zvPart ?? null,
        });
    },
    true,
  );
  window.addEventListener(
    'keydown',
    (event) => {
      if (owner === null) return;
      if (event.key === 'Escape' && line !== null) {
        endDrag();
        event.stopPropagation();
        return;
      }
      if (event.key === 'Tab') return;
      const { key, ctrlKey, metaKey, shiftKey, altKey } = event;
      event.preventDefault();
      event.stopPropagation();
      tell({ kind: 'key', key, ctrlKey: ctrlKey || metaKey, shiftKey, altKey });
    },
    true,
  );
  document.addEventListener('scroll', () => draw(), true);
  new MutationObserver(() => owner !== null && kept()).observe(holder, {
    subtree: true,
    attributeFilter: ['aria-expanded'],
  });

  return {
    set(next, part) {
      [owner, chosen] = [next, part];
      document.documentElement.toggleAttribute('data-composing', owner !== null);
      if (owner === null) endDrag();
      // The tab that something chosen stands in is shown.
      const tab = partAt(part)?.closest<HTMLElement>('.zv-tab');
      const tabs = tab?.parentElement;
      const at = tab == null ? -1 : [...(tabs?.querySelectorAll(':scope>.zv-tab') ?? [])].indexOf(tab);
      const radio = tabs?.querySelectorAll<HTMLInputElement>(':scope>input')[at];
      if (radio !== undefined) radio.checked = true;
      draw();
    },
    reveal: () => partAt(chosen)?.scrollIntoView({ block: 'nearest' }),
    draw,
    isOn: () => owner !== null,
  };
}

function spanOf(cell: Element): number {
  return Number(/\bzv-span-(\d+)\b/.exec(cell.className)?.[1] ?? COLUMNS);
}

function preview(cell: HTMLElement, span: number | null): void {
  cell.style.gridColumn = span === null ? '' : `span ${span}`;
}

function boxed(name: string, { left, top, width, height }: DOMRect, margin: number): HTMLElement {
  return placed(element('i', name), left - margin, top - margin, width + 2 * margin, height + 2 * margin);
}
