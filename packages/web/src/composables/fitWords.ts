import type { FitChoice } from '@zorvik/core';

/** What bars can do where they do not fit, in the words of all workspaces. */
export const fitWords: Readonly<Record<FitChoice, string>> = {
  wrap: 'wrap',
  scroll: 'scroll sideways',
  shrink: 'shrink',
  fold: 'fold into “More”',
  drawer: 'drawer',
};
