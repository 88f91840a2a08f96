import { handlerOf } from '../parts/partHandlers.ts';
import type { ResolvedMenu } from '../resolve/resolved.ts';
import { partKinds } from '../schema/part.ts';
import { looks, rule, type Rule } from '../style/rule.ts';
import { hiding } from './settingRules.ts';
import { resolvedParts } from './resolvedParts.ts';

/** A grid of twelve columns, and what all parts in its cells share. */
export const grid: readonly Rule[] = [
  rule('.zv-panel-row', 'display:grid;grid-template-columns:repeat(12,minmax(0,1fr));align-items:start'),
  rule('.zv-cell', 'display:flex;flex-direction:column;min-inline-size:0'),
  rule('.zv-side-by-side', 'flex-flow:row wrap'),
  rule('.zv-side-by-side>*', 'flex:1 1 9rem;min-inline-size:0'),
  rule('.zv-panel>.zv-all-items', 'display:none', { weight: 1 }),
  rule('.zv-only-medium,.zv-only-narrow', 'display:none'),
  rule('.zv-groups', 'display:grid;grid-template-columns:repeat(var(--_columns,1),minmax(0,1fr))'),
  rule('.zv .zv-title', 'margin:0'),
  rule('.zv-title>a', 'display:block'),
  // The gaps of twelve columns alone would be wider than a narrow list.
  rule('.zv-stacked .zv-panel-row', 'grid-template-columns:minmax(0,1fr)'),
  rule('.zv-stacked .zv-cell', 'grid-column:1/-1'),
  rule('.zv-stacked .zv-groups', '--_columns:1'),
  looks('rows', 'panelRow', 'cell', 'groupHeading', 'group', 'groups', 'heading', 'headingLink'),
];

/**
 * What composed panels need of the style sheet, for the kinds of part that are in use; empty where nobody
 * composed one. O(parts).
 */
export function partRules(menus: readonly ResolvedMenu[]): Rule[] {
  const parts = menus.flatMap(({ items }) => items.flatMap(resolvedParts));
  if (parts.length === 0) return [];
  return [
    ...grid,
    ...(parts.some(({ hiddenOn }) => hiddenOn !== undefined) ? hiding : []),
    ...partKinds.flatMap((kind) => {
      const some = parts.filter((part) => part.kind === kind);
      return some.length === 0 ? [] : (handlerOf(kind).css?.(some) ?? []);
    }),
  ];
}
