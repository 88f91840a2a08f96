import type { Id } from '../base/ids.ts';
import { isEqual } from '../base/isEqual.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { nameOf } from '../model/labelOf.ts';
import { areaId, areaWords } from '../model/partRoots.ts';
import { areaAround } from '../model/wayUp.ts';
import { partSentence } from '../ops/addPart.ts';
import { applyEdit } from '../ops/applyEdit.ts';
import type { Edit } from '../ops/edit.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Operation } from '../ops/registry.ts';
import { areaFacts } from '../resolve/resolveFrame.ts';
import { deviceClasses, type DeviceClass } from '../schema/deviceClass.ts';
import { policies, type Fits, type Part } from '../schema/part.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { addDrawer } from './drawer.ts';
import { partUpdate } from './partUpdate.ts';

/** What can be done where a bar does not fit, in the order in which it is offered. */
export const fitChoices = ['wrap', ...policies, 'drawer'] as const;
/** See `fitChoices`. */
export type FitChoice = (typeof fitChoices)[number];

/** What a bar does where it does not fit on a device class; `drawer`: the drawer shows its menu on all of it. */
export function fitChoiceOf(
  document: SiteDocument,
  { fits, yields }: Pick<Part, 'fits' | 'yields'>,
  device: DeviceClass,
): FitChoice {
  if (yields === true && hasDrawerOn(document, device)) return 'drawer';
  return fits?.[device] ?? 'wrap';
}

/** Whether the drawer has taken over in all windows of a device class. */
function hasDrawerOn(document: SiteDocument, device: DeviceClass): boolean {
  const { breakpoints } = document.site;
  if (!document.parts.nodes.has(areaId('drawer'))) return false;
  const { takeover = breakpoints.medium } = areaFacts(document, 'drawer');
  if (typeof takeover === 'string') return takeover === 'always';
  return device !== 'wide' && takeover >= endOf(document, device);
}

/** The first width that is wider than a device class, in px. */
function endOf({ site }: SiteDocument, device: DeviceClass): number {
  return device === 'narrow'
    ? site.breakpoints.medium
    : device === 'medium'
      ? site.breakpoints.wide
      : Infinity;
}

/**
 * Sets what a bar does where it does not fit on some device classes. The drawer takes over for all bars that yield:
 * chosen for a device class, it does so on all narrower ones, too; given up, it takes over on those alone.
 */
export function setFit(
  context: CommandContext,
  id: Id,
  devices: readonly DeviceClass[],
  choice: FitChoice,
): Result<Edit> {
  const { document } = context;
  const part = document.parts.nodes.get(id);
  if (part === undefined) return no(missing('parts', id));
  if (part.kind !== 'placement' || areaAround(document, id)?.area !== 'header')
    return no(refusal('notInBar', { part: nameOf(document, 'parts', id) }));
  const changed = devices.filter((device) => fitChoiceOf(document, part, device) !== choice);
  if (changed.length === 0) return no(refusal('changesNothing', { label: nameOf(document, 'parts', id) }));
  if (choice === 'drawer')
    return drawerTakesOver(
      context,
      id,
      changed.includes('wide') ? 'always' : Math.max(...changed.map((device) => endOf(document, device))),
    );
  const fits: Fits = {
    ...Object.fromEntries(
      Object.entries(part.fits ?? {}).filter(([device]) => !changed.includes(device as DeviceClass)),
    ),
    ...(choice === 'wrap' ? {} : Object.fromEntries(changed.map((device) => [device, choice]))),
  };
  const givenUp = changed.filter((device) => fitChoiceOf(document, part, device) === 'drawer');
  const [narrowest] = deviceClasses.filter((device) => givenUp.includes(device));
  const operations = [
    ...updated(part, {
      fits: Object.keys(fits).length === 0 ? null : fits,
      ...(narrowest === 'narrow' ? { yields: null } : {}),
    }),
    ...(narrowest === undefined || narrowest === 'narrow'
      ? []
      : takeoverAt(document, endOf(document, narrowest === 'wide' ? 'medium' : 'narrow'))),
  ];
  return makeEdit(context, operations, {
    sentence: partSentence('changed', document, part),
  });
}

/**
 * Lets the drawer take over below a width, in px, with all that a bar shows: the bar yields to it, and where there is no
 * drawer yet, one is added that is full.
 */
export function drawerTakesOver(context: CommandContext, id: Id, below: number | 'always'): Result<Edit> {
  const { document } = context;
  const part = document.parts.nodes.get(id);
  if (part === undefined) return no(missing('parts', id));
  const added = addDrawer(context);
  const first = added.ok ? added.value.operations : [];
  const after = added.ok ? applyEdit(document, added.value) : null;
  const start = after?.ok === true ? after.value.document : document;
  const own = start.parts.nodes.get(id) ?? part;
  const operations = [...first, ...updated(own, { yields: true }), ...takeoverAt(start, below)];
  if (operations.length === 0) return no(refusal('changesNothing', { label: areaWords.drawer }));
  return makeEdit(context, operations, {
    sentence: sentence('areaChanged', { label: areaWords.drawer }),
  });
}

function takeoverAt(document: SiteDocument, below: number | 'always'): Operation[] {
  const drawer = document.parts.nodes.get(areaId('drawer'));
  const isUsual = below === document.site.breakpoints.medium;
  return drawer === undefined ? [] : updated(drawer, { takeover: isUsual ? null : below });
}

/** The operation that sets facts of a part; none where it has them. */
function updated(part: Part, set: Parameters<typeof partUpdate>[1]): Operation[] {
  const own = part as unknown as Readonly<Record<string, unknown>>;
  return Object.entries(set).every(([name, value]) => isEqual(own[name] ?? null, value))
    ? []
    : [partUpdate(part, set)];
}
