import { describe, expect, it } from 'vitest';
import type { Result } from '../src/base/result.ts';
import type { Id } from '../src/base/ids.ts';
import {
  duplicateItems,
  addLink,
  branchesOf,
  leadTo,
  moveItems,
  nestItems,
  pasteItems,
  removeItems,
  renameItem,
} from '../src/commands/items.ts';
import { follow, takeExceptionBack, unfollow, exceptionWords } from '../src/commands/follow.ts';
import type { CommandContext } from '../src/commands/context.ts';
import { createMenu, retireMenu } from '../src/commands/menus.ts';
import { makeAlike, setItems } from '../src/commands/settings.ts';
import { shareItem } from '../src/commands/sharedLinks.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { findBreach } from '../src/model/findBreach.ts';
import { childrenOf, nodeAt, withNodeChanged } from '../src/model/forest.ts';
import { labelOf } from '../src/model/labelOf.ts';
import { toStored } from '../src/model/stored.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { invertEdit } from '../src/ops/invertEdit.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { withFollowed } from '../src/resolve/withFollowed.ts';
import type { Follow } from '../src/schema/follow.ts';
import type { Page } from '../src/schema/page.ts';
import { inWords } from '../src/base/sentences.ts';
import { contextOf } from '../testing/contextOf.ts';
import { followingContext } from '../testing/followingContext.ts';
import { outlined } from '../testing/outlined.ts';

const PAGES =
  '/ Home\n/seeds Seeds\n  /seeds/herbs Herbs\n    /seeds/herbs/basil Basil\n    /seeds/herbs/dill Dill\n  /seeds/beans Beans\n  /seeds/corn Corn\n/tools Tools';
const { document: start, ids, menu } = outlined('= /seeds\nOwn\n  Below > /x', PAGES);
const id = (name: string): Id => ids.get(name) as Id;
const holder = id('= /seeds');
const rule = (more: Partial<Follow> = {}): Follow => ({
  of: { kind: 'pages', page: id('/seeds') },
  depth: 2,
  order: 'site',
  ...more,
});

let seed = 0;
function after(document: SiteDocument, command: (context: CommandContext) => Result<Edit>): SiteDocument {
  seed += 1;
  const result = command(followingContext(document, seed));
  if (!result.ok) throw new Error(result.refusal.message);
  const applied = applyEdit(document, result.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  expect(findBreach(applied.value.document)).toBeNull();
  const back = applyEdit(applied.value.document, {
    ...applied.value.edit,
    operations: invertEdit(applied.value.edit),
  });
  expect(back.ok && toStored(back.value.document)).toEqual(toStored(document));
  return applied.value.document;
}
const code = (result: Result<unknown>): string => (result.ok ? 'done' : result.refusal.code);
const tried = (document: SiteDocument, command: (context: CommandContext) => Result<Edit>): string =>
  code(command(followingContext(document)));

/** What is shown below something, one line each, set in; `~` followed, `-` hidden. */
function shown(document: SiteDocument, parent: Id = holder): string {
  const full = withFollowed(document);
  expect(findBreach(full)).toBeNull();
  const lines = (of: Id, inset: string): string[] =>
    [...childrenOf(full.items, of)].flatMap((child) => {
      const item = nodeAt(full.items, child);
      const mark = item.exception === undefined ? '' : item.exception.hidden === true ? '-' : '~';
      return [`${inset}${mark}${labelOf(full, item)}`, ...lines(child, `${inset}  `)];
    });
  return lines(parent, '')
    .join(' / ')
    .replaceAll(/ \/ {3,}/g, (gap) => ' /' + '>'.repeat((gap.length - 3) / 2));
}
function child(document: SiteDocument, label: string): Id {
  const full = withFollowed(document);
  const found = [...full.items.nodes.values()].find(
    (item) => labelOf(full, item) === label && item.exception !== undefined,
  );
  if (found === undefined) throw new Error(`Nothing followed is called ${label}`);
  return found.id;
}
function withPage(document: SiteDocument, address: string, set: Partial<Page>): SiteDocument {
  const page = nodeAt(document.pages, id(address));
  return { ...document, pages: withNodeChanged(document.pages, { ...page, ...set }) };
}

const following = after(start, (context) => follow(context, holder, rule()));

describe('following pages', () => {
  it('takes children from the branch, to the depth of its rule, and changes nothing that is kept', () => {
    expect(shown(following)).toBe('~Herbs />~Basil />~Dill / ~Beans / ~Corn');
    expect(following.items.nodes.size).toBe(start.items.nodes.size);
    expect(shown(after(start, (context) => follow(context, holder, rule({ depth: 1 }))))).toBe(
      '~Herbs / ~Beans / ~Corn',
    );
    expect(
      shown(
        after(start, (context) =>
          follow(context, menu, rule({ of: { kind: 'pages', page: null }, depth: 1 })),
        ),
        menu,
      ),
    ).toBe('~Home / ~Seeds / ~Tools / Own />Below');
  });

  it('gives the very same document where nothing follows, and the same items as long as nothing changed', () => {
    expect(withFollowed(start)).toBe(start);
    const context = followingContext(following);
    expect(context.from?.fill(following).items).toBe(context.document.items);
  });

  it('leaves out what is gone, and drafts unless the rule takes them; those are held back from visitors', () => {
    const withDraft = withPage(withPage(following, '/seeds/beans', { state: 'draft' }), '/seeds/corn', {
      state: 'gone',
    });
    expect(shown(withDraft)).toBe('~Herbs />~Basil />~Dill');
    const drafts = after(withDraft, (context) => follow(context, holder, rule({ drafts: true })));
    expect(shown(drafts)).toBe('~Herbs />~Basil />~Dill / ~Beans');
    expect(JSON.stringify(resolveMenu(withFollowed(drafts), menu))).not.toContain('Beans');
  });

  it.each([
    ['A to Z', { order: 'title' }, '~Beans / ~Corn / ~Herbs'],
    ['most visited first', { order: 'visits' }, '~Corn / ~Herbs / ~Beans'],
    ['newest first', { order: 'date' }, '~Beans / ~Herbs / ~Corn'],
    ['of some kinds', { kinds: ['category'] }, '~Herbs'],
    ['of some categories', { categories: ['sun', 'dry'] }, '~Beans'],
    ['so many at most', { limit: 2 }, '~Herbs / ~Beans'],
    [
      'a live list of the two newest anywhere in the branch',
      { flat: true, depth: 3, order: 'date', limit: 2 },
      '~Dill / ~Beans',
    ],
    [
      'a list with no limit',
      { flat: true, depth: 20, order: 'title' },
      '~Basil / ~Beans / ~Corn / ~Dill / ~Herbs',
    ],
  ] as const)('takes them %s', (_, more, expected) => {
    let document = withPage(start, '/seeds/corn', { visits: 90 });
    document = withPage(document, '/seeds/herbs', { visits: 5, date: '2025-01-01', kind: 'category' });
    document = withPage(document, '/seeds/beans', { date: '2026-03-01', categories: ['sun'] });
    document = withPage(document, '/seeds/herbs/dill', { date: '2026-04-01' });
    expect(
      shown(
        after(document, (context) => follow(context, holder, rule({ depth: 1, ...more } as Partial<Follow>))),
      ),
    ).toBe(expected);
  });

  it('is refused what is not there, and what is followed already', () => {
    expect(
      tried(start, (context) =>
        follow(context, holder, rule({ of: { kind: 'pages', page: 'p00000000000gone' } })),
      ),
    ).toBe('wrongPage');
    expect(tried(start, (context) => follow(context, 'i00000000000gone', rule()))).toBe('notThere');
    expect(tried(following, (context) => follow(context, child(following, 'Herbs'), rule()))).toBe('follows');
    expect(tried(start, (context) => unfollow(context, holder))).toBe('notFollowing');
  });
});

describe('items of its own that lead to what is followed', () => {
  const hand = outlined(
    '= /seeds\n  Kitchen herbs > /seeds/herbs\n    = /seeds/herbs/basil\n    Recipes > https://r.example\n  = /seeds/corn\n  Vouchers > /v',
    PAGES,
  );
  const own = (name: string): Id => hand.ids.get(name) as Id;

  it('give way to it, with what was set for them; the others stay', () => {
    const place = own('= /seeds');
    const set = after(hand.document, (context) =>
      setItems(context, [own('= /seeds/corn')], { tooltip: 'Sweet' }),
    );
    const done = after(set, (context) =>
      follow(context, place, { of: { kind: 'pages', page: own('/seeds') }, depth: 2, order: 'site' }),
    );
    expect(shown(done, place)).toBe('~Kitchen herbs />~Basil />~Dill />Recipes / ~Beans / ~Corn / Vouchers');
    expect(JSON.stringify(resolveMenu(withFollowed(done), hand.menu)).match(/Sweet/g)).toHaveLength(1);
    expect(done.items.nodes.has(own('Recipes'))).toBe(true);
  });
});

describe('exceptions are made by acting on a followed child', () => {
  it('naming it, and giving it settings, which its siblings can take', () => {
    const renamed = after(following, (context) =>
      renameItem(context, child(following, 'Beans'), 'All beans'),
    );
    expect(shown(renamed)).toBe('~Herbs />~Basil />~Dill / ~All beans / ~Corn');
    expect(exceptionWords(renamed, child(renamed, 'All beans'))).toEqual(['own label']);
    const held = after(renamed, (context) =>
      setItems(context, [child(renamed, 'Corn')], { tooltip: 'Sweet' }),
    );
    const alike = after(held, (context) => makeAlike(context, child(held, 'Corn'), ['tooltip']));
    expect(JSON.stringify(resolveMenu(withFollowed(alike), menu)).match(/Sweet/g)).toHaveLength(3);
    expect(shown(withPage(alike, '/seeds/beans', { title: 'Legumes' }))).toContain('~All beans');
  });

  it('removing it hides it, with all below it, for visitors too; and what was hidden comes back', () => {
    const herbs = child(following, 'Herbs');
    const hidden = after(following, (context) => removeItems(context, [herbs]));
    expect(shown(hidden)).toBe('-Herbs / ~Beans / ~Corn');
    expect(resolveMenu(withFollowed(hidden), menu).items[0]?.children.map(({ label }) => label)).toEqual([
      'Beans',
      'Corn',
    ]);
    expect(shown(after(hidden, (context) => takeExceptionBack(context, herbs)))).toBe(shown(following));
    expect(tried(following, (context) => takeExceptionBack(context, herbs))).toBe('notException');
  });

  it('moving it among its siblings pins it there, whatever the site does', () => {
    const pinned = after(following, (context) =>
      moveItems(context, [child(following, 'Corn')], { parent: holder, after: null }),
    );
    expect(shown(pinned)).toBe('~Corn / ~Herbs />~Basil />~Dill / ~Beans');
    expect(
      shown(after(pinned, (context) => follow(context, holder, rule({ order: 'title', depth: 1 })))),
    ).toBe('~Corn / ~Beans / ~Herbs');
    const both = after(pinned, (context) =>
      moveItems(context, [child(pinned, 'Beans')], { parent: holder, after: child(pinned, 'Corn') }),
    );
    expect(shown(both)).toBe('~Corn / ~Beans / ~Herbs />~Basil />~Dill');
    const turned = after(both, (context) =>
      moveItems(context, [child(both, 'Corn')], { parent: holder, after: child(both, 'Beans') }),
    );
    expect(shown(turned)).toBe('~Beans / ~Corn / ~Herbs />~Basil />~Dill');
    // What is pinned is within the limit, however far down it stands.
    expect(shown(after(pinned, (context) => follow(context, holder, rule({ limit: 2, depth: 1 }))))).toBe(
      '~Corn / ~Herbs',
    );
  });

  it('moving it elsewhere hides it here and puts an item of its own there', () => {
    const moved = after(following, (context) =>
      moveItems(context, [child(following, 'Herbs')], { parent: id('Own'), after: null }),
    );
    expect(shown(moved, menu)).toBe('Seeds />-Herbs />~Beans />~Corn / Own />Herbs />>Basil />>Dill />Below');
    expect(nodeAt(moved.items, [...childrenOf(moved.items, id('Own'))][0] as Id).agreed?.title).toBe('Herbs');
    const nested = after(following, (context) => nestItems(context, [child(following, 'Corn')]));
    expect(shown(nested)).toBe('~Herbs />~Basil />~Dill / ~Beans />Corn / -Corn');
  });

  it('items of its own stand among them, and stay where they were put', () => {
    const first = after(following, (context) =>
      addLink(context, { parent: holder, after: null }, { label: 'All', address: '/all' }),
    );
    const middle = after(first, (context) =>
      addLink(context, { parent: holder, after: child(first, 'Beans') }, { label: 'Guide', address: '/g' }),
    );
    const last = after(middle, (context) =>
      addLink(context, { parent: holder, after: child(middle, 'Corn') }, { label: 'Sale', address: '/s' }),
    );
    expect(shown(last)).toBe('All / ~Herbs />~Basil />~Dill / ~Beans / Guide / ~Corn / Sale');
    expect(shown(after(last, (context) => follow(context, holder, rule({ order: 'title', depth: 1 }))))).toBe(
      'All / ~Beans / Guide / ~Corn / ~Herbs / Sale',
    );
    // Its anchor gone, it is not lost.
    expect(shown(withPage(last, '/seeds/beans', { state: 'gone' }))).toBe(
      'All / ~Herbs />~Basil />~Dill / ~Corn / Guide / Sale',
    );
    const below = after(last, (context) =>
      addLink(context, { parent: child(last, 'Beans'), after: null }, { label: 'Broad', address: '/b' }),
    );
    expect(shown(below)).toContain('~Beans />Broad / Guide');
    const pulled = after(below, (context) =>
      moveItems(context, [id('Own')], { parent: holder, after: child(below, 'Herbs') }),
    );
    expect(shown(pulled, menu)).toBe(
      'Seeds />All />~Herbs />>~Basil />>~Dill />Own />>Below />~Beans />>Broad />Guide />~Corn />Sale',
    );
    const out = after(pulled, (context) => moveItems(context, [id('Own')], { parent: menu, after: null }));
    expect(nodeAt(out.items, id('Own')).pin).toBeUndefined();
  });

  it('refuses what a followed child has not got to give, with the reason', () => {
    const beans = child(following, 'Beans');
    expect(tried(following, (context) => leadTo(context, beans, { typed: '/else' }))).toBe('isFollowed');
    expect(tried(following, (context) => shareItem(context, beans))).toBe('isFollowed');
  });

  it('an exception that matches nothing any more is left out, and back when its page is', () => {
    const renamed = after(following, (context) => renameItem(context, child(following, 'Dill'), 'Dill weed'));
    const without = withPage(renamed, '/seeds/herbs/dill', { state: 'gone' });
    expect(shown(without)).toBe('~Herbs />~Basil / ~Beans / ~Corn');
    expect(shown(withPage(without, '/seeds/herbs/dill', { state: 'live' }))).toBe(
      '~Herbs />~Basil />~Dill weed / ~Beans / ~Corn',
    );
  });
});

describe('copying and letting go', () => {
  const changed = after(
    after(following, (context) => renameItem(context, child(following, 'Basil'), 'Sweet basil')),
    (context) => addLink(context, { parent: holder, after: null }, { label: 'All', address: '/all' }),
  );

  it('a copy of what follows follows too, with its exceptions; a copy of a followed child is an item of its own', () => {
    const twice = after(changed, (context) => duplicateItems(context, [holder]));
    const copy = [...childrenOf(twice.items, menu)][1] as Id;
    expect(shown(twice, copy)).toBe(shown(changed));
    const one = after(changed, (context) => duplicateItems(context, [child(changed, 'Herbs')]));
    expect(shown(one)).toBe(
      'All / ~Herbs />~Sweet basil />~Dill / Herbs />Sweet basil />Dill / ~Beans / ~Corn',
    );
    const pasted = after(changed, (context) =>
      pasteItems(context, branchesOf(context, [holder]), { parent: menu, after: null }),
    );
    expect(shown(pasted, [...childrenOf(pasted.items, menu)][0] as Id)).toBe(shown(changed));
    const menus = after(
      after(changed, (context) => follow(context, menu, rule({ depth: 1 }))),
      (context) => createMenu(context, { name: 'Copy', place: 'footer', fill: { kind: 'copy', menu } }),
    );
    const other = [...menus.menus.nodes.keys()].find((one) => one !== menu) as Id;
    expect(shown(menus, other)).toBe(shown(menus, menu));
  });

  it('letting go makes items of its own of what is seen, in its order', () => {
    const hidden = after(changed, (context) => removeItems(context, [child(changed, 'Dill')]));
    const own = after(hidden, (context) =>
      addLink(context, { parent: child(hidden, 'Beans'), after: null }, { label: 'Broad', address: '/b' }),
    );
    const free = after(own, (context) => unfollow(context, holder));
    expect(shown(free)).toBe('All / Herbs />Sweet basil / Beans />Broad / Corn');
    expect(
      [...free.items.nodes.values()].some(
        ({ exception, pin, follow: one }) => (exception ?? pin ?? one) !== undefined,
      ),
    ).toBe(false);
    const withGone = withPage(free, '/seeds/beans', { title: 'Pulses' });
    expect(shown(withGone)).toContain('Pulses');
    // And followed again, nothing of it clashes with what is its own now.
    expect(shown(after(free, (context) => follow(context, holder, rule({ depth: 1 }))))).toBe(
      '~Herbs />Sweet basil / ~Beans />Broad / ~Corn / All',
    );
  });
});

describe('following another menu', () => {
  const made = after(start, (context) =>
    createMenu(context, {
      name: 'Phone',
      place: 'drawer',
      fill: { kind: 'follow', follow: rule({ of: { kind: 'menu', menu } }) },
    }),
  );
  const phone = [...made.menus.nodes.keys()].find((one) => one !== menu) as Id;

  it('has its items, what that one follows too, and exceptions of its own', () => {
    expect(shown(made, phone)).toBe('~Seeds / ~Own />~Below');
    const both = after(made, (context) => follow(context, holder, rule({ depth: 1 })));
    expect(shown(both, phone)).toBe('~Seeds />~Herbs />~Beans />~Corn / ~Own />~Below');
    const named = after(both, (context) => renameItem(context, child(both, 'Own'), 'Ours'));
    expect(shown(named, menu)).toContain('Own');
    expect(shown(named, phone)).toContain('~Ours />~Below');
    const there = after(named, (context) => setItems(context, [id('Own')], { tooltip: 'Tip' }));
    expect(resolveMenu(withFollowed(there), phone).items[1]).toMatchObject({ label: 'Ours', tooltip: 'Tip' });
    const hiddenThere = after(there, (context) => removeItems(context, [child(there, 'Beans')]));
    expect(shown(hiddenThere, phone)).toBe('~Seeds />~Herbs />~Corn / ~Ours />~Below');
  });

  it('is refused in a circle, and what is followed cannot be retired unawares', () => {
    const back = rule({ of: { kind: 'menu', menu: phone } });
    expect(tried(made, (context) => follow(context, menu, back))).toBe('followsItself');
    expect(tried(made, (context) => follow(context, holder, back))).toBe('followsItself');
    expect(tried(made, (context) => retireMenu(context, menu))).toBe('isFollowedBy');
    expect(
      shown(
        after(made, (context) => retireMenu(context, phone)),
        menu,
      ),
    ).toBe('Seeds / Own />Below');
    // Two people may close a circle at the same time: nothing hangs.
    const circle = {
      ...made,
      menus: withNodeChanged(made.menus, { ...nodeAt(made.menus, menu), follow: back }),
    };
    expect(shown(circle, phone)).toContain('~Own');
  });
});

describe('removing a followed child', () => {
  it('is told as what it does: it hides it', () => {
    const { document: start, menu } = outlined('= /seeds', '/seeds Seeds\n  /seeds/beans Beans');
    const [holder = ''] = childrenOf(start.items, menu);
    const page = [...start.pages.nodes.values()].find(({ title }) => title === 'Seeds')?.id ?? '';
    const made = follow(contextOf(start), holder, { of: { kind: 'pages', page }, depth: 1, order: 'site' });
    const done = made.ok ? applyEdit(start, made.value) : null;
    if (done?.ok !== true) throw new Error('it does not follow');
    const context = followingContext(done.value.document);
    const [child = ''] = childrenOf(context.document.items, holder);
    const removed = removeItems(context, [child]);
    expect(removed.ok && inWords(removed.value.sentence)).toBe('Hid “Beans”');
  });
});
