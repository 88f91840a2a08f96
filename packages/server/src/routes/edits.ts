import type { IRouter } from 'express';
import { can, ok } from '@zorvik/core';
import { routes } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { goBack } from '../editing/goBack.ts';
import { saveEdit, type Saved } from '../editing/saveEdit.ts';
import { editsToSend, historyBefore, ownEdits } from '../repositories/log.ts';
import { serve } from './serve.ts';
import { siteHead } from './sites.ts';

/** How many lines of the history come at once. */
const PAGE = 100;

export function editRoutes(router: IRouter, deps: Deps): void {
  const { database, actor } = deps;
  const sent = ({ epoch, revision, edits }: Saved) =>
    ok({ epoch, revision, edits: [...edits], isCut: false });

  serve(router, routes.readEdits, async ({ params, query }) => {
    const head = await siteHead(deps, params.siteKey);
    if (!head.ok) return head;
    const { id, epoch, revision } = head.value;
    if (query.session !== undefined)
      return ok({
        epoch,
        revision,
        edits: await ownEdits(database, id, query.session, query.since),
        isCut: false,
      });
    const edits = await editsToSend(database, id, query.since, revision);
    return ok({ epoch, revision, edits: edits ?? [], isCut: edits === null });
  });

  serve(router, routes.saveEdit, async ({ params, query: { name, ...known }, body }) => {
    const leave = can(actor, 'edit');
    if (!leave.ok) return leave;
    const saved = await saveEdit(deps, params.siteKey ?? '', body, name ?? actor.name, known);
    return saved.ok ? sent(saved.value) : saved;
  });

  serve(router, routes.readHistory, async ({ params, query }) => {
    const head = await siteHead(deps, params.siteKey);
    if (!head.ok) return head;
    const { id, revision } = head.value;
    const { lines, next } = await historyBefore(
      database,
      id,
      query.before ?? revision + 1,
      query.about ?? null,
      PAGE,
    );
    return ok({ lines: [...lines], next });
  });

  serve(router, routes.goBack, async ({ params, query: { name }, body }) => {
    const leave = can(actor, 'edit');
    if (!leave.ok) return leave;
    const saved = await goBack(deps, params.siteKey ?? '', { ...body, actor: name ?? actor.name });
    return saved.ok ? sent(saved.value) : saved;
  });
}
