import { no, ok, refusal, type Sketch, type SketchTarget } from '@zorvik/core';
import type { MenuFormat } from './menuFormat.ts';
import { levelsOf, treeOfLevels, type Levelled } from './treeOfLevels.ts';

/**
 * Plain lines, set in by tabs, spaces or dashes: `Label`, `Label | /path`, a Markdown link, or `Label |` for
 * a heading. What people paste from a document or a chat.
 */
export const outlineText: MenuFormat = {
  key: 'text',
  name: 'Outline',
  ending: '.txt',
  type: 'text/plain',
  isIn: () => true,
  read(text) {
    const entries = text
      .split(/\r\n|\r|\n/)
      .filter((line) => line.trim() !== '')
      .map(lineOf);
    return entries.length === 0
      ? no(refusal('emptyMenu'))
      : ok([{ name: '', sketches: treeOfLevels(entries) }]);
  },
  write: ({ sketches }) =>
    [...levelsOf(sketches)].map(({ depth, sketch }) => `${'\t'.repeat(depth)}${lineFor(sketch)}\n`).join(''),
};

const LINE = /^([\t \u00a0\u3000]*)((?:[-–—*•+·]+[ \t\u00a0]+)?)(.*)$/u;
const TAB = 4;

function lineOf(line: string): Levelled {
  const [, space = '', bullet = '', text = ''] = LINE.exec(line) ?? [];
  const width = [...space].reduce((sum, char) => sum + (char === '\t' ? TAB : 1), 0);
  // `- A` and `-- B` beside one another: dashes set in, too. A single bullet stands as far in as the line
  // itself.
  return { level: width + bullet.trim().length * 2, sketch: entryOf(text.trim()) };
}

const LINK = /^\[((?:[^\]\\]|\\.)*)\]\(\s*<?([^\s<>]*)>?(?:\s+"[^"]*")?\s*\)$/u;

/** What one line says, without what sets it in. */
export function entryOf(text: string): Omit<Sketch, 'children'> {
  const link = LINK.exec(text);
  if (link !== null)
    return { label: (link[1] ?? '').replaceAll(/\\(.)/gu, '$1'), target: targetOf(link[2] ?? '') };
  const bar = text.search(/(?<!\\)\|[^|]*$/u);
  const address = text.slice(bar + 1).trim();
  if (bar > 0 && !/\s/.test(address))
    return { label: unmarked(text.slice(0, bar).trim()), target: targetOf(address) };
  return { label: unmarked(text), target: { kind: 'find' } };
}

function targetOf(address: string): SketchTarget {
  return address === '' ? { kind: 'heading' } : { kind: 'address', address };
}

/**
 * A backslash before a label that begins like a bullet or a link says that it is none; one before a bar, that
 * no address follows.
 */
const MISLEADING = /^[-–—*•+·\\[]/u;

function unmarked(label: string): string {
  const plain = label.startsWith('\\') && MISLEADING.test(label.slice(1)) ? label.slice(1) : label;
  return plain.replaceAll('\\|', '|');
}

function lineFor({ label, target }: Sketch): string {
  const plain = label.replaceAll(/\s+/gu, ' ').trim().replaceAll('|', '\\|');
  const line = MISLEADING.test(plain) ? `\\${plain}` : plain;
  if (target.kind === 'address') return `${line} | ${target.address.replaceAll(/\s/gu, '%20')}`;
  return target.kind === 'heading' ? `${line} |` : line;
}
