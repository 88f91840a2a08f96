import type { Refusal } from './refusal.ts';

/** What a function gives that may have to say no: a value, or a refusal. Bad input and "you cannot" are values; a bug throws. */
export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusal: Refusal };

export function ok<T>(value: T): Result<T> {
  return { ok: true, value };
}

export function no<T = never>(refusal: Refusal): Result<T> {
  return { ok: false, refusal };
}
