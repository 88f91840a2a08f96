import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key, Origin, type WebElement } from 'selenium-webdriver';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { partsIn, readStored, type Part, type SiteDocument, type StoredDocument } from '@zorvik/core';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** Panels composed where they are drawn: by pointer and by keys, filled, saved as presets, published. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
let folder: string;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
  folder = await mkdtemp(join(tmpdir(), 'zorvik-pictures-'));
});
afterAll(async () => {
  await rm(folder, { recursive: true, force: true });
});

const stored = async (): Promise<SiteDocument> => {
  await person.kept();
  return readStored(
    ((await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as { document: StoredDocument })
      .document,
  );
};
/** The parts of the panel of what leads to a page in the main menu. */
const partsOf = async (title: string): Promise<Part[]> => {
  const document = await stored();
  const page = [...document.pages.nodes.values()].find((one) => one.title === title)?.id;
  const main = [...document.menus.nodes.values()].find(({ key }) => key === 'main')?.id;
  const item = [...document.items.nodes.values()].find(
    ({ parent, destination }) => parent === main && destination.kind === 'page' && destination.page === page,
  );
  return item === undefined ? [] : partsIn(document, item.id);
};
const outlineOf = async (title: string): Promise<string> =>
  (await partsOf(title)).map(({ kind, span }) => (span === undefined ? kind : `${kind}${span}`)).join(' ');
const onStage = async <T>(act: () => Promise<T>): Promise<T> => {
  await browser.driver.switchTo().frame(await person.find('iframe'));
  try {
    return await act();
  } finally {
    await browser.driver.switchTo().defaultContent();
  }
};
const tree = (): Promise<WebElement> => person.find('.composer [role=tree]');
const keys = async (...pressed: string[]): Promise<void> => (await tree()).sendKeys(...pressed);
const add = async (name: string): Promise<void> => {
  await keys('p');
  await person.eventually(`“${name}” is not offered`, async () => {
    const [offer] = await browser.driver.findElements(
      By.xpath(`//*[contains(@class,'kinds')]//span[normalize-space(.)='${name}']`),
    );
    await offer?.click();
    return offer !== undefined;
  });
};
const isNow = (title: string, outline: string): Promise<true> =>
  person.eventually(`it is not “${outline}”`, async () => {
    const now = await outlineOf(title);
    if (now !== outline) throw new Error(`but “${now}”`);
    return true as const;
  });
async function compose(item: string): Promise<void> {
  await browser.driver.get(`${stack.editor}/quillmere/arrange/main`);
  await (await person.byText('label', 'Columns')).click();
  await person.select(item);
  await (await person.find('[role=tree]')).sendKeys('c');
  await person.find('.composer');
}

describe('a panel', () => {
  it('is composed by keys alone: rows, cells, spans, parts and their order; all of it can be undone', async () => {
    await compose('Plant finder');
    await add('Heading');
    await isNow('Plant finder', 'row cell12 groups row cell12 heading');
    await keys('c');
    await isNow('Plant finder', 'row cell12 groups row cell6 heading cell6');
    await keys(Key.chord(Key.ALT, Key.ARROW_LEFT), Key.chord(Key.ALT, Key.ARROW_LEFT));
    await isNow('Plant finder', 'row cell12 groups row cell6 heading cell4');
    await keys(Key.ARROW_UP, Key.chord(Key.ALT, Key.ARROW_DOWN));
    await isNow('Plant finder', 'row cell12 groups row cell6 cell4 heading');
    await keys(Key.chord(Key.CONTROL, 'd'));
    await isNow('Plant finder', 'row cell12 groups row cell6 cell4 heading heading');
    await keys('r');
    await isNow('Plant finder', 'row cell12 groups row cell6 cell4 heading heading row cell12');
    await keys(Key.ARROW_LEFT, Key.chord(Key.ALT, Key.ARROW_UP), Key.DELETE);
    await isNow('Plant finder', 'row cell12 groups row cell6 cell4 heading heading');
    for (let step = 0; step < 12 && (await outlineOf('Plant finder')) !== ''; step += 1)
      await keys(Key.chord(Key.CONTROL, 'z'));
    expect(await outlineOf('Plant finder')).toBe('');
    await keys(Key.ESCAPE);
    await person.find('.spread');
  });

  it('is shaped by the pointer where it is drawn: the edge of a cell, the lower edge of a row, a part into another cell, a cell in what is free', async () => {
    const { driver } = browser;
    await compose('Seed house');
    await onStage(async () => {
      const heading = await driver.findElement(By.xpath("//h3[contains(.,'The autumn seed list')]"));
      await heading.click();
      const edge = await person.find('.marks .edge');
      const { x } = await edge.getRect();
      await driver
        .actions()
        .move({ origin: edge })
        .press()
        .move({ origin: Origin.POINTER, x: 40 })
        .move({ origin: Origin.POINTER, x: 54 })
        .release()
        .perform();
      expect(x).toBeGreaterThan(0);
    });
    await person.eventually('the edge did not move', async () =>
      /^row cell10 groups cell2 /.test(await outlineOf('Seed house')),
    );
    await onStage(async () => {
      const lower = await person.find('.marks .lower');
      await driver
        .actions()
        .move({ origin: lower })
        .press()
        .move({ origin: Origin.POINTER, y: 20 })
        .move({ origin: Origin.POINTER, y: 20 })
        .release()
        .perform();
    });
    await person.eventually(
      'the row is not higher',
      async () => ((await partsOf('Seed house'))[0]?.height ?? 0) > 200,
    );
    await onStage(async () => {
      await person.settled();
      const from = await driver.findElement(By.xpath("//h3[contains(.,'The autumn seed list')]"));
      const to = await person.find('[aria-expanded=true]~.zv-panel .zv-groups');
      await driver
        .actions()
        .move({ origin: from })
        .press()
        .move({ origin: from, x: -20, y: 4 })
        .move({ origin: to, x: -40, y: -60 })
        .move({ origin: to, x: -42, y: -70 })
        .perform();
      await person.find('.marks .drop');
      await driver.actions().release().perform();
    });
    await person.eventually('the heading did not move', async () =>
      /^row cell10 heading groups cell2 picture /.test(await outlineOf('Seed house')),
    );
    await keys(
      Key.HOME,
      Key.ARROW_DOWN,
      Key.ARROW_DOWN,
      Key.ARROW_DOWN,
      Key.ARROW_DOWN,
      Key.ARROW_DOWN,
      Key.chord(Key.ALT, Key.ARROW_LEFT),
    );
    await person.eventually('it is not narrower', async () =>
      /groups cell1 picture/.test(await outlineOf('Seed house')),
    );
    await onStage(async () => {
      const free = await person.find('.marks .free');
      expect(await free.getText()).toBe('Add a cell: 1 of 12 free');
      await free.click();
    });
    await person.eventually('there is no cell', async () =>
      /cell1 picture cell1 /.test(await outlineOf('Seed house')),
    );
  });

  it('keeps in sight what no part shows, and shows it at one press', async () => {
    await compose('What’s on');
    await add('Link group');
    await person.eventually('no group', async () => (await outlineOf('What’s on')).endsWith('group'));
    const groups = (await person.byText('span', 'remaining groups')) as WebElement;
    await groups.click();
    await keys(Key.DELETE);
    await person.byText('strong', 'Not yet shown:');
    const before = await (await person.find('.waiting')).findElements(By.css('button'));
    expect(before.length).toBeGreaterThan(0);
    await before[0]!.click();
    const waits = async (count: number): Promise<boolean> =>
      (await browser.driver.findElements(By.css('.waiting button'))).length === count;
    await person.eventually('it still waits', () => waits(before.length - 1));
    await keys('n');
    await person.eventually('the key shows nothing', () => waits(before.length - 2));
  });

  it('begins with a preset in three actions, is saved as one of one’s own, and that is used for another item', async () => {
    await compose('Learn');
    await person.click('Presets');
    await person.eventually('no preset', async () => {
      await (await person.byText('span', 'Links and a call')).click();
      return /^row cell8 groups cell4 heading button$/.test(await outlineOf('Learn'));
    });
    // On narrow screens it is a list, which is not shown beside the rows on wide ones.
    const lists = await onStage(() =>
      person.eventually('it is not drawn', () =>
        browser.driver.executeScript<string[] | false>(
          `const lists = [...document.querySelectorAll('.zv-rows>.zv-all-items')].map((one) => getComputedStyle(one).display); return lists.length > 0 && lists`,
        ),
      ),
    );
    expect(lists).toEqual(['none']);
    await person.click('Presets');
    const field = await person.find('.presets input');
    await person.settled();
    await field.sendKeys('Ours', Key.ENTER);
    await person.byText('span', 'Ours');
    await compose('The garden');
    await person.click('Presets');
    await person.eventually('our preset is not used', async () => {
      await (await person.byText('span', 'Ours')).click();
      return (await outlineOf('The garden')) === 'row cell8 groups cell4 heading button';
    });
  });
});

describe('parts', () => {
  it('are filled: a picture is sent, a text typed with its forms, a heading led to a page; what is refused says why', async () => {
    const photo = join(folder, 'photo.jpg');
    await writeFile(
      photo,
      await sharp({ create: { width: 1200, height: 800, channels: 3, background: '#7a9f6a' } })
        .jpeg()
        .toBuffer(),
    );
    const fake = join(folder, 'fake.png');
    await writeFile(fake, 'This is no picture.');
    await compose('Visit');
    await add('Picture');
    await (await person.find('.picture input[type=file]')).sendKeys(fake);
    await person.eventually('nothing is said', async () =>
      /This picture can’t be used/.test(await (await person.find('.picture [role=alert]')).getText()),
    );
    await (await person.find('.picture input[type=file]')).sendKeys(photo);
    await person.byText('p', '1200 × 800 px');
    await person.byText('p', 'Add alt text, or mark the picture as decorative.');
    const parts = await partsOf('Visit');
    const file = parts.find(({ picture }) => picture?.width === 1200)?.picture?.file ?? '';
    expect(file).toMatch(/^[0-9a-f]{32}$/);
    expect(
      await onStage(() =>
        person.eventually('it is not drawn', async () =>
          browser.driver.executeScript<boolean>(
            `return [...document.images].some((one) => one.src.includes('${file}') && one.complete && one.naturalWidth > 0)`,
          ),
        ),
      ),
    ).toBe(true);
    await add('Text');
    const text = await person.find('.rich [contenteditable]');
    await text.sendKeys(
      Key.chord(Key.CONTROL, 'a'),
      'Come ',
      Key.chord(Key.CONTROL, 'b'),
      'early',
      Key.chord(Key.CONTROL, 'b'),
      ' in May',
    );
    await person.eventually('the text is not kept', async () => {
      const body = (await partsOf('Visit')).findLast(({ kind }) => kind === 'text')?.body;
      return (
        JSON.stringify(body) ===
        JSON.stringify([
          {
            kind: 'paragraph',
            runs: [{ text: 'Come ' }, { text: 'early', bold: true }, { text: ' in May' }],
          },
        ])
      );
    });
    await add('Heading');
    await (await person.find('.leads .target')).click();
    await (await person.find('.leads input')).sendKeys('Plant fair');
    await person.eventually(
      'it is not found',
      async () => (await browser.driver.findElements(By.css('.leads [role=option]'))).length > 0,
    );
    await (await person.find('.leads input')).sendKeys(Key.ENTER);
    await person.eventually(
      'it does not lead there',
      async () =>
        (await partsOf('Visit')).findLast(({ kind }) => kind === 'heading')?.destination?.kind === 'page',
    );
    await add('Link list');
    await keys(Key.ARROW_DOWN);
    const badge = await (await person.byText('label', 'Badge')).getAttribute('for');
    await (await person.find(`[id="${badge}"]`)).sendKeys('New', Key.ENTER);
    await (await person.find('.icon .shown')).click();
    await (await person.find('.picker input')).sendKeys('leaf');
    await (await person.find('.picker button[aria-label=leaf]')).click();
    await person.eventually('badge and icon are not drawn', () =>
      onStage(() =>
        browser.driver.executeScript<boolean>(
          `const link = document.querySelector('.zv-links li>span'); const icon = link?.querySelector('svg')?.getBoundingClientRect(); return icon?.width > 0 && icon.width < 40 && link.querySelector('.zv-badge').textContent === 'New'`,
        ),
      ),
    );
  });

  it('are on the site once they are published, the picture in several widths, and the panel is fetched when it is opened first', async () => {
    const { driver } = browser;
    await keys(Key.HOME);
    await (await person.byText('label', 'when first opened')).click();
    await person.kept();
    const site = (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as {
      revision: number;
    };
    await fetch(`${stack.editor}/api/v1/sites/quillmere/editions`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ note: 'Composed', revision: site.revision }),
    });
    await driver.get(`${stack.site}/visit`);
    const panel = await person.find('[aria-label^=Main] .zv-panel');
    expect(
      await driver.executeScript('return arguments[0].childElementCount', panel),
      'nothing of it is on the page before',
    ).toBe(0);
    await driver.executeScript(`document.querySelector('[aria-label^=Main] > ul > li > button').click()`);
    await person.eventually('nothing came', async () =>
      driver.executeScript<boolean>('return arguments[0].childElementCount > 0', panel),
    );
    expect(await panel.getText()).toContain('Come early in May');
    const seen = await person.eventually('the picture is not seen', async () =>
      driver.executeScript<{ srcset: string; width: number } | null>(
        `const image = [...document.querySelectorAll('[aria-label^=Main] .zv-picture img[srcset]')].find((one) => one.complete && one.naturalWidth > 0);
         image?.scrollIntoView(); return image === undefined ? null : { srcset: image.srcset, width: Number(image.getAttribute('width')) };`,
      ),
    );
    expect(seen.width).toBe(1200);
    expect(seen.srcset.split(', ').map((one) => one.split(' ')[1])).toEqual([
      '320w',
      '640w',
      '960w',
      '1200w',
    ]);
    const [, address = ''] = /^(\S+) /.exec(seen.srcset) ?? [];
    const answer = await fetch(address);
    expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'image/webp']);
    expect(answer.headers.get('etag')).toMatch(/^"[0-9a-f]+"$/);
    const fragment = await fetch(
      `${stack.delivery}/delivery/v1/sites/quillmere/${await driver.executeScript<string>(`return 'panels/' + document.querySelector('[aria-label^=Main] .zv-panel').id.slice(3).replace('-', '/') + '.html'`)}`,
    );
    expect(fragment.status).toBe(200);
    const again = await fetch(fragment.url, {
      headers: { 'If-None-Match': fragment.headers.get('etag') ?? '' },
    });
    expect(again.status).toBe(304);
  });

  it('are rows of their own on narrow screens, seen beside the wide form', async () => {
    const { driver } = browser;
    await compose('Visit');
    const fields = await driver.findElements(
      By.xpath("//fieldset[legend[contains(.,'On narrow screens')]]//label[normalize-space(.)='own rows']"),
    );
    await fields[0]!.click();
    await person.click('Add a row for narrow screens');
    await add('Heading');
    await person.eventually('there is no row', async () =>
      (await partsOf('Visit')).some(({ only }) => only === 'narrow'),
    );
    await person.click('Show the narrow form next to it');
    await person.eventually('it is not seen beside', async () => {
      await driver.switchTo().frame(await driver.findElement(By.css('iframe.narrow')));
      const shown = await driver.executeScript<string[]>(
        `return [...document.querySelectorAll('[aria-expanded=true]~.zv-panel .zv-panel-row')].filter((row) => row.checkVisibility()).map((row) => row.textContent)`,
      );
      await driver.switchTo().defaultContent();
      return shown.length === 1 && shown[0] === 'Heading';
    });
  });

  it.each([
    ['Text', '.rich [contenteditable]'],
    ['Heading', '.facts input[type=text]'],
  ])(
    'lose nothing that is typed a moment before the window is loaded anew, goes elsewhere, or is closed: %s',
    async (kind, css) => {
      const { driver } = browser;
      const ways: Readonly<Record<string, () => Promise<unknown>>> = {
        again: () => driver.navigate().refresh(),
        elsewhere: () => driver.get(`${stack.editor}/sites`),
        async closed() {
          const first = await driver.getWindowHandle();
          await driver.switchTo().newWindow('tab');
          const second = await driver.getWindowHandle();
          await driver.switchTo().window(first);
          await driver.close();
          await driver.switchTo().window(second);
        },
      };
      for (const [way, leave] of Object.entries(ways)) {
        await compose('Learn');
        await add(kind);
        await (await person.find(css)).sendKeys(Key.chord(Key.CONTROL, 'a'), `${kind} typed, then ${way}`);
        await leave();
        await driver.get(`${stack.editor}/quillmere/arrange/main`);
        await person.row('Visit');
        await person.eventually('it is lost', async () =>
          JSON.stringify([...(await stored()).parts.nodes.values()]).includes(`${kind} typed, then ${way}`),
        );
      }
    },
  );
});
