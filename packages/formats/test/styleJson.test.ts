import { readFileSync } from 'node:fs';
import Ajv2020 from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import {
  addVariant,
  applyEdit,
  areaId,
  importStyle,
  levelOwner,
  setLooks,
  styleChanged,
  styleOf,
  variantOwner,
  writeOwnCss,
  addToken,
  type Edit,
  type Result,
  type SiteDocument,
  type StyleTarget,
} from '@zorvik/core';
import { contextOf, outlined } from '@zorvik/core/testing';
import { readStyleFile, STYLE_SCHEMA, writeStyleFile } from '../src/index.ts';
import { styleSchema } from './styleSchema.ts';

const here = outlined('Visit\n  Tickets\nShop');
const there = outlined('Other\nPages');
function done(document: SiteDocument, made: Result<Edit>): SiteDocument {
  const applied = made.ok ? applyEdit(document, made.value) : made;
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}
const looks: readonly (readonly [StyleTarget, string])[] = [
  [{ owner: here.document.site.id, thing: 'barEntry', state: 'hover' }, '@fern'],
  [{ owner: areaId('footer'), thing: 'entry', device: 'narrow' }, '#112233'],
  [{ owner: here.menu, thing: 'entry', scheme: 'dark' }, '#ddeeff'],
  [{ owner: levelOwner(here.menu, 2), thing: 'entry' }, '@accent'],
  [{ owner: variantOwner('pill'), thing: 'variant' }, '@ink'],
  [{ owner: 'template:plant list', thing: 'entry' }, '#445566'],
  [{ owner: here.ids.get('Shop') ?? '', thing: 'entry' }, '#778899'],
];
/** A site with everything that looks can have. */
const styled = [
  (now: SiteDocument) => addToken(contextOf(now), 'colour', { name: 'Fern', value: '#2f6b3a' }),
  (now: SiteDocument) => addVariant(contextOf(now), 'Pill', 'outline'),
  ...looks.map(
    ([target, color]) =>
      (now: SiteDocument) =>
        setLooks(contextOf(now), target, { color }),
  ),
  (now: SiteDocument) =>
    writeOwnCss(contextOf(now), here.menu, [
      { selectors: ['a'], declarations: [{ name: 'letter-spacing', value: '.1em' }] },
    ]),
].reduce<SiteDocument>((now, make) => done(now, make(now)), {
  ...here.document,
  site: { ...here.document.site, starter: 'slate@1', hasDark: true as const },
});
const text = writeStyleFile(styleOf(styled).style);
const read = (given: string) => {
  const found = readStyleFile(given);
  if (!found.ok) throw new Error(found.refusal.message);
  return found.value;
};

describe('looks as a file', () => {
  it('come back identically: into the same site without a change, into another one with all of it', () => {
    expect(read(text)).toEqual(JSON.parse(JSON.stringify(styleOf(styled).style)));
    expect(styleOf(styled).left).toBe(1);
    expect(styleChanged(contextOf(styled), read(text)).changes).toEqual([]);
    const again = importStyle(contextOf(styled), read(text));
    expect(again.ok ? null : again.refusal.code).toBe('nothingToImport');
    const other = done(there.document, importStyle(contextOf(there.document), read(text)));
    expect(JSON.parse(JSON.stringify(styleOf(other).style))).toEqual(read(text));
  });

  it('say before what an import changes, and skip what this site has no place for', () => {
    const foreign = {
      ...read(text),
      looks: [{ place: 'menu:elsewhere', thing: 'entry' as const, color: '#000000' }, ...read(text).looks],
    };
    const { changes, problems } = styleChanged(contextOf(there.document), foreign);
    expect(problems).toEqual(['This site has no menu elsewhere.']);
    expect(changes).toContain('Added the colour “Fern”, #2f6b3a');
    expect(changes.some((one) => one.startsWith('Set hover text of bar entries'))).toBe(true);
  });

  it.each([
    ['no JSON', '{', /JSON/],
    ['another format', '{"format":"zorvik-frame","version":1}', /is not “zorvik-style”/],
    ['a newer version', '{"format":"zorvik-style","version":2}', /version is 2/],
    ['an unknown field', text.replace('"names"', '"onclick"'), /names|onclick|additional/],
    ['an unknown thing', text.replace('"barEntry"', '"body"'), /looks/],
    ['a value that leaves its place', text.replace('#112233', 'red;}body{'), /looks/],
    ['CSS that leaves its place', text.replace('.1em', '0}body{color:red'), /css/],
    ['a place that cannot be', text.replace('area:footer', 'area:page'), /looks/],
  ])('are refused with their place: %s', (_, given, problem) => {
    const found = readStyleFile(given);
    expect(found.ok ? null : found.refusal.message).toMatch(problem);
  });

  it('have a published schema, which is made of the things and properties and takes what is written', () => {
    const schema = JSON.parse(
      readFileSync(new URL('../../../docs/formats/style-1.schema.json', import.meta.url), 'utf8'),
    ) as object;
    expect(schema).toEqual(JSON.parse(JSON.stringify(styleSchema())));
    expect(JSON.parse(text)).toMatchObject({ $schema: STYLE_SCHEMA });
    const fits = new Ajv2020({ strict: false, validateFormats: false }).compile(schema);
    expect(fits(JSON.parse(text)), JSON.stringify(fits.errors)).toBe(true);
    expect(fits({ format: 'zorvik-style', version: 1, names: [], looks: [{ place: 'x' }], css: [] })).toBe(
      false,
    );
  });
});
