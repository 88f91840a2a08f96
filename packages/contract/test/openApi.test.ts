import { createConfig, lintFromString } from '@redocly/openapi-core';
import spectral from '@stoplight/spectral-core';
import parsers from '@stoplight/spectral-parsers';
import rulesets from '@stoplight/spectral-rulesets';
import { describe, expect, it } from 'vitest';
import { catalogue, operationKinds } from '@zorvik/core';
import { deliveryRoutes, openApi, routes, type Route } from '../src/index.ts';

interface Parameter {
  readonly name: string;
  readonly in: string;
  readonly description?: string;
}
interface Described {
  readonly paths: Record<
    string,
    Record<
      string,
      {
        operationId: string;
        parameters: Parameter[];
        requestBody?: unknown;
        responses: Record<string, { $ref?: string }>;
      }
    >
  >;
  readonly components: {
    readonly schemas: Record<
      string,
      { oneOf?: { $ref: string }[]; discriminator?: { mapping: Record<string, string> } }
    >;
    readonly responses: Record<string, { description: string }>;
  };
}

const described = openApi() as unknown as Described;
const text = JSON.stringify(described);
const all = Object.entries<Route>({ ...routes, ...deliveryRoutes });

describe('the HTTP contract', () => {
  it.each(all)(
    '%s is described with its parameters, body, replies and refusals',
    (name, { path, method, query, body, status }) => {
      const operation = described.paths[path.replaceAll(/:(\w+)/g, '{$1}')]?.[method.toLowerCase()];
      expect(operation?.operationId).toBe(name);
      const named = [...path.matchAll(/:(\w+)/g)].map(([, one]) => one);
      expect(operation?.parameters.filter((one) => one.in === 'path').map((one) => one.name)).toEqual(named);
      expect(operation?.parameters.filter((one) => one.in === 'query').map((one) => one.name)).toEqual(
        Object.keys((query as { properties?: object } | undefined)?.properties ?? {}),
      );
      expect(operation?.parameters.filter(({ description }) => description === undefined)).toEqual([]);
      expect(operation?.requestBody !== undefined).toBe(body !== undefined);
      const { [status]: fine, ...refused } = operation?.responses ?? {};
      expect(fine).toBeDefined();
      expect(Object.keys(refused).some((one) => one.startsWith('4'))).toBe(true);
      expect(Object.keys(refused).some((one) => one.startsWith('5'))).toBe(true);
      for (const [code, { $ref }] of Object.entries(refused))
        expect($ref).toBe(`#/components/responses/Refused${code}`);
    },
  );

  it('refers only to what it holds, and holds only what it refers to', () => {
    const referred = [...text.matchAll(/"\$ref":"#\/components\/schemas\/(\w+)"/g)].map(
      ([, name = '']) => name,
    );
    expect(new Set(referred)).toEqual(new Set(Object.keys(described.components.schemas)));
    expect(text).not.toMatch(/"\$ref":"(?!#)/);
  });

  it('gives every operation kind a schema of its own, told apart by its kind', () => {
    const { oneOf = [], discriminator } = described.components.schemas.Operation ?? {};
    expect(Object.keys(discriminator?.mapping ?? {})).toEqual(Object.keys(operationKinds));
    expect(oneOf.map(({ $ref }) => $ref)).toEqual(Object.values(discriminator?.mapping ?? {}));
  });

  it('names every code of a refusal under its status', () => {
    for (const [code, { status }] of Object.entries(catalogue)) {
      if (status in { 405: 1, 415: 1 }) continue;
      expect(described.components.responses[`Refused${status}`]?.description, code).toMatch(
        new RegExp(`[ ,]${code}[,.]`),
      );
    }
  });

  it('has no error and no warning by two linters of OpenAPI', async () => {
    const linter = new spectral.Spectral();
    linter.setRuleset({ extends: [[rulesets.oas as never, 'recommended']] });
    const found = await linter.run(new spectral.Document(text, parsers.Json, 'openapi.json'));
    expect(found.map(({ code, path, message }) => `${code} at ${path.join('.')}: ${message}`)).toEqual([]);
    const config = await createConfig({ extends: ['recommended'] });
    const problems = await lintFromString({ source: text, absoluteRef: 'openapi.json', config });
    expect(problems.map(({ ruleId, message }) => `${ruleId}: ${message}`)).toEqual([]);
  });
});
