import type { ResolvedPart } from '../resolve/resolved.ts';
import { longestCommon } from '../walk/longestCommon.ts';

/** A band as it is written, with the classes that say on which device classes it is shown. */
export interface ArrangedBand {
  readonly band: ResolvedPart;
  readonly classes: string;
}

/** The device classes that can have an arrangement of their own. */
const arranged = ['medium', 'narrow'] as const;

/**
 * The bands of an area in the order in which they are written: the usual ones, and among them those of the
 * arrangements of device classes. A band of an arrangement that has the same parts in the same places as a usual one
 * is not written again: that one is shown there, too. What that can be said of are the bands of a longest common
 * subsequence, so on each device class the order that is written is the order that is wanted.
 * While it is composed, each arrangement is written by itself (`isShared`): its parts are moved there. O(bands * bands).
 */
export function arrangedBands(
  bands: readonly ResolvedPart[],
  { isShared = true }: { readonly isShared?: boolean } = {},
): ArrangedBand[] {
  const usual = bands.filter(({ only }) => only === undefined);
  const hidden = new Map(usual.map((band) => [band, '']));
  let written: readonly ResolvedPart[] = usual;
  for (const device of arranged) {
    const own = bands.filter(({ only }) => only === device);
    if (own.length === 0) continue;
    const shared = longestCommon(
      usual,
      own,
      (one, other) => isShared && signatureOf(one) === signatureOf(other),
    );
    const again = new Set(shared.map(([band]) => band));
    for (const band of usual)
      if (!again.has(band)) hidden.set(band, `${hidden.get(band) ?? ''} zv-not-${device}`);
    written = merged(written, own, new Map(shared.map(([band, like]) => [like, band])));
  }
  return written.map((band) => ({
    band,
    classes: band.only === undefined ? (hidden.get(band) ?? '') : ` zv-arranged-${band.only}`,
  }));
}

/** Bands put in before the next one that they share with what is written already. */
function merged(
  written: readonly ResolvedPart[],
  own: readonly ResolvedPart[],
  sharedAs: ReadonlyMap<ResolvedPart, ResolvedPart>,
): ResolvedPart[] {
  const made: ResolvedPart[] = [];
  let at = 0;
  for (const band of own) {
    const usual = sharedAs.get(band);
    if (usual === undefined) {
      made.push(band);
      continue;
    }
    while (at < written.length && written[at] !== usual) made.push(written[at++] as ResolvedPart);
    made.push(usual);
    at += 1;
  }
  return [...made, ...written.slice(at)];
}

/** What a band shows, and how, whichever arrangement it belongs to. */
function signatureOf({ id: _, only: __, parts = [], ...facts }: ResolvedPart): string {
  const holders = parts.map(({ id: ___, parts: inner = [], ...holder }) => [
    holder,
    inner.map(({ id, uses }) => uses ?? id),
  ]);
  return JSON.stringify([facts, holders]);
}
