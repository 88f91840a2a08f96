import { zoneNames, type ZoneName } from '../schema/part.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';

/**
 * The zone of a band that gives way to the others where there is not enough room: the first one with a bar, since bars
 * can wrap, scroll or fold. Null: no zone has one.
 */
export function zoneThatGives({ parts = [] }: ResolvedPart): ZoneName | null {
  const isBar = ({ kind, form }: ResolvedPart): boolean => kind === 'placement' && form !== 'list';
  return (
    zoneNames.find((name) =>
      parts.some(({ kind, at, parts: inner = [] }) => kind === 'zone' && at === name && inner.some(isBar)),
    ) ?? null
  );
}
