import type { Id } from '../base/ids.ts';
import { isEqual } from '../base/isEqual.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { branchOf } from '../model/branchOf.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { partName } from '../model/labelOf.ts';
import { wayUp } from '../model/wayUp.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Field } from '../schema/parts/definePart.ts';
import { fieldsOf, type Part, type PartField } from '../schema/part.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { partUpdate } from './partUpdate.ts';

/** How a part is, and not what is in it: only that is given to others. */
const SETTINGS: ReadonlySet<string> = new Set([
  'flag',
  'choice',
  'some',
  'number',
  'devices',
  'variant',
  'span',
  'faces',
  'fits',
]);

/**
 * Those of a part's settings that other parts of its kind in the same panel, or in the same area, have otherwise, and which
 * do. O(parts there).
 */
export function unlikeParts(document: SiteDocument, id: Id): Map<PartField, Id[]> {
  const part = nodeAt(document.parts, id);
  const fields = (Object.entries(fieldsOf(part.kind)) as [PartField, Field][]).filter(([, { control }]) =>
    SETTINGS.has(control.kind),
  );
  const others = partsOfItsKind(document, part);
  const found = new Map<PartField, Id[]>();
  for (const [name] of fields) {
    const unlike = others
      .filter((one) => !isEqual(valueOf(one, name), valueOf(part, name)))
      .map((one) => one.id);
    if (unlike.length > 0) found.set(name, unlike);
  }
  return found;
}

/** The parts of a part's kind in the same panel or area, with itself, in their order. O(parts there). */
export function partsOfItsKind(document: SiteDocument, { id, kind }: Part): Part[] {
  const top = wayUp(document, id).at(-1);
  const tops = top?.kind === 'area' ? [top.id] : [...childrenOf(document.parts, top?.parent ?? id)];
  return tops.flatMap((one) => branchOf(document.parts, one)).filter((one) => one.kind === kind);
}

function valueOf(part: Part, name: PartField): unknown {
  return (part as unknown as Readonly<Record<string, unknown>>)[name] ?? null;
}

/** Gives settings of a part to others of its kind; `only`: to these. */
export function makePartsAlike(
  context: CommandContext,
  id: Id,
  names: readonly PartField[],
  only: readonly Id[],
): Result<Edit> {
  const { document } = context;
  const part = document.parts.nodes.get(id);
  if (part === undefined) return no(missing('parts', id));
  const unlike = unlikeParts(document, id);
  const sets = new Map<Id, Record<string, unknown>>();
  for (const name of names)
    for (const other of unlike.get(name) ?? [])
      if (only.includes(other)) sets.set(other, { ...sets.get(other), [name]: valueOf(part, name) });
  const label = partName(document, part);
  if (sets.size === 0) return no(refusal('noneSaid', { label }));
  const operations = [...sets].map(([other, set]) => partUpdate(nodeAt(document.parts, other), set));
  return makeEdit(context, operations, {
    sentence: sentence('partsMadeAlike', { label, settings: names.length, count: sets.size }),
    label,
  });
}
