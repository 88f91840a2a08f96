/**
 * The one place where text becomes HTML. Control characters that HTML does not allow (Infra and HTML
 * Standard, "parse errors: control-character-in-input-stream") are dropped, the five significant ones are
 * replaced; fit for text and for quoted attributes.
 */
export function escapeHtml(text: string): string {
  // Most texts have nothing to be replaced, and telling that takes a fifth of the time of looking for it.
  return PLAIN.test(text) ? text : text.replaceAll(SIGNIFICANT, (found) => replacements[found] ?? '');
}

const PLAIN = /^[\t\n\r !#-%(-;=?-~\u00a0-\ud7ff\ue000-\ufffd]*$/;
const SIGNIFICANT =
  // eslint-disable-next-line no-control-regex -- they are what has to be found
  /[&<>"'\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;
const replacements: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};

/** The text that `escapeHtml` made this of. */
export function unescapeHtml(html: string): string {
  return html.replaceAll(ESCAPED, (found) => originals.get(found) ?? found);
}

const ESCAPED = /&(?:amp|lt|gt|quot|#39);/g;
const originals = new Map(Object.entries(replacements).map(([text, html]) => [html, text]));
