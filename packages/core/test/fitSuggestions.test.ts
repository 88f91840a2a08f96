import { describe, expect, it } from 'vitest';
import { fitFix, fitSuggestions } from '../src/commands/fitSuggestions.ts';
import { setLooks } from '../src/commands/looks.ts';
import { problemsOf, troubleOf } from '../src/fit/fitProblems.ts';
import { factsOn, fitPage, type FitFacts } from '../src/fit/fitPage.ts';
import { fitModes, lanesIn, problemsInModes, type AskedPage } from '../src/fit/fitModes.ts';
import type { Lane } from '../src/fit/lane.ts';
import type { Measure } from '../src/fit/measure.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { areaId } from '../src/model/partRoots.ts';
import { partsIn } from '../src/model/partsIn.ts';
import { zoneId } from '../src/model/partRoots.ts';
import { newPart } from '../src/model/newPart.ts';
import { zoneNames } from '../src/schema/part.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import { situationOn } from '../src/resolve/frameExceptions.ts';
import { seededRandom } from '../src/base/seededRandom.ts';
import type { ThingName } from '../src/anatomy/anatomy.ts';
import type { StyleSet } from '../src/schema/style.ts';
import { contextOf } from '../testing/contextOf.ts';
import { doing } from '../testing/doing.ts';
import { applied } from '../testing/withPlaced.ts';
import { outlined } from '../testing/outlined.ts';
import { below } from '../testing/pick.ts';

/** Every letter is as wide as half its size. */
const measure: Measure = (text, { size }) => Math.round(text.length * size * 32);
const { done } = doing(4000);
const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));
const span = { from: 320, to: 1920 };
const WORDS = [
  'Visit',
  'The garden and the orchard',
  'Seed house',
  'Plant finder',
  'Learn with us',
  'Members',
  'News',
];

/** A bar of entries to pages, which are called less; some open a list of long labels. */
function randomSite(seed: number): SiteDocument {
  const random = seededRandom(seed);
  const count = 4 + below(random, 8);
  const names = Array.from({ length: count }, () => WORDS[below(random, WORDS.length)] ?? '');
  const { document } = outlined(
    names
      .map(
        (name, at) =>
          `${name} and more ${at} > /p${at}${below(random, 3) === 0 ? `\n  ${'A label of a dropdown that is long '.repeat(1 + (at % 2))}${at} > /q${at}` : ''}`,
      )
      .join('\n'),
    names.map((name, at) => `/p${at} ${name}`).join('\n'),
  );
  const banded = below(random, 2) === 0 ? document : withContacts(document);
  if (below(random, 2) === 0) return banded;
  const set = (now: SiteDocument, thing: ThingName, values: StyleSet): SiteDocument =>
    done(now, (context) => setLooks(context, { owner: now.site.id, thing }, values));
  return set(set(banded, 'bar', { gap: '8px 30px' }), 'dropEntry', { fontSize: '19px' });
}
/** A band above the others: phone, e-mail and an account, which have icons and texts. */
function withContacts(document: SiteDocument): SiteDocument {
  const says = { phone: '01632 960140', email: 'the-garden@quillmere.example' };
  const band = 'c00000000000band';
  const start = zoneId(band, 'start');
  const set = { text: 'Sign in to your account', destination: { kind: 'address', address: '/in' } } as const;
  return applied(
    { ...document, site: { ...document.site, ...says } },
    {
      kind: 'addPart',
      after: null,
      branch: [
        newPart(band, areaId('header'), { kind: 'band' }),
        ...zoneNames.map((at) => newPart(zoneId(band, at), band, { kind: 'zone', at })),
        newPart('c0000000contacts', start, { kind: 'contact', says: ['phone', 'email'] }),
        newPart('c00000000account', start, { kind: 'account', ...set }),
      ],
    },
  );
}
function lanesOf(document: SiteDocument): Lane[] {
  return fitPage(document, factsOf(document), span, measure);
}
function factsOf(document: SiteDocument): FitFacts {
  return factsOn(document, situationOn(document, null), byCode);
}
const barOf = (document: SiteDocument): string =>
  partsIn(document, areaId('header')).find(({ kind }) => kind === 'placement')?.id ?? '';

describe('a suggestion', () => {
  it('has the effect that it states, whatever the site; the best comes first', () => {
    const kinds = new Map<string, number>();
    for (let seed = 1; seed <= 18; seed += 1) {
      const document = randomSite(seed);
      const lanes = lanesOf(document);
      for (const { part, item } of problemsOf(lanes)) {
        const found = fitSuggestions(contextOf(document, seed), { part, item }, lanesOf);
        const sizes = found.map(({ left }) => left.reduce((sum, { from, to }) => sum + to - from + 1, 0));
        expect(sizes, `seed ${seed}`).toEqual([...sizes].sort((a, b) => a - b));
        for (const { fix, before, left } of found) {
          kinds.set(fix.kind, (kinds.get(fix.kind) ?? 0) + 1);
          const made = fitFix(contextOf(document, seed + 500), part, fix);
          const tried = made.ok ? applyEdit(document, made.value) : null;
          if (tried?.ok !== true) throw new Error(`seed ${seed}: ${fix.kind} cannot be done`);
          expect(troubleOf(lanesOf(tried.value.document), part, item), `seed ${seed}, ${fix.kind}`).toEqual(
            left,
          );
          expect(before).toEqual(troubleOf(lanes, part, item));
          expect(left).not.toEqual(before);
        }
      }
    }
    expect([...kinds.keys()].sort()).toEqual([
      'gap',
      'icons',
      'label',
      'policy',
      'takeover',
      'text',
      'width',
    ]);
  });

  it('is not made where everything fits, nor for what is not there', () => {
    const { document } = outlined('Visit > /a\nNews > /b');
    expect(problemsOf(lanesOf(document))).toEqual([]);
    expect(fitSuggestions(contextOf(document, 1), { part: barOf(document) }, lanesOf)).toEqual([]);
    expect(fitSuggestions(contextOf(document, 1), { part: 'gone' }, lanesOf)).toEqual([]);
  });

  it('lets the drawer take over with room for a scrollbar', () => {
    const document = randomSite(3);
    const part = barOf(document);
    const [takeover] = fitSuggestions(contextOf(document, 3), { part }, lanesOf).filter(
      ({ fix }) => fix.kind === 'takeover',
    );
    const widest = Math.max(...(takeover?.before ?? []).map(({ to }) => to));
    expect(takeover?.fix).toEqual({ kind: 'takeover', below: widest + 18 });
    const after = done(document, (context) => fitFix(context, part, takeover?.fix ?? { kind: 'gap', px: 4 }));
    const scrolled = fitPage(after, { ...factsOf(after), scrollbar: 15 }, span, measure);
    expect(troubleOf(scrolled, part)).toEqual([]);
  });
});

describe('modes', () => {
  const document = randomSite(7);
  const page: AskedPage = { document, factsOf, span, measure };
  const usual = problemsOf(lanesIn(null, page));

  it('are all run: what fails in one is told once, and what fails anyway is not told again', () => {
    const found = problemsInModes(page, usual);
    expect(new Set(found.map(({ mode }) => mode))).toEqual(
      new Set(fitModes.filter((mode) => found.some((one) => one.mode === mode))),
    );
    for (const { mode, part, item, from, to } of found.filter((one) => one.mode !== 'zoom400'))
      expect(
        usual.some((one) => one.part === part && one.item === item && one.from <= from && one.to >= to),
        `${mode} from ${from} to ${to}`,
      ).toBe(false);
    expect(found.some(({ mode }) => mode === 'text200')).toBe(true);
  });

  it('ask for more room: with larger text or longer labels, what wraps usually wraps still', () => {
    const bar = barOf(document);
    const widest = (mode: Parameters<typeof lanesIn>[0]): number =>
      Math.max(0, ...troubleOf(lanesIn(mode, page), bar).map(({ to }) => to));
    expect(widest('text150')).toBeGreaterThan(widest(null));
    expect(widest('text200')).toBeGreaterThanOrEqual(widest('text150'));
    expect(widest('longLabels')).toBeGreaterThan(widest(null));
    expect(widest('scrollbar')).toBe(widest(null) === 0 ? 0 : Math.min(1920, widest(null) + 15));
    expect(widest('rtl')).toBe(widest(null));
  });
});

describe('a page', () => {
  it('has a lane for each bar, for what drops from it, and none that is not there; each covers every width once', () => {
    for (let seed = 1; seed <= 12; seed += 1)
      for (const { stretches } of lanesOf(randomSite(seed))) {
        let next = span.from;
        for (const { from, to } of stretches ?? []) {
          expect(from).toBe(next);
          expect(to).toBeGreaterThanOrEqual(from);
          next = to + 1;
        }
        expect(next).toBe(span.to + 1);
      }
  });

  it('has no rows where its header is a column at the side', () => {
    const wide = outlined('Visit > /a\nNews > /b').document;
    const column = applied(wide, {
      kind: 'updatePart',
      id: areaId('header'),
      set: { vertical: 'start' },
      was: { vertical: null },
    });
    const states = (document: SiteDocument, of: Lane['of']): readonly string[] =>
      lanesOf(document)
        .find((one) => one.of === of)
        ?.stretches?.map(({ from, state }) => `${from} ${state.is}`) ?? [];
    expect(states(wide, 'bar')).toContain('320 rows');
    const { medium } = column.site.breakpoints;
    expect(states(column, 'bar')).toContain(`${medium} column`);
    expect(states(column, 'band')).toContain(`${medium} column`);
  });

  it('is fitted however long its labels are, and however many', () => {
    const long = outlined(
      Array.from({ length: 300 }, (_, at) => `${'wide '.repeat(40)}${at} > /p${at}`).join('\n'),
    ).document;
    const lane = lanesOf(long).find(({ of }) => of === 'bar');
    expect(lane?.stretches?.at(-1)?.state).toMatchObject({ is: 'rows', rows: 300 });
    const part = barOf(long);
    const found = fitSuggestions(contextOf(long, 1), { part }, lanesOf);
    expect(found.some(({ fix }) => fix.kind === 'policy' && fix.does === 'scroll')).toBe(true);
  });
});
