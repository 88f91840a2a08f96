import { isEqual } from '../base/isEqual.ts';
import type { Finding, MendKind } from '../drift/finding.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Operation } from '../ops/registry.ts';
import type { Destination } from '../schema/item.ts';
import { removal } from './panelParts.ts';

/**
 * The operations of a mend that is about a link in a panel, for the document as it is by then: all links of
 * the part to the same destination change alike. None where the part, or its link, is no longer there.
 */
export function mendingPart(stored: SiteDocument, finding: Finding, mend: MendKind): Operation[] {
  const { part: id = '', link, page } = finding;
  const part = stored.parts.nodes.get(id);
  if (part === undefined || link === undefined) return [];
  if (mend === 'remove') return [removal(stored, id)];
  const target = finding.mends.find(({ kind }) => kind === mend)?.target ?? null;
  const next = destinationAfter(mend, page, target);
  if (next === undefined) return [];
  const changed = (to: Destination): Destination | null => (isEqual(to, link) ? next : to);
  const { destination, body } = part;
  const led = destination === undefined ? undefined : changed(destination);
  const text = body?.map((block) => ({
    ...block,
    runs: block.runs.map(({ to, ...run }) => {
      const other = to === undefined ? null : changed(to);
      return other === null ? run : { ...run, to: other };
    }),
  }));
  return [
    ...(led === undefined || led === destination
      ? []
      : [
          {
            kind: 'updatePart' as const,
            id,
            set: { destination: led },
            was: { destination: destination ?? null },
          },
        ]),
    ...(body === undefined || text === undefined || isEqual(text, body)
      ? []
      : [{ kind: 'updatePart' as const, id, set: { body: text }, was: { body } }]),
  ];
}

/** Where a link leads after a mend; null: it is none any more; undefined: the mend is not about links. */
function destinationAfter(
  mend: MendKind,
  page: string | null,
  target: string | null,
): Destination | null | undefined {
  if (mend === 'unlink') return null;
  if (mend === 'leadThere') return target === null ? undefined : { kind: 'page', page: target, anchor: null };
  if (mend === 'otherAnchor' || mend === 'dropAnchor')
    return page === null ? undefined : { kind: 'page', page, anchor: mend === 'dropAnchor' ? null : target };
  return undefined;
}
