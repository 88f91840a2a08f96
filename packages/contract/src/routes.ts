import Type, { type Static } from 'typebox';
import { closed, EditShape, IdShape, KeyShape, LabelShape, LanguageShape, LoggedEditShape, StoredDocumentShape } from '@zorvik/core';
import type { Route } from './route.ts';

export const API = '/api/v1';
export const DELIVERY = '/delivery/v1';

const whole = Type.Integer({ minimum: 0 });

/** What every refusal comes back as, whatever the status. */
export const ErrorEnvelopeShape = Type.Object(
  {
    error: Type.Object({ code: Type.String(), message: Type.String(), params: Type.Record(Type.String(), Type.Union([Type.String(), Type.Number()])) }, closed),
  },
  closed,
);
export type ErrorEnvelope = Static<typeof ErrorEnvelopeShape>;

export const EditionSummaryShape = Type.Object(
  { number: Type.Integer({ minimum: 1 }), revision: whole, at: Type.String(), actor: Type.String(), note: Type.String(), items: whole },
  closed,
);
export type EditionSummary = Static<typeof EditionSummaryShape>;

export const SiteSummaryShape = Type.Object(
  { key: KeyShape, name: LabelShape, origin: Type.String(), revision: whole, pages: whole, menus: whole, edition: Type.Union([Type.Integer(), Type.Null()]) },
  closed,
);
export type SiteSummary = Static<typeof SiteSummaryShape>;

export type ResolvedItemData = {
  id: string;
  label: string;
  href: string | null;
  opensNewTab: boolean;
  children: ResolvedItemData[];
};
const RESOLVED_ITEM = 'ResolvedItem';
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
  },
});
export const ResolvedMenuShape = Type.Object(
  {
    key: KeyShape,
    name: Type.String(),
    language: LanguageShape,
    direction: Type.Union([Type.Literal('ltr'), Type.Literal('rtl')]),
    items: Type.Array(Type.Unsafe<ResolvedItemData>({ $ref: RESOLVED_ITEM })),
  },
  closed,
);

const SavedShape = Type.Object({ revision: whole, edits: Type.Array(LoggedEditShape) }, closed);

/** Lines of an import's reply: how far it is, and at the end what became of it. */
export const ImportLineShape = Type.Union([
  Type.Object({ stored: whole, of: whole }, closed),
  Type.Object(
    {
      done: Type.Object({ site: KeyShape, added: whole, retired: whole, revived: whole, duplicates: whole, revision: whole }, closed),
    },
    closed,
  ),
  ErrorEnvelopeShape,
]);
export type ImportLine = Static<typeof ImportLineShape>;

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
    reply: Type.Object({ sites: Type.Array(SiteSummaryShape), standIn: Type.Union([Type.String(), Type.Null()]) }, closed),
  },
  makeSite: {
    method: 'POST',
    path: `${API}/sites`,
    summary: 'Makes a site without pages.',
    body: NewSiteShape,
    status: 201,
    reply: SiteSummaryShape,
  },
  makeSiteFromSitemap: {
    method: 'POST',
    path: `${API}/sites/from-sitemap`,
    summary: 'Makes a site of the addresses in a sitemap. Nothing is stored when the file is refused.',
    query: NewSiteShape,
    body: XML,
    status: 201,
    reply: ImportLineShape,
    replyType: JSON_LINES,
  },
  importPages: {
    method: 'POST',
    path: `${API}/sites/:siteKey/imports`,
    summary: 'Reads a sitemap into a site: new addresses are added; with missing=retire, pages that it does not name are retired.',
    query: Type.Object(
      {
        missing: Type.Union([Type.Literal('keep'), Type.Literal('retire')]),
        session: IdShape,
      },
      closed,
    ),
    body: XML,
    status: 201,
    reply: ImportLineShape,
    replyType: JSON_LINES,
  },
  readSite: {
    method: 'GET',
    path: `${API}/sites/:siteKey`,
    summary: 'The whole working copy of a site, and the revision that it is at.',
    status: 200,
    reply: Type.Object({ revision: whole, document: StoredDocumentShape, edition: Type.Union([EditionSummaryShape, Type.Null()]) }, closed),
  },
  readEdits: {
    method: 'GET',
    path: `${API}/sites/:siteKey/edits`,
    summary: 'The log after a revision, oldest first, at most 1,000 edits.',
    query: Type.Object({ since: Type.Integer({ minimum: 0 }) }, closed),
    status: 200,
    reply: SavedShape,
  },
  saveEdit: {
    method: 'POST',
    path: `${API}/sites/:siteKey/edits`,
    summary: 'Keeps an edit, and gives all edits since its base, itself among them. The same id again gives the same answer.',
    body: EditShape,
    status: 200,
    reply: SavedShape,
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
    summary: 'The menus of an edition, as visitors get them.',
    status: 200,
    reply: Type.Object({ edition: EditionSummaryShape, menus: Type.Array(ResolvedMenuShape) }, closed),
  },
  publish: {
    method: 'POST',
    path: `${API}/sites/:siteKey/editions`,
    summary: 'Makes an edition of the working copy; the site is served it from now on.',
    body: Type.Object({ note: Type.String({ maxLength: 400 }), revision: whole }, closed),
    status: 201,
    reply: EditionSummaryShape,
  },
} as const satisfies Record<string, Route>;

/** What the public reads. Outside of the editor's API: any origin may ask. */
export const deliveryRoutes = {
  menu: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/menus/:menuKey`,
    summary: 'A menu of the current edition as a tree.',
    status: 200,
    reply: ResolvedMenuShape,
  },
  menuHtml: {
    method: 'GET',
    path: `${DELIVERY}/sites/:siteKey/menus/:menuKey.html`,
    summary: 'The same as HTML, to be put into a template.',
    status: 200,
    reply: Type.String(),
    replyType: 'text/html',
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
    summary: 'The script of the site’s menus; they work without it, too.',
    status: 200,
    reply: Type.String(),
    replyType: 'text/javascript',
  },
} as const satisfies Record<string, Route>;
