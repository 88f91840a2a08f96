import type { RandomBits } from './ids.ts';

/**
 * Random bits from a seed: the same seed gives the same sequence everywhere. Source: sfc32 (Chris
 * Doty-Humphrey, PractRand), a small chaotic generator with a 64-bit counter period; chosen over a linear
 * congruential one, whose low bits repeat.
 */
export function seededRandom(seed: number): RandomBits {
  let a = 0x9e3779b9;
  let b = 0x243f6a88;
  let c = seed | 0;
  let counter = 1;
  const next = (): number => {
    const sum = (((a + b) | 0) + counter) | 0;
    counter = (counter + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = (((c << 21) | (c >>> 11)) + sum) | 0;
    return sum >>> 0;
  };
  for (let warmUp = 0; warmUp < 12; warmUp += 1) next();
  return next;
}
