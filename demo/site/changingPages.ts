import { quillmerePages, slugOf, type QuillmerePage } from '../quillmere/pages.ts';

/** One thing that the site does of itself. */
export type SiteChange =
  | { readonly do: 'rename'; readonly path: string; readonly title: string }
  | { readonly do: 'move'; readonly path: string; readonly under: string | null }
  | { readonly do: 'add'; readonly under: string | null; readonly title: string }
  | { readonly do: 'retire'; readonly path: string }
  | { readonly do: 'redirect'; readonly path: string; readonly to: string }
  | { readonly do: 'draft'; readonly path: string };

/** The stand-in's pages, which can be told to change as a real site's do. */
export class ChangingPages {
  readonly pages = new Map(quillmerePages().map((page) => [page.path, page]));
  /** Old addresses, and where they lead now. */
  readonly redirects = new Map<string, string>();

  /** Does a change; gives why not, or null. */
  change(change: SiteChange): string | null {
    if ('path' in change && !this.pages.has(change.path)) return `There is no page at ${change.path}.`;
    if ('under' in change && change.under !== null && !this.pages.has(change.under))
      return `There is no page at ${change.under} to move it under.`;
    switch (change.do) {
      case 'rename':
        this.set(change.path, { title: change.title });
        return null;
      case 'move':
        return this.move(change.path, change.under);
      case 'add': {
        const path = `${change.under ?? ''}/${slugOf(change.title)}`;
        if (this.pages.has(path)) return `There is a page at ${path} already.`;
        const text = `${change.title}: put up by the garden lately, and not in every menu yet.`;
        this.pages.set(path, {
          path,
          parent: change.under,
          title: change.title,
          kind: 'page',
          template: 'page',
          text,
        });
        return null;
      }
      case 'redirect': {
        const page = this.pages.get(change.path);
        if (page === undefined || this.pages.has(change.to))
          return `There is a page at ${change.to} already.`;
        this.readdress(change.path, change.to, page.parent);
        return null;
      }
      case 'retire':
      case 'draft':
        this.pages.delete(change.path);
        for (const child of [...this.pages.values()].filter(({ parent }) => parent === change.path))
          this.set(child.path, { parent: null });
        return null;
    }
  }

  private set(path: string, fields: Partial<QuillmerePage>): void {
    const page = this.pages.get(path);
    if (page !== undefined) this.pages.set(path, { ...page, ...fields });
  }

  private move(path: string, under: string | null): string | null {
    for (let at = under; at !== null; at = this.pages.get(at)?.parent ?? null)
      if (at === path) return `${path} cannot go below itself.`;
    const to = `${under ?? ''}/${path.slice(path.lastIndexOf('/') + 1)}`;
    if (to !== path && this.pages.has(to)) return `There is a page at ${to} already.`;
    this.readdress(path, to, under);
    return null;
  }

  /** Puts a page at another address, those below it with it; the old ones lead there. */
  private readdress(from: string, to: string, parent: string | null): void {
    const entries = [...this.pages];
    this.pages.clear();
    for (const [path, page] of entries) {
      const isBelow = path === from || path.startsWith(`${from}/`);
      const next = isBelow ? to + path.slice(from.length) : path;
      const above =
        page.parent === null
          ? null
          : page.parent === from || page.parent.startsWith(`${from}/`)
            ? to + page.parent.slice(from.length)
            : page.parent;
      this.pages.set(next, { ...page, path: next, parent: path === from ? parent : above });
      if (isBelow && next !== path) this.redirects.set(path, next);
    }
    for (const [old, target] of this.redirects)
      if (this.redirects.has(target)) this.redirects.set(old, this.redirects.get(target) ?? target);
  }
}

function seeded(seed: number): () => number {
  let state = seed >>> 0;
  // Numerical Recipes' linear congruential generator; its low bits are poor, so they are not used.
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state >>> 8;
  };
}

/**
 * About forty changes that a month brings, the same for the same seed: pages are renamed, moved, put up,
 * taken down. Gives how many were done.
 */
export function monthPasses(site: ChangingPages, seed = 11): number {
  const random = seeded(seed);
  let done = 0;
  for (let tries = 0; done < 40 && tries < 200; tries += 1) {
    const paths = [...site.pages.keys()].filter((path) => path !== '/');
    const path = paths[random() % paths.length] ?? '/';
    const other = paths[random() % paths.length] ?? '/';
    const title = site.pages.get(path)?.title ?? '';
    const form = random() % 10;
    const change: SiteChange =
      form < 4
        ? {
            do: 'rename',
            path,
            title: `${title.replace(/ \(.*\)$/, '')} (${['new', 'revised', 'this year', 'complete'][random() % 4] ?? 'new'})`,
          }
        : form < 6
          ? {
              do: 'add',
              under: path.split('/').length > 3 ? other : path,
              title: `${['Notes on', 'More about', 'A day with'][random() % 3] ?? 'On'} ${title.toLowerCase()}`,
            }
          : form < 8
            ? {
                do: 'move',
                path,
                under:
                  path.split('/').length > 2
                    ? (site.pages.get(other)?.parent ?? null)
                    : (site.pages.get(path)?.parent ?? null),
              }
            : form === 8
              ? { do: 'retire', path }
              : { do: 'redirect', path, to: `${path}-${random() % 100}` };
    if (change.do === 'move' && site.pages.get(path)?.parent === change.under) continue;
    if (change.do === 'retire' && [...site.pages.values()].some(({ parent }) => parent === path)) continue;
    if (site.change(change) === null) done += 1;
  }
  return done;
}
