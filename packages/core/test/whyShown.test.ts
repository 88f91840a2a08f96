import { describe, expect, it } from 'vitest';
import { quillmereDocument } from '../../../demo/quillmere/quillmereDocument.ts';
import { setItems } from '../src/commands/settings.ts';
import { setPart } from '../src/commands/composing.ts';
import { readStored } from '../src/model/stored.ts';
import type { SiteDocument } from '../src/model/document.ts';
import type { Result } from '../src/base/result.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { situationOn } from '../src/resolve/frameExceptions.ts';
import { whyShown } from '../src/resolve/whyShown.ts';
import { wayUp } from '../src/model/wayUp.ts';
import { contextOf } from '../testing/index.ts';

const quillmere = readStored(quillmereDocument());
function after(before: SiteDocument, made: Result<Edit>): SiteDocument {
  const applied = made.ok ? applyEdit(before, made.value) : made;
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}
const menu = [...quillmere.menus.nodes.values()].find(({ key }) => key === 'main');
const part = [...quillmere.parts.nodes.values()].find(
  ({ id, kind, shows }) =>
    kind === 'placement' && shows === menu?.id && wayUp(quillmere, id).at(-1)?.area === 'header',
);
const top = [...quillmere.items.nodes.values()].find(({ parent }) => parent === menu?.id);
const below = [...quillmere.items.nodes.values()].find(({ parent }) => parent === top?.id);
const home = situationOn(
  quillmere,
  [...quillmere.pages.nodes.values()].find(({ address }) => address === '/')?.id ?? null,
);
const asked = (document: SiteDocument, item: string | null = below?.id ?? null) =>
  whyShown(document, { part: part?.id ?? null, item }, home);

describe('why something is shown where it is', () => {
  it('is said from the nearest outwards: items, parts, bands, areas, and what these do', () => {
    const plain = asked(quillmere);
    const way = wayUp(quillmere, part?.id ?? '').map(({ id }) => id);
    expect(plain.filter(({ why }) => why === 'standsIn').map(({ by }) => by)).toEqual(way.slice(1));
    expect(plain.some((one) => one.why === 'scrolls' && one.by === way.at(-1))).toBe(true);
    const hidden = after(
      quillmere,
      setItems(contextOf(quillmere), [top?.id ?? ''], { branchHiddenOn: ['narrow'], hiddenOn: ['medium'] }),
    );
    const band = way.find((id) => quillmere.parts.nodes.get(id)?.kind === 'band') ?? '';
    const both = after(hidden, setPart(contextOf(hidden), band, { hiddenOn: ['narrow'] }));
    const found = asked(both).filter(
      ({ why }) => why !== 'standsIn' && why !== 'scrolls' && why !== 'inDrawer',
    );
    expect(found).toEqual([
      { by: top?.id, why: 'hiddenOn', on: ['medium'] },
      { by: top?.id, why: 'branchHiddenOn', on: ['narrow'] },
      { by: band, why: 'hiddenOn', on: ['narrow'] },
    ]);
    // Of an item itself, what is below it says nothing.
    expect(asked(both, top?.id ?? null).some(({ why }) => why === 'branchHiddenOn')).toBe(false);
  });

  it('says of exceptions whether they hold on this page, and nothing of what is not there', () => {
    const [one] = [...quillmere.parts.nodes.values()].filter(({ kind }) => kind === 'exception');
    const owner = one?.parent ?? '';
    const elsewhere = whyShown(quillmere, { part: owner, item: null }, { template: null, pages: [] });
    expect(elsewhere.some(({ by, why }) => by === owner && why === 'hasExceptions')).toBe(true);
    const template = one?.template ?? null;
    const pages = one?.onPage === undefined ? [] : [one.onPage];
    const here = whyShown(quillmere, { part: owner, item: null }, { template, pages });
    expect(here).toContainEqual({ by: owner, why: 'isException', isShown: one?.isShown });
    expect(whyShown(quillmere, { part: 'c0gone', item: 'i0gone' }, home)).toEqual([]);
  });
});
