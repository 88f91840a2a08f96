import Type from 'typebox';
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

export const closed = { additionalProperties: false } as const;

/** A sentence as data: its code, and what is filled in. */
export const SentenceShape = Type.Unsafe<Sentence>(
  Type.Object(
    {
      code: Type.Enum(sentenceCodes),
      params: Type.Record(Type.String({ maxLength: 40 }), Type.Union([Type.String({ maxLength: 4000 }), Type.Number()])),
    },
    closed,
  ),
);
