import { describe, expect, it } from 'vitest';
import type { Id } from '../src/base/ids.ts';
import type { Result } from '../src/base/result.ts';
import type { CommandContext } from '../src/commands/context.ts';
import {
  addPageAt,
  movePages,
  readdressPage,
  redirectMap,
  renamePage,
  setPageKind,
  setPageState,
  stepPages,
} from '../src/commands/pages.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { findBreach } from '../src/model/findBreach.ts';
import { childrenOf, nodeAt } from '../src/model/forest.ts';
import { toStored } from '../src/model/stored.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { invertEdit } from '../src/ops/invertEdit.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const { document: start, ids } = outlined(
  '',
  '/ Home\n/seeds Seeds\n  /seeds/herbs Herbs\n    /seeds/herbs/dill Dill\n  /seeds/corn Corn\n/tools Tools\n  /tools/herbs Snips',
);
const id = (address: string): Id => ids.get(address) as Id;
function after(document: SiteDocument, command: (context: CommandContext) => Result<Edit>): SiteDocument {
  const result = command(contextOf(document));
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
function outline({ pages, site }: SiteDocument): string {
  const lines = (parent: Id, inset: string): string[] =>
    [...childrenOf(pages, parent)].flatMap((one) => [
      `${inset}${nodeAt(pages, one).title}`,
      ...lines(one, `${inset}-`),
    ]);
  return lines(site.id, '').join(' ');
}
const addressOf = (document: SiteDocument, page: Id): string => nodeAt(document.pages, page).address;

describe('working on the pages', () => {
  it('adds, renames, retires and brings back', () => {
    const added = after(start, (context) =>
      addPageAt(context, ' Beans & peas ', { parent: id('/seeds'), after: id('/seeds/herbs') }),
    );
    expect(outline(added)).toBe('Home Seeds -Herbs --Dill -Beans & peas -Corn Tools -Snips');
    expect([...added.pages.nodes.values()].find(({ title }) => title === 'Beans & peas')).toMatchObject({
      address: '/seeds/beans-peas',
      planned: true,
      state: 'draft',
      since: 1,
    });
    expect(outline(after(start, (context) => renamePage(context, id('/tools'), 'Hand tools')))).toContain(
      'Hand tools',
    );
    const gone = after(start, (context) => setPageState(context, [id('/tools'), id('/seeds/corn')], 'gone'));
    expect([...gone.pages.nodes.values()].filter(({ state }) => state === 'gone')).toHaveLength(2);
    expect(
      nodeAt(after(gone, (context) => setPageState(context, [id('/tools')], 'live')).pages, id('/tools')),
    ).toMatchObject({ state: 'live', since: 1 });
    expect(
      nodeAt(after(start, (context) => setPageKind(context, [id('/seeds')], 'category')).pages, id('/seeds'))
        .kind,
    ).toBe('category');
    expect([
      code(renamePage(contextOf(start), id('/tools'), '   ')),
      code(renamePage(contextOf(start), 'p0000000000000', 'x')),
      code(setPageState(contextOf(start), [id('/tools')], 'live')),
    ]).toEqual(['emptyName', 'notThere', 'changesNothing']);
  });

  it('moves by steps and to any place, several at once; what moved to another parent is new there', () => {
    expect(outline(after(start, (context) => stepPages(context, [id('/seeds/corn')], 'up')))).toBe(
      'Home Seeds -Corn -Herbs --Dill Tools -Snips',
    );
    expect(outline(after(start, (context) => stepPages(context, [id('/seeds/corn')], 'in')))).toBe(
      'Home Seeds -Herbs --Dill --Corn Tools -Snips',
    );
    expect(outline(after(start, (context) => stepPages(context, [id('/seeds/herbs/dill')], 'out')))).toBe(
      'Home Seeds -Herbs -Dill -Corn Tools -Snips',
    );
    const both = after(start, (context) =>
      movePages(context, [id('/seeds/herbs'), id('/seeds/herbs/dill'), id('/seeds/corn')], {
        parent: id('/tools'),
        after: null,
      }),
    );
    expect(outline(both)).toBe('Home Seeds Tools -Herbs --Dill -Corn -Snips');
    expect(nodeAt(both.pages, id('/seeds/corn')).since).toBe(1);
    expect(addressOf(both, id('/seeds/corn'))).toBe('/seeds/corn');
    expect(
      code(movePages(contextOf(start), [id('/seeds')], { parent: id('/seeds/herbs'), after: null })),
    ).toBe('wouldCircle');
    expect(code(stepPages(contextOf(start), [id('/')], 'up'))).toBe('alreadyFirst');
  });

  it('takes the address along only if asked, with those below, and keeps the old ones for a redirect map', () => {
    const moved = after(start, (context) =>
      movePages(context, [id('/seeds/herbs')], { parent: start.site.id, after: null }, true),
    );
    expect([addressOf(moved, id('/seeds/herbs')), addressOf(moved, id('/seeds/herbs/dill'))]).toEqual([
      '/herbs',
      '/herbs/dill',
    ]);
    expect(redirectMap(moved)).toEqual([
      { from: '/seeds/herbs', to: '/herbs' },
      { from: '/seeds/herbs/dill', to: '/herbs/dill' },
    ]);
    // An address that another page has is not taken from it.
    expect(
      addressOf(
        after(start, (context) =>
          movePages(context, [id('/seeds/herbs')], { parent: id('/tools'), after: null }, true),
        ),
        id('/seeds/herbs'),
      ),
    ).toBe('/seeds/herbs');
    const other = after(moved, (context) => readdressPage(context, id('/seeds/herbs'), '/seeds/herbs'));
    expect(redirectMap(other)).toEqual([
      { from: '/herbs', to: '/seeds/herbs' },
      { from: '/herbs/dill', to: '/seeds/herbs/dill' },
    ]);
    for (const wrong of ['herbs', '//evil.example', '/a b', '/a#b', ''])
      expect(code(readdressPage(contextOf(start), id('/tools'), wrong))).toBe('badPath');
    expect(code(readdressPage(contextOf(start), id('/tools'), '/seeds'))).toBe('addressTaken');
  });
});
