import { expect } from 'vitest';
import type { Result } from '../src/base/result.ts';
import type { CommandContext } from '../src/commands/context.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { findBreach } from '../src/model/findBreach.ts';
import { toStored } from '../src/model/stored.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { invertEdit } from '../src/ops/invertEdit.ts';
import { contextOf } from './contextOf.ts';

/** Does what commands say, each with another seed: what is done can be undone, and keeps the document sound. */
export function doing(first: number) {
  let seed = first;
  function done(document: SiteDocument, command: (context: CommandContext) => Result<Edit>): SiteDocument {
    const edit = command(contextOf(document, (seed += 1)));
    if (!edit.ok) throw new Error(edit.refusal.message);
    const applied = applyEdit(document, edit.value);
    if (!applied.ok) throw new Error(applied.refusal.message);
    const back = applyEdit(applied.value.document, {
      ...applied.value.edit,
      operations: invertEdit(applied.value.edit),
    });
    expect(back.ok && toStored(back.value.document), 'undone').toEqual(toStored(document));
    expect(findBreach(applied.value.document)).toBeNull();
    return applied.value.document;
  }
  const refusedBy = (made: Result<Edit>): string => (made.ok ? 'not refused' : made.refusal.code);
  return { done, refusedBy };
}
