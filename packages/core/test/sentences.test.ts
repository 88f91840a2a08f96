import { describe, expect, it } from 'vitest';
import { Ajv } from 'ajv';
import { shownAddress } from '../src/base/address.ts';
import { counted, fillIn, type Phrase } from '../src/base/fillIn.ts';
import { refusal } from '../src/base/refusal.ts';
import { romanised } from '../src/base/romanised.ts';
import { inWords, phrase, phraseCodes, quoted, sentence, type Sentence } from '../src/base/sentences.ts';
import { keyFrom } from '../src/commands/menus.ts';
import { readdressPage } from '../src/commands/pages.ts';
import { nodeAt } from '../src/model/forest.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import { SentenceShape } from '../src/schema/shapes.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const isSentence = new Ajv().compile(SentenceShape);

describe('a template', () => {
  it('has a singular and a plural form, groups large numbers, and joins lists as one would say them', () => {
    const words = (count: number): string =>
      fillIn('{count|# item is|# items are} new', { count }, inWords, () => '');
    expect([0, 1, 2, 1234].map(words)).toEqual([
      '0 items are new',
      '1 item is new',
      '2 items are new',
      '1,234 items are new',
    ]);
    expect(counted(1, 'it', 'they')).toBe('it');
    const names = ['A', 'B', 'C'].map((name) => phrase('quotedName', { name }));
    expect(fillIn('{names} of {count#}', { names, count: 5000 }, inWords, () => '')).toBe(
      '“A”, “B” and “C” of 5,000',
    );
  });

  it('quotes hostile input by its beginning, and takes nothing from where objects come from', () => {
    expect(fillIn('{text}', { text: 'x'.repeat(10_000) }, inWords, () => '')).toHaveLength(121);
    expect(fillIn('{constructor}', {}, inWords, (name) => `no ${name}`)).toBe('no constructor');
  });
});

describe('a sentence of the log', () => {
  it('is worded where it is read, whatever it says: older, newer, incomplete or hostile ones, too', () => {
    expect(
      inWords(sentence('itemsChanged', { what: [phrase('settingIcon'), phrase('settingBadge')], count: 2 })),
    ).toBe('Changed the icon and the badge of 2 items');
    // As version 4 stored it: worded.
    expect(inWords({ code: 'partAdded', params: { what: 'a heading', label: 'Seeds' } })).toBe(
      'Added a heading to the panel of “Seeds”',
    );
    expect(inWords({ code: 'ofTheFuture', params: {} })).toBe('another change');
    expect(inWords({ code: 'toString', params: {} })).toBe('another change');
    expect(inWords({ code: 'itemRenamed', params: { was: 'A' } })).toBe('Renamed “A” to “…”');
  });

  it('has a template for every code that says something by itself', () => {
    for (const code of phraseCodes) expect(inWords({ code, params: {} }), code).toMatch(/\S/);
  });

  it('is stored as codes and parameters, and quotes others only so deep', () => {
    let deep: Sentence = sentence('itemMoved', { label: 'A', parent: 'B' });
    for (let round = 0; round < 50; round += 1)
      deep = sentence(round % 2 === 0 ? 'undone' : 'wentBack', { sentence: quoted(deep) });
    expect(isSentence(deep)).toBe(true);
    expect(JSON.stringify(deep).length).toBeLessThan(500);
    expect(inWords(deep)).toBe('Restored the state after: Undid: Restored the state after: another change');
    expect(
      inWords(sentence('undone', { sentence: quoted(sentence('itemMoved', { label: 'A', parent: 'B' })) })),
    ).toBe('Undid: Moved “A” into “B”');
  });

  it('is refused from outside when it is no sentence: an unknown code, or phrases nested without end', () => {
    let endless: Phrase = phrase('thePage', { label: 'A' });
    for (let round = 0; round < 20; round += 1) endless = phrase('thePage', { label: endless });
    expect(isSentence(endless)).toBe(false);
    expect(isSentence({ code: 'ofTheFuture', params: {} })).toBe(false);
    expect(isSentence({ code: 'itemMoved', params: { 'a b': 'x' } })).toBe(false);
    expect(isSentence({ code: 'itemMoved', params: { label: { code: '<b>', params: {} } } })).toBe(false);
  });

  it('needs all its parameters where it is a refusal: those are ours', () => {
    expect(() => refusal('alreadyFirst')).toThrow(/parameter "label"/);
    expect(refusal('tooDeep', { label: 'A', level: 3, limit: 1, above: 1 }).message).toContain(
      'allows 1 level.',
    );
  });
});

describe('an ID', () => {
  it.each([
    ['Über uns & Straße', 'uber-uns-strasse'],
    ['Главное меню', 'glavnoe-meniu'],
    ['Κύριο μενού', 'kyrio-menoy'],
    ['القائمة الرئيسية', 'alqayma-alryysya'],
    ['תפריט ראשי', 'tpryt-rashy'],
    ['メインメニュー', 'meinmeniyu'],
    ['주 메뉴', 'ju-menyu'],
    ['მთავარი', 'mtavari'],
    ['主导航', 'fgb-i64-ppm'],
    ['हिन्दी', 'menu-1tl-1t4-1t2'],
    ['!!!', 'menu'],
    ['2026', 'menu-2026'],
  ])('is made from “%s”', (name, key) => {
    expect(keyFrom(name, 'menu')).toBe(key);
  });

  it('is one whatever the name is made of', () => {
    for (let code = 1; code < 0x2fff0; code += 37) {
      const name = String.fromCodePoint(code);
      expect(keyFrom(name, 'menu'), code.toString(16)).toMatch(/^[a-z][a-z0-9-]{0,39}$/);
      expect(romanised(name)).toMatch(/^[\0-\x7f]*$/);
    }
  });
});

describe('an address', () => {
  it('is shown as people read it, and never as another one than it is', () => {
    expect(shownAddress('/%D8%B2%D9%8A%D8%A7%D8%B1%D8%A9/caf%C3%A9?a=%20b')).toBe('/زيارة/café?a=%20b');
    for (const address of ['/a%2Fb', '/%00', '/%E2%80%AE/x', '/%FF', '/%D8', '/100%25', '/a%23b'])
      expect(shownAddress(address)).toBe(address);
  });

  it('that is changed as it is shown is stored as servers have it', () => {
    const { document, ids } = outlined('A', '/a A');
    const id = ids.get('/a') ?? '';
    const edit = readdressPage(contextOf(document), id, '/زيارة/%2F');
    const applied = edit.ok ? applyEdit(document, edit.value) : edit;
    expect(applied.ok && nodeAt(applied.value.document.pages, id).address).toBe(
      '/%D8%B2%D9%8A%D8%A7%D8%B1%D8%A9/%2F',
    );
  });
});
