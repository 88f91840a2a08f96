import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Edit, Id, Refusal } from '@zorvik/core';

/** An edit on its way: for which site, in whose name, and of which history of that site. */
export interface Posted {
  readonly siteKey: string;
  readonly epoch: string;
  readonly name: string;
  readonly edit: Edit;
}

/** An edit that the server refused, kept until the person puts it away. */
export interface RefusedEdit {
  readonly siteKey: string;
  readonly edit: Edit;
  readonly refusal: Refusal;
  /** When it was refused, ISO 8601. */
  readonly at: string;
}

interface OutboxSchema extends DBSchema {
  edits: { key: number; value: Posted; indexes: { bySite: string } };
  refused: { key: string; value: RefusedEdit & { readonly id: Id }; indexes: { bySite: string } };
}
type Opened = IDBPDatabase<OutboxSchema>;

/** Version 1 knew no refused edits, and no epoch and name. */
const VERSION = 2;
let opened: Promise<Opened | null> | null = null;
let onOutdated: () => void = () => undefined;

/**
 * What happens when a newer version of the editor, in another tab, needs the outbox: this one lets go of it,
 * and should be loaded anew.
 */
export function whenOutdated(tell: () => void): void {
  onOutdated = tell;
}

/**
 * Edits that the server has not answered yet, kept by the browser for all of its tabs: a closed tab or a
 * stopped server loses none of them. They come out in the order in which they went in. Where the browser
 * keeps nothing (a private window, a full disk), they are kept in this tab's memory.
 */
function outbox(): Promise<Opened | null> {
  opened ??= openDB<OutboxSchema>('zorvik-outbox', VERSION, {
    upgrade(database, older, _, transaction) {
      if (older < 1) database.createObjectStore('edits', { autoIncrement: true });
      if (older < 1) transaction.objectStore('edits').createIndex('bySite', 'siteKey');
      database.createObjectStore('refused', { keyPath: 'id' }).createIndex('bySite', 'siteKey');
    },
    blocking(_current, _next, event) {
      (event.target as IDBDatabase).close();
      opened = Promise.resolve(null);
      onOutdated();
    },
  })
    .then(async (database) => {
      await takeInLate(database);
      return database;
    })
    .catch(() => null);
  return opened;
}

/**
 * What is put in while a window is going (typing that becomes an edit when it is hidden), or began to be put in
 * a moment before, is noted in localStorage as well, which is written at once: a window that is loaded anew
 * gives up what IndexedDB has not committed yet. Whoever opens the outbox next takes it in.
 */
const LATE = 'zorvik-late ';

/** The window is going. Browsers say so before they call it hidden. */
let isGoing = false;
/** What is being put in: it may have begun a moment before the window goes, and is not committed yet. */
const comingIn = new Map<Id, Posted>();
window.addEventListener(
  'pagehide',
  () => {
    isGoing = true;
    comingIn.forEach(noteLate);
  },
  { capture: true },
);
window.addEventListener('pageshow', () => (isGoing = false), { capture: true });

function noteLate(posted: Posted): void {
  try {
    localStorage.setItem(`${LATE}${posted.edit.id}`, JSON.stringify(posted));
  } catch {
    // It is too large, or the browser keeps nothing: then IndexedDB has to do.
  }
}

async function takeInLate(database: Opened): Promise<void> {
  // What this window itself is just putting in needs nobody else to do it.
  const keys = Object.keys(localStorage).filter(
    (key) => key.startsWith(LATE) && !comingIn.has(key.slice(LATE.length)),
  );
  if (keys.length === 0) return;
  const transaction = database.transaction('edits', 'readwrite');
  const known = new Set((await transaction.store.getAll()).map(({ edit }) => edit.id));
  for (const key of keys) {
    const text = localStorage.getItem(key);
    const posted = text === null ? null : (JSON.parse(text) as Posted);
    // Sent twice it would get the same answer twice.
    if (posted !== null && !known.has(posted.edit.id)) await transaction.store.add(posted);
  }
  await transaction.done;
  for (const key of keys) localStorage.removeItem(key);
}

/** How long a window that is hidden, and not going, has to put in by itself what it noted, in ms. */
const LATE_REST = 2000;

/** Takes in what other windows noted while they went, as it comes, and tells of it. Gives the release. */
export function watchLate(tell: () => void): () => void {
  const hear = ({ key, newValue }: StorageEvent): void => {
    if (key?.startsWith(LATE) !== true || newValue === null) return;
    setTimeout(() => {
      if (localStorage.getItem(key) === null) return;
      void outbox().then(async (database) => {
        if (database === null) return;
        await takeInLate(database);
        tell();
      });
    }, LATE_REST);
  };
  window.addEventListener('storage', hear);
  return () => window.removeEventListener('storage', hear);
}

/** What could not be put into the browser's store: it goes first, and with the tab. */
let inMemory: Posted[] = [];
let refusedInMemory: RefusedEdit[] = [];

/** Whether the edit is safe in the browser now; if not, it is in this tab alone. */
export async function putInOutbox(posted: Posted): Promise<boolean> {
  const { id } = posted.edit;
  comingIn.set(id, posted);
  if (isGoing || document.visibilityState === 'hidden') noteLate(posted);
  const database = await outbox();
  const key = await database?.add('edits', posted).catch(() => undefined);
  comingIn.delete(id);
  if (key === undefined) inMemory.push(posted);
  else localStorage.removeItem(`${LATE}${id}`);
  return key !== undefined;
}

/** What is to be sent next; null when nothing is. */
export async function firstInOutbox(): Promise<Posted | null> {
  const cursor = await (await outbox())?.transaction('edits').store.openCursor();
  return cursor?.value ?? inMemory[0] ?? null;
}

export async function takeFromOutbox(ids: ReadonlySet<Id>): Promise<void> {
  inMemory = inMemory.filter(({ edit }) => !ids.has(edit.id));
  const transaction = (await outbox())?.transaction('edits', 'readwrite');
  if (transaction === undefined) return;
  for await (const cursor of transaction.store) if (ids.has(cursor.value.edit.id)) await cursor.delete();
  await transaction.done;
}

/** Puts another in the place of one that is not sent yet. */
export async function replaceInOutbox(posted: Posted): Promise<void> {
  inMemory = inMemory.map((one) => (one.edit.id === posted.edit.id ? posted : one));
  const transaction = (await outbox())?.transaction('edits', 'readwrite');
  if (transaction === undefined) return;
  for await (const cursor of transaction.store)
    if (cursor.value.edit.id === posted.edit.id) await cursor.update(posted);
  await transaction.done;
}

export async function editsInOutbox(siteKey: string): Promise<Edit[]> {
  const kept = (await (await outbox())?.getAllFromIndex('edits', 'bySite', siteKey)) ?? [];
  return [...kept, ...inMemory.filter((one) => one.siteKey === siteKey)].map(({ edit }) => edit);
}

/** How many edits of all sites wait. */
export async function countInOutbox(): Promise<number> {
  return ((await (await outbox())?.count('edits')) ?? 0) + inMemory.length;
}

export async function keepRefused(refused: RefusedEdit): Promise<void> {
  const key = await (
    await outbox()
  )
    ?.put('refused', { ...refused, id: refused.edit.id })
    .catch(() => undefined);
  if (key === undefined) refusedInMemory.push(refused);
}

export async function refusedAt(siteKey: string): Promise<RefusedEdit[]> {
  const kept = (await (await outbox())?.getAllFromIndex('refused', 'bySite', siteKey)) ?? [];
  return [...kept, ...refusedInMemory.filter((one) => one.siteKey === siteKey)].sort((a, b) =>
    a.at < b.at ? -1 : 1,
  );
}

export async function putAwayRefused(id: Id): Promise<void> {
  refusedInMemory = refusedInMemory.filter(({ edit }) => edit.id !== id);
  await (await outbox())?.delete('refused', id);
}
