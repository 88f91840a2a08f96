import type { Refusal } from './refusal.ts';

/**
 * What a function gives that may have to say no: a value, or a refusal. Bad input and "you cannot" are
 * values; a bug throws.
 */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusal: Refusal };

/** The success of an operation that can also be refused. */
export function ok<T>(value: T): Result<T> {
  return { ok: true, value };
}

/** The refusal of an operation, as a value. */
export function no<T = never>(refusal: Refusal): Result<T> {
  return { ok: false, refusal };
}
