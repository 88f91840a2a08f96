import { describe, expect, it } from 'vitest';
import { inWords } from '../src/base/sentences.ts';
import { lostParts } from '../src/checks/lostParts.ts';
import {
  arrangeApart,
  arrangementOf,
  arrangeTogether,
  notPlaced,
  placeOnDevice,
} from '../src/commands/arrangement.ts';
import { usesInDrawer } from '../src/model/frameParts.ts';
import { movePartTo, removePartOf, setPart } from '../src/commands/composing.ts';
import { addDrawer, addToDrawer, removeDrawer } from '../src/commands/drawer.ts';
import { addBand, addToFrame, setBehaviours, setException } from '../src/commands/frame.ts';
import { saveFrameStarter, useFrameStarter as putStarter } from '../src/commands/frameStarters.ts';
import { compareFrames, frameSource } from '../src/diff/compareFrames.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { findBreach } from '../src/model/findBreach.ts';
import { childrenOf, nodeAt } from '../src/model/forest.ts';
import { areaId, behaviourId, zoneId } from '../src/model/partRoots.ts';
import { partsIn } from '../src/model/partsIn.ts';
import { renderEdition } from '../src/render/renderEdition.ts';
import { renderPage } from '../src/render/renderPage.ts';
import { situationOn } from '../src/resolve/frameExceptions.ts';
import type { Part, PartKind } from '../src/schema/part.ts';
import { contextOf } from '../testing/contextOf.ts';
import { doing } from '../testing/doing.ts';
import { outlined } from '../testing/outlined.ts';

const { document: bare } = outlined(
  'Seeds > /seeds\n  Spring > /seeds/spring\n    Peas > /seeds/spring/peas\nTools > /tools',
  '/seeds Seeds\n/tools Tools',
);
const header = areaId('header');
const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));

const { done, refusedBy } = doing(40);
const bandOf = (document: SiteDocument): string => [...childrenOf(document.parts, header)][0] ?? '';
const ofKind = (document: SiteDocument, kind: PartKind, area = header): Part[] =>
  partsIn(document, area).filter((one) => one.kind === kind);
const first = (document: SiteDocument, kind: PartKind): string => ofKind(document, kind)[0]?.id ?? '';

/** Logo and menu at the start, search and account at the end. */
const shop = ['logo', 'search', 'account'].reduce(
  (document, kind, at) =>
    done(document, (context) =>
      addToFrame(
        context,
        { parent: zoneId(bandOf(document), at === 0 ? 'start' : 'end'), after: null },
        kind as PartKind,
        kind === 'account' ? { facts: { destination: { kind: 'address', address: '/account' } } } : {},
      ),
    ),
  bare,
);
const drawn = (document: SiteDocument, isComposed = false): ReturnType<typeof renderPage> =>
  renderPage(document, situationOn(document, null), {
    compareTitles: byCode,
    pictures: '',
    year: 2026,
    isComposed,
  });
/** What the drawer shows, in its order. */
const inDrawer = (document: SiteDocument): string[] =>
  partsIn(document, areaId('drawer')).flatMap((one) =>
    one.kind === 'use' ? [nodeAt(document.parts, one.of).kind] : one.kind === 'placement' ? ['own menu'] : [],
  );

describe('a drawer', () => {
  const full = done(shop, addDrawer);

  it('begins with everything that the header leaves to it, in the order of the header, and with a menu button', () => {
    expect(inDrawer(full)).toEqual(['placement', 'account', 'search']);
    const leaving = ['placement', 'account', 'search', 'logo', 'menuButton'].map(
      (kind) => ofKind(full, kind as PartKind)[0]?.yields ?? false,
    );
    expect(leaving).toEqual([true, true, true, false, false]);
    expect(lostParts(full)).toEqual([]);
    const { header: html, css } = drawn(full);
    expect(html).toMatch(/<header [^>]*zv-has-drawer[^>]*>.*<\/header><dialog /s);
    const drawer = /<dialog.*<\/dialog>/s.exec(html)?.[0] ?? '';
    for (const expected of ['Seeds', 'Peas', 'role="search"', 'href="/account"', 'aria-label="Close"'])
      expect(drawer).toContain(expected);
    expect(css).toMatch(/@media \(max-width:767\.98px\)\{[^@]*zv-yields/);
  });

  it('says in one sentence what was done, and is refused when there is nothing to add', () => {
    const made = addDrawer(contextOf(shop));
    expect(made.ok && inWords(made.value.sentence)).toBe('Added a drawer');
    expect(refusedBy(addDrawer(contextOf(full)))).toBe('changesNothing');
  });

  it('keeps a menu of its own, which takes the place of the header’s', () => {
    const own = done(bare, (context) => addBand(context, 'drawer', null));
    const cell = ofKind(own, 'cell', areaId('drawer'))[0]?.id ?? '';
    const withMenu = done(own, (context) => addToFrame(context, { parent: cell, after: null }, 'placement'));
    const drawer = done(withMenu, addDrawer);
    expect(inDrawer(drawer)).toEqual(['own menu']);
    expect(ofKind(drawer, 'placement')[0]?.yields).toBe(true);
    expect(lostParts(drawer)).toEqual([]);
  });

  it('is not delivered without a menu button, nor where it never takes over: the header hides nothing then', () => {
    const button = first(full, 'menuButton');
    const without = done(full, (context) => removePartOf(context, button));
    const never = done(full, (context) => setPart(context, areaId('drawer'), { takeover: 'never' }));
    for (const document of [without, never]) {
      const { header: html } = drawn(document);
      expect(html).not.toContain('<dialog');
      expect(html).not.toContain('zv-has-drawer');
      expect(lostParts(document)).toEqual([]);
    }
    // While it is composed, it can be seen.
    expect(drawn(without, true).header).toContain('<dialog');
  });

  it('takes over below a width, always or never', () => {
    const css = (takeover: Part['takeover'] | null): string =>
      drawn(
        done(full, (context) =>
          setPart(context, areaId('drawer'), { takeover: takeover ?? null, areaWidth: 300 }),
        ),
      ).css;
    expect(css(900)).toContain('@media (max-width:899.98px){');
    expect(css('always')).toContain('@media all{');
    expect(css(900)).toContain('min(300px,calc(100vw - 2.5rem))');
  });

  it('shows a part with the facts and the exceptions that it has in the header', () => {
    const account = first(full, 'account');
    const named = done(full, (context) => setPart(context, account, { text: 'Your account' }));
    const drawer = (document: SiteDocument): string =>
      /<dialog.*<\/dialog>/s.exec(drawn(document).header)?.[0] ?? '';
    expect(drawer(named)).toContain('Your account');
    const hidden = done(named, (context) => setPart(context, account, { isHidden: true }));
    expect(drawer(hidden)).not.toContain('Your account');
    const inBand = done(named, (context) => setPart(context, bandOf(named), { isHidden: true }));
    expect(drawn(inBand, true).header).not.toContain('Your account');
  });

  it('gives a part back to the header when it is taken out, and takes it again', () => {
    const account = first(full, 'account');
    const use = usesInDrawer(full).get(account)?.id ?? '';
    const out = done(full, (context) => removePartOf(context, use));
    expect(nodeAt(out.parts, account).yields).toBeUndefined();
    expect(lostParts(out)).toEqual([]);
    const hidden = done(out, (context) => setPart(context, account, { hiddenOn: ['narrow'] }));
    expect(lostParts(hidden).map(({ part, on }) => [part.id, on])).toEqual([[account, ['narrow']]]);
    const again = done(hidden, (context) => addToDrawer(context, account));
    expect(inDrawer(again)).toEqual(['placement', 'search', 'account']);
    expect(lostParts(again)).toEqual([]);
    expect(refusedBy(addToDrawer(contextOf(again), account))).toBe('inDrawerAlready');
    expect(refusedBy(addToDrawer(contextOf(again), bandOf(again)))).toBe('notForDrawer');
  });

  it('goes with its button, and the header shows everything again', () => {
    const gone = done(full, removeDrawer);
    expect(inDrawer(gone)).toEqual([]);
    expect(partsIn(gone, header).some(({ yields, kind }) => yields === true || kind === 'menuButton')).toBe(
      false,
    );
    expect(refusedBy(removeDrawer(contextOf(gone)))).toBe('noDrawer');
  });

  it('is followed by what is added beside a part that is in it', () => {
    const search = first(full, 'search');
    const more = done(full, (context) =>
      addToFrame(context, { parent: nodeAt(full.parts, search).parent, after: search }, 'button', {
        facts: { destination: { kind: 'address', address: '/visit' } },
      }),
    );
    expect(inDrawer(more)).toEqual(['placement', 'account', 'search', 'button']);
    expect(ofKind(more, 'button')[0]?.yields).toBe(true);
  });

  it('has its button on every device class, also where these are arranged already', () => {
    const apart = done(shop, (context) => arrangeApart(context, 'header', 'narrow'));
    const drawer = done(apart, addDrawer);
    const [own = ''] = arrangementOf(drawer, 'header', 'narrow');
    const button = first(drawer, 'menuButton');
    expect(partsIn(drawer, own).some((one) => one.kind === 'use' && one.of === button)).toBe(true);
    expect(notPlaced(drawer, 'header', 'narrow')).toEqual([]);
    expect(lostParts(drawer)).toEqual([]);
  });

  it('is out of reach where its button is hidden, and so is what is left to it', () => {
    const hidden = done(full, (context) =>
      setPart(context, first(full, 'menuButton'), { hiddenOn: ['narrow'] }),
    );
    expect(lostParts(hidden).map(({ part, on }) => [part.kind, on])).toEqual([
      ['placement', ['narrow']],
      ['account', ['narrow']],
      ['search', ['narrow']],
    ]);
  });

  it('comes with a starter that was saved with it, and shows the parts that were made then', () => {
    const saved = done(full, (context) => saveFrameStarter(context, 'Ours'));
    const [preset = ''] = [...saved.presets.nodes.keys()];
    const used = done(saved, (context) => putStarter(context, { preset }));
    expect(inDrawer(used)).toEqual(['placement', 'account', 'search']);
    const [use] = partsIn(used, areaId('drawer')).filter(({ kind }) => kind === 'use');
    expect(full.parts.nodes.has(use?.of ?? '')).toBe(false);
  });

  it('shows nothing of a part that is gone, until it comes back', () => {
    const account = first(full, 'account');
    const gone = done(full, (context) => removePartOf(context, account));
    expect(drawn(gone).header).not.toContain('href="/account"');
    expect(findBreach(gone)).toBeNull();
  });
});

describe('a menu in a place', () => {
  const full = done(shop, addDrawer);
  const use = usesInDrawer(full).get(first(full, 'placement'))?.id ?? '';
  const written = (facts: Parameters<typeof setPart>[2]): string => {
    const document =
      Object.keys(facts).length === 0 ? full : done(full, (context) => setPart(context, use, facts));
    return /<nav [^>]*zv-list.*?<\/nav>/s.exec(drawn(document).header)?.[0] ?? '';
  };

  it('folds as an accordion in a drawer: links stay links, arrows open', () => {
    const html = written({});
    expect(html).toContain('zv-folds zv-accordion zv-opens-current');
    expect(html).toMatch(
      /<a href="\/seeds">Seeds<\/a><button [^>]*aria-expanded="false"[^>]*aria-label="Seeds"/,
    );
  });

  it('has all branches open at first, or opens one at a time, where that is set', () => {
    const html = written({ opensFirst: 'all', isSingle: true });
    expect(html).toContain('zv-single');
    expect(html).not.toContain('zv-opens-current');
    expect([...html.matchAll(/aria-expanded="true"/g)]).toHaveLength(2);
  });

  it('is opened by whole rows where that is set, and keeps every link', () => {
    const html = written({ rowOpens: true });
    expect(html).toMatch(
      /<button [^>]*>Seeds<\/button><ul [^>]*><li class="zv-self"><a href="\/seeds">Seeds<\/a><\/li>/,
    );
    for (const href of ['/seeds', '/seeds/spring', '/seeds/spring/peas', '/tools'])
      expect(html).toContain(`href="${href}"`);
  });

  it('steps in, with a row that leads back to each level', () => {
    const html = written({ pattern: 'stepIn' });
    expect(
      [...html.matchAll(/<li class="zv-back"><button type="button"><i [^>]*>Back: <\/i>(\w+)/g)].map(
        ([, name]) => name,
      ),
    ).toEqual(['Seeds', 'Spring']);
  });

  it('is always open where that is set, without any button', () => {
    expect(written({ pattern: 'open' })).not.toContain('<button');
  });

  it('is a bar like any other in a horizontal header, whatever it was told for a vertical one', () => {
    const placement = first(shop, 'placement');
    const told = done(shop, (context) =>
      setPart(context, placement, { pattern: 'stepIn', rowOpens: true, opensFirst: 'all' }),
    );
    expect(drawn(told).header).toBe(drawn(shop).header);
  });

  it('opens on what the place says, apart from what its entries say elsewhere', () => {
    const placement = first(full, 'placement');
    const set = done(full, (context) => setPart(context, placement, { opensOn: 'press' }));
    const { header: html } = drawn(set);
    expect(/<nav [^>]*zv-bar.*?<\/nav>/s.exec(html)?.[0]).toContain('data-zv-opens="press"');
    expect(/<dialog.*<\/dialog>/s.exec(html)?.[0]).not.toContain('data-zv-opens');
  });
});

describe('an arrangement of a device class', () => {
  it('begins as the usual one, which is written once; what is moved there is moved there alone', () => {
    const apart = done(shop, (context) => arrangeApart(context, 'header', 'narrow'));
    expect(arrangementOf(apart, 'header', 'narrow')).toHaveLength(1);
    expect(drawn(apart).header).toBe(drawn(shop).header);
    expect(refusedBy(arrangeApart(contextOf(apart), 'header', 'narrow'))).toBe('arrangedAlready');

    const logo = first(shop, 'logo');
    const use =
      [...apart.parts.nodes.values()].find((one) => one.kind === 'use' && one.of === logo)?.id ?? '';
    const [own = ''] = arrangementOf(apart, 'header', 'narrow');
    const moved = done(apart, (context) =>
      movePartTo(context, use, { parent: zoneId(own, 'centre'), after: null }),
    );
    const kinds = (document: SiteDocument, band: string): string[] =>
      [...childrenOf(document.parts, band)].map((zone) =>
        [...childrenOf(document.parts, zone)]
          .map((id) => nodeAt(document.parts, id))
          .map((one) => (one.kind === 'use' ? nodeAt(document.parts, one.of).kind : one.kind))
          .join(' '),
      );
    expect(kinds(moved, bandOf(moved))).toEqual(['logo placement', '', 'account search']);
    expect(kinds(moved, arrangementOf(moved, 'header', 'narrow')[0] ?? '')).toEqual([
      'placement',
      'logo',
      'account search',
    ]);
    const { header: html, css } = drawn(moved);
    expect(html).toContain('zv-band zv-not-narrow');
    expect(html).toContain('zv-band zv-arranged-narrow');
    expect(css).toContain('zv-arranged-narrow{display:none}');
    const together = done(moved, (context) => arrangeTogether(context, 'header', 'narrow'));
    expect(drawn(together).header).toBe(drawn(shop).header);
    expect(refusedBy(arrangeTogether(contextOf(together), 'header', 'narrow'))).toBe('notArranged');
  });

  it('lists what it does not show, and takes it; new parts follow the one that they are put beside', () => {
    const apart = done(shop, (context) => arrangeApart(context, 'header', 'medium'));
    expect(notPlaced(apart, 'header', 'medium')).toEqual([]);
    const zone = zoneId(bandOf(apart), 'centre');
    const alone = done(apart, (context) => addToFrame(context, { parent: zone, after: null }, 'contact'));
    const [lost] = notPlaced(alone, 'header', 'medium');
    expect(lost?.kind).toBe('contact');
    expect(lostParts(alone).map(({ part, on }) => [part.kind, on])).toEqual([['contact', ['medium']]]);
    const placed = done(alone, (context) => placeOnDevice(context, lost?.id ?? '', 'medium'));
    expect(notPlaced(placed, 'header', 'medium')).toEqual([]);
    const search = first(apart, 'search');
    const beside = done(apart, (context) =>
      addToFrame(context, { parent: nodeAt(apart.parts, search).parent, after: search }, 'contact'),
    );
    expect(notPlaced(beside, 'header', 'medium')).toEqual([]);
  });
});

describe('what a header does while the page scrolls', () => {
  const on = { template: 'article' } as const;

  it('is said for all pages, or for some, and is one of the ways in which pages differ', () => {
    const sticky = done(shop, (context) => setBehaviours(context, 'header', { sticky: true, lower: true }));
    expect(drawn(sticky).header).toContain('zv-sticky zv-lower');
    const some = done(sticky, (context) =>
      setBehaviours(context, 'header', { sticky: false, returns: true, overlaid: true }, on),
    );
    const article = renderPage(
      some,
      { template: 'article', pages: [] },
      { compareTitles: byCode, pictures: '', year: 2026 },
    );
    expect(article.header).toMatch(/class="[^"]*zv-sticky zv-returns zv-lower zv-overlaid zv-over-content/);
    expect(drawn(some).header).not.toContain('zv-returns');
    const off = done(some, (context) => setBehaviours(context, 'header', { sticky: false, lower: false }));
    expect(drawn(off).header).not.toContain('zv-sticky');
    expect(refusedBy(setBehaviours(contextOf(shop), 'header', { sticky: false }))).toBe('changesNothing');
  });

  it('is told in the list of changes, and in a sentence that names the pages', () => {
    const before = frameSource(shop);
    const made = setBehaviours(contextOf(shop), 'header', { overlaid: true }, on);
    expect(made.ok && inWords(made.value.sentence)).toBe('Changed the header for the template “article”');
    const vertical = done(shop, (context) => setPart(context, header, { vertical: 'start' }));
    expect(compareFrames(before, vertical)).toEqual(['Changed the header']);
    const overlaid = done(vertical, (context) => setBehaviours(context, 'header', { overlaid: true }, on));
    expect(compareFrames(frameSource(vertical), overlaid)).toEqual(['Changed the header']);
  });

  it('keeps everything when it becomes vertical and horizontal again', () => {
    const vertical = done(shop, (context) => setPart(context, header, { vertical: 'end', isCentred: true }));
    expect(drawn(vertical).header).toContain('zv-vertical zv-vertical-end zv-centred');
    const back = done(vertical, (context) => setPart(context, header, { vertical: null }));
    expect(drawn(back).header).toBe(drawn(shop).header);
  });

  it('can be decided anew for the same pages', () => {
    const mine = done(shop, (context) => setBehaviours(context, 'header', { sticky: true }, on));
    const id = behaviourId(header, 'sticky');
    const hidden = done(mine, (context) => setException(context, id, on, { isShown: false }));
    expect(drawn(hidden).header).not.toContain('zv-sticky');
  });
});

describe('the script of a site', () => {
  const scriptOf = (document: SiteDocument): string =>
    renderEdition(document, { compareTitles: byCode, pictures: '' }).files.find(
      ({ path }) => path === 'navigation.js',
    )?.body ?? '';

  it('has the features that the frame uses, and no others', () => {
    expect(scriptOf(shop)).not.toContain('.zv-step-in button');
    const full = done(shop, addDrawer);
    const use = usesInDrawer(full).get(first(full, 'placement'))?.id ?? '';
    const steps = done(full, (context) => setPart(context, use, { pattern: 'stepIn' }));
    expect(scriptOf(steps)).toContain('.zv-step-in button');
    expect(scriptOf(steps)).not.toContain('zv-let-go');
    const sticky = done(steps, (context) => setBehaviours(context, 'header', { sticky: true }));
    expect(scriptOf(sticky)).toContain('zv-let-go');
    expect(scriptOf(sticky)).not.toContain('zv-fold[open]');
  });
});
