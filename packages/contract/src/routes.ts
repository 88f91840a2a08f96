import * as Type from 'typebox';
import type { Static } from 'typebox';
import {
  closed,
  EditShape,
  IdShape,
  KeyShape,
  LabelShape,
  LanguageShape,
  LoggedEditShape,
  partField,
  partFieldNames,
  partFields,
  partKinds,
  OwnCssShape,
  PartShape,
  StyleShape,
  DesignTokenShape,
  recordOf,
  SentenceShape,
  settingFields,
  SiteShape,
  StoredDocumentShape,
  forestNames,
  forests,
  type DocumentPiece,
} from '@zorvik/core';
import { PersonNameShape, PersonShape, ServerMessageShape } from './messages.ts';
import { pictureRoutes } from './pictures.ts';
import { readingRoutes } from './reading.ts';
import { API, type Route } from './route.ts';

export const DELIVERY = '/delivery/v1';
/** Where drafts can be seen by who has the address, at the delivery port. */
export const PREVIEW = '/preview';

const whole = Type.Integer({ minimum: 0 });

/** What every refusal comes back as, whatever the status. */
export const ErrorEnvelopeShape = Type.Object(
  {
    error: Type.Object(
      {
        code: Type.String(),
        message: Type.String(),
        params: recordOf(Type.String(), Type.Union([Type.String(), Type.Number()])),
      },
      closed,
    ),
  },
  closed,
);
export type ErrorEnvelope = Static<typeof ErrorEnvelopeShape>;

export const EditionSummaryShape = Type.Object(
  {
    number: Type.Integer({ minimum: 1 }),
    revision: whole,
    at: Type.String(),
    actor: Type.String(),
    note: Type.String(),
    items: whole,
  },
  closed,
);
export type EditionSummary = Static<typeof EditionSummaryShape>;

export const SiteSummaryShape = Type.Object(
  {
    key: KeyShape,
    name: LabelShape,
    origin: Type.String(),
    revision: whole,
    pages: whole,
    menus: whole,
    edition: Type.Union([Type.Integer(), Type.Null()]),
  },
  closed,
);
export type SiteSummary = Static<typeof SiteSummaryShape>;

/** A site that was deleted, and until when it can be restored. */
const DeletedSiteShape = Type.Object({ key: KeyShape, name: LabelShape, until: Type.String() }, closed);
export type DeletedSite = Static<typeof DeletedSiteShape>;

const TokenShape = Type.String({ pattern: '^[A-Za-z0-9_-]{32}$' });
/** A private address of a working copy: what stands in it, and until when it can be seen. */
const PreviewSummaryShape = Type.Object(
  { token: TokenShape, endsAt: Type.String(), actor: Type.String() },
  closed,
);
export type PreviewSummary = Static<typeof PreviewSummaryShape>;

export type ResolvedItemData = {
  id: string;
  label: string;
  href: string | null;
  opensNewTab: boolean;
  children: ResolvedItemData[];
};
const RESOLVED_ITEM = 'ResolvedItem';
const { heldBack: _, own, ...shownSettings } = settingFields;
/** The fields of parts that visitors get as they are stored. */
const shownOfParts = Object.fromEntries(
  partFieldNames
    .filter((name) => partField(name).isResolved !== true)
    .map((name) => [name, partFields[name]]),
);
const text = { type: 'string' };
const RESOLVED_PART = 'ResolvedPart';

/** A row, a cell or a part of a panel, as it is delivered. */
export const ResolvedPartShape = Type.Unsafe<object>({
  $id: RESOLVED_PART,
  type: 'object',
  required: ['id', 'kind'],
  additionalProperties: false,
  properties: {
    id: IdShape,
    kind: { enum: [...partKinds] },
    ...shownOfParts,
    href: text,
    body: {
      type: 'array',
      items: {
        type: 'object',
        required: ['kind', 'runs'],
        additionalProperties: false,
        properties: {
          kind: text,
          runs: {
            type: 'array',
            items: {
              type: 'object',
              required: ['text'],
              additionalProperties: false,
              properties: { text, bold: { const: true }, italic: { const: true }, href: text },
            },
          },
        },
      },
    },
    groups: { type: 'array', items: { type: 'array', items: IdShape } },
    pages: {
      type: 'array',
      items: {
        type: 'object',
        required: ['label', 'href'],
        additionalProperties: false,
        properties: { label: text, href: text, picture: text, summary: text },
      },
    },
    items: { type: 'array', items: { $ref: RESOLVED_ITEM } },
    parts: { type: 'array', items: { $ref: RESOLVED_PART } },
  },
});

export const ResolvedItemShape = Type.Unsafe<ResolvedItemData>({
  $id: RESOLVED_ITEM,
  type: 'object',
  required: ['id', 'label', 'href', 'opensNewTab', 'children'],
  additionalProperties: false,
  properties: {
    id: IdShape,
    label: { type: 'string' },
    href: { type: ['string', 'null'] },
    opensNewTab: { type: 'boolean' },
    children: { type: 'array', items: { $ref: RESOLVED_ITEM } },
    ...shownSettings,
    columns: { type: 'array', items: whole, maxItems: 6 },
    rows: { type: 'array', items: { $ref: RESOLVED_PART } },
    fields: own,
  },
});
export const ResolvedMenuShape = Type.Object(
  {
    key: KeyShape,
    name: Type.String(),
    language: LanguageShape,
    direction: Type.Union([Type.Literal('ltr'), Type.Literal('rtl')]),
    fields: Type.Optional(own),
    items: Type.Array(Type.Unsafe<ResolvedItemData>({ $ref: RESOLVED_ITEM })),
  },
  closed,
);

const EpochShape = Type.String({ minLength: 1, maxLength: 64 });

/** Edits of the log; `isCut` when there would be too many: then the whole site is less to load. */
const SavedShape = Type.Object(
  { epoch: EpochShape, revision: whole, edits: Type.Array(LoggedEditShape), isCut: Type.Boolean() },
  closed,
);

/** One line of the history: an edit without what it did in detail. */
export const HistoryLineShape = Type.Object(
  {
    id: IdShape,
    revision: whole,
    at: Type.String(),
    actor: Type.String(),
    session: IdShape,
    group: Type.Union([Type.String(), Type.Null()]),
    undoes: Type.Union([IdShape, Type.Null()]),
    sentence: SentenceShape,
  },
  closed,
);
export type HistoryLine = Static<typeof HistoryLineShape>;

/** Lines of an import's reply: how far it is, and at the end what became of it. */
export const ImportLineShape = Type.Union([
  Type.Object({ stored: whole, of: whole }, closed),
  Type.Object(
    {
      done: Type.Object(
        { site: KeyShape, added: whole, retired: whole, revived: whole, duplicates: whole, revision: whole },
        closed,
      ),
    },
    closed,
  ),
  ErrorEnvelopeShape,
]);
export type ImportLine = Static<typeof ImportLineShape>;

/** Lines of a site that is read in pieces. The last one says that it is whole. */
const SiteHeadShape = Type.Object(
  {
    epoch: EpochShape,
    revision: whole,
    format: whole,
    site: SiteShape,
    edition: Type.Union([EditionSummaryShape, Type.Null()]),
  },
  closed,
);
export type SiteLine =
  { readonly head: Static<typeof SiteHeadShape> } | DocumentPiece | { readonly isWhole: true };
export const SiteLineShape = Type.Unsafe<SiteLine>(
  Type.Union([
    Type.Object({ head: SiteHeadShape }, closed),
    ...forestNames.map((name) =>
      Type.Object({ forest: Type.Literal(name), nodes: Type.Array(forests[name].shape) }, closed),
    ),
    Type.Object({ isWhole: Type.Literal(true) }, closed),
  ]),
);

const newSite = {
  name: Type.String({ minLength: 1, maxLength: 120 }),
  key: Type.Optional(KeyShape),
  language: Type.Optional(LanguageShape),
  direction: Type.Optional(Type.Union([Type.Literal('ltr'), Type.Literal('rtl')])),
  timeZone: Type.Optional(Type.String({ maxLength: 64 })),
};
export const NewSiteShape = Type.Object(newSite, closed);
export type NewSite = Static<typeof NewSiteShape>;

const XML = 'application/xml';
const JSON_LINES = 'application/x-ndjson';

/** Everything that the editor asks of its server. */
export const routes = {
  listSites: {
    method: 'GET',
    path: `${API}/sites`,
    summary: 'All sites, by name.',
    status: 200,
    reply: Type.Object(
      {
        sites: Type.Array(SiteSummaryShape),
        /** Sites that can still be restored. */
        deleted: Type.Array(DeletedSiteShape),
        standIn: Type.Union([Type.String(), Type.Null()]),
        delivery: Type.String(),
      },
      closed,
    ),
  },
  makeSite: {
    method: 'POST',
    path: `${API}/sites`,
    summary: 'Creates a site without pages.',
    body: NewSiteShape,
    status: 201,
    reply: SiteSummaryShape,
  },
  makeSiteFromSitemap: {
    method: 'POST',
    path: `${API}/sites/from-sitemap`,
    summary: 'Creates a site from a sitemap. Nothing is saved if the file is refused.',
    query: NewSiteShape,
    body: XML,
    status: 201,
    reply: ImportLineShape,
    replyType: JSON_LINES,
  },
  importPages: {
    method: 'POST',
    path: `${API}/sites/:siteKey/imports`,
    summary:
      'Imports a sitemap: new addresses are added; with missing=retire, pages missing from it are deleted.',
    query: Type.Object(
      {
        missing: Type.Union([Type.Literal('keep'), Type.Literal('retire')]),
        session: IdShape,
        name: Type.Optional(PersonNameShape),
      },
      closed,
    ),
    body: XML,
    status: 201,
    reply: ImportLineShape,
    replyType: JSON_LINES,
  },
  ...readingRoutes,
  ...pictureRoutes,
  readSite: {
    method: 'GET',
    path: `${API}/sites/:siteKey`,
    summary: 'The whole working copy of a site, with its revision.',
    status: 200,
    reply: Type.Object(
      {
        epoch: EpochShape,
        revision: whole,
        document: StoredDocumentShape,
        edition: Type.Union([EditionSummaryShape, Type.Null()]),
      },
      closed,
    ),
  },
  readSiteInPieces: {
    method: 'GET',
    path: `${API}/sites/:siteKey/pieces`,
    summary:
      'The same as JSON lines: first the head, then nodes, a few hundred per line, parents before their children.',
    status: 200,
    reply: SiteLineShape,
    replyType: JSON_LINES,
  },
  readEdits: {
    method: 'GET',
    path: `${API}/sites/:siteKey/edits`,
    summary: 'The log after a revision, oldest first, optionally of one session.',
    query: Type.Object({ since: whole, session: Type.Optional(IdShape) }, closed),
    status: 200,
    reply: SavedShape,
  },
  saveEdit: {
    method: 'POST',
    path: `${API}/sites/:siteKey/edits`,
    summary:
      'Saves an edit and returns what came after the client’s revision. Sending the same id again returns the same answer.',
    query: Type.Object(
      { known: Type.Optional(whole), epoch: Type.Optional(EpochShape), name: Type.Optional(PersonNameShape) },
      closed,
    ),
    body: EditShape,
    status: 200,
    reply: SavedShape,
  },
  readHistory: {
    method: 'GET',
    path: `${API}/sites/:siteKey/history`,
    summary: 'The history, latest first, a hundred entries at a time, optionally about one thing.',
    query: Type.Object({ before: Type.Optional(whole), about: Type.Optional(IdShape) }, closed),
    status: 200,
    reply: Type.Object(
      { lines: Type.Array(HistoryLineShape), next: Type.Union([whole, Type.Null()]) },
      closed,
    ),
  },
  goBack: {
    method: 'POST',
    path: `${API}/sites/:siteKey/history`,
    summary: 'Restores the state after a revision, as a new edit.',
    query: Type.Object({ name: Type.Optional(PersonNameShape) }, closed),
    body: Type.Object(
      { id: IdShape, session: IdShape, revision: whole, known: whole, epoch: EpochShape },
      closed,
    ),
    status: 200,
    reply: SavedShape,
  },
  listPreviews: {
    method: 'GET',
    path: `${API}/sites/:siteKey/previews`,
    summary: 'The private addresses at which the working copy can be seen now.',
    status: 200,
    reply: Type.Object({ previews: Type.Array(PreviewSummaryShape) }, closed),
  },
  makePreview: {
    method: 'POST',
    path: `${API}/sites/:siteKey/previews`,
    summary: 'Makes a private address at which the working copy can be seen for a day.',
    body: Type.Object({ name: Type.Optional(PersonNameShape) }, closed),
    status: 201,
    reply: PreviewSummaryShape,
  },
  revokePreview: {
    method: 'POST',
    path: `${API}/sites/:siteKey/previews/revoke`,
    summary: 'Ends a private address before its time.',
    body: Type.Object({ token: TokenShape }, closed),
    status: 200,
    reply: Type.Object({ token: TokenShape }, closed),
  },
  deleteSite: {
    method: 'POST',
    path: `${API}/sites/:siteKey/delete`,
    summary: 'Deletes a site, whose name has to be given; it can be restored for a day.',
    body: Type.Object({ name: Type.String({ maxLength: 400 }) }, closed),
    status: 200,
    reply: DeletedSiteShape,
  },
  restoreSite: {
    method: 'POST',
    path: `${API}/sites/:siteKey/restore`,
    summary: 'Restores a site that was deleted less than a day ago.',
    body: Type.Object({}, closed),
    status: 200,
    reply: SiteSummaryShape,
  },
  tellPresence: {
    method: 'POST',
    path: `${API}/sites/:siteKey/people`,
    summary: 'Reports who is here and what they have selected, and returns everybody, unless they are known.',
    body: Type.Object(
      {
        ...PersonShape.properties,
        isLeaving: Type.Boolean(),
        /** Whom the window knows of, as a key (`peopleKey`); not there: nobody. */
        known: Type.Optional(Type.String({ maxLength: 20 })),
      },
      closed,
    ),
    status: 200,
    /** Null: those that the window knows of. */
    reply: Type.Object({ people: Type.Union([Type.Array(PersonShape), Type.Null()]) }, closed),
  },
  readArchive: {
    method: 'GET',
    path: `${API}/archive`,
    summary: 'The whole database as one archive (docs/archive.md).',
    status: 200,
    reply: Type.String(),
    replyType: 'application/gzip',
  },
  restoreArchive: {
    method: 'POST',
    path: `${API}/archive`,
    summary:
      'Restores the database from an archive, completely or not at all; replace=yes replaces existing data.',
    query: Type.Object({ replace: Type.Optional(Type.Literal('yes')) }, closed),
    body: 'application/gzip',
    status: 200,
    reply: Type.Object({ madeAt: Type.String(), rows: recordOf(Type.String(), whole) }, closed),
  },
  events: {
    method: 'GET',
    path: `${API}/events`,
    summary: 'Events of all sites as server-sent events: their revisions, and who is there.',
    status: 200,
    reply: ServerMessageShape,
    replyType: 'text/event-stream',
  },
  listEditions: {
    method: 'GET',
    path: `${API}/sites/:siteKey/editions`,
    summary: 'The editions of a site, latest first.',
    status: 200,
    reply: Type.Object({ editions: Type.Array(EditionSummaryShape) }, closed),
  },
  readEdition: {
    method: 'GET',
    path: `${API}/sites/:siteKey/editions/:number`,
    summary: 'The menus of an edition as visitors get them, and what its frame was made of.',
    status: 200,
    reply: Type.Object(
      {
        edition: EditionSummaryShape,
        menus: Type.Array(ResolvedMenuShape),
        /** Null: it was published before this was kept. */
        source: Type.Union([
          Type.Object(
            {
              site: SiteShape,
              parts: Type.Array(PartShape),
              styles: Type.Optional(Type.Array(StyleShape)),
              tokens: Type.Optional(Type.Array(DesignTokenShape)),
              ownCss: Type.Optional(Type.Array(OwnCssShape)),
            },
            closed,
          ),
          Type.Null(),
        ]),
      },
      closed,
    ),
  },
  publish: {
    method: 'POST',
    path: `${API}/sites/:siteKey/editions`,
    summary: 'Publishes the working copy as a new edition, which is live from then on.',
    body: Type.Object(
      { note: Type.String({ maxLength: 400 }), revision: whole, name: Type.Optional(PersonNameShape) },
      closed,
    ),
    status: 201,
    reply: EditionSummaryShape,
  },
} as const satisfies Record<string, Route>;

/** The page that is marked as the current one, by its path. */
const pageQuery = Type.Object({ page: Type.Optional(Type.String({ maxLength: 2048 })) }, closed);

/** HTML, or the bands and parts as data. */
const AreaReplyShape = Type.Union([Type.String(), Type.Array(ResolvedPartShape)]);
const FrameReplyShape = Type.Object(
  {
    page: Type.Union([Type.String(), Type.Null()]),
    template: Type.Union([Type.String(), Type.Null()]),
    language: Type.String(),
    direction: Type.Enum(['ltr', 'rtl'] as const),
    header: AreaReplyShape,
    side: AreaReplyShape,
    footer: AreaReplyShape,
    places: recordOf(Type.String(), AreaReplyShape),
    css: Type.Optional(Type.String()),
    script: Type.Optional(Type.String()),
    skip: Type.Optional(Type.String()),
    words: Type.Optional(recordOf(Type.String(), Type.String())),
    way: Type.Optional(Type.Array(Type.Object({ path: Type.String(), title: Type.String() }, closed))),
    anchors: Type.Optional(Type.Array(Type.Object({ id: Type.String(), title: Type.String() }, closed))),
    year: Type.Optional(whole),
  },
  closed,
);

/** The page that a part of the frame is for, or its template where nobody knows the page. */
const frameQuery = Type.Object(
  { ...pageQuery.properties, template: Type.Optional(Type.String({ maxLength: 200 })) },
  closed,
);

/** What the public reads. Outside of the editor's API: any origin may ask. */
export const deliveryRoutes = {
  menu: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/menus/:menuKey`,
    summary: 'A menu of the live edition as a tree.',
    status: 200,
    reply: ResolvedMenuShape,
  },
  menuHtml: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/menus/:menuKey.html`,
    summary: 'The same as HTML, for use in a template.',
    query: pageQuery,
    status: 200,
    reply: Type.String(),
    replyType: 'text/html',
  },
  panelHtml: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/panels/:menuKey/:itemId.html`,
    summary: 'The content of a panel that is loaded when first opened.',
    query: pageQuery,
    status: 200,
    reply: Type.String(),
    replyType: 'text/html',
  },
  picture: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/pictures/:name`,
    summary: 'A picture file of the edition’s panels.',
    status: 200,
    reply: Type.String(),
    replyType: 'image/webp',
  },
  styles: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/navigation.css`,
    summary: 'The style sheet of the site’s menus.',
    status: 200,
    reply: Type.String(),
    replyType: 'text/css',
  },
  script: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/navigation.js`,
    summary: 'The script of the site’s menus, which also work without it.',
    status: 200,
    reply: Type.String(),
    replyType: 'text/javascript',
  },
  frame: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/frame`,
    summary: 'Everything around the content of a page, as HTML fragments or, with as=data, as data.',
    query: Type.Object(
      {
        ...pageQuery.properties,
        template: Type.Optional(Type.String({ maxLength: 200 })),
        as: Type.Optional(Type.Literal('data')),
        fields: Type.Optional(Type.String({ maxLength: 1640 })),
        depth: Type.Optional(whole),
      },
      closed,
    ),
    status: 200,
    reply: FrameReplyShape,
  },
  frameFragment: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/frame/:area.html`,
    summary: 'One part of the frame as HTML: skip, header, side or footer.',
    query: frameQuery,
    status: 200,
    reply: Type.String(),
    replyType: 'text/html',
  },
  framePlace: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/frame/places/:place.html`,
    summary: 'A named place within the page as HTML.',
    query: frameQuery,
    status: 200,
    reply: Type.String(),
    replyType: 'text/html',
  },
  staticFiles: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/static.zip`,
    summary: 'All files of the live edition, with a page that uses them, for sites that serve files alone.',
    status: 200,
    reply: Type.String(),
    replyType: 'application/zip',
  },
  embedScript: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/embed.js`,
    summary: 'The script for a menu that is put into a page by a snippet.',
    status: 200,
    reply: Type.String(),
    replyType: 'text/javascript',
  },
} as const satisfies Record<string, Route>;
