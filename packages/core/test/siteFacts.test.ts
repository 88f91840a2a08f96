import { describe, expect, it } from 'vitest';
import { setMenu } from '../src/commands/menus.ts';
import { newProblem } from '../src/ops/newProblem.ts';
import { withNodesLast } from '../src/model/forest.ts';
import { setSite, setWord } from '../src/commands/siteFacts.ts';
import type { Result } from '../src/base/result.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { siteWords } from '../src/resolve/resolveFrame.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import { invertEdit } from '../src/ops/invertEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import type { SiteChanges } from '../src/ops/updateSite.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const { document: start } = outlined('Shop > /shop');
function done(document: SiteDocument, made: Result<Edit>): SiteDocument {
  if (!made.ok) throw new Error(made.refusal.message);
  const applied = applyEdit(document, made.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}
const set = (document: SiteDocument, changes: SiteChanges): SiteDocument =>
  done(document, setSite(contextOf(document), changes));

describe('facts of the site', () => {
  it('are kept once, taken away by empty text, and can be undone exactly', () => {
    const made = setSite(contextOf(start), { phone: '  01632 960140 ', hours: ['10 to 16'] });
    const full = done(start, made);
    expect([full.site.phone, full.site.hours]).toEqual(['01632 960140', ['10 to 16']]);
    if (!made.ok) throw new Error(made.refusal.message);
    const back = applyEdit(full, { ...made.value, operations: invertEdit(made.value) });
    expect(back.ok && back.value.document.site).toEqual(start.site);
    const less = set(full, { phone: '', hours: [] });
    expect(Object.keys(less.site)).not.toContain('phone');
    expect(Object.keys(less.site)).not.toContain('hours');
  });

  it('are refused with what was expected, and nothing changes', () => {
    const wrong: readonly (readonly [SiteChanges, string])[] = [
      [{ phone: 'call us' }, 'a phone number'],
      [{ email: 'nobody' }, 'an e-mail address'],
      [{ language: 'English' }, 'a language tag'],
      [{ language: '' }, 'a language tag'],
      [{ name: ' ' }, 'a site name'],
      [{ origin: 'https://example.org/path' }, 'a site address'],
      [{ origin: 'example.org' }, 'a site address'],
      [{ contentWidth: 12 }, 'a content width'],
      [{ margins: { wide: -1 } }, 'a page margin'],
      [{ postal: Array.from({ length: 13 }, () => 'x') }, 'a postal address'],
      [{ social: [{ name: 'x', address: '/a', mark: { name: 'x', path: '<script>' } }] }, 'social links'],
    ];
    for (const [changes, what] of wrong) {
      const made = setSite(contextOf(start), changes);
      expect(made.ok ? 'taken' : made.refusal.message, JSON.stringify(changes)).toContain(what);
    }
    for (const language of ['pt-BR', 'zh-Hant', 'haw'])
      expect(setSite(contextOf(start), { language }).ok, language).toBe(true);
  });

  it('has menus in a language that browsers know, too', () => {
    const menu = {
      id: 'm000000000000001',
      parent: start.site.id,
      key: 'a',
      name: 'A',
      language: 'en',
      description: '',
    };
    const document = { ...start, menus: withNodesLast(start.menus, [menu]) };
    const wrong = setMenu(contextOf(document), menu.id, { language: 'English' });
    expect(wrong.ok ? '' : wrong.refusal.message).toContain('a language tag');
    expect(
      done(document, setMenu(contextOf(document), menu.id, { language: 'de-AT' })).menus.nodes.get(menu.id)
        ?.language,
    ).toBe('de-AT');
    const set = { language: 'German' };
    expect(
      newProblem(document, { kind: 'updateMenu', id: menu.id, set, was: { language: 'en' } })?.code,
    ).toBe('badValue');
  });

  it('has words of its own in a language, and goes back to those that ship', () => {
    const own = done(start, setWord(contextOf(start), 'en', 'skip', 'Jump to the text'));
    expect([siteWords(own).skip, siteWords(own).menu]).toEqual(['Jump to the text', 'Menu']);
    const back = done(own, setWord(contextOf(own), 'en', 'skip', ''));
    expect(back.site.words).toBeUndefined();
    expect(siteWords(back).skip).toBe('Skip to content');
  });
});
