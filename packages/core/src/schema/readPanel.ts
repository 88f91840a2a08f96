import { Check } from 'typebox/value';
import { portableShape, type PortableSketch } from './preset.ts';
import { renamedPartFields, withNewNames } from './renamedFields.ts';

let shape: ReturnType<typeof portableShape> | null = null;

/** The rows of a panel in something that came from outside; what is no row of ours is left out. */
export function readPanel(given: readonly unknown[]): PortableSketch[] {
  const fits = (shape ??= portableShape());
  return given.flatMap((one) => {
    if ((one as { kind?: unknown } | null)?.kind !== 'row') return [];
    const row = withNewNames(one as Readonly<Record<string, unknown>>, renamedPartFields);
    return Check(fits, row) ? [row as PortableSketch] : [];
  });
}
