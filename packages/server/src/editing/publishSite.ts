import { DELIVERY, type EditionSummary } from '@zorvik/contract';
import {
  frameProblem,
  frameSource,
  frameTable,
  no,
  ok,
  refusal,
  renderEdition,
  type Result,
} from '@zorvik/core';
import { FRAME, PAGES, SOURCE } from '../delivery/loadEdition.ts';
import { insertEdition } from '../repositories/editions.ts';
import { filesByHash } from '../repositories/files.ts';
import { lockSite, setEdition } from '../repositories/sites.ts';
import type { EditingDeps } from './editingDeps.ts';
import { measureFor } from './measureFor.ts';
import { presentSite } from './presentSite.ts';

export interface ToPublish {
  readonly note: string;
  /** The revision that the person looked at. What they did not see is not published for them. */
  readonly revision: number;
  readonly actor: string;
}

/**
 * Makes an edition of the working copy: the numbered, immutable state that the site is served from now on.
 */
export async function publishSite(
  deps: EditingDeps & { readonly deliveryAddress: string },
  siteKey: string,
  { note, revision, actor }: ToPublish,
): Promise<Result<EditionSummary>> {
  const { database, now, deliveryAddress } = deps;
  return database.transaction(async (tx): Promise<Result<EditionSummary>> => {
    const head = await lockSite(tx, siteKey, null);
    if (head === null) return no(refusal('unknownSite', { key: siteKey }));
    if (head.revision !== revision)
      return no(refusal('staleView', { revision: head.revision, seen: revision }));
    const present = await presentSite(tx, deps, head);
    if (!present.ok) return present;
    const {
      site: { document },
      head: { revision: presentRevision },
    } = present.value;
    const table = frameTable(document);
    const problem = frameProblem(document, table);
    if (problem !== null) return no(problem);
    const measure = await measureFor(tx, head.id, document);
    const { files, pages, frame, uploads, items } = renderEdition(document, {
      compareTitles: new Intl.Collator(document.site.language, { numeric: true }).compare,
      pictures: `${deliveryAddress}${DELIVERY}/sites/${siteKey}/pictures/`,
      table,
      ...(measure === undefined ? {} : { measure }),
    });
    const tables = [
      { path: PAGES, body: JSON.stringify(pages) },
      ...(frame === null ? [] : [{ path: FRAME, body: JSON.stringify(frame) }]),
      { path: SOURCE, body: JSON.stringify(frameSource(document)) },
    ].map((table) => ({ ...table, type: 'application/json; charset=utf-8' }));
    const kept = (await filesByHash(tx, head.id, uploads)).map(({ name, ...file }) => ({
      ...file,
      path: `pictures/${name}`,
    }));
    const edition = {
      number: (head.edition ?? 0) + 1,
      revision: presentRevision,
      at: now().toISOString(),
      actor,
      note,
      items,
    };
    await insertEdition(tx, head.id, edition, [...files, ...tables, ...kept]);
    await setEdition(tx, head, edition.number);
    return ok(edition);
  });
}
