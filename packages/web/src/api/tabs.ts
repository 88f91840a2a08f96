import type { Id, LoggedEdit, Refusal } from '@zorvik/core';
import type { ServerMessage } from '@zorvik/contract';

/**
 * What the tabs of a browser tell one another. One of them, the postman, sends for all and hears the server
 * for all.
 */
export type TabMessage =
  /** Something was put into the outbox. */
  | { readonly kind: 'put' }
  /** Try now rather than later: somebody looks, or the network is back. */
  | { readonly kind: 'hurry' }
  /** A tab has just opened and wants to know how it stands. */
  | { readonly kind: 'hello' }
  | {
      readonly kind: 'saved';
      readonly siteKey: string;
      readonly id: Id;
      readonly epoch: string;
      readonly revision: number;
      readonly edits: readonly LoggedEdit[];
    }
  | { readonly kind: 'refused'; readonly siteKey: string; readonly id: Id; readonly refusal: Refusal }
  /** The site was restored from a backup: what was known of its revisions means nothing. */
  | { readonly kind: 'restored'; readonly siteKey: string }
  /** Since when the server has not answered, ISO 8601; null: it does. */
  | {
      readonly kind: 'server';
      readonly awaySince: string | null;
      readonly reason: string | null;
      readonly waiting: number;
    }
  | { readonly kind: 'news'; readonly news: ServerMessage };

export interface Tabs {
  /** Tells all tabs of this browser, this one too. */
  readonly tell: (message: TabMessage) => void;
  readonly hear: (listener: (message: TabMessage) => void) => () => void;
  readonly close: () => void;
}

export function openTabs(): Tabs {
  const listeners = new Set<(message: TabMessage) => void>();
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('zorvik');
  const spread = (message: TabMessage): void => {
    for (const listener of listeners) listener(message);
  };
  channel?.addEventListener('message', ({ data }: MessageEvent<TabMessage>) => spread(data));
  return {
    tell(message) {
      channel?.postMessage(message);
      spread(message);
    },
    hear(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    close: () => channel?.close(),
  };
}
