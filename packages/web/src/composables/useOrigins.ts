import {
  nameOfOwner,
  starterByKey,
  thingOf,
  variantNamed,
  type ResolvedStyle,
  type State,
  type StyleTarget,
} from '@zorvik/core';
import { situationWords, useStyling } from '../stores/styling.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/** Where values come from, in words. */
export interface Origins {
  /** `isNamed`: starters with their names. */
  readonly originOf: (style: ResolvedStyle, isNamed?: boolean) => string;
  readonly placeOf: (target: StyleTarget) => string;
}

const stateWords: Readonly<Partial<Record<State, string>>> = {
  within: 'within current',
  current: 'current page',
};

/** See `Origins`. Of the state that is chosen, nothing is said. */
export function useOrigins(): Origins {
  const copy = useWorkingCopy();
  const styling = useStyling();

  function placeOf(target: StyleTarget): string {
    const { owner, thing, situation, scheme, device } = target;
    const state: State = target.state ?? 'normal';
    const { document } = copy;
    const isSite = document === null || owner === document.site.id;
    return [
      isSite ? 'whole site' : nameOfOwner(document, owner),
      ...(thing === styling.thing ? [] : [thingOf(thing).name]),
      ...(state === styling.state ? [] : [stateWords[state] ?? state]),
      ...(situation === undefined ? [] : [situationWords[situation]]),
      ...(scheme === undefined ? [] : [scheme]),
      ...(device === undefined ? [] : [device]),
    ].join(', ');
  }

  function originOf({ origin }: ResolvedStyle, isNamed = false): string {
    if (origin.from === 'initial') return 'not set';
    if (origin.from === 'set') return placeOf(origin.target);
    if (origin.from === 'variant') return `variant “${variantName(origin.variant)}”`;
    const { starter, thing, state, situation } = origin;
    const name = copy.document === null ? undefined : starterByKey(copy.document.site, starter)?.name;
    return [
      name === undefined || !isNamed ? 'starter' : `starter “${name}”`,
      ...(thing === styling.thing ? [] : [thingOf(thing).name]),
      ...(state === 'normal' || state === styling.state ? [] : [stateWords[state] ?? state]),
      ...(situation === null ? [] : [situationWords[situation]]),
    ].join(', ');
  }

  const variantName = (key: string): string => variantNamed(copy.document?.site ?? {}, key)?.name ?? key;

  return { originOf, placeOf };
}
