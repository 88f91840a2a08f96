import {
  capitalised,
  catalogue,
  EDIT_VERSION,
  operationKinds,
  partKinds,
  type ErrorCode,
} from '@zorvik/core';
import type { Route } from './route.ts';
import { deliveryRoutes, routes } from './routes.ts';
import { referring, sharedShapes } from './sharedShapes.ts';

type Json = Record<string, unknown>;

/** Where both sides answer when nothing else is set. */
const EDITOR = 'http://127.0.0.1:4780';
const DELIVERED = 'http://127.0.0.1:4782';

const component = (name: string): string => `#/components/schemas/${name}`;

/** The HTTP contract as OpenAPI 3.1, made of the very schemas that the server checks with. */
export function openApi(): Json {
  const paths: Record<string, Json> = {};
  const sides = [
    [routes, 'editor'],
    [deliveryRoutes, 'delivery'],
  ] as const;
  for (const [side, tag] of sides) {
    for (const [name, route] of Object.entries<Route>(side)) {
      const path = route.path.replaceAll(/:(\w+)/g, '{$1}');
      const servers =
        tag === 'delivery'
          ? { servers: [{ url: DELIVERED, description: 'Delivery, at its usual port' }] }
          : {};
      paths[path] = {
        ...paths[path],
        ...servers,
        [route.method.toLowerCase()]: operationOf(name, route, tag),
      };
    }
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Zorvik',
      version: `1.${EDIT_VERSION}`,
      description: 'The API of the editor, and the delivery of published menus.',
      license: { name: 'MIT', identifier: 'MIT' },
      contact: { name: 'The operators of this Zorvik', url: EDITOR },
    },
    servers: [{ url: EDITOR, description: 'The editor, at its usual port' }],
    security: [],
    tags: [
      {
        name: 'delivery',
        description: 'The live edition of each site, for sites and their visitors. Open to any origin.',
      },
      {
        name: 'editor',
        description: 'Used by the editor. Only the editor’s own pages on this machine may use it.',
      },
    ],
    paths,
    components: { schemas: described(sharedShapes(component)), responses: refusals() },
  };
}

/** With discriminators that say which component each kind of operation, and each kind of part, is. */
function described(schemas: Record<string, unknown>): Record<string, unknown> {
  const byKind = (kinds: readonly string[], ending = ''): Json => ({
    propertyName: 'kind',
    mapping: Object.fromEntries(kinds.map((kind) => [kind, component(`${capitalised(kind)}${ending}`)])),
  });
  return {
    ...schemas,
    Operation: { ...(schemas.Operation as Json), discriminator: byKind(Object.keys(operationKinds)) },
    Part: { ...(schemas.Part as Json), discriminator: byKind(partKinds, 'Part') },
  };
}

/** What each status of a refusal means. */
const statuses: Readonly<Record<number, string>> = {
  400: 'The request cannot be read or does not match its schema.',
  403: 'Not allowed from that origin or for this person.',
  404: 'There is no such site, menu, edition, picture or path.',
  409: 'The request conflicts with the current state of the site.',
  413: 'The body is larger than the limit.',
  422: 'The content was understood but is not valid.',
  500: 'A server error. The server’s log has the details under the id given.',
  503: 'The database, its disk or the editor is not available at the moment.',
};

/** A response for each status, with the codes that come with it. */
function refusals(): Json {
  return Object.fromEntries(
    Object.entries(statuses).map(([status, description]) => {
      const codes = (Object.keys(catalogue) as ErrorCode[]).filter(
        (code) => catalogue[code].status === Number(status),
      );
      const schema = { $ref: component('Error') };
      return [
        `Refused${status}`,
        {
          description: `${description} Codes: ${codes.join(', ')}.`,
          content: { 'application/json': { schema } },
        },
      ];
    }),
  );
}

/** The statuses with which a route may be refused. */
function refusedWith({ path, method, body, query }: Route, tag: 'editor' | 'delivery'): number[] {
  if (tag === 'delivery') return [404, 503];
  const isAsked = body !== undefined || query !== undefined || path.includes(':');
  const isTaking = method === 'POST';
  return [
    ...(isAsked ? [400] : []),
    403,
    ...(path.includes(':') ? [404] : []),
    ...(isTaking ? [409, 413, 422] : []),
    500,
    503,
  ];
}

function operationOf(name: string, route: Route, tag: 'editor' | 'delivery'): Json {
  const { summary, body, status, reply, replyType = 'application/json' } = route;
  const content =
    typeof body === 'string'
      ? { [body]: { schema: { type: 'string', format: 'binary' } } }
      : { 'application/json': { schema: referring(body, component) } };
  const refused = refusedWith(route, tag).map((one) => [
    String(one),
    { $ref: `#/components/responses/Refused${one}` },
  ]);
  return {
    operationId: name,
    tags: [tag],
    summary,
    description: summary,
    parameters: [...pathParameters(route), ...queryParameters(route)],
    ...(body === undefined ? {} : { requestBody: { required: true, content } }),
    responses: {
      [status]: { description: summary, content: { [replyType]: { schema: referring(reply, component) } } },
      ...Object.fromEntries(refused),
    },
  };
}

function pathParameters({ path }: Route): Json[] {
  const isPicture = path.includes('/pictures/');
  return [...path.matchAll(/:(\w+)/g)].map(([, name = '']) => {
    const description = isPicture && name === 'name' ? 'The name of a picture’s file.' : pathWords[name];
    return { name, in: 'path', required: true, description, schema: { type: 'string' } };
  });
}

function queryParameters({ query }: Route): Json[] {
  const shape = query as { properties?: Record<string, unknown>; required?: string[] } | undefined;
  return Object.entries(shape?.properties ?? {}).map(([name, schema]) => ({
    name,
    in: 'query',
    required: shape?.required?.includes(name) ?? false,
    description: queryWords[name],
    schema: referring(schema, component),
  }));
}

/** What parameters of a path mean. A test holds that none is missing. */
const pathWords: Readonly<Record<string, string>> = {
  siteKey: 'The ID of a site, as in its delivery address.',
  menuKey: 'The ID of a menu, as in its delivery address.',
  itemId: 'The id of an item.',
  number: 'The number of an edition.',
  area: 'What of the frame is wanted: skip, header, side or footer.',
  place: 'The name of a place within the page, as in its delivery address.',
};

/** What parameters of a query mean. A test holds that none is missing. */
const queryWords: Readonly<Record<string, string>> = {
  name: 'The name of the new site; for an edit or an import, the name of its author.',
  key: 'The ID of the new site; by default it is made from the name.',
  language: 'The main language of the new site (BCP 47).',
  direction: 'The writing direction of the new site; by default that of its language.',
  timeZone: 'The time zone of the new site (IANA).',
  missing: 'What happens to pages that are no longer found: they are kept, or deleted (which can be undone).',
  session: 'The session that makes the edit, or whose edits are wanted.',
  since: 'Return edits after this revision.',
  known: 'The latest revision that the client has.',
  epoch: 'The epoch that the client has; it changes when a site is restored from an archive.',
  before: 'Return entries before this revision.',
  about: 'Return only entries about the page, item, menu or part with this id.',
  replace: 'Whether existing data may be replaced.',
  page: 'The path of the current page: links to it, and to pages above it, are marked.',
  template: 'The key of a template, for pages that are not known by their path.',
  as: 'What the frame comes as: data, or by default HTML.',
  fields: 'Names of fields, with commas between them: only these are given of each item.',
  depth: 'How many levels of items are given.',
  trust: 'The kind of evidence that decides between contradicting positions.',
};
