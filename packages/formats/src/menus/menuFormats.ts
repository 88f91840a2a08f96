import { no, refusal, type Result } from '@zorvik/core';
import { csv } from './csv.ts';
import { htmlList } from './htmlList.ts';
import { json } from './json.ts';
import { markdown } from './markdown.ts';
import type { FoundMenu, MenuFormat } from './menuFormat.ts';
import { opml } from './opml.ts';
import { outlineText } from './outlineText.ts';

/** Every format that a menu is brought in and out by. The last reads anything. */
export const menuFormats: readonly MenuFormat[] = [json, opml, htmlList, csv, markdown, outlineText];

/** The most that is read at once, in characters. */
const LONGEST = 10_000_000;

/** Reads a menu in whatever format it is written. */
export function readMenus(text: string): {
  readonly format: MenuFormat;
  readonly found: Result<FoundMenu[]>;
} {
  const format = menuFormats.find(({ isIn }) => isIn(text)) ?? outlineText;
  if (text.length > LONGEST)
    return {
      format,
      found: no(refusal('tooLong', { what: 'a menu to read', length: text.length, most: LONGEST })),
    };
  return { format, found: format.read(text) };
}
