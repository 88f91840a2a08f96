import { describe, expect, it, vi } from 'vitest';
import { computed, nextTick, shallowRef } from 'vue';
import { nodeAt, removeItems, type Id } from '@zorvik/core';
import { outlined } from '@zorvik/core/testing';
import { outlineRows } from '../src/composables/outlineRows.ts';
import { useTree } from '../src/composables/useTree.ts';
import { useNotices } from '../src/stores/notices.ts';
import { useSelection } from '../src/stores/selection.ts';
import { useWorkingCopy } from '../src/stores/workingCopy.ts';
import { openSite } from './openSite.ts';

const start = outlined('A\n  A1\n    A11\n  A2\nB\nC', '/seeds Seeds\n/tools Tools');
const { menu } = start;
const id = (label: string): Id => start.ids.get(label) as Id;
const { open, tree: treeOf, using } = openSite(start.document);
const tree = (): string => treeOf(menu);

/** A tree as both forms of Arrange have it, with the keys that go to its element. */
async function arranged() {
  const { copy, selection, server } = await open();
  const element = document.createElement('div');
  element.tabIndex = 0;
  document.body.append(element);
  const shown: (Id | 'adding')[] = [];
  const parts = using(() => {
    const rows = computed(() => outlineRows(useWorkingCopy().document!, menu, useSelection().folded));
    return useTree({
      menu: () => menu,
      rows,
      tree: shallowRef(element),
      show: (row) => shown.push(row),
      focusAdding: () => undefined,
    });
  });
  element.addEventListener('keydown', parts.press);
  const press = async (...keys: string[]): Promise<void> => {
    for (const keyed of keys) {
      const held = keyed.split('+');
      const event = new KeyboardEvent('keydown', {
        key: held.at(-1) ?? '',
        altKey: held.includes('Alt'),
        shiftKey: held.includes('Shift'),
        ctrlKey: held.includes('Ctrl'),
        cancelable: true,
      });
      element.dispatchEvent(event);
      await nextTick();
    }
  };
  const label = (): string | null =>
    start.ids.size === 0 || selection.item === null
      ? null
      : ([...start.ids].find(([, one]) => one === selection.item?.id)?.[0] ?? 'new');
  return { copy, selection, server, element, parts, shown, press, label };
}

describe('the keys of the tree', () => {
  it('go through its rows, into branches and out of them', async () => {
    const { selection, press, label, shown } = await arranged();
    selection.select(id('A'));
    await press('ArrowDown', 'ArrowDown');
    expect(label()).toBe('A11');
    expect(shown.at(-1), 'what is selected is in sight').toBe(id('A11'));
    await press('ArrowLeft');
    expect(label(), 'from an item without children to its parent').toBe('A1');
    await press('ArrowLeft');
    expect([label(), selection.folded.has(id('A1'))], 'an open branch folds first').toEqual(['A1', true]);
    await press('ArrowDown');
    expect(label()).toBe('A2');
    await press('ArrowUp', 'ArrowRight', 'ArrowRight');
    expect(label(), 'unfolds, then goes in').toBe('A11');
    await press('End');
    expect(label()).toBe('C');
    await press('ArrowDown');
    expect(label(), 'stays at the end').toBe('C');
    await press('Home', 'ArrowLeft', 'ArrowLeft');
    expect([label(), selection.folded.has(id('A'))], 'nothing above the top').toEqual(['A', true]);
  });

  it('move, duplicate and remove what is chosen, and undo brings it back', async () => {
    const { copy, selection, press, label } = await arranged();
    selection.select(id('C'));
    await press('Alt+ArrowUp');
    expect(tree()).toBe('A(A1(A11) A2) C B');
    await press('Alt+ArrowRight');
    expect(tree()).toBe('A(A1(A11) A2 C) B');
    await press('Alt+ArrowLeft', 'Ctrl+d');
    expect(tree()).toBe('A(A1(A11) A2) C C B');
    expect(label(), 'the duplicate is selected').toBe('new');
    await press('Delete');
    expect(tree()).toBe('A(A1(A11) A2) C B');
    for (let step = 0; step < 10 && copy.canUndo; step += 1) copy.undo();
    expect(tree()).toBe('A(A1(A11) A2) B C');
  });

  it('extend what is chosen, and move it together', async () => {
    const { selection, press } = await arranged();
    selection.select(id('B'));
    await press('Shift+ArrowDown');
    expect(selection.chosen).toEqual([id('B'), id('C')]);
    await press('Alt+ArrowRight');
    expect(tree()).toBe('A(A1(A11) A2 B C)');
  });

  it('say why something cannot be done, and change nothing', async () => {
    const { selection, press } = await arranged();
    selection.select(id('A'));
    await press('Alt+ArrowUp');
    expect([tree(), useNotices().refused === null]).toEqual(['A(A1(A11) A2) B C', false]);
  });

  it('do nothing while an input method composes, nor for keys that nothing is bound to', async () => {
    const { selection, element } = await arranged();
    selection.select(id('A'));
    const composing = new KeyboardEvent('keydown', { key: 'ArrowDown', isComposing: true, cancelable: true });
    const unbound = new KeyboardEvent('keydown', { key: 'F9', cancelable: true });
    element.dispatchEvent(composing);
    element.dispatchEvent(unbound);
    expect(selection.item?.id).toBe(id('A'));
    expect([composing.defaultPrevented, unbound.defaultPrevented]).toEqual([false, false]);
  });
});

describe('choosing by the pointer', () => {
  it('keeps several while one presses, for a drag, and lets go of the others on a plain click', async () => {
    const { selection, parts } = await arranged();
    selection.chooseAll([id('A2'), id('B')]);
    parts.point(id('B'), new MouseEvent('pointerdown'));
    expect(selection.chosen).toEqual([id('A2'), id('B')]);
    parts.point(id('B'), new MouseEvent('click'));
    expect(selection.chosen).toEqual([id('B')]);
    parts.point(id('C'), new MouseEvent('pointerdown', { ctrlKey: true }));
    expect(selection.chosen).toEqual([id('B'), id('C')]);
    parts.point(id('A1'), new MouseEvent('pointerdown', { shiftKey: true }));
    expect(selection.chosen.at(0)).toBe(id('A1'));
  });

  it('never scrolls the row under the pointer', async () => {
    const { parts, shown } = await arranged();
    await nextTick();
    shown.length = 0;
    parts.point(id('B'), new MouseEvent('pointerdown'));
    await nextTick();
    expect(shown).toEqual([]);
  });
});

describe('typing items in one after the other', () => {
  it('puts each behind the one before it; Tab nests the next one, Shift+Tab goes back out', async () => {
    const { selection, parts } = await arranged();
    selection.select(id('B'));
    parts.startAdding();
    parts.add({ kind: 'heading', label: 'Shop' });
    parts.nest(true);
    parts.add({ kind: 'page', id: start.ids.get('/seeds') ?? '' });
    parts.add({ kind: 'link', label: 'Help', address: '/help' });
    parts.nest(false);
    parts.add({ kind: 'undecided', label: 'Later' });
    expect(tree()).toBe('A(A1(A11) A2) B Shop(Seeds Help) Later C');
  });

  it('cannot go out of the menu or deeper than there is an item to go into', async () => {
    const { selection, parts } = await arranged();
    selection.select(id('A11'));
    parts.startAdding();
    parts.nest(true);
    expect(parts.adding.value).toEqual({ parent: id('A11'), after: null });
    parts.nest(true);
    expect(parts.adding.value, 'no item before it').toEqual({ parent: id('A11'), after: null });
    for (let step = 0; step < 6; step += 1) parts.nest(false);
    expect(parts.adding.value).toEqual({ parent: menu, after: id('A') });
  });

  it('stays where it is when an item is refused, and takes pasted lines as a branch', async () => {
    const { selection, parts, element } = await arranged();
    selection.select(id('C'));
    parts.startAdding();
    const before = parts.adding.value;
    parts.add({ kind: 'link', label: 'Bad', address: 'javascript:alert(1)' });
    expect([parts.adding.value, useNotices().refused === null]).toEqual([before, false]);
    await parts.pasteLines('One\n  Two\nThree');
    expect(tree()).toBe('A(A1(A11) A2) B C One(Two) Three');
    expect([parts.adding.value, document.activeElement]).toEqual([null, element]);
  });
});

describe('naming an item in its row', () => {
  it('keeps the name, nests by Tab, and removes by Backspace in an empty name', async () => {
    const { copy, parts } = await arranged();
    parts.startRenaming(id('C'));
    expect(parts.keepName(id('C'))('Contact', true)).toBeNull();
    parts.whileNaming(id('C'), 'nest');
    expect(tree()).toBe('A(A1(A11) A2) B(Contact)');
    parts.whileNaming(id('C'), 'unnest');
    parts.whileNaming(id('C'), 'remove');
    expect([tree(), parts.renaming.value]).toEqual(['A(A1(A11) A2) B', null]);
    expect(nodeAt(copy.document!.items, id('B')).id).toBe(id('B'));
  });

  it('ends when somebody else removes the item, and the keys go on in the tree', async () => {
    const { copy, parts, element, server } = await arranged();
    parts.startRenaming(id('B'));
    server.otherDoes((context) => removeItems(context, [id('B')]));
    await copy.catchUp();
    await vi.waitFor(() => expect(parts.renaming.value).toBeNull());
    expect(document.activeElement).toBe(element);
  });
});

describe('copying and pasting by the clipboard of the computer', () => {
  it('takes what is chosen only while the tree has the focus, and pastes behind the selected item', async () => {
    const { selection, parts, element } = await arranged();
    const written: string[] = [];
    Object.defineProperty(navigator, 'clipboard', {
      value: { writeText: async (text: string) => void written.push(text) },
      configurable: true,
    });
    selection.select(id('A2'));
    const event = (type: string, target: EventTarget, text = '') =>
      Object.defineProperties(new Event(type, { cancelable: true }), {
        target: { value: target },
        clipboardData: { value: { getData: () => text } },
      }) as ClipboardEvent;
    await parts.copied(event('copy', document.body));
    expect(written).toEqual([]);
    await parts.copied(event('cut', element));
    expect([written, tree()]).toEqual([['A2 |\n'], 'A(A1(A11)) B C']);
    selection.select(id('C'));
    await parts.pasted(event('paste', element, 'A2 |\n'));
    expect(tree()).toBe('A(A1(A11)) B C A2');
  });
});
