import Type, { type TObject, type TObjectOptions, type TOptional, type TProperties, type TRecord, type TSchema, type TString } from 'typebox';
import { ID_PATTERN } from '../base/ids.ts';
import { sentenceCodes, type Sentence } from '../base/sentences.ts';

/** Shapes that every other schema is made of. */
export const IdShape = Type.String({ pattern: ID_PATTERN });
export const KeyShape = Type.String({ pattern: '^[a-z][a-z0-9-]{0,39}$' });
/** A language tag (BCP 47), such as `en` or `pt-BR`. */
export const LanguageShape = Type.String({ pattern: '^[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8})*$', maxLength: 35 });
/** A label or a title, in characters (UTF-16 units). */
export const LONGEST_LABEL = 400;
/** An address: long enough for what servers accept. */
export const LONGEST_ADDRESS = 2048;
export const LabelShape = Type.String({ maxLength: LONGEST_LABEL });
export const AddressShape = Type.String({ minLength: 1, maxLength: LONGEST_ADDRESS });
/** What a link may lead to; `isSafeAddress` says what that is. */
export const LinkAddressShape = Type.String({ minLength: 1, maxLength: LONGEST_ADDRESS, format: 'link-address' });
/** Path and query of a page of the site itself; `isPagePath` says what that is. */
export const PagePathShape = Type.String({ minLength: 1, maxLength: LONGEST_ADDRESS, format: 'page-path' });

/** Every object that comes from outside is closed: a field that nobody knows is refused, at any depth (a law in contract). */
export const closed = { additionalProperties: false } as const;

/** The same fields, none of which need be there, as a closed object. `Type.Partial` alone would open it again. */
export function someOf<P extends TProperties>(fields: P): TObject<{ [K in keyof P]: TOptional<P[K]> }> {
  return Type.Object(Type.Partial(Type.Object(fields)).properties, closed) as unknown as TObject<{ [K in keyof P]: TOptional<P[K]> }>;
}

/** Values by keys of a shape, and no others: a record is open unless it says so. */
export function recordOf<V extends TSchema>(key: TString, value: V, limits: TObjectOptions = {}): TRecord<string, V> {
  return Type.Record(key, value, { ...limits, ...closed }) as unknown as TRecord<string, V>;
}

/** A sentence as data: its code, and what is filled in. */
export const SentenceShape = Type.Unsafe<Sentence>(
  Type.Object(
    {
      code: Type.Enum(sentenceCodes),
      params: recordOf(Type.String({ pattern: '^[a-zA-Z]{1,40}$' }), Type.Union([Type.String({ maxLength: 4000 }), Type.Number()])),
    },
    closed,
  ),
);
