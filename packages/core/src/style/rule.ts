/** When a rule holds: on a device class, on all but narrow screens, on paper, or as somebody's system is set. */
export type Medium = 'narrow' | 'medium' | 'wide' | 'wider' | 'print' | 'forcedColors' | 'motion';

/** A rule of the style sheet. */
export interface Rule {
  /** As one would write it: it says what is meant, and how much it counts (see `printRules`). */
  readonly selector: string;
  readonly declarations: string;
  readonly medium: Medium | null;
  /** It counts like a selector with so many classes more: for what has to win over what is more special. */
  readonly weight: number;
}

/** A rule. `declarations` are CSS, without the last semicolon. */
export function rule(
  selector: string,
  declarations: string,
  { medium = null, weight = 0 }: { readonly medium?: Medium | null; readonly weight?: number } = {},
): Rule {
  return { selector, declarations, medium, weight };
}

/** Rules that hold in a medium alone. */
export function inMedium(medium: Medium, rules: readonly Rule[]): Rule[] {
  return rules.map((one) => ({ ...one, medium }));
}
