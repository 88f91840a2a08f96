import type { AreaName } from '../schema/part.ts';
import type { Situation, StyleTarget, StyleValues } from '../schema/style.ts';
import { plainPalette, type Palette } from '../model/palette.ts';
import type { OwnPlace } from './ownCss.ts';
import type { StarterLooks } from '../starters/starter.ts';
import { starters } from '../starters/starters.ts';
import { FIRST_STARTER, type StarterKey } from '../starters/starterRoles.ts';

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
  /** They belong to a starter that was saved on this site: not there where another one is. */
  readonly starter?: string;
  /** They belong to a variant that ships: nobody set them. */
  readonly variant?: string;
}

/** A starter, and where it is: in an area, or everywhere that no other is. */
export interface PlacedStarter {
  readonly key: string;
  readonly area: AreaName | null;
  readonly looks: StarterLooks;
  readonly palette: Palette;
  readonly within: readonly string[];
}

/** All that is said about looks: by starters, and by people. */
export interface Sheet {
  /** That of the whole site first, then those of areas that begin with another one. */
  readonly starters: readonly [PlacedStarter, ...PlacedStarter[]];
  readonly set: readonly SetLook[];
  /** The colours, fonts and lengths that have a name. */
  readonly palette: Palette;
  /** It has looks for the dark scheme, too; else nothing is said of schemes. */
  readonly hasDark: boolean;
  /** CSS that people wrote, what is farther away first. */
  readonly own: readonly OwnPlace[];
  /** The situations that a header can be in. */
  readonly situations: readonly Situation[];
}

/** The starter of an area, or of what is in none. */
export function starterIn({ starters: [first, ...others] }: Sheet, area: AreaName | null): PlacedStarter {
  return others.find((one) => one.area === area) ?? first;
}

/** A starter, and nothing set. */
export function plainSheet(key: StarterKey = FIRST_STARTER): Sheet {
  const palette = plainPalette;
  const starter = { key, area: null, looks: starters[key].looks, palette, within: [] };
  return { starters: [starter], set: [], own: [], palette, hasDark: false, situations: [] };
}
