import '@fontsource-variable/commissioner/wght.css';
import '@fontsource-variable/fraunces/wght.css';
import './sheetStage.css';
import { forceState, stateAround } from './forceState.ts';
import { showsStyles } from './showsStyles.ts';
import type { State, ThingName } from '@zorvik/core';
import type { FromSheet, SheetRow, SheetThing, ToSheet } from './sheetMessages.ts';

/**
 * The inside of the state sheet: each cell is an element of the page as it is delivered, alone, in a state that is
 * forced, on the background that it really has. Around it stand the elements that it stands in, without their boxes,
 * so that the same rules find it.
 */
const source = Object.assign(document.createElement('div'), { className: 'source' });
const cells = Object.assign(document.createElement('div'), { className: 'cells' });
const showStyles = showsStyles();
// Nothing in it can be reached: the editor has a button over each cell.
source.inert = true;
cells.inert = true;
document.body.append(source, cells);

/** A row, and the element of the page that stands for it. */
interface Found {
  readonly row: SheetRow;
  readonly element: HTMLElement;
}
let found = new Map<string, Found>();
let wanted: Extract<ToSheet, { kind: 'rows' }> | null = null;

function tell(message: FromSheet): void {
  // The iframe has no origin of its own and does not know the editor's; what it tells is no secret.
  window.parent.postMessage(message, '*');
}

const plain = (selector: string): string => selector.replace(/::[\w-]+$/, '');

function show({ html, css, things, language, direction }: Extract<ToSheet, { kind: 'show' }>): void {
  showStyles(css);
  document.documentElement.lang = language;
  document.documentElement.dir = direction;
  source.innerHTML = html;
  for (const one of source.querySelectorAll('nav,.zv-header,.zv-side')) one.setAttribute('data-zv-on', '');
  found = findRows(things);
  tell({ kind: 'found', rows: [...found.values()].map(({ row }) => row) });
  draw();
}

/** Every thing that the page has, once for each place that it is in. O(things * elements). */
function findRows(things: readonly SheetThing[]): Map<string, Found> {
  const named = new Map<Element, SheetThing[]>();
  for (const thing of things)
    for (const selector of thing.states.normal ?? [])
      for (const element of source.querySelectorAll(plain(selector)))
        if (named.get(element)?.includes(thing) !== true)
          named.set(element, [...(named.get(element) ?? []), thing]);
  const rows = new Map<string, Found>();
  for (const element of source.querySelectorAll<HTMLElement>('*')) {
    const all = named.get(element) ?? [];
    // A pseudo-element is a thing of its own, and stands beside what it is part of.
    for (const some of [all.filter((one) => !isPseudo(one)), all.filter(isPseudo)]) {
      const leaf = some.at(-1);
      if (leaf === undefined) continue;
      const part = element.closest<HTMLElement>('[data-zv-part]')?.dataset.zvPart ?? null;
      const variant = leaf.name === 'variant' ? variantIn(element) : null;
      const key = `${leaf.name} ${part ?? ''} ${variant ?? ''}`.trimEnd();
      const known = rows.get(key);
      if (known !== undefined && (known.element.textContent !== '' || element.textContent === '')) continue;
      const item = element.closest<HTMLElement>('[data-zv-item]')?.dataset.zvItem ?? null;
      const possible = [...new Set(some.flatMap((one) => Object.keys(one.states) as State[]))];
      // At rest, nobody sees it.
      const states = leaf.name === 'skip' ? possible.filter((state) => state === 'focus') : possible;
      rows.set(key, {
        row: { key, things: some.map(({ name }) => name) as ThingName[], part, item, variant, states },
        element,
      });
    }
  }
  return rows;
}

/** The key of the variant that a link has. */
function variantIn({ className }: Element): string | null {
  return /(?:^| )zv-as-([\w-]+)/.exec(className)?.[1] ?? null;
}

function isPseudo({ states }: SheetThing): boolean {
  return states.normal?.[0]?.includes('::') === true;
}

/** Draws the cells of the rows that are shown. */
function draw(): void {
  if (wanted === null) return;
  const { keys, states, rowHeight, cellHeight, cell, gap } = wanted;
  cells.style.height = `${keys.length * rowHeight}px`;
  const boxes = keys.flatMap((key, at) => {
    const one = found.get(key);
    if (one === undefined) return [];
    return states.flatMap((state, column) => {
      if (!one.row.states.includes(state)) return [];
      const box = document.createElement('div');
      box.className = 'cell';
      Object.assign(box.style, {
        insetBlockStart: `${at * rowHeight + 4}px`,
        insetInlineStart: `${column * (cell + gap)}px`,
        inlineSize: `${cell}px`,
        blockSize: `${cellHeight - 8}px`,
      });
      box.append(specimenOf(one, state, box));
      return [box];
    });
  });
  cells.replaceChildren(...boxes);
  boxes.forEach(fit);
  // What is behind each is known once it is drawn, in its state.
  const behind = boxes.map(backgroundIn);
  boxes.forEach((box, at) => (box.style.background = behind[at] ?? ''));
}

/** What is higher or wider than its cell is shown smaller. */
function fit(box: HTMLElement): void {
  const own = box.querySelector<HTMLElement>('[data-specimen]');
  if (own === null || box.dataset.is === 'surface') return;
  const { width, height } = own.getBoundingClientRect();
  const scale = Math.min((box.clientWidth - 8) / width, (box.clientHeight - 8) / height);
  if (scale < 1) own.style.setProperty('scale', String(scale), 'important');
}

/** What is really behind the element of a cell: the backgrounds around it, down to one that covers all below. */
function backgroundIn(box: HTMLElement): string {
  const layers: string[] = [];
  const own = box.querySelector('[data-specimen]');
  for (let one = own?.parentElement ?? null; one !== null && one !== box; one = one.parentElement) {
    const { backgroundImage, backgroundColor } = getComputedStyle(one);
    if (backgroundImage !== 'none') layers.push(backgroundImage);
    if (backgroundColor !== 'rgba(0, 0, 0, 0)')
      layers.push(`linear-gradient(${backgroundColor},${backgroundColor})`);
    if (backgroundColor.startsWith('rgb(')) break;
  }
  return [...layers, '#fff'].join(',');
}

/** What is seen only when something has been opened. */
const OPENED = '.zv-bar ul ul,.zv-panel,.zv-fold>form';

/** Parts of panels, areas and lists: what is in them has rows of its own. */
const SURFACE = 'header,footer,div,ul,dialog,form,nav,details';

/** An element alone, in a state, within what it stands in. */
function specimenOf({ element, row }: Found, state: State, box: HTMLElement): Node {
  const isSurface = element.matches(SURFACE) && !row.states.includes('hover');
  const copy = element.cloneNode(!isSurface) as HTMLElement;
  if (isSurface) {
    box.dataset.is = 'surface';
    for (const [name, value] of SURFACE_BOX) copy.style.setProperty(name, value, 'important');
  } else {
    copy.style.setProperty('max-inline-size', '100%');
    copy.style.setProperty('position', 'relative', 'important');
    copy.style.setProperty('inset', 'auto', 'important');
  }
  const isOpened = element.closest(OPENED) !== null;
  copy.dataset.specimen = '';
  forceState(copy, state);
  copy.setAttribute('tabindex', '-1');
  let nodes = beside(element, copy, state);
  for (let one = element.parentElement; one !== null && one !== source; one = one.parentElement) {
    const shell = shallow(one);
    shell.style.setProperty('display', 'contents', 'important');
    const around = stateAround(state);
    if (around !== null) shell.dataset.zvState = around;
    // What has to be opened first is looked at opened: the header is in use then.
    if (isOpened && shell.matches('header'))
      shell.dataset.zvState = `${shell.dataset.zvState ?? ''} focus-within`;
    // What folds away is looked at unfolded.
    if (shell instanceof HTMLDetailsElement) shell.open = true;
    shell.append(...nodes);
    nodes = one.parentElement === source ? [shell] : beside(one, shell, null);
  }
  const made = document.createDocumentFragment();
  made.append(...nodes);
  for (const one of made.querySelectorAll('[id],[for],[name]'))
    for (const name of ['id', 'for', 'name']) one.removeAttribute(name);
  return made;
}

const SURFACE_BOX = [
  ['display', 'block'],
  ['position', 'static'],
  ['inline-size', 'auto'],
  ['min-inline-size', '0'],
  ['max-inline-size', 'none'],
  ['block-size', 'auto'],
  ['min-block-size', '0'],
  ['margin', '0'],
  ['visibility', 'visible'],
] as const;

function shallow(element: Element): HTMLElement {
  return element.cloneNode(false) as HTMLElement;
}

/**
 * An element with what stands beside it, unseen: rules that ask for neighbours find the same. Of many, the first and
 * last, and those right beside it. `state`: of the element itself; null: it is around the one that is looked at.
 */
function beside(element: Element, copy: HTMLElement, state: State | null): HTMLElement[] {
  const all = [...(element.parentElement?.children ?? [])];
  const at = all.indexOf(element);
  const near = new Set([0, at - 1, at, at + 1, at + 2, all.length - 1]);
  return all.flatMap((one, index) => {
    if (index === at) return [copy];
    if (!near.has(index)) return [];
    const other = shallow(one);
    if (one.matches('.zv-band') && one.querySelector('.zv-logo') !== null)
      other.append(Object.assign(document.createElement('i'), { className: 'zv-logo' }));
    if (state !== null && one.matches('button[aria-expanded]'))
      other.setAttribute('aria-expanded', String(state === 'open'));
    other.style.setProperty('display', 'none', 'important');
    return [other];
  });
}

window.addEventListener('message', ({ source: from, data }: MessageEvent<ToSheet>) => {
  if (from !== window.parent) return;
  if (data.kind === 'show') show(data);
  else {
    wanted = data;
    draw();
  }
});
// What fits in a cell is known once its font is there.
document.fonts.addEventListener('loadingdone', draw);
tell({ kind: 'ready' });
