import { describe, expect, it } from 'vitest';
import { inWords } from '../src/base/sentences.ts';
import type { Result } from '../src/base/result.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { labelOf } from '../src/model/labelOf.ts';
import { childrenOf, nodeAt, withNodeChanged } from '../src/model/forest.ts';
import { branchesOf, leadTo, moveItems, pasteItems, renameItem } from '../src/commands/items.ts';
import { bringIn, planSketch } from '../src/commands/bringIn.ts';
import { createMenu, placeMenu, setMenu } from '../src/commands/menus.ts';
import { declareField, removeField } from '../src/commands/ownFields.ts';
import { planPage } from '../src/commands/planPage.ts';
import { makeAlike, setItems, unlikeSiblings } from '../src/commands/settings.ts';
import { addShared, createLink, detachItem, removeLink, shareItem } from '../src/commands/sharedLinks.ts';
import { sketchOf } from '../src/commands/sketchOf.ts';
import { starterFor, starters, starterSketch } from '../src/commands/starters.ts';
import { diffPages } from '../src/diff/diffPages.ts';
import { seededRandom } from '../src/base/seededRandom.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { invertEdit } from '../src/ops/invertEdit.ts';
import { toStored } from '../src/model/stored.ts';
import { kindOf } from '../src/ops/registry.ts';
import { renderMenu } from '../src/render/renderMenu.ts';
import { renderStyles } from '../src/render/renderStyles.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const PAGES =
  '/ Home\n/seeds Seeds\n  /seeds/herbs Herbs\n  /seeds/new New\n/tools Tools\n  /tools/new New\n/about-us Who we are';
const {
  document: start,
  ids,
  menu,
} = outlined('= /seeds\n  = /seeds/herbs\n  Bulbs > https://b.example\nTools > /tools\nMore\n  Later', PAGES);
const id = (name: string): string => ids.get(name) as string;

/** The document after a command that must succeed. */
function after(result: Result<Edit>, document: SiteDocument = start): SiteDocument {
  if (!result.ok) throw new Error(result.refusal.message);
  const applied = applyEdit(document, result.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}
const code = (result: Result<unknown>): string => (result.ok ? 'done' : result.refusal.code);
const words = (result: Result<Edit>): string =>
  result.ok ? inWords(result.value.sentence) : result.refusal.message;
const html = (document: SiteDocument, place: 'bar' | 'footer' = 'bar'): string =>
  renderMenu(resolveMenu(document, menu), { place });
const labels = (document: SiteDocument, parent: string): string[] =>
  [...childrenOf(document.items, parent)].map((one) => labelOf(document, nodeAt(document.items, one)));

describe('settings of items', () => {
  const set = (changes: Parameters<typeof setItems>[2], ...names: string[]) =>
    setItems(contextOf(start), names.map(id), changes);

  it('are set for several at once, and taken away by null', () => {
    const result = set({ tooltip: ' For\tsowing ', heldBack: null }, '= /seeds', 'Bulbs');
    expect(words(result)).toBe('Changed the tooltip and publication of 2 items');
    const document = after(result);
    expect([
      nodeAt(document.items, id('Bulbs')).tooltip,
      nodeAt(document.items, id('= /seeds')).tooltip,
    ]).toEqual(['For sowing', 'For sowing']);
    const back = after(
      setItems(contextOf(document), [id('Bulbs'), id('= /seeds')], { tooltip: '  ' }),
      document,
    );
    expect(toStored(back)).toEqual(toStored(start));
  });

  it.each([
    [{ cssClass: '1st' }, 'badClass'],
    [{ cssClass: 'a"onclick=' }, 'badClass'],
    [{ tooltip: 'x'.repeat(401) }, 'tooLong'],
    [{ badge: { text: 'x'.repeat(41), position: 'after' } }, 'tooLong'],
    [{ heldBack: null }, 'changesNothing'],
  ] as const)('%j is refused as %s', (changes, expected) => {
    expect(code(set(changes, 'Bulbs'))).toBe(expected);
  });

  it('come out in HTML and data: what shows, where, and how it opens', () => {
    const leaf = { name: 'leaf', path: 'M2 2h20v20H2Z', position: 'before' } as const;
    const badge = { text: 'New & <b>', position: 'after' } as const;
    const one = after(
      set(
        {
          icon: leaf,
          badge,
          labelHidden: true,
          tooltip: '"Tip"',
          description: 'A <line>',
          cssClass: 'a b',
          look: 'button',
          hiddenOn: ['narrow'],
        },
        'Tools',
      ),
    );
    expect(html(one)).toContain(
      '<li class="a b zv-hidden-narrow"><a href="/tools" class="zv-button" title="&quot;Tip&quot;"><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M2 2h20v20H2Z"/></svg><i class="zv-visually-hidden">Tools</i><small>A &lt;line&gt;</small><b class="zv-badge">New &amp; &lt;b&gt;</b></a></li>',
    );
    expect(resolveMenu(one, menu).items[1]).toMatchObject({
      label: 'Tools',
      badge,
      hiddenOn: ['narrow'],
      look: 'button',
    });
    const css = renderStyles(one.site, [resolveMenu(one, menu)]);
    expect(css).toContain('.zv :where(.zv-hidden-narrow){display:none}');
    expect(
      renderStyles(start.site, [resolveMenu(start, menu)]),
      'sites without settings get no rules for them',
    ).not.toContain('zv-badge');
  });

  it('keep the name of an item whose label is hidden, and show a label that nothing stands for', () => {
    expect(html(after(set({ labelHidden: true }, 'Tools')))).toContain('<a href="/tools">Tools</a>');
  });

  it('say what activating a parent does, by device class', () => {
    const open = after(set({ activation: { narrow: 'open', medium: 'open', wide: 'open' } }, '= /seeds'));
    expect(html(open)).toMatch(
      /<li><button type="button" aria-expanded="false" aria-controls="zv-menu-\w+">Seeds<\/button><ul/,
    );
    const mixed = html(after(set({ activation: { narrow: 'open', wide: 'follow' } }, '= /seeds')));
    expect(mixed).toMatch(
      /<a href="\/seeds" class="zv-hidden-narrow">Seeds<\/a><button [^>]*class="zv-arrow-hidden-wide zv-hidden-narrow" aria-label="Seeds"><\/button><button [^>]*class="zv-hidden-medium zv-hidden-wide">Seeds<\/button><ul/,
    );
    expect(html(after(set({ activation: { narrow: 'open' } }, '= /seeds')), 'footer')).not.toContain(
      'button',
    );
  });

  it('hold an item back with all below it', () => {
    expect(
      resolveMenu(after(set({ heldBack: true }, '= /seeds')), menu).items.map(({ label }) => label),
    ).toEqual(['Tools', 'More']);
  });

  it('are offered to the siblings that have them otherwise', () => {
    const document = after(set({ opensNewTab: true, description: 'Line' }, '= /seeds/herbs'));
    const context = contextOf(document);
    expect([...unlikeSiblings(context, id('= /seeds/herbs'))]).toEqual([
      ['opensNewTab', [id('Bulbs')]],
      ['description', [id('Bulbs')]],
    ]);
    const alike = makeAlike(context, id('= /seeds/herbs'), ['description']);
    expect(words(alike)).toBe('Applied the description of “Herbs” to 1 sibling');
    expect(nodeAt(after(alike, document).items, id('Bulbs'))).toMatchObject({
      description: 'Line',
      opensNewTab: false,
    });
    expect(code(makeAlike(contextOf(start), id('= /seeds/herbs'), ['badge']))).toBe('noneSaid');
  });
});

describe('destinations', () => {
  it.each([
    ['ask@b.example', 'mailto:ask@b.example'],
    ['+44 (0) 12-34', 'tel:+4401234'],
    ['/x?y=1#z', '/x?y=1#z'],
  ])('%s is written as %s', (typed, href) => {
    expect(resolveMenu(after(leadTo(contextOf(start), id('Tools'), { typed })), menu).items[1]?.href).toBe(
      href,
    );
  });

  it('may be an anchor in a page, and may be not yet decided, which is held back and told apart from a heading', () => {
    const anchored = after(
      leadTo(contextOf(start), id('Tools'), { page: id('/seeds'), anchor: '#when to sow' }),
    );
    expect(resolveMenu(anchored, menu).items[1]?.href).toBe('/seeds#when%20to%20sow');
    const open = after(leadTo(contextOf(start), id('Tools'), 'undecided'));
    expect(resolveMenu(open, menu).items.map(({ label }) => label)).toEqual(['Seeds', 'More']);
    const parent = after(leadTo(contextOf(start), id('= /seeds'), 'undecided'));
    expect(resolveMenu(parent, menu).items[0]).toMatchObject({
      label: 'Seeds',
      href: null,
      children: [{ label: 'Herbs' }, { label: 'Bulbs' }],
    });
  });
});

describe('shared links', () => {
  const shared = after(shareItem(contextOf(start), id('Tools')));
  const [link = ''] = [...shared.sharedLinks.nodes.keys()];
  const twice = after(addShared(contextOf(shared), link, { parent: id('More'), after: null }), shared);

  it('take over what is seen of an item, and changing one changes all that show it', () => {
    expect(html(shared)).toBe(html(start));
    const renamed = after(renameItem(contextOf(twice), id('Tools'), 'All tools'), twice);
    expect([labels(renamed, menu), labels(renamed, id('More'))]).toEqual([
      ['Seeds', 'All tools', 'More'],
      ['All tools', 'Later'],
    ]);
    const edit = setItems(contextOf(twice), [link], { tooltip: 'Sharp' });
    expect(words(edit)).toBe('Changed the shared link “Tools”, used in 2 places');
    expect(html(after(edit, twice)).match(/title="Sharp"/g)).toHaveLength(2);
  });

  it('let go of one item, which keeps all it had', () => {
    const detached = after(detachItem(contextOf(twice), id('Tools')), twice);
    const alone = after(renameItem(contextOf(detached), link, 'Everything'), detached);
    expect([labels(alone, menu)[1], labels(alone, id('More'))[0]]).toEqual(['Tools', 'Everything']);
    expect(code(detachItem(contextOf(start), id('Tools')))).toBe('notShared');
    expect(code(shareItem(contextOf(shared), id('Tools')))).toBe('isShared');
  });

  it('are not removed unawares', () => {
    expect(words(removeLink(contextOf(twice), link))).toBe(
      'Can’t remove the shared link “Tools”: it is used in 2 places. Unlink those items first, or unlink all and remove it.',
    );
    const removed = after(removeLink(contextOf(twice), link, 'detach'), twice);
    expect([removed.sharedLinks.nodes.size, html(removed)]).toEqual([0, html(twice)]);
  });

  it('are made of a page or an address, and undone like anything else', () => {
    const made = createLink(contextOf(start), { page: id('/seeds') });
    const document = after(made);
    expect(labelOf(document, [...document.sharedLinks.nodes.values()][0]!)).toBe('Seeds');
    const back = applyEdit(document, {
      ...(made.ok ? made.value : never()),
      operations: made.ok ? invertEdit(made.value) : [],
    });
    expect(back.ok && toStored(back.value.document)).toEqual(toStored(start));
    expect(code(createLink(contextOf(start), { label: 'A', address: 'javascript:x' }))).toBe('badAddress');
  });
});

function never(): never {
  throw new Error('The command should have succeeded.');
}

describe('bringing in a sketch', () => {
  const sketches = [
    {
      label: 'Tools',
      target: { kind: 'find' },
      children: [{ label: 'new', target: { kind: 'find' }, children: [] }],
    },
    {
      label: 'Our herbs',
      target: { kind: 'address', address: 'https://meadow.example/seeds/herbs/' },
      children: [],
    },
    { label: 'Nowhere', target: { kind: 'find' }, children: [] },
    {
      label: 'Bad',
      target: { kind: 'address', address: 'javascript:alert(1)' },
      children: [{ label: 'Below', target: { kind: 'heading' }, children: [] }],
    },
    { label: ' \u200b ', target: { kind: 'heading' }, children: [] },
    { label: 'x'.repeat(10_000), target: { kind: 'heading' }, children: [] },
  ] as const;
  const plan = planSketch(start, sketches);

  it('says beforehand what becomes of each: found by title or address, undecided, dropped', () => {
    expect(
      plan.items.map(({ source, foundBy, destination, dropped }) => [
        source.slice(0, 10),
        foundBy ?? destination.kind,
        dropped !== null,
      ]),
    ).toEqual([
      ['Tools', 'title', false],
      ['new', 'title', false],
      ['Our herbs', 'address', false],
      ['Nowhere', 'undecided', false],
      ['Bad', 'undecided', true],
      ['', 'none', true],
      ['xxxxxxxxxx', 'none', false],
    ]);
    expect([plan.matched, plan.undecided, plan.dropped, plan.others]).toEqual([3, 1, 2, 1]);
  });

  it('takes the page below the one above where several have the title, and the page’s title for a label', () => {
    const document = after(bringIn(contextOf(start), plan, { parent: menu, after: null }));
    const [tools = ''] = childrenOf(document.items, menu);
    const [fresh = ''] = childrenOf(document.items, tools);
    expect(nodeAt(document.items, fresh)).toMatchObject({
      label: 'new',
      destination: { page: id('/tools/new') },
    });
    expect(nodeAt(document.items, tools)).toMatchObject({ label: null });
    expect(labels(document, menu).slice(0, 3)).toEqual(['Tools', 'Our herbs', 'Nowhere']);
  });

  it('gives the same menu again for what was written of one', () => {
    const copy = after(
      bringIn(contextOf(start), planSketch(start, sketchOf(start, childrenOf(start.items, menu))), {
        parent: menu,
        after: id('More'),
      }),
    );
    const resolved = resolveMenu(copy, menu).items.map((item) =>
      JSON.stringify(item).replaceAll(/"id":"\w+"/g, ''),
    );
    expect(resolved.slice(3)).toEqual(resolved.slice(0, 3));
  });

  it('pastes copies with new ids; what is no longer there is not yet decided', () => {
    const branches = branchesOf(contextOf(start), [id('= /seeds'), id('Bulbs')]);
    expect(branches.map((branch) => branch.length)).toEqual([3]);
    const pasted = after(pasteItems(contextOf(start), branches, { parent: id('More'), after: null }));
    expect(labels(pasted, id('More'))).toEqual(['Seeds', 'Later']);
    const foreign = branches.map((branch) =>
      branch.map((item) => ({
        ...item,
        link: 'k00000000000009',
        ...(item.destination.kind === 'page'
          ? { destination: { kind: 'page' as const, page: 'p00000000000009', anchor: null } }
          : {}),
      })),
    );
    const lost = after(pasteItems(contextOf(start), foreign, { parent: id('More'), after: null }));
    const [first = ''] = childrenOf(lost.items, id('More'));
    expect(nodeAt(lost.items, first).destination.kind).toBe('undecided');
  });
});

describe('planned pages', () => {
  it('are drafts with an item, held back, and made real by the next reading that names their address', () => {
    const edit = planPage(contextOf(start), {
      title: 'Dahlias & co',
      under: id('/seeds'),
      spot: { parent: menu, after: null },
    });
    expect(words(edit)).toBe('Added the planned page “Dahlias & co” to “Menu”');
    const document = after(edit);
    const page = [...document.pages.nodes.values()].find(({ planned }) => planned === true)!;
    expect([page.state, page.address]).toEqual(['draft', '/seeds/dahlias-co']);
    expect(html(document)).toBe(html(start));
    const known = [...start.pages.nodes.values()].map(({ key, title, address, kind }) => ({
      key,
      title,
      address,
      kind,
      above: [],
    }));
    const without = diffPages(document, known, { missing: 'retire', random: seededRandom(1) });
    expect(without.changed, 'a reading that does not name it leaves it alone').toEqual([]);
    const named = diffPages(
      document,
      [...known, { key: page.key, title: 'x', address: page.address, kind: 'page', above: [] }],
      {
        missing: 'retire',
        random: seededRandom(1),
      },
    );
    const real = kindOf(named).apply(document, named);
    expect(real.ok && real.value.document.pages.nodes.get(page.id)).toEqual({
      ...page,
      state: 'live',
      planned: undefined,
      since: 1,
    });
    const again = planPage(contextOf(document, 8), {
      title: 'Dahlias co',
      under: id('/seeds'),
      spot: { parent: menu, after: null },
    });
    expect(
      [...after(again, document).pages.nodes.values()].some(
        ({ address }) => address === '/seeds/dahlias-co-2',
      ),
    ).toBe(true);
  });
});

describe('menus', () => {
  const made = (document: SiteDocument): string =>
    [...childrenOf(document.menus, document.site.id)].at(-1) ?? '';

  it('are made from a branch of pages, from a starter, or as a copy', () => {
    const pages = after(
      createMenu(contextOf(start), {
        name: 'Shop',
        place: 'side',
        fill: { kind: 'pages', below: id('/seeds'), depth: 1 },
      }),
    );
    expect(labels(pages, made(pages))).toEqual(['Herbs', 'New']);
    const copy = createMenu(contextOf(start), {
      name: 'Phone',
      place: 'drawer',
      fill: { kind: 'copy', menu },
    });
    expect(words(copy)).toBe('Created the menu “Phone” as a copy of “Menu”');
    expect(labels(after(copy), made(after(copy)))).toEqual(['Seeds', 'Tools', 'More']);
    for (const starter of starters) {
      const plan = planSketch(start, starterSketch(start, starter));
      const filled = after(
        createMenu(contextOf(start), {
          name: starter.name,
          place: 'footer',
          fill: { kind: 'planned', items: plan.items },
        }),
      );
      expect(labels(filled, made(filled)).length, starter.key).toBe(starter.items.length);
    }
    const footer = starters.find(({ key }) => key === 'footer')!;
    const about = planSketch(start, starterSketch(start, footer)).items[0];
    expect([about?.source, about?.foundBy], 'by the meaning of its address').toEqual([
      'Who we are',
      'address',
    ]);
  });

  it('match pages by what they are and where they stand, and say how certain that is', () => {
    const { document: site } = outlined(
      '',
      '/visit Plan your visit\n  /visit/travel How to reach us\n/shop Shop\n  /shop/cups Cups\n    /shop/cups/travel Travel\n    /shop/cups/news News\n/about About us',
    );
    const cup = [...site.pages.nodes.values()].filter(({ address }) => address.startsWith('/shop/cups/'));
    const pages = cup.reduce((all, page) => withNodeChanged(all, { ...page, kind: 'product' }), site.pages);
    const document = { ...site, pages };
    const found = (key: string): string[] =>
      planSketch(
        document,
        starterSketch(
          document,
          starters.find((one) => one.key === key)!,
        ),
      ).items.map(({ source, destination, sure }) =>
        destination.kind === 'page'
          ? `${source} ${document.pages.nodes.get(destination.page)?.address} ${sure}`
          : `${source} ${destination.kind}`,
      );
    expect(found('content')).toEqual([
      'Plan your visit /visit 92',
      'Opening times undecided',
      'Tickets undecided',
      // Not the cup that is called so: that is a product, and deep below the shop.
      'How to reach us /visit/travel 84',
      'About us /about 99',
      'History undecided',
      'People undecided',
      'Jobs undecided',
      'News undecided',
      'Events undecided',
      'Contact undecided',
    ]);
    expect([starterFor('footer'), starterFor('secondBar'), starterFor('bar')]).toEqual([
      'footer',
      'service',
      'content',
    ]);
  });

  it('may limit their depth: what would go deeper is refused with the way out', () => {
    const limited = after(setMenu(contextOf(start), menu, { depthLimit: 2, description: 'For the bar' }));
    const refused = moveItems(contextOf(limited), [id('= /seeds')], { parent: id('More'), after: null });
    expect(words(refused)).toBe(
      'Can’t place “Herbs” on level 3: this menu allows 2 levels. Move it under an item on level 1, or raise the limit.',
    );
    expect(code(moveItems(contextOf(limited), [id('Tools')], { parent: id('More'), after: null }))).toBe(
      'done',
    );
    const tight = after(setMenu(contextOf(start), menu, { depthLimit: 1 }));
    expect(
      code(moveItems(contextOf(tight), [id('Bulbs')], { parent: id('= /seeds'), after: null })),
      'what was too deep may be put in order',
    ).toBe('done');
    expect(code(setMenu(contextOf(start), menu, { description: 'x'.repeat(2001) }))).toBe('tooLong');
  });

  it('are placed elsewhere', () => {
    expect(words(placeMenu(contextOf(start), menu, 'side'))).toBe('Placed “Menu” in the sidebar');
  });
});

describe('fields of the site’s own', () => {
  it('are delivered with items and menus where they are declared and fit, and no longer when they are removed', () => {
    const declared = after(declareField(contextOf(start), { name: 'Campaign', type: 'text', of: 'items' }));
    const filled = after(
      setItems(contextOf(declared), [id('Tools')], { own: { campaign: 'spring', other: 'x' } }),
      declared,
    );
    expect(resolveMenu(filled, menu).items[1]?.fields).toEqual({ campaign: 'spring' });
    expect(
      code(declareField(contextOf(declared, 8), { name: 'campaign', type: 'number', of: 'items' })),
    ).toBe('keyTaken');
    const [field = ''] = [...declared.ownFields.nodes.keys()];
    const gone = after(removeField(contextOf(filled), field), filled);
    expect(resolveMenu(gone, menu).items[1]?.fields).toBeUndefined();
  });
});
