import { capitalised } from '../base/capitalised.ts';
import { derivedId, type Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { emptyForest, withNodeChanged, withNodesLast } from '../model/forest.ts';
import { labelOf } from '../model/labelOf.ts';
import { PLAIN_BUTTON, variantsOf } from '../model/variants.ts';
import type { Item } from '../schema/item.ts';
import { LONGEST_LABEL } from '../schema/shapes.ts';
import type { Settings } from '../schema/settings.ts';
import { standInWords } from './standInWords.ts';

/** How long the longest label is where a site has no labels and no pages yet, in characters. */
const USUAL_LONGEST = 28;
/** How many entries stand-ins have on each level, and the length of a usual label on it, in characters. */
const levels = [
  { count: 4, length: 5 },
  { count: 4, length: 10 },
  { count: 3, length: 12 },
] as const;
/** Where stand-ins lead: no page of a site is there, so that none of them is the current one. */
const NOWHERE = '#stand-in';
/** What the second entry of each level has, so that its looks can be set. */
const dressed: Settings = {
  description: '—',
  icon: { name: 'square', path: 'M4 4H20V20H4Z', position: 'before' },
  badge: { text: '1', position: 'after' },
};

/**
 * A site with stand-in content in all its menus, to see looks on before there is any: three levels, one entry of each
 * as long as the longest label of the site, in the language of the menu; then a button and a link of each variant. The
 * third entry has a panel. What shows no menu yet shows the first one. O(items + pages).
 */
export function withStandIns(document: SiteDocument): SiteDocument {
  let shown = known.get(document);
  if (shown === undefined) known.set(document, (shown = filled(document)));
  return shown;
}
/** What has been filled already: several look at the same site. */
const known = new WeakMap<SiteDocument, SiteDocument>();

function filled(document: SiteDocument): SiteDocument {
  const longest = longestLabel(document);
  const items: Item[] = [];
  for (const { id, language } of document.menus.nodes.values())
    items.push(...standInsOf(id, language, longest, variantsOf(document.site)));
  const [menu] = document.menus.nodes.keys();
  let { parts } = document;
  if (menu !== undefined)
    for (const part of document.parts.nodes.values())
      if (part.kind === 'placement' && part.shows === undefined)
        parts = withNodeChanged(parts, { ...part, shows: menu });
  return { ...document, items: withNodesLast(emptyForest<Item>(), items), parts };
}

/** The length of the longest label of a site, or of its longest title, in characters. */
function longestLabel(document: SiteDocument): number {
  let longest = 0;
  for (const item of document.items.nodes.values())
    longest = Math.max(longest, [...labelOf(document, item)].length);
  if (longest === 0)
    for (const { title } of document.pages.nodes.values()) longest = Math.max(longest, [...title].length);
  return Math.min(longest === 0 ? USUAL_LONGEST : longest, LONGEST_LABEL);
}

/** The stand-ins of a menu, each before those below it. */
function standInsOf(
  menu: Id,
  language: string,
  longest: number,
  variants: readonly { readonly key: string; readonly name: string }[],
): Item[] {
  const words = standInWords(language);
  const made: Item[] = [];
  const add = (parent: Id, label: string, settings: Settings = {}): Id => {
    const id = derivedId('item', `stand-in ${menu} ${made.length}`);
    made.push({
      id,
      parent,
      label,
      destination: { kind: 'address', address: NOWHERE },
      opensNewTab: false,
      agreed: null,
      ...settings,
    });
    return id;
  };
  let next = 0;
  const fill = (parent: Id, level: number): void => {
    const { count, length } = levels[level] ?? levels[0];
    for (let at = 0; at < count; at += 1) {
      const label = labelFrom(words, (next += 1), at === 1 ? longest : length, at === 1);
      const drop: Settings = level === 0 && at === 2 ? { dropdown: { form: 'panel' } } : {};
      const id = add(parent, label, at === 1 && level > 0 ? dressed : drop);
      // The last ones of a level lead somewhere, and nothing drops from them.
      if (level + 1 < levels.length && at + 1 < count) fill(id, level + 1);
    }
  };
  fill(menu, 0);
  for (const { key, name } of [{ key: PLAIN_BUTTON, name: words[0] ?? 'A' }, ...variants])
    add(menu, name, { look: key });
  return made;
}

/** A label of some words, at least as long as wanted; `isExact`: just as long, though its last word is cut off. */
function labelFrom(words: readonly string[], from: number, length: number, isExact: boolean): string {
  let label = words[from % words.length] ?? 'a';
  for (let at = from + 1; [...label].length < length; at += 1) label += ` ${words[at % words.length] ?? 'a'}`;
  const cut = isExact ? [...label].slice(0, length).join('').trimEnd() : label;
  return capitalised(cut);
}
