import {
  inWords,
  mintId,
  no,
  refusal,
  withPerformed,
  type CommandContext,
  type Edit,
  type Id,
  type Result,
  type WorkingCopy,
} from '@zorvik/core';
import type { useNotices } from '../notices.ts';
import { cryptoRandom, type useSession } from '../session.ts';
import type { Bursts } from './bursts.ts';
import type { OpenCopy } from './openCopy.ts';

/** Changes the open site by commands: applied here at once, and posted. */
export function performing(
  { copy, fill, set, post }: OpenCopy,
  burst: Bursts,
  session: ReturnType<typeof useSession>,
  notices: ReturnType<typeof useNotices>,
) {
  /** Tries a command without doing it: buttons ask this to know whether they can be pressed, and why not. */
  function attempt<T>(command: (context: CommandContext) => Result<T>): Result<T> {
    return copy.value === null ? no(refusal('nothingChosen')) : command(contextOf(copy.value));
  }

  function contextOf({ document: kept, served }: WorkingCopy): CommandContext {
    const from = { stored: kept, fill: fill.value };
    return {
      document: fill.value(kept),
      from,
      base: served.revision,
      session: session.id,
      random: cryptoRandom,
    };
  }

  /**
   * Makes the edit that a command gives. A refusal is shown and changes nothing. `kind` names what is done and to
   * what, where several of it in a row should be undone together.
   */
  function perform(
    command: (context: CommandContext) => Result<Edit>,
    kind: string | null = null,
  ): Result<Edit> {
    const result = attempt(command);
    return keep(result, result.ok ? burst.groupFor(kind) : null);
  }

  /** Makes several edits, one after the other, that are undone together. Stops at the first that is refused. */
  function performAll(commands: readonly ((context: CommandContext) => Result<Edit>)[]): Result<Edit> {
    const group = mintId('edit', cryptoRandom);
    burst.end();
    let done: Result<Edit> = no(refusal('nothingChosen'));
    for (const command of commands) {
      done = keep(attempt(command), group);
      if (!done.ok) break;
    }
    return done;
  }

  function keep(result: Result<Edit>, group: Id | null): Result<Edit> {
    if (!result.ok || copy.value === null) {
      if (!result.ok) notices.refuse(result.refusal.message);
      return result;
    }
    const edit = { ...result.value, group: group ?? result.value.group };
    set(withPerformed(copy.value, edit));
    post(edit);
    notices.say(inWords(edit.sentence));
    return result;
  }

  return { attempt, perform, performAll };
}
