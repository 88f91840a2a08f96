import type { CommandContext, Edit, Result } from '@zorvik/core';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/**
 * Keeps what is typed by a command. `kind` names what is typed into, so that a burst of typing is taken back
 * together. What changes nothing is kept already.
 */
export function useKeeping() {
  const copy = useWorkingCopy();
  return (kind: string, command: (context: CommandContext, typed: string) => Result<Edit>) =>
    (typed: string, isFinal: boolean): string | null => {
      const tried = copy.attempt((context) => command(context, typed));
      if (!tried.ok && (!isFinal || tried.refusal.code === 'changesNothing')) return null;
      const done = copy.perform((context) => command(context, typed), kind);
      return done.ok ? null : done.refusal.message;
    };
}
