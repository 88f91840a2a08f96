import { isEqual } from '../base/isEqual.ts';
import { inWords } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { setStyle } from '../ops/setStyle.ts';
import { targetOf, valuesOfStyle, type Style, type StyleSet } from '../schema/style.ts';

/** What has changed in the looks of a site since then, in plain words, a line for each thing, place and state. O(looks). */
export function compareLooks(before: readonly Style[], document: SiteDocument): string[] {
  const were = new Map(before.map((style) => [style.id, style]));
  const now = [...document.styles.nodes.values()];
  const known = new Set(now.map(({ id }) => id));
  const changes = [
    ...now.map((style) => [style, differenceOf(were.get(style.id), style)] as const),
    ...before
      .filter(({ id }) => !known.has(id))
      .map((style) => [style, differenceOf(style, undefined)] as const),
  ];
  return changes
    .filter(([, set]) => Object.keys(set).length > 0)
    .map(([style, set]) =>
      inWords(setStyle.describe(document, { kind: 'setStyle', target: targetOf(style), set, was: {} })),
    );
}

/** The values that were set, or taken away. */
function differenceOf(was: Style | undefined, now: Style | undefined): StyleSet {
  const set = new Map<string, string | null>();
  for (const [property] of was === undefined ? [] : valuesOfStyle(was)) set.set(property, null);
  for (const [property, value] of now === undefined ? [] : valuesOfStyle(now)) {
    if (isEqual(was?.[property], value)) set.delete(property);
    else set.set(property, value);
  }
  return Object.fromEntries(set);
}
