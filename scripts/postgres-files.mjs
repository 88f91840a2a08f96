/**
 * The test files that run on PostgreSQL as well: those whose result depends on the database. That is, what is
 * stored and read (repositories), saving and its lock, listening, several processes, and the simulation. All
 * else is the same code on the same rows.
 */
export const POSTGRES_FILES = [
  'archive',
  'events',
  'keeping',
  'process',
  'ranks',
  'saving',
  'simulation',
  'together',
  'twoProcesses',
  'upgrades',
].map((name) => `packages/server/test/${name}.test.ts`);
POSTGRES_FILES.push('e2e/twoProcesses.test.ts');
