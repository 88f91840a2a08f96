/** A colour, length or font that every site has: starters and what people set use it by its name. */
interface Role {
  /** What it is called where it is set. */
  readonly name: string;
  readonly of: 'colour' | 'length' | 'font';
  /** What it is where nobody set it, as the value of a token; or the role that it is the same as. */
  readonly value: string | { readonly like: RoleName };
  /** The custom property that a site's own style sheet may set instead: that wins. */
  readonly own: `--zv-${string}`;
}

/** See `Role`. */
export type RoleName =
  | 'accent'
  | 'ink'
  | 'paper'
  | 'tint'
  | 'edge'
  | 'button'
  | 'button-ink'
  | 'button-hover'
  | 'font'
  | 'gap'
  | 'pad'
  | 'radius';

/** The roles, in the order in which they are shown and printed: what others are like comes first. */
export const roles: Readonly<Record<RoleName, Role>> = {
  accent: { name: 'Accent', of: 'colour', value: '#1f5a3a', own: '--zv-accent' },
  ink: { name: 'Text', of: 'colour', value: '#1d2a22', own: '--zv-ink' },
  paper: { name: 'Surface', of: 'colour', value: '#ffffff', own: '--zv-paper' },
  tint: { name: 'Tinted surface', of: 'colour', value: '#edf3ea', own: '--zv-tint' },
  edge: { name: 'Lines', of: 'colour', value: '#cfd6cd', own: '--zv-edge' },
  button: { name: 'Button', of: 'colour', value: { like: 'accent' }, own: '--zv-button' },
  'button-ink': { name: 'Button text', of: 'colour', value: '#ffffff', own: '--zv-button-ink' },
  'button-hover': { name: 'Button, hover', of: 'colour', value: { like: 'ink' }, own: '--zv-button-hover' },
  font: { name: 'Text font', of: 'font', value: 'system:ui', own: '--zv-font-family' },
  gap: { name: 'Gap between entries', of: 'length', value: '.25rem', own: '--zv-gap' },
  pad: { name: 'Padding of entries', of: 'length', value: '.75rem', own: '--zv-pad' },
  radius: { name: 'Corners', of: 'length', value: '.375rem', own: '--zv-radius' },
};
/** See `roles`. */
export const roleNames = Object.keys(roles) as RoleName[];

/** Whether a name is that of a role. */
export function isRole(name: string): name is RoleName {
  return Object.hasOwn(roles, name);
}
