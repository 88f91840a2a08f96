import { execFile } from 'node:child_process';
import { readFile, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { By, Key } from 'selenium-webdriver';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  emptyForest,
  readStored,
  renderPage,
  situationOn,
  starterKeys,
  withFollowed,
  renderMenu,
  renderStyles,
  resolveMenu,
  wholeScript,
  type ResolvedItem,
  type ResolvedMenu,
  type Style,
  type Token,
} from '@zorvik/core';
import { quillmereDocument } from '../demo/quillmere/quillmereDocument.ts';
import { galleryOf, showAs, type Look } from './looks.ts';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

const run = promisify(execFile);
const require = createRequire(import.meta.url);

let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
let axe: string;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
  axe = await readFile(require.resolve('axe-core/axe.min.js'), 'utf8');
});

/** A page of the start, a section, an article and a product. */
const templates = ['/', '/plants/trees', '/about/news/moss-room', '/shop/tools/digging/digging-fork'];
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** What axe finds against WCAG 2.2 A and AA in the page, or by one rule alone, a line each. */
async function violations(rules: readonly string[] = RULES): Promise<string[]> {
  await person.settled();
  if (!(await browser.driver.executeScript<boolean>('return window.axe !== undefined')))
    await browser.driver.executeScript(axe);
  const script = `const done = arguments[arguments.length - 1];
    axe.run(document, { runOnly: arguments[0], iframes: false }).then(
      ({ violations }) => done(violations.map(({ id, nodes }) => id + ': ' + nodes.map(({ target, failureSummary }) => target.join(' ') + ' ' + failureSummary.replace(/\\s+/g, ' ')).slice(0, 3).join(' | '))),
      (error) => done([String(error)]));`;
  return browser.driver.executeAsyncScript<string[]>(script, rules);
}

/** Chooses a theme as another window would: this one follows. */
const choose = (theme: 'dark' | 'system'): Promise<unknown> =>
  browser.driver.executeScript(
    `window.dispatchEvent(new StorageEvent('storage', { key: 'zorvik-appearance', newValue: arguments[0] }))`,
    theme,
  );

/** Quillmere as it is before anybody sets anything, with a starter and dark colours: a page, as it is delivered. */
function startedPage(key: string, path: string): Look {
  const stored = withFollowed(readStored(quillmereDocument()), (a, b) => (a < b ? -1 : Number(a > b)));
  const document = {
    ...stored,
    styles: emptyForest<Style>(),
    tokens: emptyForest<Token>(),
    site: { ...stored.site, starter: key, hasDark: true as const },
  };
  const page = [...document.pages.nodes.values()].find(({ address }) => address === path);
  const { header, side, footer, skip, css } = renderPage(document, situationOn(document, page?.id ?? null), {
    compareTitles: (a, b) => (a < b ? -1 : Number(a > b)),
    pictures: '/p/',
    year: 2026,
  });
  const dark = '@media (prefers-color-scheme:dark){body{background:#161616;color:#ddd}}';
  return { css: dark + css, body: `${skip}${header}${side}<main id="content"><h1>Page</h1></main>${footer}` };
}

describe('what the site is served', () => {
  it('has no error by the Nu checker: HTML in its page, and the style sheet', async () => {
    const delivery = `${stack.delivery}/delivery/v1/sites/quillmere`;
    const write = async (name: string, text: string): Promise<string> => {
      await writeFile(join(stack.data, name), text);
      return join(stack.data, name);
    };
    const pageOf = (body: string): string =>
      `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Quillmere</title></head><body>${body}</body></html>`;
    const menus = await Promise.all(
      ['main', 'second', 'plants', 'footer', 'phone'].map(async (key) =>
        (await fetch(`${delivery}/menus/${key}.html`)).text(),
      ),
    );
    const every = readStored(
      JSON.parse(
        await readFile(new URL('../packages/core/laws/samples/format-5.json', import.meta.url), 'utf8'),
      ) as { format: number },
    );
    const menu = [...every.menus.nodes.values()].find(({ key }) => key === 'menu-1')?.id ?? '';
    const parts = renderMenu(resolveMenu(every, menu, { keepsEmpty: true }), {
      place: 'bar',
      pictures: '/pictures/',
    });
    for (const name of [
      'zv-tabs',
      'zv-search',
      'zv-video',
      'zv-picture',
      'zv-prose',
      'zv-groups',
      'zv-links',
      'zv-cards',
    ])
      expect(parts).toContain(name);
    const jar = join(require.resolve('vnu-jar/package.json'), '..', 'build', 'dist', 'vnu.jar');
    /**
     * Errors by file: one start of the checker takes seconds, so that it gets all files of a kind at once.
     */
    const check = async (...words: string[]): Promise<unknown[]> => {
      const { stderr } = await run('java', ['-jar', jar, '--format', 'json', '--exit-zero-always', ...words]);
      return (JSON.parse(stderr) as { messages: { type: string }[] }).messages.filter(
        ({ type }) => type === 'error',
      );
    };
    const pages = [
      await write('menus.html', pageOf(menus.join('\n'))),
      await write('every-part.html', pageOf(parts)),
      ...(await Promise.all(
        templates.map(async (path, at) =>
          write(`stand-in-site-${at}.html`, await (await fetch(stack.site + path)).text()),
        ),
      )),
    ];
    expect(await check(...pages)).toEqual([]);
    const sheets = [
      await write('navigation.css', await (await fetch(`${delivery}/navigation.css`)).text()),
      await write(
        'every-part.css',
        renderStyles(every.site, [resolveMenu(every, menu, { keepsEmpty: true })]),
      ),
      ...(await Promise.all(starterKeys.map((key) => write(`${key}.css`, startedPage(key, '/').css)))),
    ];
    expect(await check('--css', ...sheets)).toEqual([]);
  });

  it('has nothing for axe to find on pages of four templates', async () => {
    for (const path of templates) {
      await browser.driver.get(stack.site + path);
      expect(await violations(), path).toEqual([]);
    }
  });

  it.each([
    ['wide', 1280],
    ['narrow', 390],
  ])('has nothing for axe to find, closed and with every branch open, %s', async (_, width) => {
    const { driver } = browser;
    await browser.resize(width, 800);
    await driver.get(`${stack.site}/visit/tickets`);
    expect(await violations(), 'closed').toEqual([]);
    const count = (await driver.findElements(By.css('[aria-label^=Main] > ul > li > button'))).length;
    for (let at = 0; at < count; at += 1) {
      await driver.executeScript(
        `const top = document.querySelectorAll('[aria-label^=Main] > ul > li')[${at}];
         for (const button of document.querySelectorAll('[aria-label^=Main] button')) button.setAttribute('aria-expanded', String(top.contains(button)));`,
      );
      expect(await violations(), `branch ${at + 1} open`).toEqual([]);
    }
    await browser.resize(1280, 800);
  });

  it.each(starterKeys)(
    'has nothing for axe to find with the starter %s, in light and in dark',
    async (key) => {
      const pages = new Map(['/', '/plants/trees'].map((path) => [path.slice(1), startedPage(key, path)]));
      const gallery = await galleryOf(pages);
      const { driver } = browser;
      for (const scheme of ['light', 'dark'] as const) {
        await showAs(driver as Driver, 'screen', scheme);
        for (const name of pages.keys()) {
          await driver.get(gallery.address(name));
          await driver.executeScript(
            `document.querySelectorAll('.zv-bar').forEach((one) => one.setAttribute('data-zv-on', ''));
           document.querySelector('.zv-bar>ul>li>button')?.setAttribute('aria-expanded', 'true');`,
          );
          expect(
            await violations(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']),
            `${name} ${scheme}`,
          ).toEqual([]);
        }
      }
      await showAs(driver as Driver, 'screen');
      await gallery.close();
    },
  );

  it('stays usable at twice the text size: nothing is cut off, nothing leaves the screen', async () => {
    const { driver } = browser;
    await driver.get(`${stack.site}/visit`);
    await driver.executeScript("document.documentElement.style.fontSize = '200%'");
    const overflow = await driver.executeScript<number>(
      'return document.documentElement.scrollWidth - document.documentElement.clientWidth',
    );
    expect(overflow).toBeLessThanOrEqual(0);
    await driver.executeScript(
      "document.querySelector('[aria-label^=Main] > ul > li:last-child > button').click()",
    );
    const box = await driver.executeScript<{ left: number; right: number }>(
      "const { left, right } = document.querySelector('[aria-label^=Main] > ul > li:last-child > ul').getBoundingClientRect(); return { left, right }",
    );
    expect(box.left).toBeGreaterThanOrEqual(0);
    expect(box.right).toBeLessThanOrEqual(1280);
  });
});

describe('menus that are hard to fit', () => {
  const plain = { opensNewTab: false, href: '/x' } as const;
  const long = 'Everything that grows in the shade of old walls, by month and by height';
  const badge = {
    text: 'New in all our gardens since last spring',
    position: 'after',
  } as const;
  const below = (id: string): ResolvedItem[] =>
    ['one', 'two', 'three'].map((name) => ({ id: `${id}-${name}`, label: name, children: [], ...plain }));
  const entry = (id: string, label: string, more: object = {}): ResolvedItem => ({
    id,
    label,
    children: below(id),
    ...plain,
    ...more,
  });
  const panel: ResolvedItem = entry('panel', 'Panel', {
    dropdown: { form: 'panel' },
    rows: [
      {
        id: 'row',
        kind: 'row',
        parts: [
          {
            id: 'cell',
            kind: 'cell',
            span: 12,
            parts: [
              { id: 'press', kind: 'button', text: 'Book a place', href: '/book' },
              { id: 'search', kind: 'search', text: 'Search', address: '/search', parameter: 'q' },
              { id: 'spacer', kind: 'spacer', space: 24 },
              {
                id: 'form',
                kind: 'form',
                label: 'Your e-mail address',
                text: 'Sign up',
                address: '/newsletter',
                parameter: 'email',
                needsConsent: true,
                body: [
                  {
                    kind: 'paragraph',
                    runs: [{ text: 'I agree to the ' }, { text: 'privacy notice', href: '/privacy' }],
                  },
                ],
              },
            ],
          },
        ],
      },
    ],
  });
  const site = { breakpoints: { medium: 768, wide: 1024 } };

  /** Shows a bar with these entries, and the script, on a page of its own. */
  async function show(items: readonly ResolvedItem[]): Promise<void> {
    const menu: ResolvedMenu = { key: 'main', name: 'Main', language: 'en', direction: 'ltr', items };
    const page = join(stack.data, 'hard.html');
    const head = `<meta charset="utf-8"><title>Hard</title><meta name="viewport" content="width=device-width"><style>body{margin:0}${renderStyles(site, [menu])}</style>`;
    const html = renderMenu(menu, { place: 'bar' });
    await writeFile(
      page,
      `<!doctype html><html lang="en"><head>${head}</head><body>${html}<p>Text</p><script>${wholeScript}</script></body></html>`,
    );
    await browser.driver.get(`file://${page}`);
  }
  const beyond = (): Promise<string[]> =>
    browser.driver.executeScript<string[]>(
      `const width = document.documentElement.clientWidth;
       return [...document.querySelectorAll('.zv :is(a, button, .zv-badge)')].filter((one) => { const { left, right, width: own } = one.getBoundingClientRect(); return own > 0 && (left < -0.5 || right > width + 0.5); })
         .map((one) => one.className + ' ' + one.textContent).concat(document.documentElement.scrollWidth > width ? ['the page scrolls sideways'] : [])`,
    );
  const emulate = (media: string, features: readonly { name: string; value: string }[] = []): Promise<void> =>
    (browser.driver as Driver).sendDevToolsCommand('Emulation.setEmulatedMedia', { media, features });

  it('have a sign-up form that axe finds nothing in, open, on wide and narrow screens', async () => {
    for (const width of [1280, 360]) {
      await browser.resize(width, 800);
      await show([panel, entry('a', 'Visit')]);
      await browser.driver.executeScript("document.querySelector('.zv button[aria-expanded]').click()");
      await person.eventually('the panel is open', async () => (await person.find('.zv-form')).isDisplayed());
      expect(await violations(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])).toEqual([]);
    }
    await browser.resize(1280, 800);
  });

  it('keep the arrow of a long label beside it and on the screen, and the badge of forty characters inside, at every width', async () => {
    await show([
      entry('a', 'Visit'),
      entry('b', long),
      entry('c', `${long} ${long}`, { badge }),
      entry('d', 'Shop', { badge }),
    ]);
    for (const width of [1280, 1024, 768, 600, 480, 390, 360, 320]) {
      await browser.resize(width, 800);
      expect(await beyond(), `${width} px`).toEqual([]);
      const apart = await browser.driver.executeScript<string[]>(
        `return [...document.querySelectorAll('.zv-bar > ul > li')].filter((li) => { const [a, b] = [li.querySelector(':scope > a').getBoundingClientRect(), li.querySelector(':scope > button').getBoundingClientRect()]; return b.top >= a.bottom || b.left < a.left; }).map((li) => li.firstChild.textContent)`,
      );
      expect(apart, `${width} px: the arrow is beside its label`).toEqual([]);
      const lines = await browser.driver.executeScript<number>(
        "return document.querySelector('.zv-bar > ul > li > a').getBoundingClientRect().height",
      );
      expect(lines, `${width} px: a short label stays on one line`).toBeLessThan(50);
    }
    for (const width of [1280, 600, 320]) {
      await browser.resize(width, 800);
      await browser.driver.executeScript(
        "document.querySelectorAll('.zv-bar > ul > li > button')[2].click()",
      );
      expect(await beyond(), `${width} px, open`).toEqual([]);
    }
    await browser.resize(1280, 800);
  });

  it('close an open list when the focus leaves its entry, so that it lies over nothing that has the focus', async () => {
    await browser.resize(600, 800);
    await show(
      [
        'One entry',
        'Another entry',
        'A third entry',
        'And a fourth',
        'The fifth of them',
        'The last one',
      ].map((label) => entry(label.replaceAll(' ', ''), label)),
    );
    const { driver } = browser;
    await driver.executeScript("document.querySelector('.zv-bar > ul > li > button').focus()");
    await person.type(Key.ENTER);
    expect(
      await driver.executeScript("return document.querySelectorAll('[aria-expanded=true]').length"),
    ).toBe(1);
    for (let step = 0; step < 4; step += 1) await person.type(Key.TAB);
    expect(
      await driver.executeScript(
        "return [document.activeElement.textContent, document.querySelectorAll('[aria-expanded=true]').length]",
      ),
    ).toEqual(['Another entry', 0]);
    await browser.resize(1280, 800);
  });

  it('print without what is open, and keep the shape of their buttons in forced colours', async () => {
    await show([panel, entry('a', 'Visit'), entry('b', 'Shop', { look: 'button', badge })]);
    const { driver } = browser;
    await driver.executeScript("document.querySelector('.zv-bar > ul > li > button').click()");
    const shown = (css: string) =>
      driver.executeScript<string>(`return getComputedStyle(document.querySelector('${css}')).display`);
    expect(await shown('.zv-panel')).not.toBe('none');
    await emulate('print');
    expect(await shown('.zv-panel')).toBe('none');
    await emulate('', [{ name: 'forced-colors', value: 'active' }]);
    for (const css of [
      '.zv-action-link',
      '.zv-search button',
      '.zv-form button',
      '.zv-button',
      '.zv-badge',
    ]) {
      const edge = await driver.executeScript<string[]>(
        `const { borderTopWidth, borderTopStyle, borderTopColor, backgroundColor } = getComputedStyle(document.querySelector('${css}')); return [borderTopWidth, borderTopStyle, String(borderTopColor !== backgroundColor)]`,
      );
      expect([css, ...edge]).toEqual([css, '1px', 'solid', 'true']);
    }
    await emulate('');
  });
});

describe('the editor for axe', () => {
  const screens: readonly (readonly [string, string, () => Promise<void>])[] = [
    ['Arrange, an item selected', '/quillmere/arrange/main', () => person.select('Walled garden')],
    [
      'Arrange, adding',
      '/quillmere/arrange/main',
      async () => {
        await person.select('Walled garden');
        await (await person.find('[role=tree]')).sendKeys(Key.ENTER);
        await person.eventually(
          'no field',
          async () => (await (await person.focused()).getAttribute('role')) === 'combobox' || null,
        );
        await person.type('seed');
        await person.find('[role=listbox] [role=option]');
      },
    ],
    [
      'what drops from an item, and a group of a panel',
      '/quillmere/arrange/main',
      async () => {
        await person.select('Seed house');
        await (await person.byText('label', 'Dropdown')).click();
        await person.find('.drops .tile');
      },
    ],
    [
      'composing a panel: the panel, a picture, a text, a live list, the narrow form beside',
      '/quillmere/arrange/main',
      async () => {
        await person.select('Seed house');
        await (await person.find('[role=tree]')).sendKeys('c');
        const parts = await person.find('.composer [role=tree]');
        await person.click('Show the narrow form next to it');
        for (const word of ['picture', 'live list', 'search']) {
          await (await person.byText('span', word)).click();
          await person.find('.facts');
          expect(await violations(), word).toEqual([]);
        }
        await parts.sendKeys('p');
        await person.find('.kinds');
        expect(await violations(), 'what may be added').toEqual([]);
        await (await person.byText('span', 'Text')).click();
        await person.find('.rich [contenteditable]');
        await person.click('Presets');
        await person.find('.presets');
      },
    ],
    [
      'the spread, with all settings of an item',
      '/quillmere/arrange/main',
      async () => {
        await person.select('Walled garden');
        await (await person.find('[role=tree]')).sendKeys('s', 'm');
        await person.find('.spread .row.lead');
        await person.find('[aria-label="More settings"]');
      },
    ],
    [
      'several items, and another menu beside',
      '/quillmere/arrange/main',
      async () => {
        await person.select('Walled garden');
        await (await person.find('[role=tree]')).sendKeys(Key.chord(Key.SHIFT, Key.ARROW_DOWN), 'b');
        await person.find('.beside [role=treeitem]');
      },
    ],
    [
      'bringing items in',
      '/quillmere/arrange/main',
      async () => {
        await person.click('Menu');
        await person.click('Import …');
        await (await person.find('.source textarea')).sendKeys('Visit');
        await person.find('.preview li');
      },
    ],
    [
      'the shared links',
      '/quillmere/arrange/main',
      async () => {
        await person.click('Menu');
        await person.click('Shared links');
        await person.find('.sheet .none');
      },
    ],
    [
      'about a menu',
      '/quillmere/arrange/main',
      async () => {
        await person.click('Menu');
        await person.click('Menu settings …');
        await person.find('.retire');
      },
    ],
    [
      'planning a page',
      '/quillmere/arrange/main',
      async () => {
        await person.select('Walled garden');
        await (await person.find('[role=tree]')).sendKeys('p');
        await person.byText('h1', 'Add a planned page');
      },
    ],
    [
      'the page finder',
      '/quillmere/arrange/main',
      async () => {
        await person.click('Find pages (/)');
        await person.find('.finder [role=option]');
      },
    ],
    [
      'all keys',
      '/quillmere/arrange/main',
      async () => {
        await person.click('Keyboard shortcuts');
        await person.byText('h1', 'Keyboard shortcuts');
      },
    ],
    [
      'a new menu',
      '/quillmere/arrange/main',
      async () => {
        await person.click('Choose a menu');
        await person.click('New menu …');
        await person.byText('h1', 'New menu');
      },
    ],
    [
      'history',
      '/quillmere/arrange/main',
      async () => {
        await person.select('Walled garden');
        await person.find('[data-state]').then((state) => state.click());
        await person.find('aside li .back');
      },
    ],
    ['Pages', '/quillmere/pages', async () => void (await person.byText('span', 'Plant finder'))],
    [
      'reading pages',
      '/quillmere/pages',
      async () => {
        await person.click('Import');
        await person.click('Import sitemap …');
        await person.byText('h1', 'Import a sitemap');
      },
    ],
    [
      'reading the site',
      '/quillmere/pages',
      async () => {
        await person.click('Read the site …');
        await person.byText('h1', 'Read the site');
      },
    ],
    [
      'a page that is selected',
      '/quillmere/pages',
      async () => {
        await (await person.find('[role=treegrid]')).click();
        await person.byText('span', 'Move');
      },
    ],
    [
      'Drift',
      '/quillmere/drift/main',
      async () => void (await person.byText('h1', '3 differences in this menu, 4 in all')),
    ],
    [
      'Drift, one finding being left',
      '/quillmere/drift/main',
      async () => {
        await person.byText('h1', '3 differences in this menu, 4 in all');
        await person.click('Ignore …');
        await person.find('.leave input');
      },
    ],
    [
      'following',
      '/quillmere/arrange/main',
      async () => {
        await person.select('Visit');
        await (await person.find('[role=tree]')).sendKeys('f');
        await person.byText('button', 'Follow');
      },
    ],
    ['Editions', '/quillmere/editions', async () => void (await person.byText('span', 'The first edition'))],
    [
      'Frame, a menu selected and a part being added',
      '/quillmere/frame',
      async () => {
        const row = "//*[@aria-label='Frame contents']//*[@role='treeitem'][contains(., 'Main menu')]";
        await person.eventually('no menu in the frame', async () => {
          const [found] = await browser.driver.findElements(By.xpath(row));
          await found?.click();
          return found !== undefined;
        });
        await (await person.find('[aria-label="Frame contents"]')).sendKeys('p');
        await person.find('[aria-label="Add a part"] [role=option]');
      },
    ],
    [
      'Style, a cell chosen',
      '/quillmere/style',
      async () => {
        await (await person.find('[role=gridcell]')).click();
        await person.find('[aria-label=Values] input');
        expect(await violations(), 'states').toEqual([]);
        for (const [name, part] of [
          ['Fonts', '.fonts .drop'],
          ['Starters', '.starters iframe'],
          ['Variants', '.variants iframe'],
          ['CSS', '.css textarea'],
          ['Colours', '.colours .row'],
        ] as const) {
          await (await person.byText('label', name)).click();
          await person.find(part);
          expect(await violations(), name).toEqual([]);
        }
        await person.click('Add dark colours');
        await person.click('Add a name');
        await person.find('.colours .dark');
        expect(await violations(), 'dark').toEqual([]);
        await person.click('Undo');
      },
    ],
    [
      'Fit, a bar chosen, the contact sheet, and an edition beside',
      '/quillmere/fit',
      async () => {
        // Widths are known a moment later than what the drawn page says.
        const show = await person.eventually('no bar is told of', async () => {
          const path = "//li[contains(., 'separate row')]//button[normalize-space(.)='Show']";
          const [first] = await browser.driver.findElements({ xpath: path });
          return first ?? null;
        });
        await show.click();
        await person.byText('button', 'Preview');
        expect(await violations(), 'every width').toEqual([]);
        await (await person.byText('label', 'Contact sheet')).click();
        await person.find('[aria-label="Contact sheet"][aria-busy="false"]');
        expect(await violations(), 'contact sheet').toEqual([]);
        await (await person.byText('label', 'Every width')).click();
        await (await person.find('option[value^="edition"]')).click();
        await person.find('.pair iframe[title^="Edition"]');
      },
    ],
    ['Sites', '/sites', async () => void (await person.byText('strong', 'Quillmere'))],
    [
      'a new site',
      '/sites',
      async () => {
        await person.click('New site …');
        await person.byText('h1', 'New site');
      },
    ],
    ['the design sheet', '/design', async () => void (await person.byText('h1', 'Design sheet'))],
  ];

  it.each(screens)('%s: nothing is found', async (_, path, prepare) => {
    await browser.driver.get(stack.editor + path);
    await prepare();
    expect(await violations()).toEqual([]);
    // The same screen in the dark theme: only its colours are others.
    await choose('dark');
    expect(await violations(['color-contrast']), 'in the dark theme').toEqual([]);
    await choose('system');
  });

  it('what opens from Frame: nothing is found', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/frame`);
    const sheets: readonly (readonly [string, string])[] = [
      ['Site settings …', 'Site settings'],
      ['Start from a frame …', 'Start from a frame'],
      ['Put it into your pages …', 'Put the navigation into your pages'],
    ];
    for (const [item, title] of sheets) {
      await person.click('Site');
      await person.click(item);
      await person.byText('h1', title);
      expect(await violations(), title).toEqual([]);
      await (await person.focused()).sendKeys(Key.ESCAPE);
      await person.eventually(
        `“${title}” does not close`,
        async () => !(await browser.driver.findElements(By.xpath(`//h1[.='${title}']`))).length,
      );
    }
    await person.click('Preview …');
    await person.click('Create an address');
    await person.find('form li a');
    expect(await violations(), 'Preview').toEqual([]);
  });

  it('text on the main button is white, and every pair of the design sheet is as said', async () => {
    await browser.driver.get(`${stack.editor}/design`);
    await person.byText('h1', 'Design sheet');
    const button = await browser.driver.findElement(By.css('.v-btn.bg-primary'));
    expect(await button.getCssValue('color')).toMatch(/^rgba?\(255, 255, 255/);
    const ratios = await browser.driver.findElements(By.css('.pairs .number'));
    const shown = await Promise.all(ratios.map(async (one) => Number.parseFloat(await one.getText())));
    expect(shown.length).toBeGreaterThan(15);
    expect(shown.filter((ratio) => !(ratio >= 3))).toEqual([]);
  });

  it('the live header: nothing is found', async () => {
    await browser.driver.get(`${stack.editor}/live.html`);
    expect(
      (await violations()).filter((one) => !/^(?:page-has-heading-one|landmark-one-main|region)/.test(one)),
    ).toEqual([]);
  });

  it('loads nothing from elsewhere', async () => {
    await browser.driver.get(`${stack.editor}/quillmere/arrange/main`);
    await person.row('Visit');
    const hosts = await browser.driver.executeScript<string[]>(
      "return [...new Set(performance.getEntriesByType('resource').map(({ name }) => new URL(name).origin))]",
    );
    expect(hosts).toEqual([stack.editor]);
  });

  it('is usable on a phone: no screen is wider than it', async () => {
    await browser.resize(360, 800);
    for (const path of [
      '/quillmere/arrange/main',
      '/quillmere/pages',
      '/quillmere/drift/main',
      '/quillmere/style',
      '/quillmere/editions',
      '/sites',
    ]) {
      await browser.driver.get(stack.editor + path);
      await person.find('main h1');
      const wide = await browser.driver.executeScript<string[]>(
        `return [...document.querySelectorAll('.shell *')].filter((one) => one.checkVisibility() && one.getBoundingClientRect().right > 361 && !one.closest('.room, .only-heard'))
          .map((one) => one.tagName + '.' + one.className)`,
      );
      expect(wide, path).toEqual([]);
    }
    await browser.resize(1280, 800);
  });
});
