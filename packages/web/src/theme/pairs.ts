/** Every pair of text and ground that the editor uses, by token; a test holds each at 4.5 : 1 or more. */
export const textPairs: readonly { readonly text: string; readonly ground: string; readonly use: string }[] = [
  { text: 'ink', ground: 'paper', use: 'text on the workspace' },
  { text: 'ink', ground: 'sheet', use: 'text on bars and bands' },
  { text: 'mute', ground: 'paper', use: 'secondary text on the workspace' },
  { text: 'mute', ground: 'sheet', use: 'secondary text on bars and bands' },
  { text: 'mute', ground: 'paper-deep', use: 'counts, the unavailable' },
  { text: 'white', ground: 'ink', use: 'the chosen workspace, chosen chips' },
  { text: 'white', ground: 'persimmon', use: 'the main button' },
  { text: 'persimmon', ground: 'sheet', use: 'links' },
  { text: 'persimmon', ground: 'paper', use: 'links on the workspace' },
  { text: 'moss', ground: 'sheet', use: 'matches, saved' },
  { text: 'moss', ground: 'moss-tint', use: 'matches, as a tag' },
  { text: 'ochre', ground: 'sheet', use: 'needs attention, waiting' },
  { text: 'ochre', ground: 'ochre-tint', use: 'needs attention, as a tag' },
  { text: 'brick', ground: 'sheet', use: 'broken, refused' },
  { text: 'brick', ground: 'brick-tint', use: 'broken, as a tag' },
  { text: 'white', ground: 'brick', use: 'a refusal beside its field' },
  { text: 'ink', ground: 'persimmon-tint', use: 'the marked row' },
  { text: 'mute', ground: 'persimmon-tint', use: 'secondary text in the marked row' },
];

/** Marks and edges that carry meaning: 3 : 1 or more. */
export const markPairs: readonly { readonly text: string; readonly ground: string; readonly use: string }[] = [
  { text: 'line-strong', ground: 'white', use: 'edges of fields' },
  { text: 'persimmon', ground: 'paper', use: 'the selection, the drop line' },
  { text: 'ink', ground: 'paper', use: 'the focus ring' },
];
