import { readFileSync } from 'node:fs';
import { SettingsShape, StarterStyleShape } from '@zorvik/core';

interface MenuSchema {
  readonly $defs: { readonly item: { readonly properties: { settings: object } } };
}

/**
 * The published schema of menus, docs/formats/menu-1.schema.json: written by hand, but for the settings of items and
 * their looks, which are those that there are.
 */
export function menuSchema(): object {
  const schema = JSON.parse(
    readFileSync(new URL('../../../docs/formats/menu-1.schema.json', import.meta.url), 'utf8'),
  ) as MenuSchema;
  const { properties } = SettingsShape as unknown as { properties: object };
  schema.$defs.item.properties.settings = {
    type: 'object',
    properties: { ...properties, looks: { type: 'array', maxItems: 100, items: StarterStyleShape } },
    additionalProperties: false,
  };
  return schema;
}
