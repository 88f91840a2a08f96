import { no, ok, readPanel, readSettings, refusal, type Sketch, type SketchTarget } from '@zorvik/core';
import { VERSION, writeOwnFile } from '../ownFile.ts';
import { DEEPEST, type MenuFormat } from './menuFormat.ts';

/** Where the schema of this format can be read; docs/formats/menu-1.schema.json is the same. */
export const MENU_SCHEMA = 'https://zorvik.example/formats/menu-1.schema.json';

/** Our own format: all that an item has. */
export const json: MenuFormat = {
  key: 'json',
  name: 'JSON',
  ending: '.json',
  type: 'application/json',
  isIn: (text) => /^\s*[{[]/.test(text),
  read(text) {
    let found: unknown;
    try {
      found = JSON.parse(text);
    } catch (error) {
      return no(refusal('badMenuFile', { what: 'JSON', problem: (error as Error).message }));
    }
    const menu = (Array.isArray(found) ? { items: found } : found) as {
      version?: unknown;
      name?: unknown;
      items?: unknown;
    };
    if (typeof menu.version === 'number' && menu.version > VERSION)
      return no(
        refusal('badMenuFile', {
          what: 'JSON',
          problem: `its version is ${menu.version}; the latest supported one is ${VERSION}`,
        }),
      );
    if (!Array.isArray(menu.items))
      return no(refusal('badMenuFile', { what: 'JSON', problem: 'it has no list “items”' }));
    const problems: string[] = [];
    const sketches = itemsIn(menu.items, 'items', problems, 0);
    const [problem] = problems;
    if (problem !== undefined) return no(refusal('badMenuFile', { what: 'JSON', problem }));
    if (sketches.length === 0) return no(refusal('emptyMenu'));
    return ok([{ name: typeof menu.name === 'string' ? menu.name : '', sketches }]);
  },
  write: ({ name, sketches }) =>
    writeOwnFile(MENU_SCHEMA, 'zorvik-menu', { name, items: sketches.map(itemOf) }),
};

interface Written {
  label: string;
  kind?: 'heading' | 'undecided';
  address?: string;
  opensNewTab?: true;
  settings?: Sketch['settings'];
  panel?: Sketch['panel'];
  items?: Written[];
}

function itemOf({ label, target, opensNewTab, settings, panel, children }: Sketch): Written {
  return {
    label,
    ...(target.kind === 'address'
      ? { address: target.address }
      : { kind: target.kind === 'heading' ? ('heading' as const) : ('undecided' as const) }),
    ...(opensNewTab === true ? { opensNewTab: true as const } : {}),
    ...(settings === undefined ? {} : { settings }),
    ...(panel === undefined ? {} : { panel }),
    ...(children.length === 0 ? {} : { items: children.map(itemOf) }),
  };
}

function itemsIn(list: readonly unknown[], place: string, problems: string[], depth: number): Sketch[] {
  if (depth > DEEPEST) problems.push(`${place} is on a level below ${DEEPEST}`);
  if (problems.length > 0) return [];
  return list.flatMap((one, at) => {
    const where = `${place}[${at}]`;
    if (typeof one !== 'object' || one === null || Array.isArray(one)) {
      problems.push(`${where} is not an item`);
      return [];
    }
    const {
      label = '',
      address,
      kind,
      opensNewTab,
      settings,
      panel,
      items = [],
    } = one as Record<string, unknown>;
    if (typeof label !== 'string') problems.push(`the label of ${where} is not text`);
    if (address !== undefined && typeof address !== 'string')
      problems.push(`the address of ${where} is not text`);
    if (!Array.isArray(items)) problems.push(`the items of ${where} are not a list`);
    if (panel !== undefined && !Array.isArray(panel))
      problems.push(`the panel of ${where} is not a list of rows`);
    if (problems.length > 0) return [];
    const read = readSettings(settings);
    const rows = Array.isArray(panel) ? readPanel(panel) : [];
    const target: SketchTarget =
      typeof address === 'string'
        ? { kind: 'address', address }
        : { kind: kind === 'heading' ? 'heading' : 'find' };
    const sketch: Sketch = {
      label: label as string,
      target,
      ...(opensNewTab === true ? { opensNewTab: true } : {}),
      ...(Object.keys(read).length === 0 ? {} : { settings: read }),
      ...(rows.length === 0 ? {} : { panel: rows }),
      children: itemsIn(items as unknown[], `${where}.items`, problems, depth + 1),
    };
    return [sketch];
  });
}
