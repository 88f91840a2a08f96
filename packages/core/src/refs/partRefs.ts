import type { Part } from '../schema/part.ts';
import type { PartSketch, PortableSketch } from '../schema/preset.ts';
import { eachFieldRef, inDestination, prepared, type Path, type Ref, type VisitRef } from './ref.ts';

/** Fields of a part. */
export type PartFields = Partial<Omit<Part, 'id' | 'parent' | 'kind'>>;

/** The fields of parts that refer to something. */
export const partTable = prepared<PartFields>({
  destination: { role: 'link', find: inDestination },
  body: {
    role: 'link',
    find: (blocks, visit, path) =>
      blocks.forEach(({ runs }, block) =>
        runs.forEach(({ to }, run) => {
          if (to !== undefined) inDestination(to, visit, [...path, block, 'runs', run, 'to']);
        }),
      ),
  },
  picture: { role: 'source', find: ({ file }, visit, path) => visit('file', file, [...path, 'file']) },
  address: { role: 'link', find: (value, visit, path) => visit('address', value, path) },
  source: {
    role: 'source',
    find: ({ page }, visit, path) => {
      if (page !== null) visit('page', page, [...path, 'page']);
    },
  },
  menu: { role: 'source', find: (value, visit, path) => visit('menu', value, path) },
  item: { role: 'source', find: (value, visit, path) => visit('item', value, path) },
});

/** Calls `visit` for each reference of a part, a sketched part, or some fields of one; not of what it holds. */
export function eachPartRef(
  part: PartFields | PartSketch | PortableSketch,
  visit: VisitRef,
  above?: Path,
): void {
  eachFieldRef(partTable, part as PartFields, visit, above === undefined ? {} : { above });
}

/** The same as a list. */
export function partRefs(part: PartFields | PartSketch | PortableSketch): Ref[] {
  const refs: Ref[] = [];
  eachPartRef(part, (to, value, role, path) => refs.push({ to, value, role, path }));
  return refs;
}
