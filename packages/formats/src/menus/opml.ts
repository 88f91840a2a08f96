import { SaxesParser } from 'saxes';
import {
  escapeHtml,
  no,
  ok,
  readSettings,
  refusal,
  type Refusal,
  type Sketch,
  type SketchTarget,
} from '@zorvik/core';
import { DEEPEST, type MenuFormat } from './menuFormat.ts';
import { parsedJson } from './parsedJson.ts';

/**
 * OPML 2.0 (opml.org/spec2): each `outline` an item. What OPML has no attribute for stands in attributes of
 * our namespace.
 */
export const opml: MenuFormat = {
  key: 'opml',
  name: 'OPML',
  ending: '.opml',
  type: 'text/x-opml',
  isIn: (text) =>
    /^\s*(?:<\?xml[^>]*>\s*)?(?:<!--[\s\S]*?-->\s*)*(?:<!DOCTYPE[^[>]*(?:\[[^\]]*\])?\s*>\s*)?<opml[\s>]/.test(
      text,
    ),
  read(text) {
    const reading = new SaxesParser({ position: true, xmlns: false });
    let problem: Refusal | null = null;
    let name = '';
    let isInTitle = false;
    const top: Sketch[] = [];
    const open: Sketch[][] = [top];
    const refuse = (one: Refusal): void => void (problem ??= one);
    reading.on('error', ({ message }) =>
      refuse(refusal('notXml', { line: reading.line, column: reading.column, problem: message })),
    );
    reading.on('doctype', () => refuse(refusal('hasDoctype', { line: reading.line })));
    reading.on('text', (piece) => void (isInTitle && (name += piece)));
    reading.on('opentag', ({ name: tag, attributes }) => {
      if (tag === 'title') isInTitle = true;
      if (tag !== 'outline') return;
      if (open.length > DEEPEST)
        refuse(
          refusal('badMenuFile', {
            what: 'OPML',
            problem: `line ${reading.line} is on a level below ${DEEPEST}`,
          }),
        );
      const children: Sketch[] = [];
      open.at(-1)?.push({ ...sketchIn(attributes), children });
      open.push(children);
    });
    reading.on('closetag', ({ name: tag }) => {
      if (tag === 'title') isInTitle = false;
      if (tag === 'outline') open.pop();
    });
    reading.write(text.replace(/^\uFEFF/, '')).close();
    if (problem !== null) return no(problem);
    return top.length === 0 ? no(refusal('emptyMenu')) : ok([{ name: name.trim(), sketches: top }]);
  },
  write({ name, sketches }) {
    const out = [
      '<?xml version="1.0" encoding="UTF-8"?>\n',
      `<opml version="2.0" xmlns:zorvik="${NAMESPACE}">\n  <head>\n    <title>${escapeXml(name)}</title>\n  </head>\n  <body>\n`,
    ];
    const stack: (string | { readonly sketch: Sketch; readonly depth: number })[] = sketches
      .toReversed()
      .map((sketch) => ({ sketch, depth: 2 }));
    for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
      if (typeof next === 'string') {
        out.push(next);
        continue;
      }
      const { sketch, depth } = next;
      const space = '  '.repeat(depth);
      out.push(`${space}<outline${attributesOf(sketch)}${sketch.children.length === 0 ? '/' : ''}>\n`);
      if (sketch.children.length === 0) continue;
      stack.push(`${space}</outline>\n`);
      for (const child of sketch.children.toReversed()) stack.push({ sketch: child, depth: depth + 1 });
    }
    return `${out.join('')}  </body>\n</opml>\n`;
  },
};

const NAMESPACE = 'https://zorvik.example/formats/opml';

function sketchIn(attributes: Readonly<Record<string, string>>): Omit<Sketch, 'children'> {
  const address = attributes.url ?? attributes.htmlUrl ?? attributes.xmlUrl ?? '';
  const target: SketchTarget =
    address !== ''
      ? { kind: 'address', address }
      : { kind: attributes['zorvik:kind'] === 'heading' ? 'heading' : 'find' };
  const settings = readSettings(parsedJson(attributes['zorvik:settings']));
  return {
    label: attributes.text ?? attributes.title ?? '',
    target,
    ...(attributes['zorvik:newTab'] === 'yes' ? { opensNewTab: true } : {}),
    ...(Object.keys(settings).length === 0 ? {} : { settings }),
  };
}

function attributesOf({ label, target, opensNewTab, settings }: Sketch): string {
  const pairs: [string, string][] = [['text', label]];
  if (target.kind === 'address') pairs.push(['type', 'link'], ['url', target.address]);
  else if (target.kind === 'heading') pairs.push(['zorvik:kind', 'heading']);
  if (opensNewTab === true) pairs.push(['zorvik:newTab', 'yes']);
  if (settings !== undefined) pairs.push(['zorvik:settings', JSON.stringify(settings)]);
  return pairs.map(([name, value]) => ` ${name}="${escapeXml(value)}"`).join('');
}

/** XML allows still fewer control characters than HTML, and makes spaces of line ends in attributes. */
function escapeXml(text: string): string {
  return escapeHtml(text).replaceAll('\t', '&#9;').replaceAll('\n', '&#10;').replaceAll('\r', '&#13;');
}
