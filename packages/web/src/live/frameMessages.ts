import type { Id, State } from '@zorvik/core';
import type { StageKey } from './messages.ts';

/** What a picture of the page is held as: as it has loaded, once it has been scrolled, with the drawer open. */
export type HeldAs = 'loaded' | 'scrolled' | 'drawer';

/** Something on the page that is hard to read. */
export interface PictureSign {
  readonly part: Id | null;
  readonly item: Id | null;
  readonly text: string;
}

/** Something on the page, and the state that it is held in. */
export interface HeldState {
  readonly part: Id | null;
  readonly item: Id | null;
  /** What finds it there. */
  readonly selectors: readonly string[];
  readonly state: State;
}

/** What the editor tells the live page of Frame. */
export type ToFrame =
  | {
      readonly kind: 'show';
      readonly header: string;
      readonly side: string;
      readonly footer: string;
      readonly css: string;
      /** Of the page, which stands in the place of its content. */
      readonly title: string;
      readonly language: string;
      readonly direction: 'ltr' | 'rtl';
      /** The least and the greatest height of a band and width of a logo, in px. */
      readonly limits: Readonly<Record<'band' | 'logo' | 'area', readonly [number, number]>>;
    }
  /** This part is selected, and this entry in it. */
  | {
      readonly kind: 'select';
      readonly part: Id | null;
      /** Where it is shown again: in the drawer, or in the arrangement of a device class. */
      readonly again: readonly Id[];
      readonly item: Id | null;
    }
  /** A part is about to be added here. */
  | { readonly kind: 'adding'; readonly spot: { readonly parent: Id; readonly after: Id | null } | null }
  /** The header is held as it is once the page has been scrolled, or the drawer is open. */
  | { readonly kind: 'hold'; readonly as: HeldAs }
  /** What is hard to read, each with where it is and what is said of it. */
  | { readonly kind: 'signs'; readonly signs: readonly PictureSign[] }
  /** Something is held in a state, as the state sheet shows it; null: nothing is. */
  | { readonly kind: 'state'; readonly of: HeldState | null }
  /** This entry of a bar is open, as a visitor opens it; null: none is. */
  | { readonly kind: 'open'; readonly entry: { readonly part: Id; readonly item: Id } | null }
  /** The way of the focus through the page is drawn, or not. */
  | { readonly kind: 'path'; readonly isOn: boolean }
  /** The page is scrolled so far, in px, as the picture beside it is. */
  | { readonly kind: 'scrollTo'; readonly top: number }
  /** It behaves as for a visitor, or nothing in it leads anywhere. */
  | { readonly kind: 'try'; readonly isOn: boolean };

/** What the live page of Frame tells the editor. */
export type FromFrame =
  | { readonly kind: 'ready' }
  | { readonly kind: 'part'; readonly id: Id | null }
  | { readonly kind: 'item'; readonly id: Id }
  /** An entry was clicked twice: it is to be renamed. */
  | { readonly kind: 'rename'; readonly id: Id }
  /** Something is to be added here; where the pointer is, in the iframe's own px. */
  | {
      readonly kind: 'add';
      readonly parent: Id;
      readonly after: Id | null;
      readonly x: number;
      readonly y: number;
    }
  /** Where the mark of what is about to be added stands, in the iframe's own px. */
  | { readonly kind: 'mark'; readonly x: number; readonly y: number }
  | { readonly kind: 'move'; readonly id: Id; readonly parent: Id; readonly after: Id | null }
  | { readonly kind: 'height'; readonly height: number }
  /** A band was dragged to be so high at least, or a logo or an area to be so wide, in px. */
  | { readonly kind: 'size'; readonly id: Id; readonly size: number }
  /** The drawer is to be opened, or closed. */
  | { readonly kind: 'drawer'; readonly isOpen: boolean }
  /** A file was dropped on a logo. */
  | { readonly kind: 'file'; readonly id: Id; readonly file: Blob }
  /** What is hard to read there is to be made readable. */
  | { readonly kind: 'fix'; readonly part: Id | null; readonly item: Id | null }
  /** The way of the focus: how many stops it has, how many lie before the one they follow, how many are too small. */
  | { readonly kind: 'path'; readonly stops: number; readonly back: number; readonly small: number }
  /** The page was scrolled so far, in px. */
  | { readonly kind: 'scroll'; readonly top: number }
  /** While it is tried: a link was followed. */
  | { readonly kind: 'visit'; readonly path: string }
  | ({ readonly kind: 'key' } & StageKey);

const isId = (id: unknown): id is Id => typeof id === 'string' && /^[a-z][0-9a-z]{3,31}$/.test(id);
const isIdOrNull = (id: unknown): id is Id | null => id === null || isId(id);
const isPx = (value: unknown): value is number =>
  typeof value === 'number' && value >= -99_999 && value <= 99_999;

const isCount = (value: unknown): value is number => Number.isInteger(value) && (value as number) >= 0;

/** The iframe is a sandbox without an origin: what it says is believed only in this form. */
export function fromFrame(message: unknown): FromFrame | null {
  if (typeof message !== 'object' || message === null) return null;
  const told = message as Readonly<Record<string, unknown>>;
  const { kind, id, parent, after, x, y, height, size, file, isOpen, path, key, ctrlKey, shiftKey, altKey } =
    told;
  switch (kind) {
    case 'ready':
      return { kind };
    case 'part':
      return isIdOrNull(id) ? { kind, id } : null;
    case 'item':
    case 'rename':
      return isId(id) ? { kind, id } : null;
    case 'add':
      return isId(parent) && isIdOrNull(after) && isPx(x) && isPx(y) ? { kind, parent, after, x, y } : null;
    case 'mark':
      return isPx(x) && isPx(y) ? { kind, x, y } : null;
    case 'move':
      return isId(id) && isId(parent) && isIdOrNull(after) ? { kind, id, parent, after } : null;
    case 'height':
      return isPx(height) && height >= 0 ? { kind, height } : null;
    case 'size':
      return isId(id) && isPx(size) && size > 0 ? { kind, id, size: Math.round(size) } : null;
    case 'drawer':
      return typeof isOpen === 'boolean' ? { kind, isOpen } : null;
    case 'file':
      return isId(id) && file instanceof Blob ? { kind, id, file } : null;
    case 'fix':
      return isIdOrNull(told.part) && isIdOrNull(told.item)
        ? { kind, part: told.part, item: told.item }
        : null;
    case 'path': {
      const { stops, back, small } = told;
      return isCount(stops) && isCount(back) && isCount(small) ? { kind, stops, back, small } : null;
    }
    case 'scroll':
      return isPx(told.top) && told.top >= 0 ? { kind, top: told.top } : null;
    case 'visit':
      return typeof path === 'string' && path.startsWith('/') && path.length < 2000 ? { kind, path } : null;
    case 'key':
      return typeof key === 'string' &&
        key.length < 20 &&
        typeof ctrlKey === 'boolean' &&
        typeof shiftKey === 'boolean' &&
        typeof altKey === 'boolean'
        ? { kind, key, ctrlKey, shiftKey, altKey }
        : null;
    default:
      return null;
  }
}
