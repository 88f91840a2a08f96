import { factsOf } from '../anatomy/properties.ts';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { emptyForest } from '../model/forest.ts';
import { fitsPalette, paletteOf } from '../model/palette.ts';
import type { SetStyle } from '../ops/setStyle.ts';
import type { StarterStyle } from '../schema/ownStarter.ts';
import { styleId, targetOf, valuesOfStyle, type Style, type StyleValues } from '../schema/style.ts';

/** What was set for something alone, in the order of its ids. O(looks), once for all owners of a document. */
function stylesOf({ styles }: SiteDocument, owner: string): readonly Style[] {
  let byOwner = known.get(styles);
  if (byOwner === undefined) {
    byOwner = new Map<string, Style[]>();
    for (const style of styles.nodes.values()) {
      const own = byOwner.get(style.owner);
      if (own === undefined) byOwner.set(style.owner, [style]);
      else own.push(style);
    }
    known.set(styles, byOwner);
  }
  return (byOwner.get(owner) ?? []).toSorted((a, b) => (a.id < b.id ? -1 : 1));
}
const known = new WeakMap<SiteDocument['styles'], Map<string, Style[]>>();

/** The looks that were set for something alone, as they can be set for something else. */
export function ownLooks(document: SiteDocument, owner: string): StarterStyle[] {
  return stylesOf(document, owner).map((style) => {
    const { owner: _, ...target } = targetOf(style);
    return { ...target, ...Object.fromEntries(valuesOfStyle(style)) };
  });
}

/**
 * The operations that set looks for something: values that it has already stay, and those that use a name that this
 * site does not have are left out.
 */
export function looksToSet(document: SiteDocument, owner: Id, looks: readonly StarterStyle[]): SetStyle[] {
  if (looks.length === 0) return [];
  const palette = paletteOf(document);
  return looks.flatMap((look): SetStyle[] => {
    const target = targetOf({ ...look, owner });
    const present: StyleValues = document.styles.nodes.get(styleId(target)) ?? {};
    const values = valuesOfStyle(look).filter(
      ([name, value]) => present[name] === undefined && fitsPalette(palette, factsOf(name).kind, value),
    );
    if (values.length === 0) return [];
    return [
      {
        kind: 'setStyle',
        target,
        set: Object.fromEntries(values),
        was: Object.fromEntries(values.map(([name]) => [name, null])),
      },
    ];
  });
}

/** The operations that take away all that was set for something alone. */
export function looksToReset(document: SiteDocument, owner: Id, looks: readonly StarterStyle[]): SetStyle[] {
  return looksToSet(withoutLooks(document), owner, looks).map(({ set, was, ...setting }) => ({
    ...setting,
    set: was,
    was: set,
  }));
}

/** The document without any looks that were set. */
export function withoutLooks(document: SiteDocument): SiteDocument {
  return { ...document, styles: emptyForest() };
}

/** What belongs to a setting of an item, besides its content: how it looks. */
const entryThings = { badge: ['badge', 'badgeBefore'], icon: ['icon', 'iconAfter'] } as const;

/** The looks of the icon or the badge of an item or a shared link; none for other settings. */
export function looksOfSetting(document: SiteDocument, owner: Id, setting: string): StarterStyle[] {
  if (setting !== 'badge' && setting !== 'icon') return [];
  const things: readonly string[] = entryThings[setting];
  return ownLooks(document, owner).filter(({ thing }) => things.includes(thing));
}
