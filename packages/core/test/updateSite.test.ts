import { describe, expect, it } from 'vitest';
import { makeEdit } from '../src/commands/context.ts';
import { takeBack } from '../src/history/takeBack.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import { inWords } from '../src/base/sentences.ts';
import type { Edit } from '../src/ops/edit.ts';
import type { SiteDocument } from '../src/model/document.ts';
import type { SiteFields } from '../src/schema/site.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const { document } = outlined('A > /a', '/ Home');
let seed = 0;
function change(from: SiteDocument, set: Partial<SiteFields>, session = 'w00000000000mine') {
  const context = { ...contextOf(from, (seed += 1)), session };
  return makeEdit(context, [{ kind: 'updateSite', id: from.site.id, set, was: {} }]);
}
function done(from: SiteDocument, set: Partial<SiteFields>, session?: string): [SiteDocument, Edit] {
  const edit = change(from, set, session);
  if (!edit.ok) throw new Error(edit.refusal.message);
  const applied = applyEdit(from, edit.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return [applied.value.document, applied.value.edit];
}
const why = (edit: ReturnType<typeof change>): string => (edit.ok ? '' : edit.refusal.code);

describe('an edit of the site itself', () => {
  it('changes fields, says what it did, and can be taken back exactly', () => {
    const [renamed, edit] = done(document, { name: 'Quillmere', direction: 'rtl' });
    expect(renamed.site).toEqual({ ...document.site, name: 'Quillmere', direction: 'rtl' });
    expect(inWords(edit.sentence)).toBe(`Renamed the site “${document.site.name}” to “Quillmere”`);
    const back = takeBack(renamed, edit, []);
    const undone = back.ok ? applyEdit(renamed, { ...edit, ...back.value }) : back;
    expect(undone.ok && undone.value.document.site).toEqual(document.site);
  });

  it('is refused where it is of another site, changes nothing, or parts device classes the wrong way round', () => {
    expect(why(change(document, { name: document.site.name }))).toBe('changesNothing');
    expect(why(change(document, { breakpoints: { medium: 900, wide: 900 } }))).toBe('badBreakpoints');
    const other = { kind: 'updateSite', id: 's0000000other', set: { name: 'X' }, was: {} } as const;
    const made = makeEdit(contextOf(document), [other]);
    expect(made.ok ? '' : made.refusal.code).toBe('notThere');
  });

  it('is not taken back over what somebody else changed of the same field since', () => {
    const [first, mine] = done(document, { name: 'Mine' });
    const [second, theirs] = done(first, { name: 'Theirs' }, 'w0000000000other');
    const [third, elsewhere] = done(first, { timeZone: 'Europe/Paris' }, 'w0000000000other');
    const refused = takeBack(second, mine, [theirs]);
    expect(refused.ok ? '' : refused.refusal.code).toBe('changedMeanwhile');
    expect(takeBack(third, mine, [elsewhere]).ok, 'another field is no obstacle').toBe(true);
  });
});
