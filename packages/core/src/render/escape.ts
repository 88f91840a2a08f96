/**
 * The one place where text becomes HTML. Control characters that HTML does not allow (Infra and HTML Standard, "parse errors:
 * control-character-in-input-stream") are dropped, the five significant ones are replaced; fit for text and for quoted attributes.
 */
export function escapeHtml(text: string): string {
  return text.replaceAll(SIGNIFICANT, (found) => replacements[found] ?? '');
}

const SIGNIFICANT =
  // eslint-disable-next-line no-control-regex -- they are what has to be found
  /[&<>"'\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;
const replacements: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };
