import { Check } from 'typebox/value';
import { describe, expect, it } from 'vitest';
import { inWords, phrase } from '../src/base/sentences.ts';
import { beginningOf } from '../src/commands/beginningOf.ts';
import type { Result } from '../src/base/result.ts';
import { addPartOf, setPart } from '../src/commands/composing.ts';
import { createMenu } from '../src/commands/menus.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { newPart } from '../src/model/newPart.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import {
  addableKinds,
  definitionOf,
  fieldsOf,
  heldBy,
  partField,
  partKinds,
  partShapes,
  type Part,
  type PartField,
  type PartKind,
  type RootName,
} from '../src/schema/part.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const { document: bare, ids } = outlined('Shop > /shop\n  Seeds > /seeds\n  Tools > /tools', '/ Home');
const shop = ids.get('Shop') ?? '';
/** With a second menu, which a part can show. */
const withMenu = done(bare, createMenu(contextOf(bare, 3), { name: 'Other', place: 'footer' }));

function done(document: SiteDocument, edit: Result<Edit>): SiteDocument {
  if (!edit.ok) throw new Error(edit.refusal.message);
  const applied = applyEdit(document, edit.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}

function after(kind: PartKind, from = withMenu): { document: SiteDocument; part: Part } {
  const document = done(from, addPartOf(contextOf(from), shop, null, kind));
  const part = [...document.parts.nodes.values()].find((one) => one.kind === kind);
  if (part === undefined) throw new Error(`No ${kind} was added.`);
  return { document, part };
}

describe('laws of every kind of part', () => {
  it.each(partKinds)(
    '%s: it can stand somewhere, has a name in sentences, and its controls name fields',
    (kind) => {
      const { standsIn, name } = definitionOf(kind);
      expect(definitionOf(kind).kind).toBe(kind);
      expect(standsIn.length).toBeGreaterThan(0);
      for (const holder of standsIn) expect(heldBy(holder as PartKind | RootName)).toContain(kind);
      const capital = `${kind.charAt(0).toUpperCase()}${kind.slice(1)}` as Capitalize<PartKind>;
      expect(inWords(phrase(`part${capital}`))).toContain(name);
      expect(inWords(phrase(`named${capital}`, { name: 'x' }))).toMatch(/^the .+ “x”$/);
      for (const { control } of Object.values(fieldsOf(kind)))
        for (const other of [control.needs, control.unless])
          if (other !== undefined) expect(Object.keys(fieldsOf(kind))).toContain(other);
    },
  );

  it('a field of one name has one shape, and refers to the same, whatever kind it belongs to', () => {
    for (const kind of partKinds)
      for (const [name, { shape, refs, isResolved }] of Object.entries(fieldsOf(kind))) {
        const known = partField(name as PartField);
        expect(shape, `${name} of ${kind}`).toBe(known.shape);
        expect([refs?.role, isResolved], `${name} of ${kind}`).toEqual([known.refs?.role, known.isResolved]);
      }
  });

  it.each(addableKinds('panel'))(
    '%s: what it begins with has the shape of its kind, and nothing is wrong with it',
    (kind) => {
      const begun = beginningOf(withMenu, shop, kind);
      if ('code' in begun) throw new Error(begun.message);
      for (const fields of begun) {
        const part = newPart('c000000000000001', 'c000000000000002', fields);
        expect(Check(partShapes[part.kind], part), JSON.stringify(part)).toBe(true);
        expect(definitionOf(part.kind).check?.(fields) ?? null).toBeNull();
      }
    },
  );

  it.each(addableKinds('panel').filter((kind) => definitionOf(kind).standsIn.includes('cell')))(
    '%s: every value that its shape does not have is refused where it is set, as the server would',
    (kind) => {
      const { document, part } = after(kind);
      for (const [name, { shape }] of Object.entries(fieldsOf(kind)))
        for (const wrong of [{ nonsense: true }, -1, 'x'.repeat(5000), Array(300).fill('x')]) {
          if (Check(shape, wrong)) continue;
          const made = setPart(contextOf(document, 7), part.id, { [name]: wrong });
          expect(made.ok, `${name}: ${JSON.stringify(wrong).slice(0, 40)}`).toBe(false);
        }
    },
  );
});

describe('what is wrong with a part', () => {
  it('is said before it is sent: a text of too many pieces, a search that cannot be sent', () => {
    const { document, part } = after('text');
    const runs = Array.from({ length: 300 }, (_, at) => ({ text: `${at}` }));
    const many = setPart(contextOf(document, 2), part.id, { body: [{ kind: 'paragraph', runs }] });
    expect(many.ok ? '' : many.refusal.message).toBe(
      'This part (text) is not valid: “Text” has more than 200 pieces.',
    );
    const search = after('search');
    const wrong = setPart(contextOf(search.document, 2), search.part.id, { address: 'mailto:a@b.example' });
    expect(wrong.ok ? '' : wrong.refusal.message).toMatch(/^A form can’t be sent to “mailto:a@b\.example”\./);
  });
});
