/** What a site needs of its delivered navigation. */
export interface Navigation {
  /**
   * The HTML of menus by key, with the link to `path` marked as the current page; empty where there is none.
   */
  readonly menus: (keys: readonly string[], path: string) => Promise<ReadonlyMap<string, string>>;
  readonly file: (path: string) => Promise<string>;
}

/**
 * Asks the delivery address, each time with the tag of what it has: what has not changed costs a 304. When
 * nobody answers, the last known navigation stays, since a site must not go down with its editor.
 */
export function navigationFrom(base: string): Navigation {
  const known = new Map<string, { readonly etag: string; readonly text: string }>();
  const file = async (path: string): Promise<string> => {
    const present = known.get(path);
    const headers = present === undefined ? {} : { 'If-None-Match': present.etag };
    const reply = await fetch(`${base}/${path}`, { headers }).catch(() => null);
    if (reply === null || reply.status === 304) return present?.text ?? '';
    const text = await reply.text();
    if (!reply.ok) return '';
    known.set(path, { etag: reply.headers.get('ETag') ?? '', text });
    return text;
  };
  return {
    file,
    async menus(keys, path) {
      const texts = await Promise.all(keys.map((key) => file(`menus/${key}.html`)));
      return new Map(keys.map((key, at) => [key, withCurrent(texts[at] ?? '', path)]));
    },
  };
}

/** The substitution that the delivery documents: the link whose address is the page's gets `aria-current`. */
function withCurrent(html: string, path: string): string {
  return html.replaceAll(
    `<a href="${path.replaceAll('&', '&amp;').replaceAll('"', '&quot;')}"`,
    (link) => `${link} aria-current="page"`,
  );
}
