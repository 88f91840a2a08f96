import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  readStored,
  renderMenu,
  renderStyles,
  resolvedMenus,
  sheetOf,
  styledIn,
  upgraded,
  withFollowed,
  type Place,
  type StoredDocument,
} from '@zorvik/core';
import { showAs, changesIn, differing, galleryOf, inState, lookAt, stylesAt, type Look } from './looks.ts';
import { enterStage, type Stage } from './stage.ts';

/**
 * What two documents were delivered as before the style sheet was made of rules and the classes were spelled
 * out: Quillmere, and one that has every setting and every kind of part.
 */
interface Frozen {
  readonly document: StoredDocument;
  readonly css: string;
  readonly fragments: readonly { readonly menu: string; readonly place: Place; readonly html: string }[];
}
const frozen = JSON.parse(
  gunzipSync(readFileSync(new URL('samples/looks-before.json.gz', import.meta.url))).toString('utf8'),
) as Frozen[];
const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));

/** The same documents as they are delivered now. */
function now({ document: stored, fragments }: Frozen): Look {
  const document = withFollowed(upgraded(readStored(stored)).document, byCode);
  const menus = resolvedMenus(document, byCode).map(({ menu }) => menu);
  const styled = styledIn(document);
  return {
    css: renderStyles(document.site, menus, undefined, sheetOf(document)),
    body: fragments
      .map(({ menu: key, place }) => {
        const menu = menus.find((one) => one.key === key);
        return menu === undefined ? '' : renderMenu(menu, { place, pictures: '/p/', styled });
      })
      .join('\n'),
  };
}

const states = {
  normal: (css: string) => css,
  hover: (css: string) => inState(css, 'hover'),
  focus: (css: string) => inState(css, 'focus'),
};
type State = keyof typeof states;
const pages = new Map(
  frozen.flatMap((one, at) => {
    // What was wrong then: the list for small screens was shown below the rows of a panel on wide ones, too.
    const css = one.css.replace('.zv-all.zv-all,', '.zv-panel>.zv-all.zv-all,');
    const before: Look = { css, body: one.fragments.map(({ html }) => html).join('\n') };
    const after = now(one);
    const other = { ...after, css: after.css.replace('.75rem', '.76rem') };
    return Object.entries(states).flatMap(([state, change]) =>
      Object.entries({ before, after, other }).map(([name, look]): [string, Look] => [
        `${name}-${at}-${state}`,
        { ...look, css: change(look.css) },
      ]),
    );
  }),
);

let browser: Stage['browser'];
let gallery: Awaited<ReturnType<typeof galleryOf>>;
beforeAll(async () => {
  ({ browser } = await enterStage());
  gallery = await galleryOf(pages);
});
afterAll(() => gallery.close());

/** What is different between two pages, a line for each element and property; nothing: they are the same. */
async function differences(
  names: readonly [string, string],
  width: number,
  isOpen: boolean,
): Promise<string[]> {
  const driver = browser.driver as Driver;
  await browser.resize(width, 900);
  const [first, second] = names.map((name) => gallery.address(name)) as [string, string];
  const before = await lookAt(driver, first, isOpen);
  const after = await lookAt(driver, second, isOpen);
  expect(before.styles.length).toBeGreaterThan(200);
  // Elements of different kinds have different styles: else nothing would be compared.
  expect(new Set(before.styles.map(([, sum]) => sum)).size).toBeGreaterThan(50);
  const at = differing(before, after);
  if (at === null) return ['the pages have not the same elements'];
  if (at.length === 0) {
    // A busy machine may take a picture before all of it is drawn: what really differs does so every time.
    if (before.picture === after.picture) return [];
    for (let times = 3; times > 0; times -= 1) {
      if ((await lookAt(driver, first, isOpen)).picture === (await lookAt(driver, second, isOpen)).picture)
        return [];
    }
    return ['the pictures differ'];
  }
  const some = at.slice(0, 200);
  const is = await stylesAt(driver, some);
  await lookAt(driver, first, isOpen);
  const was = await stylesAt(driver, some);
  return some
    .flatMap((one, index) =>
      changesIn(was[index] ?? '', is[index] ?? '').map(
        (change) => `${one} ${before.styles[one]?.[0]}: ${change}`,
      ),
    )
    .filter((line) => !wanted.some((pattern) => pattern.test(line)));
}

/** What was changed on purpose since then. */
const wanted: readonly RegExp[] = [
  // Cells of a narrow list stand one below the other: the gaps of twelve columns would be wider than it.
  /DIV: grid-(?:template-columns|column-(?:start|end)): /,
  // A button may have an icon; without one, a gap is not seen.
  /A: (?:column|row)-gap: normal -> 6\.4px/,
  // Buttons and tabs have a focus ring of ours, and not the browser's; the fields behind tabs are not seen.
  /(?:BUTTON|LABEL|INPUT|A): outline-/,
  // Icons are filled with their `color`: `fill` is what is seen of them.
  /(?:svg|path): (?:[a-z-]+-)?color: /,
  // Rows can have a line between them: without a width, it is not seen.
  /LI: border-(?:\w+-)*(?:color|style): /,
  // A link that is no entry of a list is not underlined under the pointer because it is in one.
  /A: (?:-webkit-)?text-decorations?(?:-line|-in-effect)?: underline -> none/,
];

describe('the classes of what is delivered', () => {
  it('are all in the documentation', () => {
    const page = readFileSync(new URL('../docs/delivery.md', import.meta.url), 'utf8');
    const plain = (name: string): string => name.replaceAll(/\d+/g, '#');
    const known = new Set([...page.matchAll(/`(zv[\w-]*)`/g)].map(([, name = '']) => plain(name)));
    const families = [
      'zv-medium-',
      'zv-narrow-',
      'zv-hidden-',
      'zv-branch-hidden-',
      'zv-arrow-hidden-',
      'zv-s-',
    ];
    const used = frozen.flatMap((one) =>
      [...now(one).body.matchAll(/class="([^"]*)"/g)].flatMap(([, names = '']) => names.split(' ')),
    );
    expect(new Set(used).size).toBeGreaterThan(60);
    const unknown = new Set(
      used
        .filter((name) => name.startsWith('zv') && !families.some((family) => name.startsWith(family)))
        .map(plain)
        .filter((name) => !known.has(name)),
    );
    expect([...unknown]).toEqual([]);
  });
});

describe('what is delivered looks as it did', () => {
  const cases = frozen.flatMap((_, at) => [
    ...[390, 900, 1280].map((width) => [at, width, true, 'normal'] as const),
    [at, 1280, false, 'normal'] as const,
    [at, 1280, false, 'hover'] as const,
    [at, 1280, true, 'focus'] as const,
  ]);

  it.each(cases)('document %i at %i px, open: %s, state: %s', async (at, width, isOpen, state: State) => {
    expect(await differences([`before-${at}-${state}`, `after-${at}-${state}`], width, isOpen)).toEqual([]);
  });

  it.each(['print', 'forced colours'] as const)('in %s', async (medium) => {
    const driver = browser.driver as Driver;
    await showAs(driver, medium);
    for (const at of frozen.keys())
      expect(await differences([`before-${at}-normal`, `after-${at}-normal`], 1280, true)).toEqual([]);
    await showAs(driver, 'screen');
  });

  it('which would be seen if it did not', async () => {
    expect(await differences(['before-1-normal', 'other-1-normal'], 1280, true)).not.toEqual([]);
  });
});
