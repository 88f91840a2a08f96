import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf } from '../model/forest.ts';
import { canYield, holdersIn, isHolder, usesInDrawer, usualBands, usualParts } from '../model/frameParts.ts';
import { nameOf } from '../model/labelOf.ts';
import { newPart } from '../model/newPart.ts';
import { areaId, areaWords } from '../model/partRoots.ts';
import { partsIn } from '../model/partsIn.ts';
import { usedPart } from '../model/usedPart.ts';
import { areaAround, wayUp } from '../model/wayUp.ts';
import { partPhrase } from '../ops/addPart.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import { GRID_COLUMNS, type Part, type PartKind } from '../schema/part.ts';
import { onDevices } from './arrangement.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { removal } from './panelParts.ts';
import { partUpdate } from './partUpdate.ts';
import { areaNeeded, newBand } from './placing.ts';

/** What stays in the header where the drawer takes over, unless somebody decides otherwise. */
const staying: ReadonlySet<PartKind> = new Set([
  'logo',
  'menuButton',
  'basket',
  'breadcrumb',
  'divider',
  'spacer',
]);

/** A menu button begins as an icon, which everybody knows. */
const ICON_ONLY = { wide: 'icon', medium: 'icon', narrow: 'icon' } as const;

/**
 * Adds a drawer that is full: with everything that the header leaves to it, band by band in the order of the header,
 * and a menu button at the end of the band with the logo. What the drawer has already stays, so a menu of its own
 * takes the place of the header's.
 */
export function addDrawer(context: CommandContext): Result<Edit> {
  const { document, random } = context;
  const { parts } = document;
  const own = partsIn(document, areaId('drawer'));
  const hasOwnMenu = own.some(({ kind }) => kind === 'placement');
  const there = usesInDrawer(document);
  const taken = usualParts(document, 'header').map((band) =>
    band.filter((part) => canYield(part) && !staying.has(part.kind) && part.isHidden !== true),
  );
  let after = childrenOf(parts, areaId('drawer')).last();
  const bands = taken.flatMap((band): Operation[] => {
    const used = band.filter((part) => !there.has(part.id) && !(hasOwnMenu && part.kind === 'placement'));
    if (used.length === 0) return [];
    const branch = bandOf(used, random);
    const operation: Operation = { kind: 'addPart', after, branch };
    after = branch[0]?.id ?? after;
    return [operation];
  });
  const yielding = taken.flat().filter(({ yields }) => yields !== true);
  const button = buttonNeeded(context);
  if (bands.length === 0 && yielding.length === 0 && button.length === 0)
    return no(refusal('changesNothing', { label: areaWords.drawer }));
  return makeEdit(
    context,
    [...areaNeeded(document, 'drawer'), ...bands, ...button, ...yielding.map((part) => left(part, true))],
    { sentence: sentence('drawerAdded', {}) },
  );
}

/** A band of the drawer that shows parts again, one below the other. */
function bandOf(used: readonly Part[], random: RandomBits): Part[] {
  const [band, cell] = newBand(areaId('drawer'), true, random);
  if (band === undefined || cell === undefined) return [];
  return [
    band,
    newPart(cell.id, band.id, { kind: 'cell', span: GRID_COLUMNS }),
    ...used.map((part) => newPart(mintId('part', random), cell.id, { kind: 'use', of: part.id })),
  ];
}

/** The operation that leaves a part to the drawer, or gives it back to the header. */
function left(part: Part, yields: boolean): Operation {
  return partUpdate(part, { yields: yields || null });
}

/** The operations that give the header a menu button where it has none, on every device class. */
function buttonNeeded(context: CommandContext): Operation[] {
  const { document, random } = context;
  const { parts } = document;
  const header = partsIn(document, areaId('header'));
  if (header.some(({ kind }) => kind === 'menuButton')) return [];
  const logo = header.find(({ kind }) => kind === 'logo');
  const band =
    (logo === undefined ? undefined : wayUp(document, logo.id).find(({ kind }) => kind === 'band')) ??
    usualBands(document, 'header')[0];
  const made: Part[] = band === undefined ? newBand(areaId('header'), false, random) : [];
  const holders = band === undefined ? made.filter(isHolder) : holdersIn(document, band.id);
  const holder = holders.find(({ at }) => at === 'end') ?? holders.at(-1);
  if (holder === undefined) return [];
  const button = newPart(mintId('part', random), holder.id, { kind: 'menuButton', faces: ICON_ONLY });
  const add: Operation = {
    kind: 'addPart',
    after: made.length > 0 ? null : childrenOf(parts, holder.id).last(),
    branch: [button],
  };
  return made.length > 0
    ? [...areaNeeded(document, 'header'), { kind: 'addPart', after: null, branch: made }, add]
    : [add, ...onDevices(context, button.id, holder.id, 'header')];
}

/** Puts a part of the header or the side into the drawer, and leaves it to the drawer; there is one afterwards. */
export function addToDrawer(context: CommandContext, id: Id): Result<Edit> {
  const { document, random } = context;
  const { parts } = document;
  const part = parts.nodes.get(id);
  if (part === undefined) return no(missing('parts', id));
  if (
    usedPart(document, { of: id }) === null ||
    !canYield(part) ||
    areaAround(document, id)?.area === 'drawer'
  )
    return no(refusal('notForDrawer', { part: nameOf(document, 'parts', id) }));
  if (usesInDrawer(document).has(id))
    return no(refusal('inDrawerAlready', { part: nameOf(document, 'parts', id) }));
  const drawer = areaId('drawer');
  const holder = partsIn(document, drawer).findLast(isHolder);
  const added: Operation =
    holder === undefined
      ? { kind: 'addPart', after: childrenOf(parts, drawer).last(), branch: bandOf([part], random) }
      : {
          kind: 'addPart',
          after: childrenOf(parts, holder.id).last(),
          branch: [newPart(mintId('part', random), holder.id, { kind: 'use', of: id })],
        };
  return makeEdit(
    context,
    [
      ...areaNeeded(document, 'drawer'),
      added,
      ...buttonNeeded(context),
      ...(part.yields === true ? [] : [left(part, true)]),
    ],
    { sentence: sentence('frameAdded', { what: partPhrase(document, part), label: areaWords.drawer }) },
  );
}

/** Takes the drawer away, with its menu buttons: the header shows again what it left to it. */
export function removeDrawer(context: CommandContext): Result<Edit> {
  const { document } = context;
  const bands = [...childrenOf(document.parts, areaId('drawer'))];
  const others = (['header', 'side'] as const).flatMap((area) => partsIn(document, areaId(area)));
  const buttons = others.filter(({ kind }) => kind === 'menuButton');
  const yielding = others.filter(({ yields }) => yields === true);
  if (bands.length + buttons.length + yielding.length === 0) return no(refusal('noDrawer'));
  return makeEdit(
    context,
    [
      ...bands.toReversed().map((id) => removal(document, id)),
      ...buttons.filter((one) => one.yields !== true).map(({ id }) => removal(document, id)),
      ...yielding.map((part) => left(part, false)),
    ],
    { sentence: sentence('drawerRemoved', {}) },
  );
}

/** The operations that give a part back to the header when it is taken out of the drawer. */
export function givenBack(document: SiteDocument, use: Part): Operation[] {
  if (use.kind !== 'use' || areaAround(document, use.id)?.area !== 'drawer') return [];
  const part = usedPart(document, use);
  return part?.yields === true ? [left(part, false)] : [];
}
