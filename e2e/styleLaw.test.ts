import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  areaId,
  childrenOf,
  deviceClasses,
  factsOf,
  kindOf,
  partsIn,
  readStored,
  renderMenu,
  renderPage,
  renderStyles,
  seededRandom,
  sheetOf,
  situationOn,
  upgraded,
  withFollowed,
  resolvedMenus,
  styledIn,
  type AreaName,
  type Item,
  type Operation,
  type Part,
  type Place,
  type Property,
  type Scheme,
  type SetLook,
  type Sheet,
  type DeviceClass,
  type SiteDocument,
  type State,
  type StoredDocument,
  type StyleTarget,
} from '@zorvik/core';
import { randomValue, withRandomLooks } from '@zorvik/core/testing';
import { quillmereDocument } from '../demo/quillmere/quillmereDocument.ts';
import { galleryOf, showAs, type Look } from './looks.ts';
import { enterStage, type Stage } from './stage.ts';
import { allTriples, forced, isStill, lawOn, widths } from './styleLaw.ts';

/** `npm run style-law -- --seeds N` asks more of them. */
const SEEDS = Number(process.env.STYLE_LAW_SEEDS ?? 20);
/** Then each is asked in every state, on every device class. */
const IS_WHOLE = process.env.STYLE_LAW_SEEDS !== undefined;
/** A page with a menu at its side. */
const SIDE_PAGE = '/plants/trees/english-oak';
const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));

interface Frozen {
  readonly document: StoredDocument;
  readonly fragments: readonly { readonly menu: string; readonly place: Place }[];
}
const frozen = JSON.parse(
  gunzipSync(readFileSync(new URL('samples/looks-before.json.gz', import.meta.url))).toString('utf8'),
) as Frozen[];

/** A page to ask, as it is delivered. */
type Made = Look & { readonly sheet: Sheet };

/** A page of Quillmere with its frame: its drawer, its side and the header over the content among it. */
function framed(document: SiteDocument, path: string): Made {
  const page = [...document.pages.nodes.values()].find(({ address }) => address === path);
  const { header, side, footer, css } = renderPage(document, situationOn(document, page?.id ?? null), {
    compareTitles: byCode,
    pictures: '/p/',
    year: 2026,
  });
  return {
    css,
    body: `<a class="zv zv-skip" href="#content">Skip</a>${header}${side}<main id="content"><p>Page</p></main>${footer}`,
    sheet: { ...sheetOf(document), situations: situationsIn(header) },
  };
}

/** The situations that a header can be in. */
function situationsIn(header: string): Sheet['situations'] {
  const tag = header.slice(0, header.indexOf('>'));
  return [
    ...(tag.includes('zv-overlaid') ? (['over'] as const) : []),
    ...(tag.includes('zv-sticky') ? (['scrolled'] as const) : []),
  ];
}

/** All kinds of panels and parts, and every setting of items, as bars and as lists. */
function everything(stored: SiteDocument, { fragments }: Frozen): Made {
  const document = withFollowed(stored, byCode);
  const menus = resolvedMenus(document, byCode).map(({ menu }) => menu);
  return {
    css: renderStyles(document.site, menus, undefined, sheetOf(document)),
    body: fragments
      .map(({ menu: key, place }) => {
        const menu = menus.find((one) => one.key === key);
        return menu === undefined
          ? ''
          : renderMenu(menu, {
              place,
              pictures: '/p/',
              prefix: `${key}-${place}`,
              styled: styledIn(document),
            });
      })
      .join(''),
    sheet: sheetOf(document),
  };
}

/** Quillmere with what it does not use itself: every kind of part that has looks is in it. */
function withAllParts(document: SiteDocument): SiteDocument {
  const picture = [...document.parts.nodes.values()].find(({ picture: one }) => one !== undefined)?.picture;
  if (picture === undefined) throw new Error('Quillmere has no picture.');
  const zoneIn = (area: AreaName): string =>
    partsIn(document, areaId(area)).find(({ kind }) => kind === 'zone' || kind === 'cell')?.id ?? '';
  const plain = { kind: 'paragraph' as const, runs: [{ text: 'Text' }] };
  const listed = {
    kind: 'listed' as const,
    runs: [{ text: 'Listed', to: { kind: 'address' as const, address: '/x' } }],
  };
  const made: readonly [AreaName, object][] = [
    ['header', { kind: 'logo', picture, logoFace: 'both' }],
    ['header', { kind: 'search', text: 'Find', address: '/search', parameter: 'q', isFolded: true }],
    ['header', { kind: 'basket', text: 'Basket', destination: { kind: 'address', address: '/basket' } }],
    [
      'header',
      {
        kind: 'button',
        text: 'Join',
        destination: { kind: 'address', address: '/join' },
        variant: 'outline',
      },
    ],
    [
      'footer',
      { kind: 'button', text: 'Give', destination: { kind: 'address', address: '/give' }, variant: 'text' },
    ],
    ['side', { kind: 'anchors' }],
    ['footer', { kind: 'social', isFilled: true }],
    ['footer', { kind: 'text', body: [plain, listed] }],
  ];
  const operations: Operation[] = made.map(([area, facts], at) => ({
    kind: 'addPart',
    after: null,
    branch: [{ id: `cpart${at}`, parent: zoneIn(area), ...facts } as Part],
  }));
  const menuAt = (key: string): string =>
    [...document.menus.nodes.values()].find((menu) => menu.key === key)?.id ?? '';
  const deepest =
    [...childrenOf(document.items, menuAt('plants'))].flatMap((id) => [
      ...childrenOf(document.items, id),
    ])[0] ?? '';
  const footerTop = [...childrenOf(document.items, menuAt('footer'))][0] ?? '';
  const destination = { kind: 'address' as const, address: '/x' };
  const page = [...document.pages.nodes.values()].find(({ address }) => address === SIDE_PAGE);
  operations.push(
    {
      kind: 'addItem',
      after: null,
      branch: [{ id: 'ideepest', parent: deepest, label: 'Deep', destination, opensNewTab: false } as Item],
    },
    // An entry of the bar that has a branch, one at the side and one in the footer.
    ...(
      [
        [[...childrenOf(document.items, menuAt('main'))][1] ?? '', 'outline'],
        [deepest, 'text'],
        [footerTop, 'outline'],
      ] as const
    ).map(([id, look]) => ({ kind: 'updateItem' as const, id, set: { look }, was: { look: null } })),
    { kind: 'updateItem', id: footerTop, set: { destination }, was: { destination } },
    {
      kind: 'updatePage',
      id: page?.id ?? '',
      set: {
        anchors: [
          { id: 'one', title: 'One' },
          { id: 'two', title: 'Two' },
        ],
      },
      was: { anchors: [] },
    },
  );
  return operations.reduce((so, operation) => {
    const applied = kindOf(operation).apply(so, operation);
    if (!applied.ok) throw new Error(`${operation.kind}: ${applied.refusal.message}`);
    return applied.value.document;
  }, document);
}

const quillmere = withAllParts(withFollowed(upgraded(readStored(quillmereDocument())).document, byCode));
const whole = upgraded(readStored((frozen[1] as Frozen).document)).document;
/** Which page a seed asks: one of four kinds of page of Quillmere, or all that panels and items can have. */
function madeFor(seed: number): Made {
  const random = seededRandom(seed);
  const paths = ['/', SIDE_PAGE, '/about/news/moss-room', '/shop/seeds'];
  const path = paths[seed % 5];
  return path === undefined
    ? everything(withRandomLooks(random, whole, 250), frozen[1] as Frozen)
    : framed(withRandomLooks(random, quillmere, 250), path);
}

const forcedStates: readonly (readonly State[])[] = [[], ['hover'], ['focus'], ['hover', 'focus', 'pressed']];
/** Half of the branches are open, the drawer is, and some entries lead to the page; nothing moves. */
const PREPARE = `const still = document.createElement('style'); still.textContent = '*,*::before,*::after{transition:none!important;animation:none!important}'; document.head.append(still);
document.querySelectorAll('nav,.zv-header,.zv-side').forEach((one) => one.setAttribute('data-zv-on', ''));
document.querySelectorAll('button[aria-expanded]').forEach((one, at) => one.setAttribute('aria-expanded', String(at % 2 === 0)));
document.querySelectorAll('.zv-drawer').forEach((one) => one.setAttribute('open', ''));
document.querySelectorAll('.zv li>a').forEach((one, at) => at % 2 === 0 && one.setAttribute('aria-current', at % 4 === 0 ? 'page' : 'true'));
document.querySelectorAll('.zv-panel>ul>li:has(>ul)>a,.zv-headed>li:has(>ul)>a,.zv li>a.zv-button').forEach((one, at) => one.setAttribute('aria-current', at % 2 === 0 ? 'page' : 'true'));
document.querySelectorAll('[class*=zv-as-]').forEach((one, at) => one.matches('.zv li>*') && (at % 3 === 0 ? one.removeAttribute('aria-current') : one.setAttribute('aria-current', at % 3 === 1 ? 'page' : 'true')));
document.querySelectorAll('details').forEach((one) => one.setAttribute('open', ''));
document.querySelectorAll('.zv-count').forEach((one) => { one.textContent = '2'; });
if (location.pathname.endsWith('scrolled')) document.querySelectorAll('.zv-header').forEach((one) => one.classList.add('zv-scrolled'));`;

/** The state and the device class that a seed asks for, so that twenty of them ask for each pair. */
function oneOfAll(seed: number): {
  readonly some: typeof forcedStates;
  readonly devices: readonly DeviceClass[];
  readonly scheme: Scheme;
} {
  return {
    some: [forcedStates[Math.floor(seed / 5) % forcedStates.length] ?? []],
    devices: [deviceClasses[seed % deviceClasses.length] ?? 'wide'],
    scheme: seed % 2 === 0 ? 'dark' : 'light',
  };
}

let browser: Stage['browser'];
let gallery: Awaited<ReturnType<typeof galleryOf>>;
const pages = new Map<string, Look>();
beforeAll(async () => {
  ({ browser } = await enterStage());
  gallery = await galleryOf(pages);
});
afterAll(async () => {
  await gallery.close();
  await showAs(browser.driver as Driver, 'screen');
  await browser.resize(1280, 800);
});

/** A page whose style sheet is as it was, and of which something else is resolved. */
function withSet(made: Made, change: (look: SetLook) => SetLook): Made {
  return { ...made, sheet: { ...made.sheet, set: made.sheet.set.map(change) } };
}

/** A page of which it is resolved that nothing moves. */
function withMotion(made: Made, value: string): Made {
  const moves = ({ values }: SetLook): boolean =>
    values.transition !== undefined || values.turn !== undefined;
  return withSet(made, (look) =>
    moves(look) ? { ...look, values: { ...look.values, transition: value, turn: value } } : look,
  );
}

/** How many elements move, or would, for those who want less motion or not. */
async function countMoving(made: Made, motion: 'reduce' | 'no-preference'): Promise<number> {
  const driver = browser.driver as Driver;
  pages.set('moving', made);
  await driver.sendDevToolsCommand('Emulation.setEmulatedMedia', {
    media: '',
    features: [{ name: 'prefers-reduced-motion', value: motion }],
  });
  await driver.get(gallery.address('moving'));
  return driver.executeScript<number>(
    `return [...document.querySelectorAll('.zv, .zv *')].flatMap((one) => ['', '::before', '::after'].map((pseudo) => getComputedStyle(one, pseudo || null))).filter((style) => style.animationName !== 'none' || style.transitionDuration.split(',').some((one) => parseFloat(one) > 0)).length`,
  );
}

function swappedState({ state }: StyleTarget): Pick<StyleTarget, 'state'> {
  return state === 'hover' ? { state: 'focus' } : state === 'focus' ? { state: 'hover' } : {};
}

/** A document in which neighbouring levels meet: two scopes, and two states. */
function meeting(document: SiteDocument): SiteDocument {
  const menu = [...document.menus.nodes.keys()][0] ?? '';
  const looks: readonly (readonly [StyleTarget, string])[] = [
    [{ owner: document.site.id, thing: 'entry' }, '#111111'],
    [{ owner: menu, thing: 'entry' }, '#222222'],
    [{ owner: document.site.id, thing: 'button', state: 'hover' }, '#333333'],
    [{ owner: document.site.id, thing: 'button', state: 'focus' }, '#444444'],
    [{ owner: document.site.id, thing: 'heading', scheme: 'dark' }, '#555555'],
  ];
  const withDark: SiteDocument = { ...document, site: { ...document.site, hasDark: true } };
  return looks.reduce((so, [target, color]) => {
    const operation = { kind: 'setStyle' as const, target, set: { color }, was: {} };
    const applied = kindOf(operation).apply(so, operation);
    if (!applied.ok) throw new Error(applied.refusal.message);
    return applied.value.document;
  }, withDark);
}

/** What the law says of a page in every state, on every device class. */
async function judged(
  made: Made,
  {
    some = forcedStates,
    devices = deviceClasses,
    scheme = 'light',
    change,
    isMoving = false,
  }: {
    readonly some?: typeof forcedStates;
    readonly devices?: readonly DeviceClass[];
    readonly scheme?: Scheme;
    readonly change?: NonNullable<Parameters<typeof lawOn>[3]>['change'];
    /** What moves is asked, and may move. */
    readonly isMoving?: boolean;
  } = {},
): Promise<{ readonly triples: Set<string>; readonly problems: string[]; readonly elements: number }> {
  const triples = new Set<string>();
  const problems: string[] = [];
  let elements = 0;
  const driver = browser.driver as Driver;
  for (const states of some) {
    const name = `law-${states.join('-')}-${states.length % 2 === 0 ? 'loaded' : 'scrolled'}`;
    const [looks = '', late = ''] = forced(made.css, states).split('/* Needed');
    // Of the style sheet, what wins over all looks stands in an element of its own, so that the page can be asked.
    pages.set(name, {
      css: looks,
      body: `<style id="late">${late.slice(late.indexOf('*/') + 2)}</style>${made.body}`,
    });
    for (const device of devices) {
      await browser.resize(widths[device], 900);
      await showAs(driver, 'screen', scheme);
      await driver.get(gallery.address(name));
      await driver.executeScript(isMoving ? PREPARE.slice(PREPARE.indexOf('\n')) : PREPARE);
      const verdict = await lawOn(
        driver,
        made.sheet,
        { device, scheme, some: states },
        {
          ...(change === undefined ? {} : { change }),
          ...(isMoving ? { isAbout: (property: Property) => !isStill(property) } : {}),
        },
      );
      verdict.triples.forEach((one) => triples.add(one));
      problems.push(...verdict.problems);
      elements += verdict.elements;
    }
  }
  return { triples, problems: [...new Set(problems)], elements };
}

describe('law 1 of looks', () => {
  it('what is resolved is what the browser shows, for random looks, in every state, on every device class', async () => {
    const triples = new Set<string>();
    let elements = 0;
    for (let seed = 1; seed <= SEEDS; seed += 1) {
      const found = await judged(
        madeFor(seed),
        IS_WHOLE ? { scheme: seed % 2 === 0 ? 'dark' : 'light' } : oneOfAll(seed),
      );
      expect(found.problems.slice(0, 12), `seed ${seed}`).toEqual([]);
      found.triples.forEach((one) => triples.add(one));
      elements += found.elements;
    }
    const share = triples.size / allTriples.size;
    console.log(
      `${elements} elements, ${triples.size} of ${allTriples.size} triples of thing, state and property (${Math.round(share * 1000) / 10} %)`,
    );
    const missing = [
      ...new Set(
        [...allTriples].filter((one) => !triples.has(one)).map((one) => one.split(' ').slice(0, 2).join(' ')),
      ),
    ];
    expect(share, missing.join(', ')).toBeGreaterThan(0.95);
  });

  it('what moves is what is resolved, too; nothing does for those who want less motion', async () => {
    const things = new Set<string>();
    for (const seed of [1, 5, 8]) {
      const made = madeFor(seed);
      const found = await judged(made, { ...oneOfAll(seed), isMoving: true });
      expect(found.problems.slice(0, 12), `seed ${seed}`).toEqual([]);
      found.triples.forEach((one) => things.add(one.split(' ').at(-1) ?? ''));
      const moving = await judged(withMotion(made, 'none'), { ...oneOfAll(seed), isMoving: true });
      expect(moving.problems.length).toBeGreaterThan(0);
      const still = await countMoving(made, 'reduce');
      expect(still).toBe(0);
      expect(await countMoving(made, 'no-preference')).toBeGreaterThan(10);
    }
    expect([...things].sort()).toEqual(['appear', 'comeBack', 'transition', 'turn']);
  });

  const mutations: readonly (readonly [string, (made: Made) => Made])[] = [
    [
      'two states swapped',
      (made) =>
        withSet(made, (look) => ({ ...look, target: { ...look.target, ...swappedState(look.target) } })),
    ],
    [
      'light and dark swapped',
      (made) =>
        withSet(made, ({ target, ...look }) => ({
          ...look,
          target: target.scheme === 'dark' ? { ...target, scheme: 'light' } : target,
        })),
    ],
    [
      'a property forgotten',
      (made) => ({ ...made, css: made.css.replaceAll(/padding-block:[^;}]*/g, '--x:0') }),
    ],
    [
      'two scopes swapped',
      (made) => withSet(made, (look) => ({ ...look, scope: { ...look.scope, rank: 100 - look.scope.rank } })),
    ],
  ];
  it.each(mutations)('fails with %s', async (_, mutated) => {
    const found = await judged(mutated(everything(meeting(whole), frozen[1] as Frozen)), {
      some: [['hover', 'focus']],
      devices: ['wide'],
    });
    expect(found.problems.length).toBeGreaterThan(0);
  });

  it('another value than the one that is resolved is seen', async () => {
    const random = seededRandom(99);
    const seen = new Set<string>();
    const found = await judged(madeFor(4), {
      some: [[]],
      devices: ['wide'],
      change: (property, value) => {
        const { kind } = factsOf(property);
        for (;;) {
          const other = randomValue(random, kind);
          if (other !== value) {
            seen.add(property);
            return other;
          }
        }
      },
    });
    expect(found.problems.length).toBeGreaterThan(300);
    expect(seen.size).toBeGreaterThan(20);
  });
});
