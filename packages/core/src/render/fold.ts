import type { ResolvedPart } from '../resolve/resolved.ts';
import type { AreaName } from '../schema/part.ts';

/** How the branches of a list open where it stands. */
export interface Fold {
  readonly pattern: 'accordion' | 'stepIn';
  /** Which branches of an accordion are open at first. */
  readonly first: 'none' | 'current' | 'all';
  /** Opening one closes the one beside it. */
  readonly isSingle: boolean;
  /** The whole row opens the branch, and not its arrow alone. */
  readonly rowOpens: boolean;
}

/** How a menu that is a list folds in an area; null: its branches are always open. */
export function foldOf(
  area: AreaName | 'page',
  {
    pattern = area === 'drawer' ? 'accordion' : 'open',
    opensFirst = 'current',
    isSingle,
    rowOpens,
  }: Pick<ResolvedPart, 'pattern' | 'opensFirst' | 'isSingle' | 'rowOpens'>,
): Fold | null {
  if (pattern === 'open') return null;
  return {
    pattern,
    first: pattern === 'stepIn' ? 'none' : opensFirst,
    isSingle: pattern === 'stepIn' || isSingle === true,
    rowOpens: rowOpens === true,
  };
}

/** The classes of a list that folds, each with a space before it. */
export function foldClasses({ pattern, first, isSingle }: Fold): string {
  const name = pattern === 'stepIn' ? ' zv-folds zv-step-in' : ' zv-folds zv-accordion';
  return `${name}${isSingle ? ' zv-single' : ''}${first === 'current' ? ' zv-opens-current' : ''}`;
}
