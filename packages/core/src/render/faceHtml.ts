import { isSafeAddress } from '../base/address.ts';
import type { ResolvedItem } from '../resolve/resolveMenu.ts';
import { deviceClasses, type DeviceClass } from '../schema/deviceClass.ts';
import type { Activation, Badge } from '../schema/settings.ts';
import { escapeHtml } from './escape.ts';

/** The classes of an item's `li`, as an attribute with a space before it; empty where it needs none. */
export function entryClass({ cssClass, hiddenOn = [], branchHiddenOn = [] }: ResolvedItem): string {
  const names = [cssClass ?? '', ...hiddenOn.map((device) => `zv-no-${device}`), ...branchHiddenOn.map((device) => `zv-shut-${device}`)];
  return classAttribute(names);
}

/** What is seen of an item itself: a link, a heading, and the buttons that open `branch`, by device class where that differs. */
export function faceHtml(item: ResolvedItem, branch: string | null): string {
  const href = item.href !== null && isSafeAddress(item.href) ? item.href : null;
  const inner = innerHtml(item);
  const look = [item.look === 'button' ? 'zv-button' : '', item.icon?.position === 'above' || item.badge?.position === 'above' ? 'zv-stack' : ''];
  const tip = item.tooltip === undefined ? '' : ` title="${escapeHtml(item.tooltip)}"`;
  const opener = branch === null ? '' : `<button type="button" aria-expanded="false" aria-controls="${branch}"`;
  const plain = item.arrowHidden === true ? 'zv-plain' : '';
  if (href === null) {
    return branch === null ? `<span${classAttribute(look)}${tip}>${inner}</span>` : `${opener}${classAttribute([...look, plain])}${tip}>${inner}</button>`;
  }
  const tab = item.opensNewTab ? ' target="_blank" rel="noopener"' : '';
  const link = (notOn: readonly string[]): string => `<a href="${escapeHtml(href)}"${classAttribute([...look, ...notOn])}${tip}${tab}>${inner}</a>`;
  if (branch === null) return link([]);
  const on = (wanted: Activation): DeviceClass[] => deviceClasses.filter((device) => (item.activation?.[device] ?? 'split') === wanted);
  const opening = on('open');
  const whole = (notOn: readonly string[]): string => `${opener}${classAttribute([...look, plain, ...notOn])}${tip}>${inner}</button>`;
  if (opening.length === deviceClasses.length) return whole([]);
  const quiet = item.arrowHidden === true ? ['zv-quiet'] : on('follow').map((device) => `zv-quiet-${device}`);
  const arrow = `${opener}${classAttribute([...quiet, ...opening.map(notOn)])} aria-label="${escapeHtml(item.label)}"></button>`;
  const others = deviceClasses.filter((device) => !opening.includes(device));
  return link(opening.map(notOn)) + arrow + (opening.length === 0 ? '' : whole(others.map(notOn)));
}

const notOn = (device: DeviceClass): string => `zv-no-${device}`;

/** Label, description, icon and badge. The label stays for those who do not see the icon that stands for it. */
function innerHtml({ label, labelHidden, description, icon, badge }: ResolvedItem): string {
  const written = escapeHtml(label);
  if (icon === undefined && badge === undefined && description === undefined) return written;
  const isHidden = labelHidden === true && icon !== undefined;
  const line = description === undefined ? '' : `<small>${escapeHtml(description)}</small>`;
  const text = isHidden ? `<i class="zv-unseen">${written}</i>${line}` : line === '' ? written : `<i class="zv-text">${written}${line}</i>`;
  const sign =
    icon === undefined
      ? ''
      : `<svg viewBox="0 0 24 24" aria-hidden="true"${icon.color === null ? '' : ` fill="${icon.color}"`}><path d="${escapeHtml(icon.path)}"/></svg>`;
  const mark = badge === undefined ? '' : `<b class="${badgeClass(badge)}">${escapeHtml(badge.text)}</b>`;
  const withSign = icon?.position === 'after' ? text + sign : sign + text;
  return badge?.position === 'before' || badge?.position === 'above' ? mark + withSign : withSign + mark;
}

/** The class that stands for a badge's two colours, so that sites that allow no inline styles show them, too. */
export function badgeClass({ color, background }: Badge): string {
  return `zv-badge zv-badge-${color.slice(1)}-${background.slice(1)}`;
}

function classAttribute(names: readonly string[]): string {
  const given = names.filter((name) => name !== '');
  return given.length === 0 ? '' : ` class="${escapeHtml(given.join(' '))}"`;
}
