import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import {
  childrenOf,
  labelOf,
  moveItems,
  nodeAt,
  removeItems,
  renameItem,
  toStored,
  type SiteDocument,
} from '@zorvik/core';
import { outlined } from '@zorvik/core/testing';
import { editsInOutbox, takeFromOutbox } from '../src/api/outbox.ts';
import { useNotices } from '../src/stores/notices.ts';
import { useSelection } from '../src/stores/selection.ts';
import { useWorkingCopy } from '../src/stores/workingCopy.ts';
import { useConnection } from '../src/stores/connection.ts';
import { fakeLocks } from './fakeLocks.ts';
import { fakeServer, type FakeServer } from './fakeServer.ts';

const start = outlined('A\n  A1\nB\nC\nD');
const { ids, menu } = start;
const id = (label: string): string => ids.get(label) ?? '';
const tops = (document: SiteDocument | null): string[] =>
  document === null
    ? []
    : [...childrenOf(document.items, menu)].map((one) => labelOf(document, nodeAt(document.items, one)));

/** Each test has a site of its own, since tabs of earlier tests go on trying to deliver. */
let site: string;
let server: FakeServer;
let count = 0;
beforeEach(() => {
  count += 1;
  site = `meadow-${count}-`;
  sessionStorage.clear();
  server = fakeServer(start.document, site);
  vi.stubGlobal('fetch', (...words: Parameters<typeof fetch>) => server.fetch(...words));
  Object.defineProperty(navigator, 'locks', { value: fakeLocks(), configurable: true });
});
afterEach(async () => {
  for (const close of open.splice(0)) close();
  await takeFromOutbox(new Set((await editsInOutbox(site)).map((edit) => edit.id)));
});
const open: (() => void)[] = [];

/**
 * A tab that opens the site. Of an earlier one it knows what the browser keeps; with the same session it is
 * that one, loaded again.
 */
async function tab() {
  setActivePinia(createPinia());
  const copy = useWorkingCopy();
  open.push(useConnection().close);
  await copy.open(site);
  return copy;
}

/** Another tab beside it, with a session of its own. */
async function otherTab() {
  const mine = sessionStorage.getItem('zorvik-session') ?? '';
  sessionStorage.clear();
  const copy = await tab();
  sessionStorage.setItem('zorvik-session', mine);
  return copy;
}
/** The tab that was opened last is closed: nothing of it goes on. */
const closed = (): void => open.pop()?.();

/** Until all that was done is on the server. */
const kept = (copy: Awaited<ReturnType<typeof tab>>) =>
  vi.waitFor(() => expect([copy.keeping, copy.pending.length]).toEqual(['kept', 0]), {
    timeout: 4000,
    interval: 5,
  });

/** A tab that has changed A and then B, both kept. */
async function withTwoSteps() {
  const copy = await tab();
  copy.perform((context) => renameItem(context, id('A'), 'Oldest'));
  copy.perform((context) => renameItem(context, id('B'), 'Mine'));
  await kept(copy);
  return { copy, notices: useNotices() };
}

describe('the working copy', () => {
  it('shows a change at once and brings it to the server', async () => {
    const copy = await tab();
    copy.perform((context) => renameItem(context, id('A'), 'First'));
    expect(tops(copy.document)[0]).toBe('First');
    expect(copy.keeping).toBe('keeping');
    await kept(copy);
    expect(tops(server.document())[0]).toBe('First');
    expect(await editsInOutbox(site)).toEqual([]);
  });

  it('sends many changes in their order, each once, whatever they stand on', async () => {
    const copy = await tab();
    copy.perform((context) => removeItems(context, [id('B')]));
    copy.undo();
    copy.perform((context) => moveItems(context, [id('D')], { parent: menu, after: id('B') }));
    copy.perform((context) => renameItem(context, id('D'), 'Fourth'));
    const shown = tops(copy.document);
    expect(shown).toEqual(['A', 'B', 'Fourth', 'C']);
    await kept(copy);
    expect(tops(server.document())).toEqual(shown);
    expect(server.log).toHaveLength(4);
    expect(toStored(copy.document!)).toEqual(toStored(server.document()));
  });

  it('waits while the server is away, says so, and delivers when it is back', async () => {
    const copy = await tab();
    server.network = 'away';
    copy.perform((context) => renameItem(context, id('A'), 'Offline'));
    await vi.waitFor(() => expect(copy.keeping).toBe('waiting'));
    expect(useConnection().awaySince).toBeInstanceOf(Date);
    copy.perform((context) => renameItem(context, id('B'), 'Offline too'));
    expect(tops(copy.document).slice(0, 2)).toEqual(['Offline', 'Offline too']);
    server.network = 'fine';
    await kept(copy);
    expect(tops(server.document()).slice(0, 2)).toEqual(['Offline', 'Offline too']);
  });

  it('keeps an edit once although its answer was lost', async () => {
    const copy = await tab();
    server.network = 'deaf';
    copy.perform((context) => renameItem(context, id('A'), 'Heard'));
    await vi.waitFor(() => expect(copy.keeping).toBe('waiting'));
    server.network = 'fine';
    await kept(copy);
    expect(server.log.map(({ sentence }) => sentence.params.label)).toEqual(['Heard']);
  });

  it('gives a tab that opens later what an earlier one could not send', async () => {
    const first = await tab();
    server.network = 'away';
    first.perform((context) => moveItems(context, [id('D')], { parent: menu, after: null }));
    await vi.waitFor(async () => expect(await editsInOutbox(site)).toHaveLength(1));
    closed();
    server.network = 'fine';
    server.otherDoes((context) => renameItem(context, id('C'), 'Theirs'));
    const second = await tab();
    expect(tops(second.document)).toEqual(['D', 'A', 'B', 'Theirs']);
    await kept(second);
    expect(tops(server.document())).toEqual(['D', 'A', 'B', 'Theirs']);
  });

  it('does not send again what had arrived before the tab was closed', async () => {
    const first = await tab();
    server.network = 'deaf';
    first.perform((context) => renameItem(context, id('A'), 'Once'));
    await vi.waitFor(() => expect(server.log).toHaveLength(1));
    closed();
    server.network = 'fine';
    const second = await tab();
    await kept(second);
    expect([server.log.length, await editsInOutbox(site)]).toEqual([1, []]);
  });

  it('leads its own changes through what others did meanwhile', async () => {
    const copy = await tab();
    server.network = 'away';
    copy.perform((context) => moveItems(context, [id('A')], { parent: menu, after: id('C') }));
    await vi.waitFor(() => expect(copy.keeping).toBe('waiting'));
    server.otherDoes((context) => removeItems(context, [id('C')]));
    server.network = 'fine';
    await kept(copy);
    expect(tops(copy.document), 'behind the one before what is gone').toEqual(['B', 'A', 'D']);
    expect(toStored(copy.document!)).toEqual(toStored(server.document()));
  });

  it('tells what could not be kept, and shows the rest as it is', async () => {
    const copy = await tab();
    const notices = useNotices();
    server.network = 'away';
    copy.perform((context) => renameItem(context, id('B'), 'Too late'));
    copy.perform((context) => renameItem(context, id('A'), 'Fine'));
    await vi.waitFor(() => expect(copy.keeping).toBe('waiting'));
    server.otherDoes((context) => removeItems(context, [id('B')]));
    server.network = 'fine';
    await kept(copy);
    expect(tops(copy.document)).toEqual(['Fine', 'C', 'D']);
    expect(copy.refusedEdits.map(({ refusal }) => refusal.code)).toEqual(['notThere']);
    expect(notices.refused).toContain('Not saved: Renamed “B” to “Too late”.');
    expect(toStored(copy.document!)).toEqual(toStored(server.document()));
  });

  it('offers to skip a step that cannot be undone, since somebody has changed it: what is older can be undone then, also after a reload', async () => {
    const { copy, notices } = await withTwoSteps();
    server.otherDoes((context) => renameItem(context, id('B'), 'Theirs'));
    await copy.catchUp();
    copy.undo();
    expect(notices.refused).toMatch(/^Can’t undo: .+ has changed “Theirs” since .+ or skip this step\.$/);
    const reason = notices.refused;
    copy.undo();
    expect(notices.refused, 'it is the same step until it is skipped').toBe(reason);
    expect(notices.wayOn?.label).toBe('Skip this step');
    const reloaded = await tab();
    const reloadedNotices = useNotices();
    reloaded.undo();
    expect(
      reloadedNotices.refused,
      'whose change it was is not known any more, and nothing untrue is said of it',
    ).toBe('Can’t undo: “Theirs” has been changed since. Edit it directly, or skip this step.');
    reloadedNotices.wayOn?.act();
    expect(reloadedNotices.refused).toBeNull();
    reloaded.undo();
    expect(tops(reloaded.document)).toEqual(['A', 'Theirs', 'C', 'D']);
    expect([reloaded.canUndo, reloaded.canRedo]).toEqual([false, true]);
    reloaded.redo();
    expect(tops(reloaded.document)).toEqual(['Oldest', 'Theirs', 'C', 'D']);
    await kept(reloaded);
    const again = await tab();
    again.undo();
    expect(tops(again.document), 'what was skipped stays skipped after a reload').toEqual([
      'A',
      'Theirs',
      'C',
      'D',
    ]);
    await kept(again);
  });

  it('offers to skip an undo that the server has refused', async () => {
    const { copy, notices } = await withTwoSteps();
    // The window does not hear of it before it has sent its undo.
    server.otherDoes((context) => renameItem(context, id('B'), 'Theirs'));
    server.otherDoes((context) => renameItem(context, id('B'), 'Mine'));
    copy.undo();
    await vi.waitFor(() => expect(notices.refused).toMatch(/^Not saved: .*Can’t undo/));
    notices.wayOn?.act();
    copy.undo();
    expect(tops(copy.document)[0]).toBe('A');
    await kept(copy);
  });

  it('takes back and brings back, also after a reload', async () => {
    const first = await tab();
    expect([first.canUndo, first.canRedo]).toEqual([false, false]);
    first.perform((context) => renameItem(context, id('A'), 'Renamed'));
    first.perform((context) => removeItems(context, [id('B')]));
    first.undo();
    expect(tops(first.document).slice(0, 2)).toEqual(['Renamed', 'B']);
    await kept(first);
    const second = await tab();
    expect([second.canUndo, second.canRedo]).toEqual([true, true]);
    second.redo();
    expect(tops(second.document)).toEqual(['Renamed', 'C', 'D']);
    second.undo();
    second.undo();
    expect(tops(second.document)).toEqual(['A', 'B', 'C', 'D']);
    await kept(second);
    expect(tops(server.document())).toEqual(['A', 'B', 'C', 'D']);
  });

  it('says whose change stands in the way of undo', async () => {
    const copy = await tab();
    const notices = useNotices();
    copy.perform((context) => renameItem(context, id('A'), 'Mine'));
    await kept(copy);
    server.otherDoes((context) => renameItem(context, id('A'), 'Theirs'));
    await copy.catchUp();
    copy.undo();
    expect(notices.refused).toMatch(/Noor has changed “Theirs” since/);
    expect(tops(copy.document)[0]).toBe('Theirs');
  });

  it('refuses in words, and changes nothing', async () => {
    const copy = await tab();
    const before = copy.document;
    const notices = useNotices();
    expect(
      copy.perform((context) => moveItems(context, [id('A')], { parent: id('A1'), after: null })).ok,
    ).toBe(false);
    expect(notices.refused).toContain('Choose a place outside it.');
    expect([copy.document, copy.pending.length]).toEqual([before, 0]);
    copy.perform((context) => renameItem(context, id('A'), 'Good'));
    expect(notices.refused, 'the next act that goes well clears it').toBeNull();
    await kept(copy);
  });

  it('asks again by itself when the server is away at the start', async () => {
    server.network = 'away';
    const copy = await tab();
    expect(copy.loadProblem).toContain('No connection');
    server.network = 'fine';
    await vi.waitFor(() => expect(tops(copy.document)).toEqual(['A', 'B', 'C', 'D']), { timeout: 4000 });
  });
});

describe('several tabs of one browser', () => {
  it('send by one of them, and each shows what the other did', async () => {
    const first = await tab();
    const second = await otherTab();
    second.perform((context) => renameItem(context, id('A'), 'From the second'));
    first.perform((context) => renameItem(context, id('B'), 'From the first'));
    await Promise.all([kept(first), kept(second)]);
    for (const copy of [first, second]) {
      await vi.waitFor(() =>
        expect(tops(copy.document).slice(0, 2)).toEqual(['From the second', 'From the first']),
      );
    }
    expect([...server.sent.values()], 'each was sent once').toEqual([1, 1]);
    expect(new Set(server.log.map(({ session }) => session)).size, 'each has an undo of its own').toBe(2);
  });

  it('go on when the one that sends is closed, also in the middle of sending', async () => {
    const first = await tab();
    server.network = 'deaf';
    first.perform((context) => renameItem(context, id('A'), 'Sent, and never heard of'));
    await vi.waitFor(() => expect(server.log).toHaveLength(1));
    closed();
    server.network = 'fine';
    const second = await otherTab();
    second.perform((context) => renameItem(context, id('B'), 'The next'));
    await kept(second);
    await vi.waitFor(async () => expect(await editsInOutbox(site)).toEqual([]));
    expect(server.log.map(({ sentence }) => sentence.params.label)).toEqual([
      'Sent, and never heard of',
      'The next',
    ]);
  });

  it('know that the server is back, although the tab that said it was away is closed, and hear it through the next', async () => {
    const streams: FakeStream[] = [];
    class FakeStream {
      static readonly CLOSED = 2;
      readonly readyState = 0;
      onopen: () => void = () => undefined;
      onerror: () => void = () => undefined;
      onmessage: (message: { data: string }) => void = () => undefined;
      isClosed = false;
      constructor() {
        streams.push(this);
      }
      close(): void {
        this.isClosed = true;
      }
    }
    vi.stubGlobal('EventSource', FakeStream);
    await tab();
    const second = await otherTab();
    const connection = useConnection();
    await vi.waitFor(() => expect(streams, 'one stream for the browser').toHaveLength(1));
    streams[0]!.onerror();
    await vi.waitFor(() => expect(connection.awaySince).toBeInstanceOf(Date));
    open.shift()?.();
    await vi.waitFor(() => expect([streams.length, streams[0]!.isClosed]).toEqual([2, true]));
    streams[1]!.onopen();
    await vi.waitFor(() => expect(connection.awaySince).toBeNull());
    server.otherDoes((context) => renameItem(context, id('C'), 'Told by the stream'));
    streams[1]!.onmessage({ data: JSON.stringify({ kind: 'site', site, revision: 1 }) });
    await vi.waitFor(() => expect(tops(second.document)[2]).toBe('Told by the stream'));
    vi.unstubAllGlobals();
  });

  it('each tell what of theirs was refused, and keep it until it is put away, over a reload', async () => {
    await tab();
    const second = await otherTab();
    const notices = useNotices();
    server.network = 'away';
    second.perform((context) => renameItem(context, id('B'), 'Too late'));
    await vi.waitFor(() => expect(second.keeping).toBe('waiting'));
    server.otherDoes((context) => removeItems(context, [id('B')]));
    server.network = 'fine';
    await vi.waitFor(() => expect(notices.refused).toContain('Not saved: Renamed “B” to “Too late”.'), {
      timeout: 4000,
    });
    const again = await tab();
    expect(again.refusedEdits.map(({ edit }) => edit.sentence.params.label)).toEqual(['Too late']);
    await again.putAway(again.refusedEdits[0]!.edit.id);
    expect((await tab()).refusedEdits).toEqual([]);
  });
});

describe('what was missed', () => {
  it('is loaded whole when it is much, and what is on its way stays', async () => {
    const copy = await tab();
    server.mostMissed = 2;
    for (let turn = 0; turn < 5; turn += 1)
      server.otherDoes((context) => renameItem(context, id('C'), `Turn ${turn}`));
    copy.perform((context) => renameItem(context, id('A'), 'Mine'));
    await kept(copy);
    await vi.waitFor(() => expect(tops(copy.document)).toEqual(['Mine', 'B', 'Turn 4', 'D']));
    expect(toStored(copy.document!)).toEqual(toStored(server.document()));
    copy.undo();
    expect(tops(copy.document)[0], 'undo knows it still').toBe('A');
    await kept(copy);
  });

  it('does not matter when the site was restored: what is not kept yet is tried on what is there now', async () => {
    const copy = await tab();
    copy.perform((context) => renameItem(context, id('A'), 'Before the archive'));
    await kept(copy);
    copy.perform((context) => renameItem(context, id('B'), 'Lost with the disk'));
    await kept(copy);
    server.network = 'away';
    copy.perform((context) => renameItem(context, id('C'), 'On its way'));
    await vi.waitFor(() => expect(copy.keeping).toBe('waiting'));
    server.restore(1);
    server.network = 'fine';
    await kept(copy);
    await vi.waitFor(() =>
      expect(tops(copy.document)).toEqual(['Before the archive', 'B', 'On its way', 'D']),
    );
    expect(toStored(copy.document!)).toEqual(toStored(server.document()));
  });

  it('is left alone when it is of a newer version than this window: it says so, and loses nothing', async () => {
    const copy = await tab();
    const before = copy.document;
    server.otherDoes((context) => {
      const made = renameItem(context, id('A'), 'From the future');
      return made.ok ? { ok: true, value: { ...made.value, version: 99 } } : made;
    });
    await copy.catchUp();
    expect(useConnection().isOutdated).toBe(true);
    expect(copy.document).toBe(before);
  });
});

describe('a burst', () => {
  it('of the same kind is taken back together; another kind, or a pause, begins anew', async () => {
    const copy = await tab();
    for (const label of ['S', 'Se', 'Seeds'])
      copy.perform((context) => renameItem(context, id('A'), label), `label ${id('A')}`);
    copy.perform((context) => renameItem(context, id('B'), 'Another'), `label ${id('B')}`);
    copy.undo();
    expect(tops(copy.document).slice(0, 2)).toEqual(['Seeds', 'B']);
    copy.undo();
    expect(tops(copy.document).slice(0, 2)).toEqual(['A', 'B']);
    copy.redo();
    expect(tops(copy.document)[0]).toBe('Seeds');
    await kept(copy);
  });
});

describe('the selection', () => {
  it('moves to a neighbour when what is selected is removed, by whomever', async () => {
    const copy = await tab();
    const selection = useSelection();
    selection.select(id('B'));
    copy.perform((context) => removeItems(context, [id('B')]));
    expect(selection.item?.id).toBe(id('C'));
    await kept(copy);
    server.otherDoes((context) => removeItems(context, [id('C'), id('D')]));
    await copy.catchUp();
    expect(selection.item?.id).toBe(id('A'));
    selection.select(id('A1'));
    server.otherDoes((context) => removeItems(context, [id('A1')]));
    await copy.catchUp();
    expect(selection.item?.id, 'its parent, when no sibling is left').toBe(id('A'));
  });

  it('unfolds what it stands in', async () => {
    await tab();
    const selection = useSelection();
    selection.setFolded(id('A'), true);
    selection.select(id('A1'));
    expect(selection.folded.has(id('A'))).toBe(false);
  });

  it('falls back to the first menu when the one in the address is not there', async () => {
    await tab();
    const selection = useSelection();
    selection.showMenu('nowhere');
    expect(selection.menu?.key).toBe('menu');
  });
});

// The last one: it leaves the browser's store at a version that this editor does not know.
describe('two versions of the editor in one browser', () => {
  it('do not get in each other’s way: the older lets go of the outbox, says so, and goes on until it is loaded again', async () => {
    const copy = await tab();
    copy.perform((context) => renameItem(context, id('A'), 'By the older'));
    await kept(copy);
    const newer = await openDB('zorvik-outbox', 3);
    await vi.waitFor(() => expect(useConnection().isOutdated).toBe(true));
    copy.perform((context) => renameItem(context, id('B'), 'Still by the older'));
    await kept(copy);
    expect(copy.isOutboxKept, 'it says that this is in the tab alone').toBe(false);
    expect(tops(server.document()).slice(0, 2)).toEqual(['By the older', 'Still by the older']);
    newer.close();
  });
});
