import { inWords, type Sentence } from '@zorvik/core';
import type { HistoryLine } from '@zorvik/contract';

/** One thing that somebody did, as it is told: an edit, or a burst of them. */
export interface HistoryEntry {
  readonly id: string;
  /** The site was so after this revision. */
  readonly revision: number;
  readonly words: string;
  readonly who: string;
  readonly isMine: boolean;
  readonly time: string;
}

export interface HistoryDay {
  readonly day: string;
  readonly entries: readonly HistoryEntry[];
}

/**
 * The lines of a history, latest first, by day; bursts are told once. `clock` and `calendar` word a moment as
 * the person reads it.
 */
export function historyDays(
  lines: readonly HistoryLine[],
  session: string,
  clock: (at: Date) => string,
  calendar: (at: Date) => string,
): HistoryDay[] {
  const days: { day: string; entries: HistoryEntry[] }[] = [];
  for (const burst of bursts(lines)) {
    const [last] = burst;
    if (last === undefined) continue;
    const at = new Date(last.at);
    const day = calendar(at);
    if (days.at(-1)?.day !== day) days.push({ day, entries: [] });
    const { id, revision, actor: who } = last;
    days.at(-1)?.entries.push({
      id,
      revision,
      words: wordsOf(burst),
      // Older logs call whoever gave no name so, whoever reads it.
      who: who === 'You' ? 'Guest' : who,
      isMine: last.session === session,
      time: clock(at),
    });
  }
  return days;
}

/** Neighbours of one group belong together. */
function bursts(lines: readonly HistoryLine[]): HistoryLine[][] {
  const found: HistoryLine[][] = [];
  for (const line of lines) {
    const before = found.at(-1)?.at(-1);
    if (before !== undefined && line.group !== null && line.group === before.group) found.at(-1)?.push(line);
    else found.push([line]);
  }
  return found;
}

/** What a burst came to; latest first. */
function wordsOf(burst: readonly HistoryLine[]): string {
  const [last] = burst;
  const first = burst.at(-1);
  if (last === undefined || first === undefined) return '';
  if (burst.length === 1) return inWords(last.sentence);
  if (burst.every((line) => inWords(line.sentence) === inWords(last.sentence)))
    return `${inWords(last.sentence)}, ${burst.length} times`;
  const isTyping = burst.every(
    ({ sentence }) => sentence.code === last.sentence.code && 'was' in sentence.params,
  );
  const whole: Sentence = {
    ...last.sentence,
    params: { ...last.sentence.params, was: first.sentence.params.was ?? '' },
  };
  return isTyping ? inWords(whole) : `${inWords(last.sentence)}, and ${burst.length - 1} more`;
}
