import { writeFile } from 'node:fs/promises';
import { By, Key } from 'selenium-webdriver';
import { openBrowser } from './browser.ts';
import { personAt } from './person.ts';
import { openStack } from './stack.ts';
const [stack, browser] = [await openStack(), await openBrowser()];
const { driver } = browser;
const person = personAt(driver);
const shot = async (name: string) => {
  await driver.sleep(900);
  await writeFile(`/tmp/${name}.png`, await driver.takeScreenshot(), 'base64');
};
try {
  await driver.get(`${stack.editor}/quillmere/drift/main`);
  await person.find('.picture .row');
  await shot('drift');
  const errors = await driver
    .manage()
    .logs()
    .get('browser')
    .catch(() => []);
  for (const e of errors) console.log(e.message);
} catch (e) {
  console.error(e);
  await shot('drift-error');
} finally {
  await browser.close();
  await stack.remove();
}
