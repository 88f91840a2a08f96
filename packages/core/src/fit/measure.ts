/** How a text is set. */
export interface TextFont {
  /** The name of the font on the site. */
  readonly family: string;
  /** In px. */
  readonly size: number;
  readonly weight: number;
  readonly isItalic: boolean;
  /** In px. */
  readonly letterSpacing: number;
  /** In px. */
  readonly wordSpacing: number;
  /** `none`, `uppercase`, `lowercase` or `capitalize`. */
  readonly transform: string;
  /** The language of the text (BCP 47): it decides what letters are in another case. */
  readonly language: string;
  /** The direction of the line that it stands in. */
  readonly direction: 'ltr' | 'rtl';
}

/** How text is set where nobody says anything of it. */
export const PLAIN_FONT: TextFont = {
  family: 'font',
  size: 16,
  weight: 400,
  isItalic: false,
  letterSpacing: 0,
  wordSpacing: 0,
  transform: 'none',
  language: '',
  direction: 'ltr',
};

/** The width of a text in one line, in the case that its font says, in layout units (64 are a px). */
export type Measure = (text: string, font: TextFont) => number;
