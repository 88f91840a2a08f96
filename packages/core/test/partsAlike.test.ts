import { describe, expect, it } from 'vitest';
import { composePanel } from '../src/commands/composing.ts';
import { makePartsAlike, partsOfItsKind, unlikeParts } from '../src/commands/partsAlike.ts';
import { shippedPresets, usePreset } from '../src/commands/presets.ts';
import { setPart } from '../src/commands/composing.ts';
import { inWords } from '../src/base/sentences.ts';
import { nodeAt } from '../src/model/forest.ts';
import { partsIn } from '../src/model/partsIn.ts';
import { contextOf } from '../testing/contextOf.ts';
import { doing } from '../testing/doing.ts';
import { outlined } from '../testing/outlined.ts';

const { document: bare, ids } = outlined(
  '= /seeds\n  = /seeds/beans\n  = /seeds/corn\n  = /seeds/dill',
  '/seeds Seeds\n  /seeds/beans Beans\n  /seeds/corn Corn\n  /seeds/dill Dill',
);
const { done, refusedBy } = doing(1200);
const owner = ids.get('= /seeds') ?? '';
const strip = shippedPresets.find(({ key }) => key === 'strip');
const start = done(
  done(bare, (context) => composePanel(context, owner)),
  (context) => usePreset(context, owner, strip ?? { preset: '' }),
);
const pictures = partsIn(start, owner).filter(({ kind }) => kind === 'picture');

describe('settings of a part', () => {
  const [first, second, third] = pictures.map(({ id }) => id);
  const set = done(start, (context) => setPart(context, first ?? '', { ratio: '1/1' }));

  it('are told apart from what is in it, with the parts of its kind that have them otherwise', () => {
    expect(pictures.length).toBe(3);
    expect([...unlikeParts(start, first ?? '')]).toEqual([]);
    expect([...unlikeParts(set, first ?? '')]).toEqual([['ratio', [second, third]]]);
  });

  it('are those of its own kind in its own panel, each time in the same order', () => {
    for (const one of pictures)
      expect(partsOfItsKind(set, one).map(({ id }) => id)).toEqual([first, second, third]);
  });

  it('are given to those that were chosen, and to no others, as one edit', () => {
    const after = done(set, (context) => makePartsAlike(context, first ?? '', ['ratio'], [third ?? '']));
    const ratios = [first, second, third].map(
      (id) => (nodeAt(after.parts, id ?? '') as { ratio?: string }).ratio,
    );
    expect(ratios).toEqual(['1/1', '3/2', '1/1']);
    const made = makePartsAlike(contextOf(set), first ?? '', ['ratio'], [second ?? '', third ?? '']);
    expect(made.ok && inWords(made.value.sentence)).toBe('Applied 1 setting of “picture” to 2 other parts');
  });

  it('are refused where there is nothing to give', () => {
    expect(refusedBy(makePartsAlike(contextOf(set), first ?? '', ['ratio'], []))).toBe('noneSaid');
    expect(refusedBy(makePartsAlike(contextOf(set), 'gone', ['ratio'], []))).toBe('notThere');
  });
});
