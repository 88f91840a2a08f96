/** What is around the content of a page, as HTML; empty where there is nothing. */
export interface Frame {
  readonly skip: string;
  readonly header: string;
  readonly side: string;
  readonly footer: string;
}

/** What a site needs of its delivered navigation. */
export interface Navigation {
  /** The frame of a page, with marks on the links to it and to what is above it. */
  readonly frame: (path: string) => Promise<Frame>;
  readonly file: (path: string) => Promise<string>;
}

/** What a page has around it before anything was published. */
const BARE: Frame = { skip: '', header: '', side: '', footer: '' };

/** How many answers are kept; those asked for least lately go first. */
const MOST_KNOWN = 400;

/**
 * Asks the delivery address, each time with the tag of what it has: what has not changed costs a 304. When
 * nobody answers, the last known navigation stays, since a site must not go down with its editor: for a page
 * that nobody has asked for before, what another page was given, without its marks.
 */
export function navigationFrom(base: string): Navigation {
  const known = new Map<string, { readonly etag: string; readonly text: string }>();
  const latest = new Map<string, string>();
  const keep = (path: string, etag: string, text: string): void => {
    known.delete(path);
    known.set(path, { etag, text });
    latest.set(withoutQuery(path), text);
    for (const oldest of known.keys()) {
      if (known.size <= MOST_KNOWN) break;
      known.delete(oldest);
    }
  };
  const file = async (path: string): Promise<string> => {
    const present = known.get(path);
    const headers = present === undefined ? {} : { 'If-None-Match': present.etag };
    const reply = await fetch(`${base}/${path}`, { headers }).catch(() => null);
    if (reply === null) return present?.text ?? withoutMarks(latest.get(withoutQuery(path)) ?? '');
    if (reply.status === 304) return present?.text ?? '';
    const text = await reply.text();
    if (!reply.ok) return '';
    keep(path, reply.headers.get('ETag') ?? '', text);
    return text;
  };
  return {
    file,
    async frame(path) {
      const query = `page=${encodeURIComponent(path)}`;
      const text = await file(`frame?${query}`);
      if (text !== '') return JSON.parse(text) as Frame;
      // An edition from before there were frames: its menus alone.
      const [main, footer] = await Promise.all(
        ['main', 'footer'].map((key) => file(`menus/${key}.html?${query}`)),
      );
      return {
        ...BARE,
        header: main === '' ? '' : `<header>${main}</header>`,
        footer: footer === '' ? '' : `<footer>${footer}</footer>`,
      };
    },
  };
}

function withoutQuery(path: string): string {
  return path.replace(/\?.*$/, '');
}

function withoutMarks(html: string): string {
  // Within JSON, quotes are escaped.
  return html.replaceAll(/ aria-current=\\?"\w+\\?"/g, '');
}
