import type { Path } from '../schema/ref.ts';

/**
 * A value with what is at a path replaced; `undefined` removes a field. Only what lies on the way is copied.
 */
export function replacedAt<V>(value: V, [step, ...rest]: Path, next: unknown): V {
  if (step === undefined) return next as V;
  if (Array.isArray(value))
    return value.map((one: unknown, at) => (at === step ? replacedAt(one, rest, next) : one)) as V;
  const { [step]: inner, ...others } = value as Record<string | number, unknown>;
  const replaced = replacedAt(inner, rest, next);
  return (replaced === undefined ? others : { ...others, [step]: replaced }) as V;
}

/** What is at a path of a value; undefined where the path leads nowhere. */
export function valueAt(value: unknown, path: Path): unknown {
  return path.reduce<unknown>(
    (at, step) => (at as Record<string | number, unknown> | undefined)?.[step],
    value,
  );
}
