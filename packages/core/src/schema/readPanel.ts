import Value from 'typebox/value';
import { portableShape, type PortableSketch } from './preset.ts';

let shape: ReturnType<typeof portableShape> | null = null;

/** The rows of a panel in something that came from outside; what is no row of ours is left out. */
export function readPanel(given: readonly unknown[]): PortableSketch[] {
  const fits = (shape ??= portableShape());
  return given.filter(
    (row): row is PortableSketch =>
      (row as { kind?: unknown } | null)?.kind === 'row' && Value.Check(fits, row),
  );
}
