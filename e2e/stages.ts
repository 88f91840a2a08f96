import { createServer, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { TestProject } from 'vitest/node';
import {
  beginWith,
  driverOf,
  resizerOf,
  startBrowser,
  type ArrangeForm,
  type RunningBrowser,
} from './browser.ts';
import { openStack, type OwnStack } from './stack.ts';

/** What a journey works on. Plain data: it goes from this process to a worker. */
export interface StageFacts {
  readonly editor: string;
  readonly site: string;
  readonly delivery: string;
  readonly data: string;
  readonly browser: RunningBrowser;
}

interface Stage {
  readonly stack: OwnStack;
  readonly browser: Awaited<ReturnType<typeof startBrowser>>;
  /** Empties the browser, and lets Arrange begin in a form. */
  readonly empty: (form: ArrangeForm) => Promise<void>;
}

declare module 'vitest' {
  interface ProvidedContext {
    /** Where workers ask for their stage. */
    stages: string;
  }
}

/**
 * One server and one browser for each worker that runs journeys, shared by all files that it runs. They
 * belong to this process and not to the workers, so that they end with the run whatever happens to a worker.
 * Workers ask for them over HTTP (see `stage.ts`).
 */
export default async function stages(project: TestProject): Promise<() => Promise<void>> {
  const opened = new Map<string, Promise<Stage>>();
  const stageOf = (worker: string): Promise<Stage> => {
    const known = opened.get(worker) ?? open();
    opened.set(worker, known);
    return known;
  };
  const acts: Readonly<Record<string, (stage: Stage, asked: URL) => Promise<unknown>>> = {
    // The server's first data again, in memory too, and what the stand-in site was: a restart takes about a
    // second.
    '/enter': async ({ stack, browser: { address, session }, empty }, { searchParams }) => {
      await Promise.all([stack.renew(), empty((searchParams.get('form') ?? 'outline') as ArrangeForm)]);
      const { editor, site, delivery, data } = stack;
      return { editor, site, delivery, data, browser: { address, session } } satisfies StageFacts;
    },
    '/stop': ({ stack }, { searchParams }) =>
      stack.stop((searchParams.get('signal') ?? 'SIGTERM') as NodeJS.Signals),
    '/start': ({ stack }) => stack.start(),
  };
  const answer = async (request: IncomingMessage): Promise<unknown> => {
    const asked = new URL(request.url ?? '', 'http://127.0.0.1');
    const act = acts[asked.pathname];
    return act === undefined ? null : act(await stageOf(asked.searchParams.get('worker') ?? ''), asked);
  };
  const server = createServer((request, response) => {
    void answer(request).then(
      (value) => response.writeHead(200).end(JSON.stringify(value ?? null)),
      (error: unknown) => response.writeHead(500).end(String(error)),
    );
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  project.provide('stages', `http://127.0.0.1:${(server.address() as AddressInfo).port}`);
  return async () => {
    server.closeAllConnections();
    server.close();
    for (const stage of opened.values()) {
      const { stack, browser } = await stage;
      await Promise.all([stack.remove(), browser.close()]);
    }
  };
}

async function open(): Promise<Stage> {
  const [stack, browser] = await Promise.all([openStack(), startBrowser()]);
  const driver = driverOf(browser);
  const resize = resizerOf(driver);
  /** A new window, which knows nothing of what was set for those before it, in the place of all others. */
  const empty = async (form: ArrangeForm): Promise<void> => {
    const old = await driver.getAllWindowHandles();
    await driver.switchTo().newWindow('tab');
    const fresh = await driver.getWindowHandle();
    for (const handle of old) {
      await driver.switchTo().window(handle);
      await driver.close();
    }
    await driver.switchTo().window(fresh);
    await driver.sendDevToolsCommand('Storage.clearDataForOrigin', {
      origin: stack.editor,
      storageTypes: 'all',
    });
    await beginWith(driver, form);
    await resize(1280, 800);
  };
  return { stack, browser, empty };
}
