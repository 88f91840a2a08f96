import { mintId, type Id } from '../base/ids.ts';
import { no, type Result } from '../base/result.ts';
import { childrenOf, spotOf } from '../model/forest.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { OwnField } from '../schema/ownField.ts';
import { checkLabel } from './checkLabel.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { keyFrom } from './menus.ts';

/** Declares a field of the site's own. Its key, under which its values are delivered, comes from its name. */
export function declareField(
  context: CommandContext,
  { name: typed, type, of }: Pick<OwnField, 'name' | 'type' | 'of'>,
): Result<Edit> {
  const { document, random } = context;
  const name = checkLabel(typed);
  if (!name.ok) return name;
  const key = keyFrom(name.value, 'field');
  const field: OwnField = {
    id: mintId('ownField', random),
    parent: document.site.id,
    key,
    name: name.value,
    type,
    of,
  };
  return makeEdit(context, [
    { kind: 'addOwnField', after: childrenOf(document.ownFields, document.site.id).last(), branch: [field] },
  ]);
}

/** Removes a field. The values stay with their items, and are there again when the field comes back. */
export function removeField(context: CommandContext, id: Id): Result<Edit> {
  const { document } = context;
  const field = document.ownFields.nodes.get(id);
  if (field === undefined) return no(missing('ownFields', id));
  return makeEdit(context, [
    { kind: 'removeOwnField', after: spotOf(document.ownFields, id).after, branch: [field] },
  ]);
}
