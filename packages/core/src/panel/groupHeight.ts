import { preorder } from '../walk/preorder.ts';

/** What has a label, and more of its kind below it. */
export interface Labelled {
  readonly label: string;
  readonly description?: string;
  readonly children: readonly Labelled[];
}

/** What stands between two groups of a column, in lines. */
export const GROUP_GAP = 0.75;
/** A heading is as high as this many lines of links. */
const HEADING = 1.2;
/** Signs that a line of a description has more than one of a label, since it is set smaller. */
const SMALLER = 1.2;

/**
 * How high a group of links will be, in lines of links, in a column that takes about `signs` signs a line:
 * its heading, and what stands below it on two levels. An estimate: how wide a text runs is known only where
 * it is drawn. O(items).
 */
export function groupHeight(group: Labelled, charactersPerLine: number): number {
  let lines = 0;
  for (const { node, depth } of preorder<Labelled>([group], ({ children }) => children)) {
    const room = Math.max(4, charactersPerLine - 2 * Math.max(0, depth - 1));
    lines += linesOf(node.label, room) * (depth === 0 && group.children.length > 0 ? HEADING : 1);
    if (node.description !== undefined) lines += linesOf(node.description, room * SMALLER) / SMALLER;
  }
  return lines;
}

function linesOf(text: string, charactersPerLine: number): number {
  return Math.max(1, Math.ceil(text.length / charactersPerLine));
}
