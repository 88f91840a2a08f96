import type { IRouter, Request, Response } from 'express';
import { can } from '@zorvik/core';
import { routes } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { restoreArchive } from '../editing/restoreArchive.ts';
import { writeArchive } from '../repositories/archive.ts';
import { sendRefusal } from './sendRefusal.ts';
import { checkOf, problemIn } from '../shapeCheck.ts';

/** Archives go through as streams, both ways: they may be larger than memory. */
export function archiveRoutes(router: IRouter, deps: Deps): void {
  const { database, actor, now } = deps;
  const checkQuery = checkOf(routes.restoreArchive.query);

  router.get(routes.readArchive.path, async (_: Request, response: Response) => {
    const leave = can(actor, 'archive');
    if (!leave.ok) return sendRefusal(response, leave.refusal);
    const name = `zorvik-${now().toISOString().slice(0, 10)}.tar.gz`;
    response.status(200).set({
      'Content-Type': 'application/gzip',
      'Content-Disposition': `attachment; filename="${name}"`,
      'Cache-Control': 'no-store, no-transform',
    });
    await writeArchive(database, now(), response);
  });

  router.post(routes.restoreArchive.path, async (request: Request, response: Response) => {
    const leave = can(actor, 'archive');
    const wrong = leave.ok ? problemIn(checkQuery, request.query, 'the query') : leave.refusal;
    if (wrong !== null) return sendRefusal(response, wrong);
    const restored = await restoreArchive(database, request, {
      isReplacing: request.query.replace === 'yes',
    });
    if (!restored.ok) return sendRefusal(response, restored.refusal);
    const { madeAt, rows } = restored.value;
    response.set('Cache-Control', 'no-store').json({ madeAt, rows });
  });
}
