import { partField, partFieldNames, type PartFacts } from '../schema/part.ts';
import type { PartSketch, PortableSketch } from '../schema/preset.ts';
import {
  eachFieldRef,
  prepared,
  type FieldRefs,
  type Path,
  type Ref,
  type RefTable,
  type VisitRef,
} from '../schema/ref.ts';

/** The fields of parts that refer to something, as the kinds of parts declare it. */
export const partTable = prepared<PartFacts>(
  Object.fromEntries(
    partFieldNames.flatMap((name): [string, FieldRefs<never>][] => {
      const { refs } = partField(name);
      // Each field declares its references by the type of its own values.
      return refs === undefined ? [] : [[name, refs as unknown as FieldRefs<never>]];
    }),
  ) as RefTable<PartFacts>,
);

/**
 * Calls `visit` for each reference of a part, a sketched part, or some fields of one; not of what it holds.
 */
export function eachPartRef(
  part: PartFacts | PartSketch | PortableSketch,
  visit: VisitRef,
  above?: Path,
): void {
  eachFieldRef(partTable, part as PartFacts, visit, above === undefined ? {} : { above });
}

/** The same as a list. */
export function partRefs(part: PartFacts | PartSketch | PortableSketch): Ref[] {
  const refs: Ref[] = [];
  eachPartRef(part, (to, value, role, path) => refs.push({ to, value, role, path }));
  return refs;
}
