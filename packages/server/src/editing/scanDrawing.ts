import { SaxesParser, type SaxesTagPlain } from 'saxes';

/** More than any drawing for a menu needs; below both, sanitising takes well under a second. */
const MOST_ELEMENTS = 5000;
const DEEPEST = 40;
/** How many elements a browser may have to draw when all references are followed. */
const MOST_DRAWN = 50_000;

/**
 * What is wrong with a drawing (SVG) before anything is built of it, in words; null: nothing. It is read as a
 * stream: deep nesting and millions of elements cost a DOM and its sanitiser minutes, and elements that
 * repeat others that repeat others cost every browser as much. O(length).
 */
export function scanDrawing(text: string): string | null {
  const parser = new SaxesParser();
  let problem: string | null = null;
  let elements = 0;
  /** Elements with an id: how many elements they hold, and which others these draw once more. */
  const named = new Map<string, Named>();
  const uses = new Set<string>();
  const open: (Named | null)[] = [];
  const stop = (why: string): void => void (problem ??= why);
  parser.on('error', () => stop('the drawing is not well-formed XML'));
  parser.on('processinginstruction', ({ target }) =>
    stop(`the drawing has an instruction <?${target}?>, which could load a style sheet`),
  );
  parser.on('opentag', (tag: SaxesTagPlain) => {
    elements += 1;
    const attributes = Object.entries(tag.attributes);
    const id = tag.attributes.id;
    open.push(id === undefined || named.has(id) ? null : { elements: 0, drawn: [] });
    const own = open.at(-1);
    if (id !== undefined && own != null) named.set(id, own);
    for (const above of open) if (above !== null) above.elements += 1;
    if (elements > MOST_ELEMENTS) stop(`the drawing has more than ${MOST_ELEMENTS} elements`);
    if (open.length > DEEPEST) stop(`the drawing has more than ${DEEPEST} nested levels`);
    for (const [name, value] of attributes) {
      if (value.includes('\\') && value.includes('(')) stop('the drawing contains an escaped CSS address');
      const target =
        /(?:^|:)href$/i.test(name) && /(?:^|:)use$/i.test(tag.name)
          ? value.trim().replace(/^#/, '')
          : /url\(\s*['"]?#([^'")]+)/i.exec(value)?.[1];
      if (target === undefined) continue;
      if (/(?:^|:)use$/i.test(tag.name)) uses.add(target);
      for (const above of open) above?.drawn.push(target);
    }
  });
  parser.on('closetag', () => void open.pop());
  for (let at = 0; at < text.length && problem === null; at += 65_536)
    parser.write(text.slice(at, at + 65_536));
  if (problem === null) parser.close();
  if (problem !== null) return problem;
  const isNested = [...uses].some((target) =>
    (named.get(target)?.drawn ?? []).some((next) => uses.has(next)),
  );
  if (isNested) return 'the drawing nests <use> elements';
  return drawnBy(named) > MOST_DRAWN
    ? `with all <use> elements expanded, the drawing has more than ${MOST_DRAWN} elements`
    : null;
}

interface Named {
  elements: number;
  readonly drawn: string[];
}

/**
 * How many elements the most expensive named element comes to when its references are followed; Infinity
 * where they go in a circle.
 */
function drawnBy(named: ReadonlyMap<string, Named>): number {
  const known = new Map<string, number>();
  const count = (id: string, under: ReadonlySet<string>): number => {
    const present = known.get(id);
    const element = named.get(id);
    if (present !== undefined || element === undefined) return present ?? 0;
    if (under.has(id) || under.size > DEEPEST) return Infinity;
    const nested = new Set(under).add(id);
    const total = element.drawn.reduce((sum, next) => sum + count(next, nested), element.elements);
    known.set(id, total);
    return total;
  };
  return Math.max(0, ...[...named.keys()].map((id) => count(id, new Set())));
}
