import { no, ok, refusal, type Sketch } from '@zorvik/core';
import type { MenuFormat } from './menuFormat.ts';
import { entryOf } from './outlineText.ts';
import { levelsOf, treeOfLevels, type Levelled } from './treeOfLevels.ts';

/**
 * A nested bullet list (CommonMark, 5.2 and 5.3): links are links, bold entries headings, plain ones not yet
 * decided.
 */
export const markdown: MenuFormat = {
  key: 'markdown',
  name: 'Markdown list',
  ending: '.md',
  type: 'text/markdown',
  isIn: (text) =>
    /^[ \t]*[-*+] +(?:\[[^\n]*\]\(|\*\*)/m.test(text) &&
    text.split(/[\r\n]+/).every((line) => /^[ \t]*(?:[-*+] |#|$)/.test(line)),
  read(text) {
    const heading = /^#+ +(.+?) *#*$/m.exec(text)?.[1] ?? '';
    const entries = text.split(/\r\n|\r|\n/).flatMap(bulletOf);
    return entries.length === 0
      ? no(refusal('noList', { what: 'bullet list' }))
      : ok([{ name: unescaped(heading), sketches: treeOfLevels(entries) }]);
  },
  write({ name, sketches }) {
    const lines = [...levelsOf(sketches)].map(
      ({ depth, sketch }) => `${'  '.repeat(depth)}- ${lineFor(sketch)}\n`,
    );
    return `${name === '' ? '' : `# ${escaped(name)}\n\n`}${lines.join('')}`;
  },
};

const BULLET = /^([ \t]*)[-*+][ \t]+(.*)$/u;
const BOLD = /^\*\*((?:[^*\\]|\\.)+)\*\*$/u;

function bulletOf(line: string): Levelled[] {
  const [, space, text] = BULLET.exec(line) ?? [];
  if (space === undefined || text === undefined || text.trim() === '') return [];
  const level = [...space].reduce((sum, char) => sum + (char === '\t' ? 4 : 1), 0);
  return [{ level, sketch: contentOf(text.trim()) }];
}

function contentOf(text: string): Omit<Sketch, 'children'> {
  const bold = BOLD.exec(text)?.[1];
  if (bold !== undefined) return { label: unescaped(bold), target: { kind: 'heading' } };
  const isPlain = !text.startsWith('[') && !/(?<!\\)\|/.test(text);
  return isPlain ? { label: unescaped(text), target: { kind: 'find' } } : entryOf(text);
}

function lineFor({ label, target }: Sketch): string {
  const text = escaped(label);
  if (target.kind === 'address')
    return `[${text}](<${target.address.replaceAll(/[\s<>]/gu, encodeURIComponent)}>)`;
  return target.kind === 'heading' ? `**${text}**` : text;
}

/** Backslash escapes (CommonMark, 2.4) of all that could mean something. */
function escaped(text: string): string {
  return text
    .replaceAll(/\s+/gu, ' ')
    .trim()
    .replaceAll(/[\\`*_[\]<>#|!-]/g, '\\$&');
}

function unescaped(text: string): string {
  return text.replaceAll(/\\([!-/:-@[-`{-~])/g, '$1');
}
