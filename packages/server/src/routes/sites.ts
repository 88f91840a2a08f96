import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { IRouter, Request, Response } from 'express';
import {
  can,
  FORMAT,
  no,
  ok,
  piecesOf,
  refusal,
  toStored,
  type Result,
  type SiteDocument,
} from '@zorvik/core';
import { routes, type SiteLine } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { currentSite } from '../editing/currentSite.ts';
import { deletedSites, deleteSite, restoreSite } from '../editing/deleteSite.ts';
import { makeSite, newSiteFacts } from '../editing/makeSite.ts';
import { othersTurn } from '../othersTurn.ts';
import { maybeEdition } from '../repositories/editions.ts';
import { listSites, maybeSite, type SiteHead } from '../repositories/sites.ts';
import { sendRefusal } from './sendRefusal.ts';
import { serve } from './serve.ts';

export function siteRoutes(router: IRouter, deps: Deps): void {
  const { database, actor } = deps;

  serve(router, routes.listSites, async () =>
    ok({
      sites: await listSites(database),
      deleted: await deletedSites(deps),
      standIn: deps.standIn,
      delivery: deps.deliveryAddress,
    }),
  );

  serve(router, routes.deleteSite, async ({ params, body }) => {
    const leave = can(actor, 'removeSite');
    return leave.ok ? deleteSite(deps, params.siteKey ?? '', body.name) : leave;
  });

  serve(router, routes.restoreSite, async ({ params }) => {
    const leave = can(actor, 'removeSite');
    return leave.ok ? restoreSite(deps, params.siteKey ?? '') : leave;
  });

  serve(router, routes.makeSite, async ({ body }) => {
    const leave = can(actor, 'makeSite');
    if (!leave.ok) return leave;
    const facts = await newSiteFacts(deps, body, '', deps.random);
    if (!facts.ok) return facts;
    await makeSite(deps, facts.value);
    const { key, name, origin } = facts.value;
    return ok({ key, name, origin, revision: 0, pages: 0, menus: 0, edition: null });
  });

  serve(router, routes.readSite, async ({ params }) => {
    const current = await currentSite(deps, params.siteKey ?? '');
    if (!current.ok) return current;
    const { head, site } = current.value;
    const edition = head.edition === null ? null : await maybeEdition(database, head.id, head.edition);
    return ok({ epoch: head.epoch, revision: head.revision, document: toStored(site.document), edition });
  });

  router.get(routes.readSiteInPieces.path, async (request: Request, response: Response) => {
    const current = await currentSite(deps, String(request.params.siteKey));
    if (!current.ok) return sendRefusal(response, current.refusal);
    const { head, site } = current.value;
    const edition = head.edition === null ? null : await maybeEdition(database, head.id, head.edition);
    response.set({ 'Content-Type': 'application/x-ndjson; charset=utf-8', 'Cache-Control': 'no-store' });
    const lines = linesOf(
      { epoch: head.epoch, revision: head.revision, format: FORMAT, site: site.document.site, edition },
      site.document,
    );
    await pipeline(Readable.from(lines), response);
  });
}

type Head = Extract<SiteLine, { head: unknown }>['head'];
/** How many nodes a line has: some 100 KB, which a browser reads between two frames. */
const PIECE = 400;

async function* linesOf(head: Head, document: SiteDocument): AsyncGenerator<string> {
  const line = (one: SiteLine): string => `${JSON.stringify(one)}\n`;
  yield line({ head });
  for (const piece of piecesOf(document, PIECE)) {
    yield line(piece as SiteLine);
    await othersTurn();
  }
  yield line({ isWhole: true });
}

/** The row of the site that a request is about. */
export async function siteHead({ database }: Pick<Deps, 'database'>, key = ''): Promise<Result<SiteHead>> {
  const head = await maybeSite(database, key);
  return head === null ? no(refusal('unknownSite', { key })) : ok(head);
}
