import { no, ok, readStyle, refusal, type PortableStyle, type Result } from '@zorvik/core';
import { readOwnFile, writeOwnFile } from '../ownFile.ts';

/** Where the schema of this format can be read; docs/formats/style-1.schema.json is the same. */
export const STYLE_SCHEMA = 'https://zorvik.example/formats/style-1.schema.json';
const FORMAT = 'zorvik-style';
/** The longest text that is read, in characters. */
const LONGEST = 5_000_000;

/** The looks of a site as text, in our own format. */
export function writeStyleFile(style: PortableStyle): string {
  return writeOwnFile(STYLE_SCHEMA, FORMAT, style);
}

/** Reads such a text, or says what is wrong with it and where. */
export function readStyleFile(text: string): Result<PortableStyle> {
  const file = readOwnFile(text, FORMAT, LONGEST);
  const read = 'problem' in file ? file : readStyle(file.content);
  return 'problem' in read
    ? no(refusal('badStyleFile', { problem: read.problem.slice(0, 300) }))
    : ok(read.style);
}
