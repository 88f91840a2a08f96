import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Edit } from '@zorvik/core';

interface OutboxSchema extends DBSchema {
  edits: { key: number; value: { readonly siteKey: string; readonly edit: Edit }; indexes: { bySite: string } };
}

let opened: Promise<IDBPDatabase<OutboxSchema> | null> | null = null;

/**
 * Edits that the server has not acknowledged yet, kept by the browser: a closed tab or a stopped server loses none of them. They
 * come out in the order in which they went in. Null where the browser keeps nothing (a private window, a full disk): edits are
 * sent all the same.
 */
function outbox(): Promise<IDBPDatabase<OutboxSchema> | null> {
  opened ??= openDB<OutboxSchema>('zorvik-outbox', 1, {
    upgrade: (database) => void database.createObjectStore('edits', { autoIncrement: true }).createIndex('bySite', 'siteKey'),
  }).catch(() => null);
  return opened;
}

/** Whether the edit is kept now. */
export async function putInOutbox(siteKey: string, edit: Edit): Promise<boolean> {
  const database = await outbox();
  const key = await database?.add('edits', { siteKey, edit }).catch(() => undefined);
  return key !== undefined;
}

export async function takeFromOutbox(ids: ReadonlySet<string>): Promise<void> {
  const transaction = (await outbox())?.transaction('edits', 'readwrite');
  if (transaction === undefined) return;
  for await (const cursor of transaction.store) if (ids.has(cursor.value.edit.id)) await cursor.delete();
  await transaction.done;
}

export async function editsInOutbox(siteKey: string): Promise<Edit[]> {
  const kept = (await (await outbox())?.getAllFromIndex('edits', 'bySite', siteKey)) ?? [];
  return kept.map(({ edit }) => edit);
}
