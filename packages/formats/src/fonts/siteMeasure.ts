import { valueOfName, type FontFile, type Measure, type Palette, type TextFont } from '@zorvik/core';
import { openFace, type Face } from './openFace.ts';
import { systemWidth } from './systemWidth.ts';
import { transformed } from './transformed.ts';

/** What measures text with the fonts of a site. */
export interface SiteMeasure {
  readonly measure: Measure;
  /** The files that were asked for and are not there yet; what was measured with them is 0 wide. */
  readonly missing: () => readonly FontFile[];
  /** Whether something was measured in a font of the visitors’ systems, or in one that cannot be read. */
  readonly isEstimate: () => boolean;
  /** The signs that were measured and that their font does not have, with an example of each, by the key of the font. */
  readonly lacking: () => readonly Lacking[];
}

/** Signs of a text that a font does not have: browsers take them from another one. */
export interface Lacking {
  /** The key of the font. */
  readonly font: string;
  readonly signs: string;
  readonly text: string;
}

/** Layout counts in 64ths of a px. */
const LAYOUT = 64;
/** Faces that were opened, by file and weight, for all sites of a process; null: the file cannot be read. */
const faces = new Map<string, Face | null>();
/** So many faces are kept: those of a few sites. What was opened first goes first. */
const MOST_FACES = 60;

/**
 * Measures text with the fonts of a site, in one thread as in another. `bytesOf`: the bytes of a file; undefined: it has
 * not been loaded yet; null: it cannot be had.
 */
export function siteMeasure(
  palette: Palette,
  bytesOf: (file: FontFile) => Uint8Array | null | undefined,
): SiteMeasure {
  const missing = new Map<string, FontFile>();
  const lacking = new Map<string, Lacking>();
  let isEstimate = false;

  function estimated(text: string, font: TextFont): number {
    isEstimate = true;
    const stack = valueOfName(palette, font.family) ?? 'sans-serif';
    return Math.ceil(systemWidth(text, { ...font, stack }) * LAYOUT);
  }

  const measure: Measure = (label, font) => {
    const text = transformed(label, font.transform, font.language);
    const file = fileFor(palette.get(font.family)?.files ?? [], font);
    if (file === null) return estimated(text, font);
    const key = `${file.file} ${font.weight}`;
    let face = faces.get(key);
    if (face === undefined) {
      const bytes = bytesOf(file);
      if (bytes === undefined) {
        missing.set(file.file, file);
        return 0;
      }
      face = opened(bytes, font.weight);
      // What cannot be had now is asked for again.
      if (bytes !== null) faces.set(key, face);
      if (faces.size > MOST_FACES) faces.delete([...faces.keys()][0] ?? '');
    }
    if (face === null) return estimated(text, font);
    const lacks = face.lacks(text).join('');
    if (lacks !== '')
      lacking.set(`${font.family} ${lacks}`, { font: font.family, signs: lacks, text: label });
    return face.widthOf(text, font);
  };
  return {
    measure,
    missing: () => [...missing.values()],
    isEstimate: () => isEstimate,
    lacking: () => [...lacking.values()],
  };
}

function opened(bytes: Uint8Array | null, weight: number): Face | null {
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
