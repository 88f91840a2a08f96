import { Check, Errors } from 'typebox/value';
import { portableFrameShape, type PortableSketch } from './preset.ts';

let shape: ReturnType<typeof portableFrameShape> | null = null;

/** The areas of a frame in something that came from outside, or what is wrong with it, and where. */
export function readFrame(
  given: readonly unknown[],
): { readonly areas: PortableSketch[] } | { readonly problem: string } {
  const fits = (shape ??= portableFrameShape());
  for (const [at, one] of given.entries()) {
    const where = `areas[${at}]`;
    if ((one as { kind?: unknown } | null)?.kind !== 'area') return { problem: `${where} is not an area` };
    const isArea: boolean = Check(fits, one);
    if (isArea) continue;
    const [first] = Errors(fits, one);
    return { problem: `${where}${first?.instancePath ?? ''} ${first?.message ?? 'is not valid'}` };
  }
  return { areas: given as PortableSketch[] };
}
