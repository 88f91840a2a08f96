import { EDIT_VERSION, OperationShape } from '@zorvik/core';
import type { Route } from './route.ts';
import { deliveryRoutes, ErrorEnvelopeShape, ResolvedItemShape, ResolvedPartShape, routes } from './routes.ts';

type Json = Record<string, unknown>;

/** The HTTP contract as OpenAPI 3.1, made of the very schemas that the server checks with. */
export function openApi(): Json {
  const paths: Record<string, Json> = {};
  for (const [name, route] of Object.entries<Route>({ ...routes, ...deliveryRoutes })) {
    const path = route.path.replaceAll(/:(\w+)/g, '{$1}');
    paths[path] = { ...paths[path], [route.method.toLowerCase()]: operationOf(name, route) };
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Zorvik', version: `1.${EDIT_VERSION}`, description: 'The editor’s API, and what sites are delivered.' },
    paths,
    components: {
      schemas: {
        ResolvedItem: withoutIds(ResolvedItemShape),
        ResolvedPart: withoutIds(ResolvedPartShape),
        Operation: withoutIds(OperationShape),
        Error: ErrorEnvelopeShape,
      },
    },
  };
}

function operationOf(name: string, route: Route): Json {
  const { summary, body, status, reply, replyType = 'application/json' } = route;
  const content = typeof body === 'string' ? { [body]: { schema: { type: 'string' } } } : { 'application/json': { schema: withoutIds(body) } };
  return {
    operationId: name,
    summary,
    parameters: [...pathParameters(route), ...queryParameters(route)],
    ...(body === undefined ? {} : { requestBody: { required: true, content } }),
    responses: {
      [status]: { description: summary, content: { [replyType]: { schema: withoutIds(reply) } } },
      default: {
        description: 'A refusal: what, where, what was expected.',
        content: { 'application/json': { schema: { $ref: '#/components/schemas/Error' } } },
      },
    },
  };
}

function pathParameters({ path }: Route): Json[] {
  return [...path.matchAll(/:(\w+)/g)].map(([, name]) => ({ name, in: 'path', required: true, schema: { type: 'string' } }));
}

function queryParameters({ query }: Route): Json[] {
  const shape = query as { properties?: Record<string, unknown>; required?: string[] } | undefined;
  return Object.entries(shape?.properties ?? {}).map(([name, schema]) => ({ name, in: 'query', required: shape?.required?.includes(name) ?? false, schema }));
}

/** The same schema with references that OpenAPI resolves within the document. */
function withoutIds(schema: unknown): unknown {
  if (schema === undefined) return undefined;
  const led = (key: string, value: unknown): unknown => {
    if (key === '$id') return undefined;
    return key === '$ref' ? `#/components/schemas/${String(value)}` : value;
  };
  return JSON.parse(JSON.stringify(schema, led));
}
