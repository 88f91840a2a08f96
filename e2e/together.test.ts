import { By, Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBrowser, type TestBrowser } from './browser.ts';
import { personAt, sameRows, type Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** Two people in browsers of their own, and two windows of one browser, on one site. */
let stack: Stage['stack'];
let browsers: readonly [Stage['browser'], TestBrowser];
let noor: Person;
let sam: Person;
beforeAll(async () => {
  const stage = await enterStage();
  stack = stage.stack;
  browsers = [stage.browser, await openBrowser()];
  [noor, sam] = [stage.person, personAt(browsers[1].driver)];
  await arrange(noor);
  await (await noor.find('[data-state]')).click();
  const field = await noor.find('aside input[placeholder="Your name"]');
  await field.sendKeys('Noor', Key.ENTER);
  await field.sendKeys(Key.ESCAPE);
  // Who comes second is asked for a name.
  await arrange(sam);
  const ask = await sam.find('form[aria-label="Your name"]');
  expect(await ask.getText()).toMatch(/^Noor is working on this site, too, and sees you as Guest \d+\./);
  await (await ask.findElement({ css: 'input' })).sendKeys('Sam', Key.ENTER);
  await sam.eventually(
    'it asks on',
    async () => (await sam.driver.findElements(By.css('form[aria-label="Your name"]'))).length === 0,
  );
});
afterAll(async () => {
  await browsers?.[1].close();
});

async function arrange(person: Person): Promise<void> {
  await person.driver.get(`${stack.editor}/quillmere/arrange/main`);
  await person.row('Visit');
}
const labels = async (person: Person): Promise<string[]> => (await person.rows()).map(({ label }) => label);
const tree = (person: Person) => person.find('[role=tree]');
const sees = (person: Person, label: string) =>
  person.eventually(`does not see “${label}”`, async () => (await labels(person)).includes(label));
const seesNot = (person: Person, label: string) =>
  person.eventually(`still sees “${label}”`, async () => !(await labels(person)).includes(label));
const state = async (person: Person): Promise<string> => (await person.find('[data-state]')).getText();
const refusalAt = (person: Person) =>
  person.eventually('nothing is refused', async () => {
    const [note] = await person.driver.findElements(By.css('.head .refused'));
    return note === undefined ? null : note.getText();
  });

describe('two people', () => {
  it('see what the other moves and renames as it happens, and where the other is', async () => {
    await noor.select('Tickets and prices');
    await sam.eventually('Noor is not shown at her item', async () =>
      (await (await sam.row('Tickets and prices')).getText()).includes('Noor'),
    );
    await (await tree(noor)).sendKeys(Key.chord(Key.ALT, Key.ARROW_UP));
    await sam.eventually('it did not move', async () => {
      const seen = await labels(sam);
      return seen.indexOf('Tickets and prices') < seen.indexOf('Opening times');
    });
    expect(await (await sam.row('Tickets and prices')).getText()).toContain('just changed by Noor');
    await noor.kept();
    expect(await sameRows(noor, sam)).toBe(true);
  });

  it('are not disturbed in what they type, when the other changes things around it', async () => {
    await sam.select('Access and mobility');
    await (await tree(sam)).sendKeys(Key.F2);
    await sam.type('Access for');
    await noor.select('Groups and schools');
    await (await tree(noor)).sendKeys(Key.DELETE);
    await seesNot(sam, 'Groups and schools');
    await sam.type(' everyone', Key.ENTER);
    await sees(noor, 'Access for everyone');
    expect(await sameRows(noor, sam)).toBe(true);
  });

  it('end alike after one was cut off while both went on', async () => {
    const { driver } = browsers[1];
    const cutOff = async (isOff: boolean): Promise<void> => {
      const network = { offline: isOff, latency: 0, downloadThroughput: -1, uploadThroughput: -1 };
      await (
        driver as unknown as { sendDevToolsCommand: (name: string, params: object) => Promise<void> }
      ).sendDevToolsCommand('Network.enable', {});
      await (
        driver as unknown as { sendDevToolsCommand: (name: string, params: object) => Promise<void> }
      ).sendDevToolsCommand('Network.emulateNetworkConditions', network);
    };
    await cutOff(true);
    await sam.select('Parking');
    await (await tree(sam)).sendKeys(Key.F2);
    await sam.type('Car park', Key.ENTER);
    await sam.select('By bike');
    await (await tree(sam)).sendKeys(Key.chord(Key.ALT, Key.ARROW_UP));
    await sam.eventually('it does not say that it waits', async () =>
      /offline since .+ \(2 changes, safe in this browser\)/.test(await state(sam)),
    );
    await noor.select('By bus and train');
    await (await tree(noor)).sendKeys(Key.F2);
    await noor.type('By bus', Key.ENTER);
    await noor.kept();
    await cutOff(false);
    await sam.kept();
    await sees(noor, 'Car park');
    await sees(sam, 'By bus');
    await sam.eventually(
      'they differ',
      async () => JSON.stringify(await labels(noor)) === JSON.stringify(await labels(sam)),
    );
    const seen = await labels(noor);
    expect(seen.slice(seen.indexOf('Getting here') + 1, seen.indexOf('Getting here') + 4)).toEqual([
      'By bike',
      'By bus',
      'Car park',
    ]);
  });

  it('do not take back each other’s work: undo is refused with the name of who stands in the way', async () => {
    await noor.select('The fern tea room');
    await (await tree(noor)).sendKeys(Key.F2);
    await noor.type('Tea room', Key.ENTER);
    await sees(sam, 'Tea room');
    await sam.select('Tea room');
    await (await tree(sam)).sendKeys(Key.F2);
    await sam.type('Tea and cake', Key.ENTER);
    await sees(noor, 'Tea and cake');
    await (await tree(noor)).sendKeys(Key.chord(Key.CONTROL, 'z'));
    expect(await refusalAt(noor)).toContain('Sam has changed “Tea and cake” since');
    expect(await labels(noor)).toContain('Tea and cake');
  });

  it('are told when what they had selected is removed by the other, and go on beside it', async () => {
    await sam.select('Tea and cake');
    await noor.select('Tea and cake');
    await (await tree(noor)).sendKeys(Key.DELETE);
    expect(await refusalAt(sam)).toBe('Noor removed “Tea and cake”, which you had selected.');
    expect(await sam.selected()).toBe('Access for everyone');
    await (await tree(noor)).sendKeys(Key.chord(Key.CONTROL, 'z'));
    await sees(sam, 'Tea and cake');
  });

  it('read in plain words what was done and by whom, of one item too, and go back to any point', async () => {
    await sam.select('Car park');
    await (await sam.find('[data-state]')).click();
    const lines = (): Promise<string[]> =>
      sam.driver.executeScript(
        `return [...document.querySelectorAll("aside .words:has(small)")].map((one) => one.firstChild.textContent.trim() + ' · ' + one.querySelector('small').textContent.split(',')[0])`,
      );
    await sam.eventually('no history', async () =>
      (await lines()).includes('Renamed “Parking” to “Car park” · you'),
    );
    expect(await lines()).toContain('Renamed “By bus and train” to “By bus” · Noor');
    await (await sam.byText('label', '“Car park”')).click();
    await sam.eventually(
      'not of this item alone',
      async () => (await lines())[0] === 'Renamed “Parking” to “Car park” · you',
    );
    await (await sam.byText('label', 'everything')).click();
    const before = await labels(sam);
    await sam.click('Restore this state: Created the menu “Drawer on phones”');
    await sees(noor, 'Opening times');
    await sees(noor, 'Parking');
    await sam.eventually('it is not told', async () =>
      (await lines())[0]?.startsWith('Restored the state after: Created the menu “Drawer on phones”'),
    );
    await (await sam.find('aside')).sendKeys(Key.ESCAPE);
    await (await tree(sam)).sendKeys(Key.chord(Key.CONTROL, 'z'));
    await sees(noor, 'Car park');
    expect(await labels(sam)).toEqual(before);
  });
});

describe('two windows of one browser', () => {
  it('share what waits: the one that is left delivers what the closed one could not', async () => {
    const { driver } = browsers[0];
    const first = await driver.getWindowHandle();
    await driver.switchTo().newWindow('window');
    await browsers[0].resize(1280, 800);
    await arrange(noor);
    await stack.stop();
    await noor.select('Opening times');
    await (await tree(noor)).sendKeys(Key.F2);
    await noor.type('Opening hours', Key.ENTER);
    await noor.eventually('it does not say that it waits', async () =>
      (await state(noor)).startsWith('offline since'),
    );
    await driver.close();
    await driver.switchTo().window(first);
    await stack.start();
    await sees(noor, 'Opening hours');
    await sees(sam, 'Opening hours');
    await noor.kept();
  });

  it('have an undo each, also when one was made as a copy of the other', async () => {
    const { driver } = browsers[0];
    const first = await driver.getWindowHandle();
    const session = (): Promise<string> =>
      driver.executeScript(`return JSON.parse(sessionStorage.getItem('zorvik-session')).id`);
    const own = await session();
    await driver.executeScript(`window.open(location.href, '_blank')`);
    const copy = (await driver.getAllWindowHandles()).find((handle) => handle !== first)!;
    await driver.switchTo().window(copy);
    await noor.row('Visit');
    expect(await session()).not.toBe(own);
    expect(await (await noor.find('[aria-label="Undo"]')).getAttribute('aria-disabled')).toBe('true');
    await driver.close();
    await driver.switchTo().window(first);
    await driver.navigate().refresh();
    await noor.row('Visit');
    expect(await session(), 'a reload keeps it').toBe(own);
  });
});

describe('what cannot be kept', () => {
  it('is told in the bar, can be read with its reason until it is put away, and takes nothing else with it', async () => {
    await stack.stop();
    await sam.eventually('Sam does not know that the server is away', async () =>
      (await state(sam)).includes('saved; offline since'),
    );
    await sam.select('Bus timetable');
    await (await tree(sam)).sendKeys(Key.F2);
    await sam.type('Buses', Key.ENTER);
    await sam.select('Car park');
    await (await tree(sam)).sendKeys(Key.F2);
    await sam.type('Parking places', Key.ENTER);
    // Sam is held up, so that Noor comes first.
    await sam.driver.executeScript(
      `window.fetchAsItWas = window.fetch; window.fetch = () => Promise.reject(new TypeError('held up'))`,
    );
    await stack.start();
    await noor.eventually('Noor waits', async () => /^saved\s*·/.test(await state(noor)));
    await noor.select('Bus timetable');
    await (await tree(noor)).sendKeys(Key.DELETE);
    await noor.kept();
    await sam.driver.executeScript('window.fetch = window.fetchAsItWas');
    await sam.eventually('nothing is said to be refused', async () =>
      (await state(sam)).startsWith('1 change not saved'),
    );
    await sees(noor, 'Parking places');
    await (await sam.find('[data-state]')).click();
    await sam.eventually('what was refused is not told', async () => {
      const text = await (await sam.find('aside [aria-label="Not saved"] li')).getText();
      return (
        text.includes('Renamed “Bus timetable” to “Buses”') && text.includes('This item no longer exists')
      );
    });
    await sam.driver.navigate().refresh();
    await (await sam.find('[data-state=refused]')).click();
    await sam.click('Dismiss');
    await sam.find('[data-state=kept]');
  });
});
