import { describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import { areaId, childrenOf, exceptionsOf, nodeAt, placementsIn, removePartOf, type Id } from '@zorvik/core';
import { outlined } from '@zorvik/core/testing';
import { useFraming } from '../src/composables/useFraming.ts';
import { useFrame } from '../src/stores/frame.ts';
import { useNotices } from '../src/stores/notices.ts';
import { useWorkingCopy } from '../src/stores/workingCopy.ts';
import { openSite } from './openSite.ts';

const start = outlined('Shop > /shop\nHelp > /help', '/ Home\n/shop Shop\n  /shop/mugs Mugs\n/help Help');
const page = (address: string): Id => start.ids.get(address) ?? '';
const { open, using } = openSite(start.document);

async function framed() {
  const { copy } = await open();
  const frame = useFrame();
  const framing = using(() => useFraming());
  const key = (name: string, held: { alt?: boolean } = {}): boolean =>
    framing.press({ key: name, ctrlKey: false, shiftKey: false, altKey: held.alt === true });
  const kinds = (): string => frame.parts.map((one) => (one.kind === 'zone' ? one.at : one.kind)).join(' ');
  return { copy, frame, framing, key, kinds };
}
const shownMenu = (): string | undefined =>
  placementsIn(useWorkingCopy().document!.parts, start.document.site.id)[0]?.shows;

describe('composing the frame', () => {
  it('adds parts where keys have led, moves them through zones, and selects what was added', async () => {
    const { frame, framing, key, kinds } = await framed();
    expect(kinds()).toBe('area band start placement centre end');
    frame.select(frame.parts.find(({ kind }) => kind === 'placement')?.id ?? null);
    key('p');
    framing.add('logo');
    expect(kinds()).toBe('area band start placement logo centre end');
    expect(frame.part?.kind).toBe('logo');
    key('ArrowLeft', { alt: true });
    expect(kinds()).toBe('area band start logo placement centre end');
    for (const _ of [1, 2]) key('ArrowRight', { alt: true });
    expect(kinds(), 'over into the next zone').toBe('area band start placement centre logo end');
    key('Delete');
    expect(kinds()).toBe('area band start placement centre end');
    expect(frame.part?.kind, 'what it stood in is selected').toBe('zone');
  });

  it('adds bands below and above, of the area that is selected, and every step can be undone', async () => {
    const { copy, frame, framing, key, kinds } = await framed();
    const before = kinds();
    frame.select(frame.parts.find(({ kind }) => kind === 'placement')?.id ?? null);
    key('b');
    framing.newBand('above');
    framing.newBand('below', 'footer');
    const bands = (area: 'header' | 'footer'): number => childrenOf(copy.document!.parts, areaId(area)).size;
    expect([bands('header'), bands('footer')]).toEqual([3, 1]);
    for (let step = 0; step < 3; step += 1) copy.undo();
    expect(kinds().replace(' area', '')).toBe(before);
  });

  it('offers what can go there and nothing else, and says so where there is no band', async () => {
    const { copy, frame, framing } = await framed();
    framing.startAdding();
    expect(framing.offered(['logo', 'placement', 'exception', 'tabs'])).toEqual(['logo', 'placement']);
    const [band = ''] = childrenOf(copy.document!.parts, areaId('header'));
    copy.perform((context) => removePartOf(context, band));
    frame.select(null);
    framing.startAdding();
    expect(useNotices().refused).toBe('There is no band yet. Add one first.');
  });

  it('never removes or moves areas and zones', async () => {
    const { frame, key, kinds } = await framed();
    const before = kinds();
    for (const kind of ['area', 'zone']) {
      frame.select(frame.parts.find((one) => one.kind === kind)?.id ?? null);
      key('Delete');
      key('ArrowUp', { alt: true });
    }
    expect(kinds()).toBe(before);
  });
});

describe('which pages a change applies to', () => {
  it('makes an exception for the page that is looked at, and leaves all others as they are', async () => {
    const { copy, frame, framing } = await framed();
    const placement = frame.parts.find(({ kind }) => kind === 'placement')!;
    expect(frame.page?.address, 'the start page comes first').toBe('/');
    frame.lookAt(page('/shop'));
    frame.scope = 'below';
    framing.setShown(placement, false);
    expect(shownMenu(), 'what applies to all pages stays').toBe(start.menu);
    expect(exceptionsOf(copy.document!, placement.id)).toMatchObject([
      { onPage: page('/shop'), isBelow: true, isShown: false },
    ]);
    frame.lookAt(page('/shop/mugs'));
    expect(frame.isShownHere(nodeAt(copy.document!.parts, placement.id))).toBe(false);
    frame.lookAt(page('/help'));
    expect(frame.isShownHere(nodeAt(copy.document!.parts, placement.id))).toBe(true);
  });

  it('adds a part to some pages only: it is hidden on all others', async () => {
    const { copy, frame, framing } = await framed();
    frame.lookAt(page('/help'));
    frame.scope = 'page';
    framing.startAdding();
    framing.add('logo');
    await nextTick();
    const logo = [...copy.document!.parts.nodes.values()].find(({ kind }) => kind === 'logo')!;
    expect([logo.isHidden, frame.isShownHere(logo)]).toEqual([true, true]);
    frame.lookAt(page('/'));
    expect(frame.isShownHere(logo)).toBe(false);
  });

  it('falls back to all pages where the page has no template', async () => {
    const { frame } = await framed();
    frame.scope = 'template';
    expect([frame.scope, frame.scopeOn]).toEqual(['all', null]);
  });

  it('says where a part stands', async () => {
    const { frame } = await framed();
    const placement = frame.parts.find(({ kind }) => kind === 'placement')!;
    expect([frame.wordOf(placement), frame.pathOf(placement.id)]).toEqual([
      'Menu',
      'Header / band 1 / start',
    ]);
  });
});
