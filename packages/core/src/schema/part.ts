import Type, { type Static } from 'typebox';
import { MOST_COLUMNS } from './dropdown.ts';
import { deviceClasses } from './deviceClass.ts';
import { followOrders, MOST_LEVELS } from './follow.ts';
import { DestinationShape } from './item.ts';
import { PageKindShape } from './page.ts';
import { PictureShape } from './picture.ts';
import { RichTextShape } from './richText.ts';
import { closed, IdShape, LinkAddressShape, LONGEST_LABEL, someOf } from './shapes.ts';

/** Columns of the grid that a row is parted into. */
export const GRID_COLUMNS = 12;
/** The most pages in a live list. */
export const MOST_PAGES = 24;
/** The smallest minimum height of a row, in px. */
export const LEAST_ROW = 40;
/** The greatest minimum height of a row, in px. */
export const HIGHEST_ROW = 800;

/** What a composed panel is made of: rows of cells that hold parts. */
export const partKinds = [
  'row',
  'cell',
  'group',
  'groups',
  'links',
  'link',
  'heading',
  'text',
  'picture',
  'button',
  'divider',
  'search',
  'pages',
  'menu',
  'video',
  'tabs',
  'tab',
] as const;
/** A kind of part. */
export type PartKind = (typeof partKinds)[number];

/** Where a part with pages takes them from; what is not there does not narrow. */
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

/** The ratios that a picture can be cropped to, width to height. */
export const pictureRatios = ['1/1', '4/3', '3/2', '16/9', '3/4'] as const;
export const PARAMETER_PATTERN = '^[A-Za-z][A-Za-z0-9_.-]{0,39}$';
const parameterName = Type.String({ pattern: PARAMETER_PATTERN });

/** What may be said of a part; which of it belongs to which kind, `partFacts` says. */
export const partFields = {
  /** Of a cell: how many of the grid's columns it takes. */
  span: Type.Integer({ minimum: 1, maximum: GRID_COLUMNS }),
  /** Of a cell: its parts stand side by side; not there: one below the other. */
  direction: Type.Literal('across'),
  /** Of a row: at least so high, in px. */
  height: Type.Integer({ minimum: LEAST_ROW, maximum: HIGHEST_ROW }),
  /**
   * Of a row: it is what the panel shows on this device class where it has content of its own there, and
   * nowhere else.
   */
  only: Type.Enum(['medium', 'narrow'] as const),
  /** Device classes on which it is not shown. */
  hiddenOn: Type.Array(Type.Enum(deviceClasses), { minItems: 1, maxItems: 3, uniqueItems: true }),
  /** Of a group: the child item whose links it shows. One that is gone shows nothing. */
  item: IdShape,
  /** Of groups: a heading that leads nowhere, or none; not there: it leads where its item does. */
  heading: Type.Enum(['plain', 'none'] as const),
  /** Of groups: only the first level of links below the heading; not there: two. */
  levels: Type.Literal(1),
  /** In how many columns groups, or pages, stand. */
  columns: Type.Integer({ minimum: 1, maximum: MOST_COLUMNS }),
  text: Type.String({ minLength: 1, maxLength: LONGEST_LABEL }),
  body: RichTextShape,
  destination: DestinationShape,
  opensNewTab: Type.Literal(true),
  /** Not there: none was given yet, and nothing of it is delivered. */
  picture: PictureShape,
  /** What the picture says to those who do not see it. */
  alt: Type.String({ minLength: 1, maxLength: LONGEST_LABEL }),
  /** The picture says nothing: it is there for its looks. */
  isOrnament: Type.Literal(true),
  /** Width to height that the picture is cut to; not there: its own. */
  ratio: Type.Enum(pictureRatios),
  /** The picture is seen whole within its ratio; not there: it fills it. */
  fit: Type.Literal('whole'),
  isRounded: Type.Literal(true),
  /** The picture reaches the edges of the panel that its cell stands at. */
  isBled: Type.Literal(true),
  /** Of a search: where it sends what was typed, under which name. */
  address: LinkAddressShape,
  parameter: parameterName,
  /** Of a search: what else it sends, such as the part of the site to search in. */
  scope: Type.Object({ name: parameterName, value: Type.String({ minLength: 1, maxLength: 200 }) }, closed),
  source: PageSourceShape,
  /** Of pages: cards with picture, title and summary; not there: links. */
  look: Type.Literal('cards'),
  menu: IdShape,
};
/** The name of a field of a part. */
export type PartField = keyof typeof partFields;
export const partFieldNames = Object.keys(partFields) as PartField[];

/**
 * A row, a cell or a part. The parent of a row is the item whose panel it stands in; all others stand in each
 * other as `heldBy` says.
 */
export const PartShape = Type.Object(
  { id: IdShape, parent: IdShape, kind: Type.Enum(partKinds), ...someOf(partFields).properties },
  closed,
);
/** A row, a cell, or a part of a panel. */
export type Part = Static<typeof PartShape>;
/** The fields of a part. */
export type PartFacts = Omit<Part, 'id' | 'parent' | 'kind'>;

/** What stands in the cells and tabs of a panel. */
export const contentKinds = [
  'group',
  'groups',
  'links',
  'heading',
  'text',
  'picture',
  'button',
  'divider',
  'search',
  'pages',
  'menu',
  'video',
] as const satisfies readonly PartKind[];

const none: readonly PartKind[] = [];
/** What may stand in what; the panel itself is called by the item that it drops from. */
export const heldBy: Readonly<Record<'item' | PartKind, readonly PartKind[]>> = {
  item: ['row'],
  row: ['cell'],
  cell: [...contentKinds, 'tabs'],
  tabs: ['tab'],
  tab: contentKinds,
  links: ['link'],
  link: none,
  group: none,
  groups: none,
  heading: none,
  text: none,
  picture: none,
  button: none,
  divider: none,
  search: none,
  pages: none,
  menu: none,
  video: none,
};

interface FactsOfKind {
  readonly always: readonly PartField[];
  readonly maybe: readonly PartField[];
}

/** Which facts each kind has, and which it may have. */
export const partFacts: Readonly<Record<PartKind, FactsOfKind>> = {
  row: { always: [], maybe: ['height', 'only', 'hiddenOn'] },
  cell: { always: ['span'], maybe: ['direction', 'hiddenOn'] },
  group: { always: ['item'], maybe: ['heading', 'levels', 'hiddenOn'] },
  groups: { always: [], maybe: ['columns', 'heading', 'levels', 'hiddenOn'] },
  links: { always: [], maybe: ['text', 'hiddenOn'] },
  link: { always: ['text', 'destination'], maybe: ['opensNewTab'] },
  heading: { always: ['text'], maybe: ['destination', 'opensNewTab', 'hiddenOn'] },
  text: { always: ['body'], maybe: ['hiddenOn'] },
  picture: {
    always: [],
    maybe: [
      'picture',
      'alt',
      'isOrnament',
      'destination',
      'opensNewTab',
      'ratio',
      'fit',
      'isRounded',
      'isBled',
      'hiddenOn',
    ],
  },
  button: { always: ['text', 'destination'], maybe: ['opensNewTab', 'hiddenOn'] },
  divider: { always: [], maybe: ['hiddenOn'] },
  search: { always: ['text', 'address', 'parameter'], maybe: ['scope', 'hiddenOn'] },
  pages: { always: ['source'], maybe: ['text', 'look', 'columns', 'hiddenOn'] },
  menu: { always: ['menu'], maybe: ['text', 'hiddenOn'] },
  video: {
    always: ['text', 'destination'],
    maybe: ['picture', 'ratio', 'isRounded', 'opensNewTab', 'hiddenOn'],
  },
  tabs: { always: [], maybe: ['hiddenOn'] },
  tab: { always: ['text'], maybe: [] },
};

/** What each kind is called. */
export const partWords: Readonly<Record<PartKind, string>> = {
  row: 'row',
  cell: 'cell',
  group: 'link group',
  groups: 'remaining groups',
  links: 'link list',
  link: 'link',
  heading: 'heading',
  text: 'text',
  picture: 'picture',
  button: 'button',
  divider: 'divider',
  search: 'search',
  pages: 'live list',
  menu: 'menu',
  video: 'video',
  tabs: 'tabs',
  tab: 'tab',
};
