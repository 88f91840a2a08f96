import express, { type IRouter, type Request, type Response } from 'express';
import { can, mintId, type Intent, type Result } from '@zorvik/core';
import { ImportLineShape, routes, type ImportLine, type NewSite } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { importPageList, makeSiteOfPages, readPageList, type Imported } from '../editing/importSitemap.ts';
import { newSiteFacts } from '../editing/makeSite.ts';
import { checkOf, checkStoredOf, problemIn } from '../shapeCheck.ts';
import { envelope, sendRefusal } from './sendRefusal.ts';

const checkLine = checkStoredOf(ImportLineShape);

/**
 * Sitemaps come as bytes. A file that cannot be read is refused before anything is stored; from then on the
 * reply is a stream of JSON lines that tells how far it is.
 */
export function importRoutes(router: IRouter, deps: Deps): void {
  const readBytes = express.raw({ type: () => true, limit: deps.importLimit });
  const common = { actor: deps.actor.name, random: deps.random };
  const checkNew = checkOf(routes.makeSiteFromSitemap.query);
  const checkImport = checkOf(routes.importPages.query);

  router.post(routes.makeSiteFromSitemap.path, readBytes, async (request: Request, response: Response) => {
    const list = await pageListOf(request, response, deps, 'makeSite', checkNew);
    if (list === null) return;
    const facts = await newSiteFacts(deps, request.query as unknown as NewSite, list.origin, deps.random);
    if (!facts.ok) return sendRefusal(response, facts.refusal);
    const lines = progressLines(response);
    const session = mintId('session', deps.random);
    const made = await unlessStopped(
      makeSiteOfPages(deps, facts.value, {
        list,
        missing: 'keep',
        session,
        ...common,
        onWritten: lines.stored,
      }),
    );
    if (made !== null) lines.end(facts.value.key, made);
  });

  router.post(routes.importPages.path, readBytes, async (request: Request, response: Response) => {
    const list = await pageListOf(request, response, deps, 'importPages', checkImport);
    if (list === null) return;
    const siteKey = String(request.params.siteKey);
    const { missing, session, name } = request.query as {
      missing: 'keep' | 'retire';
      session: string;
      name?: string;
    };
    const lines = progressLines(response);
    const wanted = {
      list,
      missing,
      session,
      ...common,
      ...(name === undefined ? {} : { actor: name }),
      onWritten: lines.stored,
    };
    const read = await unlessStopped(importPageList(deps, siteKey, wanted));
    if (read !== null) lines.end(siteKey, read);
  });
}

/** The pages that a request brings; null when the request has been refused already. */
async function pageListOf(
  request: Request,
  response: Response,
  { actor }: Deps,
  intent: Intent,
  checkQuery: ReturnType<typeof checkOf>,
) {
  const leave = can(actor, intent);
  const wrong = leave.ok ? problemIn(checkQuery, request.query, 'the query') : leave.refusal;
  if (wrong !== null) {
    sendRefusal(response, wrong);
    return null;
  }
  const list = await readPageList(Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0));
  if (list.ok) return list.value;
  sendRefusal(response, list.refusal);
  return null;
}

/** The person who asked for an import has stopped it. */
class Stopped extends Error {}

/** What an import came to; null when it was stopped. */
async function unlessStopped<T>(work: Promise<T>): Promise<T | null> {
  return work.catch((error: unknown) => {
    if (error instanceof Stopped) return null;
    throw error;
  });
}

interface ProgressLines {
  readonly stored: (done: number, of: number) => void;
  readonly end: (site: string, result: Result<Imported>) => void;
}

/**
 * The reply starts with the first line: what is refused before that is an ordinary refusal with its status.
 */
function progressLines(response: Response): ProgressLines {
  const write = (line: ImportLine): void => {
    const bad = problemIn(checkLine, line, 'the reply');
    if (bad !== null) throw new Error(bad.message);
    if (!response.headersSent)
      response.status(201).set({
        'Content-Type': 'application/x-ndjson; charset=utf-8',
        'Cache-Control': 'no-store, no-transform',
      });
    response.write(`${JSON.stringify(line)}\n`);
  };
  return {
    stored(stored, of) {
      // Who stopped it, or closed the window, wants none of it: the transaction that this is called in is
      // rolled back.
      if (response.destroyed) throw new Stopped();
      write({ stored, of });
    },
    end(site, result) {
      if (!result.ok && !response.headersSent) return sendRefusal(response, result.refusal);
      write(result.ok ? { done: { site, ...result.value } } : envelope(result.refusal));
      response.end();
    },
  };
}
