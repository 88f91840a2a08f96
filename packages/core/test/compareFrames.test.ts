import { describe, expect, it } from 'vitest';
import { compareFrames, frameSource } from '../src/diff/compareFrames.ts';
import { newPart } from '../src/model/newPart.ts';
import { areaId, zoneId } from '../src/model/partRoots.ts';
import type { Operation } from '../src/ops/registry.ts';
import { exceptionId, type Part, type PartFacts, type PartKind } from '../src/schema/part.ts';
import { applied } from '../testing/withPlaced.ts';
import { outlined } from '../testing/outlined.ts';

const { document } = outlined('Shop > /shop', '/shop Shop');
const [band = ''] = [...document.parts.children.get(areaId('header'))!];
const start = zoneId(band, 'start');
const end = zoneId(band, 'end');
const part = (id: string, kind: PartKind, facts: PartFacts = {}, parent = end): Part =>
  newPart(id.padStart(16, 'c'), parent, { kind, ...facts });
const add = (...branch: Part[]): Operation => ({ kind: 'addPart', after: null, branch });
const remove = (part: Part): Operation => ({ kind: 'removePart', after: null, branch: [part] });
const move = (parent: string, behind: string | null): Operation => ({
  kind: 'movePart',
  id: logo.id,
  from: { parent: end, after: null },
  to: { parent, after: behind },
});
const [logo, search, copyright] = [
  part('logo', 'logo', { text: 'Meadow' }),
  part('search', 'search', { text: 'Search', address: '/search', parameter: 'q' }),
  part('copyright', 'copyright'),
];
const after = (from: typeof document, ...operations: Operation[]): typeof document =>
  operations.reduce((now, operation) => applied(now, operation), from);
const base = after(document, add(copyright), add(search), add(logo));
const changes = (...operations: Operation[]): string[] =>
  compareFrames(frameSource(base), after(base, ...operations));

describe('what changed in the frame since an edition', () => {
  it('is nothing where nothing did, and nothing after undo', () => {
    expect(changes()).toEqual([]);
    expect(changes(remove(logo), add(logo))).toEqual([]);
  });

  it('says once what came, went, moved and changed', () => {
    expect(changes(add(part('line', 'divider')))).toEqual(['Added a divider to the header']);
    expect(changes(remove(logo))).toEqual(['Removed the logo “Meadow” from the header']);
    expect(changes(move(start, null))).toHaveLength(1);
    expect(changes(move(end, search.id))).toHaveLength(1);
    expect(
      changes({ kind: 'updatePart', id: logo.id, set: { text: 'Mead' }, was: { text: 'Meadow' } }),
    ).toEqual(['Changed the logo “Mead” in the header']);
  });

  it('says a band with all that stands in it once', () => {
    const other = part('band', 'band', {}, areaId('header'));
    const zone = newPart(zoneId(other.id, 'start'), other.id, { kind: 'zone', at: 'start' });
    expect(changes(add(other, zone, part('inner', 'logo', { text: 'Inner' }, zone.id)))).toEqual([
      'Added a band to the header',
    ]);
  });

  it('says of an exception that its part has changed, and names facts of the site', () => {
    const on = { template: 'product' };
    const hidden = newPart(exceptionId(logo.id, on), logo.id, { kind: 'exception', isShown: false, ...on });
    expect(changes(add(hidden))).toEqual(['Changed the logo “Meadow” in the header']);
    expect(
      changes({
        kind: 'updateSite',
        id: document.site.id,
        set: { phone: '01632 960140' },
        was: { phone: null },
      }),
    ).toEqual(['Changed the site’s phone number']);
  });
});
