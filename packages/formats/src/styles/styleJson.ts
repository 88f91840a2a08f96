import { no, ok, readStyle, refusal, type PortableStyle, type Result } from '@zorvik/core';

/** Where the schema of this format can be read; docs/formats/style-1.schema.json is the same. */
export const STYLE_SCHEMA = 'https://zorvik.example/formats/style-1.schema.json';
const VERSION = 1;
/** The longest text that is read, in characters. */
const LONGEST = 5_000_000;

/** The looks of a site as text, in our own format. */
export function writeStyleFile(style: PortableStyle): string {
  const file = { $schema: STYLE_SCHEMA, format: 'zorvik-style', version: VERSION, ...style };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/** Reads such a text, or says what is wrong with it and where. */
export function readStyleFile(text: string): Result<PortableStyle> {
  const wrong = (problem: string): Result<never> =>
    no(refusal('badStyleFile', { problem: problem.slice(0, 300) }));
  if (text.length > LONGEST) return wrong(`it has more than ${LONGEST} characters`);
  let found: unknown;
  try {
    found = JSON.parse(text);
  } catch (error) {
    return wrong((error as Error).message);
  }
  const { $schema: _, format, version, ...style } = (found ?? {}) as Readonly<Record<string, unknown>>;
  if (format !== 'zorvik-style') return wrong('its “format” is not “zorvik-style”');
  if (typeof version !== 'number' || version > VERSION)
    return wrong(`its version is ${String(version)}; the latest supported one is ${VERSION}`);
  const read = readStyle(style);
  return 'problem' in read ? wrong(read.problem) : ok(read.style);
}
