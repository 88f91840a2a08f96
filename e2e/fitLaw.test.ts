import type { Driver } from 'selenium-webdriver/chrome.js';
import { beforeAll, describe, expect, it } from 'vitest';
import { openFace } from '@zorvik/formats/fonts';
import { quillmereDocument } from '../demo/quillmere/quillmereDocument.ts';
import {
  faceRules,
  fitted,
  fontBytes,
  fontKeys,
  headerInBrowser,
  headerSaid,
  measure,
  randomBar,
  randomHeader,
  rowsInBrowser,
  rowsSaid,
  type FontKey,
} from './fitLaw.ts';
import { late, never, policiesSaid, policiesSeen, randomPolicies, type BarSeen } from './policyLaw.ts';
import { knownOf, laneSaid, lanesSaid, lanesSeen, withLooksOfDrops } from './laneLaw.ts';
import { enterStage, type Stage } from './stage.ts';

/** So many random bars; more by `npm run fit-law`. */
const SEEDS = Number(process.env.FIT_LAW_SEEDS ?? 6);
const HEADERS = Number(process.env.FIT_LAW_SEEDS ?? 7);
const POLICIES = Number(process.env.FIT_LAW_SEEDS ?? 12);
const everyWidth = Array.from({ length: 1601 }, (_, at) => 320 + at);

let driver: Driver;
beforeAll(async () => {
  const { browser }: Pick<Stage, 'browser'> = await enterStage();
  driver = browser.driver as Driver;
  await driver.get('about:blank');
});

/** Labels as sites have them, and some that fonts have much to do with. */
function labels(): string[] {
  const titles = quillmereDocument().pages.map(({ title }) => title);
  const odd = [
    'AVATAR To Wave',
    'office fluffy affix',
    'Yo. Te, VA',
    '“Quoted” & more',
    '1234567890',
    'W.A.T.E.R.',
    'fi fl ffi ffl',
    'L’île à Côté',
    'Übergröße',
    'A\u00a0B',
    'x',
    '—',
  ];
  return [...new Set([...titles, ...odd])];
}

describe('text is as wide as a browser makes it', () => {
  it('to a 64th of a px: thousands of labels, in three fonts, several weights, sizes and spacings', async () => {
    const texts = labels();
    let compared = 0;
    for (const key of fontKeys) {
      for (const [weight, size, letterSpacing, wordSpacing] of [
        [400, 16, 0, 0],
        [500, 17, 0.34, 0],
        [650, 10.125, 0, 2],
        [700, 15.15, -0.2, 0],
      ] as const) {
        const face = openFace(fontBytes(key), weight);
        const known = texts.filter((text) => face.lacks(text).length === 0);
        const seen = await widthsInBrowser(key, known, { weight, size, letterSpacing, wordSpacing });
        const wrong = known.flatMap((text, at) => {
          const ours = face.widthOf(text, { size, letterSpacing, wordSpacing });
          return ours === seen[at] ? [] : [`${text}: ${ours} of ${seen[at]}`];
        });
        expect(wrong.slice(0, 5), `${key} ${weight} ${size}px`).toEqual([]);
        compared += known.length;
      }
    }
    console.log(`${compared} widths compared`);
    expect(compared).toBeGreaterThan(4000);
  });

  it('and is not without kerning, nor with ligatures where letters are set apart', async () => {
    const face = openFace(fontBytes('fraunces'), 400);
    const plain = [...'AVATAR'].reduce(
      (sum, letter) => sum + face.widthOf(letter, { size: 40, letterSpacing: 0, wordSpacing: 0 }),
      0,
    );
    const [seen = 0] = await widthsInBrowser('fraunces', ['AVATAR'], {
      weight: 400,
      size: 40,
      letterSpacing: 0,
      wordSpacing: 0,
    });
    expect(plain - seen).toBeGreaterThan(64);
  });

  it('is said to be unknown where a font lacks a character', () => {
    expect(openFace(fontBytes('figtree'), 400).lacks('Tea → чай')).toEqual(['→', 'ч', 'а', 'й']);
    expect(() => openFace(Buffer.from('no font'), 400)).toThrow();
    expect(() => openFace(fontBytes('figtree').subarray(0, 4000), 400)).toThrow();
  });
});

async function widthsInBrowser(
  key: FontKey,
  texts: readonly string[],
  {
    weight,
    size,
    letterSpacing,
    wordSpacing,
  }: Readonly<Record<'weight' | 'size' | 'letterSpacing' | 'wordSpacing', number>>,
): Promise<number[]> {
  return driver.executeAsyncScript<number[]>(
    `const [faces, css, texts, done] = arguments;
     document.head.innerHTML = '<style></style>';
     document.querySelector('style').textContent = faces;
     document.body.innerHTML = texts.map(() => '<span></span><br>').join('');
     const spans = [...document.querySelectorAll('span')];
     spans.forEach((one, at) => { one.style.cssText = css; one.textContent = texts[at]; });
     void document.body.offsetHeight;
     document.fonts.ready.then(() => done(spans.map((one) => Math.round(one.getBoundingClientRect().width * 64))));`,
    faceRules('law-'),
    `display:inline-block;white-space:pre;font:${weight} ${size}px law-${key};letter-spacing:${letterSpacing}px;word-spacing:${wordSpacing}px`,
    texts,
  );
}

describe('the bars of a header are in the rows that a browser puts them in', () => {
  it('at every width from 320 to 1920 px, on Quillmere’s pages as they are, and as somebody could change them', async () => {
    let changes = 0;
    for (let seed = 0; seed < HEADERS; seed += 1) {
      const header = randomHeader(seed);
      const seen = await headerInBrowser(driver, header, everyWidth);
      const said = headerSaid(header, everyWidth);
      expect(said, `seed ${seed}`).toEqual(seen);
      changes += Object.values(seen).reduce((sum, { length }) => sum + length - 1, 0);
    }
    console.log(`${changes} changes of rows in ${HEADERS} headers`);
    expect(changes).toBeGreaterThan(3 * HEADERS);
  });

  it('and not where a px of each text is forgotten', async () => {
    const header = randomHeader(5);
    const seen = await headerInBrowser(driver, header, everyWidth);
    expect(headerSaid(header, everyWidth, (text, font) => measure(text, font) - 64)).not.toEqual(seen);
  });
});

describe('the entries of a bar are in the rows that a browser puts them in', () => {
  it('at every width from 320 to 1920 px, for random bars of 40 entries, in both directions', async () => {
    for (let seed = 1; seed <= SEEDS; seed += 1) {
      const bar = randomBar(seed);
      const seen = await rowsInBrowser(driver, bar, seed % 2 === 0 ? 'rtl' : 'ltr', everyWidth);
      expect(rowsSaid(fitted(bar), everyWidth), `seed ${seed}`).toEqual(seen);
      expect(seen.length, 'so many different rows').toBeGreaterThan(10);
    }
  });

  it.each([
    [
      'a gap that is off by 1 px',
      { changed: (bar) => ({ ...bar, line: { ...bar.line, gap: bar.line.gap + 64 } }) },
    ],
    [
      'kerning left out',
      { by: (text, font) => [...text].reduce((sum, letter) => sum + measure(letter, font), 0) },
    ],
  ] as readonly (readonly [string, Parameters<typeof fitted>[1]])[])(
    'and not with %s',
    async (_, mutation) => {
      const bar = randomBar(1);
      const seen = await rowsInBrowser(driver, bar, 'ltr', everyWidth);
      expect(rowsSaid(fitted(bar, mutation), everyWidth)).not.toEqual(seen);
    },
  );
});

/** From which width on each bar is as it is. */
function runs(
  all: Readonly<Record<string, readonly BarSeen[]>>,
): Record<string, readonly (readonly [width: number, seen: BarSeen])[]> {
  return Object.fromEntries(
    Object.entries(all).map(([part, seen]) => [
      part,
      seen.flatMap((one, at) =>
        at > 0 && seen[at - 1] === one ? [] : [[everyWidth[at] ?? 0, one] as const],
      ),
    ]),
  );
}

describe('what a bar does where it does not fit', () => {
  it('is done at the widths that Fit names, in each zone and direction; every entry is seen once, in its order', async () => {
    const kinds = new Map<string, number>();
    for (let seed = 0; seed < POLICIES; seed += 1) {
      const header = randomPolicies(seed);
      const seen = runs(await policiesSeen(driver, header, everyWidth));
      expect(seen, `seed ${seed}`).toEqual(runs(policiesSaid(header, everyWidth)));
      for (const [, said] of Object.values(seen).flat()) {
        const [kind = ''] = (said ?? 'hidden').split(' ');
        kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
      }
    }
    console.log(`${POLICIES} headers: ${[...kinds].map(([kind, count]) => `${kind} ${count}`).join(', ')}`);
    expect([...kinds.keys()].sort()).toEqual(['folded', 'hidden', 'rows', 'scrolls', 'step']);
  });

  it('is done where the entries would wrap, and nowhere else; one px narrower, there was no room for what was there before', async () => {
    let checked = 0;
    for (let seed = 0; seed < Math.ceil(POLICIES / 3); seed += 1) {
      const header = randomPolicies(seed);
      const said = policiesSaid(header, everyWidth);
      const plain = await policiesSeen(driver, header, everyWidth, never);
      const wraps = (one: BarSeen): boolean => /^rows ./.test(one ?? '');
      for (const [part, all] of Object.entries(said))
        expect(
          everyWidth.filter((_, at) => !/^rows $/.test(all[at] ?? 'rows ')),
          `seed ${seed}`,
        ).toEqual(everyWidth.filter((_, at) => wraps(plain[part]?.[at] ?? null)));
      // What fits from a width on does not fit at the one before it.
      const { breakpoints } = header.document.site;
      for (const [part, changes] of Object.entries(runs(said))) {
        const befores = changes
          .filter(
            ([width, now], at) =>
              now !== null &&
              at > 0 &&
              changes[at - 1]?.[1] !== null &&
              !Object.values(breakpoints).includes(width),
          )
          .map(([width]) => width - 1);
        const { [part]: tooLate = [] } = await policiesSeen(driver, header, befores, late);
        const fits = tooLate.filter(
          (one) => one !== null && /^rows $|^(?:folded|step) \d+ rows $|for nothing/.test(one),
        );
        expect(fits, `seed ${seed}: ${befores.join()}`).toEqual([]);
        checked += befores.length;
      }
    }
    console.log(`${checked} widths at which one px less is too little`);
    expect(checked).toBeGreaterThan(5 * Math.ceil(POLICIES / 3));
  });

  it('and is not, where a px of each text is forgotten', async () => {
    const header = randomPolicies(0);
    const seen = await policiesSeen(driver, header, everyWidth);
    const wrong = policiesSaid(header, everyWidth, { by: (text, font) => measure(text, font) - 64 });
    expect(runs(wrong)).not.toEqual(runs(seen));
  });
});

describe('the bands of a header, what drops from its bars, and the lists of a footer', () => {
  it('stand where Fit says, leave the screen where it says, and have two lines where it says', async () => {
    const widths = [
      ...Array.from({ length: 19 }, (_, at) => 320 + at * 24),
      ...Array.from({ length: 97 }, (_, at) => 768 + at * 12),
    ];
    const kinds = new Map<string, number>();
    for (let seed = 0; seed < POLICIES; seed += 1) {
      const plain = seed % 3 === 0 ? randomHeader(seed) : randomPolicies(seed);
      const header = seed % 2 === 0 ? plain : withLooksOfDrops(plain, seed);
      const lanes = lanesSaid(header);
      const said = widths.map((width) =>
        Object.fromEntries(lanes.map((one) => laneSaid(one, width)).filter((one) => one !== null)),
      );
      const seen = await lanesSeen(driver, header, widths);
      widths.forEach((width, at) =>
        expect(knownOf(lanes, seen[at] ?? {}), `seed ${seed} at ${width} px`).toEqual(said[at]),
      );
      for (const one of said.flatMap((all) => Object.values(all))) {
        const [kind = ''] = String(one).split(' ');
        kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
      }
    }
    console.log([...kinds].map(([kind, count]) => `${kind} ${count}`).join(', '));
    expect(kinds.get('in'), 'bands').toBeGreaterThan(500);
  });
});
