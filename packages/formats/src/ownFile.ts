/** The latest version of our own formats. */
export const VERSION = 1;

/**
 * What is in a file of one of our own formats, without what says that it is one; or what is wrong with it.
 * `longest`: in characters.
 */
export function readOwnFile(
  text: string,
  format: string,
  longest: number,
): { readonly content: Readonly<Record<string, unknown>> } | { readonly problem: string } {
  if (text.length > longest) return { problem: `it has more than ${longest} characters` };
  let found: unknown;
  try {
    found = JSON.parse(text);
  } catch (error) {
    return { problem: (error as Error).message };
  }
  const {
    $schema: _,
    format: named,
    version,
    ...content
  } = (found ?? {}) as Readonly<Record<string, unknown>>;
  if (named !== format) return { problem: `its “format” is not “${format}”` };
  if (typeof version !== 'number' || version > VERSION)
    return { problem: `its version is ${String(version)}; the latest supported one is ${VERSION}` };
  return { content };
}

/** A file of one of our own formats. `schema`: where its schema can be read. */
export function writeOwnFile(schema: string, format: string, content: object): string {
  return `${JSON.stringify({ $schema: schema, format, version: VERSION, ...content }, null, 2)}\n`;
}
