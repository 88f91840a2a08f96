import { inject } from 'vitest';
import { driverOf, resizerOf, type ArrangeForm, type TestBrowser } from './browser.ts';
import { personAt, type Person } from './person.ts';
import type { Stack } from './stack.ts';
import type { StageFacts } from './stages.ts';

export interface Stage {
  readonly stack: Stack;
  readonly browser: Omit<TestBrowser, 'close'>;
  readonly person: Person;
}

/**
 * The server and the browser that the files of this worker share, as they are after a first start: a server
 * with the first data, a browser of 1280 by 800 px with one empty window that remembers nothing. `form`: how
 * Arrange begins there.
 */
export async function enterStage(form: ArrangeForm = 'outline'): Promise<Stage> {
  const { browser, ...places } = (await ask('/enter', { form })) as StageFacts;
  const driver = driverOf(browser);
  const stop = async (signal: NodeJS.Signals = 'SIGTERM'): Promise<void> =>
    void (await ask('/stop', { signal }));
  const start = async (): Promise<void> => void (await ask('/start'));
  return {
    stack: { ...places, stop, start },
    browser: { driver, resize: resizerOf(driver) },
    person: personAt(driver),
  };
}

async function ask(path: string, query: Readonly<Record<string, string>> = {}): Promise<unknown> {
  const url = new URL(path, inject('stages'));
  url.search = String(new URLSearchParams({ ...query, worker: process.env.VITEST_POOL_ID ?? '' }));
  const reply = await fetch(url);
  if (!reply.ok) throw new Error(`The stage does not answer ${path}: ${await reply.text()}`);
  return reply.json();
}
