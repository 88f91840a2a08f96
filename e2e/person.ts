import { By, Key, until, type WebDriver, type WebElement } from 'selenium-webdriver';

/**
 * How long a person waits for something to appear, in ms. Far more than it takes: it only decides when to
 * give up.
 */
const PATIENCE = Number(process.env.ZORVIK_PATIENCE ?? 60_000);

/** How often it is looked for, in ms. */
const POLL = 40;

/** One row of the outline as it is seen. */
export interface SeenRow {
  readonly label: string;
  readonly level: number;
}

/** Somebody at the browser: finds things by what they are called, points, presses keys, reads. */
export function personAt(driver: WebDriver) {
  const find = (css: string): Promise<WebElement> =>
    driver.wait(until.elementLocated(By.css(css)), PATIENCE, `nothing like ${css}`, POLL);
  const byText = (tag: string, text: string): Promise<WebElement> =>
    driver.wait(
      until.elementLocated(By.xpath(`//${tag}[normalize-space(.)=${quoted(text)}]`)),
      PATIENCE,
      `no ${tag} “${text}”`,
      POLL,
    );

  async function eventually<T>(what: string, look: () => Promise<T | false | null | undefined>): Promise<T> {
    let problem = '';
    const seen = async (): Promise<T | null> => {
      const value = await look().catch((error: Error) => {
        problem = error.message;
        return null;
      });
      return value === null || value === undefined || value === false ? null : value;
    };
    const found = await driver.wait(seen, PATIENCE, what, POLL).catch((error: Error) => {
      throw new Error(`${error.message} ${problem}`);
    });
    return found as T;
  }

  /**
   * Waits until nothing moves: two frames after each other without a running animation or transition that
   * ends by itself.
   */
  const settled = (): Promise<void> =>
    driver.executeAsyncScript(`const done = arguments[arguments.length - 1];
      const isMoving = () => document.getAnimations().some((one) => one.playState === 'running' && one.effect?.getComputedTiming().endTime !== Infinity);
      let still = 0;
      const look = () => { still = isMoving() ? 0 : still + 1; if (still > 2) done(); else requestAnimationFrame(look); };
      document.fonts.ready.then(() => requestAnimationFrame(look));`);

  /** Clicks a button, link or list entry by its name, as soon as it can be. */
  async function click(name: string): Promise<void> {
    await eventually(`cannot click “${name}”`, async () => {
      const xpath = `//*[self::button or self::a or @role='option' or @role='menuitem' or contains(@class,'v-list-item')][normalize-space(.)=${quoted(name)} or @aria-label=${quoted(name)} or @title=${quoted(name)}]`;
      for (const element of await driver.findElements(By.xpath(xpath))) {
        if ((await element.isDisplayed()) && (await element.isEnabled())) {
          // What is still coming in would be clicked where it no longer is.
          await settled();
          await element.click().catch((error: Error) => {
            throw new Error(`cannot click “${name}”: ${error.message}`);
          });
          return true;
        }
      }
      return false;
    });
  }

  const focused = (): Promise<WebElement> => Promise.resolve(driver.switchTo().activeElement());
  async function type(...keys: string[]): Promise<void> {
    await (await focused()).sendKeys(...keys);
  }

  /** The rows of the outline, top to bottom. */
  async function rows(): Promise<SeenRow[]> {
    const script = `return [...document.querySelectorAll('[role=treeitem]')]
      .map((row) => ({ top: row.getBoundingClientRect().top, level: Number(row.getAttribute('aria-level')), label: row.querySelector('.label')?.textContent ?? '' }))
      .sort((a, b) => a.top - b.top).map(({ label, level }) => ({ label, level }))`;
    return driver.executeScript<SeenRow[]>(script);
  }

  function row(label: string): Promise<WebElement> {
    return driver.wait(
      until.elementLocated(
        By.xpath(
          `//*[@role='treeitem'][.//*[contains(@class,'label') and normalize-space(.)=${quoted(label)}]]`,
        ),
      ),
      PATIENCE,
      `no row “${label}”`,
      POLL,
    );
  }

  async function select(label: string): Promise<void> {
    const element = await row(label);
    await driver.actions().move({ origin: element, x: 0 }).press().release().perform();
    await eventually(
      `“${label}” is not selected`,
      async () => (await (await row(label)).getAttribute('aria-selected')) === 'true',
    );
    await (await find('[role=tree]')).sendKeys('');
  }

  const selected = async (): Promise<string> =>
    (await (await find('[role=treeitem][aria-selected=true] .label')).getText()).trim();

  /** Waits until the bar says that all is kept. */
  const kept = (): Promise<true> =>
    eventually(
      'it is not kept',
      async () => (await (await find('[data-state]')).getAttribute('data-state')) === 'kept' || null,
    ) as Promise<true>;

  /** Puts a text on the clipboard, as another program would. */
  const putOnClipboard = (text: string): Promise<unknown> =>
    driver.executeAsyncScript(
      'navigator.clipboard.writeText(arguments[0]).then(arguments[1], arguments[1])',
      text,
    );

  /** Looks into an iframe, does something there, and comes back. */
  const within =
    (css: string) =>
    async <T>(act: () => Promise<T>): Promise<T> => {
      await driver.switchTo().frame(await find(css));
      try {
        return await act();
      } finally {
        await driver.switchTo().defaultContent();
      }
    };
  const inLiveHeader = within('iframe');
  /** The live page of Frame. */
  const inPicture = within('.picture iframe');

  /** Chooses the page that Frame and Style look at, by the beginning of its title. */
  async function lookAt(typed: string): Promise<void> {
    await (await find('.page .shown')).click();
    await (await find('input[aria-label="Find a page to look at"]')).sendKeys(typed);
    await eventually('no such page', async () => {
      const [first] = await driver.findElements(By.css('.page [role=option].on .name'));
      return (await first?.getText())?.startsWith(typed) === true;
    });
    await (await focused()).sendKeys(Key.ENTER);
  }

  return {
    driver,
    find,
    byText,
    eventually,
    click,
    focused,
    type,
    rows,
    row,
    select,
    selected,
    kept,
    lookAt,
    putOnClipboard,
    settled,
    inLiveHeader,
    inPicture,
    Key,
    By,
  };
}

/**
 * Whether two people see the same rows, as far down as both see them: what is selected decides how much room
 * there is.
 */
export async function sameRows(one: Pick<Person, 'rows'>, other: Pick<Person, 'rows'>): Promise<boolean> {
  const [a, b] = [await one.rows(), await other.rows()];
  const common = Math.min(a.length, b.length);
  return common > 5 && JSON.stringify(a.slice(0, common)) === JSON.stringify(b.slice(0, common));
}

export type Person = ReturnType<typeof personAt>;

function quoted(text: string): string {
  return text.includes("'") ? `"${text}"` : `'${text}'`;
}
