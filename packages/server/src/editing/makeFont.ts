import { createHash } from 'node:crypto';
import {
  FONT_SAMPLE,
  fontFileName,
  no,
  ok,
  refusal,
  type FontClass,
  type FontFile,
  type Result,
} from '@zorvik/core';
import type { StoredUpload } from './makePicture.ts';

/** A font file that somebody uploaded, as a font of the site names it. */
export interface MadeFont {
  readonly font: FontFile;
  readonly looksLike: FontClass;
  readonly files: readonly StoredUpload[];
}

/** The largest font file that is taken, and the most that one may unpack to, in bytes. */
export const LARGEST_FONT_FILE = 2 * 1_048_576;
const LARGEST_UNPACKED = 24 * 1_048_576;
const MOST_TABLES = 64;

/** What we read of a font; fontkit knows much more. */
interface ReadFont {
  readonly familyName?: string;
  readonly unitsPerEm: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  readonly italicAngle: number;
  readonly numGlyphs: number;
  readonly variationAxes?: Readonly<
    Record<string, { readonly min: number; readonly max: number } | undefined>
  >;
  readonly post?: { readonly isFixedPitch?: number };
  readonly 'OS/2'?: {
    readonly usWeightClass?: number;
    readonly panose?: readonly number[];
    readonly fsSelection?: { readonly italic?: boolean };
  };
  readonly layout: (text: string) => { readonly advanceWidth: number };
  readonly glyphForCodePoint: (codePoint: number) => Glyph;
}
interface Glyph {
  readonly bbox: {
    readonly minX: number;
    readonly maxX: number;
    readonly minY: number;
    readonly maxY: number;
  };
  readonly path: {
    readonly commands: readonly { readonly command: string; readonly args: readonly number[] }[];
  };
}

/**
 * Bytes that somebody uploaded as a font: told by their content, and read within limits. A small file can hold an
 * enormous font: its own table of contents says how large (WOFF2, W3C, 4.1), and is asked first.
 */
export async function makeFont(bytes: Buffer): Promise<Result<MadeFont>> {
  const problem = headerProblem(bytes);
  if (problem !== null) return no(refusal('notFont', { problem }));
  const { create } = await import('fontkit');
  try {
    const read = create(bytes) as unknown as ReadFont;
    const { font, looksLike } = factsOf(read, bytes);
    return ok({
      font,
      looksLike,
      files: [{ name: fontFileName(font), type: 'font/woff2', bytes }],
    });
  } catch (error) {
    const { message = '' } = error as { message?: string };
    return no(refusal('notFont', { problem: `it cannot be read (${message.split('\n')[0] ?? ''})` }));
  }
}

/** Whether bytes begin as those of a font file that we take. */
export function isFont(bytes: Buffer): boolean {
  return bytes.subarray(0, 4).toString('latin1') === 'wOF2';
}

function headerProblem(bytes: Buffer): string | null {
  if (bytes.length === 0) return 'the file is empty';
  const signature = bytes.subarray(0, 4).toString('latin1');
  if (signature === 'wOFF') return 'it is WOFF 1';
  if (signature === 'OTTO' || signature === 'true' || signature === '\0\u0001\0\0')
    return 'it is not compressed as WOFF2';
  if (signature !== 'wOF2' || bytes.length < 48) return 'it is no WOFF2 file';
  if (bytes.readUInt32BE(8) !== bytes.length) return 'it is not complete';
  if (bytes.readUInt16BE(12) > MOST_TABLES) return `it has more than ${MOST_TABLES} tables`;
  if (bytes.readUInt32BE(16) > LARGEST_UNPACKED)
    return `it unpacks to more than ${LARGEST_UNPACKED / 1_048_576} MB`;
  return null;
}

function factsOf(read: ReadFont, bytes: Buffer): { readonly font: FontFile; readonly looksLike: FontClass } {
  const { unitsPerEm, variationAxes = {}, 'OS/2': windows = {} } = read;
  if (!(unitsPerEm > 0) || read.numGlyphs < 1) throw new Error('it has no characters');
  const perMille = (units: number, least = 0): number =>
    Math.max(least, Math.min(4000, Math.round((units / unitsPerEm) * 1000)));
  const { wght } = variationAxes;
  const whole = (weight: number): number => Math.max(1, Math.min(1000, Math.round(weight)));
  const font: FontFile = {
    file: createHash('sha256').update(bytes).digest('hex').slice(0, 32),
    family: plainName(read.familyName),
    weight:
      wght === undefined
        ? String(whole(windows.usWeightClass ?? 400))
        : `${whole(wght.min)} ${whole(wght.max)}`,
    ...(read.italicAngle !== 0 || windows.fsSelection?.italic === true ? { isItalic: true as const } : {}),
    bytes: bytes.length,
    ascent: perMille(read.ascent),
    descent: perMille(-read.descent),
    gap: perMille(read.lineGap),
    width: perMille(read.layout(FONT_SAMPLE).advanceWidth / FONT_SAMPLE.length, 50),
  };
  return {
    font,
    looksLike: classOf(read),
  };
}

/** By what the font says of itself (PANOSE: family kind, serif style, proportion); where it says nothing, by its “I”. */
function classOf(read: ReadFont): FontClass {
  const [kind = 0, serif = 0, , proportion = 0] = read['OS/2']?.panose ?? [];
  if (read.post?.isFixedPitch === 1 || (kind === 2 && proportion === 9)) return 'mono';
  if (kind === 2 && serif >= 2) return serif <= 10 ? 'serif' : 'sans';
  return fillOf(read.glyphForCodePoint('I'.codePointAt(0) ?? 73)) < LEAST_FILL ? 'serif' : 'sans';
}

/** A capital I without serifs fills the box around it; serifs leave room beside the stem. */
const LEAST_FILL = 0.85;

/** How much of the box around a glyph its outline encloses, 0 to 1; curves are taken as straight. */
function fillOf({ bbox, path }: Glyph): number {
  const box = (bbox.maxX - bbox.minX) * (bbox.maxY - bbox.minY);
  let area = 0;
  let [x, y, startX, startY] = [0, 0, 0, 0];
  const to = (nextX: number, nextY: number): void => {
    area += x * nextY - nextX * y;
    [x, y] = [nextX, nextY];
  };
  for (const { command, args } of path.commands) {
    if (command === 'closePath') to(startX, startY);
    const [nextX = startX, nextY = startY] = args.slice(-2);
    if (command === 'moveTo') [x, y, startX, startY] = [nextX, nextY, nextX, nextY];
    else if (command !== 'closePath') to(nextX, nextY);
  }
  return box > 0 ? Math.abs(area) / 2 / box : 1;
}

const WEIGHT = / (?:thin|extralight|light|regular|medium|semibold|bold|extrabold|black)$/i;

/** The name inside, without what is no text, and without the weight that a variable font happens to begin at. */
function plainName(name: unknown): string {
  const text = typeof name === 'string' ? name : '';
  return (
    text
      .replaceAll(/\p{Cc}/gu, '')
      .trim()
      .replace(WEIGHT, '')
      .slice(0, 100) || 'Font'
  );
}
