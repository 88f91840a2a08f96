import { isEqual } from '../base/isEqual.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Operation } from '../ops/registry.ts';
import type { PartSketch } from '../schema/preset.ts';
import { withNewNames } from '../schema/renamedFields.ts';

/**
 * A step that gives fields of parts other names, also in the sketches that presets hold. `names`: old to new.
 */
export function renamePartFields(
  names: Readonly<Record<string, string>>,
): (document: SiteDocument) => Operation[] {
  return ({ parts, presets }) => [
    ...[...parts.nodes.values()].flatMap((part): Operation[] => {
      const old = Object.entries(part).filter(([name]) => name in names);
      if (old.length === 0) return [];
      const before = Object.fromEntries(
        old.flatMap(([name, value]) => [
          [name, value],
          [names[name], null],
        ]),
      );
      const after = Object.fromEntries(
        old.flatMap(([name, value]) => [
          [name, null],
          [names[name], value],
        ]),
      );
      return [{ kind: 'updatePart', id: part.id, set: after, was: before }];
    }),
    ...[...presets.nodes.values()].flatMap(({ id, rows }): Operation[] => {
      const renamed = rows.map((row: PartSketch) => withNewNames({ ...row }, names) as PartSketch);
      return isEqual(renamed, rows)
        ? []
        : [{ kind: 'updatePreset', id, set: { rows: renamed }, was: { rows } }];
    }),
  ];
}
