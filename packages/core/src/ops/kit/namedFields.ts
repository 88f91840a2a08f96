import { isEqual } from '../../base/isEqual.ts';

/** Those of the named fields that would change. A field that is not there has null. */
export function differing<F extends object>(present: object, named: F): F {
  const entries = Object.entries(named).filter(([field, value]) => !isEqual(valueOf(present, field), value));
  return Object.fromEntries(entries) as F;
}

/** The present values of the fields that `named` names. */
export function valuesOf<F extends object>(present: object, named: F): F {
  return Object.fromEntries(Object.keys(named).map((field) => [field, valueOf(present, field)])) as F;
}

function valueOf(present: object, field: string): unknown {
  return (present as Readonly<Record<string, unknown>>)[field] ?? null;
}
