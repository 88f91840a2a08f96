import type { IRouter } from 'express';
import { can, no, ok, refusal } from '@zorvik/core';
import { routes } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { PREVIEW_LASTS, previewToken } from '../editing/answerPreview.ts';
import { insertPreview, listPreviews, removeEndedPreviews, removePreview } from '../repositories/previews.ts';
import { serve } from './serve.ts';
import { siteHead } from './sites.ts';

/** Private addresses of the working copy: made, listed, revoked. */
export function previewRoutes(router: IRouter, deps: Deps): void {
  const { database, actor, now } = deps;

  serve(router, routes.listPreviews, async ({ params }) => {
    const head = await siteHead(deps, params.siteKey);
    if (!head.ok) return head;
    return ok({ previews: await listPreviews(database, head.value.id, now().toISOString()) });
  });

  serve(router, routes.makePreview, async ({ params, body }) => {
    const leave = can(actor, 'edit');
    if (!leave.ok) return leave;
    const head = await siteHead(deps, params.siteKey);
    if (!head.ok) return head;
    const at = now();
    const preview = {
      token: previewToken(),
      endsAt: new Date(at.getTime() + PREVIEW_LASTS).toISOString(),
      actor: body.name ?? actor.name,
    };
    await removeEndedPreviews(database, at.toISOString());
    await insertPreview(database, head.value.id, preview);
    return ok(preview);
  });

  serve(router, routes.revokePreview, async ({ params, body }) => {
    const leave = can(actor, 'edit');
    if (!leave.ok) return leave;
    const head = await siteHead(deps, params.siteKey);
    if (!head.ok) return head;
    const isDone = await removePreview(database, head.value.id, body.token);
    return isDone ? ok({ token: body.token }) : no(refusal('noPreview'));
  });
}
