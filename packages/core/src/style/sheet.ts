import type { Situation, StyleTarget, StyleValues } from '../schema/style.ts';
import { plainPalette, type Palette } from '../model/palette.ts';
import { starters, type Starter, type StarterName } from './starters.ts';

/** How near a scope is, and what finds all that is in it. */
export interface Scope {
  /** Selectors of which each must find the element; none for the whole site. */
  readonly within: readonly string[];
  /** What is greater is nearer, and wins. The starter has 0. */
  readonly rank: number;
}

/** Values that somebody set, and where they hold. */
export interface SetLook {
  readonly target: StyleTarget;
  readonly values: StyleValues;
  readonly scope: Scope;
}

/** All that is said about looks: by a starter, and by people. */
export interface Sheet {
  readonly name: StarterName;
  readonly starter: Starter;
  readonly set: readonly SetLook[];
  /** The colours, fonts and lengths that have a name. */
  readonly palette: Palette;
  /** The situations that a header can be in. */
  readonly situations: readonly Situation[];
}

/** A starter, and nothing set. */
export function plainSheet(name: StarterName = 'moss@1'): Sheet {
  return { name, starter: starters[name], set: [], palette: plainPalette, situations: [] };
}
