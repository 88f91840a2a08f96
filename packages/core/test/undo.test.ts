import { describe, expect, it } from 'vitest';
import { moveItems, removeItems, renameItem } from '../src/commands/items.ts';
import { undoEdit } from '../src/commands/undo.ts';
import { newHistory, nextRedo, nextUndo, withEdit } from '../src/history/history.ts';
import { childrenOf } from '../src/model/forest.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { rebaseEdit } from '../src/ops/rebaseEdit.ts';
import type { SiteDocument } from '../src/model/document.ts';
import type { Result } from '../src/base/result.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const { document, ids, menu } = outlined('A\nB\nC\nD');
const id = (label: string): string => ids.get(label) ?? '';

function done(doc: SiteDocument, made: Result<Edit>): { document: SiteDocument; edit: Edit } {
  if (!made.ok) throw new Error(made.refusal.message);
  const applied = applyEdit(doc, made.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value;
}
const mine = contextOf(document, 1);

describe('undo among several people', () => {
  it('puts a removed item back where it stood, although its neighbour was removed since', () => {
    const removal = done(document, removeItems(mine, [id('C')]));
    const theirs = done(
      removal.document,
      removeItems({ ...contextOf(removal.document, 2), session: 'w000000000000002' }, [id('B')]),
    );
    const back = done(
      theirs.document,
      undoEdit(contextOf(theirs.document, 3), { edit: removal.edit, since: [theirs.edit], group: null }),
    );
    expect([...childrenOf(back.document.items, menu)]).toEqual([id('A'), id('C'), id('D')]);
  });

  it('refuses when somebody else changed the same field since, and names them', () => {
    const renamed = done(document, renameItem(mine, id('A'), 'Mine'));
    const theirs = done(
      renamed.document,
      renameItem({ ...contextOf(renamed.document, 2), session: 'w000000000000002' }, id('A'), 'Theirs'),
    );
    const refused = undoEdit(contextOf(theirs.document, 3), {
      edit: renamed.edit,
      since: [{ ...theirs.edit, actor: 'Noor' }],
      group: null,
    });
    expect(refused.ok ? '' : refused.refusal.message).toBe(
      'Can’t undo: Noor has changed “Theirs” since (Renamed “Mine” to “Theirs”). Edit it directly, or skip this step.',
    );
  });

  it('takes back a rename although somebody moved the item since', () => {
    const renamed = done(document, renameItem(mine, id('A'), 'Mine'));
    const theirs = done(
      renamed.document,
      moveItems(contextOf(renamed.document, 2), [id('A')], { parent: id('D'), after: null }),
    );
    const back = done(
      theirs.document,
      undoEdit(contextOf(theirs.document, 3), { edit: renamed.edit, since: [theirs.edit], group: null }),
    );
    expect(back.document.items.nodes.get(id('A'))).toMatchObject({ label: 'A', parent: id('D') });
  });
});

describe('history', () => {
  const edit = (name: string, changes: Partial<Edit> = {}) => ({
    id: name,
    session: 'w1',
    group: null,
    undoes: null,
    ...changes,
  });

  it('is not cleared by what others do', () => {
    const history = [edit('e1'), edit('u1', { undoes: 'e1' }), edit('x', { session: 'w2' })].reduce(
      withEdit,
      newHistory('w1'),
    );
    expect(nextRedo(history)).toEqual(['u1']);
  });

  it('forgets what was taken back once something else is done', () => {
    const history = [edit('e1'), edit('u1', { undoes: 'e1' }), edit('e2')].reduce(withEdit, newHistory('w1'));
    expect(nextRedo(history)).toEqual([]);
    expect(nextUndo(history)).toEqual(['e2']);
  });

  it('takes a group back together, latest first', () => {
    const history = [edit('e1'), edit('e2', { group: 'g' }), edit('e3', { group: 'g' })].reduce(
      withEdit,
      newHistory('w1'),
    );
    expect(nextUndo(history)).toEqual(['e3', 'e2']);
  });
});

describe('rebase', () => {
  it('leads an anchor through a chain of removals to the nearest that is left', () => {
    const late = done(document, moveItems(mine, [id('A')], { parent: menu, after: id('D') })).edit;
    const removed = done(document, removeItems(contextOf(document, 2), [id('D')]));
    const more = done(removed.document, removeItems(contextOf(removed.document, 4), [id('C')]));
    const rebased = rebaseEdit(late, [removed.edit, more.edit]);
    const applied = applyEdit(more.document, rebased);
    expect(applied.ok && [...childrenOf(applied.value.document.items, menu)]).toEqual([id('B'), id('A')]);
  });

  it('keeps an anchor that was removed and brought back', () => {
    const late = done(document, moveItems(mine, [id('A')], { parent: menu, after: id('C') })).edit;
    const removed = done(document, removeItems(contextOf(document, 2), [id('C')]));
    const back = done(
      removed.document,
      undoEdit(contextOf(removed.document, 4), { edit: removed.edit, since: [], group: null }),
    );
    const applied = applyEdit(back.document, rebaseEdit(late, [removed.edit, back.edit]));
    expect(applied.ok && [...childrenOf(applied.value.document.items, menu)]).toEqual([
      id('B'),
      id('C'),
      id('A'),
      id('D'),
    ]);
  });
});
