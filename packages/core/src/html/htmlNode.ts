/** HTML as a tree: text without references, or an element with its attributes in the order in which they stand. */
export type HtmlNode = string | HtmlElement;

/** An element of HTML; its name and the names of its attributes are in small letters. */
export interface HtmlElement {
  readonly tag: string;
  readonly attributes: readonly (readonly [name: string, value: string])[];
  readonly children: readonly HtmlNode[];
}
