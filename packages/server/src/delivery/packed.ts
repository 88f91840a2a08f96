import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

const packGzip = promisify(gzip);
const packBrotli = promisify(brotliCompress);

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

/** Packs a file in both ways. */
export async function packed(
  { type, hash, bytes }: Pick<PackedFile, 'type' | 'hash' | 'bytes'>,
  levels: PackingLevels,
): Promise<PackedFile> {
  const [gz, br] = await Promise.all([
    packGzip(bytes, { level: levels.gzip }),
    packBrotli(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: levels.brotli } }),
  ]);
  return { type, hash, bytes, gzip: gz, brotli: br };
}
