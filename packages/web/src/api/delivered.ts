import { DELIVERY } from '@zorvik/contract';

/** What the live edition of a site delivers at a path, as text; null: nothing, or nobody answers. */
export async function delivered(siteKey: string, path: string): Promise<string | null> {
  const reply = await fetch(`${DELIVERY}/sites/${siteKey}/${path}`).catch(() => null);
  return reply?.ok === true ? reply.text() : null;
}
