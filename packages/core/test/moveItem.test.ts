import { describe, expect, it } from 'vitest';
import { childrenOf, nodeAt, type Spot } from '../src/model/forest.ts';
import { inWords } from '../src/base/sentences.ts';
import { moveItem } from '../src/ops/moveItem.ts';
import { outlined } from '../testing/outlined.ts';

/**
 * The pattern for tests of one kind of operation: what it does, what it refuses and how it says so, how it
 * yields to others.
 */
const { document, ids, menu } = outlined(`
Seeds
  Spring
  Autumn
    Peas
Bulbs
Tools`);

const id = (label: string): string => ids.get(label) ?? '';
const move = (label: string, to: Spot) =>
  moveItem.apply(document, { kind: 'moveItem', id: id(label), from: { parent: menu, after: null }, to });
const labelsUnder = (doc: typeof document, parent: string): (string | null)[] =>
  [...childrenOf(doc.items, parent)].map((one) => nodeAt(doc.items, one).label);

describe('moveItem', () => {
  it('puts an item behind a sibling, and its branch goes with it', () => {
    const result = move('Seeds', { parent: menu, after: id('Tools') });
    if (!result.ok) throw new Error(result.refusal.message);
    expect(labelsUnder(result.value.document, menu)).toEqual(['Bulbs', 'Tools', 'Seeds']);
    expect(labelsUnder(result.value.document, id('Seeds'))).toEqual(['Spring', 'Autumn']);
  });

  it('puts an item first under another', () => {
    const result = move('Bulbs', { parent: id('Seeds'), after: null });
    if (!result.ok) throw new Error(result.refusal.message);
    expect(labelsUnder(result.value.document, id('Seeds'))).toEqual(['Bulbs', 'Spring', 'Autumn']);
    expect(nodeAt(result.value.document.items, id('Bulbs')).parent).toBe(id('Seeds'));
  });

  it('gives back where the item really was, whatever the operation said', () => {
    const result = move('Tools', { parent: id('Seeds'), after: null });
    expect(result.ok && result.value.operation.from).toEqual({ parent: menu, after: id('Bulbs') });
  });

  it('gives the very same document when the item stands there already', () => {
    const result = move('Bulbs', { parent: menu, after: id('Seeds') });
    expect(result.ok && result.value.document).toBe(document);
    const behindItself = move('Bulbs', { parent: menu, after: id('Bulbs') });
    expect(behindItself.ok && behindItself.value.document).toBe(document);
  });

  it('shares all that it does not touch', () => {
    const result = move('Bulbs', { parent: id('Seeds'), after: null });
    if (!result.ok) throw new Error(result.refusal.message);
    expect(result.value.document.pages).toBe(document.pages);
    expect(nodeAt(result.value.document.items, id('Peas'))).toBe(nodeAt(document.items, id('Peas')));
    expect(childrenOf(result.value.document.items, id('Autumn'))).toBe(
      childrenOf(document.items, id('Autumn')),
    );
  });

  it.each([
    [
      'into its own branch',
      'Seeds',
      { parent: id('Peas'), after: null },
      'wouldCircle',
      'Can’t move “Seeds” into “Peas”',
    ],
    [
      'into itself',
      'Seeds',
      { parent: id('Seeds'), after: null },
      'wouldCircle',
      'Choose a place outside it.',
    ],
    [
      'under something that is gone',
      'Seeds',
      { parent: 'i0000000000000zz', after: null },
      'noSuchPlace',
      'Choose another place.',
    ],
    [
      'behind something that stands elsewhere',
      'Seeds',
      { parent: menu, after: id('Peas') },
      'noSuchPlace',
      'no longer exists',
    ],
  ])('refuses a move %s', (_, label, to, code, words) => {
    const result = move(label, to);
    expect(result.ok).toBe(false);
    if (result.ok) return;
    expect(result.refusal.code).toBe(code);
    expect(result.refusal.message).toContain(words);
  });

  it('refuses to move what is not there', () => {
    const result = moveItem.apply(document, {
      kind: 'moveItem',
      id: 'i0000000000000zz',
      from: { parent: menu, after: null },
      to: { parent: menu, after: null },
    });
    expect(result.ok ? '' : result.refusal.message).toContain('This item no longer exists');
  });

  it('lets an anchor that moved away give way to the one before it', () => {
    const away = {
      kind: 'moveItem' as const,
      id: id('Bulbs'),
      from: { parent: menu, after: id('Seeds') },
      to: { parent: id('Seeds'), after: null },
    };
    expect(moveItem.shift('items', { parent: menu, after: id('Bulbs') }, away)).toEqual({
      parent: menu,
      after: id('Seeds'),
    });
    expect(moveItem.shift('items', { parent: menu, after: id('Tools') }, away), 'others stay').toEqual({
      parent: menu,
      after: id('Tools'),
    });
    expect(moveItem.shift('pages', { parent: menu, after: id('Bulbs') }, away), 'other forests stay').toEqual(
      { parent: menu, after: id('Bulbs') },
    );
  });

  it('says in words what it does: moved elsewhere, or reordered', () => {
    const from = { parent: menu, after: id('Seeds') };
    const inside = {
      kind: 'moveItem' as const,
      id: id('Bulbs'),
      from,
      to: { parent: id('Seeds'), after: null },
    };
    const along = { kind: 'moveItem' as const, id: id('Bulbs'), from, to: { parent: menu, after: null } };
    expect(inWords(moveItem.describe(document, inside))).toBe('Moved “Bulbs” into “Seeds”');
    expect(inWords(moveItem.describe(document, along))).toBe('Moved “Bulbs” within “Menu”');
  });
});
