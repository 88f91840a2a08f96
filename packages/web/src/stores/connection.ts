import { defineStore } from 'pinia';
import { onScopeDispose, ref } from 'vue';
import { watchLate, whenOutdated } from '../api/outbox.ts';
import { startPostman } from '../api/postman.ts';
import { openTabs, type TabMessage } from '../api/tabs.ts';

/**
 * How this window is connected: to the other tabs of its browser, and, through whichever of them is the
 * postman, to the server.
 */
export const useConnection = defineStore('connection', () => {
  const tabs = openTabs();
  /** Since when the server has not answered; null when it does. */
  const awaySince = ref<Date | null>(null);
  /** What the server says why it cannot keep anything; null when it says nothing. */
  const reason = ref<string | null>(null);
  /** How many edits of all tabs wait for it. */
  const waiting = ref(0);
  /** A newer editor than this one is at work: this window should be loaded again. */
  const isOutdated = ref(false);
  const known = new Map<string, number>();

  const deafen = tabs.hear((message) => {
    if (message.kind !== 'server') return;
    awaySince.value = message.awaySince === null ? null : new Date(message.awaySince);
    reason.value = message.reason;
    waiting.value = message.waiting;
  });
  whenOutdated(() => (isOutdated.value = true));
  const stopPostman = startPostman(tabs, { knownRevision: (siteKey) => known.get(siteKey) ?? null });
  const unwatchLate = watchLate(() => tabs.tell({ kind: 'put' }));
  tabs.tell({ kind: 'hello' });

  const hurry = (): void => {
    if (document.visibilityState === 'visible') tabs.tell({ kind: 'hurry' });
  };
  window.addEventListener('online', hurry);
  document.addEventListener('visibilitychange', hurry);

  function hear(listener: (message: TabMessage) => void): () => void {
    return tabs.hear(listener);
  }

  /** Says which revision of a site this tab is at, so that answers bring what it misses and no more. */
  function at(siteKey: string, revision: number): void {
    known.set(siteKey, revision);
  }

  function close(): void {
    deafen();
    stopPostman();
    unwatchLate();
    tabs.close();
    window.removeEventListener('online', hurry);
    document.removeEventListener('visibilitychange', hurry);
  }
  onScopeDispose(close);

  return { awaySince, reason, waiting, isOutdated, hear, tell: tabs.tell, at, close };
});
