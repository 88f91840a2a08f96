import decompress from 'brotli/decompress';

/** Tables without which text can be measured, too: outlines, and signatures of the file as it was. */
const UNUSED: ReadonlySet<string> = new Set([
  'glyf',
  'loca',
  'gvar',
  'DSIG',
  'cvt ',
  'fpgm',
  'prep',
  'gasp',
  'hdmx',
  'VDMX',
]);
/** The tags that WOFF2 files have numbers for (WOFF2, W3C, 4.1). */
const KNOWN =
  'cmap head hhea hmtx maxp name OS/2 post cvt_ fpgm glyf loca prep CFF_ VORG EBDT EBLC gasp hdmx kern LTSH PCLT VDMX vhea vmtx BASE GDEF GPOS GSUB EBSC JSTF MATH CBDT CBLC COLR CPAL SVG_ sbix acnt avar bdat bloc bsln cvar fdsc feat fmtx fvar gvar hsty just lcar mort morx opbd prop trak Zapf Silf Glat Gloc Feat Sill'
    .split(' ')
    .map((tag) => tag.replace('_', ' '));
const [OTHER_TAG, HEADER, LARGEST] = [63, 48, 24 * 1_048_576];

interface Table {
  readonly tag: string;
  readonly bytes: Uint8Array;
}

/**
 * The tables of a WOFF2 file that say how wide text is, as a font file that shapers read (OpenType, “Organization of an
 * OpenType font”). Other font files come back as they are. Throws where the file is broken, or unpacks to more than 24 MB.
 */
export function unpackFont(bytes: Uint8Array): Uint8Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < HEADER || view.getUint32(0) !== 0x774f4632) return bytes;
  const flavour = view.getUint32(4);
  const packedSize = view.getUint32(20);
  let at = HEADER;
  const number = (): number => {
    let value = 0;
    for (let read = 0; read < 5; read += 1) {
      const byte = view.getUint8(at);
      at += 1;
      value = value * 128 + (byte & 127);
      if (byte < 128) return value;
    }
    throw new Error('a size in it has no end');
  };
  const entries: { readonly tag: string; readonly size: number; readonly isPacked: boolean }[] = [];
  for (let left = view.getUint16(12); left > 0; left -= 1) {
    const flags = view.getUint8(at);
    at += 1;
    const known = flags & 63;
    const tag =
      known === OTHER_TAG ? String.fromCharCode(...bytes.subarray(at, at + 4)) : (KNOWN[known] ?? '');
    if (known === OTHER_TAG) at += 4;
    const isOutline = tag === 'glyf' || tag === 'loca';
    const isPacked = isOutline ? flags >> 6 !== 3 : flags >> 6 !== 0;
    const size = number();
    entries.push({ tag, size: isPacked ? number() : size, isPacked });
  }
  const whole = entries.reduce((sum, { size }) => sum + size, 0);
  if (whole > LARGEST) throw new Error(`it unpacks to more than ${LARGEST / 1_048_576} MB`);
  const unpacked = decompress(bytes.subarray(at, at + packedSize) as Buffer, whole);
  if (unpacked === null || unpacked.length < whole) throw new Error('it cannot be unpacked');
  const tables: Table[] = [];
  let start = 0;
  for (const { tag, size, isPacked } of entries) {
    if (isPacked && tag === 'hmtx') throw new Error('its widths are packed in a way that is not supported');
    if (!UNUSED.has(tag)) tables.push({ tag, bytes: unpacked.subarray(start, start + size) });
    start += size;
  }
  return fontOf(flavour, tables);
}

/** A font file of these tables. Nobody asks for their check sums. */
function fontOf(flavour: number, tables: readonly Table[]): Uint8Array {
  const sorted = tables.toSorted((a, b) => (a.tag < b.tag ? -1 : 1));
  const padded = (size: number): number => (size + 3) & ~3;
  const head = 12 + 16 * sorted.length;
  const file = new Uint8Array(head + sorted.reduce((sum, { bytes }) => sum + padded(bytes.length), 0));
  const view = new DataView(file.buffer);
  view.setUint32(0, flavour);
  view.setUint16(4, sorted.length);
  let start = head;
  sorted.forEach(({ tag, bytes }, index) => {
    const entry = 12 + 16 * index;
    for (let sign = 0; sign < 4; sign += 1) view.setUint8(entry + sign, tag.charCodeAt(sign));
    view.setUint32(entry + 8, start);
    view.setUint32(entry + 12, bytes.length);
    file.set(bytes, start);
    start += padded(bytes.length);
  });
  return file;
}
