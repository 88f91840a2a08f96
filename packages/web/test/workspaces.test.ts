import { describe, expect, it, vi } from 'vitest';
import { nextTick, ref } from 'vue';
import {
  addPartOf,
  childrenOf,
  createMenu,
  driftOf,
  nodeAt,
  removePartOf,
  renameItem,
  setItems,
  setPageState,
  type Finding,
  type Id,
  type SiteDocument,
} from '@zorvik/core';
import { outlined } from '@zorvik/core/testing';
import { useItemSigns } from '../src/composables/useItemSigns.ts';
import { usePickOffers } from '../src/composables/usePickOffers.ts';
import { useComposer } from '../src/stores/composer.ts';
import { useConnection } from '../src/stores/connection.ts';
import { useDrift } from '../src/stores/drift.ts';
import { useNotices } from '../src/stores/notices.ts';
import type { Person } from '@zorvik/contract';
import { usePeople } from '../src/stores/people.ts';
import { useSelection } from '../src/stores/selection.ts';
import { useSession } from '../src/stores/session.ts';
import { openSite } from './openSite.ts';

/** The worker answers at once, or when a test says so. */
const worker = {
  isHeld: false,
  held: [] as { readonly document: SiteDocument; readonly answer: () => void }[],
};
const found = (stored: SiteDocument): readonly Finding[] => driftOf({ stored, filled: stored });
vi.mock('../src/workers/driftClient.ts', () => ({
  driftClient: () => ({
    look: (document: SiteDocument) =>
      new Promise((done) => {
        const answer = (): void => done({ ticket: 1, open: found(document), left: [] });
        if (worker.isHeld) worker.held.push({ document, answer });
        else answer();
      }),
    close: () => undefined,
  }),
}));

const start = outlined(
  'Seeds > /seeds\nTools > /tools\nPots > /pots\nHelp > /help',
  '/seeds Seeds\n/tools Tools\n/pots Pots\n/help Help\n/contact Contact',
);
const { menu } = start;
const page = (address: string): Id => start.ids.get(address) as Id;
const { open, tree, using } = openSite(start.document);

describe('the list of drift', () => {
  async function withGonePages() {
    worker.isHeld = false;
    worker.held.length = 0;
    const opened = await open();
    const drift = useDrift();
    opened.copy.perform((context) =>
      setPageState(context, [page('/seeds'), page('/tools'), page('/pots')], 'gone'),
    );
    await vi.waitFor(() => expect(drift.findings.length).toBe(3));
    return { ...opened, drift };
  }

  it('takes a fixed finding away at once, and goes on with the one after it', async () => {
    const { drift } = await withGonePages();
    const ids = drift.findings.map((one) => one.id);
    expect(ids.length).toBe(3);
    drift.chosenId = ids[1] ?? null;
    const second = drift.chosen!;
    drift.mendOne(second, second.mends[0]!.kind);
    expect(drift.findings.map((one) => one.id)).toEqual([ids[0], ids[2]]);
    expect(drift.chosen?.id).toBe(ids[2]);
    drift.mendOne(drift.chosen!, drift.chosen!.mends[0]!.kind);
    expect(drift.chosen?.id, 'at the end, the one before').toBe(ids[0]);
  });

  it('drops an answer about a document that has changed since', async () => {
    const { copy, drift } = await withGonePages();
    worker.isHeld = true;
    copy.perform((context) => setPageState(context, [page('/help')], 'gone'));
    await vi.waitFor(() => expect(worker.held.length).toBeGreaterThan(0));
    const first = drift.findings[0]!;
    drift.mendOne(first, first.mends[0]!.kind);
    const left = drift.findings.map((one) => one.id);
    for (const { answer } of worker.held) answer();
    await nextTick();
    await nextTick();
    expect(
      drift.findings.map((one) => one.id),
      'the fixed one would be back',
    ).toEqual(left);
  });

  it('fixes all of one kind with one undo, steps without leaving the list, and counts by menu', async () => {
    const { copy, drift } = await withGonePages();
    expect(drift.counts.get(menu)).toBe(3);
    drift.step(-1);
    expect(drift.chosen?.id).toBe(drift.findings[0]?.id);
    for (let step = 0; step < 9; step += 1) drift.step(1);
    expect(drift.chosen?.id).toBe(drift.findings.at(-1)?.id);
    drift.mendKind(drift.findings[0]!.kind);
    expect([drift.findings.length, tree(menu)]).toEqual([0, 'Help']);
    copy.undo();
    expect(tree(menu)).toBe('Seeds Tools Pots Help');
  });

  it('ignores a finding with its reason', async () => {
    const { copy, drift } = await withGonePages();
    const first = drift.findings[0]!;
    expect(drift.leave(first, 'comes back in spring')).toBe(true);
    expect(drift.findings.map((one) => one.id)).not.toContain(first.id);
    expect([...copy.document!.leftFindings.nodes.values()].map(({ reason }) => reason)).toEqual([
      'comes back in spring',
    ]);
    drift.takeUp(first.id);
    expect(copy.document!.leftFindings.nodes.size).toBe(0);
  });
});

describe('the panel that is composed', () => {
  async function withBar() {
    const opened = await open();
    opened.copy.perform((context) =>
      createMenu(context, { name: 'Top', place: 'bar', fill: { kind: 'copy', menu } }),
    );
    const bar = useSelection().menus.at(-1)!;
    useSelection().showMenu(bar.key);
    const [first = '', second = ''] = childrenOf(opened.copy.document!.items, bar.id);
    return { ...opened, composer: useComposer(), first, second };
  }

  it('is opened for the branch an item is in, which drops down as a panel from then on', async () => {
    const { copy, composer, first } = await withBar();
    composer.openFor(first);
    expect([composer.owner, nodeAt(copy.document!.items, first).dropdown?.form]).toEqual([first, 'panel']);
  });

  it('is refused for a menu that has no panels, with the reason', async () => {
    const { copy, composer } = await withBar();
    copy.perform((context) =>
      createMenu(context, { name: 'Beside', place: 'side', fill: { kind: 'copy', menu } }),
    );
    const side = useSelection().menus.at(-1)!;
    useSelection().showMenu(side.key);
    const [inList = ''] = childrenOf(copy.document!.items, side.id);
    composer.openFor(inList);
    expect([composer.owner, useNotices().refused === null]).toEqual([null, false]);
  });

  it('closes when another item is selected, or when its dropdown is a list again', async () => {
    const { copy, composer, first, second, selection } = await withBar();
    composer.openFor(first);
    selection.select(second);
    await nextTick();
    expect(composer.owner).toBeNull();
    composer.openFor(first);
    copy.perform((context) => setItems(context, [first], { dropdown: null }));
    expect(composer.owner).toBeNull();
  });

  it('chooses what is beside a part that is removed, else what it was in', async () => {
    const { copy, composer, first } = await withBar();
    composer.openFor(first);
    const add = (): Id => {
      const before = new Set(composer.parts.map(({ id }) => id));
      copy.perform((context) => addPartOf(context, first, null, 'row'));
      return composer.parts.find(({ id, kind }) => kind === 'row' && !before.has(id))?.id ?? '';
    };
    const one = add();
    const two = add();
    composer.choose(one);
    copy.perform((context) => removePartOf(context, one));
    expect(composer.partId).toBe(two);
  });
});

describe('who else is here', () => {
  it('marks for a while what somebody else changed, with their name', async () => {
    const { copy, server } = await open();
    const people = usePeople();
    const tools = [...childrenOf(copy.document!.items, menu)][1]!;
    const signs = using(() => useItemSigns(() => nodeAt(copy.document!.items, tools)));
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    server.otherDoes((context) => renameItem(context, tools, 'Spades'));
    await copy.catchUp();
    expect(people.changed.get(tools)).toBe('Noor');
    expect(signs.value.map(({ text }) => text)).toContain('just changed by Noor');
    vi.advanceTimersByTime(10_000);
    vi.useRealTimers();
    expect(people.changed.size).toBe(0);
  });

  it('lists the others by the item they are at, without oneself', async () => {
    const { copy } = await open();
    const people = usePeople();
    const item = [...childrenOf(copy.document!.items, menu)][0]!;
    const { id: mine } = useSession();
    const tell = (here: readonly Person[], left: readonly string[]): void =>
      useConnection().tell({
        kind: 'news',
        news: { kind: 'people', site: copy.siteKey ?? '', here: [...here], left: [...left] },
      });
    tell(
      [
        { session: 'w1', name: 'Noor', menu, item },
        { session: mine, name: 'Me', menu, item },
      ],
      [],
    );
    await vi.waitFor(() => expect(people.others.map(({ name }) => name)).toEqual(['Noor']));
    expect(people.at(item).map(({ name }) => name)).toEqual(['Noor']);
    expect(people.at('nobody-here')).toEqual([]);
    // Only changes are told: one comes, one goes elsewhere, one leaves.
    tell([{ session: 'w2', name: 'Sam', menu, item }], []);
    await vi.waitFor(() => expect(people.at(item).map(({ name }) => name)).toEqual(['Noor', 'Sam']));
    tell([{ session: 'w2', name: 'Sam', menu, item: null }], ['w1']);
    await vi.waitFor(() => expect(people.others.map(({ name }) => name)).toEqual(['Sam']));
    expect(people.at(item)).toEqual([]);
  });
});

describe('what a typed text may mean', () => {
  const offers = async (text: string): Promise<string[]> => {
    await open();
    return usePickOffers(ref(text)).value.map(({ key, picked }) =>
      picked.kind === 'link' ? `${picked.label} → ${picked.address}` : key,
    );
  };

  it('a title offers the page first, then a heading and an item without a link', async () => {
    expect(await offers('seeds')).toEqual([page('/seeds'), 'heading', 'undecided']);
    expect(await offers('Orchard')).toEqual(['heading', 'undecided']);
    expect(await offers('  ')).toEqual([]);
  });

  it('an address offers the link; with a bar before it, its label', async () => {
    expect((await offers('https://example.org/a'))[0]).toBe('https://example.org/a → https://example.org/a');
    expect(await offers('Write to us | info@example.org')).toEqual(['Write to us → info@example.org']);
    expect(await offers('javascript:alert(1)')).toEqual(['heading', 'undecided']);
  });
});
