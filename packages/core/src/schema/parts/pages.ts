import * as Type from 'typebox';
import type { Static } from 'typebox';
import { followOrders, MOST_LEVELS } from '../follow.ts';
import { PageKindShape } from '../page.ts';
import { closed, IdShape } from '../shapes.ts';
import { definePart, IN_CELLS, field } from './definePart.ts';
import { columns, text } from './fields.ts';
import { inFrame } from './frameFields.ts';

/** The most pages in a live list. */
export const MOST_PAGES = 24;

/** Where a live list takes its pages from; what is not there does not narrow. */
export const PageSourceShape = Type.Object(
  {
    /** What stands below this page; null: the whole site. */
    page: Type.Union([IdShape, Type.Null()]),
    /** How many levels below it. */
    depth: Type.Integer({ minimum: 1, maximum: MOST_LEVELS }),
    order: Type.Enum(followOrders),
    limit: Type.Integer({ minimum: 1, maximum: MOST_PAGES }),
    kinds: Type.Optional(Type.Array(PageKindShape, { minItems: 1, maxItems: 5, uniqueItems: true })),
    categories: Type.Optional(
      Type.Array(Type.String({ minLength: 1, maxLength: 200 }), {
        minItems: 1,
        maxItems: 50,
        uniqueItems: true,
      }),
    ),
  },
  closed,
);
/** Which pages a live list shows. */
export type PageSource = Static<typeof PageSourceShape>;

const LookShape = Type.Literal('cards');

const source = field<Static<typeof PageSourceShape>>(PageSourceShape, {
  control: { kind: 'source', label: 'Pages' },
  refs: {
    role: 'source',
    find: ({ page }, visit, path) => {
      if (page !== null) visit('page', page, [...path, 'page']);
    },
  },
  isResolved: true,
});
/** Cards with picture, title and summary; not there: links. */
const look = field<Static<typeof LookShape>>(LookShape, {
  control: { kind: 'flag', label: 'Show as', off: 'links', on: 'cards', value: 'cards' },
});

const NEWEST = { depth: 20, order: 'date', limit: 3 } as const;

/** Pages that a rule finds: the newest, the most visited, or all from A to Z. */
export const pages = definePart({
  kind: 'pages',
  name: 'live list',
  about: 'newest, most visited, A to Z; links or cards',
  standsIn: IN_CELLS,
  always: { source },
  maybe: { text: text('Heading (optional)'), look, columns, ...inFrame },
  begin: ({ page }) => [{ kind: 'pages', source: { page, ...NEWEST } }],
});
