import '@fontsource-variable/commissioner/wght.css';
import '@fontsource-variable/fraunces/wght.css';
import './liveStage.css';
import { showsStyles } from './showsStyles.ts';
import '@zorvik/core/browser/navigation';
import '@zorvik/core/browser/searchOpener';
import { composing } from './composing.ts';
import { dragGroups } from './dragGroup.ts';
import type { FromStage, ToStage } from './messages.ts';
import { patchTree } from './patchTree.ts';

/**
 * The inside of the live header: the HTML and CSS that the site is served, and the very script that the site
 * gets. Clicks select instead of leading away.
 */
const stage = document.getElementById('stage') as HTMLElement;
const siteName = Object.assign(document.createElement('span'), { className: 'site-name' });
const holder = document.createElement('div');
const showStyles = showsStyles();
stage.append(siteName, holder);
let selected: string | null = null;
/** The height of the header while all of it is closed: in the narrow form, open submenus are part of it. */
let barHeight = 0;

function tell(message: FromStage): void {
  // The iframe has no origin of its own and does not know the editor's; what it tells is no secret.
  window.parent.postMessage(message, '*');
}

function show({ html, css, place, siteName: name, direction }: Extract<ToStage, { kind: 'show' }>): void {
  showStyles(css);
  document.body.dataset.place = place;
  document.documentElement.dir = direction;
  siteName.textContent = name;
  const wanted = document.createElement('div');
  wanted.innerHTML = html;
  patchTree(holder, wanted);
  document.dispatchEvent(new Event('zv:added'));
  placePanels();
  mark(false);
  measure();
  compose.draw();
}

/** The entry of an item: the one that is seen, where a panel has it in more than one form. */
function entryOf(id: string): HTMLElement | null {
  const all = [...holder.querySelectorAll<HTMLElement>(`[data-zv-item="${id}"]`)];
  return all.find((one) => one.checkVisibility()) ?? all[0] ?? null;
}

/**
 * Marks the selected item. `opens` shows it where it is: the branches around it are open, and no others. A
 * dropdown that is not seen whole stays closed, and its entry in the bar is marked instead: one that is cut
 * off looks as if it had no more.
 */
function mark(opens: boolean): void {
  for (const name of ['data-zv-selected', 'data-zv-top-entry'])
    for (const old of holder.querySelectorAll(`[${name}]`)) old.removeAttribute(name);
  const entry = selected === null ? null : entryOf(selected);
  entry?.setAttribute('data-zv-selected', '');
  if (!opens || compose.isOn()) return;
  openAround(entry);
  const top = entry?.closest('.zv-bar > ul > li') ?? null;
  const drop = top?.querySelector(':scope > :is(ul, .zv-panel)');
  if (drop != null && drop.getBoundingClientRect().bottom > seenHeight()) {
    openAround(null);
    if (top !== entry) top?.setAttribute('data-zv-top-entry', '');
  } else
    entry
      ?.querySelector(':scope > :is(a, span, button)')
      ?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
}

function openAround(entry: HTMLElement | null): void {
  for (const button of holder.querySelectorAll('button[aria-expanded]'))
    button.setAttribute(
      'aria-expanded',
      String(entry !== null && button.parentElement?.contains(entry) === true),
    );
  placePanels();
}

/** The height of what is seen of the iframe while nobody is in it, in px. */
const seenHeight = (): number =>
  Number.parseFloat(document.documentElement.style.getPropertyValue('--peek')) || 0;

/**
 * The site's script puts open panels in their places when the window changes; here they open and change
 * without it.
 */
function placePanels(): void {
  window.dispatchEvent(new Event('resize'));
}

/** Tells where the panel that is composed stands, and what is around it. */
function tellBoxes(owner: string): void {
  const entry = entryOf(owner);
  const panel = entry?.querySelector<HTMLElement>(':scope>.zv-panel');
  const nav = entry?.closest('nav');
  if (entry == null || panel == null || nav == null) return;
  const screen = document.documentElement.clientWidth;
  const isRtl = getComputedStyle(nav).direction === 'rtl';
  const span = (of: Element): { start: number; size: number } => {
    const { left, right, width } = of.getBoundingClientRect();
    return { start: isRtl ? screen - right : left, size: width };
  };
  const { inlineSize } = panel.style;
  panel.style.inlineSize = 'max-content';
  const content = panel.getBoundingClientRect().width;
  panel.style.inlineSize = inlineSize;
  const container = span(nav.parentElement ?? nav);
  tell({ kind: 'boxes', screen, item: span(entry), bar: span(nav), container, content });
}

function measure(): void {
  requestAnimationFrame(() => {
    const { bottom } = stage.getBoundingClientRect();
    const branches = [...holder.querySelectorAll('.zv-bar > ul > li > :is(ul, .zv-panel)')].map(
      (branch) => branch.getBoundingClientRect().bottom + 24,
    );
    const isClosed = holder.querySelector('button[aria-expanded=true]') === null;
    if (isClosed) barHeight = Math.ceil(bottom + window.scrollY);
    const open = [...holder.querySelectorAll('button[aria-expanded=true] ~ :is(ul, .zv-panel)')].map((one) =>
      one.getBoundingClientRect(),
    );
    const seen = open.filter(({ width }) => width > 0);
    const [left, right] = [
      Math.min(...seen.map((box) => box.left), Infinity),
      Math.max(...seen.map((box) => box.right), -Infinity),
    ];
    const span =
      seen.length === 0 ? { left: 0, right: 0 } : { left: Math.floor(left), right: Math.ceil(right) };
    tell({
      kind: 'size',
      height: Math.ceil(Math.max(bottom, ...branches) + window.scrollY),
      bar: barHeight,
      ...span,
    });
  });
}

window.addEventListener('message', ({ source, data }: MessageEvent<ToStage>) => {
  if (source !== window.parent) return;
  if (data.kind === 'show') show(data);
  if (data.kind === 'select') {
    selected = data.id;
    mark(data.opens);
  }
  if (data.kind === 'compose') {
    compose.set(data.owner, data.part);
    if (data.owner !== null) {
      placePanels();
      tellBoxes(data.owner);
      compose.reveal();
    }
    compose.draw();
    measure();
  }
  if (data.kind === 'leave') leave();
  if (data.kind === 'heights') {
    document.documentElement.style.setProperty('--peek', `${data.peek}px`);
    document.documentElement.style.setProperty('--room', `${data.room}px`);
    measure();
  }
});

document.addEventListener(
  'click',
  (event) => {
    const target = event.target instanceof Element ? event.target : null;
    if (target?.closest('a') != null) event.preventDefault();
    const entry = target?.closest<HTMLElement>('[data-zv-item]');
    if (entry?.dataset.zvItem !== undefined) tell({ kind: 'select', id: entry.dataset.zvItem });
  },
  true,
);

let isPointed = false;
/** Whether the focus came by a key: one that a click left behind must not hold the iframe open. */
let isByKey = true;
function setActive(pointed: boolean): void {
  isPointed = pointed;
  const isActive = isPointed || (document.hasFocus() && isByKey);
  document.documentElement.toggleAttribute('data-active', isActive);
  tell({ kind: 'active', isActive });
  measure();
}

/** The pointer has left: branches close, unless somebody is in them by keyboard. */
function leave(): void {
  if (!compose.isOn() && !(document.hasFocus() && isByKey))
    for (const button of holder.querySelectorAll('button[aria-expanded=true]'))
      button.setAttribute('aria-expanded', 'false');
  setActive(false);
}
document.documentElement.addEventListener('pointerenter', () => setActive(true));
document.documentElement.addEventListener('pointermove', () => isPointed || setActive(true));
document.documentElement.addEventListener('pointerleave', () => setActive(false));
document.addEventListener('pointerdown', () => (isByKey = false), true);
document.addEventListener('keydown', () => (isByKey = true), true);
window.addEventListener('focus', () => setActive(isPointed));
window.addEventListener('blur', () => {
  isByKey = true;
  setActive(isPointed);
});
const compose = composing(holder, tell);
dragGroups(holder, (id, column) => !compose.isOn() && tell({ kind: 'column', id, column }));
new MutationObserver(measure).observe(holder, {
  subtree: true,
  childList: true,
  attributeFilter: ['aria-expanded'],
});
new ResizeObserver(() => {
  measure();
  compose.draw();
}).observe(stage);
tell({ kind: 'ready' });
