import { dividerSigns, type ValueKind } from './values.ts';

/** Under which heading the settings of a property are. */
export const propertyGroups = ['colour', 'text', 'space', 'edges', 'motion'] as const;
/** See `propertyGroups`. */
export type PropertyGroup = (typeof propertyGroups)[number];

/** Everything about one property that things can have. Adding one is one entry in `properties`. */
export interface PropertyFacts {
  /** What it is called where it is set. */
  readonly name: string;
  readonly group: PropertyGroup;
  /** What its values can be. */
  readonly kind: ValueKind;
  /** The CSS property that it sets, where it sets one and as it is written. */
  readonly css: string;
  /** What it is where a starter says nothing of it: neither the browser nor the page decides it. */
  readonly initial: string;
  /** The declarations of a value, where they are more than one. `value`: in CSS. */
  readonly declare?: (value: string) => readonly (readonly [css: string, value: string])[];
}

/** Shapes of arrows that are drawn with their edges, or cut out; all point to the lower right, and are turned. */
const arrowShapes: Readonly<Record<string, string>> = {
  chevron: '0 .11rem .11rem 0',
  bold: '0 .19rem .19rem 0',
  triangle: 'polygon(100% 0,100% 100%,0 100%)',
  arrow: 'polygon(0 12%,12% 0,78% 66%,78% 20%,100% 20%,100% 100%,20% 100%,20% 78%,66% 78%)',
  plus: 'polygon(14% 0,50% 36%,86% 0,100% 14%,64% 50%,100% 86%,86% 100%,50% 64%,14% 100%,0 86%,36% 50%,0 14%)',
  dot: 'circle()',
};

/** The width of the edge that an arrow is drawn with at its far side; `0`: it is cut out, or there is none. */
export function arrowEdge(shape: string): string {
  const drawn = arrowShapes[shape] ?? '';
  return drawn.endsWith(')') ? '0' : (drawn.split(' ')[1] ?? '0');
}

/** What changes with the state of something, and can be seen to. */
const changing = [
  'color',
  'background-color',
  'border-color',
  'box-shadow',
  'opacity',
  'text-decoration-color',
];

/** Ways to come into sight, as what they begin with. A drawer comes from its edge. */
export const entrances: Readonly<Record<string, string>> = {
  fade: 'opacity:0',
  slide: 'opacity:var(--_faint,0);translate:var(--_from,0 -1rem)',
  rise: 'opacity:0;translate:0 1rem',
  scale: 'opacity:0;scale:.95',
};

/**
 * What can be said of things. No two of them set the same CSS property, so that what wins can be decided for each on
 * its own (a test).
 */
export const properties = {
  color: { name: 'Text', group: 'colour', kind: 'colour', css: 'color', initial: 'inherit' },
  background: {
    name: 'Background',
    group: 'colour',
    kind: 'colour',
    css: 'background-color',
    initial: 'none',
  },
  backgroundImage: {
    name: 'Picture or gradient',
    group: 'colour',
    kind: 'fill',
    css: 'background-image',
    initial: 'none',
    declare: (fill) => {
      const [, image, as = 'cover'] = /^((?:.*\),)?var\([^()]*\))(?: (contain|tile))?$/.exec(fill) ?? [];
      // A gradient alone is as large as its place, whatever is said of pictures.
      if (image === undefined) return [['background-image', fill]];
      return [
        ['background-image', image],
        ['background-position', '50%'],
        ['background-size', as === 'tile' ? 'auto' : as],
        ['background-repeat', as === 'tile' ? 'repeat' : 'no-repeat'],
      ];
    },
  },
  borderColor: {
    name: 'Border colour',
    group: 'colour',
    kind: 'colour',
    css: 'border-color',
    initial: 'currentColor',
  },
  accentColor: {
    name: 'Tick colour',
    group: 'colour',
    kind: 'colour',
    css: 'accent-color',
    initial: '@accent',
  },
  opacity: { name: 'Opacity', group: 'colour', kind: 'share', css: 'opacity', initial: '1' },
  ink: { name: 'Text colour within', group: 'colour', kind: 'colour', css: '--zv-ink', initial: 'inherit' },
  tint: { name: 'Tint within', group: 'colour', kind: 'colour', css: '--zv-tint', initial: 'inherit' },
  accent: { name: 'Accent within', group: 'colour', kind: 'colour', css: '--zv-accent', initial: 'inherit' },

  fontFamily: { name: 'Font', group: 'text', kind: 'font', css: 'font-family', initial: 'inherit' },
  fontSize: { name: 'Size', group: 'text', kind: 'size', css: 'font-size', initial: 'inherit' },
  fontWeight: { name: 'Weight', group: 'text', kind: 'weight', css: 'font-weight', initial: 'inherit' },
  fontStyle: { name: 'Slant', group: 'text', kind: 'slant', css: 'font-style', initial: 'inherit' },
  lineHeight: {
    name: 'Line height',
    group: 'text',
    kind: 'lineHeight',
    css: 'line-height',
    initial: 'inherit',
  },
  letterSpacing: {
    name: 'Letter spacing',
    group: 'text',
    kind: 'spacing',
    css: 'letter-spacing',
    initial: 'inherit',
  },
  wordSpacing: {
    name: 'Word spacing',
    group: 'text',
    kind: 'spacing',
    css: 'word-spacing',
    initial: 'inherit',
  },
  textTransform: { name: 'Case', group: 'text', kind: 'case', css: 'text-transform', initial: 'inherit' },
  textDecoration: {
    name: 'Line',
    group: 'text',
    kind: 'decoration',
    css: 'text-decoration',
    initial: 'none',
  },
  textUnderlineOffset: {
    name: 'Line offset',
    group: 'text',
    kind: 'offset',
    css: 'text-underline-offset',
    initial: 'inherit',
  },
  textAlign: { name: 'Alignment', group: 'text', kind: 'alignment', css: 'text-align', initial: 'inherit' },

  paddingBlock: {
    name: 'Padding above, below',
    group: 'space',
    kind: 'paddings',
    css: 'padding-block',
    initial: '0',
  },
  paddingInline: {
    name: 'Padding at the sides',
    group: 'space',
    kind: 'paddings',
    css: 'padding-inline',
    initial: '0',
  },
  marginBlock: {
    name: 'Margin above, below',
    group: 'space',
    kind: 'margins',
    css: 'margin-block',
    initial: '0',
  },
  marginInline: {
    name: 'Margin at the sides',
    group: 'space',
    kind: 'margins',
    css: 'margin-inline',
    initial: '0',
  },
  gap: { name: 'Gap', group: 'space', kind: 'paddings', css: 'gap', initial: '0' },
  minBlockSize: {
    name: 'Min. height',
    group: 'space',
    kind: 'least',
    css: 'min-block-size',
    initial: '0',
  },
  minInlineSize: {
    name: 'Min. width',
    group: 'space',
    kind: 'least',
    css: 'min-inline-size',
    initial: '0',
  },
  maxInlineSize: {
    name: 'Max. width',
    group: 'space',
    kind: 'most',
    css: 'max-inline-size',
    initial: 'none',
  },
  inlineSize: { name: 'Width', group: 'space', kind: 'extent', css: 'inline-size', initial: 'auto' },
  blockSize: { name: 'Height', group: 'space', kind: 'extent', css: 'block-size', initial: 'auto' },
  zIndex: {
    name: 'Stacking order',
    group: 'space',
    kind: 'order',
    css: 'z-index',
    initial: 'auto',
  },
  panelInset: { name: 'Padding', group: 'space', kind: 'padding', css: '--_inset', initial: '0' },

  borderBlockWidth: {
    name: 'Border above, below',
    group: 'edges',
    kind: 'borders',
    css: 'border-block-width',
    initial: '0',
  },
  borderInlineWidth: {
    name: 'Border at the sides',
    group: 'edges',
    kind: 'borders',
    css: 'border-inline-width',
    initial: '0',
  },
  borderStyle: {
    name: 'Border style',
    group: 'edges',
    kind: 'borderStyle',
    css: 'border-style',
    initial: 'solid',
  },
  borderRadius: { name: 'Corners', group: 'edges', kind: 'corners', css: 'border-radius', initial: '0' },
  boxShadow: { name: 'Shadow', group: 'edges', kind: 'shadow', css: 'box-shadow', initial: 'none' },
  outline: { name: 'Focus ring', group: 'edges', kind: 'ring', css: 'outline', initial: 'none' },
  outlineOffset: {
    name: 'Ring offset',
    group: 'edges',
    kind: 'ringOffset',
    css: 'outline-offset',
    initial: '0',
  },
  divider: {
    name: 'Divider',
    group: 'edges',
    kind: 'divider',
    css: 'content',
    initial: 'none',
    declare: (divider) => {
      if (divider.startsWith('var('))
        return [
          ['content', '""'],
          ['border-inline-start', '0'],
          ['inline-size', '1em'],
          ['background', `${divider} 50%/contain no-repeat`],
        ];
      const sign: string = dividerSigns[divider as keyof typeof dividerSigns] ?? '';
      // Screen readers do not read it, where a browser knows how to say so.
      const content = divider === 'none' ? ['none'] : sign === '' ? ['""'] : [`"${sign}"`, `"${sign}"/""`];
      return [
        ...content.map((one) => ['content', one] as const),
        ['border-inline-start', divider === 'line' ? '1px solid' : '0'],
        // In place of a picture that is set farther away.
        ...(divider === 'none'
          ? []
          : ([
              ['inline-size', 'auto'],
              ['background', 'none'],
            ] as const)),
      ];
    },
  },
  arrowShape: {
    name: 'Arrow',
    group: 'edges',
    kind: 'arrow',
    css: 'border-width',
    initial: 'chevron',
    declare: (shape) => {
      const drawn = shape === 'none' ? undefined : (arrowShapes[shape] ?? shape);
      if (drawn === undefined)
        return [
          ['border', '0'],
          ['clip-path', 'none'],
          ['background', '#0000'],
        ];
      const isCut = drawn.endsWith(')');
      return [
        ['border', 'solid'],
        ['border-width', isCut ? '0' : drawn],
        ...(isCut
          ? ([
              ['clip-path', drawn],
              ['background', 'currentColor'],
            ] as const)
          : []),
      ];
    },
  },

  transition: {
    name: 'Change of state',
    group: 'motion',
    kind: 'motion',
    css: 'transition',
    initial: 'none',
    declare: (pace) => [
      ['transition', pace === 'none' ? 'none' : changing.map((one) => `${one} ${pace}`).join()],
    ],
  },
  appear: {
    name: 'Appears',
    group: 'motion',
    kind: 'entrance',
    css: 'animation',
    initial: 'none',
    declare: (entrance) => [['animation', entrance === 'none' ? 'none' : `zv-${entrance}`]],
  },
  turn: {
    name: 'Arrow turns',
    group: 'motion',
    kind: 'motion',
    css: '--_turn',
    initial: '150ms ease',
    declare: (pace) => [
      ['--_turn', pace === 'none' ? '0deg' : '180deg'],
      ['transition', pace === 'none' ? 'none' : `rotate ${pace}`],
    ],
  },
  comeBack: {
    name: 'Comes back',
    group: 'motion',
    kind: 'motion',
    css: '--_come-back',
    initial: '200ms ease',
    declare: (pace) => [['--_come-back', pace === 'none' ? '0s' : pace]],
  },
} as const satisfies Record<string, PropertyFacts>;
/** See `properties`. */
export type Property = keyof typeof properties;
/** The names of all properties, in the order in which they are shown and printed. */
export const propertyNames = Object.keys(properties) as Property[];

/** Everything about a property. */
export function factsOf(property: Property): PropertyFacts {
  return properties[property];
}
