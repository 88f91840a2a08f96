import { describe, expect, it } from 'vitest';
import { nextTick, shallowRef } from 'vue';
import { childrenOf, nodeAt, setPageState, type Id } from '@zorvik/core';
import { outlined } from '@zorvik/core/testing';
import { usePageTree } from '../src/composables/usePageTree.ts';
import { useNotices } from '../src/stores/notices.ts';
import { useWorkingCopy } from '../src/stores/workingCopy.ts';
import { openSite } from './openSite.ts';

const start = outlined(
  '= /shop',
  '/shop Shop\n  /shop/mugs Mugs\n    /shop/mugs/blue Blue\n  /shop/plates Plates\n/news News\n/visit Visit',
);
const id = (address: string): Id => start.ids.get(address) as Id;
const { open, using } = openSite(start.document);

async function pages() {
  const { copy, selection } = await open();
  const element = document.createElement('div');
  const calls: string[] = [];
  const tree = using(() =>
    usePageTree({
      element: shallowRef(element),
      show: () => undefined,
      rename: () => calls.push('rename'),
      startAdding: () => calls.push('add'),
    }),
  );
  element.addEventListener('keydown', tree.press);
  const press = async (...keys: string[]): Promise<void> => {
    for (const keyed of keys) {
      const held = keyed.split('+');
      element.dispatchEvent(
        new KeyboardEvent('keydown', {
          key: held.at(-1) ?? '',
          altKey: held.includes('Alt'),
          shiftKey: held.includes('Shift'),
          cancelable: true,
        }),
      );
      await nextTick();
    }
  };
  const titles = (ids: readonly Id[] = tree.rows.value.map((row) => row.id)): string =>
    ids.map((one) => nodeAt(copy.document!.pages, one).title).join(' ');
  return { copy, selection, tree, press, titles, calls };
}
const order = (parent: Id): string =>
  [...childrenOf(useWorkingCopy().document!.pages, parent)]
    .map((one) => nodeAt(useWorkingCopy().document!.pages, one).title)
    .join(' ');

describe('the page tree', () => {
  it('unfolds and folds by key, and goes out to the parent', async () => {
    const { tree, press, titles } = await pages();
    expect(titles()).toBe('Shop News Visit');
    await press('ArrowRight', 'ArrowRight');
    expect([titles(), tree.at.value]).toEqual(['Shop Mugs Plates News Visit', 1]);
    await press('ArrowRight', 'ArrowDown');
    expect(titles(tree.chosen.value)).toBe('Blue');
    await press('ArrowLeft');
    expect(titles(tree.chosen.value)).toBe('Mugs');
    await press('ArrowLeft', 'ArrowLeft', 'ArrowLeft');
    expect(titles()).toBe('Shop News Visit');
  });

  it('moves pages by key, and what was moved stays chosen and in sight', async () => {
    const { copy, tree, press, titles } = await pages();
    await press('End', 'Alt+ArrowUp');
    expect(order(copy.document!.site.id)).toBe('Shop Visit News');
    await press('Alt+ArrowRight');
    expect([order(id('/shop')), titles(tree.chosen.value)]).toEqual(['Mugs Plates Visit', 'Visit']);
    await press('Alt+ArrowLeft');
    expect([order(copy.document!.site.id), titles(tree.chosen.value)]).toEqual(['Shop Visit News', 'Visit']);
    copy.undo();
    copy.undo();
    copy.undo();
    expect(order(copy.document!.site.id)).toBe('Shop News Visit');
  });

  it('chooses several by Shift and Ctrl, never none', async () => {
    const { tree, titles, press } = await pages();
    await press('Shift+ArrowDown');
    expect(titles(tree.chosen.value)).toBe('Shop News');
    tree.point(2, new MouseEvent('click', { ctrlKey: true }));
    expect(titles(tree.chosen.value)).toBe('Shop News Visit');
    tree.point(0, new MouseEvent('click'));
    tree.point(0, new MouseEvent('click', { ctrlKey: true }));
    expect(titles(tree.chosen.value)).toBe('Shop');
  });

  it('marks pages as deleted, and back', async () => {
    const { copy, press } = await pages();
    const state = (): string => nodeAt(copy.document!.pages, id('/news')).state;
    await press('ArrowDown', 'Delete');
    expect(state()).toBe('gone');
    await press('Delete');
    expect(state()).toBe('live');
  });

  it('filters: pages in no menu do not include deleted ones', async () => {
    const { copy, tree, titles } = await pages();
    tree.filter.value = 'noMenu';
    const before = titles();
    copy.perform((context) => setPageState(context, [id('/news')], 'gone'));
    expect(before).toContain('News');
    expect(titles()).toBe(before.replace('News ', ''));
    tree.filter.value = 'gone';
    expect(titles()).toBe('News');
    tree.filter.value = 'all';
    tree.typed.value = 'mug';
    await nextTick();
    expect(titles()).toContain('Mugs');
  });

  it('adds a page after the chosen one and chooses it', async () => {
    const { copy, tree, titles } = await pages();
    expect(tree.add('Prices')).toBe(true);
    await nextTick();
    expect(order(copy.document!.site.id)).toBe('Shop Prices News Visit');
    expect(titles(tree.chosen.value)).toBe('Prices');
    expect(tree.add('   '), 'a page needs a title').toBe(false);
    expect(useNotices().refused).not.toBeNull();
  });

  it('shows a drop before it happens: above, into or below a row, and why not', async () => {
    const { copy, tree, press } = await pages();
    const visit = [id('/visit')];
    tree.showDrop(visit, 0, 0.1);
    expect(tree.drop.value).toMatchObject({ line: 0, isInto: false, problem: null });
    tree.showDrop(visit, 0, 0.5);
    expect(tree.drop.value).toMatchObject({ isInto: true, words: 'under Shop, after Plates' });
    tree.showDrop(visit, 0, 0.9);
    expect(tree.drop.value?.words).toBe(`under ${copy.document!.site.name}, after Shop`);
    await press('ArrowRight');
    tree.showDrop(visit, 0, 0.9);
    expect(tree.drop.value, 'below an open row is its first child').toMatchObject({
      depth: 1,
      words: 'under Shop, first',
    });
    tree.put(visit);
    expect([order(id('/shop')), tree.drop.value]).toEqual(['Visit Mugs Plates', null]);
    tree.showDrop([id('/shop')], 1, 0.5);
    expect(tree.drop.value?.problem, 'not into its own branch').not.toBeNull();
    tree.put([id('/shop')]);
    expect(order(copy.document!.site.id)).toBe('Shop News');
  });

  it('finds the page again that was selected when one comes back', async () => {
    const { selection } = await open();
    selection.pageId = id('/shop/mugs/blue');
    const tree = using(() =>
      usePageTree({
        element: shallowRef(null),
        show: () => undefined,
        rename: () => undefined,
        startAdding: () => undefined,
      }),
    );
    await nextTick();
    expect(tree.chosen.value).toEqual([id('/shop/mugs/blue')]);
  });
});
