import type { Id } from '@zorvik/core';
import { visitorFaults, visitorModes, type VisitorFinding } from './visitorChecks.ts';

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
      /** The side and the footer: they are checked, too, but not shown. */
      readonly rest: string;
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
  /** Where it is higher than the screen, it scrolls inside; otherwise the page has to be scrolled. */
  readonly scrollsInside: boolean;
  /** It is shown in the drawer there. */
  readonly isInDrawer: boolean;
}

/** A column as it has been drawn. */
export interface DrawnColumn {
  readonly drops: readonly DrawnDrop[];
  /** What fails for some visitors; null: that is told a moment later. */
  readonly findings: readonly VisitorFinding[] | null;
}

/** What a column of the contact sheet tells the editor. */
export type FromContact = { readonly kind: 'ready' } | ({ readonly kind: 'drawn' } & DrawnColumn);

/** What an iframe has sent; null: it is nothing that a column of the contact sheet says. */
export function fromContact(data: unknown): FromContact | null {
  if (typeof data !== 'object' || data === null) return null;
  const { kind, drops, findings } = data as { readonly [name: string]: unknown };
  if (kind === 'ready') return { kind };
  if (kind !== 'drawn' || !isListOf(drops, isDrawn)) return null;
  if (findings !== null && !isListOf(findings, isFinding)) return null;
  return { kind, drops, findings };
}

function isListOf<T>(value: unknown, is: (one: unknown) => one is T): value is readonly T[] {
  return Array.isArray(value) && value.every(is);
}

function isDrawn(value: unknown): value is DrawnDrop {
  if (typeof value !== 'object' || value === null) return false;
  const { height, scrollsInside, isInDrawer } = value as { readonly [K in keyof DrawnDrop]?: unknown };
  return Number.isFinite(height) && typeof scrollsInside === 'boolean' && typeof isInDrawer === 'boolean';
}

function isFinding(value: unknown): value is VisitorFinding {
  if (typeof value !== 'object' || value === null) return false;
  const { mode, fault, name } = value as { readonly [K in keyof VisitorFinding]?: unknown };
  return (
    visitorModes.some((one) => one === mode) &&
    visitorFaults.some((one) => one === fault) &&
    typeof name === 'string'
  );
}
