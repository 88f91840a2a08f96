import type { JSONContent } from '@tiptap/core';
import {
  destinationTyped,
  MOST_BLOCKS,
  type Block,
  type Destination,
  type RichText,
  type Run,
} from '@zorvik/core';

const MOST_SIGNS = 2000;

/** A text as the editor's document: what is listed one after the other is one list. */
export function docOf(body: RichText, addressOf: (page: string) => string | null): JSONContent {
  const content: JSONContent[] = [];
  for (const { kind, runs } of body) {
    const paragraph: JSONContent = { type: 'paragraph', content: runs.map((run) => textOf(run, addressOf)) };
    if (kind === 'paragraph') {
      content.push(paragraph);
      continue;
    }
    const type = kind === 'listed' ? 'bulletList' : 'orderedList';
    const entry: JSONContent = { type: 'listItem', content: [paragraph] };
    const last = content.at(-1);
    if (last?.type === type) last.content?.push(entry);
    else content.push({ type, content: [entry] });
  }
  return { type: 'doc', content };
}

function textOf({ text, bold, italic, to }: Run, addressOf: (page: string) => string | null): JSONContent {
  const href =
    to === undefined
      ? null
      : to.kind === 'page'
        ? addressOf(to.page)
        : to.kind === 'address'
          ? to.address
          : to.kind === 'email'
            ? `mailto:${to.address}`
            : null;
  const marks = [
    ...(bold === true ? [{ type: 'bold' }] : []),
    ...(italic === true ? [{ type: 'italic' }] : []),
    ...(href === null ? [] : [{ type: 'link', attrs: { href } }]),
  ];
  return { type: 'text', text, ...(marks.length === 0 ? {} : { marks }) };
}

/** The editor's document as a text; null: nothing in it can be seen. Lists in lists become one list. */
export function richTextOf(doc: JSONContent, pageAt: (address: string) => string | null): RichText | null {
  const blocks: Block[] = [];
  const walk = (nodes: readonly JSONContent[], kind: Block['kind']): void => {
    for (const node of nodes) {
      if (node.type === 'paragraph') blocks.push({ kind, runs: runsOf(node.content ?? [], pageAt) });
      else
        walk(
          node.content ?? [],
          node.type === 'bulletList' ? 'listed' : node.type === 'orderedList' ? 'numbered' : kind,
        );
    }
  };
  walk(doc.content ?? [], 'paragraph');
  const filled = blocks.filter(({ runs }) => runs.some(({ text }) => text.trim() !== ''));
  return filled.length === 0 ? null : filled.slice(0, MOST_BLOCKS);
}

function runsOf(nodes: readonly JSONContent[], pageAt: (address: string) => string | null): Run[] {
  return nodes.flatMap(({ text, marks = [] }): Run[] => {
    if (text === undefined || text === '') return [];
    const has = (type: string): boolean => marks.some((mark) => mark.type === type);
    const href = marks.find(({ type }) => type === 'link')?.attrs?.href as string | undefined;
    const to = href === undefined ? null : ledTo(href, pageAt);
    return [
      {
        text: text.slice(0, MOST_SIGNS),
        ...(has('bold') ? { bold: true as const } : {}),
        ...(has('italic') ? { italic: true as const } : {}),
        ...(to === null ? {} : { to }),
      },
    ];
  });
}

function ledTo(href: string, pageAt: (address: string) => string | null): Destination | null {
  const page = pageAt(href);
  if (page !== null) return { kind: 'page', page, anchor: null };
  const typed = destinationTyped(href);
  return typed.ok ? typed.value : null;
}
