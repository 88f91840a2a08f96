import { RING } from './pieces.ts';
import type { Look, Looks } from './starter.ts';

/** What an entry may have from its place: a variant looks the same wherever it stands. */
const BARE: Look = { boxShadow: 'none', backgroundImage: 'none' };

/** A look that every state has that is not pointed at or pressed. */
const inAll = (still: Look, pointed: Look): Looks => ({
  within: still,
  current: still,
  open: still,
  focus: { ...still, ...RING },
  hover: pointed,
  pressed: pointed,
});

const outlined: Look = { ...BARE, background: 'none', color: '@accent', borderColor: '@accent' };
const textLike: Look = { ...BARE, background: 'none', color: '@accent', textDecoration: 'underline' };

/**
 * The variants of buttons and links that ship, besides the plain button. They use the site's own colours, and are
 * part of its looks only where something has them.
 */
export const shippedVariants = {
  outline: {
    name: 'Outlined',
    looks: {
      normal: { ...outlined, borderBlockWidth: '2px', borderInlineWidth: '2px', borderStyle: 'solid' },
      ...inAll(outlined, {
        ...BARE,
        background: '@button',
        color: '@button-ink',
        borderColor: '@button',
      }),
    },
  },
  text: {
    name: 'Text-like',
    looks: {
      normal: {
        ...textLike,
        textUnderlineOffset: '.25em',
        paddingInline: '.25rem',
        borderBlockWidth: '0',
        borderInlineWidth: '0',
      },
      ...inAll(textLike, { ...textLike, textDecoration: 'underline 2px' }),
    },
  },
} as const satisfies Record<string, { readonly name: string; readonly looks: Looks }>;
