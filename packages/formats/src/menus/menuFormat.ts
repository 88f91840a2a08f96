import type { Result, Sketch } from '@zorvik/core';

/** One of the trees that a file holds: a page has several lists, most files have one. */
export interface FoundMenu {
  /** What it is called in the file, as far as it says. */
  readonly name: string;
  readonly sketches: readonly Sketch[];
}

/** A way to write a menu down, and to read it back. */
export interface MenuFormat {
  readonly key: MenuFormatKey;
  readonly name: string;
  /** Of a file, with its dot. */
  readonly ending: string;
  readonly type: string;
  /** Whether a text looks like it. */
  readonly isIn: (text: string) => boolean;
  /** At least one menu, or why there is none. */
  readonly read: (text: string) => Result<FoundMenu[]>;
  readonly write: (menu: FoundMenu) => string;
}

export type MenuFormatKey = 'json' | 'csv' | 'opml' | 'markdown' | 'html' | 'text';

/** A tree deeper than this is no menu; it is refused, so that no reader has to fear for its stack. */
export const DEEPEST = 200;
