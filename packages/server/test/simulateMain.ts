import { parseArgs } from 'node:util';
import { seedsWithin, simulateInMemory } from '@zorvik/core/testing';
import { killManyTimes } from './killing.ts';
import { simulateOnDatabase } from './simulateOnDatabase.ts';
import { postgres, testDatabase } from './testDatabase.ts';

/**
 * `npm run simulate`: the laws of saving on more seeds than the tests have time for, and two hundred kills of
 * a server. Ends with an error, and the seed, at the first thing that is wrong.
 */
const { values } = parseArgs({
  options: {
    /** Seeds of windows over a bad network, with the server in memory. */
    seeds: { type: 'string', default: '5000' },
    /** One seed alone, in memory and on a database. */
    seed: { type: 'string' },
    /** Seeds on a database that is closed and opened again. */
    database: { type: 'string', default: '40' },
    /** How often a server process is killed while edits arrive. */
    kills: { type: 'string', default: '200' },
    /** Read by the script that starts this: on a throw-away PostgreSQL cluster. */
    postgres: { type: 'boolean', default: false },
  },
});

function report(what: string, since: number): void {
  console.log(`${what} (${Math.round((performance.now() - since) / 1000)} s)`);
}

async function many(
  what: string,
  count: number,
  one: (seed: number) => Promise<{ kept: number; refused: number }>,
): Promise<void> {
  const begin = performance.now();
  let kept = 0;
  let refused = 0;
  for (let seed = 1; seed <= count; seed += 1) {
    const seen = await one(seed);
    kept += seen.kept;
    refused += seen.refused;
  }
  report(`${count} seeds ${what}: ${kept} edits kept, ${refused} refused, all agree`, begin);
}

const where = postgres === '' ? 'on PGlite' : 'on PostgreSQL';
if (values.seed !== undefined) {
  const seed = Number(values.seed);
  console.log(`Seed ${seed} in memory:`, await simulateInMemory(seed));
  console.log(`Seed ${seed} ${where}:`, await simulateOnDatabase(seed));
} else {
  await many('in memory', Number(values.seeds), simulateInMemory);
  await many(where, Number(values.database), simulateOnDatabase);
  const kills = Number(values.kills);
  if (kills > 0) {
    const begin = performance.now();
    const database = await testDatabase();
    const acknowledged = await killManyTimes(
      seedsWithin({ least: kills, most: kills, time: 0 }),
      database,
      (kill) => void (kill % 20 === 0 && report(`${kill} kills`, begin)),
    );
    await database.remove();
    report(
      `${kills} kills ${where}: ${acknowledged} edits acknowledged, each of them in the log once`,
      begin,
    );
  }
}
