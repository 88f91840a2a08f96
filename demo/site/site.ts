import { fileURLToPath } from 'node:url';
import express, { type Express } from 'express';
import type { QuillmerePage } from '../quillmere/pages.ts';
import { ChangingPages, monthPasses, type SiteChange } from './changingPages.ts';
import { navigationFrom, type Navigation } from './navigation.ts';
import { pageHtml } from './pageHtml.ts';

/**
 * A stand-in for the customer's own site: it serves a page for each of Quillmere's, and puts the navigation
 * that Zorvik delivers into its template. It knows nothing of Zorvik but the delivery address.
 */
export function createSite(deliveryAddress: string, origin: () => string): Express {
  const changing = new ChangingPages();
  const { pages, redirects } = changing;
  const navigation: Navigation = navigationFrom(`${deliveryAddress}/delivery/v1/sites/quillmere`);
  const app = express();
  app.disable('x-powered-by');
  app.use('/assets', express.static(fileURLToPath(new URL('./assets', import.meta.url)), { maxAge: '1d' }));
  app.get(
    '/sitemap.xml',
    (_, response) => void response.type('application/xml').send(sitemap([...pages.values()], origin())),
  );
  app.get(
    '/navigation.css',
    (_, response, next) =>
      void navigation.file('navigation.css').then((text) => response.type('css').send(text), next),
  );
  app.get(
    '/navigation.js',
    (_, response, next) =>
      void navigation.file('navigation.js').then((text) => response.type('js').send(text), next),
  );
  // What the script fetches when a panel is opened first stands beside the script.
  app.get('/panels/:menu/:file', (request, response, next) => {
    const { menu, file } = request.params;
    void navigation.file(`panels/${menu}/${file}`).then(
      (text) =>
        response
          .status(text === '' ? 404 : 200)
          .type('html')
          .send(text),
      next,
    );
  });
  app.get('/search', async (request, response) => {
    const asked = typeof request.query.q === 'string' ? request.query.q.trim() : '';
    const scope = typeof request.query.in === 'string' ? `/${request.query.in}` : '/';
    const found =
      asked === ''
        ? []
        : [...pages.values()].filter(
            ({ path, title }) => path.startsWith(scope) && title.toLowerCase().includes(asked.toLowerCase()),
          );
    const frame = await navigation.frame('/search');
    const page = {
      path: '/search',
      parent: null,
      title: 'Search',
      kind: 'page' as const,
      template: 'page',
      text:
        asked === '' ? 'Type a word to search for.' : `${found.length} pages have “${asked}” in their title.`,
    };
    response
      .type('html')
      .send(pageHtml({ path: '/search', page, trail: [], children: found.slice(0, 40), frame }));
  });
  // What a real site does of itself, this one is told: it listens on this machine alone.
  app.post('/control', express.json(), (request, response) => {
    const problem = changing.change(request.body as SiteChange);
    response
      .status(problem === null ? 200 : 422)
      .json(problem === null ? { pages: pages.size } : { problem });
  });
  app.post(
    '/control/month',
    (_, response) => void response.json({ changes: monthPasses(changing), pages: pages.size }),
  );
  app.get('/{*splat}', async (request, response) => {
    const path = request.path.replace(/\/+$/, '') || '/';
    const target = redirects.get(path);
    if (target !== undefined && !pages.has(path)) return response.redirect(301, target);
    const page = pages.get(path);
    const frame = await navigation.frame(path);
    const children = [...pages.values()].filter(({ parent }) => parent === path);
    response
      .status(page === undefined ? 404 : 200)
      .type('html')
      .send(pageHtml({ path, page: page ?? null, trail: trailOf(page, pages), children, frame }));
  });
  return app;
}

function trailOf(
  page: QuillmerePage | undefined,
  pages: ReadonlyMap<string, QuillmerePage>,
): QuillmerePage[] {
  const trail: QuillmerePage[] = [];
  for (let at = page; at !== undefined; at = at.parent === null ? undefined : pages.get(at.parent))
    trail.unshift(at);
  return trail.slice(0, -1);
}

function sitemap(pages: readonly QuillmerePage[], origin: string): string {
  const urls = pages.map(({ path }) => `  <url><loc>${origin}${path}</loc></url>`);
  return `<?xml version="1.0" encoding="UTF-8"?>\n<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">\n${urls.join('\n')}\n</urlset>\n`;
}
