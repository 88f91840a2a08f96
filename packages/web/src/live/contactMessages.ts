import type { Id } from '@zorvik/core';

/** A dropdown or a panel, by the part that shows its bar and the entry that it drops from. */
export interface Dropped {
  readonly part: Id;
  readonly item: Id;
}

/** What the editor tells a column of the contact sheet. */
export type ToContact =
  | {
      readonly kind: 'show';
      readonly header: string;
      readonly css: string;
      readonly language: string;
      readonly direction: 'ltr' | 'rtl';
      /** What is open in each picture, in their order. */
      readonly drops: readonly Dropped[];
    }
  /** How high each picture is, in px, so that those of all columns stand in rows. */
  | { readonly kind: 'heights'; readonly heights: readonly number[] };

/** One picture of a column as it has been drawn, in px. */
export interface DrawnDrop {
  /** From the top of the header to the end of what is open. */
  readonly height: number;
  /** What is open is higher than the screen leaves room for, and scrolls. */
  readonly isScrolled: boolean;
  /** It is shown in the drawer there. */
  readonly isInDrawer: boolean;
}

/** What a column of the contact sheet tells the editor. */
export type FromContact =
  { readonly kind: 'ready' } | { readonly kind: 'drawn'; readonly drops: readonly DrawnDrop[] };

/** What an iframe has sent; null: it is nothing that a column of the contact sheet says. */
export function fromContact(data: unknown): FromContact | null {
  if (typeof data !== 'object' || data === null) return null;
  const { kind, drops } = data as { readonly kind?: unknown; readonly drops?: unknown };
  if (kind === 'ready') return { kind };
  if (kind !== 'drawn' || !Array.isArray(drops) || !drops.every(isDrawn)) return null;
  return { kind, drops };
}

function isDrawn(value: unknown): value is DrawnDrop {
  if (typeof value !== 'object' || value === null) return false;
  const { height, isScrolled, isInDrawer } = value as { readonly [K in keyof DrawnDrop]?: unknown };
  return Number.isFinite(height) && typeof isScrolled === 'boolean' && typeof isInDrawer === 'boolean';
}
