import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field } from './definePart.ts';

/** The areas of a page that a frame has, in the order in which they are composed. */
export const areas = ['header', 'side', 'footer', 'drawer'] as const;
/** See `areas`. */
export type AreaName = (typeof areas)[number];
const AreaNameShape = Type.Enum(areas);

/** The narrowest window at which a drawer can take over from the header, in px. */
export const LEAST_TAKEOVER = 240;
/** The widest, in px. */
export const MOST_TAKEOVER = 3000;
/** The least width of a drawer, a side area or a vertical header, in px. */
export const LEAST_AREA = 160;
/** The greatest, in px. */
export const MOST_AREA = 640;

const YesShape = Type.Literal(true);
const EdgeShape = Type.Enum(['start', 'end'] as const);
const TakeoverShape = Type.Union([
  Type.Integer({ minimum: LEAST_TAKEOVER, maximum: MOST_TAKEOVER }),
  Type.Literal('always'),
  Type.Literal('never'),
]);
const FromShape = Type.Enum(['start', 'top', 'full'] as const);
const WidthShape = Type.Integer({ minimum: LEAST_AREA, maximum: MOST_AREA });

const area = field<Static<typeof AreaNameShape>>(AreaNameShape, { control: { kind: 'none', label: 'Area' } });

/** In windows narrower than this, in px, the drawer takes over; not there: in those narrower than medium. */
const takeover = field<Static<typeof TakeoverShape>>(TakeoverShape, {
  control: { kind: 'none', label: 'Takes over below' },
});
/** Where the drawer comes from; not there: from the end side. */
const comesFrom = field<Static<typeof FromShape>>(FromShape, {
  control: {
    kind: 'choice',
    label: 'Opens from',
    usual: 'end',
    choices: [
      { value: 'start', label: 'start' },
      { value: 'top', label: 'top' },
      { value: 'full', label: 'full screen' },
    ],
    inAreas: ['drawer'],
  },
});
/** How wide a drawer, a side area or a vertical header is, in px. */
const areaWidth = field<Static<typeof WidthShape>>(WidthShape, {
  control: {
    kind: 'number',
    label: 'Width (px)',
    unit: 'px',
    least: LEAST_AREA,
    most: MOST_AREA,
    placeholder: 'auto',
    inAreas: ['drawer', 'side', 'vertical'],
  },
});
/** The header is a column at that side of wide and medium screens; not there: it lies across the page. */
const vertical = field<Static<typeof EdgeShape>>(EdgeShape, {
  control: {
    kind: 'choice',
    label: 'Header',
    usual: 'horizontal',
    choices: [
      { value: 'start', label: 'vertical, at the start' },
      { value: 'end', label: 'vertical, at the end' },
    ],
    inAreas: ['header', 'vertical'],
  },
});
/** Texts of a vertical header are centred; not there: they align with its start. */
const isCentred = field<Static<typeof YesShape>>(YesShape, {
  control: { kind: 'flag', label: 'Align', off: 'start', on: 'centre', value: true, inAreas: ['vertical'] },
});
/** On narrow screens, all of the side area shows; not there: it opens by a button, “In this section”. */
const isUnfolded = field<Static<typeof YesShape>>(YesShape, {
  control: {
    kind: 'flag',
    label: 'On narrow screens',
    off: 'folded',
    on: 'open',
    value: true,
    inAreas: ['side'],
  },
});

/** The header, the side, the footer or the drawer. A site has each once: its id follows from its name. */
export const areaPart = definePart({
  kind: 'area',
  name: 'area',
  oneOf: 'an area',
  standsIn: ['frame'],
  root: 'frame',
  always: { area },
  maybe: { takeover, comesFrom, vertical, areaWidth, isCentred, isUnfolded },
});
