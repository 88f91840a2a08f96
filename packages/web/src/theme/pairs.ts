/** A text or a mark and what it is on, by token. */
export interface Pair {
  readonly text: string;
  readonly ground: string;
  readonly use: string;
}

/**
 * Every pair of text and ground that the editor uses; a test holds each at 4.5 : 1 or more, in both themes.
 */
export const textPairs: readonly Pair[] = [
  { text: 'ink', ground: 'paper', use: 'text on the workspace' },
  { text: 'ink', ground: 'sheet', use: 'text on bars and bands' },
  { text: 'ink', ground: 'field', use: 'text in fields' },
  { text: 'ink', ground: 'chosen', use: 'the selected choice' },
  { text: 'mute', ground: 'paper', use: 'secondary text on the workspace' },
  { text: 'mute', ground: 'sheet', use: 'secondary text on bars and bands' },
  { text: 'mute', ground: 'field', use: 'placeholders' },
  { text: 'mute', ground: 'paper-deep', use: 'counts, unavailable buttons' },
  { text: 'mute', ground: 'stage', use: 'the width ruler' },
  { text: 'on-ink', ground: 'ink', use: 'the words of a drag, the button for safe fixes' },
  { text: 'on-fill', ground: 'accent-fill', use: 'the main button' },
  { text: 'on-fill', ground: 'accent-fill-hover', use: 'the main button, hovered' },
  { text: 'accent', ground: 'sheet', use: 'links' },
  { text: 'accent', ground: 'paper', use: 'links on the workspace' },
  { text: 'ink', ground: 'accent-tint', use: 'the marked row' },
  { text: 'mute', ground: 'accent-tint', use: 'secondary text in the marked row' },
  { text: 'moss', ground: 'sheet', use: 'matches, saved' },
  { text: 'moss', ground: 'paper', use: 'matches, on the workspace' },
  { text: 'moss', ground: 'moss-tint', use: 'matches, as a tag' },
  { text: 'ochre', ground: 'sheet', use: 'needs attention, waiting' },
  { text: 'ochre', ground: 'paper', use: 'needs attention, on the workspace' },
  { text: 'ochre', ground: 'ochre-tint', use: 'needs attention, as a tag' },
  { text: 'mute', ground: 'ochre-tint', use: 'remarks in a row that needs attention' },
  { text: 'brick', ground: 'sheet', use: 'broken, refused' },
  { text: 'brick', ground: 'paper', use: 'broken, on the workspace' },
  { text: 'brick', ground: 'brick-tint', use: 'broken, as a tag' },
  { text: 'mute', ground: 'brick-tint', use: 'remarks in a broken row' },
  { text: 'on-fill', ground: 'brick-fill', use: 'a refusal next to its field' },
  { text: 'on-fill', ground: 'ochre-fill', use: 'a notice next to its field' },
];

/** Marks and edges that carry meaning: 3 : 1 or more. */
export const markPairs: readonly Pair[] = [
  { text: 'line-strong', ground: 'field', use: 'edges of fields' },
  { text: 'line-strong', ground: 'sheet', use: 'edges of choices' },
  { text: 'faint', ground: 'paper', use: 'icons of items' },
  { text: 'faint', ground: 'sheet', use: 'icons in bands' },
  { text: 'accent', ground: 'paper', use: 'the selection, the drop line' },
  { text: 'ink', ground: 'paper', use: 'the focus ring' },
  { text: 'ink', ground: 'sheet', use: 'the focus ring in bars and bands' },
];
