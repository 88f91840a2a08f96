import { capitalised, childrenOf, type Id, type SiteDocument } from '@zorvik/core';

/** “Band 2”, or “Narrow band” where it replaces the others there. */
export function bandName(document: SiteDocument, id: Id): string {
  const part = document.parts.nodes.get(id);
  if (part === undefined) return 'Band';
  if (part.kind === 'band' && part.only !== undefined) return `${capitalised(part.only)} band`;
  const bands = [...childrenOf(document.parts, part.parent)].filter(
    (one) => document.parts.nodes.get(one)?.kind === part.kind,
  );
  return `${capitalised(part.kind)} ${bands.indexOf(id) + 1}`;
}
