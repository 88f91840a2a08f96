import {
  counted,
  labelOf,
  partName,
  widthsIn,
  type FitSuggestion,
  type SiteDocument,
  type WidthRange,
} from '@zorvik/core';
import { fitWords } from './fitWords.ts';

/** What a suggestion does, in an imperative, and what comes of it. */
export interface SuggestionWords {
  readonly what: string;
  readonly effect: string;
}

export function suggestionWords(document: SiteDocument, suggestion: FitSuggestion): SuggestionWords {
  const { fix, before, left, item } = suggestion;
  const now = item === undefined ? 'in one row' : 'fits';
  const effect = effectWords(before, left, now);
  switch (fix.kind) {
    case 'takeover': {
      const from = Math.min(...before.map((one) => one.from));
      return {
        what: `Let the drawer take over below ${fix.below} px`,
        effect: `${effect}; the bar is in the drawer from ${from} to ${fix.below - 1} px`,
      };
    }
    case 'policy':
      return {
        what: { scroll: 'Let it scroll sideways', shrink: 'Let it shrink', fold: `Let it ${fitWords.fold}` }[
          fix.does
        ],
        effect: `${effect}; on ${fix.devices.join(' and ')} screens`,
      };
    case 'label': {
      const entry = document.items.nodes.get(fix.item);
      return {
        what: `Shorten “${entry === undefined ? '' : labelOf(document, entry)}” to “${fix.label}”`,
        effect,
      };
    }
    case 'gap':
      return { what: `Reduce the gap between entries to ${fix.px} px`, effect };
    case 'width':
      return {
        what: `Make the dropdown ${fix.px} px wide`,
        effect: left.length === 0 ? 'every label on one line' : effect,
      };
    case 'text':
      return {
        what: `Reduce the text of the dropdown to ${fix.px} px`,
        effect: left.length === 0 ? 'every label on one line' : effect,
      };
    case 'icons': {
      const part = document.parts.nodes.get(fix.shows);
      return {
        what: `Hide the text beside the icon of ${part === undefined ? 'this part' : `“${partName(document, part)}”`}`,
        effect: `${effect}; on ${fix.devices.join(' and ')} screens`,
      };
    }
    case 'atEnd':
      return { what: 'End the dropdown where its entry ends', effect };
  }
}

function effectWords(before: readonly WidthRange[], left: readonly WidthRange[], now: string): string {
  if (left.length === 0) return `${now} at every width`;
  const last = Math.max(...left.map(({ to }) => to));
  const was = Math.max(...before.map(({ to }) => to));
  if (last < was) return `${now} from ${last + 1} px on, ${was - last} px sooner`;
  return `${now} at ${counted(widthsIn(before) - widthsIn(left), '# more width', '# more widths')}`;
}
