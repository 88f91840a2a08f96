import { fontFileName, paletteOf, type FontFile, type SiteDocument } from '@zorvik/core';
import { siteMeasure, type SiteMeasure } from '@zorvik/formats/fonts';
import { loadBytes } from '../api/loadBytes.ts';

/** The bytes of font files that were loaded, by their names; null: the file cannot be had. */
const loaded = new Map<string, Uint8Array | null>();
/** Fonts are asked for until no other one is missing: those of a site, and no more often than it can have. */
const MOST_ROUNDS = 4;

/**
 * Works something out with the widths of texts in the fonts of a site, which are loaded when they are asked for: as often
 * as a font was missing. `files`: what the names of uploaded files are put behind.
 */
export async function measured<T>(
  document: SiteDocument,
  files: string,
  work: (text: SiteMeasure) => T,
): Promise<{ readonly found: T; readonly text: SiteMeasure }> {
  const palette = paletteOf(document);
  // What could not be had is asked for again with the next change.
  for (const [file, bytes] of loaded) if (bytes === null) loaded.delete(file);
  for (let round = 0; ; round += 1) {
    const text = siteMeasure(palette, ({ file }) => loaded.get(file));
    const found = work(text);
    const missing = text.missing();
    if (missing.length === 0 || round === MOST_ROUNDS) return { found, text };
    await Promise.all(missing.map((file) => load(file, files)));
  }
}

async function load(file: FontFile, files: string): Promise<void> {
  loaded.set(file.file, await loadBytes(`${files}${fontFileName(file)}`));
}
