import { eachRef } from '../refs/refsOf.ts';
import { notesFiles } from '../schema/ref.ts';
import type { SiteDocument } from './document.ts';

/** The stored files that a document names, by their hashes: in parts, in presets, as fonts, as the logo. O(parts + presets). */
export function filesIn({ parts, presets, tokens, site }: SiteDocument): Set<string> {
  const files = new Set<string>();
  const note = notesFiles(files);
  for (const part of parts.nodes.values()) eachRef('parts', part, note);
  for (const preset of presets.nodes.values()) eachRef('presets', preset, note);
  for (const token of tokens.nodes.values()) eachRef('tokens', token, note);
  if (site.logo !== undefined) files.add(site.logo.file);
  return files;
}
