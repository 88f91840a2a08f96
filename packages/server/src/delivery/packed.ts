import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

const packGzip = promisify(gzip);
const packBrotli = promisify(brotliCompress);

/** A way to pack what is sent, by its name in HTTP (RFC 9110, 8.4.1); `''`: not at all. */
export type Encoding = 'br' | 'gzip' | '';

/** A file in all forms in which it is sent. */
export interface PackedFile {
  readonly type: string;
  /** What says that it is still the same: of its plain bytes the SHA-256, in hex. */
  readonly hash: string;
  readonly bytes: Uint8Array;
  /** Null: it is packed by itself, as pictures are. */
  readonly gzip: Uint8Array | null;
  readonly brotli: Uint8Array | null;
}

/** How well it is packed: 1 to 9 and 0 to 11. */
export interface PackingLevels {
  readonly gzip: number;
  readonly brotli: number;
}

/** Packs bytes in one way. */
export async function packedAs(
  encoding: Encoding,
  bytes: Uint8Array,
  { gzip: level, brotli }: PackingLevels,
): Promise<Uint8Array> {
  if (encoding === '') return bytes;
  return encoding === 'gzip'
    ? packGzip(bytes, { level })
    : packBrotli(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: brotli } });
}

/** Packs a file in both ways. */
export async function packed(
  file: Pick<PackedFile, 'type' | 'hash' | 'bytes'>,
  levels: PackingLevels,
): Promise<PackedFile> {
  const [gz, brotli] = await Promise.all([
    packedAs('gzip', file.bytes, levels),
    packedAs('br', file.bytes, levels),
  ]);
  return { ...file, gzip: gz, brotli };
}
