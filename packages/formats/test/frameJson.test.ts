import { readFileSync } from 'node:fs';
import Ajv2020 from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import {
  applyEdit,
  frameStarters,
  frameOnSite,
  portableFrame,
  renderPage,
  seededRandom,
  setException,
  situationOn,
  useFrameStarter,
  type CommandContext,
  type Edit,
  type Result,
  type SiteDocument,
} from '@zorvik/core';
import { contextOf as contextWith, outlined } from '@zorvik/core/testing';
import { FRAME_SCHEMA, readFrameFile, writeFrameFile } from '../src/index.ts';
import { frameSchema } from './frameSchema.ts';

const pages = '/ Home\n/shop Shop\n/help Help';
const here = outlined('Shop > /shop', pages);
const there = outlined('Other > /help', pages);
const random = seededRandom(3);
const contextOf = (document: SiteDocument): CommandContext => ({ ...contextWith(document), random });
function done(document: SiteDocument, made: Result<Edit>): SiteDocument {
  const applied = made.ok ? applyEdit(document, made.value) : made;
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}
const [, , shop] = frameStarters;
let composed = done(here.document, useFrameStarter(contextOf(here.document), shop!));
const placement = [...composed.parts.nodes.values()].find(({ kind }) => kind === 'placement')!.id;
composed = done(
  composed,
  setException(contextOf(composed), placement, { onPage: here.ids.get('/help') ?? '' }, { isShown: false }),
);
const text = writeFrameFile({ name: 'Shop front', areas: portableFrame(composed) });
const areasIn = (given: string) => {
  const read = readFrameFile(given);
  if (!read.ok) throw new Error(read.refusal.message);
  return read.value;
};
const taken = (document: SiteDocument, given: string): SiteDocument => {
  const { name, areas } = areasIn(given);
  const rows = frameOnSite(document, areas);
  return done(document, useFrameStarter(contextOf(document), { name, rows }));
};
const headerOn = (document: SiteDocument, page: string): string =>
  renderPage(document, situationOn(document, page), {
    compareTitles: () => 0,
    pictures: '',
    year: 2026,
  }).header.replaceAll(/c[0-9a-z]{15}|[a-z][0-9a-z]{15}/g, 'ID');

describe('a frame as a file', () => {
  it('gives the same frame on another site: pages by their addresses, menus by their IDs, exceptions included', () => {
    const other = taken(there.document, text);
    const front = headerOn(other, there.ids.get('/shop') ?? '');
    expect(front).toContain('zv-zone-centre');
    expect(front).toContain('>Other</a>');
    expect(headerOn(other, there.ids.get('/help') ?? '')).not.toContain('>Other</a>');
    expect(JSON.parse(writeFrameFile({ name: 'Shop front', areas: portableFrame(other) }))).toEqual(
      JSON.parse(text),
    );
  });

  it('leaves a place waiting where its menu is not there, and exceptions for pages that are not there out', () => {
    const bare = outlined('', '/ Home');
    const alone = {
      ...bare.document,
      menus: { ...bare.document.menus, nodes: bare.document.menus.nodes.without(bare.menu) },
    };
    const rows = frameOnSite(alone, areasIn(text).areas);
    const kept = JSON.stringify(rows);
    expect(kept).toContain('"kind":"placement"');
    expect(kept).not.toContain('"shows"');
    expect(kept).not.toContain('"exception"');
  });

  it.each([
    ['', /JSON/],
    ['[]', /“format”/],
    ['{"format":"zorvik-frame","version":2,"areas":[]}', /version is 2/],
    ['{"format":"zorvik-frame","version":1}', /no list “areas”/],
    ['{"format":"zorvik-frame","version":1,"areas":[{"kind":"band"}]}', /areas\[0\] is not an area/],
    ['{"format":"zorvik-frame","version":1,"areas":[{"kind":"area","area":"attic"}]}', /areas\[0\]\/area/],
    [
      '{"format":"zorvik-frame","version":1,"areas":[{"kind":"area","area":"header","parts":[{"kind":"logo","x":1}]}]}',
      /parts/,
    ],
    [
      `{"format":"zorvik-frame","version":1,"areas":[${'{"kind":"area","parts":['.repeat(5000)}${']}'.repeat(5000)}]}`,
      /areas\[0\]/,
    ],
  ])('says what is wrong with %.60s', (given, words) => {
    const read = readFrameFile(given);
    expect(read.ok ? '' : read.refusal.code).toBe('badFrameFile');
    expect(read.ok ? '' : read.refusal.message).toMatch(words);
  });

  it('cleans own HTML that is in it', () => {
    const given = {
      format: 'zorvik-frame',
      version: 1,
      areas: [
        {
          kind: 'area',
          area: 'footer',
          parts: [
            {
              kind: 'band',
              parts: [
                {
                  kind: 'cell',
                  span: 12,
                  parts: [{ kind: 'html', html: '<p onclick="x()">a<script>b</script></p>' }],
                },
              ],
            },
          ],
        },
      ],
    };
    const site = taken(there.document, JSON.stringify(given));
    expect([...site.parts.nodes.values()].find(({ kind }) => kind === 'html')?.html).toBe('<p>a</p>');
  });

  it('has a published schema, which is made of the kinds of parts and takes what is written', () => {
    const schema = JSON.parse(
      readFileSync(new URL('../../../docs/formats/frame-1.schema.json', import.meta.url), 'utf8'),
    ) as object;
    expect(schema).toEqual(JSON.parse(JSON.stringify(frameSchema())));
    expect(JSON.parse(text)).toMatchObject({ $schema: FRAME_SCHEMA });
    const fits = new Ajv2020({ strict: false, validateFormats: false }).compile(schema);
    expect(fits(JSON.parse(text)), JSON.stringify(fits.errors)).toBe(true);
    expect(fits({ format: 'zorvik-frame', version: 1, areas: [{ kind: 'area', onclick: 1 }] })).toBe(false);
  });
});
