import { hexOf, oklchOf } from '../colour/colour.ts';
import { ratioOf, rgbaOf } from './blend.ts';

/** How finely lightness is searched, of 1. */
const STEP = 0.005;
/** A little more than is needed, so that rounding to whole colours does not take it away again. */
const SPARE = 0.02;

/**
 * The colour nearest to one, by OKLCH lightness alone, that is told from all of these grounds; with its hue, and as
 * much of its chroma as screens can show. Null: not even black or white is.
 */
export function nearestPassing(colour: string, grounds: readonly string[], needed: number): string | null {
  const behind = grounds.map(rgbaOf);
  const passes = (hex: string): boolean => {
    const top = rgbaOf(hex);
    return behind.every((one) => ratioOf(top, one) >= needed + SPARE);
  };
  const { l, c, h } = oklchOf(colour);
  for (let distance = 0; distance <= 1; distance += STEP)
    for (const to of [l - distance, l + distance]) {
      if (to < -STEP || to > 1 + STEP) continue;
      const hex = hexOf(to, c, h);
      if (passes(hex)) return hex;
    }
  return ['#000000', '#ffffff'].find(passes) ?? null;
}

/**
 * The least opacity of a veil over some grounds, in percent, with which a colour is told from them all. `veil`: black
 * below light text, white below dark text.
 */
export function leastScrim(
  colour: string,
  grounds: readonly string[],
  needed: number,
  veil: 'black' | 'white' = 'black',
): number | null {
  const top = rgbaOf(colour);
  const added = veil === 'white' ? 255 : 0;
  for (let share = 0; share <= 90; share += 1) {
    const left = 1 - share / 100;
    const passes = grounds.every((one) => {
      const [red, green, blue] = rgbaOf(one);
      const veiled = (part: number): number => part * left + added * (1 - left);
      return ratioOf(top, [veiled(red), veiled(green), veiled(blue), 1]) >= needed + SPARE;
    });
    if (passes) return share;
  }
  return null;
}
