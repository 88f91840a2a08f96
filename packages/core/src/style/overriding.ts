import { lineOf } from '../anatomy/anatomy.ts';
import type { Property } from '../anatomy/properties.ts';
import { styleId, type StyleTarget } from '../schema/style.ts';
import type { SetLook, Sheet } from './sheet.ts';

/**
 * What was set nearer, so that a value for a target does not show there: for the same thing or one that is like it,
 * in the same state and situation. O(what was set).
 */
export function overriding({ set }: Sheet, target: StyleTarget, property: Property): SetLook[] {
  const own = set.find((one) => styleId(one.target) === styleId(target));
  const rank = own?.scope.rank ?? 0;
  return set.filter(({ target: other, values, scope }, at) => {
    if (values[property] === undefined || set[at] === own || set[at]?.variant !== undefined) return false;
    if (other.state !== target.state || other.situation !== target.situation) return false;
    if (!lineOf(other.thing).includes(target.thing)) return false;
    const isNearer =
      other.thing !== target.thing ||
      scope.rank > rank ||
      (scope.rank === rank && other.scheme !== undefined && target.scheme === undefined) ||
      (scope.rank === rank && other.device !== undefined && target.device === undefined);
    return (
      isNearer &&
      (target.scheme === undefined || other.scheme === undefined || other.scheme === target.scheme) &&
      (target.device === undefined || other.device === undefined || other.device === target.device)
    );
  });
}
