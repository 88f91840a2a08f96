import type { IRouter } from 'express';
import { can, ok } from '@zorvik/core';
import { routes } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { saveEdit } from '../editing/saveEdit.ts';
import { editsSince } from '../repositories/log.ts';
import { serve } from './serve.ts';
import { siteHead } from './sites.ts';

const MOST_EDITS = 1000;

export function editRoutes(router: IRouter, deps: Deps): void {
  serve(router, routes.readEdits, async ({ params, query }) => {
    const head = await siteHead(deps, params.siteKey);
    if (!head.ok) return head;
    const { id, revision } = head.value;
    return ok({ revision, edits: await editsSince(deps.database, id, query.since, MOST_EDITS) });
  });

  serve(router, routes.saveEdit, async ({ params, body }) => {
    const leave = can(deps.actor, 'edit');
    if (!leave.ok) return leave;
    const saved = await saveEdit(deps, params.siteKey ?? '', body, deps.actor.name);
    return saved.ok ? ok({ revision: saved.value.revision, edits: [...saved.value.edits] }) : saved;
  });
}
