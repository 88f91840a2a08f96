import { describe, expect, it } from 'vitest';
import {
  follow,
  nodeAt,
  withFollowed,
  withNodeChanged,
  type CommandContext,
  type Edit,
  type Result,
  type SiteDocument,
} from '@zorvik/core';
import { contextOf, outlined } from '@zorvik/core/testing';
import { commonCategories, followFormOf, ruleOf, type FollowForm } from '../src/composables/followForm.ts';
import { followOutcome } from '../src/composables/followOutcome.ts';

const PAGES = '/shop Shop\n  /shop/mugs Mugs\n    /shop/mugs/blue Blue\n  /shop/plates Plates\n/news News';
const start = outlined('= /shop\n  Own > /own\nHeading', PAGES);
const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));
const shop = start.ids.get('= /shop') ?? '';
const heading = start.ids.get('Heading') ?? '';
const page = start.ids.get('/shop') ?? '';
const usual = followFormOf(start.document, heading, 'mother');

const trial = (stored: SiteDocument, form: FollowForm, most = 10) =>
  followOutcome({
    stored,
    item: shop,
    rule: ruleOf(form) ?? { of: { kind: 'pages', page: null }, depth: 1, order: 'site' },
    attempt: (command: (context: CommandContext) => Result<Edit>) =>
      command(contextOf(withFollowed(stored, byCode))),
    compareTitles: byCode,
    most,
  });

describe('the form of a rule to follow', () => {
  it('begins with the page that the item links to, or with the whole site and the first other menu', () => {
    expect(followFormOf(start.document, shop, null)).toMatchObject({ source: 'pages', page, menu: null });
    expect(usual).toMatchObject({ source: 'pages', page: null, menu: 'mother', depth: 1, limit: '' });
  });

  it('says the rule, gives it back as it was, and leaves out what is usual', () => {
    const form: FollowForm = {
      ...usual,
      page,
      depth: 2,
      order: 'title',
      form: 'list',
      kinds: ['product'],
      categories: ['cups'],
      limit: 12,
      drafts: ['drafts'],
    };
    const rule = ruleOf(form)!;
    expect(rule).toEqual({
      of: { kind: 'pages', page },
      depth: 2,
      limit: 12,
      order: 'title',
      flat: true,
      kinds: ['product'],
      categories: ['cups'],
      drafts: true,
    });
    const item = { ...nodeAt(start.document.items, heading), follow: rule };
    const document = { ...start.document, items: withNodeChanged(start.document.items, item) };
    expect(ruleOf(followFormOf(document, heading, 'mother'))).toEqual(rule);
    expect(ruleOf(usual)).toEqual({ of: { kind: 'pages', page: null }, depth: 1, order: 'site' });
  });

  it('keeps limits within what can be followed, and waits for a menu', () => {
    expect(ruleOf({ ...usual, limit: 0.2 })?.limit).toBe(1);
    expect(ruleOf({ ...usual, limit: 99_999 })?.limit).toBe(1000);
    expect(ruleOf({ ...usual, source: 'menu', menu: null })).toBeNull();
    expect(ruleOf({ ...usual, source: 'menu', kinds: ['product'], limit: 3 })).toEqual({
      of: { kind: 'menu', menu: 'mother' },
      depth: 1,
      limit: 3,
      order: 'site',
    });
  });

  it('offers the categories that pages there have most, and those that are chosen already', () => {
    const { document, ids } = start;
    const tagged = ['/shop/mugs', '/shop/mugs/blue', '/news'].reduce((pages, address, at) => {
      const node = nodeAt(pages, ids.get(address) ?? '');
      return withNodeChanged(pages, { ...node, categories: at === 1 ? ['rare', 'cups'] : ['cups'] });
    }, document.pages);
    const site = { ...document, pages: tagged };
    expect(commonCategories(site, page, [])).toEqual(['cups', 'rare']);
    expect(commonCategories(site, ids.get('/news') ?? '', ['gone'])).toEqual(['gone']);
    expect(commonCategories(site, null, [])[0]).toBe('cups');
  });
});

describe('what would follow', () => {
  it('is shown with what stands there already, as many rows as are wanted', () => {
    const form = { ...usual, page, depth: 2 };
    expect(trial(start.document, form)).toMatchObject({ problem: null, count: 3, own: 1, gone: 0 });
    const { rows, count } = trial(start.document, form, 2);
    expect([rows.length, count]).toEqual([2, 3]);
    expect(trial(start.document, form).rows.map(({ label, depth, isOwn }) => [label, depth, isOwn])).toEqual(
      expect.arrayContaining([
        ['Mugs', 0, false],
        ['Blue', 1, false],
        ['Own', 0, true],
      ]),
    );
  });

  it('is shown for a rule that is there already, and says why where nothing can be', () => {
    const rule = ruleOf({ ...usual, page })!;
    const kept = follow(contextOf(start.document), shop, rule);
    if (!kept.ok) throw new Error(kept.refusal.message);
    const item = { ...nodeAt(start.document.items, shop), follow: rule };
    const stored = { ...start.document, items: withNodeChanged(start.document.items, item) };
    expect(trial(stored, { ...usual, page })).toMatchObject({ problem: null, count: 2 });
    const lost = trial(start.document, { ...usual, source: 'menu', menu: 'mnowhere' });
    expect(lost.problem).toMatch(/\.$/);
    expect(lost.rows).toEqual([]);
  });
});
