import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { isEqual } from '../src/base/isEqual.ts';
import { takeBack } from '../src/history/takeBack.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { readStored, toStored } from '../src/model/stored.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { LoggedEdit } from '../src/ops/edit.ts';
import { newProblem } from '../src/ops/newProblem.ts';
import { kindOf, operationKinds } from '../src/ops/registry.ts';
import { readPanel } from '../src/schema/readPanel.ts';
import { FORMAT, type StoredDocument } from '../src/schema/format.ts';
import { latestFormat, upgraded } from '../src/upgrades/upgraded.ts';
import { upgradeSteps } from '../src/upgrades/upgradeSteps.ts';

interface FrozenLog {
  readonly start: StoredDocument;
  readonly edits: readonly LoggedEdit[];
  readonly end: StoredDocument;
}
const frozen = JSON.parse(
  readFileSync(new URL('../laws/samples/log-4.json', import.meta.url), 'utf8'),
) as FrozenLog;

function replayed(start: SiteDocument, edits: readonly LoggedEdit[]): SiteDocument {
  return edits.reduce((document, edit) => {
    const applied = applyEdit(document, edit);
    if (!applied.ok) throw new Error(`Revision ${edit.revision}: ${applied.refusal.message}`);
    return applied.value.document;
  }, start);
}

/** What was stored, as it is stored now: nodes without an order by their ids. */
const asStored = (stored: StoredDocument): StoredDocument => toStored(readStored(stored));

const fieldsIn = (document: SiteDocument): string =>
  JSON.stringify([toStored(document).parts, toStored(document).presets]);

describe('upgrades of a stored site', () => {
  it('lead, step by step, to the present format', () => {
    expect(latestFormat()).toBe(FORMAT);
    expect(upgradeSteps.map(({ to }) => to)).toEqual(
      upgradeSteps.map((_, at) => FORMAT - upgradeSteps.length + 1 + at),
    );
  });

  it('leave a log of format 4 as readable as it was: it replays to the rows of that time', () => {
    expect(frozen.edits.length).toBeGreaterThan(60);
    const end = replayed(readStored(frozen.start), frozen.edits);
    expect(toStored(end)).toEqual(asStored(frozen.end));
    expect(fieldsIn(end)).toMatch(/"fit":"whole".*"scope":/);
  });

  it('go on where an old log ends: log and upgrade together replay to the upgraded rows', () => {
    const rows = readStored(frozen.end);
    const { document, operations } = upgraded(rows);
    expect(document.format).toBe(FORMAT);
    expect(fieldsIn(document)).not.toMatch(/"(?:fit|scope)":/);
    expect(fieldsIn(document)).toMatch(/"cropping":"whole".*"extraParameter":\{"name":"in"/);
    const [last] = frozen.edits.slice(-1);
    const upgrade = { ...last!, operations, undoes: null, revision: last!.revision + 1 };
    expect(toStored(replayed(readStored(frozen.start), [...frozen.edits, upgrade]))).toEqual(
      toStored(document),
    );
    // As JSON, which is what a database gives back.
    const kept = JSON.parse(JSON.stringify(upgrade)) as LoggedEdit;
    expect(toStored(replayed(rows, [kept]))).toEqual(toStored(document));
    const back = operations.toReversed().map((operation) => kindOf(operation).invert(operation));
    expect(toStored(replayed(document, [{ ...upgrade, operations: back }]))).toEqual(asStored(frozen.end));
  });

  it('change nothing where the format is the present one, and never go back', () => {
    const { document } = upgraded(readStored(frozen.end));
    const again = upgraded(document);
    expect(again.document).toBe(document);
    expect(again.operations).toEqual([]);
    expect(() => upgraded({ ...document, format: FORMAT + 1 })).toThrow(
      `The document has format ${FORMAT + 1}; this Zorvik reads up to ${FORMAT}.`,
    );
  });

  it('are asked whether they led to something sound', () => {
    expect(() => upgraded(readStored({ ...frozen.end, sharedLinks: [] } as { format: number }))).toThrow(
      'is not sound',
    );
  });

  it('only change what has an old name', () => {
    const { document, operations } = upgraded(readStored(frozen.end));
    const named = new Set(operations.flatMap((one) => ('id' in one ? [one.id] : [])));
    const before = readStored(frozen.end);
    for (const [name, forest] of [
      ['parts', document.parts],
      ['presets', document.presets],
    ] as const)
      for (const node of [...forest.nodes.values()].filter(({ id }) => before[name].nodes.has(id)))
        expect(isEqual(node, before[name].nodes.get(node.id)), node.id).toBe(!named.has(node.id));
    expect(named.size).toBeGreaterThan(3);
    expect(document.items.nodes.size).toBe(before.items.nodes.size);
  });

  it('cannot be sent by anybody, nor applied to a site of another format', () => {
    const { document } = upgraded(readStored(frozen.end));
    const again = { kind: 'setFormat', from: FORMAT, to: FORMAT + 1 } as const;
    expect(newProblem(document, again)?.code).toBe('onlyInLogs');
    const wrong = kindOf(again).apply(readStored(frozen.end), again);
    expect(!wrong.ok && wrong.refusal.code).toBe('wrongFormat');
    expect(
      Object.values(operationKinds)
        .filter(({ onlyInLogs }) => onlyInLogs)
        .map(({ kind }) => kind),
    ).toEqual(['addPlacement', 'updatePlacement', 'movePlacement', 'removePlacement', 'setFormat']);
  });

  it('stand between a person and what they did before: undone, it would bring the old format back', () => {
    const rows = readStored(frozen.end);
    const { document, operations } = upgraded(rows);
    const removal = frozen.edits.find((edit) => JSON.stringify(edit).includes('"kind":"removePart"'))!;
    const upgrade = { ...removal, id: 'eupgrade', undoes: null, operations };
    const refused = takeBack(document, removal, [upgrade]);
    expect(!refused.ok && refused.refusal.code).toBe('beforeUpgrade');
    expect(takeBack(document, removal, []).ok, 'it is the upgrade that stands in the way').toBe(true);
  });

  it('are made of panel files, too, which may be as old', () => {
    const cell = (...parts: object[]): object => ({
      kind: 'row',
      parts: [{ kind: 'cell', span: 12, parts }],
    });
    const old = cell({ kind: 'picture', ratio: '1/1', fit: 'whole' });
    expect(readPanel([old])).toEqual([cell({ kind: 'picture', ratio: '1/1', cropping: 'whole' })]);
    let deep: object = { kind: 'row' };
    for (let level = 0; level < 50_000; level += 1) deep = { kind: 'row', parts: [deep] };
    expect(readPanel([deep])).toEqual([]);
  });
});
