import type { PortableSketch } from '../schema/preset.ts';
import type { PortableSettings } from '../schema/readSettings.ts';

/** What an item of a sketch leads to, as far as its source says. */
export type SketchTarget =
  /** The source names no address: a page of that title may be meant. */
  | { readonly kind: 'find' }
  | { readonly kind: 'heading' }
  /** Somebody will say later what it leads to. */
  | { readonly kind: 'undecided' }
  /** As it was written; a page of the site may stand there. `sure`: how certain it is that it is meant, in percent. */
  | { readonly kind: 'address'; readonly address: string; readonly sure?: number };

/**
 * An item as another program, a file or a person's text describes it, with those below it. What formats read
 * and write.
 */
export interface Sketch {
  readonly label: string;
  readonly target: SketchTarget;
  readonly opensNewTab?: boolean;
  readonly settings?: PortableSettings;
  /** The rows of the panel that drops from it. */
  readonly panel?: readonly PortableSketch[];
  readonly children: readonly Sketch[];
}
