import * as Type from 'typebox';
import type { TProperties } from 'typebox';
import { fontNames } from '../anatomy/fonts.ts';
import { valueKinds, type ValueKind } from '../anatomy/values.ts';
import { derivedId, type Id } from '../base/ids.ts';
import { FontFileShape, MOST_FONT_FILES, type FontFile } from './fontFile.ts';
import { PictureShape, type Picture } from './picture.ts';
import { closed, IdShape, someOf } from './shapes.ts';

/** What a site can give a name to, so that it is set once and used everywhere. */
export const tokenKinds = [
  'colour',
  'font',
  'picture',
  'length',
  'weight',
  'duration',
  'shadow',
  'gradient',
] as const;
/** See `tokenKinds`. */
export type TokenKind = (typeof tokenKinds)[number];

/** The longest name of one, in characters. */
export const LONGEST_TOKEN_NAME = 40;
/**
 * How values call a token. No digits after a hyphen at its end: these are the steps of a colour (`@moss-30`).
 */
const TOKEN_KEY = '^[a-z](?!.*-\\d+$)[a-z0-9-]{0,29}$';

/** The kinds of values by which those of some kinds are checked. */
export const tokenValueKinds = {
  length: 'tokenLength',
  weight: 'tokenWeight',
  duration: 'tokenDuration',
  shadow: 'tokenShadow',
  gradient: 'tokenGradient',
} as const satisfies { readonly [K in TokenKind]?: ValueKind };
/** A kind whose values are checked like those of properties. */
export type PlainTokenKind = keyof typeof tokenValueKinds;

/** Whether the values of a kind are checked like those of properties. */
export function isPlainKind(of: TokenKind): of is PlainTokenKind {
  return Object.hasOwn(tokenValueKinds, of);
}

/** The values of each kind, as regular expressions. */
export const tokenPatterns: Readonly<Record<TokenKind, string>> = {
  colour: '#[0-9a-f]{6}',
  font: `(?:${fontNames.join('|')}|own:(?:sans|serif|mono))`,
  picture: 'own:picture',
  length: valueKinds.tokenLength.pattern,
  weight: valueKinds.tokenWeight.pattern,
  duration: valueKinds.tokenDuration.pattern,
  shadow: valueKinds.tokenShadow.pattern,
  gradient: valueKinds.tokenGradient.pattern,
};

/** What is expected of the values of each kind, for people. */
export const tokenExpected: Readonly<Record<TokenKind, string>> = {
  colour: 'a colour such as #1f5a3a',
  font: 'one of the fonts in the list',
  picture: 'a picture that was uploaded',
  length: 'a length such as 12px or .75rem',
  weight: valueKinds.tokenWeight.expected,
  duration: valueKinds.tokenDuration.expected,
  shadow: valueKinds.tokenShadow.expected,
  gradient: valueKinds.tokenGradient.expected,
};

/** Any value that something with a name can have. */
export const tokenValueShape = Type.String({
  pattern: `^(?:${Object.values(tokenPatterns).join('|')})$`,
  maxLength: 300,
});

const tokenFields = {
  /** What people call it; not there: it is a role, whose name is ours. */
  name: Type.String({ minLength: 1, maxLength: LONGEST_TOKEN_NAME }),
  value: tokenValueShape,
  /** Of a colour: what it is in the dark scheme; not there: as light as it is dark otherwise. */
  dark: Type.String({ pattern: '^#[0-9a-f]{6}$' }),
  /** Of a font that is not on visitors’ devices: its files. */
  files: Type.Array(FontFileShape, { minItems: 1, maxItems: MOST_FONT_FILES }),
  /** Of a picture: its files, and the colours that text over it can have behind it (`tonesOf`). */
  picture: PictureShape,
  tones: Type.Array(Type.String({ pattern: '^#[0-9a-f]{6}(?:[0-9a-f]{2})?$' }), {
    minItems: 1,
    maxItems: 16,
  }),
  /** How text is shown until the files are there; not there: at once, and they are used from the next page on. */
  display: Type.Literal('swap'),
};

/** What can be said of a token. */
export const tokenFieldNames = Object.keys(tokenFields) as (keyof typeof tokenFields)[];

/** What can be said of a token without its files. */
export const { name: tokenName, value: tokenValue, dark: tokenDark } = tokenFields;

export const tokenTargetFields = { key: Type.String({ pattern: TOKEN_KEY }), of: Type.Enum(tokenKinds) };

/** Which token it is. */
export const TokenTargetShape = Type.Object(tokenTargetFields, closed);
/** See `TokenTargetShape`. */
export interface TokenTarget {
  readonly key: string;
  readonly of: TokenKind;
}

/** What can be said of a token. */
export interface TokenValues {
  readonly name?: string;
  readonly value?: string;
  readonly dark?: string;
  readonly files?: readonly FontFile[];
  readonly display?: 'swap';
  readonly picture?: Picture;
  readonly tones?: readonly string[];
}
/** Some of it; null takes it away. */
export type TokenSet = { readonly [F in keyof TokenValues]: TokenValues[F] | null };
export const TokenSetShape = someOf(
  Object.fromEntries(
    Object.entries(tokenFields).map(([name, shape]) => [name, Type.Union([shape, Type.Null()])]),
  ) as TProperties,
);

/**
 * A colour, a font, a picture, a length, a weight, a time, a shadow or a gradient with a name. It is there as long as something is said
 * of it; its id follows from its key, so that two people who set the same one for the first time do not collide.
 * Its parent is the site.
 */
export const TokenShape = Type.Unsafe<Token>(
  Type.Object(
    { id: IdShape, parent: IdShape, ...tokenTargetFields, ...someOf(tokenFields).properties },
    closed,
  ),
);
/** See `TokenShape`. */
export type Token = { readonly id: Id; readonly parent: Id } & TokenTarget & TokenValues;

/** The id of the node for a token. */
export function tokenId({ key }: Pick<TokenTarget, 'key'>): Id {
  return derivedId('token', key);
}
