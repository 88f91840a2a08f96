import type { ResolvedPart } from '../resolve/resolved.ts';
import type { AreaFacts } from '../resolve/resolveFrame.ts';
import type { AreaName, Behaviour } from '../schema/part.ts';

/** What a style sheet is made for, besides menus: the parts of a frame, and what is said of its areas. */
export interface FrameLook {
  readonly parts: readonly ResolvedPart[];
  readonly areas: Readonly<Record<AreaName, AreaFacts>>;
  /** What the header and the side do while the page scrolls, on some pages at least. */
  readonly does: ReadonlySet<Behaviour>;
}
