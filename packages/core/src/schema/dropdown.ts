import * as Type from 'typebox';
import type { Static } from 'typebox';
import { closed, IdShape, recordOf } from './shapes.ts';

/** The forms in which what stands below an item of a bar can drop from it. */
export const dropdownForms = ['list', 'flyouts', 'row', 'panel'] as const;
/** The forms that a dropdown can have. */
export type DropdownForm = (typeof dropdownForms)[number];

/** The smallest width of a dropdown, in px. */
export const LEAST_WIDTH = 120;
/** The greatest width of a dropdown, in px. */
export const MOST_WIDTH = 2400;
/** The most columns of a panel or of a list of groups. */
export const MOST_COLUMNS = 6;
/** The furthest that a panel can be shifted, in px. */
export const MOST_OFFSET = 400;
const WidthShape = Type.Integer({ minimum: LEAST_WIDTH, maximum: MOST_WIDTH });

/**
 * How far a panel reaches: as its content, the item, the bar, the container around the bar, the page; or so
 * many px.
 */
export const extents = ['content', 'item', 'bar', 'container', 'page'] as const;
/**
 * What a panel that does not span something whole is in line with: its item, or the bar's beginning, centre
 * or end.
 */
export const panelAligns = ['item', 'start', 'centre', 'end'] as const;
/**
 * What a panel is on narrow screens: its cells one below the other, one plain list of its links, rows of its
 * own, or nothing but its item.
 */
export const narrowForms = ['stacked', 'list', 'own', 'item'] as const;
/** What it is on medium ones: its grid as it is, two cells a row, and the forms of narrow ones. */
export const mediumForms = ['grid', 'two', ...narrowForms] as const;
/** See `mediumForms`. */
export type MediumForm = (typeof mediumForms)[number];
/** When it opens: at once under the pointer, when the pointer rests, or when it is pressed. */
export const openings = ['atOnce', 'rest', 'press'] as const;

/**
 * What drops from an item. Each form keeps its own settings while another one is chosen, so that nothing is
 * lost by trying. What is not there has its usual value: a list as wide as its content; a panel of as many
 * columns as are useful, across the bar, stacked on narrow screens.
 */
export const DropdownShape = Type.Object(
  {
    form: Type.Enum(dropdownForms),
    opens: Type.Optional(Type.Enum(openings)),
    list: Type.Optional(
      Type.Object(
        {
          width: Type.Optional(WidthShape),
          align: Type.Optional(Type.Enum(['centre', 'end'] as const)),
          columns: Type.Optional(Type.Integer({ minimum: 2, maximum: 4 })),
        },
        closed,
      ),
    ),
    panel: Type.Optional(
      Type.Object(
        {
          columns: Type.Optional(Type.Integer({ minimum: 1, maximum: MOST_COLUMNS })),
          /** Groups that stay in a column, from 0, wherever balance would put them; by their items. */
          kept: Type.Optional(
            recordOf(IdShape, Type.Integer({ minimum: 0, maximum: MOST_COLUMNS - 1 }), {
              minProperties: 1,
              maxProperties: 100,
            }),
          ),
          extent: Type.Optional(Type.Union([Type.Enum(extents), WidthShape])),
          align: Type.Optional(Type.Enum(panelAligns)),
          /** Between the bar and the panel, in px. */
          gap: Type.Optional(Type.Integer({ minimum: 0, maximum: 64 })),
          /**
           * The content is held to this width, in px, while the background reaches as far as the panel does.
           */
          innerWidth: Type.Optional(WidthShape),
          narrow: Type.Optional(Type.Enum(narrowForms)),
          medium: Type.Optional(Type.Enum(mediumForms)),
          /** How far it is put on from where it was to stand, along the line, in px. */
          offset: Type.Optional(Type.Integer({ minimum: -MOST_OFFSET, maximum: MOST_OFFSET })),
          /** Its content is fetched when it is opened first, and is no part of the page before. */
          isFetched: Type.Optional(Type.Literal(true)),
        },
        closed,
      ),
    ),
  },
  closed,
);
/** The form of an item's dropdown, and the settings of each form. */
export type Dropdown = Static<typeof DropdownShape>;
/** The settings of a dropdown that is a list. */
export type ListFacts = NonNullable<Dropdown['list']>;
/** The settings of a dropdown that is a panel. */
export type PanelFacts = NonNullable<Dropdown['panel']>;
