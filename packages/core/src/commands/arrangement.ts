import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt, type Spot } from '../model/forest.ts';
import { holdersIn, isHolder, usesInDrawer, usualBands, usualParts } from '../model/frameParts.ts';
import { onlyId } from '../model/partProblem.ts';
import { newPart } from '../model/newPart.ts';
import { areaId, areaWords } from '../model/partRoots.ts';
import { partsIn } from '../model/partsIn.ts';
import { areaAround, wayUp } from '../model/wayUp.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import type { AreaName, Part } from '../schema/part.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { additions, removal } from './panelParts.ts';

/** A device class that can have an arrangement of its own; the wide one is what it differs from. */
export type ArrangedDevice = 'medium' | 'narrow';

/** The bands that an area has on a device class alone; none: it is arranged as usual there. */
export function arrangementOf({ parts }: SiteDocument, area: AreaName, device: ArrangedDevice): Id[] {
  return [...childrenOf(parts, areaId(area))].filter((id) => nodeAt(parts, id).only === device);
}

/** An arrangement for a device class that is as the usual one: its bands, with each of its parts once more. */
function likeUsual({ document, random }: CommandContext, area: AreaName, device: ArrangedDevice): Part[] {
  const root = areaId(area);
  /** For each usual band, zone and cell, what is made of it; nothing for what is in a part. */
  const madeOf = new Map<Id, Id>([[root, root]]);
  return usualBands(document, area).flatMap((band) =>
    [band, ...partsIn(document, band.id)].flatMap((part): Part[] => {
      const parent = madeOf.get(part.parent);
      if (parent === undefined) return [];
      const id = onlyId({ ...part, parent }) ?? mintId('part', random);
      if (part.kind === 'band' || isHolder(part) || part.kind === 'exception') {
        madeOf.set(part.id, id);
        return [newPart(id, parent, part.kind === 'band' ? { ...part, only: device } : part)];
      }
      // What is in a part, and its exceptions, come with it.
      return [newPart(id, parent, { kind: 'use', of: part.kind === 'use' ? part.of : part.id })];
    }),
  );
}

/** Gives an area an arrangement of its own on a device class, which begins as the usual one. */
export function arrangeApart(context: CommandContext, area: AreaName, device: ArrangedDevice): Result<Edit> {
  const { document } = context;
  if (arrangementOf(document, area, device).length > 0)
    return no(refusal('arrangedAlready', { area: areaWords[area], device }));
  const made = likeUsual(context, area, device);
  if (made.length === 0) return no(refusal('noFrameYet'));
  const root = areaId(area);
  return makeEdit(context, additions(made, root, childrenOf(document.parts, root).last()), {
    sentence: sentence('arrangedApart', { label: areaWords[area], device }),
  });
}

/** Takes the arrangement of a device class away: the area is as usual there. */
export function arrangeTogether(
  context: CommandContext,
  area: AreaName,
  device: ArrangedDevice,
): Result<Edit> {
  const bands = arrangementOf(context.document, area, device);
  if (bands.length === 0) return no(refusal('notArranged', { area: areaWords[area], device }));
  return makeEdit(
    context,
    bands.toReversed().map((id) => removal(context.document, id)),
    { sentence: sentence('arrangedTogether', { label: areaWords[area], device }) },
  );
}

/**
 * The operations by which a new part follows the one that it stands beside into the drawer and into the arrangements
 * of device classes.
 */
export function following(
  { document, random }: CommandContext,
  added: Part,
  neighbour: Id | null,
): Operation[] {
  if (neighbour === null) return [];
  return [...document.parts.nodes.values()].flatMap((use) =>
    use.kind === 'use' && use.of === neighbour
      ? [shownAgain(added.id, { parent: use.parent, after: use.id }, random)]
      : [],
  );
}

/** Parts of an area that no arrangement of a device class shows, though it has one, nor the drawer. O(parts). */
export function notPlaced(document: SiteDocument, area: AreaName, device: ArrangedDevice): Part[] {
  const bands = arrangementOf(document, area, device);
  if (bands.length === 0) return [];
  const own = bands.flatMap((id) => partsIn(document, id));
  const shown = new Set([
    ...own.flatMap((one) => (one.kind === 'use' ? [one.of] : [])),
    ...usesInDrawer(document).keys(),
  ]);
  return usualParts(document, area)
    .flat()
    .filter(({ id, kind }) => kind !== 'divider' && kind !== 'spacer' && !shown.has(id));
}

/** Puts a part into the arrangement of a device class, where its own place is; see `spotLike`. */
export function placeOnDevice(context: CommandContext, id: Id, device: ArrangedDevice): Result<Edit> {
  const { document, random } = context;
  const part = document.parts.nodes.get(id);
  const area = areaAround(document, id)?.area;
  if (part === undefined || area === undefined) return no(missing('parts', id));
  const spot = spotLike(document, part.parent, area, device);
  if (spot === null) return no(refusal('notArranged', { area: areaWords[area], device }));
  return makeEdit(context, [shownAgain(id, spot, random)]);
}

/** The operations that show a new part of an area in its arrangements, too. `holder`: the zone or cell that it comes into. */
export function onDevices(
  { document, random }: CommandContext,
  part: Id,
  holder: Id,
  area: AreaName,
): Operation[] {
  return (['medium', 'narrow'] as const).flatMap((device) => {
    const spot = spotLike(document, holder, area, device);
    return spot === null ? [] : [shownAgain(part, spot, random)];
  });
}

function shownAgain(of: Id, { parent, after }: Spot, random: RandomBits): Operation {
  return { kind: 'addPart', after, branch: [newPart(mintId('part', random), parent, { kind: 'use', of })] };
}

/**
 * Where what stands in a zone or a cell goes in the arrangement of a device class: last in the zone or cell that is
 * where that one is, counted by bands, else last in the arrangement; null: the area has none there.
 */
function spotLike(document: SiteDocument, holder: Id, area: AreaName, device: ArrangedDevice): Spot | null {
  const [own, ownBand] = wayUp(document, holder);
  const bands = arrangementOf(document, area, device);
  if (own === undefined || ownBand === undefined) return null;
  const at = usualBands(document, area).indexOf(ownBand);
  const holders = [bands[at] ?? bands.at(-1) ?? '', ...bands.toReversed()].flatMap((band) =>
    holdersIn(document, band),
  );
  const like =
    own.kind === 'zone'
      ? holders.find((one) => one.at === own.at)
      : holdersIn(document, bands[at] ?? '')[holdersIn(document, ownBand.id).indexOf(own)];
  const found = like ?? holders.at(-1);
  return found === undefined
    ? null
    : { parent: found.id, after: childrenOf(document.parts, found.id).last() };
}
