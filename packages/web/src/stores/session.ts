import { defineStore } from 'pinia';
import { mintId, type Id, type RandomBits } from '@zorvik/core';

export const cryptoRandom: RandomBits = () => crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;

const KEY = 'zorvik-session';

interface KeptSession {
  readonly id: Id;
  /** The revision of each site when this session first saw it: its own edits stand behind that in the log. */
  readonly since: Record<string, number>;
}

/** Whose undo this is: one session a tab, which a reload keeps. */
export const useSession = defineStore('session', () => {
  const kept = read();

  function firstSeen(siteKey: string, revision: number): number {
    kept.since[siteKey] ??= revision;
    sessionStorage.setItem(KEY, JSON.stringify(kept));
    return kept.since[siteKey] ?? revision;
  }

  return { id: kept.id, firstSeen };
});

function read(): KeptSession {
  const text = sessionStorage.getItem(KEY);
  return text === null ? { id: mintId('session', cryptoRandom), since: {} } : (JSON.parse(text) as KeptSession);
}
