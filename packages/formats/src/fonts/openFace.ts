import bidiFactory from 'bidi-js';
import { Blob, Buffer, Face as ShapedFace, Feature, Font, shape, Variation } from 'harfbuzzjs';
import { unpackFont } from './unpackFont.ts';

/** How text is set: what its width depends on besides its face. */
export interface TextSetting {
  /** In px. */
  readonly size: number;
  /** Behind each letter, in px. */
  readonly letterSpacing: number;
  /** Behind each space besides, in px. */
  readonly wordSpacing: number;
  /** The direction of the line that it stands in; not there: from left to right. */
  readonly direction?: 'ltr' | 'rtl';
}

/** A font that text can be measured with, in one weight. */
export interface Face {
  /** The width of a text in one line, in layout units (64 are a px), as browsers round it: up. O(characters). */
  readonly widthOf: (text: string, setting: TextSetting) => number;
  /** The characters of a text that the font does not have, each once. Browsers take them from other fonts. */
  readonly lacks: (text: string) => readonly string[];
}

/** Ligatures, which browsers do not make where letters are set apart (CSS Text 3, 9.2). */
const APART = ['-liga', '-clig'].flatMap((feature) => Feature.fromString(feature) ?? []);
/** Font engines count in 65,536ths of a px, and layout in 64ths. */
const [FINE, LAYOUT] = [65_536, 64];
/** So many texts of a face are kept: more than a site has labels, in a few sizes. */
const MOST_KNOWN = 50_000;
/** What is less than this above a whole layout unit comes from adding numbers, and not from the font. */
const NOISE = 1e-6;

/**
 * Opens a font file (WOFF2, TrueType or OpenType) in one weight. Text is shaped by HarfBuzz, as in browsers, with
 * kerning and ligatures; advances are rounded as their font engines do. Throws where the file cannot be read.
 */
export function openFace(bytes: Uint8Array, weight: number): Face {
  const face = new ShapedFace(new Blob(unpackFont(bytes)));
  const { upem } = face;
  if (!(upem > 0) || face.collectUnicodes().length === 0) throw new Error('it has no characters');
  const at = (units: number, size: number): Font => {
    const font = new Font(face);
    font.setVariations([new Variation('wght', weight), new Variation('opsz', size)]);
    font.setScale(units, units);
    return font;
  };
  const plain = at(upem, 16);
  const characters = new Map<number, boolean>();
  const has = (character: number): boolean => {
    const known = characters.get(character) ?? plain.nominalGlyph(character) !== undefined;
    characters.set(character, known);
    return known;
  };
  /** A font for a size: one that shapes in fine units, one that has its advances in font units, and its scale. */
  const sized = new Map<number, { readonly fine: Font; readonly own: Font; readonly scale: number }>();
  const fontsFor = (size: number) => {
    let fonts = sized.get(size);
    if (fonts === undefined) {
      const scale = Math.round((Math.trunc(size * LAYOUT) * FINE) / upem);
      fonts = { fine: at(Math.round(size * FINE), size), own: at(upem, size), scale };
      sized.set(size, fonts);
    }
    return fonts;
  };
  const known = new Map<string, { readonly width: number; readonly letters: number }>();

  /** The width of a text without what is put between its letters, in fine units, and its letters as they are drawn. */
  function shaped(
    text: string,
    size: number,
    isApart: boolean,
  ): { readonly width: number; readonly letters: number } {
    const key = `${size} ${isApart} ${text}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const { fine, own, scale } = fontsFor(size);
    let [width, letters] = [0, 0];
    for (const run of runsOf(text)) {
      const buffer = new Buffer();
      buffer.addText(run);
      buffer.guessSegmentProperties();
      shape(fine, buffer, isApart ? APART : []);
      const positions = buffer.getGlyphPositions();
      buffer.getGlyphInfos().forEach(({ codepoint: glyph }, index) => {
        const kerning = (positions[index]?.xAdvance ?? 0) - fine.glyphHAdvance(glyph);
        width += Math.round((scale * own.glyphHAdvance(glyph)) / LAYOUT) + kerning;
      });
      letters += positions.length;
    }
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, { width, letters });
    return { width, letters };
  }

  return {
    widthOf(text, { size, letterSpacing, wordSpacing, direction = 'ltr' }) {
      let sum = 0;
      // Each piece that runs in one direction is an item of the line, whose width is rounded by itself.
      for (const piece of piecesOf(text, direction)) {
        const { width, letters } = shaped(piece, drawnSize(size), letterSpacing !== 0);
        const spaces = wordSpacing === 0 ? 0 : (piece.match(/[ \u00a0]/g)?.length ?? 0);
        const added = letters * Math.trunc(letterSpacing * FINE) + spaces * Math.trunc(wordSpacing * FINE);
        sum += Math.max(0, Math.ceil(((width + added) / FINE) * LAYOUT - NOISE));
      }
      return sum;
    },
    lacks: (text) => [...new Set([...text].filter((sign) => !has(sign.codePointAt(0) ?? 0)))],
  };
}

/** The size in which browsers draw text: in whole hundredths of a px, counted as a float of 32 bits. */
function drawnSize(size: number): number {
  return Math.floor(Math.fround(Math.fround(size) * 100)) / 100;
}

/** Letters that are written from right to left (Hebrew, Arabic and their neighbours). */
const FROM_RIGHT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufeff\u{10800}-\u{10fff}\u{1e800}-\u{1efff}]/u;

/** The pieces of a line that run in one direction each (Unicode Standard Annex 9), as browsers lay them out. */
function piecesOf(text: string, direction: 'ltr' | 'rtl'): readonly string[] {
  if (direction === 'ltr' && !FROM_RIGHT.test(text)) return [text];
  const { levels } = bidi.getEmbeddingLevels(text, direction);
  const pieces: string[] = [];
  let from = 0;
  for (let at = 1; at <= text.length; at += 1)
    if (at === text.length || levels[at] !== levels[from]) {
      pieces.push(text.slice(from, at));
      from = at;
    }
  return pieces;
}
const bidi = bidiFactory();

/** What belongs to a script, and not to all of them. */
const SCRIPTS = [
  'Latin',
  'Cyrillic',
  'Greek',
  'Arabic',
  'Hebrew',
  'Han',
  'Hiragana',
  'Katakana',
  'Hangul',
  'Devanagari',
  'Thai',
].map((name) => [name, new RegExp(`\\p{Script=${name}}`, 'u')] as const);

/** The parts of a text in one script each, as browsers shape them: what belongs to none goes with what is before it. */
function runsOf(text: string): string[] {
  // Most texts have one.
  if (/^[\p{Script=Latin}\p{Script=Common}]*$/u.test(text)) return [text];
  const runs: string[] = [];
  let script = '';
  for (const sign of text) {
    const [own = ''] = SCRIPTS.find(([, has]) => has.test(sign)) ?? [];
    if (runs.length > 0 && (own === '' || script === '' || own === script))
      runs.push(`${runs.pop() ?? ''}${sign}`);
    else runs.push(sign);
    if (own !== '') script = own;
  }
  return runs;
}
