import '@fontsource-variable/commissioner/wght.css';
import '@fontsource-variable/fraunces/wght.css';
import './contactStage.css';
import '@zorvik/core/browser/navigation';
import '@zorvik/core/browser/stepIn';
import type { DrawnDrop, Dropped, FromContact, ToContact } from './contactMessages.ts';
import { visitorFindings } from './visitorChecks.ts';
import { showsStyles } from './showsStyles.ts';

/**
 * The inside of a column of the contact sheet: the header as it is delivered, once for each dropdown and panel, with that
 * one open by its own script.
 */
const column = document.createElement('div');
column.inert = true;
document.body.append(column);
const showStyles = showsStyles();

function tell(message: FromContact): void {
  // The iframe has no origin of its own and does not know the editor's; what it tells is no secret.
  window.parent.postMessage(message, '*');
}

function show({ header, rest, css, language, direction, drops }: Extract<ToContact, { kind: 'show' }>): void {
  showStyles(css);
  document.documentElement.lang = language;
  document.documentElement.dir = direction;
  column.replaceChildren(
    ...drops.map(() => {
      const block = Object.assign(document.createElement('section'), { className: 'block' });
      block.innerHTML = header;
      return block;
    }),
    Object.assign(document.createElement('section'), {
      className: 'rest',
      innerHTML: drops.length === 0 ? header + rest : rest,
    }),
  );
  document.dispatchEvent(new Event('zv:added'));
  const own = (shows += 1);
  void document.fonts.ready.then(() => {
    if (own !== shows) return;
    const opened = drops.map(openIn);
    tell({ kind: 'drawn', drops: opened, findings: null });
    // What is seen comes first; what fails for some visitors takes a look at every element.
    setTimeout(() => {
      if (own !== shows) return;
      const findings = visitorFindings([...column.children], css, showStyles);
      tell({ kind: 'drawn', drops: opened, findings });
    });
  });
}
/** What was told to be shown last counts. */
let shows = 0;

/** Opens a dropdown in its picture, wherever it is there. */
function openIn({ part, item }: Dropped, at: number): DrawnDrop {
  const block = column.children[at] as HTMLElement;
  const entry = `[data-zv-item="${item}"]`;
  const drawer = block.querySelector<HTMLDialogElement>('.zv-drawer');
  const bar = block.querySelector(`[id="zv-${part}"]`);
  const isInDrawer = bar?.checkVisibility() !== true && drawer !== null;
  drawer?.toggleAttribute('open', isInDrawer);
  const within = isInDrawer ? drawer : bar;
  // Folded, it is in “More”, which has to be open first.
  const own = within?.querySelector(`${entry}`);
  if (own?.checkVisibility() === false) press(within?.querySelector('.zv-more>button') ?? null);
  const seen = [...(within?.querySelectorAll(entry) ?? [])].find((one) => one.checkVisibility()) ?? null;
  press(seen?.querySelector(':scope>button[aria-expanded]') ?? null);
  const opened = isInDrawer ? drawer : (seen?.querySelector(':scope>:is(ul,.zv-panel)') ?? null);
  const scrollsInside = isInDrawer || (opened !== null && isLimited(opened));
  // The column is no screen: what is open is as high as all that is in it.
  (opened as HTMLElement | null)?.style.setProperty('max-block-size', 'none');
  const top = block.getBoundingClientRect().top;
  const bottoms = [block.querySelector('.zv-header'), opened].flatMap(
    (one) => one?.getBoundingClientRect().bottom ?? [],
  );
  return { height: Math.ceil(Math.max(...bottoms, top) - top), scrollsInside, isInDrawer };
}

/** Whether it scrolls where the screen is lower than it is high. */
function isLimited(opened: Element): boolean {
  const { overflowY, maxHeight } = getComputedStyle(opened);
  return maxHeight !== 'none' && ['auto', 'scroll'].includes(overflowY);
}

function press(button: Element | null): void {
  if (button?.getAttribute('aria-expanded') === 'false') (button as HTMLElement).click();
}

function setHeights(heights: readonly number[]): void {
  [...column.children].forEach((block, at) => {
    (block as HTMLElement).style.blockSize = `${heights[at] ?? 0}px`;
  });
}

window.addEventListener('message', ({ source, data }: MessageEvent<ToContact>) => {
  if (source !== window.parent) return;
  if (data.kind === 'show') show(data);
  else setHeights(data.heights);
});
tell({ kind: 'ready' });
