import { isSafeAddress } from '../base/address.ts';
import type { ResolvedItem } from '../resolve/resolved.ts';
import { deviceClasses, type DeviceClass } from '../schema/deviceClass.ts';
import type { Activation } from '../schema/settings.ts';
import { classAttribute, prefixed } from '../parts/attributes.ts';
import { entryFace, entryFaceClasses } from '../parts/entryFace.ts';
import { escapeHtml } from '../base/escape.ts';

/** The classes of an item's `li`, as an attribute with a space before it; empty where it needs none. */
export function entryClass({ cssClass = '', hiddenOn, branchHiddenOn }: ResolvedItem, drop = ''): string {
  return classAttribute(
    cssClass + prefixed('zv-hidden-', hiddenOn) + prefixed('zv-branch-hidden-', branchHiddenOn) + drop,
  );
}

/**
 * What is seen of an item itself: a link, a heading, and the buttons that open `branch`, by device class
 * where that differs.
 */
export function faceHtml(item: ResolvedItem, branch: string | null, fold: FaceFold | null = null): string {
  const hasLink = item.href !== null && isSafeAddress(item.href);
  const face: Face = {
    item,
    inner: entryFace(item),
    look: entryFaceClasses(item, item.look),
    tip: item.tooltip === undefined ? '' : ` title="${escapeHtml(item.tooltip)}"`,
  };
  if (branch === null)
    return hasLink ? linkHtml(face, '') : `<span${classAttribute(face.look)}${face.tip}>${face.inner}</span>`;
  if (fold !== null) {
    // In a list that folds, the place says what opens a branch, and not the entry.
    const own = { ...face, isOpen: fold.isOpen };
    return !hasLink || fold.rowOpens
      ? buttonHtml(own, branch, '')
      : `${linkHtml(face, '')}${opener(branch, fold.isOpen)} aria-label="${escapeHtml(item.label)}"></button>`;
  }
  const { opening, quiet } = howItOpens(item);
  if (!hasLink || opening.length === deviceClasses.length) return buttonHtml(face, branch, '');
  const arrow = `${opener(branch)}${classAttribute(quiet + prefixed('zv-hidden-', opening))} aria-label="${escapeHtml(item.label)}"></button>`;
  if (opening.length === 0) return linkHtml(face, '') + arrow;
  const others = deviceClasses.filter((device) => !opening.includes(device));
  return (
    linkHtml(face, prefixed('zv-hidden-', opening)) +
    arrow +
    buttonHtml(face, branch, prefixed('zv-hidden-', others))
  );
}

/** How an entry of a list that folds opens: by the whole row or its arrow; whether it is open at first. */
export interface FaceFold {
  readonly rowOpens: boolean;
  readonly isOpen: boolean;
}

interface Face {
  readonly isOpen?: boolean;
  readonly item: ResolvedItem;
  readonly inner: string;
  readonly look: string;
  readonly tip: string;
}

function linkHtml({ item, inner, look, tip }: Face, notOn: string): string {
  const tab = item.opensNewTab ? ' target="_blank" rel="noopener"' : '';
  return `<a href="${escapeHtml(item.href ?? '')}"${classAttribute(look + notOn)}${tip}${tab}>${inner}</a>`;
}

/** The whole face as the button that opens the branch. */
function buttonHtml({ item, inner, look, tip, isOpen }: Face, branch: string, notOn: string): string {
  return `${opener(branch, isOpen)}${classAttribute(`${look}${item.arrowHidden === true ? ' zv-no-arrow' : ''}${notOn}`)}${tip}>${inner}</button>`;
}

function opener(branch: string, isOpen = false): string {
  return `<button type="button" aria-expanded="${isOpen}" aria-controls="${branch}"`;
}

/**
 * The device classes on which the whole face opens the branch, and the classes of an arrow that is not seen
 * on all or some of them.
 */
function howItOpens({ activation, arrowHidden }: ResolvedItem): {
  readonly opening: readonly DeviceClass[];
  readonly quiet: string;
} {
  if (activation === undefined) return { opening: [], quiet: arrowHidden === true ? ' zv-arrow-hidden' : '' };
  const on = (wanted: Activation): DeviceClass[] =>
    deviceClasses.filter((device) => activation[device] === wanted);
  return {
    opening: on('open'),
    quiet: arrowHidden === true ? ' zv-arrow-hidden' : prefixed('zv-arrow-hidden-', on('follow')),
  };
}
