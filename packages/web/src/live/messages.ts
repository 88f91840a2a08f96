import { MOST_COLUMNS, type Id, type Place } from '@zorvik/core';

/** What the editor tells the live header. */
export type ToFrame =
  | { readonly kind: 'show'; readonly html: string; readonly css: string; readonly place: Place; readonly siteName: string }
  | { readonly kind: 'select'; readonly id: Id | null; readonly opens: boolean }
  /** The pointer is elsewhere now: a frame of its own process is not always told so. */
  | { readonly kind: 'leave' }
  /** How much of the frame is seen while nobody points at it (`peek`) and at the most while somebody does (`room`), in its own px. */
  | { readonly kind: 'heights'; readonly peek: number; readonly room: number };

/** What the live header tells the editor. */
export type FromFrame =
  | { readonly kind: 'ready' }
  | { readonly kind: 'select'; readonly id: Id }
  /** The height that everything in the frame needs, open branches included, in its own px. */
  | { readonly kind: 'size'; readonly height: number }
  /** A group of a panel was dragged into a column, from 0. */
  | { readonly kind: 'column'; readonly id: Id; readonly column: number }
  /** Whether somebody points at it or has the focus in it. */
  | { readonly kind: 'active'; readonly isActive: boolean };

/** The frame is a sandbox without an origin: what it says is believed only in this form. */
export function fromFrame(message: unknown): FromFrame | null {
  if (typeof message !== 'object' || message === null) return null;
  const { kind, id, height, isActive, column } = message as Record<string, unknown>;
  if (kind === 'ready') return { kind };
  if (kind === 'select' && isId(id)) return { kind, id };
  if (kind === 'size' && typeof height === 'number' && height >= 0 && height < 100_000) return { kind, height };
  if (kind === 'column' && isId(id) && Number.isInteger(column) && (column as number) >= 0 && (column as number) < MOST_COLUMNS)
    return { kind, id, column: column as number };
  if (kind === 'active' && typeof isActive === 'boolean') return { kind, isActive };
  return null;
}

function isId(id: unknown): id is Id {
  return typeof id === 'string' && /^[a-z][0-9a-z]{3,31}$/.test(id);
}
