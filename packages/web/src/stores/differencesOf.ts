import {
  changeInWords,
  compareFrames,
  compareLooks,
  compareMenus,
  resolvedMenus,
  type FrameSource,
  type ResolvedMenu,
  type SiteDocument,
} from '@zorvik/core';

/** What the current edition has of menus and frame; no source: nobody kept that when it was published. */
export interface Published {
  readonly menus: readonly ResolvedMenu[];
  readonly source: FrameSource | null;
}

/** What changed in one menu, or in the frame, since the current edition, in plain words. */
export interface MenuDifference {
  readonly key: string;
  readonly name: string;
  readonly sentences: readonly string[];
}

/**
 * How a document differs from what an edition has. `unknown`: what is said of the frame where nobody knows what it was.
 * O(document).
 */
export function differencesOf(
  document: SiteDocument,
  { menus: published, source }: Published,
  unknown: readonly string[],
): MenuDifference[] {
  const now = resolvedMenus(document, new Intl.Collator(document.site.language, { numeric: true }).compare);
  const present = now.map(({ menu }): MenuDifference => {
    const before = published.find(({ key }) => key === menu.key) ?? null;
    const sentences = compareMenus(before, menu).map(changeInWords);
    return {
      key: menu.key,
      name: menu.name,
      sentences: before === null ? ['New menu', ...sentences] : sentences,
    };
  });
  const gone = published
    .filter(({ key }) => !now.some(({ menu }) => menu.key === key))
    .map(({ key, name }): MenuDifference => ({ key, name, sentences: ['Menu deleted'] }));
  // No key of a menu has a capital letter.
  const frame = {
    key: 'Frame',
    name: 'Frame',
    sentences: source === null ? unknown : compareFrames(source, document),
  };
  const looks = {
    key: 'Looks',
    name: 'Looks',
    sentences: source === null ? [] : compareLooks(source, document),
  };
  return [frame, looks, ...present, ...gone].filter(({ sentences }) => sentences.length > 0);
}
