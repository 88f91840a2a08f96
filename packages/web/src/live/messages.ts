import {
  GRID_COLUMNS,
  HIGHEST_ROW,
  LEAST_ROW,
  MOST_COLUMNS,
  type Id,
  type Place,
  type Span,
} from '@zorvik/core';

/** What the editor tells the live header. */
export type ToStage =
  | {
      readonly kind: 'show';
      readonly html: string;
      readonly css: string;
      readonly place: Place;
      readonly siteName: string;
      readonly direction: 'ltr' | 'rtl';
    }
  | { readonly kind: 'select'; readonly id: Id | null; readonly opens: boolean }
  /** The panel of this item is composed, and this part of it is chosen; null: none is. */
  | { readonly kind: 'compose'; readonly owner: Id | null; readonly part: Id | null }
  /** The pointer is elsewhere now: an iframe of its own process is not always told so. */
  | { readonly kind: 'leave' }
  /**
   * How much of the iframe is seen while nobody points at it (`peek`) and at the most while somebody does
   * (`room`), in its own px.
   */
  | { readonly kind: 'heights'; readonly peek: number; readonly room: number };

/** A key that was pressed in the iframe while a panel is composed in it. */
export interface StageKey {
  readonly key: string;
  readonly ctrlKey: boolean;
  readonly shiftKey: boolean;
  readonly altKey: boolean;
}

/** Where the composed panel and what is around it stand, in the iframe's own px. */
export interface PanelBoxes {
  readonly screen: number;
  readonly item: Span;
  readonly bar: Span;
  readonly container: Span;
  readonly content: number;
}

/** What the live header tells the editor. */
export type FromStage =
  | { readonly kind: 'ready' }
  | { readonly kind: 'select'; readonly id: Id }
  /**
   * What everything in the iframe needs, open dropdowns included; the height of the header alone; from where
   * to where dropdowns reach. In its own px.
   */
  | {
      readonly kind: 'size';
      readonly height: number;
      readonly bar: number;
      readonly left: number;
      readonly right: number;
    }
  /** A group of a panel was dragged into a column, from 0. */
  | { readonly kind: 'column'; readonly id: Id; readonly column: number }
  /** A part of the composed panel was pointed at; null: the panel beside all parts. */
  | { readonly kind: 'part'; readonly id: Id | null }
  /** The edge of a cell was put so that it takes so many columns. */
  | { readonly kind: 'span'; readonly id: Id; readonly span: number }
  /** The lower edge of a row was put so that it is at least so high, in px. */
  | { readonly kind: 'rowHeight'; readonly id: Id; readonly height: number }
  /** A part was dragged to stand in another one, behind a part of that; null: first. */
  | { readonly kind: 'movePart'; readonly id: Id; readonly parent: Id; readonly after: Id | null }
  /** A cell is wanted in what is free of a row. */
  | { readonly kind: 'addCell'; readonly id: Id }
  | ({ readonly kind: 'key' } & StageKey)
  | ({ readonly kind: 'boxes' } & PanelBoxes)
  /** Whether somebody points at it or has the focus in it. */
  | { readonly kind: 'active'; readonly isActive: boolean };

type Reader = (fields: Readonly<Record<string, unknown>>) => FromStage | null;

const readers: Readonly<Record<FromStage['kind'], Reader>> = {
  ready: () => ({ kind: 'ready' }),
  select: ({ id }) => (isId(id) ? { kind: 'select', id } : null),
  size: ({ height, bar, left, right }) =>
    isWithin(height, 0, 99_999) &&
    isWithin(bar, 0, 99_999) &&
    isWithin(left, -20_000, 20_000) &&
    isWithin(right, -20_000, 20_000)
      ? { kind: 'size', height, bar, left, right }
      : null,
  column: ({ id, column }) =>
    isId(id) && isWhole(column, 0, MOST_COLUMNS - 1) ? { kind: 'column', id, column } : null,
  part: ({ id }) => (id === null || isId(id) ? { kind: 'part', id } : null),
  span: ({ id, span }) => (isId(id) && isWhole(span, 1, GRID_COLUMNS) ? { kind: 'span', id, span } : null),
  rowHeight: ({ id, height }) =>
    isId(id) && isWhole(height, LEAST_ROW, HIGHEST_ROW) ? { kind: 'rowHeight', id, height } : null,
  movePart: ({ id, parent, after }) =>
    isId(id) && isId(parent) && (after === null || isId(after))
      ? { kind: 'movePart', id, parent, after }
      : null,
  addCell: ({ id }) => (isId(id) ? { kind: 'addCell', id } : null),
  key: ({ key, ctrlKey, shiftKey, altKey }) =>
    typeof key === 'string' &&
    key.length < 20 &&
    typeof ctrlKey === 'boolean' &&
    typeof shiftKey === 'boolean' &&
    typeof altKey === 'boolean'
      ? { kind: 'key', key, ctrlKey, shiftKey, altKey }
      : null,
  boxes: ({ screen, item, bar, container, content }) =>
    isWithin(screen, 1, 20_000) &&
    isSpan(item) &&
    isSpan(bar) &&
    isSpan(container) &&
    isWithin(content, 0, 20_000)
      ? { kind: 'boxes', screen, item, bar, container, content }
      : null,
  active: ({ isActive }) => (typeof isActive === 'boolean' ? { kind: 'active', isActive } : null),
};

/** The iframe is a sandbox without an origin: what it says is believed only in this form. */
export function fromStage(message: unknown): FromStage | null {
  if (typeof message !== 'object' || message === null) return null;
  const fields = message as Record<string, unknown>;
  return typeof fields.kind === 'string' && Object.hasOwn(readers, fields.kind)
    ? readers[fields.kind as FromStage['kind']](fields)
    : null;
}

function isId(id: unknown): id is Id {
  return typeof id === 'string' && /^[a-z][0-9a-z]{3,31}$/.test(id);
}

function isWithin(value: unknown, least: number, most: number): value is number {
  return typeof value === 'number' && value >= least && value <= most;
}

function isWhole(value: unknown, least: number, most: number): value is number {
  return isWithin(value, least, most) && Number.isInteger(value);
}

function isSpan(value: unknown): value is Span {
  const { start, size } = (value ?? {}) as Record<string, unknown>;
  return isWithin(start, -20_000, 20_000) && isWithin(size, 0, 20_000);
}
