import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import {
  applyEdit,
  bringIn,
  childrenOf,
  partsIn,
  planSketch,
  readStored,
  sketchOf,
  type PartFacts,
  type PartKind,
  type SiteDocument,
} from '@zorvik/core';
import { contextOf, outlined } from '@zorvik/core/testing';
import { menuFormats, readMenus } from '../src/index.ts';

const json = menuFormats.find(({ key }) => key === 'json')!;
const sample = readStored(
  JSON.parse(readFileSync(new URL('../../core/laws/samples/format-10.json', import.meta.url), 'utf8')) as {
    format: number;
  },
);
const menu = [...sample.menus.nodes.values()].find(({ key }) => key === 'menu-1')?.id ?? '';
const output = json.write({ name: 'Main', sketches: sketchOf(sample, childrenOf(sample.items, menu)) });

/** What is composed below a parent, without ids. */
function composed(document: SiteDocument, parent: string): (PartFacts & { kind: PartKind })[] {
  const owner =
    [...childrenOf(document.items, parent)].find((id) => childrenOf(document.parts, id).size > 0) ?? '';
  const places = new Map([...childrenOf(document.items, owner)].map((id, at) => [id, at]));
  return partsIn(document, owner).map(({ id: _, parent: __, item, picture: ___, ...facts }) => ({
    ...facts,
    ...(item === undefined ? {} : { item: String(places.get(item)) }),
  }));
}

function broughtInto(document: SiteDocument, into: string, text: string): SiteDocument {
  const { found } = readMenus(text);
  if (!found.ok) throw new Error(found.refusal.message);
  const edit = bringIn(contextOf(document, 99), planSketch(document, found.value[0]?.sketches ?? []), {
    parent: into,
    after: null,
  });
  if (!edit.ok) throw new Error(edit.refusal.message);
  const applied = applyEdit(document, edit.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}

describe('a menu with a composed panel as JSON', () => {
  it('comes back as it was, every kind of part, but for the pictures, which stay where they are', () => {
    const before = composed(sample, menu);
    expect(new Set(before.map(({ kind }) => kind)).size).toBe(17);
    const other = broughtInto({ ...sample, items: { ...sample.items } }, 'm46dmd96nfy21n97', output);
    expect(composed(other, 'm46dmd96nfy21n97')).toEqual(before);
    expect(output).not.toMatch(/0123456789abcdef0123456789abcdef/);
  });

  it('names pages by address and menus by key, so that it finds those of another site, and leaves out what is not there', () => {
    expect(output).toContain('"address": "/p0"');
    expect(output).toContain('"menu": "menu-0"');
    const { document, menu: there } = outlined('Here', '/p0 Another');
    const brought = broughtInto(document, there, output);
    const parts = composed(brought, there);
    const page = [...document.pages.nodes.values()].find(({ address }) => address === '/p0');
    expect(parts.find(({ kind }) => kind === 'heading')?.destination).toEqual({
      kind: 'page',
      page: page?.id,
      anchor: null,
    });
    expect(
      parts.some(({ kind }) => kind === 'menu'),
      'a menu that this site has not',
    ).toBe(false);
  });

  it('is what the published schema says; a panel that is none is left out, or refused with its place', () => {
    const schema = JSON.parse(
      readFileSync(new URL('../../../docs/formats/menu-1.schema.json', import.meta.url), 'utf8'),
    ) as object;
    const fits = new Ajv2020({ strict: false }).compile(schema);
    expect(fits(JSON.parse(output)), JSON.stringify(fits.errors)).toBe(true);
    const { document, menu: there } = outlined('Here');
    const odd = (panel: unknown): SiteDocument =>
      broughtInto(document, there, JSON.stringify({ items: [{ label: 'A', panel }] }));
    const deep = JSON.parse(`${'{"kind":"row","parts":['.repeat(60)}${']}'.repeat(60)}`) as unknown;
    for (const panel of [
      [5],
      ['row'],
      [{ kind: 'cell', span: 3 }],
      [{ kind: 'row', onclick: 'x' }],
      [{ kind: 'row', height: -5 }],
      [deep],
    ])
      expect(odd(panel).parts.nodes.size, JSON.stringify(panel).slice(0, 60)).toBe(document.parts.nodes.size);
    const bad = readMenus('{"items":[{"label":"A","panel":{"kind":"row"}}]}').found;
    expect(!bad.ok && bad.refusal.message).toContain('the panel of items[0] is not a list of rows');
  });

  it('refuses parts where they cannot stand, and keeps nothing of the file then', () => {
    const { document, menu: there } = outlined('Here');
    const { found } = readMenus(
      JSON.stringify({
        items: [{ label: 'A', panel: [{ kind: 'row', parts: [{ kind: 'heading', text: 'In a row' }] }] }],
      }),
    );
    if (!found.ok) throw new Error(found.refusal.message);
    const edit = bringIn(contextOf(document), planSketch(document, found.value[0]?.sketches ?? []), {
      parent: there,
      after: null,
    });
    expect(!edit.ok && edit.refusal.message).toBe(
      'This part (heading) can’t go into a row. Choose another place.',
    );
  });
});
