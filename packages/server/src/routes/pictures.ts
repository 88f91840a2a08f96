import express, { type IRouter, type NextFunction, type Request, type Response } from 'express';
import { can, refusal } from '@zorvik/core';
import { LARGEST_PICTURE_FILE, routes } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { LARGEST_FONT_FILE } from '../editing/makeFont.ts';
import { insertFiles, maybeFile } from '../repositories/files.ts';
import { sendRefusal } from './sendRefusal.ts';
import { siteHead } from './sites.ts';

/** Pictures and fonts come as bytes, and are given back as they are kept: never as what somebody said that they are. */
export function pictureRoutes(router: IRouter, deps: Deps): void {
  const { database, actor, now } = deps;
  const readBytes = express.raw({ type: () => true, limit: LARGEST_PICTURE_FILE });
  const tooLarge = (error: { type?: string }, _: Request, response: Response, next: NextFunction): void => {
    if (error.type === 'entity.too.large')
      sendRefusal(response, refusal('notPicture', { problem: 'it is larger than 5 MB' }));
    else next(error);
  };

  const fontTooLarge = (
    error: { type?: string },
    _: Request,
    response: Response,
    next: NextFunction,
  ): void => {
    if (error.type === 'entity.too.large')
      sendRefusal(response, refusal('notFont', { problem: 'it is larger than 2 MB' }));
    else next(error);
  };

  router.post(
    routes.addPicture.path,
    readBytes,
    async (request: Request, response: Response) => {
      const leave = can(actor, 'edit');
      if (!leave.ok) return sendRefusal(response, leave.refusal);
      const head = await siteHead(deps, String(request.params.siteKey));
      if (!head.ok) return sendRefusal(response, head.refusal);
      const made = await deps.pictures.make(Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0));
      if (!made.ok) return sendRefusal(response, made.refusal);
      const { picture, tones, files } = made.value;
      await database.transaction((tx) =>
        insertFiles(tx, head.value.id, picture.file, files, now().toISOString()),
      );
      response.status(201).json({ picture, tones });
      return undefined;
    },
    tooLarge,
  );

  router.post(
    routes.addFont.path,
    express.raw({ type: () => true, limit: LARGEST_FONT_FILE }),
    async (request: Request, response: Response) => {
      const leave = can(actor, 'edit');
      if (!leave.ok) return sendRefusal(response, leave.refusal);
      const head = await siteHead(deps, String(request.params.siteKey));
      if (!head.ok) return sendRefusal(response, head.refusal);
      const made = await deps.pictures.makeFont(
        Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0),
      );
      if (!made.ok) return sendRefusal(response, made.refusal);
      const { font, looksLike, files } = made.value;
      await database.transaction((tx) =>
        insertFiles(tx, head.value.id, font.file, files, now().toISOString()),
      );
      response.status(201).json({ font, looksLike });
      return undefined;
    },
    fontTooLarge,
  );

  router.get(routes.readPicture.path, async (request: Request, response: Response) => {
    const head = await siteHead(deps, String(request.params.siteKey));
    if (!head.ok) return sendRefusal(response, head.refusal);
    const name = String(request.params.name);
    const found = await maybeFile(database, head.value.id, name);
    if (found === null) return sendRefusal(response, refusal('noPicture', { name }));
    response
      .set({
        'Content-Type': found.type,
        'Cache-Control': 'private, max-age=31536000, immutable',
        // The live header's iframe has no origin of its own.
        'Cross-Origin-Resource-Policy': 'cross-origin',
        // Browsers load fonts only where that is allowed.
        ...(found.type === 'font/woff2' ? { 'Access-Control-Allow-Origin': '*' } : {}),
        // A drawing that is looked at by itself is a picture, too, and no page.
        'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
      })
      .send(found.bytes);
  });
}
