import { states, type State } from '../anatomy/anatomy.ts';
import type { Look, Looks } from '../starters/starter.ts';
import { deviceClasses, type DeviceClass } from '../schema/deviceClass.ts';
import { schemes, situations, type Scheme, type Situation, type StyleTarget } from '../schema/style.ts';

/** Where a value holds. */
export interface Precedence {
  readonly state: State;
  readonly situation: Situation | null;
  readonly scheme: Scheme | null;
  readonly device: DeviceClass | null;
  /** How near its scope is; the starter has 0. */
  readonly rank: number;
}

/** In which state, situation, scheme and device class something is said. */
export type Where = Omit<Precedence, 'rank'>;
const ANYWHERE: Where = { state: 'normal', situation: null, scheme: null, device: null };

/** Where the values for a target hold. */
export function whereOf({ state, situation, scheme, device }: StyleTarget): Where {
  return {
    state: state ?? 'normal',
    situation: situation ?? null,
    scheme: scheme ?? null,
    device: device ?? null,
  };
}

/** What a starter says of a thing, and where it holds; what is never so on a site is not among it. */
export function saidByStarter(
  { narrow, dark, over, scrolled, ...looks }: Looks,
  { hasDark, situations: some }: { readonly hasDark: boolean; readonly situations: readonly Situation[] },
): readonly (readonly [look: Look, where: Where])[] {
  const said: readonly (readonly [Look | undefined, Partial<Where>])[] = [
    ...states.map((state) => [looks[state], { state }] as const),
    [narrow, { device: 'narrow' }],
    [hasDark ? dark : undefined, { scheme: 'dark' }],
    ...some.map((situation) => [situation === 'over' ? over : scrolled, { situation }] as const),
  ];
  return said.flatMap(([look, where]) => (look === undefined ? [] : [[look, { ...ANYWHERE, ...where }]]));
}

/**
 * How much a value wins: compared from the first number on. The state decides first, then a situation of the header,
 * then the thing, then the scope, then light or dark, then the device class. `thing`: greater for what comes later in the anatomy.
 */
export function orderOf(
  { state, situation, scheme, device, rank }: Precedence,
  thing: number,
): readonly number[] {
  return [
    states.indexOf(state),
    situation === null ? 0 : 1 + situations.indexOf(situation),
    thing,
    rank,
    scheme === null ? 0 : 1 + schemes.indexOf(scheme),
    device === null ? 0 : 1 + deviceClasses.indexOf(device),
  ];
}

/** Below 0: the first loses. */
export function compareOrder(one: readonly number[], other: readonly number[]): number {
  for (let at = 0; at < one.length; at += 1) {
    const difference = (one[at] ?? 0) - (other[at] ?? 0);
    if (difference !== 0) return difference;
  }
  return 0;
}
