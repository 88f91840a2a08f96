import { describe, expect, it } from 'vitest';
import { seededRandom } from '../src/base/seededRandom.ts';
import { addPartOf } from '../src/commands/composing.ts';
import { setItems } from '../src/commands/settings.ts';
import { moveItems, removeItems, renameItem } from '../src/commands/items.ts';
import { changeInWords, compareMenus } from '../src/diff/compareMenus.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import type { Edit } from '../src/ops/edit.ts';
import type { Result } from '../src/base/result.ts';
import type { CommandContext } from '../src/commands/context.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';
import { randomDocument } from '../testing/randomDocument.ts';

const { document, ids, menu } = outlined('A\n  A1 > /1\n  A2 > /2\n  A3 > /3\n  A4 > /4\nB\n  B1 > /5');
const id = (label: string): string => ids.get(label) ?? '';

function changes(command: (context: CommandContext) => Result<Edit>): string[] {
  const made = command(contextOf(document));
  const applied = made.ok ? applyEdit(document, made.value) : null;
  if (!applied?.ok) throw new Error('the command was refused');
  return compareMenus(resolveMenu(document, menu), resolveMenu(applied.value.document, menu)).map(
    changeInWords,
  );
}

describe('what changed between two states of a menu', () => {
  it('is nothing between a menu and itself', () => {
    for (let seed = 1; seed < 10; seed += 1) {
      const random = randomDocument(seededRandom(seed), { pages: 10, menus: 1, items: 30 });
      const [key = ''] = random.menus.nodes.keys();
      expect(compareMenus(resolveMenu(random, key), resolveMenu(random, key))).toEqual([]);
    }
  });

  it('names the one item that was moved among its siblings, not those that it passed', () => {
    expect(changes((context) => moveItems(context, [id('A4')], { parent: id('A'), after: null }))).toEqual([
      'Moved “A4” within “A”',
    ]);
    expect(
      changes((context) => moveItems(context, [id('A1')], { parent: id('A'), after: id('A4') })),
    ).toEqual(['Moved “A1” within “A”']);
  });

  it('says once that a branch came, went or moved', () => {
    expect(changes((context) => removeItems(context, [id('A')]))).toEqual([
      'Removed “A” from “Menu”, with 4 items below it',
    ]);
    expect(changes((context) => moveItems(context, [id('A')], { parent: id('B'), after: null }))).toEqual([
      'Moved “A” into “B”',
    ]);
    expect(compareMenus(null, resolveMenu(document, menu)).map(changeInWords)).toEqual([
      'Added “A” under “Menu”, with 4 items below it',
      'Added “B” under “Menu”, with 1 item below it',
    ]);
  });

  it('tells that what drops is otherwise: its form, or what was composed', () => {
    expect(changes((context) => setItems(context, [id('A')], { dropdown: { form: 'flyouts' } }))).toEqual([
      'The dropdown of “A” has changed',
    ]);
    expect(changes((context) => addPartOf(context, id('A'), null, 'heading'))).toEqual([
      'The dropdown of “A” has changed',
    ]);
  });

  it('tells renaming', () => {
    expect(changes((context) => renameItem(context, id('B1'), 'Best'))).toEqual(['Renamed “B1” to “Best”']);
  });
});
