import { describe, expect, it } from 'vitest';
import { operationKinds, StoredDocumentShape } from '@zorvik/core';
import { portableShape } from '@zorvik/core/testing';
import {
  deliveryRoutes,
  ErrorEnvelopeShape,
  ResolvedItemShape,
  ResolvedPartShape,
  routes,
  type Route,
} from '../src/index.ts';

type Schema = Record<string, unknown>;

/**
 * The places in a schema where an object takes fields that nobody named. Explicit stack: schemas are deep.
 */
function openPlaces(name: string, schema: unknown): string[] {
  const open: string[] = [];
  const stack: { readonly at: string; readonly schema: unknown }[] = [{ at: name, schema }];
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    if (typeof next.schema !== 'object' || next.schema === null) continue;
    const {
      type,
      properties,
      patternProperties,
      additionalProperties,
      items,
      anyOf,
      oneOf,
      allOf,
      discriminator,
    } = next.schema as Schema;
    // A union by a discriminator says `object` for its members, which are looked at themselves.
    if (type === 'object' && discriminator === undefined && additionalProperties !== false)
      open.push(next.at);
    for (const [key, group] of Object.entries({ properties, patternProperties })) {
      for (const [field, inner] of Object.entries((group ?? {}) as Schema))
        stack.push({ at: `${next.at} ${key} ${field}`, schema: inner });
    }
    for (const [at, inner] of [items, anyOf, oneOf, allOf].flat().entries())
      stack.push({ at: `${next.at}/${at}`, schema: inner });
  }
  return open;
}

const shapes: readonly (readonly [string, unknown])[] = [
  ...Object.entries<Route>({ ...routes, ...deliveryRoutes }).flatMap(([name, { query, body, reply }]) => [
    [`${name} query`, query] as const,
    [`${name} body`, body] as const,
    [`${name} reply`, reply] as const,
  ]),
  ...Object.values(operationKinds).map(({ kind, shape }) => [`operation ${kind}`, shape] as const),
  ['stored document', StoredDocumentShape],
  ['portable panel', portableShape()],
  ['resolved item', ResolvedItemShape],
  ['resolved part', ResolvedPartShape],
  ['error', ErrorEnvelopeShape],
];

describe('laws of every schema', () => {
  it('an open object is found, at any depth', () => {
    expect(
      openPlaces('it', {
        type: 'object',
        additionalProperties: false,
        properties: { a: { type: 'array', items: { anyOf: [{ type: 'object' }] } } },
      }),
    ).toHaveLength(1);
  });

  it.each(shapes)('%s refuses a field that nobody knows, at every depth', (name, schema) => {
    // A log may hold operations that are older than the present shapes.
    const isLogged = (at: string): boolean => / reply .*\bedits\/0 properties operations\/0$/.test(at);
    expect(openPlaces(name, schema).filter((at) => !isLogged(at))).toEqual([]);
  });
});
