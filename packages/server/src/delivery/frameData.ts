import { no, ok, refusal, type Result } from '@zorvik/core';

/** How much of each item is delivered as data. */
export interface Limits {
  /** The fields of items; null: all. What is below an item is always there. */
  readonly fields: ReadonlySet<string> | null;
  /** How many levels of items. */
  readonly depth: number;
}

/** What `fields` and `depth` of a query say. */
export function readLimits(query: URLSearchParams): Result<Limits> {
  const fields = query.get('fields');
  const depth = query.get('depth');
  if (depth !== null && !/^[1-9]\d{0,2}$/.test(depth))
    return no(
      refusal('wrongQuery', {
        name: 'depth',
        value: depth.slice(0, 40),
        expected: 'a whole number from 1 to 999',
      }),
    );
  if (fields !== null && !/^[a-zA-Z]{1,40}(?:,[a-zA-Z]{1,40}){0,39}$/.test(fields))
    return no(
      refusal('wrongQuery', {
        name: 'fields',
        value: fields.slice(0, 40),
        expected: 'names of fields, with commas between them, such as label,href',
      }),
    );
  return ok({
    fields: fields === null ? null : new Set(fields.split(',')),
    depth: depth === null ? Number.POSITIVE_INFINITY : Number(depth),
  });
}

/** Data of a frame with less in its menus. What stands in it was made here, so it is only as deep as a menu. */
export function limited(data: unknown, { fields, depth }: Limits): unknown {
  if (fields === null && depth === Number.POSITIVE_INFINITY) return data;
  const item = (one: Record<string, unknown>, level: number): Record<string, unknown> => {
    const kept =
      fields === null ? one : Object.fromEntries(Object.entries(one).filter(([name]) => fields.has(name)));
    const children = level < depth && Array.isArray(one['children']) ? one['children'] : [];
    return { ...kept, children: children.map((child) => item(child as Record<string, unknown>, level + 1)) };
  };
  const inParts = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(inParts);
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([name, inner]) => {
        if (name !== 'shown') return [name, inParts(inner)];
        const { items, ...menu } = inner as { readonly items: readonly Record<string, unknown>[] };
        return [name, { ...menu, items: items.map((one) => item(one, 1)) }];
      }),
    );
  };
  return inParts(data);
}
