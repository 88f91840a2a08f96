import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { seededRandom, type RandomBits, type Sketch, type SketchTarget } from '@zorvik/core';
import { MENU_SCHEMA, menuFormats, readMenus, type MenuFormat, type MenuFormatKey } from '../src/index.ts';
import { menuSchema } from './menuSchema.ts';

const formatOf = (key: MenuFormatKey): MenuFormat => menuFormats.find((one) => one.key === key) as MenuFormat;

const LABELS = [
  'Seeds',
  'Bulbs & tubers',
  '<b>Old</b> "sorts"',
  'a, b; c',
  '=1+1',
  '- dash',
  '1. first',
  '[odd](/x)',
  'x | y',
  '**bold**',
  '# sign',
  'بذور',
  '🌱 Herbs',
  "'quoted",
  'back\\slash',
  '*star',
  '@at',
  '\\- odd',
  '`code`',
  '&amp; &lt;',
  '-3 degrees',
];
const ADDRESSES = [
  '/seeds',
  '/a?x=1&y=2',
  'https://elsewhere.example/a(b)',
  '/p#part',
  'mailto:ask@seeds.example',
  'tel:+44123',
  '/é',
];
const pick = <T>(random: RandomBits, list: readonly T[]): T => list[random() % list.length] as T;

function randomSketches(random: RandomBits, hasSettings: boolean, depth = 0): Sketch[] {
  return Array.from({ length: 1 + (random() % 4) }, (): Sketch => {
    const form = random() % 5;
    const target: SketchTarget =
      form === 0
        ? { kind: 'heading' }
        : form === 1
          ? { kind: 'find' }
          : { kind: 'address', address: pick(random, ADDRESSES) };
    const isTab = hasSettings && target.kind === 'address' && random() % 4 === 0;
    return {
      label: pick(random, LABELS),
      target,
      ...(isTab ? { opensNewTab: true } : {}),
      ...(hasSettings && random() % 4 === 0
        ? { settings: { tooltip: pick(random, LABELS), heldBack: true } }
        : {}),
      children: depth < 4 && random() % 3 === 0 ? randomSketches(random, hasSettings, depth + 1) : [],
    };
  });
}

describe('every format of a menu', () => {
  it.each(menuFormats.map(({ key }) => key))(
    '%s reads back what it wrote, and is told by its looks',
    (key) => {
      const format = formatOf(key);
      for (let seed = 1; seed <= 150; seed += 1) {
        const sketches = randomSketches(seededRandom(seed), key !== 'text' && key !== 'markdown');
        const text = format.write({ name: 'Main', sketches });
        const read = format.read(text);
        if (!read.ok) throw new Error(`seed ${seed}: ${read.refusal.message}`);
        expect(read.value[0]?.sketches, `seed ${seed}\n${text}`).toEqual(sketches);
        if (key !== 'text' && key !== 'markdown') expect(readMenus(text).format.key, text).toBe(key);
      }
    },
  );

  it.each(menuFormats.map(({ key }) => key))('%s neither throws nor hangs on what is broken', (key) => {
    const format = formatOf(key);
    const broken = [
      '',
      ' \n\t',
      '\u0000',
      '<',
      '{',
      '[[[[',
      '"',
      'a,b\n"c',
      '<ul><li>',
      '<opml><body><outline',
      '\ud800',
      '{"items":[null]}',
      '[]',
      '<nav></nav>',
      '-',
      '|',
      '- ',
    ];
    for (const text of [
      ...broken,
      '<ul><li>'.repeat(5000),
      `{"items":[${'{"items":['.repeat(5000)}`,
      '\t'.repeat(50_000),
    ]) {
      const read = format.read(text);
      expect(read.ok || read.refusal.message.length > 10, JSON.stringify(text.slice(0, 30))).toBe(true);
    }
  });
});

/** A tree as lines, set in by its depth. */
function lines(sketches: readonly Sketch[], depth = 0): string[] {
  return sketches.flatMap(({ label, target, children }) => [
    `${'  '.repeat(depth)}${label}${target.kind === 'address' ? ` > ${target.address}` : target.kind === 'heading' ? ' (heading)' : ''}`,
    ...lines(children, depth + 1),
  ]);
}
function read(text: string): string[][] {
  const { found } = readMenus(text);
  if (!found.ok) throw new Error(found.refusal.message);
  return found.value.map(({ sketches }) => lines(sketches));
}

describe('pasted text', () => {
  it.each([
    ['tabs', 'Seeds\n\tHerbs\n\t\tBasil\nTools'],
    ['spaces', 'Seeds\n  Herbs\n      Basil\nTools'],
    ['dashes', 'Seeds\n- Herbs\n-- Basil\nTools'],
    ['bullets set in', '* Seeds\n  * Herbs\n    * Basil\n* Tools'],
    ['bullets below a line', 'Seeds\n• Herbs\n\t• Basil\nTools'],
    ['line ends of another system', 'Seeds\r\n\tHerbs\r\n\r\n\t\tBasil\r\nTools\r\n'],
  ])('is nested by %s', (_, text) => {
    expect(read(text)).toEqual([['Seeds', '  Herbs', '    Basil', 'Tools']]);
  });

  it('takes addresses after a bar or from a Markdown link, and an empty one for a heading', () => {
    expect(read('Seeds | /seeds\n\t[Herbs](/seeds/herbs "Fresh")\n\tBy season |\nEither | or not')).toEqual([
      ['Seeds > /seeds', '  Herbs > /seeds/herbs', '  By season (heading)', 'Either | or not'],
    ]);
  });
});

describe('a list in a page', () => {
  it('is lifted out of a whole page, each nav for itself, by its label', () => {
    const page = `<!doctype html><html><body><header><nav aria-label="Main"><div><ul>
      <li class="a"><a href="/seeds"><svg><title>no</title></svg><span>Seeds</span></a><button>+</button><div><ul><li><a href="/herbs">Herbs</a></li><li><strong>By season</strong></li></ul></div></li>
      <li><a href="#">Menu</a></li><li><a href="javascript:void(0)">Open</a></li></ul></div></nav></header>
      <p>text</p><footer><ul><li><a href="/privacy">Privacy</a></ul></footer></body></html>`;
    const { found } = readMenus(page);
    expect(found.ok && found.value.map(({ name, sketches }) => [name, lines(sketches)])).toEqual([
      ['Main', ['Seeds > /seeds', '  Herbs > /herbs', '  By season', 'Menu', 'Open']],
      ['Privacy', ['Privacy > /privacy']],
    ]);
  });
});

describe('a table', () => {
  it.each([
    ['levels', 'Level,Title,URL\n1,Seeds,/seeds\n2,Herbs,/herbs\n1,Tools,'],
    [
      'parents, whatever their order',
      'id,parent,label,address\n2,1,Herbs,/herbs\n1,,Seeds,/seeds\n3,,Tools,',
    ],
    ['parents by their labels', 'label,parent,url\nSeeds,,/seeds\nHerbs,Seeds,/herbs\nTools,,'],
    ['paths', 'path,url\nSeeds,/seeds\nSeeds > Herbs,/herbs\nTools,'],
    ['a byte order mark', '\uFEFFlabel,level,url\r\nSeeds,1,/seeds\r\nHerbs,2,/herbs\r\nTools,1,\r\n'],
  ])('is nested by %s', (_, text) => {
    expect(read(text)).toEqual([['Seeds > /seeds', '  Herbs > /herbs', 'Tools']]);
  });

  it.each([
    ['label,parent\nA,B', 'its parent “B” is not in the table'],
    ['id,label,parent\n1,A,2\n2,B,1', '2 rows have each other as parents'],
    ['label,level\nA,one', 'row 2: the level “one” is not a whole number'],
  ])('says what is wrong with %j', (text, words) => {
    const { found } = readMenus(text);
    expect(!found.ok && found.refusal.message).toContain(words);
  });
});

describe('what other programs write', () => {
  it('is read from OPML, and refused with its place where it is no XML', () => {
    const body = '<outline text="Seeds"><outline text="Herbs" type="link" url="/herbs"/></outline>';
    expect(
      read(
        `<?xml version="1.0"?><opml version="2.0"><head><title>T</title></head><body>${body}</body></opml>`,
      ),
    ).toEqual([['Seeds', '  Herbs > /herbs']]);
    const bad = readMenus('<opml version="2.0"><body>\n<outline text="A & B"/></body></opml>').found;
    expect(!bad.ok && bad.refusal.message).toContain('Line 2');
    const bomb = readMenus('<!DOCTYPE x [<!ENTITY a "b">]><opml><body/></opml>').found;
    expect(!bomb.ok && bomb.refusal.code).toBe('hasDoctype');
  });

  it('leaves out settings that do not fit, and says which item is no item', () => {
    const text = JSON.stringify({
      items: [
        {
          label: 'A',
          address: '/a',
          settings: { tooltip: 'Tip', badge: { text: 4 }, cssClass: '1 2', onclick: 'x' },
        },
      ],
    });
    const { found } = readMenus(text);
    expect(found.ok && found.value[0]?.sketches[0]?.settings).toEqual({ tooltip: 'Tip' });
    const bad = readMenus('{"items":[{"label":"A","items":[5]}]}').found;
    expect(!bad.ok && bad.refusal.message).toContain('items[0].items[0] is not an item');
  });
});

describe('the published schema of the JSON format', () => {
  it('holds for what is written, and names the settings that there are', () => {
    const schema = JSON.parse(
      readFileSync(new URL('../../../docs/formats/menu-1.schema.json', import.meta.url), 'utf8'),
    ) as {
      $id: string;
      $defs: { item: { properties: { settings: { properties: object } } } };
    };
    expect(schema.$id).toBe(MENU_SCHEMA);
    expect(schema, 'run `npm run schemas`').toEqual(JSON.parse(JSON.stringify(menuSchema())));
    const fits = new Ajv2020({ strict: false }).compile(schema);
    for (let seed = 1; seed <= 50; seed += 1) {
      const output: unknown = JSON.parse(
        formatOf('json').write({ name: 'Main', sketches: randomSketches(seededRandom(seed), true) }),
      );
      expect(fits(output), JSON.stringify(fits.errors)).toBe(true);
    }
    expect(fits({ items: [{ label: 5 }] })).toBe(false);
  });
});
