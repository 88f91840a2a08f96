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
 * A reader of the sitemap protocol (sitemaps.org, version 0.9): `urlset` > `url` > `loc`. What extensions add (pictures, other
 * languages, news) is passed over. A document type declaration is refused whole, so no entity is ever defined or expanded.
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
      refuse(refusal('badLocation', { line: parser.line, address: location.trim(), problem: `longer than ${LONGEST_LOCATION} characters` }));
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

  return {
    write(text) {
      length += text.trim().length;
      if (refused === null) parser.write(text);
      return refused === null;
    },
    end() {
      if (length === 0) return no(refusal('emptyFile'));
      if (refused === null) parser.close();
      if (refused !== null) return no(refused);
      return entries.length === 0 ? no(refusal('noPages')) : ok(entries);
    },
    count: () => entries.length,
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
