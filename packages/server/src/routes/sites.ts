import type { IRouter } from 'express';
import { can, no, ok, refusal, toStored, type Result } from '@zorvik/core';
import { routes } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { currentSite } from '../editing/currentSite.ts';
import { makeSite, newSiteFacts } from '../editing/makeSite.ts';
import { maybeEdition } from '../repositories/editions.ts';
import { listSites, maybeSite, type SiteHead } from '../repositories/sites.ts';
import { serve } from './serve.ts';

export function siteRoutes(router: IRouter, deps: Deps): void {
  const { database, actor } = deps;

  serve(router, routes.listSites, async () => ok({ sites: await listSites(database), standIn: deps.standIn }));

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
}

/** The row of the site that a request is about. */
export async function siteHead({ database }: Pick<Deps, 'database'>, key = ''): Promise<Result<SiteHead>> {
  const head = await maybeSite(database, key);
  return head === null ? no(refusal('unknownSite', { key })) : ok(head);
}
