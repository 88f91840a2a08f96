import { isEqual } from '../base/isEqual.ts';
import { inWords } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { emptyForest, withNodesLast } from '../model/forest.ts';
import { setOwnCss } from '../ops/setOwnCss.ts';
import { setStyle } from '../ops/setStyle.ts';
import { setToken } from '../ops/setToken.ts';
import { targetOf, valuesOfStyle, type Style, type StyleSet } from '../schema/style.ts';
import type { OwnCss } from '../schema/ownCss.ts';
import { tokenFieldNames, tokenId, type Token, type TokenSet } from '../schema/token.ts';
import type { FrameSource } from './compareFrames.ts';

/**
 * What has changed in the looks of a site since then, in plain words: a line for each name, and for each thing, place
 * and state. O(looks).
 */
export function compareLooks(
  { styles = [], tokens = [], ownCss = [] }: Pick<FrameSource, 'styles' | 'tokens' | 'ownCss'>,
  document: SiteDocument,
): string[] {
  return [
    ...compareTokens(tokens, document),
    ...compareStyles(styles, document),
    ...compareCss(ownCss, document),
  ];
}

function compareTokens(before: readonly Token[], document: SiteDocument): string[] {
  const now = [...document.tokens.nodes.values()];
  const was: SiteDocument = { ...document, tokens: withNodesLast(emptyForest<Token>(), before) };
  const keys = new Map([...before, ...now].map(({ key, of }) => [key, of]));
  return [...keys].flatMap(([key, of]) => {
    const [old, present] = [was, document].map(({ tokens }) => tokens.nodes.get(tokenId({ key })));
    const set = Object.fromEntries(
      tokenFieldNames
        .filter((field) => !isEqual(old?.[field], present?.[field]))
        .map((field) => [field, present?.[field] ?? null]),
    ) as TokenSet;
    if (Object.keys(set).length === 0) return [];
    return [inWords(setToken.describe(was, { kind: 'setToken', target: { key, of }, set, was: {} }))];
  });
}

function compareStyles(before: readonly Style[], document: SiteDocument): string[] {
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

/** The places whose CSS is another one, or gone. */
function compareCss(before: readonly OwnCss[], document: SiteDocument): string[] {
  const were = new Map(before.map(({ owner, rules }) => [owner, rules]));
  const now = new Map([...document.ownCss.nodes.values()].map(({ owner, rules }) => [owner, rules]));
  return [...new Set([...were.keys(), ...now.keys()])]
    .filter((owner) => !isEqual(were.get(owner), now.get(owner)))
    .map((owner) =>
      inWords(
        setOwnCss.describe(document, { kind: 'setOwnCss', owner, set: now.get(owner) ?? null, was: null }),
      ),
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
