import { writeFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { By, Key } from 'selenium-webdriver';
import type { StoredDocument } from '@zorvik/core';
import { openBrowser } from './browser.ts';
import { personAt } from './person.ts';
import { openStack } from './stack.ts';

/**
 * `npm run shots`: one current picture of each main view, of the demo data, into docs/screenshots/ (or the
 * folder named).
 */
const folder = process.argv[2] ?? fileURLToPath(new URL('../docs/screenshots/', import.meta.url));
const [stack, browser] = [await openStack({ isFirstStart: true }), await openBrowser()];
const { driver } = browser;
const person = personAt(driver);
const SETTLED = 900;

async function shot(name: string): Promise<void> {
  await driver.sleep(SETTLED);
  await writeFile(`${folder}/${name}.png`, await driver.takeScreenshot(), 'base64');
  console.log(`${name}.png`);
}

try {
  await driver.get(`${stack.editor}/quillmere/arrange/main`);
  await (await person.byText('label', 'Columns')).click();
  await person.select('Plant fair');
  await shot('arrange-columns');
  await person.select('Seed house');
  await (await person.byText('label', 'Dropdown')).click();
  await person.find('.drops .tile');
  await person.find('.compose');
  await (await person.find('.compose')).click();
  const parts = await person.find('.composer [role=tree]');
  await (await person.byText('span', 'The autumn seed list is here')).click();
  await parts.sendKeys(Key.ARROW_LEFT);
  await shot('composer');
  await person.click('Presets');
  await person.find('.presets');
  await (await person.find('.presets input')).sendKeys(Key.ESCAPE);
  await driver.sleep(SETTLED);
  await person.click('Show the narrow form next to it');
  await (await person.byText('span', 'The autumn seed list is here')).click();
  await person.click('Done');
  await person.select('Seed house');
  await (await person.byText('label', 'Item')).click();
  await person.select('Tickets and prices');
  await person.click('Menu');
  await person.click('Import …');
  await (
    await person.find('.source textarea')
  ).sendKeys(
    'Visit',
    Key.ENTER,
    '- Opening times',
    Key.ENTER,
    '- Night walks',
    Key.ENTER,
    'Seed swap | https://swap.example/',
    Key.ENTER,
    'Odd | javascript:x',
  );
  await person.byText('span', 'no link yet');
  await person.click('Cancel');
  await driver.sleep(SETTLED);
  await (await person.byText('label', 'List')).click();

  await person.select('The garden');
  await (await person.find('[role=tree]')).sendKeys('f');
  await driver.sleep(SETTLED);
  await (await person.byText('label', '2')).click();
  await person.byText('h2', '18 followed items');
  await shot('following');
  await person.click('Cancel');
  await driver.sleep(SETTLED);

  await person.select('Glasshouses');
  await (await person.find('[role=tree]')).sendKeys(Key.ARROW_RIGHT);
  await shot('arrange-list');

  await (await person.find('[role=tree]')).sendKeys('/');
  await person.find('.finder .search');
  await driver.sleep(SETTLED);
  await person.type('autumn', Key.chord(Key.SHIFT, Key.ENTER), Key.chord(Key.SHIFT, Key.ENTER));
  await person.type(Key.ENTER, Key.ESCAPE);

  // Somebody else at the same site, by the same API that their window would use.
  const api = async (path: string, body: object): Promise<void> => {
    const reply = await fetch(`${stack.editor}/api/v1/sites/quillmere/${path}`, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'Content-Type': 'application/json' },
    });
    if (!reply.ok) throw new Error(await reply.text());
  };
  await driver.executeScript(`localStorage.setItem('zorvik-name', 'Noor')`);
  await driver.switchTo().newWindow('window');
  await browser.resize(1280, 800);
  await driver.get(`${stack.editor}/quillmere/arrange/main`);
  await person.select('Opening times');
  await (await person.find('[role=tree]')).sendKeys(Key.chord(Key.ALT, Key.ARROW_DOWN));
  const { revision, document } = (await (await fetch(`${stack.editor}/api/v1/sites/quillmere`)).json()) as {
    revision: number;
    document: StoredDocument;
  };
  const bikes = document.items.find(({ label }) => label === 'Bus timetable');
  if (bikes === undefined) throw new Error('The demo has changed: it has no “Bus timetable”.');
  const session = 'w00000000sam0000';
  const sentence = { code: 'itemRenamed', params: { was: 'Bus timetable', label: 'Buses to Quillmere' } };
  const operations = [
    { kind: 'updateItem', id: bikes.id, set: { label: 'Buses to Quillmere' }, was: { label: bikes.label } },
  ];
  await person.kept();
  await api(`people`, { session, name: 'Sam Okafor', menu: null, item: bikes.id, isLeaving: false });
  await api('edits?name=Sam%20Okafor', {
    id: 'e00000000000sam',
    version: 1,
    base: revision,
    session,
    group: null,
    undoes: null,
    sentence,
    operations,
  });
  await (await person.find('[data-state]')).click();
  await shot('history');
  await (await person.find('aside')).sendKeys(Key.ESCAPE);

  await driver.get(`${stack.editor}/quillmere/editions`);
  await person.find('.list li');
  await shot('editions');

  await driver.get(`${stack.editor}/quillmere/pages`);
  const pages = await person.find('[role=treegrid]');
  await pages.sendKeys(Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ARROW_RIGHT, Key.ARROW_DOWN, Key.ARROW_DOWN);
  await shot('pages');

  await driver.get(`${stack.editor}/quillmere/frame`);
  const frame = await person.find('[aria-label="Frame contents"]');
  await driver.sleep(SETTLED);
  await (await frame.findElement(By.xpath("*[contains(., 'Main menu')]"))).click();
  await frame.sendKeys('p');
  await person.find('[aria-label="Add a part"] [role=option]');
  await shot('frame');
  await frame.sendKeys(Key.ESCAPE);
  await (await frame.findElement(By.xpath("*[normalize-space(.)='Drawer']"))).click();
  await shot('frame-drawer');
  await driver.get(`${stack.editor}/quillmere/frame?view=table`);
  await person.find('[aria-label="Placement table"]');
  await shot('frame-placements');

  await driver.get(`${stack.editor}/quillmere/style`);
  await (
    await person.find('[role=gridcell][aria-label="Bar entries with a dropdown, Main menu, hover"]')
  ).click();
  await shot('style');
  await (await person.byText('label', 'Colours')).click();
  await person.click('Add dark colours');
  await (await person.byText('label', 'Dark')).click();
  await person.lookAt('Trees');
  await shot('style-dark');
  await person.click('Undo');

  await driver.get(`${stack.editor}/quillmere/fit`);
  await (await person.byText('button', 'Show')).click();
  await person.byText('button', 'Preview');
  await shot('fit');
  await (await person.byText('label', 'Contact sheet')).click();
  await person.find('[aria-label="Contact sheet"][aria-busy="false"]');
  await shot('fit-contact');
  await (await person.byText('label', 'Every width')).click();
  await (await person.find('option[value="edition 1"]')).click();
  await person.find('iframe[title="Edition 1"]');
  await shot('fit-compare');

  await driver.get(`${stack.editor}/quillmere/drift/main`);
  await person.find('.picture .row');
  await shot('drift');
  await fetch(`${stack.site}/control/month`, { method: 'POST' });
  await person.click('Read the site …');
  await driver.sleep(SETTLED);
  await person.click('Start');
  await person.byText('h2', 'Changes found');
  await person.click('Close');

  await driver.get(`${stack.editor}/quillmere/arrange/main`);
  await person.find('[role=treeitem]');
  await person.click('Appearance');
  await person.click('Dark');
  await (await person.byText('label', 'Columns')).click();
  await person.select('Plant fair');
  await shot('arrange-dark');

  await driver.get(`${stack.site}/garden/glasshouses`);
  await driver
    .actions()
    .move({ origin: await driver.findElement(By.css('[aria-label^=Main] > ul > li:nth-child(2) > a')) })
    .perform();
  await shot('stand-in-site');
  await browser.resize(390, 800);
  await driver.get(`${stack.site}/shop/seeds`);
  await (await person.find('.zv-menu-button button')).click();
  await (await person.find('.zv-drawer button[aria-label="Seed house"]')).click();
  await shot('stand-in-drawer');
} finally {
  await browser.close();
  await stack.remove();
}
