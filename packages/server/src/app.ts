import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { API, DELIVERY, openApi, PREVIEW } from '@zorvik/contract';
import { sendPreview } from './delivery/sendPreview.ts';
import type { Deps } from './deps.ts';
import { previewsIn } from './editing/answerPreview.ts';
import { ReadingDesk } from './reading/readingDesk.ts';
import { archiveRoutes } from './routes/archive.ts';
import { editRoutes } from './routes/edits.ts';
import { editionRoutes } from './routes/editions.ts';
import { eventRoutes } from './routes/events.ts';
import { failures, unknownPath } from './routes/failures.ts';
import { guardHost, guardOrigin } from './routes/guard.ts';
import { importRoutes } from './routes/imports.ts';
import { pictureRoutes } from './routes/pictures.ts';
import { previewRoutes } from './routes/previews.ts';
import { readingRoutes } from './routes/reading.ts';
import { siteRoutes } from './routes/sites.ts';

/** The whole application over what it is given. It does not listen and starts nothing. */
export function createApp(deps: Deps, desk: ReadingDesk = new ReadingDesk(deps)): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(readablePath);
  app.set('etag', false);
  // Delivery comes first: it is asked most and needs none of what follows.
  app.use(DELIVERY, (request, response, next) => {
    deps.delivery.answer(request, response, request.url).catch(next);
  });
  const preview = previewsIn(deps);
  app.use(PREVIEW, (request, response, next) => {
    sendPreview(request, response, preview, request.url).catch(next);
  });
  app.get('/healthz', (_, response) => void response.json({ status: 'ok', version: 1 }));
  // What answers a POST is small, or a stream that must not be held back.
  const packed = compression({
    // JSON lines are text, too: a large site is 20 MB without it.
    filter: (request, response) =>
      String(response.getHeader('Content-Type')).startsWith('application/x-ndjson') ||
      compression.filter(request, response),
  });
  app.use((request, response, next) => (request.method === 'GET' ? packed(request, response, next) : next()));
  app.use(API, plainAnswers, guardHost, guardOrigin);
  app.use(api(deps, desk));
  app.use(API, unknownPath);
  if (deps.webFolder !== null) app.use(editor(deps.webFolder));
  app.use(unknownPath);
  app.use(failures(deps));
  return app;
}

/** The editor's API. The contract's paths are whole ones, so the router stands at the root. */
function api(deps: Deps, desk: ReadingDesk): RequestHandler {
  const router = express.Router();
  let description: object | null = null;
  router.get(`${API}/openapi.json`, (_, response) => void response.json((description ??= openApi())));
  archiveRoutes(router, deps);
  importRoutes(router, deps);
  pictureRoutes(router, deps);
  router.use(API, express.json({ limit: deps.bodyLimit, strict: false, type: () => true }));
  editRoutes(router, deps);
  previewRoutes(router, deps);
  readingRoutes(router, deps, desk);
  siteRoutes(router, deps);
  editionRoutes(router, deps);
  eventRoutes(router, deps);
  return router;
}

/** No path of ours has the character U+0000, and no database takes it. */
const readablePath: RequestHandler = (request, response, next) =>
  /%00/.test(request.path) ? unknownPath(request, response) : next();

/**
 * Answers of the API are data: nobody is to guess that they are something else, or to show them in a frame.
 */
const plainAnswers: RequestHandler = (_, response, next) => {
  response.setHeader('X-Content-Type-Options', 'nosniff');
  response.setHeader('Content-Security-Policy', "default-src 'none'; frame-ancestors 'none'");
  response.setHeader('Cross-Origin-Resource-Policy', 'same-origin');
  next();
};

/**
 * The policy of the editor's own pages: nothing from elsewhere; Vuetify writes its theme into a style
 * element.
 */
const editorPolicy = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:'],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  crossOriginEmbedderPolicy: false,
});

/** The live header runs in a sandbox of its own: it may load its script and fonts, and ask for nothing. */
const liveHeaders: RequestHandler = (request, response, next) => {
  const self = `http://${request.headers.host ?? ''}`;
  response.set({
    'Content-Security-Policy': `default-src 'none'; script-src ${self}; style-src ${self} 'unsafe-inline'; font-src ${self}; img-src ${self} data:; base-uri 'none'; form-action 'none'; frame-ancestors 'self'; sandbox allow-scripts`,
    'X-Content-Type-Options': 'nosniff',
    'Referrer-Policy': 'no-referrer',
  });
  next();
};

function editor(folder: string): RequestHandler {
  const router = express.Router();
  // The sandboxed live header has no origin of its own, so its fonts and scripts must be open to any.
  const assets = express.static(join(folder, 'assets'), {
    immutable: true,
    maxAge: '1y',
    setHeaders: (response) => void response.set('Access-Control-Allow-Origin', '*'),
  });
  router.use('/assets', assets, unknownPath);
  for (const page of ['live.html', 'frame.html', 'sheet.html', 'contact.html'])
    router.get(`/${page}`, plainAnswers, guardHost, liveHeaders, (_, response) =>
      response.sendFile(join(folder, page)),
    );
  router.use(editorPolicy, guardHost, express.static(folder, { index: false, cacheControl: false }));
  router.get(
    '/{*splat}',
    (_, response) => void response.set('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html')),
  );
  return router;
}
