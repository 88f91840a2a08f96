import type { Starter } from './starter.ts';

/** The starter of a site that has not chosen any. */
export const FIRST_STARTER = 'moss@1';

/**
 * The colours, fonts and lengths of the starters that ship, by name and version. Apart from their looks: whoever reads
 * the palette of a site needs no looks. Frozen: a change is a new version beside the old one.
 */
export const starterRoles = {
  [FIRST_STARTER]: {},
  'orchard@1': {
    accent: '#8a2f1d',
    ink: '#2b211c',
    paper: '#fffdf8',
    tint: '#f6efe3',
    edge: '#d8cbb6',
    font: 'system:old-style',
    gap: '1.25rem',
    pad: '.25rem',
    radius: '0',
  },
  'slate@1': {
    accent: '#0b5c7a',
    ink: '#18222b',
    paper: '#ffffff',
    tint: '#e6ecf0',
    edge: '#9fb0bc',
    // Not like the text, which is white over the content.
    button: '#18222b',
    'button-hover': { like: 'accent' },
    font: 'system:neutral',
    gap: '0',
    pad: '1.125rem',
    radius: '0',
  },
  'poppy@1': {
    accent: '#b3243c',
    ink: '#2a1d33',
    paper: '#ffffff',
    tint: '#fbe9ea',
    edge: '#e5d3da',
    button: '#b3243c',
    'button-hover': '#7d1a2b',
    font: 'system:geometric',
    gap: '.5rem',
    pad: '1rem',
    radius: '1.25rem',
  },
} as const satisfies Record<string, Starter['roles']>;
/** The key of a starter that ships. */
export type StarterKey = keyof typeof starterRoles;
/** The keys of the starters that ship, in the order in which they are offered. */
export const starterKeys = Object.keys(starterRoles) as StarterKey[];
