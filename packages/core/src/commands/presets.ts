import { mintId, type Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { faceOf } from '../model/faceOf.ts';
import { childrenOf, nodeAt, spotOf } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { newPart } from '../model/newPart.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Part } from '../schema/part.ts';
import { LONGEST_PRESET_NAME, type PartSketch } from '../schema/preset.ts';
import { mapTree } from '../walk/mapTree.ts';
import { checkLabel } from './checkLabel.ts';
import { asPanel } from './composing.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { additions, removal, withoutLost } from './panelParts.ts';

/** What a preset may go by when it is poured into an item. */
export interface PresetFor {
  /** How many children the item has. */
  readonly children: number;
  /** The page that it leads to, below which live lists look; null: none. */
  readonly page: Id | null;
  /** What it is called. */
  readonly label: string;
}

/** A preset that ships with the product. */
export interface ShippedPreset {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly rowsFor: (of: PresetFor) => readonly PartSketch[];
}

const cell = (span: number, ...parts: readonly PartSketch[]): PartSketch => ({ kind: 'cell', span, parts });
const row = (...cells: readonly PartSketch[]): PartSketch => ({ kind: 'row', parts: cells });
const groups = (columns: number): PartSketch => ({ kind: 'groups', columns });
const leading = (page: Id | null): Pick<PartSketch, 'destination'> => ({
  destination: page === null ? { kind: 'undecided' } : { kind: 'page', page, anchor: null },
});

/** The presets that come with the application. Each shows all children, whatever their number. */
export const shippedPresets: readonly ShippedPreset[] = [
  {
    key: 'columns',
    name: 'Link columns',
    about: 'All groups, balanced in four columns',
    rowsFor: () => [row(cell(12, groups(4)))],
  },
  {
    key: 'picture',
    name: 'Columns and a picture',
    about: 'Three columns of groups beside a picture that reaches the edge',
    rowsFor: () => [
      row(cell(9, groups(3)), cell(3, { kind: 'picture', isBled: true, isOrnament: true, ratio: '4/3' })),
    ],
  },
  {
    key: 'cards',
    name: 'Cards',
    about: 'The newest pages as cards, the groups below them',
    rowsFor: ({ page }) => [
      row(
        cell(12, {
          kind: 'pages',
          look: 'cards',
          columns: 4,
          source: { page, depth: 20, order: 'date', limit: 4 },
        }),
      ),
      row(cell(12, { kind: 'divider' }, groups(4))),
    ],
  },
  {
    key: 'strip',
    name: 'Picture strip',
    about: 'A picture over each of the first groups',
    rowsFor: ({ children }) => {
      const count = Math.max(1, Math.min(4, children));
      const cells = Array.from({ length: count }, (_, at) =>
        cell(
          12 / count,
          { kind: 'picture', isOrnament: true, isRounded: true, ratio: '3/2' },
          ...(at < children ? [{ kind: 'group' as const, child: at }] : []),
        ),
      );
      return children > count
        ? [row(...cells), row(cell(12, { kind: 'divider' }, groups(4)))]
        : [row(...cells)];
    },
  },
  {
    key: 'index',
    name: 'Two-level index',
    about: 'A tab for each group, its links in it',
    rowsFor: ({ children }) => {
      const count = Math.min(8, children);
      const tabs = Array.from({ length: count }, (_, at): PartSketch => ({
        kind: 'tab',
        child: at,
        parts: [{ kind: 'group', child: at, heading: 'none' }],
      }));
      const rest = children > count ? [row(cell(12, groups(4)))] : [];
      return count === 0
        ? [row(cell(12, groups(4)))]
        : [row(cell(12, { kind: 'tabs', parts: tabs })), ...rest];
    },
  },
  {
    key: 'action',
    name: 'Links and a call',
    about: 'Two columns of groups beside a heading and a button',
    rowsFor: ({ page, label }) => [
      row(
        cell(8, groups(2)),
        cell(
          4,
          { kind: 'heading', text: label },
          { kind: 'button', text: `All of ${label}`, ...leading(page) },
        ),
      ),
    ],
  },
];

/**
 * Composes the panel of an item by a preset, with its children poured in; what was there before gives way.
 */
export function usePreset(
  context: CommandContext,
  owner: Id,
  of: ShippedPreset | { readonly preset: Id },
): Result<Edit> {
  const { document, random } = context;
  const item = document.items.nodes.get(owner);
  if (item === undefined) return no(missing('items', owner));
  const { destination } = faceOf(document, item);
  const children = [...childrenOf(document.items, owner)];
  const own = 'preset' in of ? document.presets.nodes.get(of.preset) : undefined;
  if ('preset' in of && (own === undefined || own.rows[0]?.kind === 'area'))
    return no(missing('presets', of.preset));
  const rows =
    own?.rows ??
    ('rowsFor' in of
      ? of.rowsFor({
          children: children.length,
          page: destination.kind === 'page' ? destination.page : null,
          label: nameOf(document, 'items', owner),
        })
      : []);
  const parts = withoutLost(
    document,
    partsFrom(document, rows, owner, children, () => mintId('part', random)),
  );
  const gone = [...childrenOf(document.parts, owner)].map((row) => removal(document, row));
  const name = own?.name ?? ('name' in of ? of.name : '');
  return makeEdit(context, [...asPanel(document, owner), ...gone, ...additions(parts, owner)], {
    sentence: sentence('presetUsed', { preset: name, label: nameOf(document, 'items', owner) }),
  });
}

/**
 * Parts made of sketches, in preorder, as rows of an item. A group whose child is not there is left out; a
 * tab is called by its child.
 */
export function partsFrom(
  document: SiteDocument,
  rows: readonly PartSketch[],
  owner: Id,
  children: readonly Id[],
  mint: () => Id,
): Part[] {
  const made: Part[] = [];
  const stack = rows.toReversed().map((sketch) => ({ sketch, parent: owner }));
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const { kind, child, parts = [], ...facts } = next.sketch;
    const item = child === undefined ? undefined : children[child];
    if (kind === 'group' && item === undefined) continue;
    const id = mint();
    const named =
      kind === 'tab' && item !== undefined && facts.text === undefined
        ? { text: nameOf(document, 'items', item) }
        : kind === 'group' && item !== undefined
          ? { item }
          : {};
    made.push(newPart(id, next.parent, { ...facts, ...named, kind }));
    for (const one of parts.toReversed()) stack.push({ sketch: one, parent: id });
  }
  return made;
}

/** The rows of an item's panel as sketches: groups by the places of their children. */
export function panelSketch(document: SiteDocument, owner: Id): PartSketch[] {
  const places = new Map([...childrenOf(document.items, owner)].map((id, at) => [id, at]));
  return mapTree<Id, PartSketch>(
    childrenOf(document.parts, owner),
    (id) => childrenOf(document.parts, id),
    (id, parts) => {
      const { id: _, parent: __, item, ...facts } = nodeAt(document.parts, id);
      const child = item === undefined ? undefined : places.get(item);
      if (facts.kind === 'group' && child === undefined) return null;
      return {
        ...facts,
        ...(child === undefined ? {} : { child }),
        ...(parts.length === 0 ? {} : { parts }),
      };
    },
  );
}

/** Keeps the panel of an item as a preset, under a name that no other one has. */
export function savePreset(context: CommandContext, owner: Id, typed: string): Result<Edit> {
  const { document, random } = context;
  const name = presetName(document, typed, null);
  if (!name.ok) return name;
  const rows = panelSketch(document, owner);
  const label = nameOf(document, 'items', owner);
  if (rows.length === 0) return no(refusal('noParts', { label }));
  const preset = { id: mintId('preset', random), parent: document.site.id, name: name.value, rows };
  const after = childrenOf(document.presets, document.site.id).last();
  return makeEdit(context, [{ kind: 'addPreset', after, branch: [preset] }], {
    sentence: sentence('presetSaved', { label, preset: name.value }),
  });
}

/** Gives a preset another name. */
export function renamePreset(context: CommandContext, id: Id, typed: string): Result<Edit> {
  const preset = context.document.presets.nodes.get(id);
  if (preset === undefined) return no(missing('presets', id));
  const name = presetName(context.document, typed, id);
  if (!name.ok) return name;
  return makeEdit(
    context,
    [{ kind: 'updatePreset', id, set: { name: name.value }, was: { name: preset.name } }],
    { label: preset.name },
  );
}

/** Deletes a preset. Panels made from it stay. */
export function removePreset(context: CommandContext, id: Id): Result<Edit> {
  const { presets } = context.document;
  const preset = presets.nodes.get(id);
  if (preset === undefined) return no(missing('presets', id));
  return makeEdit(context, [{ kind: 'removePreset', after: spotOf(presets, id).after, branch: [preset] }]);
}

/** A name for a preset or a starter that no other one has. */
export function presetName({ presets }: SiteDocument, typed: string, own: Id | null): Result<string> {
  const name = checkLabel(typed);
  if (!name.ok) return name;
  if (name.value.length > LONGEST_PRESET_NAME)
    return no(refusal('tooLong', { what: 'a name', length: name.value.length, most: LONGEST_PRESET_NAME }));
  const other = [...presets.nodes.values()].find((one) => one.id !== own && one.name === name.value);
  return other === undefined ? name : no(refusal('keyTaken', { key: name.value, name: other.name }));
}
