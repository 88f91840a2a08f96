import * as Type from 'typebox';
import type { TObject, TObjectOptions, TOptional, TProperties, TRecord, TSchema, TString } from 'typebox';
import { ID_PATTERN } from '../base/ids.ts';
import { phraseCodes, type Sentence } from '../base/sentences.ts';

/** Shapes that every other schema is made of. */
export const IdShape = Type.String({ pattern: ID_PATTERN });
/** A stable, readable key of a site, a menu or a custom field, as it appears in addresses. */
export const KeyShape = Type.String({ pattern: '^[a-z][a-z0-9-]{0,39}$' });
/** A language tag (BCP 47), such as `en` or `pt-BR`. */
export const LanguageShape = Type.String({ pattern: '^[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8})*$', maxLength: 35 });
/** A label or a title, in characters (UTF-16 units). */
export const LONGEST_LABEL = 400;
/** An address: long enough for what servers accept. */
export const LONGEST_ADDRESS = 2048;
/** A label or title; it may be empty. */
export const LabelShape = Type.String({ maxLength: LONGEST_LABEL });
/** Any stored address, including unsafe ones from older documents. */
export const AddressShape = Type.String({ minLength: 1, maxLength: LONGEST_ADDRESS });
/** What a link may lead to; `isSafeAddress` says what that is. */
export const LinkAddressShape = Type.String({
  minLength: 1,
  maxLength: LONGEST_ADDRESS,
  format: 'link-address',
});
/** Path and query of a page of the site itself; `isPagePath` says what that is. */
export const PagePathShape = Type.String({ minLength: 1, maxLength: LONGEST_ADDRESS, format: 'page-path' });

/**
 * Every object that comes from outside is closed: a field that nobody knows is refused, at any depth (a law
 * in contract).
 */
export const closed = { additionalProperties: false } as const;

/**
 * The same fields, none of which need be there, as a closed object. `Type.Partial` alone would open it again.
 */
export function someOf<P extends TProperties>(fields: P): TObject<{ [K in keyof P]: TOptional<P[K]> }> {
  return Type.Object(Type.Partial(Type.Object(fields)).properties, closed) as unknown as TObject<{
    [K in keyof P]: TOptional<P[K]>;
  }>;
}

/** Values by keys of a shape, and no others: a record is open unless it says so. */
export function recordOf<V extends TSchema>(
  key: TString,
  value: V,
  limits: TObjectOptions = {},
): TRecord<string, V> {
  return Type.Record(key, value, { ...limits, ...closed }) as unknown as TRecord<string, V>;
}

const plainParam = [Type.String({ maxLength: 4000 }), Type.Number()];
const paramName = Type.String({ pattern: '^[a-zA-Z]{1,40}$' });
/**
 * How deep phrases go within a sentence: three quoted sentences (`quoted`), of which the last one names
 * things.
 */
const DEEPEST_PHRASE = 5;

/** A phrase within a sentence. Any code will do: one that is not known is worded as an unknown change. */
function phraseShape(depth: number): TSchema {
  const inner = depth === 1 ? null : phraseShape(depth - 1);
  const params = inner === null ? plainParam : [...plainParam, inner, Type.Array(inner, { maxItems: 50 })];
  return Type.Object(
    {
      code: Type.String({ pattern: '^[a-zA-Z]{1,60}$' }),
      params: recordOf(paramName, Type.Union(params), { maxProperties: 20 }),
    },
    closed,
  );
}
const QuotedShape = phraseShape(DEEPEST_PHRASE);

/** A sentence as data: its code, and what is filled in. */
export const SentenceShape = Type.Unsafe<Sentence>(
  Type.Object(
    {
      code: Type.Enum(phraseCodes),
      params: recordOf(
        paramName,
        Type.Union([...plainParam, QuotedShape, Type.Array(QuotedShape, { maxItems: 50 })]),
        { maxProperties: 20 },
      ),
    },
    closed,
  ),
);
