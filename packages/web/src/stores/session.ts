import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { mintId, type Id, type RandomBits } from '@zorvik/core';

export const cryptoRandom: RandomBits = () => crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;

const KEY = 'zorvik-session';
const NAME = 'zorvik-name';
/** Whether a name was asked for in this browser. */
const ASKED = 'zorvik-name-asked';
export const LONGEST_NAME = 40;

interface KeptSession {
  readonly id: Id;
  /** The revision of each site when this session first saw it: its own edits stand behind that in the log. */
  readonly since: Record<string, number>;
  readonly name?: string;
  /** Steps that the person has skipped when undoing or redoing, the latest last. */
  readonly skipped?: readonly Id[];
}

/** More skipped steps than anybody goes back; the oldest are forgotten. */
const MOST_SKIPPED = 500;

/** Whose undo this is: one session a tab, which a reload keeps; and what the person at it is called. */
export const useSession = defineStore('session', () => {
  const kept = read();
  const name = ref(kept.name ?? localStorage.getItem(NAME) ?? '');
  /** What others read: the person's name, or a guest's number until there is one. */
  const shownName = computed(() => name.value || `Guest ${guestNumber(kept.id)}`);

  /** A name is asked for once, when there is somebody to read it. */
  const wasAsked = ref(localStorage.getItem(ASKED) !== null);
  function noteAsked(): void {
    wasAsked.value = true;
    localStorage.setItem(ASKED, 'yes');
  }

  const skipped = shallowRef<ReadonlySet<Id>>(new Set(kept.skipped));

  function write(): void {
    const more = {
      ...(name.value === '' ? {} : { name: name.value }),
      ...(skipped.value.size === 0 ? {} : { skipped: [...skipped.value] }),
    };
    sessionStorage.setItem(KEY, JSON.stringify({ ...kept, ...more }));
  }

  /** Leaves steps out of undo and redo: they stay as they are. */
  function skip(steps: readonly Id[]): void {
    skipped.value = new Set([...skipped.value, ...steps].slice(-MOST_SKIPPED));
    write();
  }

  function firstSeen(siteKey: string, revision: number): number {
    kept.since[siteKey] ??= revision;
    write();
    return kept.since[siteKey] ?? revision;
  }

  /** The revisions of a site that was restored begin anew. */
  function seeAnew(siteKey: string, revision: number): void {
    kept.since[siteKey] = revision;
    write();
  }

  /** Windows that are opened from now on begin with the same name; each may have its own. */
  function call(wanted: string): void {
    name.value = wanted.trim().slice(0, LONGEST_NAME);
    localStorage.setItem(NAME, name.value);
    write();
  }

  return { id: kept.id, name, shownName, wasAsked, noteAsked, skipped, firstSeen, seeAnew, call, skip };
});

/** From 1 to 99, the same for as long as the session lasts, so that two guests can mostly be told apart. */
function guestNumber(session: Id): number {
  return ([...session].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 99, 7) % 99) + 1;
}

function read(): KeptSession {
  const text = sessionStorage.getItem(KEY);
  return text === null
    ? { id: mintId('session', cryptoRandom), since: {} }
    : (JSON.parse(text) as KeptSession);
}

/**
 * A tab that was duplicated starts with a copy of the other's session, and two windows with one undo would
 * take back each other's work. So a session is held by a lock, and who does not get it begins a new one. Call
 * it before the session is used.
 */
export async function claimSession(): Promise<void> {
  const locks = (navigator as Partial<Navigator>).locks;
  const text = sessionStorage.getItem(KEY);
  if (locks === undefined) return;
  const id = text === null ? mintId('session', cryptoRandom) : (JSON.parse(text) as KeptSession).id;
  if (text === null) sessionStorage.setItem(KEY, JSON.stringify({ id, since: {} } satisfies KeptSession));
  const isMine = (await holds(locks, id)) || (await pause().then(() => holds(locks, id)));
  if (isMine) return;
  sessionStorage.removeItem(KEY);
  await claimSession();
}

/** After a reload the page that went may still hold it for a moment. */
function pause(): Promise<void> {
  return new Promise((done) => setTimeout(done, 250));
}

/** Holds the session's lock for as long as the tab lives; false when another tab does. */
function holds(locks: LockManager, id: Id): Promise<boolean> {
  return new Promise((done) => {
    void locks.request(`zorvik-session-${id}`, { ifAvailable: true }, (lock) => {
      done(lock !== null);
      return lock === null ? undefined : new Promise(() => undefined);
    });
  });
}
