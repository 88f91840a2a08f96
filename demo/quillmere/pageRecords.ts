import type { Page } from '@zorvik/core';
import type { QuillmerePage } from './pages.ts';

/**
 * A number from 0 on and below 1 that a path always has: the garden's made-up records must not change from
 * one start to the next.
 */
function shareOf(path: string, salt: number): number {
  let hash = salt;
  for (const sign of path) hash = (Math.imul(hash, 31) + (sign.codePointAt(0) ?? 0)) | 0;
  hash = Math.imul(hash ^ (hash >>> 15), 0x2c1b3c6d);
  hash = Math.imul(hash ^ (hash >>> 12), 0x297a2d39);
  return ((hash ^ (hash >>> 15)) >>> 0) / 2 ** 32;
}

const DAY = 86_400_000;
const LATEST = Date.UTC(2026, 10, 16);

/**
 * What the garden's own records say of a page: how many looked at it last month, fewer the deeper it stands;
 * when it was put up; its season.
 */
export function pageRecords(
  path: string,
  kind: QuillmerePage['kind'],
): Pick<Page, 'visits' | 'date' | 'categories'> {
  const depth = path === '/' ? 0 : path.split('/').length - 1;
  const visits = Math.round((9000 * (0.2 + shareOf(path, 3))) / 2.6 ** depth);
  const isDated = kind === 'article' || kind === 'event' || kind === 'product';
  const date = new Date(LATEST - Math.floor(shareOf(path, 7) * 700) * DAY).toISOString().slice(0, 10);
  const season = ['spring', 'summer', 'autumn', 'winter'][Math.floor(shareOf(path, 11) * 4)] ?? 'spring';
  return {
    visits,
    ...(isDated ? { date } : {}),
    ...(kind === 'product' || kind === 'event' ? { categories: [season] } : {}),
  };
}
