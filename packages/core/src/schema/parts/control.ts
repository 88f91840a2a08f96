/** One of several values, and what it is called. */
export interface Choice {
  readonly value: string | number;
  readonly label: string;
}

/** How a field is set in a form; the editor has one component for each kind of control. */
export type Control = {
  readonly label: string;
  /** Another field that has to be set, or not to be set, for this one to mean something. */
  readonly needs?: string;
  readonly unless?: string;
  /** It means something only in these areas of a frame; `vertical`: in a vertical header. Not there: in all. */
  readonly inAreas?: readonly string[];
} & (
  | {
      /** A line of text. */
      readonly kind: 'line';
      readonly size?: 'small';
      /** What it is called, and what may be in it, where its pattern does not match. */
      readonly expected?: { readonly what: string; readonly expected: string };
      /** Said while it is empty. */
      readonly advice?: string;
    }
  | {
      /** A whole number. */
      readonly kind: 'number';
      readonly least: number;
      readonly most: number;
      readonly unit: string;
      readonly placeholder: string;
    }
  | {
      /** One value, or none. */
      readonly kind: 'flag';
      readonly value: true | string | number;
      readonly off: string;
      readonly on: string;
    }
  | {
      /** One of several values. */
      readonly kind: 'choice';
      readonly choices: readonly Choice[];
      /** What it is called when none is set; not there: one always is. */
      readonly usual?: string;
    }
  | {
      /** Several values, at least one. */
      readonly kind: 'some';
      readonly choices: readonly { readonly value: string; readonly label: string }[];
    }
  | {
      /** A name and a value, written as `name=value`. */
      readonly kind: 'pair';
      readonly placeholder: string;
    }
  | {
      /** What has a control of its own; `none`: it is set in another way. */
      readonly kind:
        | 'none'
        | 'body'
        | 'html'
        | 'picture'
        | 'destination'
        | 'source'
        | 'child'
        | 'menu'
        | 'devices'
        | 'variant'
        | 'span'
        | 'icon'
        | 'entryIcon'
        | 'badge'
        | 'faces'
        | 'fits'
        | 'sign';
    }
);
