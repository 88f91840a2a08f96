import type { IRouter } from 'express';
import { can, no, ok, refusal, type FrameSource, type ResolvedMenu } from '@zorvik/core';
import { routes, type ResolvedItemData } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { publishSite } from '../editing/publishSite.ts';
import { SOURCE } from '../delivery/loadEdition.ts';
import { filesOf, listEditions, maybeEdition } from '../repositories/editions.ts';
import { serve } from './serve.ts';
import { siteHead } from './sites.ts';

export function editionRoutes(router: IRouter, deps: Deps): void {
  const { database, delivery, actor } = deps;

  serve(router, routes.listEditions, async ({ params }) => {
    const head = await siteHead(deps, params.siteKey);
    return head.ok ? ok({ editions: await listEditions(database, head.value.id) }) : head;
  });

  serve(router, routes.readEdition, async ({ params }) => {
    const head = await siteHead(deps, params.siteKey);
    if (!head.ok) return head;
    const number = Number(params.number);
    const edition =
      Number.isInteger(number) && number > 0 && number < 2 ** 31
        ? await maybeEdition(database, head.value.id, number)
        : null;
    if (edition === null) return no(refusal('notThere', { what: 'edition', id: params.number ?? '' }));
    const files = await filesOf(database, head.value.id, number);
    const menus = files
      .filter(({ path, type }) => path.startsWith('menus/') && type.startsWith('application/json'))
      .map(({ bytes }) => JSON.parse(bytes.toString('utf8')) as MenuData);
    const source = files.find(({ path }) => path === SOURCE);
    return ok({
      edition,
      menus,
      source: source === undefined ? null : (JSON.parse(source.bytes.toString('utf8')) as FrameSource),
    });
  });

  serve(router, routes.publish, async ({ params, body }) => {
    const leave = can(actor, 'publish');
    if (!leave.ok) return leave;
    const siteKey = params.siteKey ?? '';
    const { name, ...wanted } = body;
    const published = await publishSite(deps, siteKey, { ...wanted, actor: name ?? actor.name });
    // Whoever has the answer gets the new edition from then on.
    if (published.ok) await delivery.renew(siteKey, published.value.number);
    return published;
  });
}

type MenuData = Omit<ResolvedMenu, 'items'> & { items: ResolvedItemData[] };
