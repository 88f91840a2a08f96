import Papa from 'papaparse';
import { no, ok, readSettings, refusal, type Result, type Sketch, type SketchTarget } from '@zorvik/core';
import { asTextCell, plainCell } from '../formulaCells.ts';
import type { FoundMenu, MenuFormat } from './menuFormat.ts';
import { parsedJson } from './parsedJson.ts';
import { levelsOf, treeOfLevels } from './treeOfLevels.ts';

/**
 * Rows of a table (RFC 4180) with a line of column names. Where a row stands is told by a `level` (from 1),
 * by the `id` of its `parent`, or by a `path` of labels (`Seeds > Herbs`), whichever column there is.
 */
export const csv: MenuFormat = {
  key: 'csv',
  name: 'CSV',
  ending: '.csv',
  type: 'text/csv',
  isIn: (text) => columnsIn(firstLine(text)) !== null,
  read(text) {
    const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
    const fault = errors.find(({ type }) => type === 'Quotes');
    if (fault !== undefined) return bad(`row ${(fault.row ?? 0) + 1}: ${fault.message}`);
    const [head, ...rows] = data;
    const columns = head === undefined ? null : columnsIn(head);
    if (columns === null)
      return bad(
        'its first row needs the column names “label” and “level”, “parent” or “path”, or “address”',
      );
    if (rows.length === 0) return no(refusal('emptyMenu'));
    return treeOf(
      rows.map((row) => ({ cell: (name) => (row[columns.get(name) ?? -1] ?? '').trim() })),
      columns,
    );
  },
  write({ sketches }) {
    const rows: string[][] = [];
    const open: string[] = [];
    for (const { depth, sketch } of levelsOf(sketches)) {
      const { label, target, opensNewTab, settings } = sketch;
      open[depth] = String(rows.length + 1);
      const address = target.kind === 'address' ? target.address : '';
      const kind = target.kind === 'address' ? 'link' : target.kind === 'heading' ? 'heading' : 'undecided';
      rows.push([
        open[depth],
        depth === 0 ? '' : (open[depth - 1] ?? ''),
        String(depth + 1),
        label,
        kind,
        address,
        opensNewTab === true ? 'yes' : '',
        settings === undefined ? '' : JSON.stringify(settings),
      ]);
    }
    // Cells that a spreadsheet would take for a formula stay text: the reader takes the sign off again.
    return `${Papa.unparse({ fields: [...columns], data: rows.map((row) => row.map(asTextCell)) }, { newline: '\r\n' })}\r\n`;
  },
};

const columns = ['id', 'parent', 'level', 'label', 'kind', 'address', 'new_tab', 'settings'] as const;
type Column = (typeof columns)[number] | 'path';

const names: Readonly<Record<string, Column>> = {
  id: 'id',
  key: 'id',
  parent: 'parent',
  parent_id: 'parent',
  level: 'level',
  depth: 'level',
  path: 'path',
  label: 'label',
  title: 'label',
  name: 'label',
  text: 'label',
  kind: 'kind',
  type: 'kind',
  address: 'address',
  url: 'address',
  link: 'address',
  href: 'address',
  new_tab: 'new_tab',
  settings: 'settings',
};

function firstLine(text: string): string[] {
  return Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { preview: 1 }).data[0] ?? [];
}

/** Where each known column stands; null when this is no line of column names. */
function columnsIn(head: readonly string[]): Map<Column, number> | null {
  const found = new Map<Column, number>();
  head.forEach((cell, at) => {
    const name =
      names[
        cell
          .trim()
          .toLowerCase()
          .replaceAll(/[\s-]+/g, '_')
      ];
    if (name !== undefined && !found.has(name)) found.set(name, at);
  });
  const hasLabel = found.has('label') || found.has('path');
  return head.length > 1 && hasLabel && found.size > 1 ? found : null;
}

interface Row {
  readonly cell: (name: Column) => string;
}

function treeOf(rows: readonly Row[], columns: ReadonlyMap<Column, number>): Result<FoundMenu[]> {
  if (columns.has('parent')) return byParent(rows);
  if (columns.has('path')) return byPath(rows);
  const levels = rows.map((row) => (columns.has('level') ? Number(row.cell('level')) : 1));
  const odd = levels.findIndex((level) => !Number.isInteger(level) || level < 0);
  if (odd >= 0) return bad(`row ${odd + 2}: the level “${rows[odd]?.cell('level')}” is not a whole number`);
  return ok([
    {
      name: '',
      sketches: treeOfLevels(rows.map((row, at) => ({ level: levels[at] ?? 1, sketch: sketchIn(row) }))),
    },
  ]);
}

function byParent(rows: readonly Row[]): Result<FoundMenu[]> {
  type Grown = Omit<Sketch, 'children'> & { readonly children: Grown[] };
  const made = new Map<string, Grown>();
  const nodes = rows.map((row): Grown => ({ ...sketchIn(row), children: [] }));
  rows.forEach((row, at) => {
    for (const name of [row.cell('id'), row.cell('label')])
      if (name !== '' && !made.has(name)) made.set(name, nodes[at] as Grown);
  });
  const top: Grown[] = [];
  for (const [at, row] of rows.entries()) {
    const name = row.cell('parent');
    const parent = name === '' ? null : made.get(name);
    if (parent === undefined) return bad(`row ${at + 2}: its parent “${name}” is not in the table`);
    (parent === null ? top : parent.children).push(nodes[at] as Grown);
  }
  const reached = [...levelsOf(top)].length;
  return reached < rows.length
    ? bad(`${rows.length - reached} rows have each other as parents`)
    : ok([{ name: '', sketches: top }]);
}

function byPath(rows: readonly Row[]): Result<FoundMenu[]> {
  const entries = rows.map((row) => {
    const parts = row
      .cell('path')
      .split('>')
      .map((part) => part.trim())
      .filter(Boolean);
    const own = sketchIn(row);
    return {
      level: parts.length,
      sketch: { ...own, label: own.label === '' ? (parts.at(-1) ?? '') : own.label },
    };
  });
  return ok([{ name: '', sketches: treeOfLevels(entries) }]);
}

function sketchIn({ cell }: Row): Omit<Sketch, 'children'> {
  const address = plainCell(cell('address'));
  const isHeading = cell('kind').toLowerCase() === 'heading';
  const target: SketchTarget =
    address !== '' ? { kind: 'address', address } : { kind: isHeading ? 'heading' : 'find' };
  const settings = readSettings(parsedJson(cell('settings')));
  return {
    label: plainCell(cell('label')),
    target,
    ...(/^(?:yes|true|1)$/i.test(cell('new_tab')) ? { opensNewTab: true } : {}),
    ...(Object.keys(settings).length === 0 ? {} : { settings }),
  };
}

function bad(problem: string): Result<never> {
  return no(refusal('badMenuFile', { what: 'CSV', problem }));
}
