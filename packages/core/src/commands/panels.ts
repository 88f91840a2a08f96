import type { Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { labelOf } from '../model/labelOf.ts';
import type { Edit } from '../ops/edit.ts';
import { dropdownWith } from '../panel/dropdownWith.ts';
import type { CommandContext } from './context.ts';
import { setItems } from './settings.ts';

/** Keeps a group of a panel in a column, from 0, or lets balance put it where it fits. */
export function keepInColumn(context: CommandContext, group: Id, column: number | null): Result<Edit> {
  const { items } = context.document;
  const item = items.nodes.get(group);
  const above = item === undefined ? undefined : items.nodes.get(item.parent);
  if (item === undefined || above === undefined) return no(refusal('nothingChosen'));
  const before = above.dropdown;
  if (before?.form !== 'panel')
    return no(refusal('changesNothing', { label: labelOf(context.document, item) }));
  const { [group]: _, ...rest } = before.panel?.kept ?? {};
  const kept = column === null ? rest : { ...rest, [group]: column };
  return setItems(context, [above.id], { dropdown: dropdownWith(before, { panel: { kept } }) });
}
