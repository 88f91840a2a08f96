import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startProcess, stopProcess, type Run } from '../packages/server/test/processes.ts';
import { postgres, testDatabase, type TestDatabase } from '../packages/server/test/testDatabase.ts';
import { openBrowser, type TestBrowser } from './browser.ts';
import { personAt, sameRows, type Person } from './person.ts';

/**
 * Two people at two processes of Zorvik, which share a PostgreSQL database. Run by `npm run test:postgres`.
 */
describe.skipIf(postgres === '')('two people at two processes', () => {
  let database: TestDatabase;
  let runs: [Run, Run];
  let browsers: readonly [TestBrowser, TestBrowser];
  let noor: Person;
  let sam: Person;
  beforeAll(async () => {
    database = await testDatabase();
    runs = [await startProcess(database.environment), await startProcess(database.environment)];
    browsers = [await openBrowser(), await openBrowser()];
    [noor, sam] = [personAt(browsers[0].driver), personAt(browsers[1].driver)];
    await noor.driver.get(`${runs[0].address}/quillmere/arrange/main`);
    await sam.driver.get(`${runs[1].address}/quillmere/arrange/main`);
    await Promise.all([noor.row('Visit'), sam.row('Visit')]);
  });
  afterAll(async () => {
    for (const browser of browsers ?? []) await browser.close();
    for (const run of runs ?? []) await stopProcess(run);
    await database?.remove();
  });

  const labels = async (person: Person): Promise<string[]> => (await person.rows()).map(({ label }) => label);
  const sees = (person: Person, label: string) =>
    person.eventually(`does not see “${label}”`, async () => (await labels(person)).includes(label));
  async function rename(person: Person, from: string, to: string): Promise<void> {
    await person.select(from);
    await (await person.find('[role=tree]')).sendKeys(Key.F2);
    await person.type(to, Key.ENTER);
  }

  it('see each other’s work as if it were one; and when one process is gone, what was done there arrives once it is back', async () => {
    await rename(noor, 'Tickets and prices', 'Tickets');
    await sees(sam, 'Tickets');
    await sam.select('Opening times');
    await (await sam.find('[role=tree]')).sendKeys(Key.chord(Key.ALT, Key.ARROW_DOWN));
    await noor.eventually('it did not move', async () => {
      const seen = await labels(noor);
      return seen.indexOf('Opening times') > seen.indexOf('Tickets');
    });
    await stopProcess(runs[0], 'SIGKILL');
    await rename(noor, 'Getting here', 'Find us');
    await noor.find('[data-state=waiting]');
    await rename(sam, 'Parking', 'Car park');
    await sam.kept();
    runs[0] = await startProcess({ ...database.environment, PORT: new URL(runs[0].address).port });
    await sees(sam, 'Find us');
    await sees(noor, 'Car park');
    await noor.kept();
    expect(await sameRows(noor, sam)).toBe(true);
  });
});
