import '@fontsource-variable/commissioner/wght.css';
import '@fontsource-variable/fraunces/wght.css';
import './frameStage.css';
import { showsStyles } from './showsStyles.ts';
import '@zorvik/core/browser/navigation';
import '@zorvik/core/browser/searchOpener';
import '@zorvik/core/browser/stepIn';
import '@zorvik/core/browser/headerMotion';
import { holderAt, placeIn, type Box, type FramePlace, type Holder } from './framePlace.ts';
import { stateHolder } from './stateHolder.ts';
import { focusPath, type FocusStop } from './focusPath.ts';
import type { FromFrame, HeldAs, HeldState, PictureSign, ToFrame } from './frameMessages.ts';
import { dragged, element, placed, swallowClick } from './marks.ts';
import { patchTree } from './patchTree.ts';

/**
 * The inside of the live page of Frame: what the site is served around the content of a page, with a stand-in for
 * the content. One click selects a part, a second one the entry in it; parts are dragged, and added at the mark
 * between two of them.
 */
const page = document.createElement('div');
page.innerHTML =
  '<div class="around" data-area="header"></div><div class="middle"><div class="around" data-area="side"></div><main id="content"><h1></h1><i></i><i></i><i></i></main></div><div class="around" data-area="footer"></div>';
const layer = Object.assign(document.createElement('div'), { className: 'marks' });
const showStyles = showsStyles();
document.body.append(page, layer);

/** The pointer has to go so far until it drags, in px: less is a click. */
const FAR = 6;
/** How near to a place between two parts the pointer comes until it is offered, in px. */
const NEAR = 26;
/** How high a band can be, and how wide a logo, in px. */
let limits: Extract<ToFrame, { kind: 'show' }>['limits'] = { band: [0, 0], logo: [0, 0], area: [0, 0] };
let selected: Pick<Extract<ToFrame, { kind: 'select' }>, 'part' | 'again' | 'item'> = {
  part: null,
  again: [],
  item: null,
};
let heldAs: HeldAs = 'loaded';
let adding: { readonly parent: string; readonly after: string | null } | null = null;
let isTried = false;
let signs: readonly PictureSign[] = [];
let heldState: HeldState | null = null;
let opened: { readonly part: string; readonly item: string } | null = null;
let hasPath = false;
/** Something is opened by the editor, and not by a click of somebody. */
let isOpening = false;

function tell(message: FromFrame): void {
  // The iframe has no origin of its own and does not know the editor's; what it tells is no secret.
  window.parent.postMessage(message, '*');
}

function show(message: Extract<ToFrame, { kind: 'show' }>): void {
  ({ limits } = message);
  showStyles(message.css);
  document.documentElement.lang = message.language;
  document.documentElement.dir = message.direction;
  for (const area of ['header', 'side', 'footer'] as const) {
    const holder = page.querySelector(`[data-area=${area}]`) as HTMLElement;
    const wanted = document.createElement('div');
    wanted.className = 'around';
    wanted.dataset.area = area;
    wanted.innerHTML = message[area];
    patchTree(holder, wanted);
  }
  (page.querySelector('h1') as HTMLElement).textContent = message.title;
  document.dispatchEvent(new Event('zv:added'));
  states.forget();
  hold();
  holdState();
  openEntry();
  draw();
}

/** Opens what is to be open in the header, by the site’s own script, and closes all else. */
function openEntry(): void {
  isOpening = true;
  for (const one of page.querySelectorAll<HTMLElement>('.zv-header .zv-bar>ul>li>button[aria-expanded=true]'))
    one.setAttribute('aria-expanded', 'false');
  if (opened !== null) {
    const face = entryIn(page.querySelector(`[id="zv-${opened.part}"]`) ?? page, opened.item);
    face?.parentElement?.querySelector<HTMLElement>(':scope>button[aria-expanded]')?.click();
  }
  isOpening = false;
}

/** Holds the header and the drawer in the situation that is looked at; while it is tried, the visitor decides. */
function hold(): void {
  const drawer = page.querySelector<HTMLDialogElement>('.zv-drawer');
  if (isTried) return;
  drawer?.toggleAttribute('open', heldAs === 'drawer');
  const header = page.querySelector('.zv-header');
  if (heldAs !== 'scrolled') return void window.dispatchEvent(new Event('scroll'));
  header?.classList.add('zv-scrolled');
  header?.classList.remove('zv-over-content', 'zv-away');
}

const states = stateHolder(page);
/** Holds something in the state that is looked at; while it is tried, the visitor decides. */
const holdState = (): void => states.hold(isTried ? null : heldState);

/** Where a part is seen; it may be written several times. */
const partAt = (id: string | null): HTMLElement | null =>
  id === null
    ? null
    : ([...page.querySelectorAll<HTMLElement>(`[data-zv-part="${id}"]`)].find((one) =>
        one.checkVisibility(),
      ) ?? null);

/** The selected part, or where it is shown again. */
const selectedPart = (): HTMLElement | null =>
  [selected.part, ...selected.again].map(partAt).find((one) => one !== null) ?? null;

function boxOf(element: Element): Box {
  const { left, top, width, height } = element.getBoundingClientRect();
  return { left, top, width, height };
}

/** The zones and cells on the page, with the parts that stand right in them. */
function holders(): Holder[] {
  return [...page.querySelectorAll<HTMLElement>('.zv-zone,.zv-band .zv-cell')]
    .filter((element) => element.checkVisibility())
    .map((element) => ({
      id: element.dataset.zvPart ?? '',
      box: boxOf(element),
      isRow:
        getComputedStyle(element).flexDirection.startsWith('row') &&
        element.matches('.zv-zone,.zv-side-by-side'),
      isRtl: getComputedStyle(element).direction === 'rtl',
      parts: [...element.children]
        .filter(
          (one): one is HTMLElement =>
            one instanceof HTMLElement && one.dataset.zvPart !== undefined && one.checkVisibility(),
        )
        .map((one) => ({ id: one.dataset.zvPart ?? '', box: boxOf(one) })),
    }));
}

/** Puts a mark where something is on the page, with so much around it. */
function onPage<E extends HTMLElement>(one: E, { left, top, width, height }: Box, margin = 0): E {
  const [x, y] = [left - margin + window.scrollX, top - margin + window.scrollY];
  return placed(one, x, y, width + 2 * margin, height + 2 * margin);
}

/** A handle is dragged: drawing anew would take it from under the pointer. */
let isHeld = false;
const held = (is: boolean): void => {
  isHeld = is;
  if (!is) draw();
};

/** What can be dragged of a part: how high a band is at least, how wide a logo's picture or an area is. */
interface Sized {
  readonly of: 'band' | 'logo' | 'area';
  readonly element: HTMLElement;
  /** The handle is at the element's end, in the direction of the text; else at its start. */
  readonly isAtEnd: boolean;
}

function sizedIn(part: HTMLElement): Sized | null {
  const isColumn = part.matches('.zv-drawer-start,.zv-drawer-end,.zv-side,.zv-vertical');
  // Only what has a width of its own: a header lies across the page on narrow screens, and so does the side.
  if (isColumn && part.getBoundingClientRect().width < document.documentElement.clientWidth)
    return { of: 'area', element: part, isAtEnd: !part.matches('.zv-drawer-end,.zv-vertical-end') };
  if (part.matches('.zv-band')) {
    const element = part.querySelector<HTMLElement>(':scope>.zv-band-content');
    return element === null ? null : { of: 'band', element, isAtEnd: true };
  }
  const image = part.matches('.zv-logo') ? part.querySelector<HTMLElement>('img') : null;
  return image === null ? null : { of: 'logo', element: image, isAtEnd: true };
}

function drawHandle(part: HTMLElement): void {
  const sized = sizedIn(part);
  if (sized === null) return;
  const { of, element: target, isAtEnd } = sized;
  const isBand = of === 'band';
  const isRight = isAtEnd !== (getComputedStyle(part).direction === 'rtl');
  const handle = element('i', isBand ? 'grip lower' : 'grip beside');
  const number = element('span', 'number');
  const put = (): void => {
    const { left, top, width, height } = boxOf(isBand ? part : target);
    if (isBand) onPage(handle, { left: left + width / 2 - 28, top: top + height - 4, width: 56, height: 8 });
    else {
      const seen = Math.min(height, window.innerHeight - Math.max(0, top));
      const grip = of === 'area' ? { top: Math.max(0, top) + seen / 2 - 28, height: 56 } : { top, height };
      onPage(handle, { left: (isRight ? left + width : left) - 4, width: 8, ...grip });
    }
    const below = of === 'area' ? Math.max(0, top) + 8 : top + height + 8;
    onPage(number, { left: left + width / 2 - 40, top: below, width: 80, height: 20 });
  };
  put();
  const [least, most] = limits[of];
  dragged(handle, held, ({ clientX, clientY }, isDone) => {
    const { left, right, top } = target.getBoundingClientRect();
    const wanted = isBand ? clientY - top : isRight ? clientX - left : right - clientX;
    const size = Math.max(least, Math.min(most, Math.round(wanted)));
    if (isBand) target.style.minBlockSize = isDone ? '' : `${size}px`;
    else
      Object.assign(
        target.style,
        isDone
          ? { inlineSize: '', blockSize: '' }
          : { inlineSize: `${size}px`, ...(of === 'logo' ? { blockSize: 'auto' } : {}) },
      );
    number.textContent = `${size} px`;
    layer.append(number);
    put();
    if (isDone) tell({ kind: 'size', id: part.dataset.zvPart ?? '', size });
  });
  layer.append(handle);
}

/** Puts the marks where things are now. */
function draw(): void {
  if (drag?.line != null || isHeld) return;
  layer.replaceChildren();
  if (isTried) return;
  const part = selectedPart();
  if (part !== null) {
    layer.append(onPage(element('i', 'mark'), boxOf(part), 3));
    drawHandle(part);
  }
  signs.forEach(drawSign);
  if (hasPath) drawPath();
  const entry = selected.item === null ? null : entryIn(part ?? page, selected.item);
  if (entry !== null) layer.append(onPage(element('i', 'mark item'), boxOf(entry), 1));
  const place = adding === null ? null : placeBehind(adding.parent, adding.after);
  if (place !== null) layer.append(onPage(element('i', 'drop'), place.line));
}

/** The way of the focus: a number at each stop, in the order of Tab. */
function drawPath(): void {
  const stops = focusPath(page);
  stops.forEach(({ left, top, width, height, isBack, isSmall }, at) => {
    const ring = `stop${isBack ? ' back' : ''}${isSmall ? ' small' : ''}`;
    layer.append(onPage(element('i', ring), { left, top, width, height }, 1));
    const number = Object.assign(element('i', 'stop-number'), { textContent: String(at + 1) });
    layer.append(onPage(number, { left: left - 6, top: top - 8, width: 20, height: 16 }));
  });
  const count = (is: (stop: FocusStop) => boolean): number => stops.filter(is).length;
  tell({
    kind: 'path',
    stops: stops.length,
    back: count((one) => one.isBack),
    small: count((one) => one.isSmall),
  });
}

/** The face of an entry; of what is in a bar and in “More”, the one that is seen. */
function entryIn(holder: Element, item: string): Element | null {
  const faces = [...holder.querySelectorAll(`[data-zv-item="${item}"]>:is(a,span,button)`)];
  return faces.find((one) => one.checkVisibility()) ?? faces[0] ?? null;
}

/** A sign at what is hard to read, which makes it readable when it is pressed. */
function drawSign({ part, item, text }: PictureSign): void {
  const holder = partAt(part);
  const entry = item === null ? null : entryIn(holder ?? page, item);
  const at = item === null ? holder : entry;
  if (at === null || !at.checkVisibility()) return;
  const { left, top, width } = boxOf(at);
  const sign = Object.assign(document.createElement('button'), {
    className: 'sign',
    type: 'button',
    textContent: '!',
    title: text,
  });
  sign.tabIndex = -1;
  const end = getComputedStyle(at).direction === 'rtl' ? left : left + width;
  layer.append(onPage(sign, { left: end - 12, top: Math.max(0, top - 6), width: 24, height: 24 }));
  sign.addEventListener('click', (event) => {
    event.stopPropagation();
    tell({ kind: 'fix', part, item });
  });
}

function placeBehind(parent: string, after: string | null): FramePlace | null {
  const holder = holders().find(({ id }) => id === parent);
  if (holder === undefined) return null;
  const { box, isRow } = holder;
  const at = holder.parts.findIndex(({ id }) => id === after);
  const next = holder.parts[at + 1];
  // Just before the next one, or at the end.
  if (next !== undefined)
    return placeIn(
      holder,
      isRow ? next.box.left + (holder.isRtl ? next.box.width : 0) : box.left,
      next.box.top + (isRow ? 1 : 0),
    );
  return placeIn(
    holder,
    isRow ? (holder.isRtl ? -99_999 : 99_999) : box.left,
    isRow ? box.top + box.height / 2 : 99_999,
  );
}

/** The mark that offers to add something, between two parts where the pointer rests. */
let offered: FramePlace | null = null;
const plus = Object.assign(document.createElement('button'), {
  className: 'plus',
  type: 'button',
  textContent: '+',
});
plus.title = 'Add a part here';
plus.addEventListener('click', (event) => {
  event.stopPropagation();
  if (offered === null) return;
  const { parent, after } = offered;
  tell({ kind: 'add', parent, after, x: event.clientX, y: event.clientY });
});

function offer(x: number, y: number): void {
  const holder = isTried || adding !== null ? null : holderAt(holders(), x, y, 8);
  const place = holder === null ? null : placeIn(holder, x, y);
  const middle =
    place === null
      ? null
      : { x: place.line.left + place.line.width / 2, y: place.line.top + place.line.height / 2 };
  const isNear =
    middle !== null && holder !== null && Math.abs(holder.isRow ? x - middle.x : y - middle.y) < NEAR;
  offered = isNear ? place : null;
  if (place === null || middle === null || !isNear) return plus.remove();
  const spot =
    holder?.isRow === true
      ? { left: middle.x - 12, top: middle.y - 12 }
      : { left: x - 12, top: middle.y - 12 };
  layer.append(onPage(plus, { ...spot, width: 24, height: 24 }));
}

let drag: {
  readonly part: HTMLElement;
  readonly x: number;
  readonly y: number;
  line: HTMLElement | null;
  to: FramePlace | null;
} | null = null;

function endDrag(): void {
  drag?.part.removeAttribute('data-zv-drag');
  drag?.line?.remove();
  drag = null;
  draw();
}

const isPart = (one: HTMLElement): boolean => !one.matches('.zv-band,.zv-zone,.zv-cell');

document.addEventListener('pointerdown', ({ target, button, clientX: x, clientY: y }) => {
  if (isTried || button !== 0 || !(target instanceof Element) || target === plus) return;
  const part = target.closest<HTMLElement>('[data-zv-part]');
  if (part !== null && isPart(part)) drag = { part, x, y, line: null, to: null };
});
document.addEventListener('dragstart', (event) => event.preventDefault());
document.addEventListener('pointermove', ({ clientX: x, clientY: y, target }) => {
  if (drag === null) {
    // What is about to be dragged is not covered by an offer.
    if (target instanceof Element && target.matches('.grip')) return plus.remove();
    if (target !== plus && !isHeld) offer(x, y);
    return;
  }
  if (drag.line === null) {
    if (Math.hypot(x - drag.x, y - drag.y) < FAR) return;
    plus.remove();
    drag.part.setAttribute('data-zv-drag', '');
    drag.line = layer.appendChild(element('i', 'drop'));
  }
  const holder = holderAt(holders(), x, y, 24);
  drag.to = holder === null ? null : placeIn(holder, x, y);
  drag.line.hidden = drag.to === null;
  if (drag.to !== null) onPage(drag.line, drag.to.line);
});
document.addEventListener('pointerup', () => {
  const last = drag;
  if (last === null) return;
  const isDrag = last.line !== null;
  endDrag();
  if (!isDrag) return;
  swallowClick();
  const id = last.part.dataset.zvPart;
  if (id !== undefined && last.to !== null && last.to.after !== id)
    tell({ kind: 'move', id, parent: last.to.parent, after: last.to.after });
});
document.addEventListener('pointercancel', endDrag);
document.documentElement.addEventListener('pointerleave', () => plus.remove());

window.addEventListener(
  'click',
  (event) => {
    const { target } = event;
    if (isOpening) return;
    if (!(target instanceof Element) || target === plus || target.matches('.sign')) return;
    const link = target.closest('a');
    if (link !== null) event.preventDefault();
    if (isTried) {
      const href = link?.getAttribute('href') ?? null;
      if (href?.startsWith('/') === true) tell({ kind: 'visit', path: href });
      return;
    }
    const opener = target.closest('.zv-menu-button,.zv-close');
    // What the site's own script would open stays closed until its part is selected.
    const part = target.closest<HTMLElement>('[data-zv-part]');
    const item = target.closest<HTMLElement>('[data-zv-item]')?.dataset.zvItem;
    const holder =
      part?.matches('.zv-zone') === true ? part.parentElement?.closest<HTMLElement>('[data-zv-part]') : part;
    const id = holder?.dataset.zvPart ?? null;
    const isSecond = id !== null && (id === selected.part || selected.again.includes(id));
    const isClosing = opener?.matches('.zv-close') === true;
    // The drawer opens beside the marks, and not above all.
    if (!isSecond || opener !== null) event.stopPropagation();
    if (isClosing || (isSecond && opener !== null)) return tell({ kind: 'drawer', isOpen: !isClosing });
    if (isSecond && item !== undefined) tell({ kind: 'item', id: item });
    else tell({ kind: 'part', id });
  },
  true,
);
window.addEventListener('dblclick', ({ target }) => {
  const item =
    target instanceof Element ? target.closest<HTMLElement>('[data-zv-item]')?.dataset.zvItem : undefined;
  if (!isTried && item !== undefined) tell({ kind: 'rename', id: item });
});
window.addEventListener(
  'keydown',
  (event) => {
    if (event.key === 'Escape' && drag !== null) return endDrag();
    if (isTried ? event.key !== 'Escape' : event.key === 'Tab') return;
    const { key, ctrlKey, metaKey, shiftKey, altKey } = event;
    event.preventDefault();
    event.stopPropagation();
    tell({ kind: 'key', key, ctrlKey: ctrlKey || metaKey, shiftKey, altKey });
  },
  true,
);

window.addEventListener('message', ({ source, data }: MessageEvent<ToFrame>) => {
  if (source !== window.parent) return;
  if (data.kind === 'show') show(data);
  if (data.kind === 'select') {
    selected = data;
    selectedPart()?.scrollIntoView({ block: 'nearest' });
    draw();
  }
  if (data.kind === 'adding') {
    adding = data.spot;
    plus.remove();
    draw();
    const line = adding === null ? undefined : placeBehind(adding.parent, adding.after)?.line;
    if (line !== undefined) tell({ kind: 'mark', x: line.left + line.width / 2, y: line.top + line.height });
  }
  if (data.kind === 'hold') {
    heldAs = data.as;
    hold();
    draw();
  }
  if (data.kind === 'signs') {
    ({ signs } = data);
    draw();
  }
  if (data.kind === 'state') {
    heldState = data.of;
    holdState();
    draw();
  }
  if (data.kind === 'open') {
    opened = data.entry;
    openEntry();
    draw();
  }
  if (data.kind === 'path') {
    hasPath = data.isOn;
    draw();
  }
  if (data.kind === 'scrollTo' && Math.abs(window.scrollY - data.top) > 1) window.scrollTo({ top: data.top });
  if (data.kind === 'try') {
    isTried = data.isOn;
    holdState();
    const drawer = page.querySelector<HTMLDialogElement>('.zv-drawer');
    if (drawer?.open === true) drawer.close();
    hold();
    document.documentElement.toggleAttribute('data-tried', isTried);
    draw();
  }
});
/** A file that is dragged over the page: the logo under it takes it, and is marked meanwhile. */
const hasFile = (event: DragEvent): boolean => event.dataTransfer?.types.includes('Files') === true;
const logoAt = ({ target }: Event): HTMLElement | null =>
  target instanceof Element ? target.closest<HTMLElement>('.zv-logo') : null;
let isFileOver = false;
document.addEventListener('dragover', (event) => {
  if (isTried || !hasFile(event)) return;
  event.preventDefault();
  const logo = logoAt(event);
  if (event.dataTransfer !== null) event.dataTransfer.dropEffect = logo === null ? 'none' : 'copy';
  if (logo === null) return endFile();
  isFileOver = true;
  layer.replaceChildren(onPage(element('i', 'mark taking'), boxOf(logo), 4));
});
function endFile(): void {
  if (!isFileOver) return;
  isFileOver = false;
  draw();
}
document.addEventListener('dragleave', endFile);
document.addEventListener('drop', (event) => {
  if (isTried || !hasFile(event)) return;
  event.preventDefault();
  const id = logoAt(event)?.dataset.zvPart;
  const file = event.dataTransfer?.files[0];
  endFile();
  if (id !== undefined && file !== undefined) tell({ kind: 'file', id, file });
});
document.addEventListener(
  'scroll',
  ({ target }) => {
    draw();
    if (target === document) tell({ kind: 'scroll', top: Math.max(0, Math.round(window.scrollY)) });
    // Its own script has just looked at how far the page is scrolled.
    if (target === document && heldAs === 'scrolled') requestAnimationFrame(hold);
  },
  true,
);
new ResizeObserver(() => {
  tell({ kind: 'height', height: Math.ceil(page.getBoundingClientRect().height) });
  draw();
}).observe(page);
tell({ kind: 'ready' });
