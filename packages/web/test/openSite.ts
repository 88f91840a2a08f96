import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, expect, vi } from 'vitest';
import { createApp, defineComponent, h } from 'vue';
import { childrenOf, labelOf, nodeAt, type Id, type SiteDocument } from '@zorvik/core';
import { useConnection } from '../src/stores/connection.ts';
import { useSelection } from '../src/stores/selection.ts';
import { useWorkingCopy } from '../src/stores/workingCopy.ts';
import { fakeLocks } from './fakeLocks.ts';
import { fakeServer, type FakeServer } from './fakeServer.ts';

/** A document that the tests of a file begin with, in a tab of its own for each. */
export interface OpenSite {
  /** Opens it and shows its menu. */
  readonly open: () => Promise<{
    readonly copy: ReturnType<typeof useWorkingCopy>;
    readonly selection: ReturnType<typeof useSelection>;
    readonly server: FakeServer;
  }>;
  /** The tree below an item or a menu as it is now, by its labels: `A(A1 A2(A21)) B`. */
  readonly tree: (root: Id) => string;
  /** Runs a composable as a component would, until the test ends. */
  readonly using: <T>(setup: () => T) => T;
}

/** To be called once in a file of tests: each test gets the site as it was at the start. */
export function openSite(start: SiteDocument, menuKey = 'menu'): OpenSite {
  let count = 0;
  let server: FakeServer;
  const unmounts: (() => void)[] = [];

  beforeEach(() => {
    count += 1;
    localStorage.clear();
    sessionStorage.clear();
    server = fakeServer(start, siteKey());
    vi.stubGlobal('fetch', (...words: Parameters<typeof fetch>) => server.fetch(...words));
    Object.defineProperty(navigator, 'locks', { value: fakeLocks(), configurable: true });
    setActivePinia(createPinia());
  });
  afterEach(async () => {
    for (const unmount of unmounts.splice(0)) unmount();
    // An edit that is still on its way would find its tab closed.
    await vi.waitFor(() => expect(useWorkingCopy().keeping).toBe('kept'), 5000);
    useConnection().close();
  });

  const siteKey = (): string => `${start.site.id}-${count}`;
  function tree(root: Id): string {
    const { document } = useWorkingCopy();
    if (document === null) return '';
    return [...childrenOf(document.items, root)]
      .map((id) => {
        const below = tree(id);
        return labelOf(document, nodeAt(document.items, id)) + (below === '' ? '' : `(${below})`);
      })
      .join(' ');
  }

  return {
    async open() {
      const copy = useWorkingCopy();
      await copy.open(siteKey());
      useSelection().showMenu(menuKey);
      return { copy, selection: useSelection(), server };
    },
    tree,
    using(setup) {
      let result!: ReturnType<typeof setup>;
      const component = defineComponent({
        setup() {
          result = setup();
          return () => h('div');
        },
      });
      const app = createApp(component);
      app.mount(document.createElement('div'));
      unmounts.push(() => app.unmount());
      return result;
    },
  };
}
