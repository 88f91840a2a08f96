import { mintId, type Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { pageIndex } from '../model/pageIndex.ts';
import { newPart } from '../model/newPart.ts';
import { onlyId } from '../model/partProblem.ts';
import { areaId } from '../model/partRoots.ts';
import { missing } from '../ops/kit/missing.ts';
import type { AddPart } from '../ops/addPart.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import { placementOf } from '../resolve/placementOf.ts';
import { areas, type AreaName, type Part, type ZoneName } from '../schema/part.ts';
import type { Place } from '../schema/placement.ts';
import type { PartSketch, PortableSketch, Preset } from '../schema/preset.ts';
import { mapTree } from '../walk/mapTree.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { removal, withoutLost } from './panelParts.ts';
import { areaNeeded } from './placing.ts';
import { panelOnSite, portablePanel } from './portablePanel.ts';
import { presetName } from './presets.ts';

/** A frame to start from: what it is called, and its areas as sketches, made for a site. */
export interface FrameStarter {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly areasFor: (document: SiteDocument) => readonly PartSketch[];
}

type Zones = Readonly<Partial<Record<ZoneName, readonly PartSketch[]>>>;
const band = (zones: Zones): PartSketch => ({
  kind: 'band',
  parts: (['start', 'centre', 'end'] as const).map((at) => ({ kind: 'zone', at, parts: zones[at] ?? [] })),
});
const grid = (...cells: readonly (readonly PartSketch[])[]): PartSketch => ({
  kind: 'band',
  parts: cells
    .filter((parts) => parts.length > 0)
    .map((parts, _, all) => ({ kind: 'cell', span: Math.max(2, Math.floor(12 / all.length)), parts })),
});
const area = (name: AreaName, ...parts: readonly PartSketch[]): PartSketch => ({
  kind: 'area',
  area: name,
  parts,
});
const one = (kind: PartSketch['kind'], facts: Partial<PartSketch> = {}): PartSketch => ({ ...facts, kind });
const ICON_ONLY = { faces: { wide: 'icon', medium: 'icon', narrow: 'icon' } } as const;

/**
 * What a starter can use: menus that the site has, and parts for site facts, which show as soon as there are such facts.
 */
function usable(document: SiteDocument) {
  const { site, menus } = document;
  const all = [...childrenOf(menus, site.id)];
  const placed = (place: Place, ...keys: string[]): Id | undefined =>
    all.find((id) => placementOf(document, id)?.place === place) ??
    all.find((id) => keys.some((key) => nodeAt(menus, id).key.includes(key)));
  const main = placed('bar', 'main', 'menu') ?? all[0];
  const second = placed('secondBar', 'second', 'service', 'meta');
  const footer = placed('footer', 'footer');
  const menu = (id: Id | undefined): PartSketch[] =>
    id === undefined ? [] : [one('placement', { shows: id })];
  return {
    main: menu(main),
    second: second === main ? [] : menu(second),
    footer: footer === main ? [] : menu(footer),
    reach: one('contact', { says: ['phone', 'email'] }),
    place: one('contact', { says: ['postal', 'hours'] }),
    social: one('social'),
    payment: one('payment'),
    search: one('search', { text: 'Search', address: '/search', parameter: 'q' }),
    basket: one('basket', { text: 'Basket', destination: { kind: 'undecided' }, ...ICON_ONLY }),
    account: one('account', { text: 'Account', destination: { kind: 'undecided' }, ...ICON_ONLY }),
    logo: one('logo'),
    copyright: one('copyright'),
  };
}

/** The frames that a site can start from. */
export const frameStarters: readonly FrameStarter[] = [
  {
    key: 'line',
    name: 'One line',
    about: 'Logo, menu and search in one row; the footer menu, and a last row with the copyright.',
    areasFor(document) {
      const has = usable(document);
      return [
        area('header', band({ start: [has.logo], centre: has.main, end: [has.search] })),
        area(
          'footer',
          ...(has.footer.length > 0 ? [grid(has.footer)] : []),
          band({ start: [has.copyright], end: has.second }),
        ),
      ];
    },
  },
  {
    key: 'two',
    name: 'Two rows and a breadcrumb',
    about: 'Contact details above the logo and menu, a breadcrumb below them, and a footer in columns.',
    areasFor(document) {
      const has = usable(document);
      return [
        area(
          'header',
          band({ start: [has.reach], end: has.second }),
          band({ start: [has.logo, ...has.main], end: [has.search] }),
          band({ start: [one('breadcrumb')] }),
        ),
        area(
          'footer',
          grid(has.footer, [has.place], [has.social]),
          band({ start: [has.copyright], end: [has.payment] }),
        ),
      ];
    },
  },
  {
    key: 'shop',
    name: 'Shop front',
    about:
      'The logo in the middle between search and basket, the menu below it, payment marks in the footer.',
    areasFor(document) {
      const has = usable(document);
      return [
        area(
          'header',
          band({ start: [has.search], centre: [has.logo], end: [has.account, has.basket] }),
          band({ centre: has.main }),
        ),
        area(
          'footer',
          band({ start: [has.social], end: [has.reach] }),
          grid(has.footer, [has.place]),
          band({ start: [has.copyright], end: [has.payment] }),
        ),
      ];
    },
  },
];

/** Whether a preset is of a frame: its rows are areas then, and not those of a panel. */
export function isFramePreset({ rows }: Pick<Preset, 'rows'>): boolean {
  return rows[0]?.kind === 'area';
}

/** The areas of a frame as sketches, with their exceptions. O(parts). */
export function frameSketch(document: SiteDocument): PartSketch[] {
  const { parts } = document;
  const used = new Set([...parts.nodes.values()].flatMap((one) => (one.kind === 'use' ? [one.of] : [])));
  return areas
    .map(areaId)
    .filter((id) => childrenOf(parts, id).last() !== null)
    .flatMap((root) =>
      mapTree<Id, PartSketch>(
        [root],
        (id) => childrenOf(parts, id),
        (id, inner) => {
          const { id: _, parent: __, item: ___, ...facts } = nodeAt(parts, id);
          return {
            ...facts,
            ...(used.has(id) ? { id } : {}),
            ...(inner.length === 0 ? {} : { parts: inner }),
          } as PartSketch;
        },
      ),
    );
}

/**
 * Puts a starter in the place of what is in the areas that it has, or in the header alone. Areas that it does not
 * have stay, and so do named places.
 */
export function useFrameStarter(
  context: CommandContext,
  of:
    FrameStarter | { readonly preset: Id } | { readonly name: string; readonly rows: readonly PartSketch[] },
  only: AreaName | null = null,
): Result<Edit> {
  const { document, random } = context;
  const own = 'preset' in of ? document.presets.nodes.get(of.preset) : undefined;
  if ('preset' in of && own === undefined) return no(missing('presets', of.preset));
  const given = own?.rows ?? ('areasFor' in of ? of.areasFor(document) : 'rows' in of ? of.rows : []);
  const wanted = given.filter((sketch) => sketch.kind === 'area' && (only === null || sketch.area === only));
  if (wanted.length === 0) return no(refusal('noSuchArea', { area: only ?? 'header' }));
  const name = own?.name ?? ('name' in of ? of.name : '');
  /** What was made of the parts that others show again. */
  const madeOf = new Map<Id, Id>();
  const operations = wanted.flatMap(({ area: name = 'header', parts = [] }) => {
    const root = areaId(name);
    const gone = [...childrenOf(document.parts, root)].map((id) => removal(document, id));
    let after: Id | null = null;
    const added = parts.map((sketch) => {
      const branch = withoutLost(
        document,
        sketched(sketch, root, madeOf, () => mintId('part', random)),
      );
      const operation = { kind: 'addPart' as const, after, branch };
      after = branch[0]?.id ?? after;
      return operation;
    });
    return [
      ...areaNeeded(document, name),
      ...gone.toReversed(),
      ...added.filter(({ branch }) => branch.length > 0),
    ];
  });
  return makeEdit(
    context,
    operations.map((one): Operation => (one.kind === 'addPart' ? usingMade(one, madeOf) : one)),
    { sentence: sentence('frameStarterUsed', { preset: name }) },
  );
}

/** What shows a part again shows the one that was made of it; parts that were not made are as they were. */
function usingMade(operation: AddPart, madeOf: ReadonlyMap<Id, Id>): AddPart {
  return {
    ...operation,
    branch: operation.branch.map((part) =>
      part.kind === 'use' ? { ...part, of: madeOf.get(part.of) ?? part.of } : part,
    ),
  };
}

/** A sketch of a frame as parts, in preorder. Ids that follow from where a part stands do so here, too. */
function sketched(top: PartSketch, root: Id, madeOf: Map<Id, Id>, mint: () => Id): Part[] {
  const made: Part[] = [];
  const stack = [{ sketch: top, parent: root }];
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const { child: _, id: name, parts = [], ...facts } = next.sketch;
    const part = newPart('', next.parent, facts);
    const id = onlyId(part) ?? mint();
    made.push({ ...part, id });
    if (name !== undefined) madeOf.set(name, id);
    for (const inner of parts.toReversed()) stack.push({ sketch: inner, parent: id });
  }
  return made;
}

/** The frame as it can go to another site. */
export function portableFrame(document: SiteDocument): PortableSketch[] {
  return portablePanel(document, frameSketch(document));
}

/** The same back on a site, for `useFrameStarter`: places wait for menus that are not there, and exceptions for pages that are not are left out. */
export function frameOnSite(document: SiteDocument, areas: readonly PortableSketch[]): PartSketch[] {
  return panelOnSite(document, pageIndex(document), areas);
}

/** Keeps the frame as a starter, under a name that no other one has. */
export function saveFrameStarter(context: CommandContext, typed: string): Result<Edit> {
  const { document, random } = context;
  const name = presetName(document, typed, null);
  if (!name.ok) return name;
  const rows = frameSketch(document);
  if (rows.length === 0) return no(refusal('noFrameYet'));
  const preset = { id: mintId('preset', random), parent: document.site.id, name: name.value, rows };
  const after = childrenOf(document.presets, document.site.id).last();
  return makeEdit(context, [{ kind: 'addPreset', after, branch: [preset] }], {
    sentence: sentence('frameStarterSaved', { preset: name.value }),
  });
}
