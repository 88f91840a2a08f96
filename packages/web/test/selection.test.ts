import { createPinia, setActivePinia } from 'pinia';
import { describe, expect, it } from 'vitest';
import {
  childrenOf,
  createMenu,
  labelOf,
  moveItems,
  nodeAt,
  removeItems,
  setItems,
  type Id,
} from '@zorvik/core';
import { outlined } from '@zorvik/core/testing';
import { useArrange } from '../src/stores/arrange.ts';
import { useClipboard } from '../src/stores/clipboard.ts';
import { useNotices } from '../src/stores/notices.ts';
import { useWorkingCopy } from '../src/stores/workingCopy.ts';
import { openSite } from './openSite.ts';

const {
  document: start,
  ids,
  menu,
} = outlined('A\n  A1\n    A11\n  A2\nB\nC\n  C1\nD', '/seeds Seeds\n/tools Tools');
const id = (label: string): Id => ids.get(label) as Id;
const ORDER = ['A', 'A1', 'A11', 'A2', 'B', 'C', 'C1', 'D'].map(id);
const { open: opened } = openSite(start);
const names = (chosen: readonly Id[]): string[] =>
  chosen.map((one) => labelOf(useWorkingCopy().document!, nodeAt(useWorkingCopy().document!.items, one)));
const tops = (): string[] => names([...childrenOf(useWorkingCopy().document!.items, menu)]);

describe('choosing several items', () => {
  it('takes one in and out again, and keeps one that leads', async () => {
    const { selection } = await opened();
    selection.select(id('B'));
    selection.toggle(id('D'));
    selection.toggle(id('A1'));
    expect([names(selection.chosen), selection.item?.id]).toEqual([['A1', 'B', 'D'], id('A1')]);
    selection.toggle(id('A1'));
    expect(names(selection.chosen)).toEqual(['B', 'D']);
    expect(selection.item, 'another one leads').not.toBeNull();
    selection.select(id('C'));
    expect(names(selection.chosen)).toEqual(['C']);
  });

  it('extends from where it began, forth and back', async () => {
    const { selection } = await opened();
    selection.select(id('A2'));
    selection.extendTo(id('C1'), ORDER);
    expect(names(selection.chosen)).toEqual(['A2', 'B', 'C', 'C1']);
    selection.extendTo(id('A1'), ORDER);
    expect(names(selection.chosen)).toEqual(['A1', 'A11', 'A2']);
    expect(selection.item?.id).toBe(id('A1'));
  });

  it('lets go of what is removed, and goes on with the rest', async () => {
    const { copy, selection } = await opened();
    selection.chooseAll([id('A'), id('B'), id('D')], id('B'));
    copy.perform((context) => removeItems(context, [id('B')]));
    expect(names(selection.chosen)).toEqual(['A', 'D']);
    copy.perform((context) => removeItems(context, selection.chosen));
    expect(selection.chosen.length, 'what stands beside it').toBe(1);
  });

  it('reaches into the menu beside', async () => {
    const { copy, selection } = await opened();
    copy.perform((context) =>
      createMenu(context, { name: 'Beside', place: 'side', fill: { kind: 'copy', menu } }),
    );
    const other = selection.menus.at(-1)?.id ?? '';
    const [first = '', second = ''] = childrenOf(copy.document!.items, other);
    selection.chooseAll([first, second]);
    selection.toggle(id('D'));
    expect(names(selection.chosen)).toEqual(['D', 'A', 'B']);
    copy.perform((context) => moveItems(context, selection.chosen, { parent: menu, after: null }));
    expect(tops().slice(0, 3)).toEqual(['D', 'A', 'B']);
  });

  it('never loses what is selected by folding all', async () => {
    const { selection } = await opened();
    selection.select(id('A11'));
    selection.foldAll(true);
    expect([names(selection.chosen), [...selection.folded].length]).toEqual([['A'], 3]);
    selection.foldAll(false);
    expect(selection.folded.size).toBe(0);
  });

  it('is undone as one, whatever was set for all of them', async () => {
    const { copy, selection } = await opened();
    selection.chooseAll([id('B'), id('D')]);
    copy.perform((context) => setItems(context, selection.chosen, { heldBack: true }));
    const held = (): unknown[] => ['B', 'D'].map((label) => nodeAt(copy.document!.items, id(label)).heldBack);
    expect(held()).toEqual([true, true]);
    copy.undo();
    expect(held()).toEqual([undefined, undefined]);
  });
});

describe('copying and pasting', () => {
  it('brings back what was copied here with all it had, and what another program wrote as an outline', async () => {
    const { copy, selection } = await opened();
    const clipboard = useClipboard();
    copy.perform((context) => setItems(context, [id('A1')], { tooltip: 'Kept' }));
    selection.select(id('A'));
    const text = await clipboard.copyChosen();
    expect(text).toBe('A |\n\tA1 |\n\t\tA11 |\n\tA2 |\n');
    const pasted = await clipboard.paste(`${text?.replaceAll('\n', '\r\n')}`, {
      parent: menu,
      after: id('D'),
    });
    expect(tops()).toEqual(['A', 'B', 'C', 'D', 'A']);
    const [added] = pasted?.ok === true ? pasted.value.operations : [];
    expect(added?.kind === 'addItem' && added.branch.map(({ tooltip }) => tooltip)).toEqual([
      undefined,
      'Kept',
      undefined,
      undefined,
    ]);
    await clipboard.paste('Tools\n- Spades | /spades\nUnknown', { parent: menu, after: null });
    expect(tops().slice(0, 2)).toEqual(['Tools', 'Unknown']);
    expect(useArrange().undecided.map((one) => names([one])[0])).toEqual(['Unknown']);
  });

  it('cuts, and says what cannot be read', async () => {
    const { selection } = await opened();
    const clipboard = useClipboard();
    selection.chooseAll([id('B'), id('D')]);
    expect(await clipboard.cutChosen()).toBe('B |\nD |\n');
    expect(tops()).toEqual(['A', 'C']);
    const refused = await clipboard.paste('{"items": 5}', { parent: menu, after: null });
    expect(refused?.ok).toBe(false);
    expect(useNotices().refused).toContain('it has no list “items”');
    expect(await clipboard.paste('  \n ', { parent: menu, after: null })).toBeNull();
  });
});

describe('going through what is not decided', () => {
  it('goes from one to the next and begins again at the end; says so when there is none', async () => {
    const { selection } = await opened();
    const arrange = useArrange();
    arrange.goToUndecided();
    expect(useNotices().heard).toBe('Every item in this menu has a link');
    await useClipboard().paste('One\nTwo', { parent: menu, after: null });
    selection.select(id('D'));
    arrange.goToUndecided();
    expect(names(selection.chosen)).toEqual(['One']);
    arrange.goToUndecided();
    expect(names(selection.chosen)).toEqual(['Two']);
    arrange.goToUndecided();
    expect(names(selection.chosen)).toEqual(['One']);
  });

  it('remembers the form in which menus are shown', () => {
    const arrange = useArrange();
    expect(arrange.form).toBe('spread');
    arrange.switchForm();
    setActivePinia(createPinia());
    expect(useArrange().form).toBe('outline');
  });
});
