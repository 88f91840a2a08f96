import { handlerOf } from '../parts/partHandlers.ts';
import type { ResolvedMenu } from '../resolve/resolved.ts';
import { partKinds } from '../schema/part.ts';
import { rule, type Rule } from '../style/rule.ts';
import { resolvedParts } from './resolvedParts.ts';

/** A grid of twelve columns, and what all parts in its cells share. */
const grid: readonly Rule[] = [
  rule('.zv-rows', 'gap:1rem'),
  rule(
    '.zv-panel-row',
    'display:grid;grid-template-columns:repeat(12,minmax(0,1fr));gap:1rem 1.5rem;align-items:start',
  ),
  rule('.zv-cell', 'display:flex;flex-direction:column;gap:.75rem;min-inline-size:0'),
  rule('.zv-side-by-side', 'flex-flow:row wrap'),
  rule('.zv-side-by-side>*', 'flex:1 1 9rem;min-inline-size:0'),
  rule('.zv-all-items', 'display:none', { weight: 1 }),
  rule('.zv-only-medium,.zv-only-narrow', 'display:none'),
  rule('.zv-headed>li:has(>ul)>:is(a,span)', 'font-weight:600'),
  rule('.zv-headed>li+li:has(>ul)', 'margin-block-start:.75rem'),
  rule(
    '.zv-groups',
    'display:grid;grid-template-columns:repeat(var(--_columns,1),minmax(0,1fr));gap:.75rem 1.5rem',
  ),
  rule('.zv .zv-title', 'margin:0;padding:.25rem .5rem;font:inherit;font-weight:650'),
  rule(
    '.zv-title>a',
    'display:block;margin:-.25rem -.5rem;padding:.25rem .5rem;border-radius:var(--_radius);color:inherit;text-decoration:none',
  ),
  rule('.zv-title>a:hover', 'background:var(--_tint)'),
  rule(
    '.zv-rows :is(a,input,label):focus-visible,.zv-tabs>input:focus-visible+label',
    'outline:2px solid var(--_accent);outline-offset:-2px',
  ),
  rule('.zv-stacked .zv-cell', 'grid-column:span 12'),
  rule('.zv-stacked .zv-groups', '--_columns:1'),
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
    ...partKinds.flatMap((kind) => {
      const some = parts.filter((part) => part.kind === kind);
      return some.length === 0 ? [] : (handlerOf(kind).css?.(some) ?? []);
    }),
  ];
}
