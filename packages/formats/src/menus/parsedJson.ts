/**
 * What a JSON text in an attribute or a cell says; null when it is none: another program may have one of that
 * name.
 */
export function parsedJson(text: string | undefined): unknown {
  try {
    return text === undefined || text === '' ? null : (JSON.parse(text) as unknown);
  } catch {
    return null;
  }
}
