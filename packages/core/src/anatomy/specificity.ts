/** How much a selector counts: ids, classes (with attributes and pseudo-classes), types (with pseudo-elements). */
export type Specificity = readonly [number, number, number];

const TOKEN =
  /(?<space>\s+|[>+~,])|(?<id>#[\w-]+)|(?<class>\.[\w-]+)|(?<attribute>\[[^\]]*\])|(?<element>::[\w-]+)|:(?<pseudo>[\w-]+)(?<open>\()?|(?<type>[a-zA-Z][\w-]*)|(?<any>\*)/y;

/**
 * The specificity of one selector without commas at its top (Selectors Level 4, section 17): what is in `:is`,
 * `:not` and `:has` counts like the most that is in it, `:where` like nothing. O(length).
 */
export function specificityOf(selector: string): Specificity {
  let [ids, classes, types] = [0, 0, 0];
  for (let at = 0; at < selector.length;) {
    TOKEN.lastIndex = at;
    const { groups = {}, 0: token = '' } = TOKEN.exec(selector) ?? {};
    if (token === '') throw new Error(`The selector ${selector} cannot be read from ${selector.slice(at)}`);
    at += token.length;
    if (groups.id !== undefined) ids += 1;
    if (groups.class !== undefined || groups.attribute !== undefined) classes += 1;
    if (groups.element !== undefined || groups.type !== undefined) types += 1;
    if (groups.pseudo === undefined) continue;
    const inner = groups.open === undefined ? null : argumentAt(selector, at);
    if (inner !== null) at += inner.length + 1;
    if (inner === null || groups.pseudo.startsWith('nth-')) classes += 1;
    else if (groups.pseudo !== 'where') {
      const [a, b, c] = most(selectorsIn(inner).map(specificityOf));
      [ids, classes, types] = [ids + a, classes + b, types + c];
    }
  }
  return [ids, classes, types];
}

/** The selectors of a list, parted by the commas at its top. */
export function selectorsIn(list: string): string[] {
  const found: string[] = [];
  let depth = 0;
  let from = 0;
  for (let at = 0; at <= list.length; at += 1) {
    const sign = list[at];
    if (sign === '(' || sign === '[') depth += 1;
    else if (sign === ')' || sign === ']') depth -= 1;
    else if (depth === 0 && (sign === ',' || sign === undefined)) {
      found.push(list.slice(from, at).trim());
      from = at + 1;
    }
  }
  return found;
}

/** Below 0: the first counts less. */
export function compareSpecificity(one: Specificity, other: Specificity): number {
  return one[0] - other[0] || one[1] - other[1] || one[2] - other[2];
}

function most(all: readonly Specificity[]): Specificity {
  return all.reduce((best, one) => (compareSpecificity(one, best) > 0 ? one : best), [0, 0, 0]);
}

/** What stands in the brackets that have just been opened. */
function argumentAt(selector: string, from: number): string {
  let depth = 1;
  for (let at = from; at < selector.length; at += 1) {
    if (selector[at] === '(') depth += 1;
    else if (selector[at] === ')') depth -= 1;
    if (depth === 0) return selector.slice(from, at);
  }
  throw new Error(`A bracket is not closed in ${selector}`);
}
