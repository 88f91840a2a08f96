import { writeFileSync } from 'node:fs';
import { format, resolveConfig } from 'prettier';
import { frameSchema } from '../packages/formats/test/frameSchema.ts';
import { menuSchema } from '../packages/formats/test/menuSchema.ts';
import { styleSchema } from '../packages/formats/test/styleSchema.ts';

/** Writes the published schemas of our own formats anew, from what they are made of. */
for (const [name, schema] of [
  ['menu-1', menuSchema()],
  ['frame-1', frameSchema()],
  ['style-1', styleSchema()],
] as const) {
  const path = new URL(`../docs/formats/${name}.schema.json`, import.meta.url).pathname;
  const options = { ...(await resolveConfig(path)), filepath: path };
  writeFileSync(path, await format(JSON.stringify(schema, null, 2), options));
}
