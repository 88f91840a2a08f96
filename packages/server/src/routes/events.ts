import type { IRouter, Response } from 'express';
import { ok } from '@zorvik/core';
import { peopleKey, routes } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { notify } from '../repositories/sites.ts';
import { serve } from './serve.ts';
import { siteHead } from './sites.ts';

export function eventRoutes(router: IRouter, deps: Deps): void {
  const { database, hub, presence } = deps;

  router.get(routes.events.path, (_, response: Response) => hub.join(response));

  serve(router, routes.tellPresence, async ({ params, body: { isLeaving, known, ...person } }) => {
    const head = await siteHead(deps, params.siteKey);
    if (!head.ok) return head;
    const site = head.value.key;
    await notify(
      database,
      isLeaving ? { kind: 'left', site, session: person.session } : { kind: 'here', site, person },
    );
    const people = presence.people(site);
    return ok({ people: known === peopleKey(people) ? null : people });
  });
}
