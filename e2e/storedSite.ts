import { readStored, type SiteDocument, type StoredDocument } from '@zorvik/core';
import type { Person } from './person.ts';
import type { Stack } from './stack.ts';

/** Quillmere as the server has it, once everything is saved. */
export async function storedSite({ editor }: Pick<Stack, 'editor'>, person: Person): Promise<SiteDocument> {
  await person.kept();
  const reply = await fetch(`${editor}/api/v1/sites/quillmere`);
  return readStored(((await reply.json()) as { document: StoredDocument }).document);
}
