import {
  fontFileName,
  paletteOf,
  valueOfName,
  type FontFile,
  type Measure,
  type SiteDocument,
  type TextFont,
} from '@zorvik/core';
import { loadBytes } from '../api/loadBytes.ts';
import { openFace, transformed, type Face } from '@zorvik/formats/fonts';

/** Measures text with the fonts of a site; what has not been loaded yet is noted, and 0 wide. */
export interface TextMeasure {
  readonly measure: Measure;
  /** Loads what was missing; false: nothing was. */
  readonly load: () => Promise<boolean>;
  /** Whether a font of the visitors’ systems was measured: as wide as on this computer. */
  readonly isEstimate: () => boolean;
}

/** Faces that were opened, by file and weight; null: the file cannot be had, or read. */
const faces = new Map<string, Face | null>();
/** What measures fonts of this computer. */
const canvas = new OffscreenCanvas(1, 1).getContext('2d');
const LAYOUT = 64;

/** `files`: what the names of uploaded files are put behind. */
export function textMeasure(document: SiteDocument, files: string): TextMeasure {
  const palette = paletteOf(document);
  const missing = new Map<string, { readonly file: FontFile; readonly weight: number }>();
  let isEstimate = false;

  function estimated(text: string, font: TextFont): number {
    isEstimate = true;
    if (canvas === null) return 0;
    const family = valueOfName(palette, font.family) ?? 'sans-serif';
    canvas.font = `${font.isItalic ? 'italic ' : ''}${font.weight} ${font.size}px ${family}`;
    canvas.letterSpacing = `${font.letterSpacing}px`;
    canvas.wordSpacing = `${font.wordSpacing}px`;
    return Math.ceil(canvas.measureText(text).width * LAYOUT);
  }

  const measure: Measure = (label, font) => {
    const text = transformed(label, font.transform, font.language);
    const file = fileFor(palette.get(font.family)?.files ?? [], font);
    if (file === null) return estimated(text, font);
    const key = `${file.file} ${font.weight}`;
    const face = faces.get(key);
    if (face === undefined) missing.set(key, { file, weight: font.weight });
    if (face === null) return estimated(text, font);
    return face?.widthOf(text, font) ?? 0;
  };

  async function load(): Promise<boolean> {
    const wanted = [...missing];
    missing.clear();
    await Promise.all(
      wanted.map(async ([key, { file, weight }]) => {
        faces.set(key, await opened(`${files}${fontFileName(file)}`, weight));
      }),
    );
    return wanted.length > 0;
  }
  return { measure, load, isEstimate: () => isEstimate };
}

async function opened(address: string, weight: number): Promise<Face | null> {
  const bytes = await loadBytes(address);
  try {
    return bytes === null ? null : openFace(bytes, weight);
  } catch {
    // A font that cannot be read is replaced by another one in browsers, too.
    return null;
  }
}

/** The file that a browser takes for Latin text of a weight and slant; null: the font has no files. */
function fileFor(files: readonly FontFile[], { weight, isItalic }: TextFont): FontFile | null {
  const latin = files.filter(({ range }) => range === undefined || /U\+0{0,4}-/.test(range));
  const slanted = latin.filter((one) => (one.isItalic === true) === isItalic);
  const distance = ({ weight: own }: FontFile): number => {
    const [least = 0, most = least] = own.split(' ').map(Number);
    return Math.max(least - weight, weight - most, 0);
  };
  return (slanted.length === 0 ? latin : slanted).toSorted((a, b) => distance(a) - distance(b))[0] ?? null;
}
