import { createHash } from 'node:crypto';
import {
  LARGEST_PICTURE,
  no,
  ok,
  pictureName,
  refusal,
  widthsOf,
  type Picture,
  type Result,
} from '@zorvik/core';
import type { Sharp } from 'sharp';
import { scanDrawing } from './scanDrawing.ts';
import { tonesOf } from './tonesOf.ts';

/** One uploaded file, as it is kept and delivered. */
export interface StoredUpload {
  readonly name: string;
  readonly type: string;
  readonly bytes: Buffer;
}
export interface MadePicture {
  readonly picture: Picture;
  /** The colours that text over it can have behind it. */
  readonly tones: readonly string[];
  readonly files: readonly StoredUpload[];
}

/**
 * The most dots that a picture may have when it is unpacked, over all frames: small files can hold enormous
 * ones.
 */
const MOST_DOTS = 50_000_000;
const MOST_FRAMES = 200;
/** How files of these formats begin: PNG, JPEG, GIF, WebP, AVIF. */
const BEGINNINGS =
  // eslint-disable-next-line no-control-regex -- they are what is looked for
  /^(?:\x89PNG\r\n\x1a\n|\xff\xd8\xff|GIF8[79]a|RIFF[\s\S]{4}WEBP|[\s\S]{4}ftyp(?:avif|avis|mif1))/;
const FORMATS = new Set(['png', 'jpeg', 'webp', 'heif', 'gif']);

/**
 * Bytes that somebody uploaded as the picture that is kept: told by their content and not by a name, unpacked
 * within limits, put upright, without what cameras write beside it, and in several widths. Drawings (SVG) are
 * sanitised: scripts, events, links and whatever is fetched from elsewhere are taken out.
 */
export async function makePicture(bytes: Buffer): Promise<Result<MadePicture>> {
  if (bytes.length === 0) return no(refusal('notPicture', { problem: 'the file is empty' }));
  if (looksDrawn(bytes)) return drawnPicture(bytes);
  // Nothing else is handed to what unpacks: it knows many more formats than are wanted.
  return BEGINNINGS.test(bytes.subarray(0, 16).toString('latin1'))
    ? dottedPicture(bytes)
    : no(refusal('notPicture', { problem: 'its format is not supported' }));
}

async function dottedPicture(bytes: Buffer): Promise<Result<MadePicture>> {
  // Loaded when the first picture comes: it takes a while, and nobody should wait for it at the start.
  const { default: sharp } = await import('sharp');
  const opened = (isMoving: boolean) =>
    sharp(bytes, { limitInputPixels: MOST_DOTS, failOn: 'error', animated: isMoving });
  try {
    const { format = 'unknown', pages = 1, pageHeight, autoOrient } = await opened(true).metadata();
    if (!FORMATS.has(format)) return no(refusal('notPicture', { problem: `its content is ${format}` }));
    if (pages > MOST_FRAMES)
      return no(refusal('notPicture', { problem: `it has ${pages} frames; the limit is ${MOST_FRAMES}` }));
    const isMoving = pages > 1;
    const picture: Picture = {
      file: hashOf(bytes),
      width: autoOrient.width,
      height: pageHeight ?? autoOrient.height,
    };
    const files: StoredUpload[] = [];
    for (const width of widthsOf(picture)) {
      const resized = opened(isMoving).autoOrient().resize({ width, withoutEnlargement: true });
      files.push({
        name: pictureName(picture, width),
        type: 'image/webp',
        bytes: await resized.webp({ quality: 82 }).toBuffer(),
      });
    }
    return ok({
      tones: await tonesIn(sharp(bytes, { limitInputPixels: MOST_DOTS }).autoOrient()),
      picture: { ...picture, width: Math.min(picture.width, LARGEST_PICTURE), height: heightAt(picture) },
      files,
    });
  } catch (error) {
    return no(refusal('notPicture', { problem: plainReason(error) }));
  }
}

/** What may be behind text over a drawing that cannot be drawn here. */
const ANY_TONES = ['#00000000', '#000000', '#808080', '#ffffff'];
/** In which width tones are looked for, in px: that of the file that is shown behind things. */
const TONES_WIDTH = 1440;

async function tonesIn(picture: Sharp): Promise<string[]> {
  const { data, info } = await picture
    .resize({ width: TONES_WIDTH, withoutEnlargement: true })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const tones = tonesOf({ data, width: info.width, height: info.height });
  return tones.length === 0 ? ANY_TONES : tones;
}

/** Its height once it is no wider than the widest that is kept. */
function heightAt({ width, height }: Picture): number {
  return width <= LARGEST_PICTURE ? height : Math.max(1, Math.round((height * LARGEST_PICTURE) / width));
}

function plainReason(error: unknown): string {
  const { message = '' } = error as { message?: string };
  if (/pixel limit/i.test(message)) return `it has more than ${MOST_DOTS / 1_000_000} million pixels`;
  if (/unsupported image format/i.test(message)) return 'its format is not supported';
  return `it cannot be decoded (${message.split('\n')[0] ?? ''})`;
}

const SVG = 'http://www.w3.org/2000/svg';

function looksDrawn(bytes: Buffer): boolean {
  return /^(?:\ufeff)?\s*(?:<\?xml[^>]*\?>\s*)?(?:<!--[\s\S]*?-->\s*|<!DOCTYPE[^>[]*(?:\[[^\]]*\])?[^>]*>\s*)*<svg[\s>]/i.test(
    bytes.subarray(0, 4096).toString('utf8'),
  );
}

async function drawnPicture(bytes: Buffer): Promise<Result<MadePicture>> {
  const text = bytes.toString('utf8');
  const problem = scanDrawing(text.slice(text.search(/<svg[\s>]/i))) ?? prologueProblem(text);
  if (problem !== null) return no(refusal('notPicture', { problem }));
  const [{ default: createPurify }, { JSDOM }] = await Promise.all([import('dompurify'), import('jsdom')]);
  const { window } = new JSDOM('');
  try {
    const purify = createPurify(window as unknown as Parameters<typeof createPurify>[0]);
    purify.addHook('uponSanitizeAttribute', (_, attribute) => {
      // Only what is within the drawing itself may be named.
      if (/(?:^|:)href$/i.test(attribute.attrName) && !attribute.attrValue.startsWith('#'))
        attribute.keepAttr = false;
      // A CSS escape (`u\72l`) would hide what is named from the line after it.
      if (attribute.attrValue.includes('\\')) attribute.keepAttr = false;
      if (/url\(\s*['"]?(?!#)/i.test(attribute.attrValue)) attribute.keepAttr = false;
    });
    // Read as XML, which it is: read as HTML, an element that HTML knows otherwise would swallow what stands
    // behind it. Without its prologue, which may declare entities.
    const drawn = text
      .slice(text.search(/<svg[\s>]/i))
      .replace(/^<svg(?![^>]*\sxmlns=)/i, `<svg xmlns="${SVG}"`);
    const root = new window.DOMParser().parseFromString(drawn, 'image/svg+xml').documentElement;
    if (root.nodeName !== 'svg')
      return no(refusal('notPicture', { problem: 'the drawing is not well-formed XML' }));
    purify.sanitize(root, {
      IN_PLACE: true,
      USE_PROFILES: { svg: true, svgFilters: true },
      ADD_TAGS: ['use'],
      FORBID_TAGS: ['style', 'image', 'foreignObject', 'foreignobject', 'a'],
      FORBID_ATTR: ['style'],
    });
    const size = sizeOf(root);
    if (size === null)
      return no(refusal('notPicture', { problem: 'the drawing has neither a size nor a viewBox' }));
    const kept = Buffer.from(new window.XMLSerializer().serializeToString(root), 'utf8');
    const picture: Picture = { file: hashOf(kept), ...size, isDrawn: true };
    const { default: sharp } = await import('sharp');
    return ok({
      tones: await tonesIn(sharp(kept, { limitInputPixels: MOST_DOTS })).catch(() => ANY_TONES),
      picture,
      files: [{ name: pictureName(picture, size.width), type: 'image/svg+xml', bytes: kept }],
    });
  } catch (error) {
    return no(refusal('notPicture', { problem: plainReason(error) }));
  } finally {
    window.close();
  }
}

/**
 * An instruction before the drawing itself, such as one that names a style sheet; the XML declaration is
 * none.
 */
function prologueProblem(text: string): string | null {
  const found = /<\?(?!xml\s)([^\s?>]*)/i.exec(text.slice(0, text.search(/<svg[\s>]/i)));
  return found === null
    ? null
    : `the drawing has an instruction <?${found[1] ?? ''}?>, which could load a style sheet`;
}

function sizeOf(root: Element): { width: number; height: number } | null {
  const [, , boxWidth = 0, boxHeight = 0] = (root.getAttribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const lengthOf = (name: string): number =>
    Number(/^\s*([\d.]+)(?:px)?\s*$/.exec(root.getAttribute(name) ?? '')?.[1] ?? 0);
  const whole = (value: number): number => Math.max(1, Math.min(LARGEST_PICTURE, Math.round(value)));
  const [width, height] = [lengthOf('width') || boxWidth, lengthOf('height') || boxHeight];
  return width > 0 && height > 0 ? { width: whole(width), height: whole(height) } : null;
}

function hashOf(bytes: Buffer): string {
  return createHash('sha256').update(bytes).digest('hex').slice(0, 32);
}
