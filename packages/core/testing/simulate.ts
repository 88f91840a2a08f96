import { mintId, type Id, type RandomBits } from '../src/base/ids.ts';
import type { Refusal } from '../src/base/refusal.ts';
import type { Result } from '../src/base/result.ts';
import { seededRandom } from '../src/base/seededRandom.ts';
import { makeEdit } from '../src/commands/context.ts';
import type { Edit, LoggedEdit } from '../src/ops/edit.ts';
import type { Operation } from '../src/ops/registry.ts';
import { takeBackNext } from '../src/saving/takeBackNext.ts';
import {
  openWorkingCopy,
  withLogged,
  withPerformed,
  withRefused,
  withReloaded,
  type Served,
  type WorkingCopy,
} from '../src/saving/workingCopy.ts';
import { below, pick } from './pick.ts';
import { randomOperation } from './randomOperation.ts';

/** What a simulation asks of a server; each call stands for one request that arrived. */
export interface SimulatedServer {
  readonly save: (edit: Edit) => Promise<Result<LoggedEdit>>;
  /** The log after a revision; null when it is less to load the whole site. */
  readonly editsSince: (revision: number) => Promise<readonly LoggedEdit[] | null>;
  readonly ownEdits: (session: Id, since: number) => Promise<readonly LoggedEdit[]>;
  readonly whole: () => Promise<Served>;
  /** Killed at once, and opened again. */
  readonly crash: () => Promise<void>;
}

/** What a person did and what became of it. */
export interface Attempt {
  readonly edit: Edit;
  acknowledged: boolean;
  refused: Refusal | null;
}

export interface Simulated {
  readonly copies: readonly WorkingCopy[];
  readonly attempts: ReadonlyMap<Id, Attempt>;
  readonly crashes: number;
}

interface Tab {
  copy: WorkingCopy;
  /** While it loads, nobody can work in it. */
  isOpen: boolean;
}
interface Browser {
  /** Survives whatever happens to the tabs. */
  outbox: Edit[];
  readonly refused: Map<Id, Refusal>;
  tabs: Tab[];
  isOnline: boolean;
  /** Counts what the postman sent, so that an alarm knows whether it is about what is under way. */
  sent: number;
  isWaiting: boolean;
}

export interface SimulationChoices {
  /** How many times somebody does something. */
  readonly attempts: number;
  readonly canCrash: boolean;
}

/**
 * Two to eight windows in some browsers work on one site, over a network that drops, doubles, reorders and
 * delays both ways, with browsers that go offline, tabs that are reloaded and closed, and a server that is
 * killed. Time is a queue of events, so a seed replays exactly. At the end the network is mended and all is
 * delivered; the caller looks whether it is well.
 */
export async function simulate(
  seed: number,
  server: SimulatedServer,
  { attempts: count, canCrash }: SimulationChoices,
): Promise<Simulated> {
  const random = seededRandom(seed);
  const chance = (percent: number): boolean => below(random, 100) < percent;
  const attempts = new Map<Id, Attempt>();
  let isMended = false;
  let crashes = 0;
  let now = 0;
  let events: { readonly at: number; readonly run: () => Promise<void> }[] = [];
  const after = (delay: number, run: () => Promise<void>): void => void events.push({ at: now + delay, run });

  const start = await server.whole();
  const newTab = (served: Served): Tab => ({
    copy: openWorkingCopy(mintId('session', random), served, [], []),
    isOpen: true,
  });
  const browsers: Browser[] = [];
  for (let left = 2 + below(random, 7); left > 0;) {
    const tabs = Math.min(left, 1 + below(random, 3));
    browsers.push({
      outbox: [],
      refused: new Map(),
      tabs: Array.from({ length: tabs }, () => newTab(start)),
      isOnline: true,
      sent: 0,
      isWaiting: false,
    });
    left -= tabs;
  }

  /** One way through the network: lost, late, or twice. */
  function travel(browser: Browser, run: () => Promise<void>): void {
    if (isMended) return after(1, run);
    if (!browser.isOnline || chance(15)) return;
    after(1 + below(random, 25), run);
    if (chance(12)) after(1 + below(random, 60), run);
  }

  function ask<T>(browser: Browser, request: () => Promise<T>, answered: (value: T) => Promise<void>): void {
    travel(browser, async () => {
      const value = await request();
      travel(browser, () => answered(value));
    });
  }

  /**
   * Sends what is first in the outbox, again and again until it is answered; one at a time, whatever tab it
   * came from.
   */
  function post(browser: Browser): void {
    const [edit] = browser.outbox;
    if (edit === undefined || browser.isWaiting) return;
    browser.isWaiting = true;
    browser.sent += 1;
    const own = browser.sent;
    const again = async (): Promise<void> => {
      if (browser.sent !== own) return;
      browser.isWaiting = false;
      post(browser);
    };
    after(30 + below(random, 40), again);
    ask(
      browser,
      () => server.save(edit),
      async (answer) => {
        settle(browser, edit, answer);
        if (browser.sent === own) await again();
      },
    );
  }

  function settle(browser: Browser, edit: Edit, answer: Result<LoggedEdit>): void {
    browser.outbox = browser.outbox.filter(({ id }) => id !== edit.id);
    const attempt = attempts.get(edit.id);
    if (attempt === undefined) throw new Error('An answer came to what nobody did.');
    if (answer.ok) attempt.acknowledged = true;
    else {
      attempt.refused = answer.refusal;
      browser.refused.set(edit.id, answer.refusal);
    }
    for (const tab of browser.tabs) {
      tab.copy = answer.ok ? withLogged(tab.copy, [answer.value]) : withRefused(tab.copy, edit.id);
      if (answer.ok) catchUp(browser, tab);
    }
    if (answer.ok)
      for (const other of browsers)
        if (other !== browser) travel(other, async () => other.tabs.forEach((tab) => catchUp(other, tab)));
  }

  function catchUp(browser: Browser, tab: Tab): void {
    const { revision } = tab.copy.served;
    for (const { id } of tab.copy.pending) if (browser.refused.has(id)) tab.copy = withRefused(tab.copy, id);
    ask(
      browser,
      () => server.editsSince(revision),
      async (edits) => {
        if (edits === null) load(browser, tab);
        else tab.copy = withLogged(tab.copy, edits);
      },
    );
  }

  /**
   * The site anew: because too much was missed, or because the tab was loaded again, which forgets all but
   * the outbox.
   */
  function load(browser: Browser, tab: Tab): void {
    const outbox = browser.outbox;
    const { session } = tab.copy;
    ask(
      browser,
      async () => ({ served: await server.whole(), own: await server.ownEdits(session, 0) }),
      async ({ served, own }) => {
        const known = own.filter(({ revision }) => revision <= served.revision);
        if (tab.isOpen) tab.copy = withReloaded(tab.copy, served, known);
        else tab.copy = openWorkingCopy(session, served, known, outbox);
        tab.isOpen = true;
      },
    );
  }

  function did(browser: Browser, edits: readonly Edit[]): void {
    for (const edit of edits) attempts.set(edit.id, { edit, acknowledged: false, refused: null });
    browser.outbox = [...browser.outbox, ...edits];
    post(browser);
  }

  async function doSomething(): Promise<void> {
    const browser = pick(random, browsers)!;
    const tab = pick(random, browser.tabs)!;
    const what = below(random, 100);
    if (what < 5) browser.isOnline = !browser.isOnline;
    else if (what < 8) {
      tab.isOpen = false;
      load(browser, tab);
    } else if (what < 11)
      browser.tabs = [...browser.tabs.filter((one) => one !== tab), newTab(await server.whole())];
    else if (what < 14) await crash();
    else if (!tab.isOpen) load(browser, tab);
    else if (what < 32) {
      const taken = takeBackNext(tab.copy, what < 26 ? 'undo' : 'redo', random);
      if (!taken.ok) return;
      tab.copy = taken.value.copy;
      did(browser, taken.value.edits);
    } else {
      const edit = randomEdit(random, tab.copy);
      if (edit === null) return;
      tab.copy = withPerformed(tab.copy, edit);
      did(browser, [edit]);
    }
  }

  async function crash(): Promise<void> {
    if (!canCrash) return;
    crashes += 1;
    // What is on its way is lost with the connections.
    events = events.filter(() => chance(60));
    for (const browser of browsers) after(1, async () => post(browser));
    for (const browser of browsers) browser.isWaiting = false;
    await server.crash();
  }

  async function drain(until: number): Promise<void> {
    for (;;) {
      const next = events.reduce<(typeof events)[number] | null>(
        (first, one) => (first === null || one.at < first.at ? one : first),
        null,
      );
      if (next === null || next.at > until) break;
      events = events.filter((one) => one !== next);
      now = Math.max(now, next.at);
      await next.run();
    }
    now = Math.max(now, until);
  }

  for (let attempt = 0; attempt < count; attempt += 1) {
    await doSomething();
    await drain(now + below(random, 14));
  }
  isMended = true;
  for (let round = 0; round < 400; round += 1) {
    for (const browser of browsers) {
      browser.isOnline = true;
      post(browser);
      for (const tab of browser.tabs)
        if (tab.isOpen) catchUp(browser, tab);
        else load(browser, tab);
    }
    await drain(now + 100);
    if (browsers.every(({ outbox }) => outbox.length === 0) && round > 1) break;
  }
  return { copies: browsers.flatMap(({ tabs }) => tabs.map(({ copy }) => copy)), attempts, crashes };
}

/**
 * An edit of one to three operations that applies to what the window shows; null when the first tries give
 * none.
 */
function randomEdit(random: RandomBits, { document, session, served }: WorkingCopy): Edit | null {
  for (let tries = 0; tries < 4; tries += 1) {
    const operations = Array.from({ length: below(random, 4) === 0 ? 3 : 1 }, () =>
      randomOperation(random, document),
    ).filter((one): one is Operation => one !== null);
    const made = makeEdit({ document, base: served.revision, session, random }, operations, {
      group: below(random, 5) === 0 ? `g${below(random, 3)}` : null,
    });
    if (made.ok) return made.value;
  }
  return null;
}
