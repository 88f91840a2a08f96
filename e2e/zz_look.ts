import { writeFile } from 'node:fs/promises';
import { By, Key } from 'selenium-webdriver';
import { openBrowser } from './browser.ts';
import { personAt } from './person.ts';
import { openStack } from './stack.ts';
const [stack, browser] = [await openStack(), await openBrowser()];
const { driver } = browser;
const p = personAt(driver);
const shot = async (n: string) => {
  await driver.sleep(700);
  await writeFile(`/tmp/s-${n}.png`, await driver.takeScreenshot(), 'base64');
};
const logs = async () => {
  for (const l of await driver.manage().logs().get('browser')) console.log(l.level.name, l.message.slice(0, 400));
};
try {
  await (await import(process.argv[2]!)).default({ driver, p, shot, stack, browser, By, Key, logs });
} catch (e) {
  console.error(e);
  await shot('error');
}
await logs().catch(() => {});
await browser.close();
await stack.remove();
process.exit(0);
