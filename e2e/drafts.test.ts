import { By } from 'selenium-webdriver';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Person } from './person.ts';
import { enterStage, type Stage } from './stage.ts';

/** A frame that is started anew, shown to somebody before it is published, and a whole site that goes and comes back. */
let stack: Stage['stack'];
let browser: Stage['browser'];
let person: Person;
beforeAll(async () => {
  ({ stack, browser, person } = await enterStage());
});

const openFrame = async (): Promise<void> => {
  await browser.driver.get(`${stack.editor}/quillmere/frame`);
  await inPicture(() => person.find('.zv-header .zv-logo'));
};
const inPicture = <T>(act: () => Promise<T>): Promise<T> => person.inPicture(act);
/** Clicks what there is, once it no longer moves. */
const press = async (css: string): Promise<void> => {
  const found = await person.find(css);
  await person.settled();
  await found.click();
};
const zoneOfLogo = (): Promise<string> =>
  inPicture(async () => {
    const logo = await person.find('.zv-header .zv-logo');
    return (await (await logo.findElement(By.xpath('..'))).getAttribute('class')) ?? '';
  });

describe('a draft', () => {
  it('starts from a frame with this site’s menu and facts in it, saves its own, and undo brings back what was there', async () => {
    await openFrame();
    await person.click('Site');
    await person.click('Start from a frame …');
    const shown = await person.find('.use iframe');
    expect(await shown.getAttribute('srcdoc')).toContain('Plant finder');
    await (await person.find('[placeholder="Name, then Enter"]')).sendKeys('As it was\n');
    await person.byText('span', 'As it was');
    await press('li:nth-child(3) .use');
    await person.eventually('the logo is not in the centre', async () =>
      (await zoneOfLogo()).includes('zv-zone-centre'),
    );
    await person.click('Site');
    await person.click('Start from a frame …');
    await press('li:nth-child(4) .use');
    await person.eventually('its own starter is not used', async () =>
      (await zoneOfLogo()).includes('zv-zone-start'),
    );
    await press('[aria-label^=Undo]');
    await person.eventually('undo brings nothing back', async () =>
      (await zoneOfLogo()).includes('zv-zone-centre'),
    );
  });

  it('is seen at a private address by whoever has it, page after page, until it is revoked', async () => {
    await openFrame();
    await person.click('Preview …');
    await person.click('Create an address');
    const address = (await (await person.find('form li a')).getAttribute('href')) ?? '';
    expect(address).toMatch(new RegExp(`^${stack.delivery}/preview/[\\w-]{32}/$`));
    const editor = await browser.driver.getWindowHandle();
    await browser.driver.switchTo().newWindow('tab');
    await browser.driver.get(address);
    expect(await (await person.find('.draft')).getText()).toMatch(/^Draft not published · expires /);
    expect(await (await person.find('.zv-zone-centre .zv-logo')).isDisplayed(), 'as it is now').toBe(true);
    await press('[aria-label^=Main] > ul > li > a[href$="/garden"]');
    expect(await (await person.find('h1')).getText()).toBe('The garden');
    expect(await (await person.find('[aria-current=page]')).getText()).toBe('The garden');
    await browser.driver.close();
    await browser.driver.switchTo().window(editor);
    await person.click('Revoke');
    await person.byText('p', 'There is no address yet.');
    expect((await fetch(address)).status).toBe(404);
  });

  it('goes with its site once its name is typed, and comes back as it was', async () => {
    await openFrame();
    await person.click('Site');
    await person.click('Site settings …');
    const view = await person.byText('label', 'Site');
    await person.settled();
    await view.click();
    await person.click('Delete the site …');
    const name = await person.find('#delete-name');
    await name.sendKeys('Quill');
    expect(await (await person.byText('button', 'Delete Quillmere')).isEnabled()).toBe(false);
    await name.sendKeys('mere');
    await person.click('Delete Quillmere');
    const menu = `${stack.delivery}/delivery/v1/sites/quillmere/menus/main`;
    await person.byText('button', 'Restore Quillmere');
    expect((await fetch(menu)).status).toBe(404);
    await person.click('Restore Quillmere');
    await person.eventually('it is not delivered again', async () => (await fetch(menu)).status === 200);
    await openFrame();
    expect(await zoneOfLogo()).toContain('zv-zone-centre');
  });
});
