import { arrangeFigures, findFigure } from './browser.bench.ts';
import { coreFigures } from './core.bench.ts';
import { printFigure, type Figure } from './figure.ts';
import { deliveryFigures, importFigure, saveFigure, stallFigure, startFigure } from './server.bench.ts';
import { readingFigure } from './reading.bench.ts';
import { sizeFigures } from './size.bench.ts';

/** `npm run bench [-- name …]`: prints one line for each figure. It never fails: figures are looked at, tests are passed. */
const wanted = process.argv.slice(2);
const groups: readonly (readonly [readonly string[], () => Promise<readonly Figure[]>])[] = [
  [['op-move', 'op-growth', 'render', 'panel', 'drift', 'drift-again', 'drift-growth'], coreFigures],
  [['save'], async () => [await saveFigure()]],
  [['import'], async () => [await importFigure()]],
  [['stall'], async () => [await stallFigure()]],
  [['delivery', 'delivery-304'], deliveryFigures],
  [['reading'], async () => [await readingFigure()]],
  [['start'], async () => [await startFigure()]],
  [['open', 'drag', 'drop', 'unfold-all'], arrangeFigures],
  [['find'], async () => [await findFigure()]],
  [['app-size', 'out-js', 'out-html'], () => Promise.resolve(sizeFigures())],
];
console.log(['figure'.padEnd(14), 'ours'.padStart(14), 'reference'.padStart(14), 'ratio'.padStart(12), 'target'.padStart(22)].join('  '));
for (const [names, measure] of groups) {
  if (wanted.length > 0 && !names.some((name) => wanted.includes(name))) continue;
  for (const figure of await measure()) printFigure(figure);
}
