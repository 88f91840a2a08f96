import { arrangeFigures, findFigure } from './browser.bench.ts';
import { fitFigures } from './fit.bench.ts';
import { frameDeliveryFigures, frameFigure } from './frame.bench.ts';
import { coreFigures } from './core.bench.ts';
import { printFigure, printUnmeasured, type Figure, type Unmeasured } from './figure.ts';
import {
  deliveryFigures,
  importFigure,
  presenceFigure,
  publishStallFigure,
  saveFigure,
  stallFigure,
  startFigure,
} from './server.bench.ts';
import { readingFigure } from './reading.bench.ts';
import { sizeFigures } from './size.bench.ts';

/**
 * `npm run bench [-- name …]`: prints one line for each figure. It never fails: figures are looked at, tests
 * are passed.
 */
const wanted = process.argv.slice(2);
const groups: readonly (readonly [readonly string[], () => Promise<readonly (Figure | Unmeasured)[]>])[] = [
  [
    [
      'op-move',
      'op-growth',
      'render',
      'panel',
      'style',
      'style-again',
      'contrast',
      'drift',
      'drift-again',
      'drift-growth',
    ],
    coreFigures,
  ],
  [['fit', 'fit-again', 'contact'], fitFigures],
  [['frame'], async () => [await frameFigure()]],
  [['frame-delivery', 'frame-cold', 'frame-memory'], frameDeliveryFigures],
  [['save'], async () => [await saveFigure()]],
  [['import'], async () => [await importFigure()]],
  [['stall'], async () => [await stallFigure()]],
  [['publish-stall'], async () => [await publishStallFigure()]],
  [['presence-growth'], async () => [await presenceFigure()]],
  [['delivery', 'delivery-304'], deliveryFigures],
  [['reading'], async () => [await readingFigure()]],
  [['start'], async () => [await startFigure()]],
  [['open', 'drag', 'drop', 'unfold-all'], arrangeFigures],
  [['find'], async () => [await findFigure()]],
  [['app-size', 'out-js', 'out-css', 'out-css-least', 'out-html'], () => Promise.resolve(sizeFigures())],
];
/**
 * How long a group of figures may take, in ms. A slow machine takes minutes; what takes longer stands still.
 */
const PATIENCE = 15 * 60_000;

console.log(
  [
    'figure'.padEnd(14),
    'ours'.padStart(14),
    'reference'.padStart(14),
    'ratio'.padStart(12),
    'target'.padStart(22),
  ].join('  '),
);
for (const [names, measure] of groups) {
  if (wanted.length > 0 && !names.some((name) => wanted.includes(name))) continue;
  // What cannot be measured is told, and the run goes on.
  const measured = await Promise.race([measure(), late()]).catch((error: unknown) =>
    error instanceof Error ? error : new Error(String(error)),
  );
  const figures =
    measured instanceof Error ? names.map((name) => ({ name, problem: measured.message })) : measured;
  for (const figure of figures) {
    if ('problem' in figure) printUnmeasured(figure);
    else printFigure(figure);
  }
}
// What stood still may still hold something open.
process.exit();

function late(): Promise<never> {
  return new Promise((_, fail) =>
    setTimeout(() => fail(new Error(`it took longer than ${PATIENCE / 60_000} minutes`)), PATIENCE).unref(),
  );
}
