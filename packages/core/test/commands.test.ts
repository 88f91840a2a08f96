import { describe, expect, it } from 'vitest';
import type { Result } from '../src/base/result.ts';
import { inWords } from '../src/base/sentences.ts';
import {
  addLink,
  addPages,
  subpagesToAdd,
  duplicateItems,
  leadTo,
  moveItems,
  nestItems,
  removeItems,
  renameItem,
  shiftItems,
  unnestItems,
} from '../src/commands/items.ts';
import { createMenu, freeKey, keyFrom, retireMenu } from '../src/commands/menus.ts';
import { can } from '../src/commands/permission.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { childrenOf, nodeAt } from '../src/model/forest.ts';
import { labelOf } from '../src/model/labelOf.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { renderEdition } from '../src/render/renderEdition.ts';
import { placementsIn } from '../src/resolve/placementOf.ts';
import { preorder } from '../src/walk/preorder.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const { document, ids, menu } = outlined(
  `
Seeds
  Spring
  Autumn
Bulbs
Tools > /tools
= /visit`,
  `
/visit Visit us
  /visit/hours Hours
    /visit/hours/winter In winter
  /visit/way The way
/shop Shop`,
);
const id = (label: string): string => ids.get(label) ?? '';
const context = contextOf(document);

function after(result: Result<Edit>): SiteDocument {
  if (!result.ok) throw new Error(result.refusal.message);
  const applied = applyEdit(document, result.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}

/** The menu as an outline, two spaces a level. */
function outlineOf(doc: SiteDocument): string[] {
  return [...preorder(childrenOf(doc.items, menu), (one) => childrenOf(doc.items, one))].map(
    ({ node, depth }) => `${'  '.repeat(depth)}${labelOf(doc, nodeAt(doc.items, node))}`,
  );
}

const code = (result: Result<Edit>): string => (result.ok ? 'done' : result.refusal.code);

describe('commands on items', () => {
  it('adds a branch of pages with its nesting, to the depth asked for, without what is gone', () => {
    const spot = { parent: menu, after: id('Seeds') };
    expect(
      outlineOf(after(addPages(context, { pages: [id('/visit')], depth: 1, spot }))).slice(3, 6),
    ).toEqual(['Visit us', '  Hours', '  The way']);
    expect(
      outlineOf(after(addPages(context, { pages: [id('/visit')], depth: 2, spot }))).slice(3, 7),
    ).toEqual(['Visit us', '  Hours', '    In winter', '  The way']);
    const gone = {
      ...document,
      pages: {
        ...document.pages,
        nodes: document.pages.nodes.with(id('/visit/way'), {
          ...nodeAt(document.pages, id('/visit/way')),
          state: 'gone' as const,
        }),
      },
    };
    const result = addPages(contextOf(gone), { pages: [id('/visit')], depth: 9, spot });
    expect(
      result.ok &&
        result.value.operations.flatMap((one) => (one.kind === 'addItem' ? one.branch.length : [])),
    ).toEqual([3]);
  });

  it('counts beforehand what comes along below pages: as many items as are added', () => {
    const pages = [id('/visit')];
    const spot = { parent: menu, after: null };
    for (const depth of [0, 1, 2, 9]) {
      const made = addPages(context, { pages, depth, spot });
      if (!made.ok) throw new Error(made.refusal.message);
      const added = made.value.operations.flatMap((one) => (one.kind === 'addItem' ? one.branch : []));
      expect(pages.length + subpagesToAdd(context.document, pages, depth), String(depth)).toBe(added.length);
    }
    expect(subpagesToAdd(context.document, pages, 9)).toBeGreaterThan(
      subpagesToAdd(context.document, pages, 1),
    );
  });

  it('adds several pages in their order, and keeps the facts agreed on with each', () => {
    const result = addPages(context, {
      pages: [id('/shop'), id('/visit/way')],
      depth: 0,
      spot: { parent: id('Bulbs'), after: null },
    });
    expect(outlineOf(after(result)).slice(3, 6)).toEqual(['Bulbs', '  Shop', '  The way']);
    const [, second] = result.ok ? result.value.operations : [];
    expect(second?.kind === 'addItem' && second.branch[0]?.agreed).toEqual({
      title: 'The way',
      address: '/visit/way',
      parent: id('/visit'),
      after: id('/visit/hours'),
      kind: 'page',
    });
    expect(result.ok && inWords(result.value.sentence)).toBe('Added 2 items to “Bulbs”');
  });

  it.each([
    ['https://seeds.example/a', 'https://seeds.example/a'],
    ['seeds.example/a', 'https://seeds.example/a'],
    ['/path?x=1#y', '/path?x=1#y'],
    ['  /path  ', '/path'],
  ])('takes %s as the address %s', (typed, address) => {
    const result = addLink(context, { parent: menu, after: null }, { label: 'A', address: typed });
    const [added] = result.ok ? result.value.operations : [];
    expect(added?.kind === 'addItem' && added.branch[0]?.destination).toEqual({ kind: 'address', address });
  });

  it.each([
    ['ask@seeds.example', { kind: 'email', address: 'ask@seeds.example' }],
    ['mailto:ask@seeds.example', { kind: 'email', address: 'ask@seeds.example' }],
    [
      'mailto:ask@seeds.example?subject=Bulbs',
      { kind: 'address', address: 'mailto:ask@seeds.example?subject=Bulbs' },
    ],
    ['tel:+44123', { kind: 'phone', number: '+44123' }],
    ['+44 (0)1234 567-89', { kind: 'phone', number: '+44 (0)1234 567-89' }],
  ])('takes %s as an e-mail or a phone number where it is one', (typed, destination) => {
    const result = addLink(context, { parent: menu, after: null }, { label: 'A', address: typed });
    const [added] = result.ok ? result.value.operations : [];
    expect(added?.kind === 'addItem' && added.branch[0]?.destination).toEqual(destination);
  });

  it.each([
    'javascript:alert(1)',
    'JaVaScRiPt:alert(1)',
    ' java\nscript:alert(1)',
    'data:text/html,<script>',
    'vbscript:x',
    '//elsewhere.example',
    '/a b',
    'https:///x',
    'http://',
    '',
    'just words',
    '/a\u0000b',
    '/a"onclick="x',
    '\\\\host\\share',
  ])('refuses the address %j', (typed) => {
    expect(code(addLink(context, { parent: menu, after: null }, { label: 'A', address: typed }))).toBe(
      'badAddress',
    );
  });

  it.each([
    ['only spaces', '   ', 'emptyName'],
    ['nothing that is seen', '\u200b\u200e\u2060', 'emptyName'],
    ['too long', 'x'.repeat(401), 'tooLong'],
  ])('refuses a label that is %s', (_, typed, refused) => {
    expect(code(addLink(context, { parent: menu, after: null }, { label: typed, address: null }))).toBe(
      refused,
    );
    expect(code(renameItem(context, id('Seeds'), typed))).toBe(refused);
  });

  it('keeps a label as one line without control characters', () => {
    const result = renameItem(context, id('Seeds'), ' Old\tand\n new\u0007 ');
    expect(outlineOf(after(result))[0]).toBe('Old and new');
  });

  it('gives an item its page’s title back, by an empty label or by the title itself', () => {
    const renamed = after(renameItem(context, id('= /visit'), 'Come'));
    expect(nodeAt(renamed.items, id('= /visit')).label).toBe('Come');
    const back = renameItem(contextOf(renamed), id('= /visit'), '');
    expect(back.ok && back.value.operations[0]).toMatchObject({
      set: { label: null },
      was: { label: 'Come' },
    });
    expect(code(renameItem(context, id('= /visit'), 'Visit us'))).toBe('changesNothing');
  });

  it('keeps a label when an item leaves its page, and takes new facts when it comes to one', () => {
    const away = after(leadTo(context, id('= /visit'), { typed: '/elsewhere' }));
    expect(nodeAt(away.items, id('= /visit'))).toMatchObject({
      label: 'Visit us',
      destination: { kind: 'address', address: '/elsewhere' },
      agreed: null,
    });
    const to = after(leadTo(context, id('Tools'), { page: id('/shop') }));
    expect(nodeAt(to.items, id('Tools'))).toMatchObject({
      label: 'Tools',
      agreed: { title: 'Shop', address: '/shop' },
    });
    expect(nodeAt(after(leadTo(context, id('Tools'), 'nothing')).items, id('Tools')).destination).toEqual({
      kind: 'none',
    });
  });

  it('moves up, down, in and out, and says why it cannot', () => {
    expect(outlineOf(after(shiftItems(context, [id('Bulbs')], 'up')))[0]).toBe('Bulbs');
    expect(outlineOf(after(shiftItems(context, [id('Bulbs')], 'down'))).slice(3, 5)).toEqual([
      'Tools',
      'Bulbs',
    ]);
    expect(outlineOf(after(nestItems(context, [id('Bulbs')])))[3]).toBe('  Bulbs');
    expect(outlineOf(after(unnestItems(context, [id('Spring')]))).slice(0, 3)).toEqual([
      'Seeds',
      '  Autumn',
      'Spring',
    ]);
    expect(code(shiftItems(context, [id('Seeds')], 'up'))).toBe('alreadyFirst');
    expect(code(shiftItems(context, [id('= /visit')], 'down'))).toBe('alreadyLast');
    expect(code(nestItems(context, [id('Spring')]))).toBe('cannotNest');
    expect(code(unnestItems(context, [id('Bulbs')]))).toBe('alreadyOut');
    expect(code(shiftItems(context, [], 'up'))).toBe('nothingChosen');
  });

  it('refuses what is no longer there, since somebody else may have removed it', () => {
    const gone = 'i0000000000000zz';
    const spot = { parent: menu, after: null };
    const tried = [
      renameItem(context, gone, 'A'),
      leadTo(context, gone, 'nothing'),
      leadTo(context, id('Tools'), { page: gone }),
      addPages(context, { pages: [gone], depth: 0, spot }),
      retireMenu(context, gone),
    ];
    expect(tried.map(code)).toEqual(['notThere', 'notThere', 'notThere', 'notThere', 'notThere']);
    expect([removeItems(context, [gone]), moveItems(context, [gone], spot)].map(code)).toEqual([
      'nothingChosen',
      'nothingChosen',
    ]);
  });

  it('acts on branches: what stands inside a chosen item goes with it, several keep their order', () => {
    const both = moveItems(context, [id('Tools'), id('Spring'), id('Seeds')], {
      parent: id('Bulbs'),
      after: null,
    });
    expect(outlineOf(after(both))).toEqual([
      'Bulbs',
      '  Seeds',
      '    Spring',
      '    Autumn',
      '  Tools',
      'Visit us',
    ]);
    expect(outlineOf(after(removeItems(context, [id('Seeds'), id('Spring')])))).toEqual([
      'Bulbs',
      'Tools',
      'Visit us',
    ]);
    expect(code(moveItems(context, [id('Seeds')], { parent: id('Spring'), after: null }))).toBe(
      'wouldCircle',
    );
  });

  it('duplicates a branch behind it with ids of its own', () => {
    const result = after(duplicateItems(context, [id('Seeds')]));
    expect(outlineOf(result).slice(0, 6)).toEqual([
      'Seeds',
      '  Spring',
      '  Autumn',
      'Seeds',
      '  Spring',
      '  Autumn',
    ]);
    expect(result.items.nodes.size).toBe(document.items.nodes.size + 3);
  });
});

describe('commands on menus', () => {
  it('makes a menu with a place and a key of its own', () => {
    const result = createMenu(context, { name: 'Menü für Gäste', place: 'footer' });
    expect(result.ok && result.value.operations).toMatchObject([
      { kind: 'addMenu', branch: [{ key: 'menu-fur-gaste' }] },
      { kind: 'addPart', branch: [{ kind: 'area', area: 'footer' }] },
      { kind: 'addPart', branch: [{ kind: 'band' }, { kind: 'cell' }] },
      { kind: 'addPart', branch: [{ kind: 'placement' }] },
    ]);
    expect(freeKey(document, 'Menu')).toBe('menu-2');
    expect(keyFrom('種子', 'menu')).toBe('o4u-i1c');
    expect(keyFrom('2026', 'menu')).toBe('menu-2026');
  });

  it('removes a menu with all that is in it as one step; its place in the frame shows nothing, until undo', () => {
    const result = after(retireMenu(context, menu));
    expect([result.menus.nodes.size, result.items.nodes.size]).toEqual([0, 0]);
    expect(placementsIn(result.parts, result.site.id).map(({ shows }) => shows)).toEqual([menu]);
    expect(renderEdition(result, { compareTitles: () => 0, pictures: '' }).frame).toBeNull();
  });
});

describe('leave', () => {
  it('is asked in one place, and a refusal names who has it', () => {
    expect(can({ name: 'A', role: 'editor' }, 'edit').ok).toBe(true);
    const refused = can({ name: 'A', role: 'reader' }, 'edit');
    expect(refused.ok ? '' : refused.refusal.message).toBe(
      'You can view this site, but you can’t change it. Ask someone with the role “editor”.',
    );
    expect(can({ name: 'A', role: 'editor' }, 'publish').ok).toBe(false);
  });
});
