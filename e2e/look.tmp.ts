import { writeFile } from 'node:fs/promises';
import { openBrowser } from '/work/main/e2e/browser.ts';
import { openStack } from '/work/main/e2e/stack.ts';
const stack = await openStack(); const b = await openBrowser();
const shot = async (name: string) => writeFile(`/tmp/shots/${name}.png`, await b.driver.takeScreenshot(), 'base64');
try {
  await b.driver.get(stack.editor + '/'); await b.driver.sleep(2500); await shot('arrange');
  await b.driver.get(stack.editor + '/quillmere/pages'); await b.driver.sleep(1500); await shot('pages');
  await b.driver.get(stack.editor + '/quillmere/editions'); await b.driver.sleep(1500); await shot('editions');
  await b.driver.get(stack.site + '/visit'); await b.driver.sleep(800); await shot('site');
  const logs = await b.driver.manage().logs().get('browser'); for (const l of logs) console.log(l.level.name, l.message.slice(0,300));
} finally { await b.close(); await stack.remove(); }
