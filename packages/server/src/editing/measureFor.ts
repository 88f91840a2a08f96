import { fontFileName, paletteOf, type Measure, type SiteDocument } from '@zorvik/core';
import { siteMeasure } from '@zorvik/formats/fonts';
import type { Database } from '../db/database.ts';
import { bytesOfFiles } from '../repositories/files.ts';

/**
 * Measures text with the fonts of a site. Nothing is loaded where no bar does anything where it does not fit: its width
 * does not matter then.
 */
export async function measureFor(
  database: Database,
  siteId: string,
  document: SiteDocument,
): Promise<Measure | undefined> {
  if (![...document.parts.nodes.values()].some(({ fits }) => fits !== undefined)) return undefined;
  const palette = paletteOf(document);
  const names = [...palette.values()].flatMap(({ files = [] }) => files.map(fontFileName));
  const bytes = await bytesOfFiles(database, siteId, names);
  return siteMeasure(palette, (file) => bytes.get(fontFileName(file)) ?? null).measure;
}
