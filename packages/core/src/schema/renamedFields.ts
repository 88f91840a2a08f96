type Sketch = Readonly<Record<string, unknown>>;

/** Fields of parts that had another name in formats 1 to 4 and in panel files from that time: old to new. */
export const renamedPartFields: Readonly<Record<string, string>> = {
  fit: 'cropping',
  scope: 'extraParameter',
};

/** Parts are never as deep; what came from outside may be deeper, and stays as it is from there on. */
const DEEPEST = 10;

/** A part, with all that it holds, whose fields have their new names. `names`: old to new. */
export function withNewNames(sketch: Sketch, names: Readonly<Record<string, string>>, depth = 1): Sketch {
  return Object.fromEntries(
    Object.entries(sketch).map(([name, value]) => [
      names[name] ?? name,
      name === 'parts' && Array.isArray(value) && depth < DEEPEST
        ? value.map((part: unknown) => (isSketch(part) ? withNewNames(part, names, depth + 1) : part))
        : value,
    ]),
  );
}

function isSketch(value: unknown): value is Sketch {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
