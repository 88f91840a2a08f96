import { describe, expect, it } from 'vitest';
import { operationKinds } from '@zorvik/core';
import { deliveryRoutes, openApi, routes, type Route } from '../src/index.ts';

interface Described {
  readonly paths: Record<
    string,
    Record<string, { operationId: string; parameters: { name: string; in: string }[]; requestBody?: unknown; responses: Record<string, unknown> }>
  >;
  readonly components: { readonly schemas: Record<string, unknown> };
}

const described = openApi() as unknown as Described;
const all = Object.entries<Route>({ ...routes, ...deliveryRoutes });

describe('the HTTP contract', () => {
  it.each(all)('%s is described with its parameters, body and replies', (name, { path, method, query, body, status }) => {
    const operation = described.paths[path.replaceAll(/:(\w+)/g, '{$1}')]?.[method.toLowerCase()];
    expect(operation?.operationId).toBe(name);
    const named = [...path.matchAll(/:(\w+)/g)].map(([, one]) => one);
    expect(operation?.parameters.filter((one) => one.in === 'path').map((one) => one.name)).toEqual(named);
    expect(operation?.parameters.filter((one) => one.in === 'query').map((one) => one.name)).toEqual(
      Object.keys((query as { properties?: object } | undefined)?.properties ?? {}),
    );
    expect(operation?.requestBody !== undefined).toBe(body !== undefined);
    expect(Object.keys(operation?.responses ?? {})).toEqual([String(status), 'default']);
  });

  it('refers only to what it holds', () => {
    const text = JSON.stringify(described);
    const referred = [...text.matchAll(/"\$ref":"#\/components\/schemas\/(\w+)"/g)].map(([, name = '']) => name);
    expect(new Set(referred)).toEqual(new Set(Object.keys(described.components.schemas)));
    expect(text).not.toMatch(/"\$ref":"(?!#)/);
  });

  it('gives every operation kind its schema', () => {
    const { oneOf } = described.components.schemas.Operation as { oneOf: { properties: { kind: { const: string } } }[] };
    expect(oneOf).toHaveLength(Object.keys(operationKinds).length);
    expect(new Set(oneOf.map(({ properties }) => properties.kind.const)).size).toBe(oneOf.length);
  });
});
