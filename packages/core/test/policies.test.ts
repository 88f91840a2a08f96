import { describe, expect, it } from 'vitest';
import { movePartTo, setPart } from '../src/commands/composing.ts';
import { addToFrame } from '../src/commands/frame.ts';
import type { fitChoices } from '../src/commands/fits.ts';
import { drawerTakesOver, fitChoiceOf, setFit } from '../src/commands/fits.ts';
import { setSite } from '../src/commands/siteFacts.ts';
import { barFits } from '../src/fit/barFits.ts';
import { tightened } from '../src/fit/barPolicy.ts';
import { factsOn, fitPage, type FitFacts } from '../src/fit/fitPage.ts';
import type { Measure } from '../src/fit/measure.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { childrenOf } from '../src/model/forest.ts';
import { areaId } from '../src/model/partRoots.ts';
import { partsIn } from '../src/model/partsIn.ts';
import { renderEdition } from '../src/render/renderEdition.ts';
import { renderPage } from '../src/render/renderPage.ts';
import { situationOn } from '../src/resolve/frameExceptions.ts';
import { areaFacts, type ResolvedArea } from '../src/resolve/resolveFrame.ts';
import { deviceClasses } from '../src/schema/deviceClass.ts';
import { contextOf } from '../testing/contextOf.ts';
import { doing } from '../testing/doing.ts';
import { outlined } from '../testing/outlined.ts';

/** Every letter is 10 px wide. */
const measure: Measure = (text) => text.length * 640;
const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));
const header = areaId('header');

const { done, refusedBy } = doing(900);

/** A header with a bar of six entries. */
const { document: bare } = outlined(
  [
    'Seeds > /seeds',
    '  Spring > /seeds/spring',
    '    Peas > /seeds/spring/peas',
    'Tools > /tools',
    'Books > /books',
    'Gifts > /gifts',
    'Visit > /visit',
    'Members > /members',
  ].join('\n'),
  '/seeds Seeds\n/seeds/spring Spring\n/tools Tools\n/members Members',
);
const start = bare;
const [zone = ''] = partsIn(start, header)
  .filter(({ kind }) => kind === 'zone')
  .map(({ id }) => id);
const bar = partsIn(start, header).find(({ kind }) => kind === 'placement')?.id ?? '';
const menu = [...childrenOf(start.menus, start.site.id)][0] ?? '';
const entries = [...childrenOf(start.items, menu)];

const factsOf = (document: SiteDocument): FitFacts => factsOn(document, situationOn(document, null), byCode);
const headerAt = (document: SiteDocument): ResolvedArea => factsOf(document).header;
/** How the bar is, from the narrowest window to the widest. */
const statesOf = (document: SiteDocument) =>
  fitPage(document, factsOf(document), { from: 320, to: 1920 }, measure)
    .filter(({ of }) => of === 'bar')
    .flatMap(({ stretches }) => stretches ?? [])
    .flatMap(({ state, to }) => (state.is === 'rows' ? [{ ...state, to }] : []));
const pageOf = (document: SiteDocument, path = '/') => {
  const page = [...document.pages.nodes.values()].find(({ address }) => address === path);
  return renderPage(document, situationOn(document, page?.id ?? null), {
    compareTitles: byCode,
    pictures: '',
    year: 2026,
    measure,
  });
};
const onAll = (document: SiteDocument, choice: (typeof fitChoices)[number]): SiteDocument =>
  done(document, (context) => setFit(context, bar, deviceClasses, choice));

describe('what a bar does where it does not fit', () => {
  it('is chosen for each device class, and wraps where nothing is chosen', () => {
    expect(deviceClasses.map((device) => fitChoiceOf(start, {}, device))).toEqual(['wrap', 'wrap', 'wrap']);
    const folds = done(start, (context) => setFit(context, bar, ['medium'], 'fold'));
    expect(folds.parts.nodes.get(bar)?.fits).toEqual({ medium: 'fold' });
    const both = done(folds, (context) => setFit(context, bar, ['narrow'], 'scroll'));
    expect(both.parts.nodes.get(bar)?.fits).toEqual({ medium: 'fold', narrow: 'scroll' });
    const back = done(
      done(both, (context) => setFit(context, bar, ['narrow'], 'wrap')),
      (context) => setFit(context, bar, ['medium'], 'wrap'),
    );
    expect(back.parts.nodes.get(bar)?.fits).toBeUndefined();
    expect(refusedBy(setFit(contextOf(back, 1), bar, ['medium'], 'wrap'))).toBe('changesNothing');
    expect(refusedBy(setFit(contextOf(back, 1), zone, ['medium'], 'fold'))).toBe('notInBar');
    expect(refusedBy(setFit(contextOf(back, 1), 'gone', ['medium'], 'fold'))).toBe('notThere');
  });

  it('may be the drawer: it takes over on that device class and on all narrower ones, and is added where there is none', () => {
    const drawn = done(start, (context) => setFit(context, bar, ['medium'], 'drawer'));
    expect(areaFacts(drawn, 'drawer').takeover).toBe(drawn.site.breakpoints.wide);
    const part = drawn.parts.nodes.get(bar);
    expect(deviceClasses.map((device) => fitChoiceOf(drawn, part ?? {}, device))).toEqual([
      'drawer',
      'drawer',
      'wrap',
    ]);
    expect(partsIn(drawn, areaId('drawer')).map(({ kind }) => kind)).toContain('use');
    expect(partsIn(drawn, header).map(({ kind }) => kind)).toContain('menuButton');
    const less = done(drawn, (context) => setFit(context, bar, ['medium'], 'shrink'));
    const own = less.parts.nodes.get(bar);
    expect(deviceClasses.map((device) => fitChoiceOf(less, own ?? {}, device))).toEqual([
      'drawer',
      'shrink',
      'wrap',
    ]);
    const none = done(less, (context) => setFit(context, bar, ['narrow'], 'wrap'));
    expect(fitChoiceOf(none, none.parts.nodes.get(bar) ?? {}, 'narrow')).toBe('wrap');
    const always = done(none, (context) => setFit(context, bar, ['wide'], 'drawer'));
    expect(
      deviceClasses.map((device) => fitChoiceOf(always, always.parts.nodes.get(bar) ?? {}, device)),
    ).toEqual(['drawer', 'drawer', 'drawer']);
    const at = done(always, (context) => drawerTakesOver(context, bar, 900));
    expect(areaFacts(at, 'drawer').takeover).toBe(900);
    expect(refusedBy(drawerTakesOver(contextOf(at, 1), bar, 900))).toBe('changesNothing');
  });

  it('changes nothing of what visitors get, where text cannot be measured or nothing was chosen', () => {
    const folds = onAll(start, 'fold');
    const plain = renderEdition(start, { compareTitles: byCode, pictures: '' });
    const unmeasured = renderEdition(folds, { compareTitles: byCode, pictures: '' });
    const html = ({ files }: typeof plain): string[] =>
      files.filter(({ path }) => /\.(?:html|css)$/.test(path)).map(({ body }) => body);
    expect(html(unmeasured)).toEqual(html(plain));
    expect(html(renderEdition(start, { compareTitles: byCode, pictures: '', measure }))).toEqual(html(plain));
    // The data says what was chosen, and not how wide anything is.
    const measured = renderEdition(folds, { compareTitles: byCode, pictures: '', measure });
    const data = measured.files.find(({ path }) => path.endsWith('header/0.json'))?.body ?? '';
    expect(data).toContain('"fits":{"narrow":"fold","medium":"fold","wide":"fold"}');
    expect(data).not.toContain('"fit":');
  });
});

describe('a bar that folds', () => {
  const folds = onAll(start, 'fold');

  it('has every entry but the first once more in “More”, with the level below it, and no id twice', () => {
    const { header: html } = pageOf(folds);
    const [, more = ''] = /<li class="zv-more">(.*)<\/ul><\/nav>/s.exec(html) ?? [];
    expect([...more.matchAll(/<a href="([^"]*)"/g)].map(([, href]) => href)).toEqual([
      '/tools',
      '/books',
      '/gifts',
      '/visit',
      '/members',
    ]);
    const ids = [...html.matchAll(/ id="([^"]*)"/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const controls = [...html.matchAll(/aria-controls="([^"]*)"/g)].map(([, id]) => id);
    expect(controls.filter((id) => !ids.includes(id))).toEqual([]);
    // The first entry is never folded: its branch is not written again.
    expect(html.match(/\/seeds\/spring"/g)).toHaveLength(1);
  });

  it('marks the current page in both, and “More” as what it is below', () => {
    const { header: html } = pageOf(folds, '/tools');
    expect(html.match(/<a aria-current="page" href="\/tools"/g)).toHaveLength(2);
    expect(html).toMatch(/<li class="zv-more"><button aria-current="true" type="button"/);
  });

  it('folds from the end: an entry that is seen at some width is seen at every wider one', () => {
    const rules = barFits(folds, headerAt(folds), measure)[bar] ?? [];
    expect(rules.map(({ device }) => device)).toEqual(['narrow', 'medium', 'wide']);
    for (const rule of rules) {
      const below = rule.does === 'fold' ? rule.entries.map((one) => one.below ?? Infinity) : [];
      expect(below).toHaveLength(entries.length - 1);
      expect(below).toEqual(below.toSorted((a, b) => a - b));
      expect(below.at(-1)).toBe(rule.below);
    }
    const shown = statesOf(folds).flatMap(({ does }) => (does?.is === 'folded' ? does.shown : []));
    expect(shown).toEqual([...(shown ?? [])].sort((a, b) => a - b));
    expect(shown?.length).toBeGreaterThan(1);
  });

  it('folds at widths in em of its band, which grow with the text of the visitor', () => {
    const { css } = pageOf(folds);
    expect(css).toMatch(/@media [^{]*\{@container zv \(width<[\d.]+em\)\{/);
    expect(css).not.toMatch(/@container zv \(width<[\d.]+px\)/);
    // A vertical header has no rows.
    const upright = done(folds, (context) => setPart(context, header, { vertical: 'start' }));
    expect(barFits(upright, headerAt(upright), measure)[bar]?.map(({ device }) => device)).toEqual([
      'narrow',
    ]);
  });

  it('never does where the content of the site is too narrow for all entries', () => {
    const slim = done(folds, (context) => setSite(context, { contentWidth: 360 }));
    const wide = barFits(slim, headerAt(slim), measure)[bar]?.find(({ device }) => device === 'wide');
    expect(wide?.below).toBeNull();
    expect(statesOf(slim).at(-1)?.does?.is).toBe('folded');
  });
});

describe('a bar that shrinks', () => {
  it('does so in at most four steps: gaps and padding in whole px, then text in halves, and never under 14 px', () => {
    for (let size = 11; size < 30; size += 0.25)
      for (const gap of [0, 3, 9, 24])
        for (const start of [0, 7, 12]) {
          const steps = tightened({ gap, start, end: 2 * start, size });
          expect(steps.length).toBeLessThanOrEqual(4);
          let before = { gap, start, end: 2 * start, size };
          for (const step of steps) {
            const now = { ...before, ...step };
            expect(
              [now.gap, now.start, now.end, now.size * 2].every(
                (one) => Number.isInteger(one) || one === size * 2,
              ),
            ).toBe(true);
            expect(
              now.gap <= before.gap &&
                now.start <= before.start &&
                now.end <= before.end &&
                now.size <= before.size,
            ).toBe(true);
            expect(now).not.toEqual(before);
            if (step.size !== undefined) expect(step.size).toBeGreaterThanOrEqual(14);
            before = now;
          }
        }
    expect(tightened({ gap: 2, start: 3, end: 3, size: 13 })).toEqual([]);
    expect(tightened({ gap: 20, start: 3, end: 3, size: null })).toEqual([{ gap: 12 }, { gap: 4 }]);
  });

  it('takes less room from step to step, and wraps only when the last one does not do', () => {
    const shrinks = onAll(start, 'shrink');
    const stretches = statesOf(shrinks);
    const before = statesOf(start);
    const widest = (all: typeof stretches): number =>
      Math.max(0, ...all.filter(({ firsts }) => firsts.length > 0).map(({ to }) => to));
    expect(widest(stretches)).toBeLessThan(widest(before));
    for (const { firsts, does } of stretches)
      if (firsts.length > 0)
        expect(does).toMatchObject({ is: 'shrunk', step: does?.is === 'shrunk' ? does.of : 0 });
  });
});

describe('the zone with the bar', () => {
  it('gives way to the others, wherever it is', () => {
    const [, centre = '', end = ''] = partsIn(start, header)
      .filter(({ kind }) => kind === 'zone')
      .map(({ id }) => id);
    const atEnd = done(start, (context) => movePartTo(context, bar, { parent: end, after: null }));
    const withLogo = done(atEnd, (context) => addToFrame(context, { parent: zone, after: null }, 'logo'));
    expect(pageOf(withLogo).header).toContain('zv-end-gives');
    const inCentre = done(withLogo, (context) => movePartTo(context, bar, { parent: centre, after: null }));
    expect(pageOf(inCentre).header).toContain('zv-with-centre zv-centre-gives');
    expect(pageOf(start).header).not.toContain('-gives');
  });
});
