import type { Result } from '../base/result.ts';
import type { Edit } from '../ops/edit.ts';
import { ownCssId, type CssRule } from '../schema/ownCss.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';

/** Sets the CSS of a place; null or no rules: none. */
export function writeOwnCss(
  context: CommandContext,
  owner: string,
  rules: readonly CssRule[] | null,
): Result<Edit> {
  const was = storedOf(context).ownCss.nodes.get(ownCssId(owner))?.rules ?? null;
  const set = rules === null || rules.length === 0 ? null : rules;
  return makeEdit(context, [{ kind: 'setOwnCss', owner, set, was }], {
    label: 'this CSS',
    isStored: true,
  });
}
