import type { Id, ThingName, State } from '@zorvik/core';

/** A thing as the state sheet needs it: its selectors by state, each list taken apart. */
export interface SheetThing {
  readonly name: ThingName;
  readonly states: Readonly<Partial<Record<State, readonly string[]>>>;
}

/** What the editor tells the state sheet. */
export type ToSheet =
  | {
      readonly kind: 'show';
      /** All areas of the page as they are delivered, with the ids of parts and items. */
      readonly html: string;
      /** The style sheet, with states that can be forced. */
      readonly css: string;
      readonly things: readonly SheetThing[];
      readonly language: string;
      readonly direction: 'ltr' | 'rtl';
    }
  /** The rows that are shown, from above, and how high and wide cells are, in px. */
  | {
      readonly kind: 'rows';
      readonly keys: readonly string[];
      readonly states: readonly State[];
      readonly rowHeight: number;
      readonly cellHeight: number;
      readonly cell: number;
      readonly gap: number;
    };

/** Something that the page really has: a thing in one place. */
export interface SheetRow {
  readonly key: string;
  /** All things that it is, the most general first. */
  readonly things: readonly ThingName[];
  /** The part of the frame that it is in, the innermost; and the item that stands for it. */
  readonly part: Id | null;
  readonly item: Id | null;
  /** The key of the variant that it has. */
  readonly variant: string | null;
  readonly states: readonly State[];
}

/** What the state sheet tells the editor. */
export type FromSheet =
  { readonly kind: 'ready' } | { readonly kind: 'found'; readonly rows: readonly SheetRow[] };

const isId = (id: unknown): id is Id | null =>
  id === null || (typeof id === 'string' && /^[a-z][0-9a-z]{3,31}$/.test(id));
const MOST_ROWS = 500;

/** The iframe is a sandbox without an origin: what it says is believed only in this form. */
export function fromSheet(
  message: unknown,
  things: ReadonlySet<string>,
  states: ReadonlySet<string>,
): FromSheet | null {
  if (typeof message !== 'object' || message === null) return null;
  const { kind, rows } = message as Readonly<Record<string, unknown>>;
  if (kind === 'ready') return { kind };
  if (kind !== 'found' || !Array.isArray(rows) || rows.length > MOST_ROWS) return null;
  const all = (list: unknown, known: ReadonlySet<string>): boolean =>
    Array.isArray(list) &&
    list.length > 0 &&
    list.length <= 40 &&
    list.every((one) => typeof one === 'string' && known.has(one));
  const isRow = (row: unknown): row is SheetRow => {
    if (typeof row !== 'object' || row === null) return false;
    const { key, things: names, part, item, variant, states: own } = row as Readonly<Record<string, unknown>>;
    return (
      typeof key === 'string' &&
      key.length < 120 &&
      all(names, things) &&
      all(own, states) &&
      isId(part) &&
      isId(item) &&
      (variant === null || (typeof variant === 'string' && /^[a-z][a-z0-9-]{0,39}$/.test(variant)))
    );
  };
  return rows.every(isRow) ? { kind, rows } : null;
}
