import type { ResolvedItem } from '../resolve/resolveMenu.ts';

/** What the entry of a bar needs to drop in its form: classes, and what the script reads; for its `li`, each with a space before it. */
export function dropClasses({ dropdown, children }: ResolvedItem): string {
  if (dropdown === undefined || children.length === 0) return '';
  const { form, list = {}, panel = {} } = dropdown;
  if (form === 'flyouts') return ' zv-flyouts';
  if (form === 'row') return ' zv-row';
  if (form === 'list') {
    const { width, align, columns } = list;
    return `${width === undefined ? '' : ` zv-w${width}`}${align === undefined ? '' : ` zv-${align}`}${columns === undefined ? '' : ` zv-l${columns}`}`;
  }
  const { gap, innerWidth, narrow } = panel;
  return ` zv-drop${gap === undefined ? '' : ` zv-g${gap}`}${innerWidth === undefined ? '' : ` zv-i${innerWidth}`}${narrow === undefined ? '' : ` zv-n-${narrow}`}`;
}

/** When the entry opens, where that is not the usual way. */
export function opensAttribute({ dropdown }: ResolvedItem): string {
  const opens = dropdown?.opens;
  return opens === undefined || opens === 'rest' ? '' : ` data-zv-opens="${opens}"`;
}

/** The beginning of a panel: the script reads how far it reaches and what it is in line with. */
export function panelStart(id: string, { dropdown, columns = [] }: ResolvedItem): string {
  const { extent = 'bar', align = 'item' } = dropdown?.panel ?? {};
  return `<div class="zv-panel zv-c${columns.length}" id="${id}" data-zv-panel="${extent} ${align}">`;
}

/** The children of a panel, a list for each of its columns. */
export function columnsOf({ columns = [], children }: ResolvedItem): readonly (readonly ResolvedItem[])[] {
  let from = 0;
  return columns.map((size) => {
    from += size;
    return children.slice(from - size, from);
  });
}
