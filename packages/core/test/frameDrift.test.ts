import { describe, expect, it } from 'vitest';
import { addToFrame } from '../src/commands/frame.ts';
import { leaveFinding, mendDrift, openFindings } from '../src/commands/mendDrift.ts';
import { setPageState } from '../src/commands/pages.ts';
import type { Result } from '../src/base/result.ts';
import { createDrift } from '../src/drift/driftOf.ts';
import { findingInWords, fixInWords, type Finding } from '../src/drift/finding.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { frameLinks } from '../src/model/linksIn.ts';
import { areaId, zoneId } from '../src/model/partRoots.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import type { PartFacts, PartKind } from '../src/schema/part.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const { document: start, ids } = outlined('Shop > /shop', '/ Home\n/shop Shop\n/help Help');
const [band = ''] = [...start.parts.children.get(areaId('header'))!];
const help = ids.get('/help') ?? '';
let seed = 10;
function done(
  document: SiteDocument,
  make: (context: ReturnType<typeof contextOf>) => Result<Edit>,
): SiteDocument {
  const made = make(contextOf(document, (seed += 1)));
  const applied = made.ok ? applyEdit(document, made.value) : made;
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}
const withPart = (document: SiteDocument, kind: PartKind, facts: PartFacts): SiteDocument =>
  done(document, (context) =>
    addToFrame(context, { parent: zoneId(band, 'end'), after: null }, kind, { facts }),
  );
const toHelp = { kind: 'page', page: help, anchor: null } as const;
const outside = { kind: 'address', address: 'https://films.example/a' } as const;
const linked = withPart(withPart(start, 'button', { text: 'Help', destination: toHelp }), 'button', {
  text: 'Films',
  destination: outside,
});
const dead = new Map([[outside.address, 'the server answers 404']]);
const found = (document: SiteDocument, tell = createDrift()): readonly Finding[] =>
  tell({ stored: document, filled: document, dead }).filter(({ isInFrame }) => isInFrame === true);

describe('links of the frame', () => {
  const gone = done(linked, (context) => setPageState(context, [help], 'gone'));

  it('are told of when their page is gone or their address does not answer, with what can be done', () => {
    const [first, second, ...rest] = found(gone);
    expect(rest).toEqual([]);
    expect([first, second].map((one) => findingInWords(one!)).sort()).toEqual([
      'In the header, the button “Films” links to https://films.example/a, which does not work: the server answers 404',
      'In the header, the button “Help” links to the deleted page “Help”',
    ]);
    expect(found(linked).map(({ kind }) => kind)).toEqual(['linkDead']);
    expect(
      frameLinks(linked)
        .map(({ value }) => value)
        .sort(),
    ).toEqual([outside.address, help].sort());
  });

  it('are mended as one edit, and a finding that is left stays left', () => {
    const finding = found(gone).find(({ kind }) => kind === 'pageGone')!;
    const [mend] = finding.mends;
    expect(fixInWords(mend!)).toBe('Remove the button “Help” from the header');
    const mended = done(gone, (context) => mendDrift(context, [{ finding, mend: mend!.kind }]));
    expect(found(mended).map(({ kind }) => kind)).toEqual(['linkDead']);
    const left = done(gone, (context) => leaveFinding(context, [finding], 'soon back'));
    expect(openFindings(left, found(left)).open.map(({ kind }) => kind)).toEqual(['linkDead']);
  });

  it('are looked at again after each change, by whoever keeps what it told', () => {
    const tell = createDrift();
    expect(found(linked, tell)).toHaveLength(1);
    expect(found(gone, tell)).toHaveLength(2);
    expect(found(linked, tell)).toHaveLength(1);
  });
});
