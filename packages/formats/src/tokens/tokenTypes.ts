import type { TokenKind } from '@zorvik/core';

/** Under which name our own words stand in `$extensions`: a reverse domain name, as the format asks for. */
export const OURS = 'example.zorvik';

/** The types of the format by our kinds. */
export const typeOfKind: Readonly<Record<Exclude<TokenKind, 'picture'>, string>> = {
  colour: 'color',
  font: 'fontFamily',
  length: 'dimension',
  weight: 'fontWeight',
  duration: 'duration',
  shadow: 'shadow',
  gradient: 'gradient',
};

/** Words for weights that the format has. */
export const weightWords: Readonly<Record<string, number>> = {
  thin: 100,
  hairline: 100,
  'extra-light': 200,
  'ultra-light': 200,
  light: 300,
  normal: 400,
  regular: 400,
  book: 400,
  medium: 500,
  'semi-bold': 600,
  'demi-bold': 600,
  bold: 700,
  'extra-bold': 800,
  'ultra-bold': 800,
  black: 900,
  heavy: 900,
  'extra-black': 950,
  'ultra-black': 950,
};
