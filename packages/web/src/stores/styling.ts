import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import {
  areaOfOwner,
  areaWords,
  levelOf,
  levelOwner,
  lineOf,
  nameOfOwner,
  nodeAt,
  overriding,
  PLAIN_BUTTON,
  propertiesOf,
  rankedStyles,
  resetLooks,
  scopeOf,
  fillWithPicture,
  setLooks,
  sheetOf,
  states,
  styleId,
  templateOwner,
  thingOf,
  variantNamed,
  variantOf,
  variantOwner,
  wayUp,
  type AreaName,
  type DeviceClass,
  type HeaderSituation,
  type MadePicture,
  type Property,
  type ResolvedStyle,
  type Scheme,
  type SetLook,
  type State,
  type StyleTarget,
  type ThingName,
} from '@zorvik/core';
import type { SheetRow } from '../live/sheetMessages.ts';
import { useFrame } from './frame.ts';
import { useReadability } from './readability.ts';
import { useSelection } from './selection.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** A scope that a value can be set for, in the words that people think in. */
export interface ScopeOffer {
  readonly owner: string;
  readonly label: string;
  /** It is one of those behind “more”. */
  readonly isFar: boolean;
}

/** The situations of a header, in words. */
export const situationWords: Readonly<Record<HeaderSituation, string>> = {
  over: 'over the content',
  scrolled: 'scrolled',
};

/** Which rows of the sheet are shown. */
export const rowKinds = ['links', 'surfaces', 'spacing'] as const;
/** See `rowKinds`. */
export type RowKind = (typeof rowKinds)[number];

/** What stands below the live page. */
export const sheets = ['states', 'colours', 'fonts', 'variants', 'starters', 'css'] as const;
/** See `sheets`. */
export type SheetName = (typeof sheets)[number];

/** The workspace Style: what is on the state sheet, which cell is chosen, and for where values are set. */
export const useStyling = defineStore('styling', () => {
  const copy = useWorkingCopy();
  const frame = useFrame();
  const selection = useSelection();
  const readability = useReadability();
  /** Everything that the page has, as the state sheet found it. */
  const rows = ref<readonly SheetRow[]>([]);
  const rowKind = ref<RowKind>('links');
  const below = ref<SheetName>('states');
  const chosenKey = ref<string | null>(null);
  const state = ref<State>('normal');
  /** The property of which it is asked why it is so. */
  const asked = ref<Property>('color');
  const wantedOwner = ref<string | null>(null);
  const device = ref<DeviceClass | null>(null);
  const wantedScheme = ref<Scheme | null>(null);

  const isOnlyProblems = ref(false);
  const shownRows = computed(() =>
    isOnlyProblems.value
      ? rows.value.filter((row) =>
          readability.failing.some(({ thing: one, part }) => one === leafOf(row) && part === row.part),
        )
      : rows.value.filter((row) => kindOf(leafOf(row)) === rowKind.value),
  );
  const row = computed(
    () =>
      shownRows.value.find(({ key }) => key === chosenKey.value) ??
      shownRows.value.find(({ things }) => things.includes('barEntry')) ??
      shownRows.value[0] ??
      null,
  );
  const thing = computed(() => (row.value === null ? null : leafOf(row.value)));
  const sheet = computed(() => (copy.document === null ? null : sheetOf(copy.document)));

  function choose(key: string, next: State): void {
    chosenKey.value = key;
    state.value = next;
  }
  /** Chooses a row, among those of its kind. */
  function chooseRow(one: SheetRow): void {
    rowKind.value = kindOf(leafOf(one));
    chosenKey.value = one.key;
  }
  // What is selected on the live page is chosen on the sheet.
  watch([() => frame.partId, () => selection.item?.id], ([part, item]) => {
    if (part === null) return;
    const there = rows.value.filter((one) => one.part === part);
    const wanted =
      there.find((one) => one.item === item) ??
      there.find((one) => kindOf(leafOf(one)) === 'links') ??
      there[0];
    if (wanted === undefined) return;
    chooseRow(wanted);
    wantedOwner.value = item ?? part;
  });
  watch(row, (now) => {
    if (now !== null && !now.states.includes(state.value)) state.value = now.states[0] ?? 'normal';
  });

  /** What a row stands in, from the part itself outwards, and its menu and item. */
  function ownersOf({ part, item, variant }: SheetRow): readonly string[] {
    const { document } = copy;
    if (document === null) return [];
    const way = part === null ? [] : wayUp(document, part).map(({ id }) => id);
    const shows = part === null ? undefined : document.parts.nodes.get(part);
    const menu = shows?.kind === 'placement' ? shows.shows : undefined;
    const items: string[] = [];
    for (
      let at = item === null ? undefined : document.items.nodes.get(item);
      at !== undefined;
      at = document.items.nodes.get(at.parent)
    )
      items.push(at.id);
    const { template } = frame.situation;
    return [
      ...items,
      ...(variant === null ? [] : [variantOwner(variant)]),
      ...way,
      ...(menu === undefined || items.length === 0 ? [] : [levelOwner(menu, items.length)]),
      ...(menu === undefined ? [] : [menu]),
      ...(template === null ? [] : [templateOwner(template)]),
      document.site.id,
    ];
  }

  const offers = computed((): readonly ScopeOffer[] => {
    const { document } = copy;
    const of = row.value;
    if (document === null || of === null || thing.value === null) return [];
    const owners = ownersOf(of).filter((owner) => scopeOf(document, owner) !== null);
    const site = document.site.id;
    const { template } = frame.situation;
    const [nearestItem] = owners.filter((owner) => document.items.nodes.has(owner));
    const own = of.part;
    return owners
      .map((owner): ScopeOffer => {
        // A look that holds for all variants is one of plain buttons: a variant is what differs from them.
        if (owner === site) return { owner, label: 'everywhere', isFar: of.variant !== null };
        const name = nameOfOwner(document, owner);
        if (variantOf(owner) !== null) return { owner, label: `all “${name}”`, isFar: false };
        if (owner === nearestItem) return { owner, label: `only “${name}”`, isFar: false };
        if (owner === own) return { owner, label: partWords(owner), isFar: false };
        if (template !== null && owner === templateOwner(template))
          return { owner, label: `template “${template}”`, isFar: true };
        const level = levelOf(owner);
        if (level !== null)
          return {
            owner,
            label: `level ${level.level} of ${nameOfOwner(document, level.menu)}`,
            isFar: true,
          };
        if (document.menus.nodes.has(owner)) return { owner, label: `${name}, wherever it is`, isFar: true };
        if (document.items.nodes.has(owner)) return { owner, label: `in “${name}”`, isFar: true };
        return { owner, label: `in ${partWords(owner)}`, isFar: true };
      })
      .reverse();
  });
  /** What a row is called: a variant by its own name. */
  function nameOfRow(of: SheetRow): string {
    const { document } = copy;
    const variant = of.variant === null || document === null ? null : variantNamed(document.site, of.variant);
    return variant === null ? thingOf(leafOf(of)).name : `Variant “${variant.name}”`;
  }
  /** What a part is called: the header, a band by its number, else its name. */
  function partWords(part: string): string {
    const area = areaOfOwner(part);
    if (area !== null) return `the ${areaWords[area]}`;
    return copy.document === null ? part : frame.wordOf(nodeAt(copy.document.parts, part));
  }
  const owner = computed({
    get: () =>
      offers.value.find((one) => one.owner === wantedOwner.value)?.owner ??
      offers.value.find((one) => !one.isFar)?.owner ??
      null,
    set: (next) => (wantedOwner.value = next),
  });

  const hasDark = computed(() => copy.document?.site.hasDark === true);
  /** For which colour scheme values are set; null: for both. It is looked at, then. */
  const scheme = computed({
    get: () => (hasDark.value ? wantedScheme.value : null),
    set: (next) => {
      wantedScheme.value = next;
      if (next !== null) frame.scheme = next;
    },
  });

  const wantedSituation = ref<HeaderSituation | null>(null);
  /** For which situation of the header values are set; null: for all. The picture is held in it, then. */
  const situation = computed({
    get: () =>
      wantedSituation.value !== null && readability.situations.includes(wantedSituation.value)
        ? wantedSituation.value
        : null,
    set: (next) => {
      wantedSituation.value = next;
      frame.hold('main', next === 'scrolled' ? 'scrolled' : 'loaded');
    },
  });

  /** What is being set now. */
  const target = computed((): StyleTarget | null => {
    if (owner.value === null || thing.value === null) return null;
    return {
      owner: owner.value,
      thing: thing.value,
      ...(state.value === 'normal' ? {} : { state: state.value }),
      ...(situation.value === null ? {} : { situation: situation.value }),
      ...(scheme.value === null ? {} : { scheme: scheme.value }),
      ...(device.value === null ? {} : { device: device.value }),
    };
  });
  const properties = computed(() => (thing.value === null ? [] : propertiesOf(thing.value)));

  /**
   * Everything that is said of a property for what is chosen, what wins first. `isWhole`: what was set nearer than
   * what is being set now, too.
   */
  function ranked(property: Property, isWhole = false): readonly ResolvedStyle[] {
    const { document } = copy;
    const of = row.value;
    if (
      document === null ||
      sheet.value === null ||
      thing.value === null ||
      of === null ||
      owner.value === null
    )
      return [];
    const around = new Set(ownersOf(of));
    const limit = scopeOf(document, owner.value)?.rank ?? 0;
    const { site } = document;
    return rankedStyles(thing.value, property, {
      states: implied(state.value),
      situations: situation.value === null ? [] : [situation.value],
      scheme: hasDark.value ? frame.scheme : 'light',
      device: device.value,
      sheet: sheet.value,
      line: [...of.things].reverse(),
      area: areaAround(of),
      holds: ({ target: one, scope }) =>
        (isWhole || scope.rank <= limit) && (one.owner === site.id || around.has(one.owner)),
    });
  }

  /** The area that a row stands in. */
  function areaAround({ part }: SheetRow): AreaName | null {
    const { document } = copy;
    if (document === null || part === null) return null;
    return areaOfOwner(wayUp(document, part).at(-1)?.id ?? '');
  }

  /** The value that was set for just what is chosen; null: none. */
  function own(property: Property): string | null {
    if (copy.document === null || target.value === null) return null;
    return copy.document.styles.nodes.get(styleId(target.value))?.[property] ?? null;
  }

  /** What was set nearer, so that the value does not show there. */
  function nearer(property: Property): readonly SetLook[] {
    if (sheet.value === null || target.value === null || own(property) === null) return [];
    return overriding(sheet.value, target.value, property);
  }

  /** Sets a value, or says why not. */
  function set(property: Property, value: string | null): string | null {
    const to = target.value;
    if (to === null) return null;
    const done = copy.attempt((context) => setLooks(context, to, { [property]: value }));
    if (!done.ok) return done.refusal.code === 'changesNothing' ? null : shownValue(done.refusal.message);
    copy.perform(
      (context) => setLooks(context, to, { [property]: value }),
      `look ${styleId(to)} ${property}`,
    );
    return null;
  }

  /** Adds an uploaded picture, and fills what is chosen with it; gives what is wrong with it, or null. */
  function fillWith(
    property: 'backgroundImage' | 'divider',
    fileName: string,
    made: MadePicture,
  ): string | null {
    const to = target.value;
    if (to === null) return null;
    const done = copy.perform((context) => fillWithPicture(context, to, property, fileName, made));
    return done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
  }

  function resetNearer(property: Property): void {
    const some = nearer(property).map((one) => ({ target: one.target, properties: [property] }));
    copy.perform((context) => resetLooks(context, some));
  }

  /** Goes to where a value was set. */
  function goTo({
    owner: to,
    thing: name,
    state: at,
    situation: when,
    scheme: as,
    device: on,
  }: StyleTarget): void {
    const there =
      rows.value.find((one) => leafOf(one) === name && ownersOf(one).includes(to)) ??
      rows.value.find((one) => leafOf(one) === name);
    if (there !== undefined) chooseRow(there);
    state.value = at ?? 'normal';
    wantedOwner.value = to;
    device.value = on ?? null;
    scheme.value = as ?? null;
    situation.value = when ?? null;
  }

  /** A variant that is to be chosen as soon as the page has it. */
  const wantedVariant = ref<string | null>(null);
  function chooseVariant(): void {
    const wanted = wantedVariant.value;
    const there = rows.value.find((one) =>
      wanted === PLAIN_BUTTON
        ? ['button', 'bandButton', 'buttonEntry'].includes(leafOf(one))
        : one.variant !== null && one.variant === wanted,
    );
    if (wanted === null || there === undefined) return;
    wantedVariant.value = null;
    chooseRow(there);
    wantedOwner.value = there.variant === null ? null : variantOwner(there.variant);
  }
  watch(rows, chooseVariant);
  /** Goes to the looks of a variant: with stand-in content, where the page has no link that looks so. */
  function showVariant(key: string): void {
    [state.value, isOnlyProblems.value, below.value] = ['normal', false, 'states'];
    wantedVariant.value = key;
    chooseVariant();
    if (wantedVariant.value !== null) frame.hasStandIns = true;
  }

  return {
    rows,
    below,
    rowKind,
    shownRows,
    isOnlyProblems,
    row,
    thing,
    state,
    asked,
    device,
    hasDark,
    scheme,
    situation,
    owner,
    offers,
    target,
    properties,
    choose,
    nameOfRow,
    ranked,
    own,
    nearer,
    set,
    fillWith,
    resetNearer,
    goTo,
    showVariant,
  };
});

/** The most special thing that a row is. */
export function leafOf({ things }: SheetRow): ThingName {
  return things.at(-1) ?? 'site';
}

/** The states that come with one: the current page is within the current one, too. */
export function implied(state: State): readonly State[] {
  if (state === 'normal') return [];
  if (state === 'current') return ['within', 'current'];
  return state === 'pressed' ? ['hover', 'pressed'] : [state];
}

function kindOf(thing: ThingName): RowKind {
  const line = lineOf(thing);
  const all = new Set(line.flatMap((one) => thingOf(one).has));
  const isPressed = 'focus' in thingOf(thing).in;
  // The text of an area or a level is that of what is in it, which has rows of its own.
  const isText = all.has('color') && !line.includes('site') && !all.has('gap');
  if (all.has('divider')) return 'surfaces';
  if (isPressed || isText) return 'links';
  const isSurface = all.has('background') || all.has('arrowShape') || all.has('borderColor');
  return isSurface ? 'surfaces' : 'spacing';
}

/** A value, or a sentence about one, as people read it: names of the site without their sign. */
export function shownValue(text: string): string {
  return text.startsWith('=') ? 'automatic' : text.replaceAll('@', '');
}

/** The states in the order in which the sheet shows them. */
export const sheetStates: readonly State[] = states;
