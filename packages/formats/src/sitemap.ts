import { SaxesParser } from 'saxes';
import { no, ok, refusal, type Refusal, type Result } from '@zorvik/core';

/** One address of a sitemap, and the line it stands on. */
export interface SitemapEntry {
  readonly location: string;
  readonly line: number;
}

export interface SitemapLimits {
  /** The protocol allows 50,000 addresses a file; we read more unless told otherwise. */
  readonly most: number;
}

/** Reads a sitemap piece by piece, so that a large one does not hold up a server. */
export interface SitemapReader {
  /** Takes the next piece of text; false when reading can stop, since the file is refused. */
  readonly write: (text: string) => boolean;
  readonly end: () => Result<SitemapEntry[]>;
  readonly count: () => number;
}

const LONGEST_LOCATION = 2048;

/**
 * A reader of the sitemap protocol (sitemaps.org, version 0.9): `urlset` > `url` > `loc`. What extensions add
 * (pictures, other languages, news) is passed over. A document type declaration is refused whole, so no
 * entity is ever defined or expanded.
 */
export function sitemapReader({ most }: SitemapLimits): SitemapReader {
  const parser = new SaxesParser({ position: true });
  const entries: SitemapEntry[] = [];
  const path: string[] = [];
  let refused: Refusal | null = null;
  let location: string | null = null;
  let hasLocation = false;
  let urlLine = 0;
  let length = 0;
  let firstLine = 1;
  const refuse = (one: Refusal): void => {
    refused ??= one;
  };

  parser.on('error', ({ message }) => {
    refuse(refusal('notXml', { line: parser.line, column: parser.column, problem: problemIn(message) }));
  });
  parser.on('doctype', () => refuse(refusal('hasDoctype', { line: parser.line })));
  parser.on('opentag', ({ name }) => {
    if (path.length === 0) checkRoot(name, parser.line, refuse);
    path.push(name);
    if (path.length === 2 && localName(name) === 'url') {
      hasLocation = false;
      urlLine = parser.line;
    }
    if (path.length === 3 && localName(name) === 'loc' && localName(path[1] ?? '') === 'url') location = '';
  });
  const take = (text: string): void => {
    if (location === null || path.length !== 3) return;
    location += text;
    if (location.length > LONGEST_LOCATION * 2) {
      refuse(
        refusal('badLocation', {
          line: parser.line,
          address: location.trim(),
          problem: `longer than ${LONGEST_LOCATION} characters`,
        }),
      );
    }
  };
  parser.on('text', take);
  parser.on('cdata', take);
  parser.on('closetag', () => {
    const name = localName(path.pop() ?? '');
    if (path.length === 2 && location !== null) {
      hasLocation = true;
      if (entries.length >= most) refuse(refusal('tooManyPages', { line: parser.line, most }));
      else entries.push({ location: location.trim(), line: parser.line });
      location = null;
    }
    if (path.length === 1 && name === 'url' && !hasLocation) refuse(refusal('noLocation', { line: urlLine }));
  });

  const ampersand = bareAmpersand();
  return {
    write(text) {
      const start = text.replace(/^\ufeff/, '').trimStart();
      if (length === 0) {
        firstLine += text.slice(0, text.length - start.length).split('\n').length - 1;
        const problem = `“${start.slice(0, 1)}” is not allowed here; “<” was expected`;
        if (start !== '' && !start.startsWith('<'))
          refuse(refusal('notXml', { line: firstLine, column: 1, problem }));
      }
      length += start.length;
      ampersand.look(text);
      if (refused === null) parser.write(text);
      return refused === null;
    },
    end() {
      if (length === 0) return no(refusal('emptyFile'));
      if (refused === null) parser.close();
      const bare = ampersand.found();
      if (refused !== null && isAtEnd(refused) && bare !== null)
        return no(
          refusal('notXml', { ...bare, problem: 'a “&” that begins no entity; it is written “&amp;”' }),
        );
      if (refused !== null) return no(refused);
      return entries.length === 0 ? no(refusal('noPages')) : ok(entries);
    },
    count: () => entries.length,
  };
}

/** Whether a refusal tells only what was missing at the end of the file. */
function isAtEnd({ params }: Refusal): boolean {
  return String(params.problem).startsWith('unclosed tag');
}

/**
 * Finds the first “&” that begins no entity. The parser takes all up to the next “;”, however far, for the
 * entity's name, and complains where the file ends: no place that would help anybody.
 */
function bareAmpersand(): {
  readonly look: (text: string) => void;
  readonly found: () => { line: number; column: number } | null;
} {
  let line = 1;
  let column = 1;
  let held = '';
  let place: { line: number; column: number } | null = null;
  return {
    found: () => place,
    look(text) {
      if (place !== null) return;
      const all = held + text;
      // What may go on in the next piece is held back.
      const open = /&[#\w]{0,12}$/.exec(all);
      const whole = open === null ? all : all.slice(0, open.index);
      held = open === null ? '' : open[0];
      const at = whole.search(/&(?!(?:#\d+|#x[\da-f]+|[a-z]\w*);)/i);
      const before = at < 0 ? whole : whole.slice(0, at);
      const lines = before.split('\n');
      column = (lines.length === 1 ? column : 1) + (lines.at(-1)?.length ?? 0);
      line += lines.length - 1;
      if (at >= 0) place = { line, column };
    },
  };
}

/** Reads a whole sitemap at once. */
export function readSitemap(text: string, limits: SitemapLimits): Result<SitemapEntry[]> {
  const reader = sitemapReader(limits);
  for (let at = 0; at < text.length; at += PIECE) if (!reader.write(text.slice(at, at + PIECE))) break;
  return reader.end();
}

const PIECE = 65_536;

function checkRoot(name: string, line: number, refuse: (one: Refusal) => void): void {
  const root = localName(name);
  if (root === 'sitemapindex') refuse(refusal('isIndex', { line }));
  else if (root !== 'urlset') refuse(refusal('wrongRoot', { line, found: name }));
}

function localName(name: string): string {
  return name.slice(name.indexOf(':') + 1);
}

/** The parser's message without the place that it puts in front; the refusal says it itself. */
function problemIn(message: string): string {
  return message.replace(/^\d+:\d+:\s*/, '').replace(/\.$/, '');
}
